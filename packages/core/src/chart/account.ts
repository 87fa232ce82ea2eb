import type { CalendarDate } from '../dates/calendar-date';
import type { KindCode } from '../kinds/kinds';
import type { AccountSettings } from '../settings/account-settings';

/** The identity of an account; it outlives every number and name. */
export type AccountId = string;

/** A heading takes no postings; a posting account does, and may have sub-accounts too. */
export type Role = 'heading' | 'posting';

/** What the system itself needs an account for; such an account can be renamed and renumbered, not removed. */
export type SystemUse = 'retainedEarnings';

/** One account of a chart, without its place in the tree. */
export interface Account {
  readonly id: AccountId;
  /** Unique in its chart; `null` in an unnumbered chart. */
  readonly number: string | null;
  readonly name: string;
  /** A shorter name for documents; empty when the name serves. */
  readonly shortLabel: string;
  /** What belongs here, and what does not. */
  readonly guidance: string;
  readonly notes: string;
  readonly role: Role;
  readonly kind: KindCode;
  /** The day from which nothing new is posted; `null` while the account is open. */
  readonly retiredOn: CalendarDate | null;
  readonly systemUse: SystemUse | null;
  readonly settings: AccountSettings;
}

/** An open posting account without texts, its settings those of its kind; `more` says what is otherwise. */
export const plainAccount = (
  { id, number, name, kind }: Pick<Account, 'id' | 'number' | 'name' | 'kind'>,
  more: Partial<Account> = {},
): Account => ({
  id,
  number,
  name,
  shortLabel: '',
  guidance: '',
  notes: '',
  role: 'posting',
  kind,
  retiredOn: null,
  systemUse: null,
  settings: {},
  ...more,
});

/** An account with the parent it stands under, as stored and sent. */
export interface AccountRecord extends Account {
  readonly parentId: AccountId | null;
}

/** How an account is called in a sentence: number and name. */
export const titleOf = (account: Pick<Account, 'number' | 'name'>): string =>
  account.number === null ? account.name : `${account.number} ${account.name}`;
