import { nodeOf, parentIdOf, previousIdOf } from '../chart/queries';
import { removeLeaf } from '../chart/edit';
import { concerns, type DeleteAccount } from './operation';
import { keep } from './rebase-rules';
import { accepted, refused, type Rules } from './rules';

/** Removes an account that was never posted to.
 *  Refuses: accountMissing, systemAccount, hasChildren, hasMerged, hasSplits, hasPostings. */
export const deleteAccount: Rules<DeleteAccount> = {
  apply(chart, { id }) {
    const node = nodeOf(chart, id);
    if (node === undefined) return refused({ code: 'accountMissing', accountId: id });
    if (node.account.systemUse !== null) return refused({ code: 'systemAccount', accountId: id });
    if (node.children.length > 0) return refused({ code: 'hasChildren', accountId: id });
    if (node.absorbed.length > 0) return refused({ code: 'hasMerged', accountId: id });
    if (node.splits.length > 0) return refused({ code: 'hasSplits', accountId: id });
    if (chart.posted.has(id)) return refused({ code: 'hasPostings', accountId: id });
    return accepted(removeLeaf(chart, node.account));
  },
  invert({ id }, before) {
    const node = nodeOf(before, id);
    if (node === undefined) throw new RangeError(`no account ${id} to bring back`);
    return {
      type: 'addAccount',
      account: node.account,
      parentId: parentIdOf(before, id),
      afterId: previousIdOf(before, id),
    };
  },
  rebase(operation, { operation: other }) {
    if (!concerns(other, operation.id)) return keep(operation);
    return other.type === 'deleteAccount' ? { type: 'done' } : { type: 'conflict' };
  },
};
