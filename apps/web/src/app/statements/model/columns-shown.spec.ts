import { signal } from '@angular/core';
import { COLUMN_LIMIT, type PeriodContext, type SheetCode } from '@iunctus/core';
import { aChart, withSettings } from '@iunctus/core/testing';
import { ColumnsShown } from './columns-shown';

const CONTEXT: PeriodContext = {
  main: { first: '2026-01', last: '2026-10' },
  startsIn: 1,
  firstMonth: '2025-01',
} as unknown as PeriodContext;

/** Columns as they are looked at, where showing others changes the address. */
const columns = (begin = 'plain', sheet: SheetCode = 'profitAndLoss') => {
  const text = signal(begin);
  const context = signal<PeriodContext | null>(CONTEXT);
  const chart = signal(
    withSettings(aChart('4010 Sales [saleOfGoods]'), {
      '4010': { budget: { per: 'year', amount: 1200_00 } },
    }),
  );
  const at = new ColumnsShown({
    text,
    sheet: () => sheet,
    chart,
    context,
    show: (shown) => text.set(shown),
  });
  return { at, text, context };
};

describe('the columns of a statement', () => {
  it('are the plain ones where the address says nothing that can be read', () => {
    const { at } = columns(
      Array.from({ length: COLUMN_LIMIT + 1 }, () => 'a year before').join('; '),
    );
    expect([at.chosenSet(), at.specs().length > 0]).toEqual(['plain', true]);
  });

  it('are none while no period is open', () => {
    const { at, context } = columns();
    context.set(null);
    expect([at.specs(), at.strip()]).toEqual([[], null]);
  });

  it('become one’s own when one is added, which is changed at once', () => {
    const { at } = columns();
    const before = at.specs().length;
    expect(at.add()).toBe(true);
    expect([at.chosenSet(), at.specs().length, at.strip()?.at]).toEqual([
      'own',
      before + 1,
      before,
    ]);
    expect(at.sets()[0]?.value).toBe('own');
  });

  it('are added up to as many as a page bears', () => {
    const { at } = columns();
    while (at.specs().length < COLUMN_LIMIT) at.add();
    expect(at.add()).toBe(false);
    expect(at.specs()).toHaveLength(COLUMN_LIMIT);
  });

  it('are replaced and removed one by one; the plain ones come back after the last', () => {
    const { at } = columns();
    at.add();
    at.replace(0, { is: 'amounts', words: 'a year before' });
    expect(at.specs()[0]).toEqual({ is: 'amounts', words: 'a year before' });
    while (at.chosenSet() === 'own') at.remove(0);
    expect([at.chosenSet(), at.changing()]).toEqual(['plain', null]);
  });

  it('of a ready-made set take the place of one’s own, which are then no longer offered', () => {
    const { at } = columns();
    at.add();
    at.showSet('plain');
    expect([at.chosenSet(), at.changing(), at.sets().some(({ value }) => value === 'own')]).toEqual(
      ['plain', null, false],
    );
  });

  it('hold results against budgets, and balances against none', () => {
    const offered = (sheet: SheetCode) =>
      columns('plain', sheet)
        .at.sets()
        .map(({ value }) => value);
    expect(offered('profitAndLoss')).toContain('budget');
    expect(offered('balanceSheet')).not.toContain('budget');
  });
});
