import { TestBed } from '@angular/core/testing';
import type { ClientAnswer, NewClientRequest } from '@iunctus/contract';
import { aClient } from '../../../testing/a-client';
import { IDLE } from '../../shared/loading';
import { ClientFormComponent } from './client-form.component';

const CIDER = aClient({
  chart: { revision: 3, accounts: 62, adoptedAt: '2026-11-01T10:00:00Z', adoptedBy: 'Maren Oake' },
});

const aForm = async (client: ClientAnswer | null) => {
  const fixture = TestBed.createComponent(ClientFormComponent);
  fixture.componentRef.setInput('client', client);
  fixture.componentRef.setInput('change', IDLE);
  const added: NewClientRequest[] = [];
  const changed: unknown[] = [];
  fixture.componentInstance.added.subscribe((one) => added.push(one));
  fixture.componentInstance.changed.subscribe((one) => changed.push(one));
  await fixture.whenStable();
  const host = fixture.nativeElement as HTMLElement;
  const field = (label: string): HTMLInputElement => {
    const found = host.querySelector<HTMLInputElement>(`input[aria-label="${label}"]`);
    if (found === null) throw new Error(label);
    return found;
  };
  /** Types into a choice and takes the best that fits. */
  const pick = async (label: string, text: string): Promise<void> => {
    const input = field(label);
    input.value = text;
    input.dispatchEvent(new Event('input', { bubbles: true }));
    input.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));
    await fixture.whenStable();
  };
  const name = async (text: string): Promise<void> => {
    const input = host.querySelector<HTMLInputElement>('input[formcontrolname=name]');
    if (input === null) throw new Error('name');
    input.value = text;
    input.dispatchEvent(new Event('input'));
    await fixture.whenStable();
  };
  const submit = async (): Promise<void> => {
    host.querySelector('form')?.dispatchEvent(new Event('submit'));
    await fixture.whenStable();
  };
  return { added, changed, field, host, name, pick, submit };
};

describe('the form for a client', () => {
  it('has neither legal form nor trade that nobody chose, and asks for them', async () => {
    const form = await aForm(null);
    expect([form.field('Legal form').value, form.field('Trade').value]).toEqual(['', '']);
    await form.name('Linden Bindery');
    await form.submit();
    expect(form.added).toEqual([]);
    expect(form.host.textContent).toContain('Choose what the client is by law.');
    expect(form.host.textContent).toContain('Choose a trade');
  });

  it('finds a choice by part of its name, accents or none, and takes the currency of the country', async () => {
    const form = await aForm(null);
    await form.name('Linden Café');
    await form.pick('Legal form', 'corp');
    await form.pick('Trade', 'cafe');
    await form.pick('Country', 'united k');
    await form.pick('Fiscal year begins in', 'apr');
    await form.submit();
    expect(form.added).toEqual([
      {
        name: 'Linden Café',
        legalForm: 'corporation',
        industry: 'restaurant',
        country: 'GB',
        currency: 'GBP',
        fiscalYearStart: 4,
      },
    ]);
  });

  it('says what a change of a client does before it is kept', async () => {
    const form = await aForm(CIDER);
    expect(form.field('Trade').value).toBe('Drinks maker with a taproom');
    await form.pick('Fiscal year begins in', 'january');
    expect(form.host.querySelector('.consequences')?.textContent).toContain('year');
    await form.submit();
    expect(form.changed).toMatchObject([{ fiscalYearStart: 1, legalForm: 'partnership' }]);
  });
});
