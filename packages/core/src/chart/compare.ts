import type { SettingName } from '../settings/account-settings';
import { SETTING_NAMES } from '../settings/rules';
import type { Account, AccountId } from './account';
import type { Chart } from './chart';
import {
  accountOf,
  eachNode,
  hasAccount,
  mergedInto,
  nodeOf,
  parentIdOf,
  previousIdOf,
} from './queries';

/** What was different about an account before; only what differs is there. */
export interface Former {
  readonly number?: string | null;
  readonly name?: string;
  readonly kind?: Account['kind'];
  readonly role?: Account['role'];
  readonly retiredOn?: Account['retiredOn'];
  readonly parentId?: AccountId | null;
  /** It stood elsewhere among the same siblings. */
  readonly place?: true;
  /** Guidance, notes or short label differ. */
  readonly texts?: true;
  /** The settings that differ. */
  readonly settings?: readonly SettingName[];
  /** Postings that splits took from it or brought to it meanwhile, or no more. */
  readonly splits?: true;
  /** Accounts that were merged into it meanwhile. */
  readonly absorbed?: readonly AccountId[];
}

/** How an account differs between two charts. */
export type AccountChange =
  { readonly type: 'new' } | { readonly type: 'changed'; readonly was: Former };

const FIELDS = ['number', 'name', 'kind', 'role', 'retiredOn'] as const;
const TEXTS = ['guidance', 'notes', 'shortLabel'] as const;

const formerFields = (was: Account, now: Account): Former => ({
  ...Object.fromEntries(
    FIELDS.filter((field) => was[field] !== now[field]).map((field) => [field, was[field]]),
  ),
  ...(TEXTS.some((field) => was[field] !== now[field]) ? { texts: true } : {}),
});

const formerPlace = (before: Chart, after: Chart, id: AccountId): Former => {
  const parentId = parentIdOf(before, id);
  if (parentId !== parentIdOf(after, id)) return { parentId };
  const previous = previousIdOf(before, id);
  const now = previousIdOf(after, id);
  // One that is gone has no parent either, like a main account.
  const neighbourStays =
    previous === null || (hasAccount(after, previous) && parentIdOf(after, previous) === parentId);
  const broughtHere = now !== null && !hasAccount(before, now);
  return previous === now || !neighbourStays || broughtHere ? {} : { place: true };
};

const newlyAbsorbed = (before: Chart, after: Chart, id: AccountId): Former => {
  const known = new Set(nodeOf(before, id)?.absorbed);
  const fresh = (nodeOf(after, id)?.absorbed ?? []).filter((one) => !known.has(one));
  return fresh.length === 0 ? {} : { absorbed: fresh };
};

const formerSettings = ({ settings: was }: Account, { settings: now }: Account): Former => {
  if (was === now) return {};
  const names = SETTING_NAMES.filter(
    (name) => JSON.stringify(was[name]) !== JSON.stringify(now[name]),
  );
  return names.length === 0 ? {} : { settings: names };
};

const formerSplits = (before: Chart, after: Chart, id: AccountId): Former => {
  const key = (chart: Chart): string =>
    (nodeOf(chart, id)?.splits ?? []).map((share) => `${share.id}${share.sign}`).join();
  return key(before) === key(after) ? {} : { splits: true };
};

/** How an account of `after` differs from what it was in `before`; `null` when it does not. */
export const changeOf = (before: Chart, after: Chart, id: AccountId): AccountChange | null => {
  const now = accountOf(after, id);
  if (now === undefined) return null;
  const was = accountOf(before, id);
  if (was === undefined) return { type: 'new' };
  const former = {
    ...formerFields(was, now),
    ...formerPlace(before, after, id),
    ...newlyAbsorbed(before, after, id),
    ...formerSettings(was, now),
    ...formerSplits(before, after, id),
  };
  return Object.keys(former).length === 0 ? null : { type: 'changed', was: former };
};

/** One difference between two charts: an account that is new, changed, merged into another, or gone. */
export type ChartDifference =
  | { readonly id: AccountId; readonly type: 'new' }
  | { readonly id: AccountId; readonly type: 'changed'; readonly was: Former }
  | { readonly id: AccountId; readonly type: 'merged'; readonly into: AccountId }
  | { readonly id: AccountId; readonly type: 'gone' };

/** Every account that differs, in the order of `after`; then those that are not in it any more. */
export const differencesBetween = (before: Chart, after: Chart): readonly ChartDifference[] => {
  const here = [...eachNode(after.roots)].flatMap(({ account: { id } }): ChartDifference[] => {
    const change = changeOf(before, after, id);
    return change === null ? [] : [{ id, ...change }];
  });
  const away = [...eachNode(before.roots)].flatMap(({ account: { id } }): ChartDifference[] => {
    if (hasAccount(after, id)) return [];
    const into = mergedInto(after, id);
    return [into === undefined ? { id, type: 'gone' } : { id, type: 'merged', into }];
  });
  return [...here, ...away];
};
