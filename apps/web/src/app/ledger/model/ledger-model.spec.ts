import type { StandingEntryAnswer } from '@iunctus/contract';
import { chartFrom, plainAccount, USUAL_SETTINGS, type KindCode } from '@iunctus/core';
import { of, throwError } from 'rxjs';
import { dueEntries, nextOf } from './due-entries';
import { Paged } from './paged';
import { registerAccounts } from './register-accounts';

const account = (number: string, kind: KindCode, parentId: string | null, role = 'posting') => ({
  ...plainAccount(
    { id: number, number, name: `Account ${number}`, kind },
    { role: role as 'posting' },
  ),
  parentId,
});

const CHART = chartFrom(
  [
    account('1000', 'bank', null, 'heading'),
    account('1010', 'bank', '1000'),
    account('1020', 'cashOnHand', '1000'),
    account('4000', 'services', null),
    account('6000', 'operatingExpense', null, 'heading'),
    account('6010', 'operatingExpense', '6000'),
    account('6020', 'financeCost', '6000'),
  ],
  { settings: USUAL_SETTINGS, posted: [] },
);

describe('the accounts of a register', () => {
  it('are an account and all below it', () => {
    expect(registerAccounts(CHART, '1000')).toMatchObject({
      accounts: ['1000', '1010', '1020'],
      title: '1000 Account 1000',
      isOfYear: false,
      isMany: true,
    });
    expect(registerAccounts(CHART, '1010')).toMatchObject({ accounts: ['1010'], isMany: false });
  });

  it('of a statement’s line are those that lead to its section', () => {
    expect(registerAccounts(CHART, 'operatingExpenses/6000')?.accounts).toEqual(['6000', '6010']);
    expect(registerAccounts(CHART, 'revenue/4000')).toMatchObject({
      accounts: ['4000'],
      isOfYear: true,
    });
    expect(registerAccounts(CHART, 'sum/revenue')?.accounts).toEqual(['4000']);
  });

  it('are none where nothing of the chart is meant', () => {
    expect(registerAccounts(CHART, 'total/netProfit')).toBeNull();
    expect(registerAccounts(CHART, 'nowhere')).toBeNull();
  });
});

describe('standing entries that are due', () => {
  const standing = (id: string, first: string, done: readonly string[]) =>
    ({
      id,
      recurrence: { frequency: 'monthly', first, last: null, times: null },
      days: done.map((due) => ({ due, entry: null })),
    }) as unknown as StandingEntryAnswer;

  it('stand in the order of their days, without those that are dealt with', () => {
    const all = [
      standing('rent', '2026-09-01', ['2026-10-01']),
      standing('loan', '2026-09-28', []),
    ];
    expect(
      dueEntries(all, '2026-11-15').map(({ standing: { id }, due }) => `${due} ${id}`),
    ).toEqual(['2026-09-01 rent', '2026-09-28 loan', '2026-10-28 loan', '2026-11-01 rent']);
    expect(nextOf(standing('rent', '2026-09-01', ['2026-09-01']))).toBe('2026-10-01');
  });
});

describe('something long that is read page by page', () => {
  it('goes on behind its last item, until there is no more', async () => {
    const asked: (number | null)[] = [];
    const list = new Paged<number>((behind) => {
      asked.push(behind);
      const from = behind ?? 0;
      return of({ items: [from + 1, from + 2], more: from < 2 });
    });
    await list.restart();
    await list.next();
    await list.next();
    expect(list.items()).toEqual([1, 2, 3, 4]);
    expect(asked).toEqual([null, 2]);
    await list.restart();
    expect(list.items()).toEqual([1, 2]);
  });

  it('keeps what is there and says why where a page cannot be had', async () => {
    let fails = false;
    const list = new Paged<number>(() =>
      fails ? throwError(() => new Error('away')) : of({ items: [1], more: true }),
    );
    await list.restart();
    fails = true;
    await list.next();
    expect(list.items()).toEqual([1]);
    expect(list.problem()).not.toBeNull();
    expect(list.loading()).toBe(false);
  });
});
