import type { ExportQuery } from '@iunctus/contract';
import type { Chart, Period } from '@iunctus/core';
import {
  dayInWords,
  periodInWords,
  writeAuditAccounts,
  writeAuditBalances,
  writeAuditXml,
  writeCsv,
  type JournalFileEntry,
  writeJournal,
  writeJson,
  writePrintedChart,
  writePrintedStatements,
  writeReturnWorkbook,
  writeStatementCsv,
  writeStatementWorkbook,
  writeWorkbook,
  type CrosswalkLine,
} from '@iunctus/exchange';
import { firstDayOf, knownAccount, lastDayOf, termsFor } from '@iunctus/core';
import type pg from 'pg';
import { practiceName } from '../access/access.queries';
import type { Viewer } from '../access/viewer';
import { madeOfVeiled } from '../charts/veil';
import type { Veiled } from '../charts/veiled';
import { clientOf } from '../clients/clients.service';
import { allEntriesOf } from '../ledger/journal.service';
import { problem } from '../problems/problem';
import { listRevisions } from '../revisions/revisions.service';
import { auditRowsOf } from './audit-rows';
import { closingsOf } from './closings';
import { adoptedChart, handedOutBy, tableOf, type Taken } from './export-source';
import { returnFileOf, returnPartsOf } from './return-parts';
import { layoutsOfClient } from '../layouts/layouts.service';
import { packetOf, statementFileOf } from './statement-files';

/** The formats in which a chart, its balances and its return are taken out. */
export const EXPORT_FORMATS = [
  'csv',
  'xlsx',
  'json',
  'pdf',
  'journal',
  'journal-closed',
  'audit-file',
  'audit-accounts',
  'audit-balances',
  'return',
  'return-file',
  'statement-pdf',
  'statement-xlsx',
  'statement-csv',
  'packet-pdf',
  'packet-xlsx',
] as const;
export type ExportFormat = (typeof EXPORT_FORMATS)[number];

/** A file to hand out. */
export interface Exported {
  readonly name: string;
  readonly type: string;
  readonly content: string | Uint8Array;
}

const XLSX = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';
const JSON_TYPE = 'application/json; charset=utf-8';

/** What each file is called after the client's name, and of what type it is. */
const FILES: Readonly<Record<ExportFormat, readonly [name: string, type: string]>> = {
  csv: ['chart of accounts.csv', 'text/csv; charset=utf-8'],
  xlsx: ['chart of accounts.xlsx', XLSX],
  json: ['chart of accounts.json', JSON_TYPE],
  pdf: ['chart of accounts.pdf', 'application/pdf'],
  journal: ['journal.csv', 'text/csv; charset=utf-8'],
  'journal-closed': ['journal with closing entries.csv', 'text/csv; charset=utf-8'],
  'audit-file': ['audit file.xml', 'application/xml; charset=utf-8'],
  'audit-accounts': ['audit accounts.txt', 'text/plain; charset=utf-8'],
  'audit-balances': ['audit balances.txt', 'text/plain; charset=utf-8'],
  return: ['return lines.xlsx', XLSX],
  'return-file': ['return.json', JSON_TYPE],
  'statement-pdf': ['statement.pdf', 'application/pdf'],
  'statement-xlsx': ['statement.xlsx', XLSX],
  'statement-csv': ['statement.csv', 'text/csv; charset=utf-8'],
  'packet-pdf': ['statements.pdf', 'application/pdf'],
  'packet-xlsx': ['statements.xlsx', XLSX],
};

interface Asked {
  readonly clientId: string;
  readonly format: ExportFormat;
  readonly query: ExportQuery;
  /** Today as a calendar date. */
  readonly today: string;
}

const periodIn = ({ first, last }: ExportQuery): Period | null =>
  first === undefined || last === undefined ? null : { first, last };

/** Some formats say nothing without the months of their amounts. */
const periodOf = (query: ExportQuery): Period =>
  periodIn(query) ??
  problem({ code: 'badRequest', issues: [{ field: 'first', rule: 'names the first month' }] });

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

const amountsHead = ({ client }: Taken, period: Period | null): string | null =>
  period === null ? null : `${client.currency}, ${periodInWords(period, client.country)}`;

const printed = async (taken: Taken, { query, today }: Asked): Promise<Uint8Array> => {
  const period = periodIn(query);
  return writePrintedChart({
    client: taken.client.name,
    ...handedOutBy(taken),
    currency: taken.client.currency,
    subtitle: `Revision ${taken.revision}, printed ${dayInWords(today, taken.client.country)}`,
    rows: await tableOf(taken, period),
    by: query.by ?? 'number',
    guidance: query.guidance === 'yes',
    amounts: amountsHead(taken, period),
  });
};

