import { Component } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { PersonRowComponent, type StaffMember } from './person-row.component';

const TOBIAS: StaffMember = {
  id: 't',
  name: 'Tobias Fenn',
  email: 'tobias@quillrow.example',
  role: 'bookkeeper',
  clientId: null,
  joined: true,
  invited: false,
  usedAt: null,
  sessions: 1,
};

@Component({
  imports: [PersonRowComponent],
  template: `<table>
    <tbody>
      <tr
        iu-person-row
        [person]="person"
        [own]="false"
        [clients]="[]"
        (removed)="told.push('removed')"
        (standing)="told.push($event.role)"
      ></tr>
    </tbody>
  </table>`,
})
class HostComponent {
  readonly person = TOBIAS;
  readonly told: string[] = [];
}

const aRow = async () => {
  const fixture = TestBed.createComponent(HostComponent);
  await fixture.whenStable();
  const host = fixture.nativeElement as HTMLElement;
  const press = async (words: string): Promise<void> => {
    [...host.querySelectorAll('button')].find((one) => one.textContent.includes(words))?.click();
    await fixture.whenStable();
  };
  const choose = async (role: string): Promise<void> => {
    const select = host.querySelector('select');
    if (select === null) throw new Error('roles');
    select.value = role;
    select.dispatchEvent(new Event('change'));
    await fixture.whenStable();
  };
  return { host, press, choose, told: fixture.componentInstance.told };
};

describe('somebody of the practice, as the administrator sees them', () => {
  it('is let go only once that is said twice', async () => {
    const row = await aRow();
    await row.press('Let go');
    expect(row.told).toEqual([]);
    expect(row.host.textContent).toContain('Let Tobias Fenn go?');
    await row.press('Yes, let go');
    expect(row.told).toEqual(['removed']);
  });

  it('gets another standing at once, but an onlooker their client first', async () => {
    const row = await aRow();
    await row.choose('onlooker');
    expect(row.told).toEqual([]);
    expect(row.host.querySelector('iu-pick')).not.toBeNull();
    await row.choose('reviewer');
    expect(row.told).toEqual(['reviewer']);
  });
});
