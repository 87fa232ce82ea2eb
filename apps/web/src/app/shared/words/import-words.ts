import {
  accountOf,
  formatAmount,
  minor,
  NUMBER_LIMIT,
  TEXT_LIMITS,
  type CellProblem,
  type Chart,
  type ClashRule,
  type ColumnUse,
  type ImportChange,
  type ImportProblem,
  type ImportQuestion,
  type ImportRow,
  type KindCode,
  type KindReason,
  type AmountSides,
  type TreeSource,
  type UnplacedBalance,
} from '@iunctus/core';
import { LIMITS, type FileProblem } from '@iunctus/exchange/reading';
import { accountWords } from './account-words';
import { outlineProblemWords, reasonWords } from './outline-words';
import { refusalWords } from './refusal-words';
import { terms } from './terms';

const MEGABYTE = 1024 * 1024;

/** Why a file cannot be read, and what would do. */
export const fileProblemWords = (problem: FileProblem): string => {
  switch (problem.code) {
    case 'tooLarge':
      return $localize`The file is larger than ${LIMITS.bytes / MEGABYTE} MB. A list of accounts never is: leave out what else it holds.`;
    case 'unpacksTooLarge':
      return $localize`The workbook unpacks to more than ${LIMITS.unpackedBytes / MEGABYTE} MB. Save the sheet with the accounts alone, or as CSV.`;
    case 'empty':
      return $localize`There is nothing in this file. Choose the one with the accounts.`;
    case 'notText':
      return $localize`This is neither text nor a workbook. Save the list as CSV or xlsx.`;
    case 'damaged':
      return $localize`The file is damaged, or not what its first bytes say. Save it anew and try again.`;
    case 'oldWorkbook':
      return $localize`This is a workbook of the old binary format, or one with a password. Save it as xlsx without a password.`;
    case 'xmlEntities':
      return $localize`The file defines XML entities, which no list of accounts needs. It was not opened.`;
    case 'unknownXml':
      return $localize`This XML is no standard audit file with general ledger accounts.`;
    case 'jsonList':
      return $localize`This JSON is a bare list, not a chart that was taken out here. Save it as CSV or xlsx.`;
    case 'unknownJson':
      return $localize`This JSON is no chart that was taken out here.`;
    case 'tooManyRows':
      return $localize`The list has ${problem.rows} rows; ${LIMITS.rows} can be read at once. Split it.`;
    case 'tooManyColumns':
      return $localize`Line ${problem.line} has more than ${LIMITS.columns} columns. Is it really a list of accounts?`;
    case 'cellTooLong':
      return $localize`Line ${problem.line} has a cell of more than ${LIMITS.cell} characters. Shorten it.`;
    case 'unclosedQuote':
      return $localize`A quote on line ${problem.line} is never closed. Close it, or take it out.`;
  }
};

/** What each use of a column is called. */
export const COLUMN_USE_WORDS: Readonly<Record<ColumnUse, string>> = {
  number: $localize`Number`,
  name: $localize`Name`,
  numberAndName: $localize`Number and name`,
  parent: $localize`Parent`,
  level: $localize`Level`,
  type: 'Kind or type',
  finerType: $localize`Finer type`,
  role: $localize`Heading or posting`,
  shortLabel: $localize`Short label`,
  guidance: $localize`Guidance`,
  notes: $localize`Notes`,
  retired: $localize`Retired, or status`,
  balance: $localize`Balance`,
  innerBalance: $localize`Balance (set in)`,
  debit: $localize`Debit`,
  credit: $localize`Credit`,
  side: $localize`Side, debit or credit`,
  budget: $localize`Yearly budget`,
};

/** From what the tree of a list is found. */
export const TREE_SOURCE_WORDS: Readonly<Record<TreeSource, string>> = {
  parent: $localize`its parent column`,
  path: $localize`paths in the names`,
  level: $localize`its level column`,
  indent: $localize`how names are indented`,
  totals: $localize`headings and their totals`,
  digits: $localize`leading digits`,
  sections: $localize`titles between its lines`,
  flat: $localize`nothing: one flat list`,
};

