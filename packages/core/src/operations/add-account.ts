import type { Chart } from '../chart/chart';
import { hasAccount, mergedInto } from '../chart/queries';
import { insertNode, leaf } from '../chart/edit';
import {
  checkCount,
  checkDepth,
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
import type { Refusal } from './refusal';
import { accepted, refused, type Rules } from './rules';

/** Why an account cannot be added in a place, or `null`. */
export const checkAdded = (
  chart: Chart,
  { account, parentId, afterId }: AddAccount,
): Refusal | null => {
  if (hasAccount(chart, account.id) || mergedInto(chart, account.id) !== undefined)
    return { code: 'accountExists', accountId: account.id };
  return firstRefusal(
    checkCount(chart, account.id),
    checkDepth(chart, account.id, { parentId, levels: 1 }),
    checkPlace(chart, account, { parentId, afterId }),
    checkKindUnder(chart, account, parentId),
    checkNumber(chart, account.id, account.number),
    checkName(chart, account, parentId),
    ...(['name', 'shortLabel', 'guidance', 'notes'] as const).map((field) =>
      checkLength(account.id, field, account[field]),
    ),
    checkSettings(chart, account),
  );
};

/** Adds an account in its place.
 *  Refuses: accountExists, parentMissing, parentRetired, neighbourMissing, elementDiffers,
 *  numberMissing, numberMalformed, numberTaken, nameEmpty, nameTaken, textTooLong, settingWrong, dimensionMissing,
 *  tooManyAccounts, tooDeep. */
export const addAccount: Rules<AddAccount> = {
  apply(chart, operation) {
    const { account, parentId, afterId } = operation;
    const refusal = checkAdded(chart, operation);
    if (refusal !== null) return refused(refusal);
    return accepted(insertNode(chart, leaf(account), { parentId, afterId }));
  },
  invert: ({ account }) => ({ type: 'deleteAccount', id: account.id }),
  rebase: (operation, landed) => ({
    type: 'keep',
    operation: { ...operation, ...reanchored(operation, landed) },
  }),
};
