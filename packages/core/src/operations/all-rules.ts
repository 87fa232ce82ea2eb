import { addAccount } from './add-account';
import { changeKind } from './change-kind';
import { changeRole } from './change-role';
import { changeSetting } from './change-setting';
import { deleteAccount } from './delete-account';
import { editField } from './edit-field';
import { merge, unmerge } from './merge';
import { moveNode } from './move-node';
import { renumber } from './renumber';
import { renumberMany } from './renumber-many';
import { restore, retire } from './retire';
import { setDimension } from './set-dimension';
import { setPlan } from './set-plan';
import { split, unsplit } from './split';
import type { OperationOf, OperationType } from './operation';
import type { Rules } from './rules';

/** Every operation with its rules: a row each. */
export const OPERATIONS: { readonly [T in OperationType]: Rules<OperationOf<T>> } = {
  addAccount,
  deleteAccount,
  editField,
  renumber,
  renumberMany,
  setPlan,
  moveNode,
  changeKind,
  changeRole,
  merge,
  unmerge,
  split,
  unsplit,
  changeSetting,
  setDimension,
  retire,
  restore,
};
