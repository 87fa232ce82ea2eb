import { chartFrom, plainAccount, recordOf, USUAL_SETTINGS } from '@iunctus/core';
import { webcrypto } from 'node:crypto';
import { JournalComputer } from './journal-computer';
import type { JournalAnswer, JournalPlan } from './journal-messages';

Object.defineProperty(globalThis, 'crypto', { value: webcrypto });

const CHART = recordOf(
  chartFrom(
    (['1010', '6110'] as const).map((number) => ({
      ...plainAccount({
        id: `00000000-0000-4000-8000-00000000${number}`,
        number,
        name: number === '1010' ? 'Bank' : 'Rent',
        kind: number === '1010' ? 'bank' : 'operatingExpense',
      }),
      parentId: null,
    })),
    { settings: USUAL_SETTINGS, posted: [] },
  ),
);

const LIST = `Date;Voucher;Account;Debit;Credit
13.10.2026;V1;Rent;50,00;
13.10.2026;V1;Bank;;50,00
14.10.2026;V2;Rent;7,00;
14.10.2026;V2;Nowhere;;7,00
15.10.2026;V3;Rent;9,00;
15.10.2026;V3;Bank;;8,00
32.10.2026;V4;Rent;9,00;`;

const planned = async (clientId: string, accounts: readonly [string, string][] = []) => {
  const answers: JournalAnswer[] = [];
  const computer = new JournalComputer((answer) => answers.push(answer));
  await computer.take({ type: 'read', bytes: new TextEncoder().encode(LIST), chart: CHART });
  const [read] = answers;
  if (read?.type !== 'read') throw new Error('read');
  await computer.take({
    type: 'plan',
    serial: 1,
    sheet: 0,
    columns: read.sheets[0]?.columns ?? { headingLine: null, headings: [], uses: [] },
    order: null,
    accounts: new Map(accounts),
    mended: new Map(),
    chart: CHART,
    books: { currency: 'USD', fiscalYearStart: 1, lockedThrough: null, today: '2026-11-26' },
    usualOrder: 'monthFirst',
    source: 'journal',
    clientId,
  });
  const last = answers.at(-1);
  if (last?.type !== 'planned') throw new Error('planned');
  await computer.take({ type: 'take', serial: 1, from: 0, count: 10 });
  const taken = answers.at(-1);
  return { plan: last.plan, entries: taken?.type === 'taken' ? taken.entries : [] };
};

describe('the worker that reads lists of entries', () => {
  it('says what can be posted, what names no account, what cannot be read and what does not balance', async () => {
    const { plan, entries } = await planned('a');
    expect(plan).toMatchObject({
      lines: 7,
      entries: 4,
      first: '2026-10-13',
      last: '2026-10-13',
      unknown: [{ text: 'Nowhere', lines: 1 }],
      unreadCount: 1,
      faultyCount: 1,
    });
    expect(entries.map(({ date, comment }) => [date, comment])).toEqual([['2026-10-13', '']]);
  });

  it('gives an entry the same id each time, another in other books, and none that changes with a chosen account', async () => {
    const idsOf = async (...asked: Parameters<typeof planned>): Promise<JournalPlan['ids']> =>
      (await planned(...asked)).plan.ids;
    const [first, again, elsewhere] = [await idsOf('a'), await idsOf('a'), await idsOf('b')];
    expect(again).toEqual(first);
    expect(elsewhere).not.toEqual(first);
    const bank = CHART.accounts[0]?.id ?? '';
    const chosen = await idsOf('a', [['nowhere', bank]]);
    expect(chosen).toHaveLength(2);
    expect(chosen[0]).toBe(first[0]);
    expect(first[0]).toMatch(
      /^[0-9a-f]{8}-[0-9a-f]{4}-8[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/,
    );
  });
});
