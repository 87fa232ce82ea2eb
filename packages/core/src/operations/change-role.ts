import { accountOf, hasPostings, nodeOf } from '../chart/queries';
import { updateAccount } from '../chart/edit';
import type { ChangeRole } from './operation';
import { rebaseEdit } from './rebase-rules';
import { accepted, refused, type Rules } from './rules';

/** Makes a heading of a posting account, or the reverse.
 *  Refuses: accountMissing, and for a heading headingTakesNoPostings, systemAccount. */
export const changeRole: Rules<ChangeRole> = {
  apply(chart, { id, role }) {
    const node = nodeOf(chart, id);
    if (node === undefined) return refused({ code: 'accountMissing', accountId: id });
    const about = { accountId: id, field: 'role' } as const;
    if (role === 'heading' && hasPostings(chart, node))
      return refused({ code: 'headingTakesNoPostings', ...about });
    if (role === 'heading' && node.account.systemUse !== null)
      return refused({ code: 'systemAccount', ...about });
    return accepted(updateAccount(chart, id, { role }));
  },
  invert: ({ id }, before) => ({
    type: 'changeRole',
    id,
    role: accountOf(before, id)?.role ?? 'posting',
  }),
  rebase: (operation, landed) =>
    rebaseEdit(operation, landed, (other) =>
      other.type === 'changeRole' ? other.role === operation.role : null,
    ),
};
