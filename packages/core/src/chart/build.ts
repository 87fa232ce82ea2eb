import { emptyMap, entriesOf, mapOf } from '../collections/persistent-map';
import type { AccountId, AccountRecord } from './account';
import {
  nameKey,
  USUAL_SETTINGS,
  type Chart,
  type ChartNode,
  type ChartSettings,
  type MergedAccount,
} from './chart';
import { absorbedBy } from './edit';

/** A chart without accounts. */
export const emptyChart = (
  settings: ChartSettings = USUAL_SETTINGS,
  posted: ReadonlySet<AccountId> = new Set(),
): Chart => ({
  settings,
  roots: [],
  parents: emptyMap(),
  numbers: emptyMap(),
  names: emptyMap(),
  merged: emptyMap(),
  posted,
});

const byParent = (records: readonly AccountRecord[]): Map<AccountId, AccountRecord[]> => {
  const groups = new Map<AccountId, AccountRecord[]>();
  for (const record of records) {
    const group = groups.get(record.parentId ?? '');
    if (group === undefined) groups.set(record.parentId ?? '', [record]);
    else group.push(record);
  }
  return groups;
};

const nodesUnder = (
  parentId: AccountId,
  groups: Map<AccountId, AccountRecord[]>,
  absorbed: ReadonlyMap<AccountId, readonly AccountId[]>,
): readonly ChartNode[] =>
  (groups.get(parentId) ?? []).map(({ parentId: _parent, ...account }) => ({
    account,
    children: nodesUnder(account.id, groups, absorbed),
    absorbed: absorbed.get(account.id) ?? [],
  }));

const absorbedByAll = (merged: Chart['merged']): ReadonlyMap<AccountId, readonly AccountId[]> =>
  new Map(entriesOf(merged).map(([, { into }]) => [into, absorbedBy(merged, into)]));

/**
 * A chart from its stored accounts; siblings keep the order in which they come.
 * Law: `recordsOf(chartFrom(records))` holds the same records, parents first.
 */
export const chartFrom = (
  records: readonly AccountRecord[],
  settings: ChartSettings = USUAL_SETTINGS,
  posted: ReadonlySet<AccountId> = new Set(),
  mergedAccounts: readonly MergedAccount[] = [],
): Chart => {
  const merged = mapOf(mergedAccounts.map((one) => [one.account.id, one] as const));
  const numbered = records.flatMap(({ number, id }) =>
    number === null ? [] : [[number, id] as const],
  );
  const named = settings.uniqueNames === 'chart' ? records : [];
  return {
    settings,
    posted,
    merged,
    parents: mapOf(records.map(({ id, parentId }) => [id, parentId ?? ''])),
    numbers: mapOf(numbered),
    names: mapOf(named.map(({ name, id }) => [nameKey(name), id])),
    roots: nodesUnder('', byParent(records), absorbedByAll(merged)),
  };
};
