import { hasAccount, mergedInto } from '../chart/queries';
import { insertNode, leaf } from '../chart/edit';
import {
  checkKindUnder,
  checkLength,
  checkName,
  checkNumber,
  checkPlace,
  firstRefusal,
} from './checks';
import { checkSettings } from './change-setting';
import type { AddAccount } from './operation';
import { reanchored } from './rebase-rules';
import { accepted, refused, type Rules } from './rules';

/** Adds an account in its place.
 *  Refuses: accountExists, parentMissing, parentRetired, neighbourMissing, elementDiffers,
 *  numberMissing, numberMalformed, numberTaken, nameEmpty, nameTaken, textTooLong, settingWrong, dimensionMissing. */
export const addAccount: Rules<AddAccount> = {
  apply(chart, { account, parentId, afterId }) {
    if (hasAccount(chart, account.id) || mergedInto(chart, account.id) !== undefined)
      return refused({ code: 'accountExists', accountId: account.id });
    const refusal = firstRefusal(
      checkPlace(chart, account, { parentId, afterId }),
      checkKindUnder(chart, account, parentId),
      checkNumber(chart, account.id, account.number),
      checkName(chart, account, parentId),
      ...(['name', 'shortLabel', 'guidance', 'notes'] as const).map((field) =>
        checkLength(account.id, field, account[field]),
      ),
      checkSettings(chart, account),
    );
    if (refusal !== null) return refused(refusal);
    return accepted(insertNode(chart, leaf(account, chart), { parentId, afterId }));
  },
  invert: ({ account }) => ({ type: 'deleteAccount', id: account.id }),
  rebase: (operation, landed) => ({
    type: 'keep',
    operation: { ...operation, ...reanchored(operation, landed) },
  }),
};
