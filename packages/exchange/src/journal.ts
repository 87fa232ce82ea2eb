import { knownAccount, type Chart, type EntryLine, type EntrySource } from '@iunctus/core';
import { cellText } from './cell-text';
import { fieldBetween, plainAmount } from './csv';

/** An entry on its way out; amounts are debit-positive minor units of the books' currency. */
export interface JournalFileEntry {
  /** Its number in the books; `null` for an entry that is not in them. */
  readonly number: number | null;
  readonly date: string;
  readonly source: EntrySource | 'closing';
  readonly comment: string;
  readonly lines: readonly EntryLine[];
}

const HEADINGS = [
  'Date',
  'Entry',
  'Source',
  'Account',
  'Account name',
  'Debit',
  'Credit',
  'Comment',
  'Line comment',
  'Currency',
  'Foreign amount',
  'Rate',
] as const;

const field = (text: string): string => fieldBetween(',', cellText(text));

const lineOf = (
  { number, date, source, comment }: JournalFileEntry,
  line: EntryLine,
  { chart, currency }: { readonly chart: Chart; readonly currency: string },
): string => {
  const account = knownAccount(chart, line.accountId);
  const amount = plainAmount(Math.abs(line.amount), currency);
  const { foreign } = line;
  return [
    date,
    field(number === null ? comment : String(number)),
    source,
    field(account?.number ?? ''),
    field(account?.name ?? ''),
    line.amount > 0 ? amount : '',
    line.amount < 0 ? amount : '',
    field(comment),
    field(line.comment),
    foreign?.currency ?? '',
    foreign === null ? '' : plainAmount(foreign.amount, foreign.currency),
    foreign?.rate ?? '',
    ...chart.settings.dimensions.map(({ id, values }) =>
      field(values.find((value) => value.id === line.values[id])?.name ?? ''),
    ),
  ].join(',');
};

/** A journal as CSV, a line for each of its lines. Source: RFC 4180; a byte order mark in front, so that spreadsheets read UTF-8. */
export const writeJournal = (
  entries: readonly JournalFileEntry[],
  chart: Chart,
  currency: string,
): string => {
  const dimensions = chart.settings.dimensions.map(({ name }) => field(name));
  const rows = entries.flatMap((entry) =>
    entry.lines.map((line) => lineOf(entry, line, { chart, currency })),
  );
  const all = [[...HEADINGS, ...dimensions].join(','), ...rows];
  return `\ufeff${all.map((row) => `${row}\r\n`).join('')}`;
};
