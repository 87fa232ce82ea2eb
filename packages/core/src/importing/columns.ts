import { nameKey } from '../text/name-key';
import type { HeadedColumn } from './amount-columns';
import { useOfHeading } from './column-words';
import { readListedAmount } from './amounts';
import { CURRENCY, periodHeading } from './period-headings';
import { setInColumns } from './set-in-columns';
import { sidedColumns } from './sided-columns';
import type { ColumnReading, ColumnUse, SourceRow } from './source';
import { meaningOfTypes } from './type-words';

/** How many rows are looked at to find the headings, and to see what a column holds. */
const HEAD = 25;
const SAMPLE = 400;

const NUMBER = /^[A-Z]{0,3}\d[\d.\-/]*$/i;
const NUMBER_AND_NAME = /^\d[\d.\-/]{1,}\s*[-–·:|]?\s+\p{L}/u;
const ROLES = /^(heading|header|group|title|total|summary|posting|detail|post|h|d|p|t)$/i;
const STATUSES = /^(active|inactive|closed|open|retired|archived|yes|no|true|false)$/i;

/** Over the names of a printed statement nothing stands, over its amounts their years. */
const namesOnlyPeriods = (cells: readonly string[]): boolean => {
  const [first = '', ...others] = cells.map((cell) => cell.trim());
  const filled = others.filter((cell) => cell !== '');
  const periods = filled.filter((cell) => periodHeading(cell) !== null);
  const known = filled.every((cell) => periods.includes(cell) || /^notes?$/i.test(cell));
  return first === '' && periods.length > 0 && known;
};

/** How well a row serves as headings: how many of its cells name a use, each counted once. */
const headingScore = ({ cells }: SourceRow): number => {
  if (namesOnlyPeriods(cells)) return 2;
  const periods = cells.filter((cell) => periodHeading(cell) !== null);
  const uses = new Set(cells.flatMap((cell) => useOfHeading(cell)?.use ?? []));
  if (periods.length > 0) uses.add('balance');
  const named = ['name', 'number', 'numberAndName'].some((use) => uses.has(use as ColumnUse));
  const amounts = cells.filter((cell) => /\d{3}/.test(cell)).length;
  return named ? uses.size - amounts + periods.filter((cell) => /\d{3}/.test(cell)).length : 0;
};

/** How many of the texts pass, from 0 to 1; none of none. */
export const share = (texts: readonly string[], test: (text: string) => boolean): number =>
  texts.length === 0 ? 0 : texts.filter(test).length / texts.length;

/** Headings in other languages: a first row of words alone over a column of digits. */
const strangeRow = (rows: readonly SourceRow[]): SourceRow | null => {
  const [first, ...below] = rows.filter(
    ({ cells }) => cells.filter((cell) => cell.trim() !== '').length > 1,
  );
  if (first === undefined || below.length < 2) return null;
  const words = first.cells.filter((cell) => cell.trim() !== '');
  if (words.some((cell) => /\d/.test(cell))) return null;
  const overDigits = first.cells.some((cell, column) => {
    const texts = below.slice(0, SAMPLE).map(({ cells }) => (cells[column] ?? '').trim());
    const filled = texts.filter((text) => text !== '');
    return (
      cell.trim() !== '' &&
      filled.length > 1 &&
      share(filled, (text) => /^\D{0,3}\d/.test(text)) === 1
    );
  });
  return overDigits ? first : null;
};

const headingRow = (rows: readonly SourceRow[]): SourceRow | null => {
  let best: { row: SourceRow; score: number } | null = null;
  for (const row of rows.slice(0, HEAD)) {
    const score = headingScore(row);
    if (score > (best?.score ?? 0)) best = { row, score };
  }
  const single = rows.every(({ cells }) => cells.filter((cell) => cell.trim() !== '').length <= 1);
  return best !== null && (best.score > 1 || single) ? best.row : strangeRow(rows);
};

/** Whether a text is an amount, whatever sign its decimals have. */
export const isAmount = (text: string): boolean =>
  ['.', ','].some(
    (decimal) =>
      readListedAmount(text, { currency: 'BHD', decimal: decimal as '.' | ',' }) !== null,
  );

interface Seen {
  readonly texts: readonly string[];
  readonly distinct: number;
}

type Likely = readonly (readonly [ColumnUse, number])[];

