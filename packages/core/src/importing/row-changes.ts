import type { Account, AccountId, Role } from '../chart/account';
import type { CalendarDate } from '../dates/calendar-date';
import { withBudgetOfEvery } from '../ledger/budgets';
import { isOffered } from '../settings/rules';
import type { Minor } from '../money/minor';
import type { Operation } from '../operations/operation';
import type { ImportEntry } from './entry';
import type { RowKind } from './import-kinds';
import type { ImportChange } from './import-plan';

/** What a row wants of an account that is there. */
export interface RowWish {
  readonly entry: ImportEntry;
  readonly kind: RowKind;
  /** The parent that the list states; `undefined` where it states none. */
  readonly parentId: AccountId | null | undefined;
}

/** A change with the operation that makes it; `null` where it is made elsewhere (numbers, places). */
export interface WishedChange extends ImportChange {
  readonly operation: Operation | null;
}

const TEXTS = ['name', 'shortLabel', 'guidance', 'notes'] as const;

const textChanges = (account: Account, entry: ImportEntry): readonly WishedChange[] =>
  TEXTS.flatMap((field): WishedChange[] => {
    const to = entry[field];
    if (to === null || to === account[field]) return [];
    const operation: Operation = { type: 'editField', id: account.id, field, value: to };
    return [{ field, from: account[field], to, operation }];
  });

const roleChange = (account: Account, role: Role | null): readonly WishedChange[] => {
  if (role === null || role === account.role) return [];
  const operation: Operation = { type: 'changeRole', id: account.id, role };
  return [{ field: 'role', from: account.role, to: role, operation }];
};

const kindChange = (account: Account, { kind, stated }: RowKind): readonly WishedChange[] => {
  if (!stated || kind === account.kind) return [];
  const operation: Operation = { type: 'changeKind', id: account.id, kind };
  return [{ field: 'kind', from: account.kind, to: kind, operation }];
};

const retiredChange = (
  { id, retiredOn }: Account,
  retired: CalendarDate | 'open' | null,
): readonly WishedChange[] => {
  if (retired === null || (retired !== 'open') === (retiredOn !== null)) return [];
  const operation: Operation =
    retired === 'open' ? { type: 'restore', id } : { type: 'retire', id, on: retired };
  return [
    { field: 'retired', from: retiredOn ?? '', to: retired === 'open' ? '' : retired, operation },
  ];
};

/** What is expected in every year, where that is one amount. */
const yearly = ({ settings: { budget } }: Account): Minor | null => {
  const every = budget?.per === 'years' ? budget.every : budget;
  return every?.per === 'year' ? every.amount : null;
};

/** A budget as a person reads it; no operation where the account keeps none. */
export const budgetChange = (account: Account, budget: Minor | null): readonly WishedChange[] => {
  const former = yearly(account);
  if (budget === null || budget === former || !isOffered(account, 'budget')) return [];
  // Years that have a budget of their own keep it.
  const value = withBudgetOfEvery(account.settings.budget, { per: 'year', amount: budget });
  const operation: Operation = { type: 'changeSetting', id: account.id, setting: 'budget', value };
  return [{ field: 'budget', from: String(former ?? ''), to: String(budget), operation }];
};

/** Everything that a row has otherwise than the account that it is; what the row does not say stays. */
export const changesWished = (
  account: Account,
  parentId: AccountId | null,
  { entry, kind, parentId: wished }: RowWish,
): readonly WishedChange[] => [
  ...(entry.number === null || entry.number === account.number
    ? []
    : [
        { field: 'number', from: account.number ?? '', to: entry.number, operation: null } as const,
      ]),
  ...textChanges(account, entry),
  ...(wished === undefined || wished === parentId
    ? []
    : [{ field: 'parent', from: parentId ?? '', to: wished ?? '', operation: null } as const]),
  ...kindChange(account, kind),
  ...roleChange(account, entry.role),
  ...retiredChange(account, entry.retired),
  ...budgetChange({ ...account, kind: kind.kind }, entry.budget),
];
