import type { AccountRecord } from '../chart/account';
import { chartFrom } from '../chart/build';
import type { Chart, ChartSettings } from '../chart/chart';
import { differencesBetween } from '../chart/compare';
import { recordsOf } from '../chart/queries';
import type { Operation } from '../operations/operation';
import { mapped } from './mapped-settings';
import { takeOver, type TakeOverRequest } from './take-over';

/** A chart that the practice keeps to begin others from: its structure, under ids of its own. */
export interface KeptChart {
  readonly settings: ChartSettings;
  readonly accounts: readonly AccountRecord[];
}

/** Which of a kept chart's accounts, dimensions and values are which of a client's, by id. */
export type Origin = Readonly<Record<string, string>>;

/** How far a client's chart has moved from the kept one from which it began. */
export interface Drift {
  readonly added: number;
  readonly changed: number;
  readonly gone: number;
}

const renamed = ({ settings, accounts }: KeptChart, as: (id: string) => string): KeptChart => ({
  settings: {
    ...settings,
    dimensions: settings.dimensions.map(({ id, name, values }) => ({
      id: as(id),
      name,
      values: values.map((value) => ({ ...value, id: as(value.id) })),
    })),
  },
  accounts: accounts.map((account) => ({
    ...account,
    id: as(account.id),
    parentId: account.parentId === null ? null : as(account.parentId),
    settings: mapped(account.settings, as, 'structure'),
  })),
});

/** A kept chart as a client's would be that never changed anything of it. */
export const chartOfKept = (kept: KeptChart, origin: Origin = {}): Chart => {
  const { settings, accounts } = renamed(kept, (id) => origin[id] ?? id);
  return chartFrom(accounts, { settings });
};

const inUse = (records: readonly AccountRecord[]): readonly AccountRecord[] => {
  const retired = new Set(records.flatMap(({ id, retiredOn }) => (retiredOn === null ? [] : [id])));
  for (const { id, parentId } of records)
    if (parentId !== null && retired.has(parentId)) retired.add(id);
  return records.filter(({ id }) => !retired.has(id));
};

/** Accounts without those that only some may see, and all that stands below them. */
export const withoutRestricted = (records: readonly AccountRecord[]): readonly AccountRecord[] => {
  const gone = new Set<string>();
  for (const { id, parentId, settings } of records)
    if (settings.restrictedTo !== undefined || (parentId !== null && gone.has(parentId)))
      gone.add(id);
  return records.filter(({ id }) => !gone.has(id));
};

/**
 * Keeps a client's chart: what is in use, nothing of the books, and nothing that only some may see. Where the client began from the chart that
 * gets a new version, accounts are known again by `origin`; others get fresh ids. Gives the origin that
 * the client has from now on.
 */
export const keepChart = (
  chart: Chart,
  { origin, newId }: { readonly origin: Origin; newId(): string },
): { readonly kept: KeptChart; readonly origin: Origin } => {
  const back = new Map(Object.entries(origin).map(([kept, own]) => [own, kept]));
  const known: Record<string, string> = {};
  const as = (own: string): string => {
    const id = back.get(own) ?? newId();
    back.set(own, id);
    known[id] = own;
    return id;
  };
  const accounts = withoutRestricted(inUse(recordsOf(chart)));
  return { kept: renamed({ settings: chart.settings, accounts }, as), origin: known };
};

/** The operations that begin a client's chart from a kept one, and the origin that the client then has. */
export const startFromKept = (
  kept: KeptChart,
  request: Omit<TakeOverRequest, 'differs' | 'note'>,
): { readonly operations: readonly Operation[]; readonly origin: Origin } => {
  const origin: Record<string, string> = {};
  const note = (id: string, own: string): void => {
    origin[id] = own;
  };
  const operations = takeOver(chartOfKept(kept), { ...request, differs: null, note });
  return { operations, origin };
};

/** How far a chart has moved from the kept one; what is never kept (bank numbers, budgets …) is no difference. */
export const driftFrom = (kept: KeptChart, chart: Chart, origin: Origin): Drift => {
  const structure = { settings: chart.settings, accounts: inUse(recordsOf(chart)) };
  const differences = differencesBetween(chartOfKept(kept, origin), chartOfKept(structure));
  const count = (...types: readonly string[]): number =>
    differences.filter(({ type }) => types.includes(type)).length;
  return { added: count('new'), changed: count('changed'), gone: count('gone', 'merged') };
};