/** How many of the texts are types; where nearly all differ, only plain names of elements are. */
const saysType = (texts: readonly string[], few: boolean): number => {
  const meanings = meaningOfTypes(texts);
  return share(texts, (text) => (few ? meanings.has(text) : meanings.get(text)?.kind === null));
};

/** How much digits look like numbers that somebody gave: as long as one another, or in order. */
const looksGiven = (texts: readonly string[]): number => {
  const lengths = new Map<number, number>();
  for (const { length } of texts) lengths.set(length, (lengths.get(length) ?? 0) + 1);
  const alike = Math.max(...lengths.values()) / texts.length;
  const rising = texts.filter((text, at) => at === 0 || Number(text) >= Number(texts[at - 1]));
  return Math.max(alike, rising.length / texts.length);
};

/** Thousands that are set apart, and brackets: nothing but amounts is written so. */
const WRITTEN_AS_AMOUNT = /^[-−]?\p{Sc}?[-−]?\d{1,3}(?:,\d{3})+$|^\(\p{Sc}?\d[\d,.]*\)$/u;

/** Where so many are written as amounts are, all are. */
const WRITTEN = 0.3;

/** Below this share digits are amounts. */
const GIVEN = 0.7;

/** What a column's content speaks for, each from 0 to 1. */
const likelyUses = ({ texts, distinct }: Seen, numbers: ReadonlySet<string>): Likely => {
  if (texts.length === 0) return [];
  const spread = distinct / texts.length;
  const few = distinct <= 60 && spread < 0.6;
  const decimals = share(texts, (text) => /[.,]\d{2}\D*$/.test(text));
  const levels = few && distinct <= 12 && share(texts, (text) => /^\d$/.test(text)) === 1;
  const named = share(texts, (text) => /\p{L}{2}/u.test(text) && !isAmount(text));
  const whole = share(texts, (text) => /^\d+$/.test(text)) === 1;
  const written = share(texts, (text) => WRITTEN_AS_AMOUNT.test(text)) >= WRITTEN;
  const amounts = written || (whole && !levels && looksGiven(texts) < GIVEN);
  return [
    [
      'number',
      levels || amounts
        ? 0.2
        : 0.8 * share(texts, (text) => NUMBER.test(text)) * spread ** 2 * (1 - decimals),
    ],
    ['numberAndName', 0.9 * share(texts, (text) => NUMBER_AND_NAME.test(text))],
    ['name', 0.7 * named * spread],
    ['parent', spread < 0.8 ? 0.75 * share(texts, (text) => numbers.has(nameKey(text))) : 0],
    ['level', levels ? 0.7 : 0],
    ['role', 0.8 * share(texts, (text) => ROLES.test(text))],
    ['retired', few ? 0.6 * share(texts, (text) => STATUSES.test(text)) : 0],
    ['type', 0.75 * saysType(texts, few)],
    ['balance', 0.6 * share(texts, isAmount) * Math.max(decimals, amounts ? 0.8 : 0.3)],
  ];
};

interface Candidate {
  readonly column: number;
  readonly use: ColumnUse;
  readonly score: number;
}

/** The least that content alone must say for a column to be used. */
const SURE_ENOUGH = 0.45;

/** What a heading names; of several periods only the latest, whose rank is `latest`, has the amounts. */
const namedUse = (heading: string, latest: number): ReturnType<typeof useOfHeading> | 'none' => {
  const named = useOfHeading(heading);
  const period = named === null ? periodHeading(heading) : null;
  if (period === null) return named;
  return period.rank < latest ? 'none' : { use: 'balance', sure: 0.6 };
};

/** A note of a printed statement is a reference: “4”, “12a”. */
const refersToNotes = ({ texts }: Seen): boolean =>
  texts.length > 0 && share(texts, (text) => /^\d{1,2}[a-z]?$/i.test(text)) === 1;

