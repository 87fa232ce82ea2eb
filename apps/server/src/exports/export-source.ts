import type { ClientAnswer } from '@iunctus/contract';
import {
  addMonths,
  chartOf,
  fiscalYearStart,
  ledgerOf,
  paperOf,
  rollUpOver,
  shownAmount,
  type Chart,
  type Month,
  type Paper,
  type Period,
  type RollUp,
} from '@iunctus/core';
import { chartTable, type ChartRow } from '@iunctus/exchange';
import type pg from 'pg';
import type { Viewer } from '../access/viewer';
import { balancesOf } from '../balances/balances.service';
import { problem } from '../problems/problem';
import { benchOf } from '../benches/benches.service';

/** A client with its chart, on the way out. */
export interface Taken {
  readonly pool: pg.Pool;
  readonly viewer: Viewer;
  readonly client: ClientAnswer;
  /** The practice, by whose name files go out. */
  readonly practice: string;
  readonly chart: Chart;
  readonly revision: number;
}

/** The chart as adopted, as the viewer may see it. */
export const adoptedChart = async (
  pool: pg.Pool,
  viewer: Viewer,
  clientId: string,
): Promise<Pick<Taken, 'chart' | 'revision'>> => {
  const { chart } = await benchOf(pool, viewer, clientId);
  if (chart === null) return problem({ code: 'notFound' });
  return { chart: chartOf(chart), revision: chart.revision };
};

/** Who hands a file out, and the paper of the client's country. */
export const handedOutBy = ({ practice, client }: Taken): { author: string; paper: Paper } => ({
  author: practice,
  paper: paperOf(client.country),
});

/** The amounts of a period over the chart. */
export const rollUpOf = async (
  { pool, viewer, client }: Taken,
  { first, last }: Period,
): Promise<RollUp> => {
  const { amounts, splits } = await balancesOf(pool, viewer, { clientId: client.id, first, last });
  return rollUpOver(ledgerOf([...amounts, ...splits]));
};

/** The amounts of the fiscal year up to the end of a month. */
export const yearUpTo = (taken: Taken, last: Month): Promise<RollUp> =>
  rollUpOf(taken, { first: fiscalYearStart(last, taken.client.fiscalYearStart), last });

/** Whether a month is the last of its fiscal year. */
export const endsYear = (taken: Taken, month: Month): boolean => {
  const next = addMonths(month, 1);
  return fiscalYearStart(next, taken.client.fiscalYearStart) === next;
};

/** The chart as rows, with amounts where a period is given. */
export const tableOf = async (
  taken: Taken,
  period: Period | null,
): Promise<readonly ChartRow[]> => {
  if (period === null) return chartTable(taken.chart, null);
  const rollUp = await rollUpOf(taken, period);
  return chartTable(taken.chart, (node) => shownAmount(node.account.kind, rollUp.total(node)));
};
