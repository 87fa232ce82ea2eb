import type { BalancesAnswer, OverviewAnswer } from '@iunctus/contract';
import { chartFrom, recordsOf, splitsOf, USUAL_SETTINGS } from '@iunctus/core';
import { aChart } from '@iunctus/core/testing';
import { plainRowWords } from '../../shared/words/look-words';
import { lookedAt, plainAccounts, plainStatement } from './plain-statements';

const CHART = aChart(`
1000 Cash and bank:
  1010 Operating account
3050 Undivided earnings [retainedEarnings]
4010 Sales
6000 People:
  6010 Wages
`);

const overview: OverviewAnswer = {
  client: {} as OverviewAnswer['client'],
  chart: {
    revision: 1,
    settings: USUAL_SETTINGS,
    accounts: [...recordsOf(chartFrom(recordsOf(CHART)))],
    merged: [],
    splits: [...splitsOf(CHART)],
  },
};
const balances: BalancesAnswer = {
  first: '2026-01',
  last: '2026-10',
  amounts: [
    ['1010', 700, 700, 700],
    ['4010', -1000, -1000, -1000],
    ['6010', 300, 300, 300],
  ],
  splits: [],
};

describe('a client at a glance', () => {
  const looked = lookedAt(overview, balances);
  if (looked === null) throw new Error('no chart');

  it('shows what came in and what it cost, in plain words, to the same sum', () => {
    const rows = plainStatement(looked, 'profitAndLoss');
    const last = rows.at(-1);
    expect(last === undefined ? '' : plainRowWords(last)).toBe('Left in the end');
    expect(last).toMatchObject({ amount: 700 });
  });

  it('uses none of the ledger’s own words', () => {
    const words = (['profitAndLoss', 'balanceSheet'] as const)
      .flatMap((code) => plainStatement(looked, code).map(plainRowWords))
      .join(' ');
    expect(words).not.toMatch(/debit|credit|revenue|equity|liabilit|asset|operating expenses/i);
  });

  it('says of each account what belongs there, and what it comes to as a person reads it', () => {
    const sales = plainAccounts(looked).find(({ name }) => name === 'Sales');
    expect(sales).toMatchObject({ level: 1, amount: 1000 });
    expect(sales?.belongs).not.toBe('');
  });

  it('is nothing to show where there is no chart', () => {
    expect(lookedAt({ ...overview, chart: null }, balances)).toBeNull();
  });
});
