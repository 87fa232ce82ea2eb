import type { BalancesQuery } from '@iunctus/contract';
import {
  chartFrom,
  knownAccount,
  ledgerOf,
  rollUpOver,
  shownAmount,
  type Chart,
  type ChartNode,
  type Minor,
} from '@iunctus/core';
import {
  chartTable,
  writeCsv,
  writeJson,
  writeWorkbook,
  type CrosswalkLine,
} from '@iunctus/exchange';
import type pg from 'pg';
import type { Viewer } from '../access/access.service';
import { balancesOf } from '../balances/balances.service';
import { clientOf } from '../clients/clients.service';
import { problem } from '../http/problem';
import { benchOf } from '../proposals/proposals.service';
import { listRevisions } from '../revisions/revisions.service';

/** The formats in which a chart is taken out. */
export const EXPORT_FORMATS = ['csv', 'xlsx', 'json'] as const;
export type ExportFormat = (typeof EXPORT_FORMATS)[number];

/** A file to hand out. */
export interface Exported {
  readonly name: string;
  readonly type: string;
  readonly content: string | Uint8Array;
}

const TYPES: Readonly<Record<ExportFormat, string>> = {
  csv: 'text/csv; charset=utf-8',
  xlsx: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
  json: 'application/json; charset=utf-8',
};

interface Asked {
  readonly clientId: string;
  readonly format: ExportFormat;
  /** With amounts for these months; `null` without any. */
  readonly period: BalancesQuery | null;
}

/** The chart as adopted, as the viewer may see it. */
const chartOf = async (pool: pg.Pool, viewer: Viewer, clientId: string) => {
  const { chart } = await benchOf(pool, viewer, clientId);
  if (chart === null) return problem({ code: 'notFound' });
  const { accounts, revision, ...parts } = chart;
  return { chart: chartFrom(accounts, parts), revision };
};

const amountsOf = async (
  pool: pg.Pool,
  viewer: Viewer,
  { clientId, period }: Asked,
): Promise<((node: ChartNode) => Minor) | null> => {
  if (period === null) return null;
  const { amounts, splits } = await balancesOf(pool, viewer, { clientId, ...period });
  const rollUp = rollUpOver(ledgerOf([...amounts, ...splits]));
  return (node) => shownAmount(node.account.kind, rollUp.total(node));
};

const crosswalkOf = async (
  pool: pg.Pool,
  viewer: Viewer,
  { clientId, chart }: { readonly clientId: string; readonly chart: Chart },
): Promise<readonly CrosswalkLine[]> => {
  const revisions = await listRevisions(pool, viewer, clientId);
  return revisions.flatMap(({ number, crosswalk }) =>
    crosswalk.map(({ id, from, to }) => ({
      revision: number,
      from: from ?? '',
      to: to ?? '',
      name: knownAccount(chart, id)?.name ?? '',
    })),
  );
};

/** A client's chart as a file: a table, a workbook, or everything with its history. */
export const exportChart = async (
  pool: pg.Pool,
  viewer: Viewer,
  asked: Asked,
): Promise<Exported> => {
  const { clientId, format, period } = asked;
  const { name: client, currency } = await clientOf(pool, viewer, clientId);
  const { chart, revision } = await chartOf(pool, viewer, clientId);
  const named = (content: Exported['content']): Exported => ({
    name: `${client} chart of accounts.${format}`,
    type: TYPES[format],
    content,
  });
  if (format === 'json') {
    const history = await listRevisions(pool, viewer, clientId);
    return named(writeJson(chart, { client, revision, history }));
  }
  const rows = chartTable(chart, await amountsOf(pool, viewer, asked));
  if (format === 'csv') return named(writeCsv(rows, currency));
  const crosswalk = await crosswalkOf(pool, viewer, { clientId, chart });
  const amounts = period === null ? null : `${currency}, ${period.first} to ${period.last}`;
  return named(await writeWorkbook({ client, currency, rows, amounts, crosswalk }));
};
