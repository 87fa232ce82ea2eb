import { Component } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { By } from '@angular/platform-browser';
import { PickComponent } from '../../shared/components/pick.component';
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
    fixture.debugElement.query(By.directive(PickComponent)).triggerEventHandler('chosen', role);
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
    expect(row.host.querySelectorAll('iu-pick')).toHaveLength(2);
    await row.choose('reviewer');
    expect(row.told).toEqual(['reviewer']);
  });

  it('is not said to have another standing where it is chosen again', async () => {
    const row = await aRow();
    await row.choose('bookkeeper');
    expect(row.told).toEqual([]);
  });
});
