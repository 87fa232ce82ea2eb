import type { KindCode } from '../kinds/kinds';
import type { Minor } from '../money/minor';

/** What is odd about a balance: it is shown where it stands, and said. */
export type OddBalance = 'overdrawn' | 'owedBySupplier' | 'owedToCustomer' | 'toBeCleared';

/** What is odd about the balance of an account of a kind (debit positive); `null` for nothing. Common practice, no source. */
export const oddBalance = (kind: KindCode, balance: Minor): OddBalance | null => {
  if (balance === 0) return null;
  switch (kind) {
    case 'bank':
    case 'cashOnHand':
      return balance < 0 ? 'overdrawn' : null;
    case 'tradePayable':
      return balance > 0 ? 'owedBySupplier' : null;
    case 'tradeReceivable':
      return balance < 0 ? 'owedToCustomer' : null;
    case 'openingBalanceEquity':
      return 'toBeCleared';
    default:
      return null;
  }
};
