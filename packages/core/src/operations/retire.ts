import { isCalendarDate } from '../dates/calendar-date';
import { accountOf, nodeOf, parentIdOf } from '../chart/queries';
import { updateAccount } from '../chart/edit';
import type { Restore, Retire } from './operation';
import { rebaseEdit } from './rebase-rules';
import { accepted, refused, type Rules } from './rules';

/** Closes an account to postings from `on`; balance and history stay on the statements.
 *  Refuses: accountMissing, systemAccount, alreadyRetired, hasOpenChildren, dateMalformed. */
export const retire: Rules<Retire> = {
  apply(chart, { id, on }) {
    const node = nodeOf(chart, id);
    if (node === undefined) return refused({ code: 'accountMissing', accountId: id });
    const about = { accountId: id, field: 'retiredOn' } as const;
    if (!isCalendarDate(on)) return refused({ code: 'dateMalformed', ...about, value: on });
    if (node.account.systemUse !== null) return refused({ code: 'systemAccount', ...about });
    if (node.account.retiredOn !== null) return refused({ code: 'alreadyRetired', ...about });
    const open = node.children.find(({ account }) => account.retiredOn === null);
    if (open !== undefined)
      return refused({ code: 'hasOpenChildren', ...about, otherId: open.account.id });
    return accepted(updateAccount(chart, id, { retiredOn: on }));
  },
  invert: ({ id }) => ({ type: 'restore', id }),
  rebase: (operation, landed) =>
    rebaseEdit(operation, landed, (other) => (other.type === 'retire' ? true : null)),
};

/** Opens a retired account to postings again.
 *  Refuses: accountMissing, notRetired, parentRetired. */
export const restore: Rules<Restore> = {
  apply(chart, { id }) {
    const account = accountOf(chart, id);
    if (account === undefined) return refused({ code: 'accountMissing', accountId: id });
    const about = { accountId: id, field: 'retiredOn' } as const;
    if (account.retiredOn === null) return refused({ code: 'notRetired', ...about });
    const parentId = parentIdOf(chart, id);
    const parent = parentId === null ? undefined : accountOf(chart, parentId);
    if (parent !== undefined && parent.retiredOn !== null)
      return refused({ code: 'parentRetired', ...about, otherId: parent.id });
    return accepted(updateAccount(chart, id, { retiredOn: null }));
  },
  invert({ id }, before) {
    const on = accountOf(before, id)?.retiredOn;
    if (on === null || on === undefined) throw new RangeError(`account ${id} was not retired`);
    return { type: 'retire', id, on };
  },
  rebase: (operation, landed) =>
    rebaseEdit(operation, landed, (other) => (other.type === 'restore' ? true : null)),
};
