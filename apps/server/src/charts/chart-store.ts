import {
  accountOf,
  chartFrom,
  mergedAccounts,
  mergedInto,
  recordsOf,
  seenByOf,
  type AccountRecord,
  type Chart,
  type ChartNode,
} from '@iunctus/core';
import type { Reader, Transaction } from '../database/transaction';
import { manySplits } from './chart-splits.queries';
import {
  deleteAccounts,
  insertFormer,
  insertAccounts,
  manyAccounts,
  manyMerged,
  manyPostedIds,
  manyUsedValues,
  updateAccounts,
  updateSettings,
  upsertVeils,
  type ChartHead,
  type PlacedRecord,
} from './charts.queries';

/** A chart as the core sees it, read from the database. */
export const loadChart = async (on: Reader, head: ChartHead): Promise<Chart> => {
  const accounts = await manyAccounts(on, head);
  return chartFrom(accounts, {
    settings: head.settings,
    posted: await manyPostedIds(on, head),
    merged: await manyMerged(on, head),
    splits: await manySplits(on, head),
    usedValues: await manyUsedValues(on, head),
  });
};

/** A chart as far as posting to it asks: without what was posted, which only changes of the chart look at. */
export const loadChartForPosting = async (on: Reader, head: ChartHead): Promise<Chart> => {
  const accounts = await manyAccounts(on, head);
  const merged = await manyMerged(on, head);
  return chartFrom(accounts, { settings: head.settings, posted: [], merged });
};

const placed = (
  nodes: readonly ChartNode[],
  parentId: string | null,
  into: Map<string, PlacedRecord>,
): Map<string, PlacedRecord> => {
  nodes.forEach(({ account, children }, position) => {
    into.set(account.id, { ...account, parentId, position, mergedInto: null });
    placed(children, account.id, into);
  });
  return into;
};

/** What is stored of a chart: the accounts in their places, and the merged ones without. */
const storedOf = (chart: Chart): Map<string, PlacedRecord> => {
  const records = placed(chart.roots, null, new Map());
  for (const { account, into } of mergedAccounts(chart))
    records.set(account.id, { ...account, parentId: null, position: 0, mergedInto: into });
  return records;
};

const sameRecord = (a: PlacedRecord, b: PlacedRecord): boolean =>
  (Object.keys(a) as (keyof (AccountRecord & PlacedRecord))[]).every((key) => a[key] === b[key]);

/** Writes what differs between two states of a chart; constraints are checked when the transaction ends. */
export const storeChart = async (
  on: Transaction,
  head: ChartHead,
  charts: { readonly before: Chart; readonly after: Chart },
): Promise<void> => {
  const before = storedOf(charts.before);
  const after = storedOf(charts.after);
  const added = [...after.values()].filter(({ id }) => !before.has(id));
  const changed = [...after.values()].filter((record) => {
    const former = before.get(record.id);
    return former !== undefined && !sameRecord(former, record);
  });
  const removed = [...before.keys()].filter((id) => !after.has(id));
  if (charts.before.settings !== charts.after.settings)
    await updateSettings(on, head, charts.after.settings);
  if (added.length > 0) await insertAccounts(on, head, added);
  if (changed.length > 0) await updateAccounts(on, head, changed);
  if (removed.length > 0) await deleteAccounts(on, head, removed);
};

/** Notes who saw the accounts that left the tree, so that what was hidden of them stays hidden. */
export const storeVeils = async (
  on: Transaction,
  head: ChartHead,
  charts: { readonly before: Chart; readonly after: Chart },
): Promise<void> => {
  const before = recordsOf(charts.before);
  if (before.every(({ settings }) => settings.restrictedTo === undefined)) return;
  const byId = new Map(before.map((record) => [record.id, record]));
  const gone = before
    .filter(({ id }) => accountOf(charts.after, id) === undefined)
    .map(({ id }) => ({ id, seenBy: seenByOf(id, (one) => byId.get(one)) }))
    .filter(({ seenBy }) => seenBy.length > 0);
  if (gone.length > 0) await upsertVeils(on, head, gone);
};

/** Notes what accounts were numbered and called before the revision that is being adopted. */
export const storeFormer = async (
  on: Transaction,
  head: ChartHead,
  charts: { readonly before: Chart; readonly after: Chart },
): Promise<void> => {
  const former = recordsOf(charts.before).filter(({ id, number, name }) => {
    const now = accountOf(charts.after, id);
    const merged = mergedInto(charts.after, id) !== undefined;
    return merged || (now !== undefined && (now.number !== number || now.name !== name));
  });
  if (former.length > 0) await insertFormer(on, head, former);
};
