import { elementOf } from '../../kinds/kinds';
import { add, type Minor } from '../../money/minor';
import { isCatchAll } from '../../text/catch-all';
import { ofYear, ofYearBefore, openAccounts } from '../accounts';
import type { FindingRule } from '../finding';

const part = (amount: Minor, whole: Minor): number =>
  whole <= 0 ? 0 : Math.round((amount * 1000) / whole);

/** “Miscellaneous” and the like that take more of all costs than they should: part of it deserves accounts of its own. */
export const catchAlls: FindingRule<'catchAll'> = ({ chart, use, limits }) => {
  if (use === null) return [];
  const costs = openAccounts(chart).filter(({ account }) => elementOf(account.kind) === 'expense');
  const sumOf = (of: typeof ofYear): Minor => costs.reduce((so, node) => add(so, of(use, node)), 0);
  const [all, allBefore] = [sumOf(ofYear), sumOf(ofYearBefore)];
  return costs
    .filter(({ account }) => isCatchAll(account.name))
    .flatMap((node) => {
      const amount = ofYear(use, node);
      const now = part(amount, all);
      if (now <= limits.catchAllPart) return [];
      const before = part(ofYearBefore(use, node), allBefore);
      return [
        {
          code: 'catchAll',
          severity:
            now > limits.catchAllMuch || (before > 0 && now > before)
              ? 'doubtful'
              : 'couldBeNeater',
          accountIds: [node.account.id],
          amount,
          facts: { part: now, before },
          fixes: [],
        },
      ];
    });
};
