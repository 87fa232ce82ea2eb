import type { Account, AccountId, Role } from '../chart/account';
import type { Place } from '../chart/edit';
import type { CalendarDate } from '../dates/calendar-date';
import type { KindCode } from '../kinds/kinds';

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
export type TextField = 'name' | 'shortLabel' | 'guidance' | 'notes';
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
  | MoveNode
  | ChangeKind
  | ChangeRole
  | Retire
  | Restore;

export type OperationType = Operation['type'];

/** The account that an operation is about. */
export const subjectOf = (operation: Operation): AccountId =>
  operation.type === 'addAccount' ? operation.account.id : operation.id;
