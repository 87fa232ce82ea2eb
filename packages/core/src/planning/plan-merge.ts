import type { AccountId } from '../chart/account';
import type { Chart } from '../chart/chart';
import { idByNumber, mergedAccounts, nodeOf, parentIdOf } from '../chart/queries';
import { elementOf } from '../kinds/kinds';
import { suggestNumber } from '../numbering/suggest';
import type { Operation, Unmerge } from '../operations/operation';
import { lastBeforeContra } from './plan-add';

/**
 * The operations that merge an account into another: its sub-accounts move under the other first,
 * in their order and each with its kind. `acrossKinds` says that a difference of kinds is meant.
 */
export const planMerge = (
  chart: Chart,
  id: AccountId,
  { into, acrossKinds }: { readonly into: AccountId; readonly acrossKinds: boolean },
): readonly Operation[] => {
  const [from, target] = [nodeOf(chart, id), nodeOf(chart, into)];
  if (from === undefined || target === undefined) return [];
  let afterId = lastBeforeContra(target.children.filter(({ account }) => account.id !== id));
  const moves = from.children.map(({ account }): Operation => {
    const move: Operation = { type: 'moveNode', id: account.id, parentId: into, afterId };
    afterId = account.id;
    return move;
  });
  return [...moves, { type: 'merge', id, into, acrossKinds }];
};

/**
 * The operation that takes a merge back where its account can stand now: right after the one that
 * counts its postings, with its old number if that is free, else the next one there. `null` when
 * it was not merged.
 */
export const planUnmerge = (chart: Chart, id: AccountId): Unmerge | null => {
  const merged = mergedAccounts(chart).find(({ account }) => account.id === id);
  if (merged === undefined) return null;
  const { account, into } = merged;
  const target = nodeOf(chart, into);
  const beside = target !== undefined && elementOf(target.account.kind) === elementOf(account.kind);
  const place = beside
    ? { parentId: parentIdOf(chart, into), afterId: into }
    : { parentId: null, afterId: chart.roots.at(-1)?.account.id ?? null };
  const taken = account.number !== null && idByNumber(chart, account.number) !== undefined;
  const suggestion = taken ? suggestNumber(chart, { ...place, kind: account.kind }) : null;
  const number = suggestion?.ok === true ? suggestion.number : account.number;
  return { type: 'unmerge', account: { ...account, number }, into, ...place };
};
