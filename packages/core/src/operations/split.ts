import type { Chart, Split } from '../chart/chart';
import { putSplit, removeSplit } from '../chart/edit';
import { getIn, hasIn } from '../collections/persistent-map';
import { knownAccount, splitsOf } from '../chart/queries';
import { elementOf } from '../kinds/kinds';
import { choiceProblem } from '../postings/choice';
import type { SplitOff, Unsplit } from './operation';
import { keep, removes } from './rebase-rules';
import type { Refusal } from './refusal';
import { accepted, refused, type Rules } from './rules';

const isSplitFrom = (chart: Chart, id: string): boolean =>
  splitsOf(chart).some(({ from }) => from === id);

const checkTarget = (chart: Chart, { from: fromId, into: intoId }: Split): Refusal | null => {
  const from = knownAccount(chart, fromId);
  const into = knownAccount(chart, intoId);
  if (from === undefined) return { code: 'accountMissing', accountId: fromId };
  if (into === undefined) return { code: 'accountMissing', accountId: intoId };
  const about = { accountId: fromId, otherId: intoId } as const;
  if (fromId === intoId) return { code: 'splitIntoItself', ...about };
  const heading = [from, into].find(({ role }) => role === 'heading');
  if (heading !== undefined) return { code: 'headingTakesNoPostings', accountId: heading.id };
  const memorandum = [from, into].filter(({ kind }) => elementOf(kind) === 'memorandum').length;
  if (memorandum === 1) return { code: 'memorandumWithPostings', ...about };
  return isSplitFrom(chart, intoId) ? { code: 'splitFurther', accountId: intoId } : null;
};

/**
 * Lets some postings of an account count with another from now on. The entries stay as they were
 * posted, so that taking the split back loses nothing.
 * Refuses: splitExists, accountMissing, splitIntoItself, headingTakesNoPostings,
 * memorandumWithPostings, splitFurther (what was split already takes nothing in), choiceWrong.
 */
export const split: Rules<SplitOff> = {
  apply(chart, { split: own }) {
    if (hasIn(chart.splits, own.id)) return refused({ code: 'splitExists', accountId: own.from });
    const problem = choiceProblem(own.choice);
    const refusal =
      problem === null
        ? checkTarget(chart, own)
        : ({ code: 'choiceWrong', accountId: own.from, value: problem } as const);
    return refusal === null ? accepted(putSplit(chart, own)) : refused(refusal);
  },
  invert: ({ split: own }) => ({ type: 'unsplit', split: own }),
  rebase(operation, landed) {
    const { operation: other } = landed;
    if (other.type === 'split' && other.split.id === operation.split.id) return { type: 'done' };
    return removes(landed, operation.split.into) ? { type: 'conflict' } : keep(operation);
  },
};

/** Takes a split back: the postings count where they did before.
 *  Refuses: notSplit, splitFurther (the account that they went to was split in its turn). */
export const unsplit: Rules<Unsplit> = {
  apply(chart, { split: { id, from, into } }) {
    const own = getIn(chart.splits, id);
    if (own === undefined) return refused({ code: 'notSplit', accountId: from });
    if (isSplitFrom(chart, into)) return refused({ code: 'splitFurther', accountId: into });
    return accepted(removeSplit(chart, own));
  },
  invert: ({ split: own }) => ({ type: 'split', split: own }),
  rebase: (operation, { operation: other }) =>
    other.type === 'unsplit' && other.split.id === operation.split.id
      ? { type: 'done' }
      : keep(operation),
};
