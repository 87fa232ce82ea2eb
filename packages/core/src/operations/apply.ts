import type { Chart } from '../chart/chart';
import { accountOf } from '../chart/queries';
import { isVeiled } from '../chart/veil';
import { addAccount } from './add-account';
import { changeKind } from './change-kind';
import { changeRole } from './change-role';
import { changeSetting } from './change-setting';
import { deleteAccount } from './delete-account';
import { editField } from './edit-field';
import { merge, unmerge } from './merge';
import { moveNode } from './move-node';
import { touchedBy, type Operation } from './operation';
import { renumber } from './renumber';
import { renumberMany } from './renumber-many';
import type { Refusal } from './refusal';
import { restore, retire } from './retire';
import { refused, type Landed, type Outcome, type Rebased } from './rules';
import { setDimension } from './set-dimension';
import { setPlan } from './set-plan';
import { split, unsplit } from './split';

const applyAllowed = (chart: Chart, operation: Operation): Outcome => {
  switch (operation.type) {
    case 'addAccount':
      return addAccount.apply(chart, operation);
    case 'deleteAccount':
      return deleteAccount.apply(chart, operation);
    case 'editField':
      return editField.apply(chart, operation);
    case 'renumber':
      return renumber.apply(chart, operation);
    case 'renumberMany':
      return renumberMany.apply(chart, operation);
    case 'setPlan':
      return setPlan.apply(chart, operation);
    case 'moveNode':
      return moveNode.apply(chart, operation);
    case 'changeKind':
      return changeKind.apply(chart, operation);
    case 'changeRole':
      return changeRole.apply(chart, operation);
    case 'merge':
      return merge.apply(chart, operation);
    case 'unmerge':
      return unmerge.apply(chart, operation);
    case 'split':
      return split.apply(chart, operation);
    case 'unsplit':
      return unsplit.apply(chart, operation);
    case 'changeSetting':
      return changeSetting.apply(chart, operation);
    case 'setDimension':
      return setDimension.apply(chart, operation);
    case 'retire':
      return retire.apply(chart, operation);
    case 'restore':
      return restore.apply(chart, operation);
    default:
      return operation satisfies never;
  }
};

const veiledAmong = (chart: Chart, operation: Operation): string | undefined => {
  // Renumbering names thousands of accounts; it gives veiled ones their number and no other.
  if (operation.type === 'renumberMany') return undefined;
  return touchedBy(operation).find((id) => {
    const account = accountOf(chart, id);
    return account !== undefined && isVeiled(account);
  });
};

/** The chart after one operation, or a typed refusal. Never throws over data.
 *  Refuses: restrictedAccount (what only stands for accounts that are not to be seen), and what the operation refuses. */
export const apply = (chart: Chart, operation: Operation): Outcome => {
  const veiled = veiledAmong(chart, operation);
  return veiled === undefined
    ? applyAllowed(chart, operation)
    : refused({ code: 'restrictedAccount', accountId: veiled });
};

/** The operation that takes `operation` back; `before` is the chart to which it was applied. */
export const invert = (operation: Operation, before: Chart): Operation => {
  switch (operation.type) {
    case 'addAccount':
      return addAccount.invert(operation, before);
    case 'deleteAccount':
      return deleteAccount.invert(operation, before);
    case 'editField':
      return editField.invert(operation, before);
    case 'renumber':
      return renumber.invert(operation, before);
    case 'renumberMany':
      return renumberMany.invert(operation, before);
    case 'setPlan':
      return setPlan.invert(operation, before);
    case 'moveNode':
      return moveNode.invert(operation, before);
    case 'changeKind':
      return changeKind.invert(operation, before);
    case 'changeRole':
      return changeRole.invert(operation, before);
    case 'merge':
      return merge.invert(operation, before);
    case 'unmerge':
      return unmerge.invert(operation, before);
    case 'split':
      return split.invert(operation, before);
    case 'unsplit':
      return unsplit.invert(operation, before);
    case 'changeSetting':
      return changeSetting.invert(operation, before);
    case 'setDimension':
      return setDimension.invert(operation, before);
    case 'retire':
      return retire.invert(operation, before);
    case 'restore':
      return restore.invert(operation, before);
    default:
      return operation satisfies never;
  }
};

/** What becomes of a pending operation after another has landed first. */
export const rebase = (operation: Operation, landed: Landed): Rebased => {
  switch (operation.type) {
    case 'addAccount':
      return addAccount.rebase(operation, landed);
    case 'deleteAccount':
      return deleteAccount.rebase(operation, landed);
    case 'editField':
      return editField.rebase(operation, landed);
    case 'renumber':
      return renumber.rebase(operation, landed);
    case 'renumberMany':
      return renumberMany.rebase(operation, landed);
    case 'setPlan':
      return setPlan.rebase(operation, landed);
    case 'moveNode':
      return moveNode.rebase(operation, landed);
    case 'changeKind':
      return changeKind.rebase(operation, landed);
    case 'changeRole':
      return changeRole.rebase(operation, landed);
    case 'merge':
      return merge.rebase(operation, landed);
    case 'unmerge':
      return unmerge.rebase(operation, landed);
    case 'split':
      return split.rebase(operation, landed);
    case 'unsplit':
      return unsplit.rebase(operation, landed);
    case 'changeSetting':
      return changeSetting.rebase(operation, landed);
    case 'setDimension':
      return setDimension.rebase(operation, landed);
    case 'retire':
      return retire.rebase(operation, landed);
    case 'restore':
      return restore.rebase(operation, landed);
    default:
      return operation satisfies never;
  }
};

/** A batch applied whole, with its inverse in the order in which it must be applied; or the first refusal. */
export type BatchOutcome =
  | { readonly ok: true; readonly chart: Chart; readonly landed: readonly Landed[] }
  | { readonly ok: false; readonly refusal: Refusal; readonly index: number };

/** Applies operations one after the other, all or none. `index` is the place of the refused one. */
export const applyAll = (chart: Chart, operations: readonly Operation[]): BatchOutcome => {
  const landed: Landed[] = [];
  let current = chart;
  for (const [index, operation] of operations.entries()) {
    const outcome = apply(current, operation);
    if (!outcome.ok) return { ok: false, refusal: outcome.refusal, index };
    landed.push({ operation, inverse: invert(operation, current) });
    current = outcome.chart;
  }
  return { ok: true, chart: current, landed };
};

/** The operations that take a batch back, in the order in which to apply them. */
export const inverseOf = (landed: readonly Landed[]): readonly Operation[] =>
  landed.map(({ inverse }) => inverse).reverse();
