import { TestBed, type ComponentFixture } from '@angular/core/testing';
import type { DateOrder } from '@iunctus/core';
import { today } from '../dates/today';
import { WhenFieldComponent } from './when-field.component';

const aField = async (unit: 'day' | 'month', value: string, order: DateOrder = 'dayFirst') => {
  const fixture = TestBed.createComponent(WhenFieldComponent);
  fixture.componentRef.setInput('unit', unit);
  fixture.componentRef.setInput('order', order);
  fixture.componentRef.setInput('value', value);
  fixture.componentRef.setInput('label', 'From');
  const told: (string | null)[] = [];
  fixture.componentInstance.changed.subscribe((when) => told.push(when));
  await fixture.whenStable();
  return { fixture, told, input: inputOf(fixture) };
};
const inputOf = (fixture: ComponentFixture<WhenFieldComponent>): HTMLInputElement => {
  const input = (fixture.nativeElement as HTMLElement).querySelector('input');
  if (input === null) throw new Error('a field');
  return input;
};
const type = async (
  { fixture, input }: Awaited<ReturnType<typeof aField>>,
  text: string,
): Promise<void> => {
  input.value = text;
  input.dispatchEvent(new Event('input'));
  await fixture.whenStable();
};
const leave = async ({ fixture, input }: Awaited<ReturnType<typeof aField>>): Promise<void> => {
  input.dispatchEvent(new Event('blur'));
  await fixture.whenStable();
};

describe('a field for a day or month', () => {
  it.each([
    ['dayFirst', '31 Oct 2026'],
    ['monthFirst', 'Oct 31, 2026'],
  ] as const)('writes in the order of the country: %s', async (order, written) => {
    expect((await aField('day', '2026-10-31', order)).input.value).toBe(written);
  });

  it('tells a day as soon as what is typed reads as one, and writes it out on leaving', async () => {
    const field = await aField('day', '');
    await type(field, '31/10/2025');
    expect(field.told).toEqual(['2025-10-31']);
    await leave(field);
    expect(field.input.value).toBe('31 Oct 2025');
  });

  it('says what can be typed where nothing is read, and keeps what was typed', async () => {
    const field = await aField('month', '2026-10');
    await type(field, 'soon');
    await leave(field);
    expect(field.told).toEqual([null]);
    expect(field.input.value).toBe('soon');
    expect(field.input.getAttribute('aria-invalid')).toBe('true');
    expect((field.fixture.nativeElement as HTMLElement).textContent).toContain('Type a month');
  });

  it('tells that nothing is wanted when it is emptied', async () => {
    const field = await aField('day', '2026-10-31');
    await type(field, '');
    await leave(field);
    expect([field.told, field.input.value]).toEqual([[''], '']);
  });

  it('goes a day or a month on and back by arrow', async () => {
    const field = await aField('day', '2026-12-31');
    field.input.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowUp' }));
    await field.fixture.whenStable();
    expect([field.told, field.input.value]).toEqual([['2027-01-01'], '1 Jan 2027']);
    const month = await aField('month', '');
    month.input.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowDown' }));
    expect(month.told).toEqual([today().slice(0, 7)]);
  });
});
