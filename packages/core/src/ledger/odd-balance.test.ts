import { oddBalance } from './odd-balance';

describe('a balance that is odd for its kind', () => {
  it.each([
    ['bank', -1, 'overdrawn'],
    ['bank', 1, null],
    ['cashOnHand', -5_00, 'overdrawn'],
    ['tradePayable', 5_00, 'owedBySupplier'],
    ['tradePayable', -5_00, null],
    ['tradeReceivable', -5_00, 'owedToCustomer'],
    ['openingBalanceEquity', 5_00, 'toBeCleared'],
    ['openingBalanceEquity', -5_00, 'toBeCleared'],
    ['openingBalanceEquity', 0, null],
    ['shortTermBorrowing', 5_00, null],
  ] as const)('%s of %i is %p', (kind, balance, odd) => {
    expect(oddBalance(kind, balance)).toBe(odd);
  });
});
