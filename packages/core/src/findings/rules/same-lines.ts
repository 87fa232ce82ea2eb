import type { ChartNode } from '../../chart/chart';
import { statementOf } from '../../kinds/kinds';
import { likestOf } from '../../matching/duplicates';
import { planMerge } from '../../planning/plan-merge';
import type { WordsPosted } from '../../postings/posted-words';
import { atStake, openAccounts } from '../accounts';
import type { FindingRule } from '../finding';
import { saidOf } from '../said-of';

/** So often the same must be said in both; said in more accounts than these it says nothing. */
const OFTEN = 3;
const EVERYWHERE = 3;
/** So many thousandths of the smaller account must be of what both say. */
const MOST = 600;
/** Amounts of one payee differ by no more than so many thousandths. */
const ALIKE = 20;

const each = ({ amount, count }: WordsPosted): number => Math.abs(amount) / count;

const isAlike = (one: WordsPosted, other: WordsPosted): boolean =>
  one.count >= OFTEN &&
  other.count >= OFTEN &&
  Math.abs(each(one) - each(other)) * 1000 <= Math.max(each(one), each(other)) * ALIKE;

interface Said {
  readonly node: ChartNode;
  readonly byWords: ReadonlyMap<string, WordsPosted>;
}

/** What both say, with amounts of one size; the words of the one that has less. */
const shared = (less: Said, more: Said, common: ReadonlySet<string>): readonly WordsPosted[] =>
  [...less.byWords.values()].filter((said) => {
    const other = more.byWords.get(said.words);
    return other !== undefined && !common.has(said.words) && isAlike(said, other);
  });

/** What is said in so many accounts that it tells nothing. */
const saidEverywhere = (all: readonly Said[]): ReadonlySet<string> => {
  const counts = new Map<string, number>();
  for (const { byWords } of all)
    for (const words of byWords.keys()) counts.set(words, (counts.get(words) ?? 0) + 1);
  return new Set([...counts].flatMap(([words, count]) => (count > EVERYWHERE ? words : [])));
};

/**
 * Two accounts of one kind to which the same is posted, of the same amounts, under the same words: somebody chose now one
 * and now the other. Accounts whose names say the same are found by their names.
 */
export const sameLines: FindingRule<'sameLines'> = ({ chart, use, posted }) => {
  if (use === null || posted === null) return [];
  const all = openAccounts(chart)
    .filter(({ account }) => statementOf(account.kind) === 'profitAndLoss')
    .map((node): Said => ({
      node,
      byWords: new Map(saidOf(chart, posted, node).map((said) => [said.words, said])),
    }))
    .filter(({ byWords }) => byWords.size > 0)
    .sort((a, b) => atStake(use, a.node) - atStake(use, b.node));
  const common = saidEverywhere(all);
  return all.flatMap((less, at) =>
    all.slice(at + 1).flatMap((more) => {
      const [goes, stays] = [less.node.account, more.node.account];
      if (goes.kind !== stays.kind) return [];
      const same = shared(less, more, common);
      const amount = same.reduce((so, one) => so + Math.abs(one.amount), 0);
      const [first] = same;
      if (first === undefined || amount * 1000 < atStake(use, less.node) * MOST) return [];
      if (likestOf(goes.name, [stays.name]) !== null) return [];
      return [
        {
          code: 'sameLines',
          severity: 'doubtful',
          accountIds: [goes.id, stays.id],
          amount,
          facts: { of: stays.id, words: first.words },
          fixes: [
            {
              says: { does: 'merge', id: goes.id, into: stays.id },
              operations: planMerge(chart, goes.id, { into: stays.id, acrossKinds: false }),
            },
          ],
        },
      ];
    }),
  );
};
