import type { KindCode } from '../kinds/kinds';
import { plainAccount, type Account, type AccountId, type AccountRecord } from './account';
import type { MergedAccount, Split } from './chart';

/**
 * What hides restricted accounts from somebody: which ones, and the account that stands for each of
 * them. Those of one kind under one parent stand together as one “other” account.
 */
export interface Veil {
  readonly hides: (id: AccountId) => boolean;
  /** The account that stands for `id`: itself when it is not hidden. */
  readonly as: (id: AccountId) => AccountId;
}

/** Hides nothing. */
export const NO_VEIL: Veil = { hides: () => false, as: (id) => id };

/** Whether an account only stands for others that are not to be seen; nothing can be done to it. */
export const isVeiled = ({ settings }: Pick<Account, 'settings'>): boolean =>
  settings.restrictedTo?.length === 0;

const isRestrictedFrom = ({ settings }: Account, userId: string): boolean => {
  const { restrictedTo } = settings;
  return restrictedTo !== undefined && restrictedTo.length > 0 && !restrictedTo.includes(userId);
};

/** The accounts that are hidden from a user: restricted ones, and all that stands below them. */
const hiddenFrom = (userId: string, records: readonly AccountRecord[]): Set<AccountId> => {
  const hidden = new Set<AccountId>();
  const below = new Map<AccountId, AccountRecord[]>();
  for (const record of records) {
    const { parentId } = record;
    if (parentId !== null) below.set(parentId, [...(below.get(parentId) ?? []), record]);
  }
  const hide = (record: AccountRecord): void => {
    hidden.add(record.id);
    for (const child of below.get(record.id) ?? []) hide(child);
  };
  for (const record of records) if (isRestrictedFrom(record, userId)) hide(record);
  return hidden;
};

const groupOf = (parentId: AccountId | null, kind: KindCode): string => `${parentId ?? ''}/${kind}`;

/** The veil for a user over a chart's accounts. A merged account that is restricted is hidden too. */
export const veilFor = (
  userId: string,
  records: readonly AccountRecord[],
  merged: readonly MergedAccount[],
): Veil => {
  const hidden = hiddenFrom(userId, records);
  const standing = new Map<string, AccountId>();
  const as = new Map<AccountId, AccountId>();
  const byId = new Map(records.map((record) => [record.id, record]));
  const topOf = (record: AccountRecord): AccountRecord => {
    const parent = record.parentId === null ? undefined : byId.get(record.parentId);
    return parent !== undefined && hidden.has(parent.id) ? topOf(parent) : record;
  };
  for (const record of records.filter(({ id }) => hidden.has(id))) {
    const group = groupOf(topOf(record).parentId, record.kind);
    const id = standing.get(group) ?? record.id;
    standing.set(group, id);
    as.set(record.id, id);
  }
  for (const { account } of merged) if (isRestrictedFrom(account, userId)) hidden.add(account.id);
  return { hides: (id) => hidden.has(id), as: (id) => as.get(id) ?? id };
};

/** What stands for hidden accounts: their number and kind, and no word of what they are. */
const standIn = ({ id, number, kind }: Account): Account =>
  plainAccount({ id, number, name: 'Other', kind }, { settings: { restrictedTo: [] } });

/** The accounts as they are seen through a veil: hidden ones stand together, as last of their siblings' order. */
export const veiledRecords = (
  records: readonly AccountRecord[],
  veil: Veil,
): readonly AccountRecord[] => {
  const byId = new Map(records.map((record) => [record.id, record]));
  const parentOf = ({ parentId }: AccountRecord): AccountId | null => {
    const parent = parentId === null ? undefined : byId.get(parentId);
    return parent !== undefined && veil.hides(parent.id) ? parentOf(parent) : parentId;
  };
  return records.flatMap((record) => {
    if (!veil.hides(record.id)) return [record];
    return veil.as(record.id) === record.id
      ? [{ ...standIn(record), parentId: parentOf(record) }]
      : [];
  });
};

/** Merged accounts as they are seen through a veil. */
export const veiledMerged = (
  merged: readonly MergedAccount[],
  veil: Veil,
): readonly MergedAccount[] =>
  merged.map(({ account, into }) => ({
    account: veil.hides(account.id) ? standIn(account) : account,
    into: veil.as(into),
  }));

/** Splits as they are seen through a veil; those within one “other” account move nothing there. */
export const veiledSplits = (splits: readonly Split[], veil: Veil): readonly Split[] =>
  splits
    .map((split) => ({ ...split, from: veil.as(split.from), into: veil.as(split.into) }))
    .filter(({ from, into }) => from !== into);
