import type { AccountRecord } from './account';
import { chartFrom } from './build';
import type { Chart, ChartSettings, MergedAccount, Split } from './chart';
import { mergedAccounts, recordsOf, splitsOf } from './queries';

/** A chart as it is stored and sent: plain data, siblings in order. */
export interface ChartRecord {
  readonly settings: ChartSettings;
  readonly accounts: readonly AccountRecord[];
  /** Accounts that were merged into others. */
  readonly merged: readonly MergedAccount[];
  /** Splits, in the order in which they were adopted. */
  readonly splits: readonly Split[];
}

/** A chart with what the books hold on to: which accounts have postings, which values postings carry. */
export interface BookedChartRecord extends ChartRecord {
  readonly posted: readonly string[];
  readonly usedValues: readonly string[];
}

/** The chart that a record stands for. Law: `chartOf(recordOf(chart))` equals `chart`. */
export const chartOf = ({ accounts, ...parts }: ChartRecord & Partial<BookedChartRecord>): Chart =>
  chartFrom(accounts, parts);

/** A chart as plain data. */
export const recordOf = (chart: Chart): BookedChartRecord => ({
  settings: chart.settings,
  accounts: recordsOf(chart),
  merged: mergedAccounts(chart),
  splits: splitsOf(chart),
  posted: [...chart.posted],
  usedValues: [...chart.usedValues],
});