/** How the amounts of one column are read. */
export const AMOUNT_SIDES_WORDS: Readonly<Record<AmountSides, string>> = {
  debit: $localize`by sign, debits positive`,
  usual: $localize`as statements print them`,
};

const CELL_RULES: Readonly<Record<CellProblem['rule'], (problem: CellProblem) => string>> = {
  nameMissing: () => $localize`The name is empty. Type one, or leave the line out.`,
  textTooLong: ({ use, text }) =>
    $localize`${COLUMN_USE_WORDS[use]} has ${text.length} characters; ${TEXT_LIMITS[use as keyof typeof TEXT_LIMITS]} fit.`,
  numberMalformed: ({ text }) =>
    $localize`“${text}” is no account number: letters, digits, and . - / between, at most ${NUMBER_LIMIT}.`,
  numberRepeated: ({ text, otherLine }) =>
    $localize`Line ${otherLine} has number ${text} already. Type another, or leave one of them out.`,
  sideMalformed: ({ text }) =>
    $localize`“${text}” is no side. Write D or C, Dr or Cr, debit or credit.`,
  levelMalformed: ({ text }) => $localize`“${text}” is no level. Levels are whole numbers.`,
  amountMalformed: ({ use, text }) =>
    $localize`${COLUMN_USE_WORDS[use]}:use:: “${text}” is no amount with the decimals of the currency.`,
  amountTooLarge: ({ use, text }) =>
    $localize`${COLUMN_USE_WORDS[use]}:use:: “${text}” is more than can be counted exactly. Is a decimal sign missing?`,
  statusMalformed: ({ text }) =>
    $localize`“${text}” is neither a date (2026-12-31) nor active or inactive.`,
};

/** Why a row cannot become, or change, an account, and what would do. */
export const importProblemWords = (
  problem: ImportProblem,
  { chart, titles }: Pick<ChangeContext, 'chart' | 'titles'>,
): string => {
  switch (problem.rule) {
    case 'parentUnknown':
      return $localize`Its parent “${problem.text}” is not in the list. Correct it, or let the account stand alone.`;
    case 'parentCircle':
      return $localize`Its parent “${problem.text}” leads back to this line. Correct it, or let the account stand alone.`;
    case 'parentWrong':
      return $localize`Waits for line ${problem.line}, under which it stands: that one is no account yet.`;
    case 'elementDiffers':
      return $localize`Its kind belongs to another element than “${problem.parent}” above it. Choose another kind, or let it stand alone.`;
    case 'noNumber':
      return outlineProblemWords({ code: 'noNumber', why: problem.why }, chart);
    case 'refused': {
      const { otherId, code } = problem.refusal;
      const called = accountOf(chart, otherId ?? '') ? undefined : titles.get(otherId ?? '');
      return code === 'nameTaken' && called !== undefined
        ? $localize`This list adds ${called} as well, which has the same name. Add a word that tells them apart.`
        : refusalWords(problem.refusal, chart);
    }
    default:
      return CELL_RULES[problem.rule](problem);
  }
};

/** From what the kind of a row comes. */
export const kindReasonWords = (reason: KindReason): string => {
  switch (reason.type) {
    case 'chosen':
      return $localize`your choice`;
    case 'account':
      return $localize`as it is`;
    case 'yearEnd':
      return $localize`what the year began or ended with, by what it came to`;
    case 'taught':
      return $localize`as your practice has it`;
    default:
      return reasonWords(reason);
  }
};

const FIELD_WORDS: Readonly<Record<ImportChange['field'], string>> = {
  number: 'number',
  name: 'name',
  parent: 'parent',
  kind: 'kind',
  role: 'role',
  shortLabel: $localize`short label`,
  guidance: 'guidance',
  notes: 'notes',
  retired: 'retired',
  budget: 'budget',
};

