import type { Account } from '../chart/account';
import { absorbInto, insertNode, releaseFrom, removeLeaf } from '../chart/edit';
import type { Chart, ChartNode } from '../chart/chart';
import {
  hasPostings,
  mergedAccount,
  mergedInto,
  nodeOf,
  parentIdOf,
  previousIdOf,
  standsFor,
} from '../chart/queries';
import { elementOf } from '../kinds/kinds';
import { checkAdded } from './add-account';
import type { Merge, Unmerge } from './operation';
import { keep, reanchored, removes } from './rebase-rules';
import type { Refusal } from './refusal';
import { accepted, refused, type Rules } from './rules';

const checkKinds = (
  chart: Chart,
  from: ChartNode,
  into: Account,
  { acrossKinds }: Merge,
): Refusal | null => {
  const { id, kind } = from.account;
  const about = { accountId: id, field: 'kind', value: into.kind, otherId: into.id } as const;
  const memorandum = [kind, into.kind].filter((one) => elementOf(one) === 'memorandum').length;
  if (memorandum === 1 && hasPostings(chart, from))
    return { code: 'memorandumWithPostings', ...about };
  return kind !== into.kind && !acrossKinds ? { code: 'kindsDiffer', ...about } : null;
};

const isOpenIntoRetired = (from: Account, into: Account): boolean =>
  into.retiredOn !== null && from.retiredOn === null;

const isPostingIntoHeading = (from: Account, into: Account): boolean =>
  into.role === 'heading' && from.role === 'posting';

const checkMerge = (chart: Chart, from: ChartNode, operation: Merge): Refusal | null => {
  const { id } = operation;
  const intoId = standsFor(chart, operation.into) ?? operation.into;
  const into = nodeOf(chart, intoId)?.account;
  if (into === undefined) return { code: 'accountMissing', accountId: intoId };
  if (id === intoId) return { code: 'mergeIntoItself', accountId: id };
  if (from.account.systemUse !== null) return { code: 'systemAccount', accountId: id };
  if (from.children.length > 0) return { code: 'hasChildren', accountId: id };
  const again = operation.again === true;
  if (isOpenIntoRetired(from.account, into) && !again)
    return { code: 'mergeIntoRetired', accountId: id, otherId: intoId };
  if (isPostingIntoHeading(from.account, into) && !(again && !hasPostings(chart, from)))
    return { code: 'headingTakesNoPostings', accountId: intoId };
  return checkKinds(chart, from, into, operation);
};

/**
 * Merges an account into another: it leaves the tree, its postings count with the other from now
 * on, its number and name are free again. Postings keep the account that they were made to, so
 * that taking the merge back loses nothing, also after new ones. The other may be merged itself: the postings
 * then count with what it was merged into, so that a merge that was taken out of a chain can be put back.
 * Refuses: accountMissing, mergeIntoItself, systemAccount, hasChildren, mergeIntoRetired,
 * headingTakesNoPostings, memorandumWithPostings, and kindsDiffer unless that is meant.
 */
export const merge: Rules<Merge> = {
  apply(chart, operation) {
    const from = nodeOf(chart, operation.id);
    if (from === undefined) return refused({ code: 'accountMissing', accountId: operation.id });
    const refusal = checkMerge(chart, from, operation);
    if (refusal !== null) return refused(refusal);
    const { into, formerNumber: number = from.account.number } = operation;
    const target = standsFor(chart, into) ?? into;
    const remembered = { ...from, account: { ...from.account, number } };
    return accepted(absorbInto(removeLeaf(chart, from.account), remembered, { into, target }));
  },
  invert({ id, into }, before) {
    const node = nodeOf(before, id);
    if (node === undefined) throw new RangeError(`no account ${id} to bring back`);
    return {
      type: 'unmerge',
      account: node.account,
      into,
      parentId: parentIdOf(before, id),
      afterId: previousIdOf(before, id),
    };
  },
  rebase(operation, landed) {
    const { operation: other } = landed;
    const onward =
      other.type === 'merge' && other.id === operation.into ? other.into : operation.into;
    if (other.type === 'merge' && other.id === operation.id)
      return other.into === operation.into ? { type: 'done' } : { type: 'conflict' };
    if (removes(landed, operation.id)) return { type: 'conflict' };
    return keep({ ...operation, into: onward });
  },
};

/** Takes a merge back: the account stands in its place again, with the postings that are its own.
 *  Refuses: notMerged, and what adding an account there would refuse. */
export const unmerge: Rules<Unmerge> = {
  apply(chart, { account, into, parentId, afterId }) {
    if (mergedInto(chart, account.id) !== into)
      return refused({ code: 'notMerged', accountId: account.id, otherId: into });
    const target = standsFor(chart, into);
    if (target === null) return refused({ code: 'accountMissing', accountId: into });
    const released = releaseFrom(chart, account, target);
    const place = { parentId, afterId };
    const refusal = checkAdded(released.chart, { type: 'addAccount', account, ...place });
    if (refusal !== null) return refused(refusal);
    return accepted(insertNode(released.chart, released.node, place));
  },
  invert({ account, into }, before) {
    const target = nodeOf(before, standsFor(before, into) ?? into)?.account;
    const changed =
      target !== undefined &&
      (isOpenIntoRetired(account, target) || isPostingIntoHeading(account, target));
    const formerNumber = mergedAccount(before, account.id)?.number;
    const renumbered = formerNumber !== undefined && formerNumber !== account.number;
    return {
      type: 'merge',
      id: account.id,
      into,
      acrossKinds: target?.kind !== account.kind,
      ...(changed ? { again: true } : {}),
      ...(renumbered ? { formerNumber } : {}),
    };
  },
  rebase(operation, landed) {
    const { operation: other } = landed;
    if (other.type === 'unmerge' && other.account.id === operation.account.id)
      return { type: 'done' };
    return keep({ ...operation, ...reanchored(operation, landed) });
  },
};
