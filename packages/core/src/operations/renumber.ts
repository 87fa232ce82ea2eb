import { accountOf } from '../chart/queries';
import { updateAccount } from '../chart/edit';
import { checkNumber } from './checks';
import type { Renumber } from './operation';
import { rebaseEdit } from './rebase-rules';
import { accepted, refused, type Rules } from './rules';

/** Gives an account another number; its place stays.
 *  Refuses: accountMissing, numberMissing, numberMalformed, numberTaken. */
export const renumber: Rules<Renumber> = {
  apply(chart, { id, number }) {
    if (accountOf(chart, id) === undefined)
      return refused({ code: 'accountMissing', accountId: id });
    const refusal = checkNumber(chart, id, number);
    return refusal === null ? accepted(updateAccount(chart, id, { number })) : refused(refusal);
  },
  invert: ({ id }, before) => ({
    type: 'renumber',
    id,
    number: accountOf(before, id)?.number ?? null,
  }),
  rebase: (operation, landed) =>
    rebaseEdit(operation, landed, (other) =>
      other.type === 'renumber'
        ? other.number === operation.number
        : other.type === 'renumberMany'
          ? other.numbers.some(
              ({ id, number }) => id === operation.id && number === operation.number,
            )
          : null,
    ),
};
