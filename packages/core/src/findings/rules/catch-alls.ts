import type { Chart, ChartNode } from '../../chart/chart';
import { elementOf } from '../../kinds/kinds';
import { add, type Minor } from '../../money/minor';
import type { PostedWords } from '../../postings/posted-words';
import { isCatchAll } from '../../text/catch-all';
import { ofYear, ofYearBefore, openAccounts } from '../accounts';
import type { FindingRule, Fix } from '../finding';
import { saidOf, saysSomething } from '../said-of';

const part = (amount: Minor, whole: Minor): number =>
  whole <= 0 ? 0 : Math.round((amount * 1000) / whole);

/** What most of it was said to be: so many of its sorts. */
const HELD = 3;

const heldBy = (chart: Chart, posted: PostedWords | null, node: ChartNode): readonly string[] =>
  posted === null
    ? []
    : saidOf(chart, posted, node)
        .slice(0, HELD)
        .map(({ words }) => words);

/** What makes up so many thousandths of an account is what it is for. */
const ALL = 900;

/** Where all of it is said to be one thing, it can be called that. */
const named = (
  chart: Chart,
  posted: PostedWords | null,
  node: ChartNode,
  amount: Minor,
): readonly Fix[] => {
  const [first] = posted === null ? [] : saidOf(chart, posted, node);
  if (first === undefined || Math.abs(first.amount) * 1000 < amount * ALL) return [];
  if (!saysSomething(first.words)) return [];
  const to = first.words.charAt(0).toUpperCase() + first.words.slice(1);
  const operation = { type: 'editField', id: node.account.id, field: 'name', value: to } as const;
  return [{ says: { does: 'rename', to }, operations: [operation] }];
};

/** “Miscellaneous” and the like that take more of all costs than they should: part of it deserves accounts of its own. */
export const catchAlls: FindingRule<'catchAll'> = ({ chart, use, limits, posted }) => {
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
          facts: { part: now, before, holds: heldBy(chart, posted, node) },
          fixes: named(chart, posted, node, amount),
        },
      ];
    });
};
