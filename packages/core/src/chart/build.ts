import { emptyMap, entriesOf, mapOf } from '../collections/persistent-map';
import type { AccountId, AccountRecord } from './account';
import {
  USUAL_SETTINGS,
  type Chart,
  type ChartNode,
  type ChartSettings,
  type MergedAccount,
  type Split,
} from './chart';
import { nameKey } from '../text/name-key';
import { countedOver } from './edit';

/** A chart without accounts. */
export const emptyChart = (settings: ChartSettings = USUAL_SETTINGS): Chart => ({
  settings,
  roots: [],
  parents: emptyMap(),
  numbers: emptyMap(),
  names: emptyMap(),
  merged: emptyMap(),
  splits: emptyMap(),
  posted: new Set(),
  usedValues: new Set(),
});

type Counted = Pick<ChartNode, 'absorbed' | 'splits'>;
const NOTHING_ELSE: Counted = { absorbed: [], splits: [] };

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
  countedWithId: (id: AccountId) => Counted,
): readonly ChartNode[] =>
  (groups.get(parentId) ?? []).map(({ parentId: _parent, ...account }) => ({
    account,
    children: nodesUnder(account.id, groups, countedWithId),
    ...countedWithId(account.id),
  }));

/** What counts with each account; those that no merge or split concerns are told at once. */
const countedWithAll = (
  standing: Pick<Chart, 'merged' | 'splits'>,
): ((id: AccountId) => Counted) => {
  const concerned = new Set([
    ...entriesOf(standing.merged).flatMap(([id, { into }]) => [id, into]),
    ...entriesOf(standing.splits).flatMap(([, { from, into }]) => [from, into]),
  ]);
  const counted = countedOver(standing);
  return (id) => (concerned.has(id) ? counted(id) : NOTHING_ELSE);
};

/** What a chart has besides its accounts. */
export interface ChartParts {
  readonly settings: ChartSettings;
  /** Ids of the accounts that have postings. */
  readonly posted: Iterable<AccountId>;
  readonly merged: readonly MergedAccount[];
  readonly splits: readonly Split[];
  /** Ids of the dimension values that postings carry. */
  readonly usedValues: Iterable<string>;
}

/**
 * A chart from its stored accounts; siblings keep the order in which they come.
 * Law: `recordsOf(chartFrom(records))` holds the same records, parents first.
 */
export const chartFrom = (
  records: readonly AccountRecord[],
  parts: Partial<ChartParts> = {},
): Chart => {
  const settings = parts.settings ?? USUAL_SETTINGS;
  const merged = mapOf((parts.merged ?? []).map((one) => [one.account.id, one] as const));
  const splits = mapOf((parts.splits ?? []).map((one) => [one.id, one] as const));
  const numbered = records.flatMap(({ number, id }) =>
    number === null ? [] : [[number, id] as const],
  );
  const named = settings.uniqueNames === 'chart' ? records : [];
  return {
    settings,
    posted: new Set(parts.posted ?? []),
    usedValues: new Set(parts.usedValues ?? []),
    merged,
    splits,
    parents: mapOf(records.map(({ id, parentId }) => [id, parentId ?? ''])),
    numbers: mapOf(numbered),
    names: mapOf(named.map(({ name, id }) => [nameKey(name), id])),
    roots: nodesUnder('', byParent(records), countedWithAll({ merged, splits })),
  };
};