/** What titles and amounts of changes are looked up in. */
export interface ChangeContext {
  readonly chart: Chart;
  /** Titles of accounts that are not in the chart yet. */
  readonly titles: ReadonlyMap<string, string>;
  readonly currency: string;
}

const valueWords = (
  field: ImportChange['field'],
  value: string,
  { chart, titles, currency }: ChangeContext,
): string => {
  if (field === 'parent')
    return value === '' ? 'none' : (titles.get(value) ?? accountWords(value, chart));
  if (field === 'kind') return terms().kinds[value as KindCode];
  if (field === 'budget')
    return value === '' ? 'none' : formatAmount(minor(Number(value)), { currency });
  if (field === 'retired') return value === '' ? 'open' : value;
  return value === '' ? 'empty' : value;
};

/** One change in words: “number 6010 → 6015”. */
export const importChangeWords = (change: ImportChange, context: ChangeContext): string => {
  const { field, from, to } = change;
  if (field === 'guidance' || field === 'notes') return FIELD_WORDS[field];
  return `${FIELD_WORDS[field]} ${valueWords(field, from, context)} → ${valueWords(field, to, context)}`;
};

const STATUS_WORDS: Readonly<Record<ImportRow['status'], string>> = {
  same: $localize`The same`,
  changed: $localize`Changed`,
  new: $localize`New`,
  merged: $localize`Merged before; stays so`,
  band: $localize`Names an element; no account`,
  question: $localize`Waits for your answer`,
  waiting: $localize`Waits for another line`,
  wrong: $localize`Left out`,
  leftOut: $localize`Left out by you`,
  total: $localize`A total; no account`,
};

/** What becomes of a row, in a line. */
export const rowWords = (row: ImportRow, context: ChangeContext): string => {
  const [problem] = row.problems;
  if (problem !== undefined) return importProblemWords(problem, context);
  if (row.question !== null) return questionWords(row, row.question, context.chart);
  if (row.status === 'changed')
    return row.changes.map((change) => importChangeWords(change, context)).join('; ');
  if (row.alike !== undefined) return alikeWords(row.alike);
  return row.made ? $localize`New heading, named by paths` : STATUS_WORDS[row.status];
};

/** That a row likely repeats another one. */
const alikeWords = ({ line, name }: NonNullable<ImportRow['alike']>): string =>
  $localize`New; perhaps the same as line ${line}:line:, ${name}:name:`;

/** What is asked about a row. */
export const questionWords = (
  { entry }: ImportRow,
  question: ImportQuestion,
  chart: Chart,
): string => {
  const other = accountWords(question.accountId, chart);
  return question.type === 'numberMeansOther'
    ? $localize`Number ${entry.number ?? ''} is ${other} in the chart. Is this the same account?`
    : $localize`Is this ${other}?`;
};

/** What becomes of the numbers that stand for other accounts in the chart, under each rule. */
export const CLASH_WORDS: Readonly<Record<ClashRule | 'each', string>> = {
  each: $localize`Ask me about each`,
  chart: $localize`The chart keeps its numbers; these accounts get others`,
  list: $localize`The list keeps its numbers; the chart’s accounts get others`,
  replace: $localize`The list takes the place of the chart`,
};

/** Why a balance of the list stays out. */
export const unplacedWords = ({ line, name, why }: UnplacedBalance, amount: string): string => {
  const title = $localize`Line ${line}, ${name || $localize`without a name`}, ${amount}:amount::`;
  switch (why) {
    case 'heading':
      return $localize`${title} a heading, and not what stands below it.`;
    case 'question':
      return $localize`${title} waits for your answer.`;
    case 'waiting':
      return $localize`${title} waits for the line under which it stands.`;
    case 'wrong':
      return $localize`${title} cannot become an account as it is.`;
    case 'leftOut':
      return $localize`${title} left out by you.`;
  }
};
