import type { Account, AccountId, Role } from '../chart/account';
import type { Split } from '../chart/chart';
import type { Place } from '../chart/edit';
import type { CalendarDate } from '../dates/calendar-date';
import type { KindCode } from '../kinds/kinds';
import type { Dimension } from '../dimensions/dimension';
import type { NumberPlan } from '../plan/number-plan';
import type { AccountSettings, SettingName } from '../settings/account-settings';

/** Puts a new account in its place. */
export interface AddAccount extends Place {
  readonly type: 'addAccount';
  readonly account: Account;
}
/** Removes an account that nothing hangs on. */
export interface DeleteAccount {
  readonly type: 'deleteAccount';
  readonly id: AccountId;
}
/** The texts of an account that can be edited one by one. */
export const TEXT_FIELDS = ['name', 'shortLabel', 'guidance', 'notes'] as const;
export type TextField = (typeof TEXT_FIELDS)[number];
/** Gives a text field another value. */
export interface EditField {
  readonly type: 'editField';
  readonly id: AccountId;
  readonly field: TextField;
  readonly value: string;
}
/** Gives an account another number, or none. */
export interface Renumber {
  readonly type: 'renumber';
  readonly id: AccountId;
  readonly number: string | null;
}
/** A number for one of many accounts; `null` for none. */
export interface NumberGiven {
  readonly id: AccountId;
  readonly number: string | null;
}
/** Gives many accounts other numbers in one step; they may swap. */
export interface RenumberMany {
  readonly type: 'renumberMany';
  readonly numbers: readonly NumberGiven[];
}
/** Gives the chart another number plan. */
export interface SetPlan {
  readonly type: 'setPlan';
  readonly plan: NumberPlan;
  readonly numbered: boolean;
}
/** Moves an account, and all below it, to another place. */
export interface MoveNode extends Place {
  readonly type: 'moveNode';
  readonly id: AccountId;
}
/** Gives an account another kind, and so perhaps another statement line. */
export interface ChangeKind {
  readonly type: 'changeKind';
  readonly id: AccountId;
  readonly kind: KindCode;
}
/** Makes a heading of a posting account, or the reverse. */
export interface ChangeRole {
  readonly type: 'changeRole';
  readonly id: AccountId;
  readonly role: Role;
}
/** Lets the postings of an account count with another; the account leaves the tree. */
export interface Merge {
  readonly type: 'merge';
  readonly id: AccountId;
  readonly into: AccountId;
  /** That the two are of different kinds, and that this is meant. */
  readonly acrossKinds: boolean;
  /** Puts a merge back that was taken out; that the other was retired, or made a heading, meanwhile does not matter. */
  readonly again?: true;
  /** The number that it had before it was merged, where it came back with another one; remembered instead of that. */
  readonly formerNumber?: string | null;
}
/** Takes a merge back. */
export interface Unmerge extends Place {
  readonly type: 'unmerge';
  readonly account: Account;
  readonly into: AccountId;
}
/** Lets some postings of an account count with another. */
export interface SplitOff {
  readonly type: 'split';
  readonly split: Split;
}
/** Takes a split back. */
export interface Unsplit {
  readonly type: 'unsplit';
  readonly split: Split;
}
/** Gives one setting of an account a value, or with `null` the usual one of its kind. */
export type ChangeSetting = {
  readonly [K in SettingName]: {
    readonly type: 'changeSetting';
    readonly id: AccountId;
    readonly setting: K;
    readonly value: NonNullable<AccountSettings[K]> | null;
  };
}[SettingName];
/** Adds, changes or removes (`dimension` null) a dimension; a new one goes after `afterId`. */
export interface SetDimension {
  readonly type: 'setDimension';
  readonly id: string;
  readonly dimension: Dimension | null;
  readonly afterId: string | null;
}
/** Closes an account to new postings from a day on; its history stays. */
export interface Retire {
  readonly type: 'retire';
  readonly id: AccountId;
  readonly on: CalendarDate;
}
/** Opens a retired account again. */
export interface Restore {
  readonly type: 'restore';
  readonly id: AccountId;
}

/** Every way in which a chart can change. Plain data, equal after a trip through JSON. */
export type Operation =
  | AddAccount
  | DeleteAccount
  | EditField
  | Renumber
  | RenumberMany
  | SetPlan
  | MoveNode
  | ChangeKind
  | ChangeRole
  | Merge
  | Unmerge
  | SplitOff
  | Unsplit
  | ChangeSetting
  | SetDimension
  | Retire
  | Restore;

export type OperationType = Operation['type'];

/** The operation of a type. */
export type OperationOf<T extends OperationType> = Extract<Operation, { readonly type: T }>;

/** The accounts that an operation is about; none where it is about the chart itself. */
export const subjectsOf = (operation: Operation): readonly AccountId[] => {
  switch (operation.type) {
    case 'addAccount':
      return [operation.account.id];
    case 'renumberMany':
      return operation.numbers.map(({ id }) => id);
    case 'setPlan':
    case 'setDimension':
      return [];
    case 'split':
    case 'unsplit':
      return [operation.split.from, operation.split.into];
    case 'merge':
      return [operation.id, operation.into];
    case 'unmerge':
      return [operation.account.id, operation.into];
    default:
      return [operation.id];
  }
};

/** The accounts that an operation is about, and the one under which it puts something. */
export const touchedBy = (operation: Operation): readonly AccountId[] => {
  const subjects = subjectsOf(operation);
  const parentId = 'parentId' in operation ? operation.parentId : null;
  return parentId === null ? subjects : [...subjects, parentId];
};

/** Whether an operation is about an account. */
export const concerns = (operation: Operation, id: AccountId): boolean =>
  operation.type === 'renumberMany'
    ? operation.numbers.some((one) => one.id === id)
    : subjectsOf(operation).includes(id);
