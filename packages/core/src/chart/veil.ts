import { add } from '../money/minor';
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
  /** Whether it hides anything at all. */
  readonly isDrawn: boolean;
}

/** Hides nothing. */
export const NO_VEIL: Veil = { hides: () => false, as: (id) => id, isDrawn: false };

/** Whether an account only stands for others that are not to be seen; nothing can be done to it. */
export const isVeiled = ({ settings }: Pick<Account, 'settings'>): boolean =>
  settings.restrictedTo?.length === 0;

/** An account that left the tree while only some could see it: one list for it and for each restricted one above it. */
export interface VeiledGone {
  readonly id: AccountId;
  readonly seenBy: readonly (readonly string[])[];
}

/** Whether an account shows itself to a user; those that stand for others show themselves to everybody. */
export const isRestrictedFrom = (
  { settings }: Pick<Account, 'settings'>,
  userId: string,
): boolean => {
  const { restrictedTo } = settings;
  return restrictedTo !== undefined && restrictedTo.length > 0 && !restrictedTo.includes(userId);
};

/** The accounts that are hidden from a user: restricted ones, and all that stands below them. */
const hiddenFrom = (userId: string, records: readonly AccountRecord[]): Set<AccountId> => {
  const below = new Map<AccountId, AccountId[]>();
  for (const { id, parentId } of records) {
    if (parentId === null) continue;
    const known = below.get(parentId);
    if (known === undefined) below.set(parentId, [id]);
    else known.push(id);
  }
  const reached = records.filter((record) => isRestrictedFrom(record, userId)).map(({ id }) => id);
  const hidden = new Set(reached);
  for (let at = 0; at < reached.length; at += 1)
    for (const id of below.get(reached[at] ?? '') ?? [])
      if (!hidden.has(id)) {
        hidden.add(id);
        reached.push(id);
      }
  return hidden;
};

const groupOf = (parentId: AccountId | null, kind: KindCode): string => `${parentId ?? ''}/${kind}`;

/** Which account stands for each hidden one of the tree: the first of its kind below the same parent that is seen. */
const standingFor = (
  records: readonly AccountRecord[],
  hidden: ReadonlySet<AccountId>,
): Map<AccountId, AccountId> => {
  const standing = new Map<string, AccountId>();
  const as = new Map<AccountId, AccountId>();
  const byId = new Map(records.map((record) => [record.id, record]));
  const seenParentOf = (record: AccountRecord): AccountId | null => {
    let { parentId } = record;
    while (parentId !== null && hidden.has(parentId))
      parentId = byId.get(parentId)?.parentId ?? null;
    return parentId;
  };
  for (const record of records.filter(({ id }) => hidden.has(id))) {
    const group = groupOf(seenParentOf(record), record.kind);
    const id = standing.get(group) ?? record.id;
    standing.set(group, id);
    as.set(record.id, id);
  }
  return as;
};

/** What a veil is made of: the accounts of a chart, those that were merged, and those that are gone and were hidden. */
export interface VeilSource {
  readonly records: readonly AccountRecord[];
  readonly merged: readonly MergedAccount[];
  readonly gone: readonly VeiledGone[];
}

/** The veil for a user over a chart's accounts. Merged and removed ones that were restricted are hidden too. */
export const veilFor = (userId: string, { records, merged, gone }: VeilSource): Veil => {
  const hidden = hiddenFrom(userId, records);
  const as = standingFor(records, hidden);
  const inTree = new Set(records.map(({ id }) => id));
  for (const { id, seenBy } of gone)
    if (!inTree.has(id) && seenBy.some((users) => !users.includes(userId))) hidden.add(id);
  for (const { account } of merged) if (isRestrictedFrom(account, userId)) hidden.add(account.id);
  const into = new Map(merged.map((one) => [one.account.id, one.into]));
  for (const { account } of merged) {
    if (!hidden.has(account.id)) continue;
    let target: AccountId | undefined = account.id;
    while (target !== undefined && !inTree.has(target)) target = into.get(target);
    if (target !== undefined) as.set(account.id, as.get(target) ?? target);
  }
  if (hidden.size === 0) return NO_VEIL;
  return { hides: (id) => hidden.has(id), as: (id) => as.get(id) ?? id, isDrawn: true };
};

