import { accountOf, parentIdOf } from '../chart/queries';
import { updateAccount } from '../chart/edit';
import { checkLength, checkName, firstRefusal } from './checks';
import type { EditField } from './operation';
import { rebaseEdit } from './rebase-rules';
import { accepted, refused, type Rules } from './rules';

/** Gives a text of an account another value.
 *  Refuses: accountMissing, textTooLong, and for a name nameEmpty, nameTaken. */
export const editField: Rules<EditField> = {
  apply(chart, { id, field, value }) {
    if (accountOf(chart, id) === undefined)
      return refused({ code: 'accountMissing', accountId: id });
    const refusal = firstRefusal(
      checkLength(id, field, value),
      field === 'name' ? checkName(chart, { id, name: value }, parentIdOf(chart, id)) : null,
    );
    return refusal === null
      ? accepted(updateAccount(chart, id, { [field]: value }))
      : refused(refusal);
  },
  invert: ({ id, field }, before) => ({
    type: 'editField',
    id,
    field,
    value: accountOf(before, id)?.[field] ?? '',
  }),
  rebase: (operation, landed) =>
    rebaseEdit(operation, landed, (other) =>
      other.type === 'editField' && other.field === operation.field
        ? other.value === operation.value
        : null,
    ),
};
