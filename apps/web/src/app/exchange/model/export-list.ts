import type { ReturnForm } from '@iunctus/core';
/** A file that can be taken out, as the page offers it. */
export interface ExportOffer {
  readonly format: string;
  readonly name: string;
  /** What the file is, in a word. */
  readonly kind: string;
  readonly sentence: string;
  /** Whether it bears amounts never, when they are wanted, always those of the shown period, or those of its fiscal year. */
  readonly amounts: 'never' | 'wanted' | 'period' | 'year';
}

/** Offers that belong together. */
export interface ExportGroup {
  readonly name: string;
  readonly offers: readonly ExportOffer[];
}

const CHART_OFFERS: readonly ExportOffer[] = [
  {
    format: 'xlsx',
    name: $localize`Workbook`,
    kind: 'xlsx',
    sentence: $localize`The tree indented, to be folded by level; kinds as a list to choose from, every crosswalk on a sheet. It can be changed and brought in again.`,
    amounts: 'wanted',
  },
  {
    format: 'pdf',
    name: $localize`Printed chart`,
    kind: 'PDF',
    sentence: $localize`To read, sign or file.`,
    amounts: 'wanted',
  },
  {
    format: 'csv',
    name: $localize`Table`,
    kind: 'CSV',
    sentence: $localize`One line an account, with parent, level and kind: for any program.`,
    amounts: 'wanted',
  },
  {
    format: 'json',
    name: $localize`Everything`,
    kind: 'JSON',
    sentence: $localize`Every setting, merges, splits and the whole history, in an open format.`,
    amounts: 'never',
  },
];

const BOOKS_OFFERS: readonly ExportOffer[] = [
  {
    format: 'journal',
    name: $localize`Journal`,
    kind: 'CSV',
    sentence: $localize`Every entry of the period line by line, as the ledger takes it in again.`,
    amounts: 'period',
  },
  {
    format: 'journal-closed',
    name: $localize`Journal with closing entries`,
    kind: 'CSV',
    sentence: $localize`The same, with an entry at the end of each fiscal year that is over, which brings its result to retained earnings: for programs that want one. Here the statements do so by themselves.`,
    amounts: 'year',
  },
];

const AUDIT_OFFERS: readonly ExportOffer[] = [
  {
    format: 'audit-file',
    name: $localize`Standard audit file`,
    kind: $localize`SAF-T XML`,
    sentence: $localize`General ledger accounts with opening and closing balances.`,
    amounts: 'period',
  },
  {
    format: 'audit-accounts',
    name: $localize`Audit data: accounts`,
    kind: 'text',
    sentence: $localize`The chart of accounts file of the audit data standards.`,
    amounts: 'period',
  },
  {
    format: 'audit-balances',
    name: $localize`Audit data: trial balance`,
    kind: 'text',
    sentence: $localize`Every posting account at both ends of the period.`,
    amounts: 'period',
  },
];

const BACKUP_OFFERS: readonly ExportOffer[] = [
  {
    format: 'backup',
    name: $localize`Backup of this client`,
    kind: 'gzip',
    sentence: $localize`Chart, entries, proposals and history, to be restored into an empty database as they are. Passwords are not in it.`,
    amounts: 'never',
  },
];

/** What keeps a client safe, offered last. */
export const BACKUP_GROUP: ExportGroup = { name: $localize`To keep safe`, offers: BACKUP_OFFERS };

/** Everything that can be taken out for every client, by whom it is for. */
export const EXPORT_GROUPS: readonly ExportGroup[] = [
  { name: $localize`The chart`, offers: CHART_OFFERS },
  { name: $localize`The books`, offers: BOOKS_OFFERS },
  { name: $localize`For auditors`, offers: AUDIT_OFFERS },
];

const RETURN_OFFERS: readonly ExportOffer[] = [
  {
    format: 'return',
    name: $localize`Return lines`,
    kind: 'xlsx',
    sentence: $localize`Amounts by line and copy of the form, with the accounts behind each; what has no line comes first.`,
    amounts: 'year',
  },
  {
    format: 'return-file',
    name: $localize`For tax software`,
    kind: 'JSON',
    sentence: $localize`The same amounts as the simulated tax software takes them.`,
    amounts: 'year',
  },
];

/** What is offered for the client's tax return: its form and the year of the print, or the sheet that serves instead. */
export const returnGroup = ({ name, year }: Pick<ReturnForm, 'name' | 'year'>): ExportGroup => ({
  name:
    year === null
      ? $localize`Tax return: no form is known for this client; a general sheet by the lines of the statements`
      : $localize`Tax return: ${name}:form:, as printed for ${year}:year:`,
  offers: RETURN_OFFERS,
});