/** The lists of those who see an account: its own and that of each one above it, where they are restricted. */
export const seenByOf = (
  id: AccountId,
  recordOf: (id: AccountId) => AccountRecord | undefined,
): readonly (readonly string[])[] => {
  const lists: (readonly string[])[] = [];
  for (
    let at = recordOf(id);
    at !== undefined;
    at = at.parentId === null ? undefined : recordOf(at.parentId)
  ) {
    const { restrictedTo } = at.settings;
    if (restrictedTo !== undefined && restrictedTo.length > 0) lists.push(restrictedTo);
  }
  return lists;
};

/** What stands for hidden accounts: their kind, and no word of what they are. */
const standIn = ({ id, kind }: Account): Account =>
  plainAccount({ id, number: null, name: 'Other', kind }, { settings: { restrictedTo: [] } });

/** The accounts as they are seen through a veil: hidden ones stand together, where the first of them stands. */
export const veiledRecords = (
  records: readonly AccountRecord[],
  veil: Veil,
): readonly AccountRecord[] => {
  if (!veil.isDrawn) return records;
  const byId = new Map(records.map((record) => [record.id, record]));
  const parentOf = ({ parentId }: AccountRecord): AccountId | null => {
    let at = parentId;
    while (at !== null && veil.hides(at)) at = byId.get(at)?.parentId ?? null;
    return at;
  };
  return records.flatMap((record) => {
    if (!veil.hides(record.id)) return [record];
    return veil.as(record.id) === record.id
      ? [{ ...standIn(record), parentId: parentOf(record) }]
      : [];
  });
};

/** Merged accounts as they are seen through a veil; hidden ones count with what counts them, and are not told of. */
export const veiledMerged = (
  merged: readonly MergedAccount[],
  veil: Veil,
): readonly MergedAccount[] => {
  if (!veil.isDrawn) return merged;
  const into = new Map(merged.map((one) => [one.account.id, one.into]));
  const seen = (id: AccountId): AccountId => {
    let at = id;
    for (let next = into.get(at); next !== undefined && veil.hides(at); next = into.get(at))
      at = next;
    return veil.as(at);
  };
  return merged
    .filter(({ account }) => !veil.hides(account.id))
    .map((one) => ({ account: one.account, into: seen(one.into) }));
};

const concernsHidden = ({ from, into }: Split, veil: Veil): boolean =>
  veil.hides(from) || veil.hides(into);

/** Splits as they are seen through a veil: those from or to hidden accounts are counted in with the accounts. */
export const veiledSplits = (splits: readonly Split[], veil: Veil): readonly Split[] =>
  veil.isDrawn ? splits.filter((split) => !concernsHidden(split, veil)) : splits;

/** An id, then amounts under it. */
type Row = [id: string, ...amounts: number[]];

/**
 * Amounts as they are seen through a veil: those of hidden accounts count with the one that stands for them,
 * and what splits bring to them or take from them counts there too, without being told.
 */
export const veiledAmounts = <R extends Row>(
  books: { readonly amounts: readonly R[]; readonly splits: readonly R[] },
  splits: readonly Split[],
  veil: Veil,
): { readonly amounts: R[]; readonly splits: R[] } => {
  if (!veil.isDrawn) return { amounts: [...books.amounts], splits: [...books.splits] };
  const shown = new Map<string, R>();
  const count = (hidden: AccountId, [, ...added]: R, sign: 1 | -1): void => {
    const id = veil.as(hidden);
    const [, ...so] = shown.get(id) ?? [id, ...added.map(() => 0)];
    shown.set(id, [id, ...so.map((one, at) => add(one, sign * (added[at] ?? 0)))] as R);
  };
  for (const row of books.amounts) count(row[0], row, 1);
  const byId = new Map(splits.map((split) => [split.id, split]));
  const kept: R[] = [];
  for (const row of books.splits) {
    const split = byId.get(row[0]);
    if (split === undefined || !concernsHidden(split, veil)) kept.push(row);
    else {
      count(split.from, row, -1);
      count(split.into, row, 1);
    }
  }
  return { amounts: [...shown.values()], splits: kept };
};
