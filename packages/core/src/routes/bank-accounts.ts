import type { Account } from '../chart/account';
import type { Chart } from '../chart/chart';
import { eachNode } from '../chart/queries';
import type { KindCode } from '../kinds/kinds';

/** The kinds of accounts of which a bank tells. */
export const AT_A_BANK: readonly KindCode[] = ['bank', 'restrictedCash', 'cardPayable'];

/** The accounts that take postings and whose lines come from elsewhere: from a bank, or from who holds money (clearing). */
export const toldAccounts = (chart: Chart): readonly Account[] =>
  [...eachNode(chart.roots)]
    .map(({ account }) => account)
    .filter(
      ({ kind, role, retiredOn }) =>
        (AT_A_BANK.includes(kind) || kind === 'clearing') &&
        role === 'posting' &&
        retiredOn === null,
    );
