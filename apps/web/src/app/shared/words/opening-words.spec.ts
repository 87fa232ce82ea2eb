import { planOpening, type AmountsTuple, type WantedBalance } from '@iunctus/core';
import { aChart } from '@iunctus/core/testing';
import { callerIn, openingProblems, openingWords } from './opening-words';

const CHART = aChart(`
1000 Cash:
  1010 Bank
2010 Loan
3090 Opening balances [openingBalanceEquity]`);
const CALLED = callerIn(CHART);

const planned = (
  balances: Readonly<Record<string, number>>,
  { chart = CHART, books = [] as readonly AmountsTuple[] } = {},
) => {
  const wanted = Object.entries(balances).map(([accountId, amount]): WantedBalance => ({
    accountId,
    amount,
  }));
  const opening = { last: '2026-10', list: 'balances.csv', balances: wanted };
  return { opening, plan: planOpening(chart, books, wanted) };
};

describe('what listed balances become, in words', () => {
  it('says how many accounts, how much on each side, and where what is open goes', () => {
    expect(openingWords(planned({ '1010': 500_00, '2010': -300_00 }), 'USD', CALLED)).toBe(
      'Opening balances at the end of October 2026, from balances.csv: 2 accounts, 500.00 on each side, of which 200.00 goes to 3090 Opening balances.',
    );
  });

  it('says that the books have them already', () => {
    const same = planned({ '1010': 5 }, { books: [['1010', 5, 5, 5]] });
    expect(openingWords(same, 'USD', CALLED)).toContain('the books have them already');
  });

  it('names each account that takes no postings, and why', () => {
    const { plan } = planned({ '1000': 5, nowhere: 5 });
    expect(openingProblems(plan, 'USD', CALLED)).toEqual([
      '1000 Cash is a heading, so nothing can be posted to it.',
      'An account of the list is not in the chart as proposed, so nothing can be posted to it.',
    ]);
  });

  it('says that what is open has no place', () => {
    const { plan } = planned({ '1010': 5_00 }, { chart: aChart('1010 Bank') });
    expect(openingProblems(plan, 'USD', CALLED)).toEqual([
      'The balances leave 5.00 open, and no account is of the kind Opening balance equity to take it.',
    ]);
  });
});