/** Every entry of a period, or of all time. */
const journalFile = async (
  { pool, viewer, client, chart }: Taken,
  period: Period | null,
  closings: readonly JournalFileEntry[] = [],
): Promise<string> => {
  const days = {
    first: period === null ? null : firstDayOf(period.first),
    last: period === null ? null : lastDayOf(period.last),
  };
  const entries = await allEntriesOf(pool, viewer, { clientId: client.id, ...days });
  const all: JournalFileEntry[] = [...entries, ...closings];
  // What closes a year stands behind all else of its last day.
  all.sort((one, other) => (one.date === other.date ? 0 : one.date < other.date ? -1 : 1));
  return writeJournal(all, chart, client.currency);
};

const content = async (taken: Taken, asked: Asked): Promise<Exported['content']> => {
  const { pool, viewer, client, chart, revision } = taken;
  const { format, query, clientId } = asked;
  switch (format) {
    case 'json': {
      const history = await listRevisions(pool, viewer, clientId);
      return writeJson(chart, { client: client.name, revision, history });
    }
    case 'csv':
      return writeCsv(await tableOf(taken, periodIn(query)), client.currency);
    case 'xlsx':
      return writeWorkbook({
        client: client.name,
        ...handedOutBy(taken),
        currency: client.currency,
        rows: await tableOf(taken, periodIn(query)),
        amounts: amountsHead(taken, periodIn(query)),
        crosswalk: await crosswalkOf(pool, viewer, { clientId, chart }),
      });
    case 'pdf':
      return printed(taken, asked);
    case 'statement-pdf':
      return writePrintedStatements([await statementFileOf(taken, query, asked.today)]);
    case 'statement-xlsx':
      return writeStatementWorkbook([await statementFileOf(taken, query, asked.today)]);
    case 'packet-pdf':
      return writePrintedStatements(await packetOf(taken, query, asked.today), query.notes);
    case 'packet-xlsx':
      return writeStatementWorkbook(await packetOf(taken, query, asked.today), query.notes);
    case 'statement-csv':
      return writeStatementCsv(await statementFileOf(taken, query, asked.today));
    case 'journal':
      return journalFile(taken, periodIn(query));
    case 'journal-closed':
      return journalFile(
        taken,
        periodIn(query),
        await closingsOf(taken, periodOf(query), asked.today),
      );
    case 'return':
      return writeReturnWorkbook(await returnPartsOf(taken, periodOf(query)));
    case 'return-file':
      return `${JSON.stringify(await returnFileOf(taken, periodOf(query)), null, 2)}\n`;
    default: {
      const { rows, head } = await auditRowsOf(taken, periodOf(query), asked.today);
      if (format === 'audit-file') return writeAuditXml(rows, head);
      return format === 'audit-accounts'
        ? writeAuditAccounts(rows)
        : writeAuditBalances(rows, head);
    }
  }
};

/** Files of one statement are called after it, or after the layout. */
const fileName = async (
  { pool, viewer, client }: Taken,
  usual: string,
  { sheet, layout, plain }: ExportQuery,
): Promise<string> => {
  const called = (name: string): string => usual.replace(/^statement\b/, name.toLowerCase());
  if (layout === undefined)
    return sheet === undefined
      ? usual
      : called(termsFor({ ...client, plain: plain === 'yes' }).sheets[sheet]);
  const laidOut = await layoutsOfClient(pool, viewer, client.id);
  return called(laidOut.find(({ id }) => id === layout)?.layout.name ?? 'statement');
};

/** A client's chart as a file, as adopted and as the viewer may see it. */
export const exportChart = async (
  pool: pg.Pool,
  viewer: Viewer,
  asked: Asked,
): Promise<Veiled<Exported>> => {
  const client = await clientOf(pool, viewer, asked.clientId);
  const practice = await practiceName(pool, viewer);
  const adopted = await adoptedChart(pool, viewer, asked.clientId);
  const taken = { pool, viewer, client, practice, ...adopted };
  const [usual, type] = FILES[asked.format];
  const name = await fileName(taken, usual, asked.query);
  // Every part of the file comes from answers that have passed the veil.
  return madeOfVeiled({
    name: `${client.name} ${name}`,
    type,
    content: await content(taken, asked),
  });
};