const candidatesOf = (
  column: number,
  heading: string,
  seen: Seen & { readonly numbers: ReadonlySet<string>; readonly latest: number },
): readonly Candidate[] => {
  const likely = likelyUses(seen, seen.numbers);
  const named = namedUse(heading, seen.latest);
  if (named === 'none' || (named?.use === 'notes' && refersToNotes(seen))) return [];
  const byContent = likely.flatMap(([use, score]) =>
    score >= SURE_ENOUGH && named === null ? [{ column, use, score }] : [],
  );
  if (named === null) return byContent;
  const said = likely.find(([use]) => use === named.use)?.[1] ?? 0.4;
  const own: Candidate[] = [{ column, use: named.use, score: named.sure + said }];
  const both = likely.find(([use]) => use === 'numberAndName')?.[1] ?? 0;
  const combined = ['name', 'number'].includes(named.use) && both > 0.7;
  return combined ? [{ column, use: 'numberAndName', score: 2 + both }, ...own] : own;
};

/** The best use for each column, each use once: the surest first. */
const assigned = (
  candidates: readonly Candidate[],
  width: number,
): readonly (ColumnUse | null)[] => {
  const uses: (ColumnUse | null)[] = Array.from({ length: width }, () => null);
  const sorted = [...candidates].sort((a, b) => b.score - a.score || a.column - b.column);
  const taken = new Set<ColumnUse>();
  for (const { column, use } of sorted) {
    if (uses[column] !== null || taken.has(use)) continue;
    if (use === 'balance' && (taken.has('debit') || taken.has('credit'))) continue;
    uses[column] = use;
    taken.add(use);
  }
  return uses;
};

/** What the amounts of columns say by their sums: which is for what, and what else may be so. */
interface BySums {
  readonly known: readonly Candidate[];
  readonly others: (candidate: Candidate) => boolean;
}

const known = (column: number, use: ColumnUse): Candidate => ({ column, use, score: Infinity });

/** Two columns of which the outer one has what the inner one comes to, or debits and credits that come to the same. */
const usesBySums = (columns: readonly HeadedColumn[]): BySums => {
  const setIn = setInColumns(columns);
  // What stands further right is of another year.
  if (setIn !== null)
    return {
      known: [known(setIn.inner, 'innerBalance'), known(setIn.outer, 'balance')],
      others: ({ column }) => column < setIn.inner,
    };
  const sides = sidedColumns(columns);
  return {
    known: sides === null ? [] : [known(sides.debit, 'debit'), known(sides.credit, 'credit')],
    others: () => true,
  };
};

/** A number and a name in one column need no further column for either. */
const settled = (uses: readonly (ColumnUse | null)[]): readonly (ColumnUse | null)[] => {
  const has = (use: ColumnUse): boolean => uses.includes(use);
  if (has('numberAndName') && has('number') && has('name'))
    return uses.map((use) => (use === 'numberAndName' ? null : use));
  if (has('name') || has('numberAndName')) return uses;
  const spare = uses.indexOf(null);
  return spare < 0 ? uses : uses.map((use, column) => (column === spare ? 'name' : use));
};

/**
 * Finds the headings of a list and what each column is for: by its heading, by what it holds, or by
 * both. Rows before the headings are a title. Each use is given once.
 */
export const recognizeColumns = (rows: readonly SourceRow[]): ColumnReading => {
  const head = headingRow(rows);
  const body = rows.filter(({ line }) => head === null || line > head.line).slice(0, SAMPLE);
  const width = body.reduce(
    (most, { cells }) => Math.max(most, cells.length),
    head?.cells.length ?? 0,
  );
  const headings = Array.from({ length: width }, (_, column) => (head?.cells[column] ?? '').trim());
  const columns = headings.map((heading, column) => ({
    heading,
    cells: body.map(({ cells }) => (cells[column] ?? '').trim()),
  }));
  const bySums = usesBySums(columns);
  const seen = columns.map(({ cells }): Seen => {
    const texts = cells.filter((text) => text !== '' && !CURRENCY.test(text));
    return { texts, distinct: new Set(texts).size };
  });
  const numbers = new Set(
    seen.flatMap(({ texts, distinct }) =>
      distinct > 0.8 * texts.length ? texts.map(nameKey) : [],
    ),
  );
  const latest = Math.max(0, ...headings.map((heading) => periodHeading(heading)?.rank ?? 0));
  const candidates = seen.flatMap((own, column) =>
    candidatesOf(column, headings[column] ?? '', { ...own, numbers, latest }),
  );
  const uses = assigned([...bySums.known, ...candidates.filter(bySums.others)], width);
  return { headingLine: head?.line ?? null, headings, uses: settled(uses) };
};
