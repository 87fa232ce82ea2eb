import {
  isChosen,
  splitsOf,
  type Chart,
  type Operation,
  type Posting,
  type Split,
} from '@iunctus/core';
import type { ChartHead } from '../charts/charts.queries';
import type { Reader, Transaction } from '../database/transaction';
import { deleteSplits, insertSplit, manyPostingsAt } from './splits.queries';

/**
 * The postings that each of several new splits moves, one split after the other: what one took,
 * the next does not find. `without` names adopted splits that are to be taken back before.
 */
export const postingsOfSplits = async (
  on: Reader,
  head: ChartHead,
  splits: readonly Split[],
  without: readonly string[] = [],
): Promise<ReadonlyMap<string, readonly Posting[]>> => {
  const here = new Map<string, readonly Posting[]>();
  const at = async (accountId: string): Promise<readonly Posting[]> =>
    here.get(accountId) ?? (await manyPostingsAt(on, head, accountId, without));
  const moved = new Map<string, readonly Posting[]>();
  for (const { id, from, into, choice } of splits) {
    const postings = await at(from);
    const chosen = postings.filter((posting) => isChosen(posting, choice));
    moved.set(id, chosen);
    here.set(
      from,
      postings.filter((posting) => !isChosen(posting, choice)),
    );
    here.set(into, [...(await at(into)), ...chosen]);
  }
  return moved;
};

/**
 * Stores the splits in which two states of a chart differ, in the order in which the operations
 * made them: what one took, the next does not find. The accounts are stored already.
 */
export const storeSplits = async (
  on: Transaction,
  head: ChartHead,
  charts: { readonly before: Chart; readonly after: Chart },
  operations: readonly Operation[],
): Promise<void> => {
  const gone = splitsOf(charts.before).filter(({ id }) => !hasSplit(charts.after, id));
  if (gone.length > 0)
    await deleteSplits(
      on,
      head,
      gone.map(({ id }) => id),
    );
  const added = operations.flatMap((operation) =>
    operation.type === 'split' && isNew(charts, operation.split.id) ? operation.split : [],
  );
  const postings = await postingsOfSplits(on, head, added);
  for (const split of added) await insertSplit(on, head, split, postings.get(split.id) ?? []);
};

const hasSplit = (chart: Chart, id: string): boolean =>
  splitsOf(chart).some((split) => split.id === id);

const isNew = ({ before, after }: { readonly before: Chart; readonly after: Chart }, id: string) =>
  hasSplit(after, id) && !hasSplit(before, id);
