import type { PrintHeadings } from './print-headings';
import { setApart, type PrintedLine, type PrintWord } from './print-line';

/** A line of a print, and what it has of headings over amounts. */
export interface PrintedText {
  readonly text: string;
  readonly line: PrintedLine;
  readonly headings: PrintHeadings | null;
}

const MOST = 0.5;
const FEWEST_OVER = 2;

/** The lines that have amounts, and no headings. */
const withAmounts = (lines: readonly PrintedText[]): readonly PrintedLine[] =>
  lines.flatMap(({ line, headings }) =>
    headings === null && line.amounts.length > 0 ? [line] : [],
  );

/** Whether most amounts stand apart from the names by more than one blank. */
const standApart = (held: readonly PrintedLine[]): boolean =>
  held.filter(({ gap, name }) => gap > 1 || name === '').length >= held.length * MOST;

const haveDecimals = (held: readonly PrintedLine[]): boolean => {
  const words = held.flatMap(({ amounts }) => amounts);
  return words.filter(({ text }) => /[.,]\d{2}\D*$/.test(text)).length >= words.length * MOST;
};

const BARE = /^\d+$/;

/** A line with its first amounts, so many, made part of its name. */
const named = (line: PrintedLine, count: number): PrintedLine => ({
  ...line,
  name: [line.name, ...line.amounts.slice(0, count).map(({ text }) => text)].join(' '),
  amounts: line.amounts.slice(count),
});

/** How many bare digits at the beginning of the amounts belong to the name: “Unit 101”. */
const bareDigits = (
  { name, amounts, gap }: PrintedLine,
  { decimals, apart, width }: { decimals: boolean; apart: boolean; width: number | null },
): number => {
  if (name.trim() === '') return 0;
  const first = amounts.findIndex(({ text }) => !BARE.test(text));
  const bare = first < 0 ? amounts.length : first;
  if (decimals) return bare;
  if (apart) return gap === 1 && amounts.length > 1 ? Math.min(bare, 1) : 0;
  return width === null ? 0 : Math.max(0, amounts.length - width);
};

/** The headings that stand over the most columns; none where one stands alone. */
const widestHeadings = (lines: readonly PrintedText[]): readonly PrintWord[] => {
  const all = lines.flatMap(({ headings }) => (headings === null ? [] : [headings.words]));
  return all.reduce((most, words) => (words.length > most.length ? words : most), []);
};

/** Where most amounts have decimals, stand apart, or have headings, the digits beyond them are part of the names. */
export const withWholeNames = (lines: readonly PrintedText[]): readonly PrintedText[] => {
  const held = withAmounts(lines);
  const headed = widestHeadings(lines).length;
  const print = {
    decimals: haveDecimals(held),
    apart: standApart(held),
    width: headed > 0 ? headed : null,
  };
  return lines.map((one) => {
    const count = one.headings === null ? bareDigits(one.line, print) : 0;
    return count === 0 ? one : { ...one, line: named(one.line, count) };
  });
};

/** Amounts that stand below one another end alike; a bracket more or less does not matter. */
const APART = 2;
const endsOf = (held: readonly PrintedLine[]): readonly number[] => {
  const ends = held.flatMap(({ amounts }) => amounts.map(({ end }) => end)).sort((a, b) => a - b);
  return ends.filter((end, at) => at === ends.length - 1 || (ends[at + 1] ?? 0) - end > APART);
};

/** Into which column each of some words goes; `null` where they do not fit. */
type Put = (words: readonly PrintWord[]) => readonly number[] | null;

const nearest = (ends: readonly number[], end: number): number => {
  const distance = (at: number): number => Math.abs((ends[at] ?? 0) - end);
  return ends.reduce((best, _one, at) => (distance(at) < distance(best) ? at : best), 0);
};

const byPlace =
  (ends: readonly number[]): Put =>
  (words) => {
    const columns = words.map(({ end }) => nearest(ends, end));
    return new Set(columns).size === columns.length ? columns : null;
  };

/** Where nothing but their order tells the columns, what is lacking is a note before the amounts, or the last of them. */
const byOrder =
  (width: number, noted: boolean): Put =>
  (words) => {
    const from = noted ? width - words.length : 0;
    return words.length > width ? null : words.map((_word, at) => from + at);
  };

/** The columns of amounts of a print. */
export interface PrintColumns {
  readonly width: number;
  readonly put: Put;
}

/**
 * With the words of the line before the first amounts as headings, where at least two of them end where amounts do: they
 * may be in any language.
 */
export const withHeadingsInPlace = (lines: readonly PrintedText[]): readonly PrintedText[] => {
  const first = lines.findIndex(({ line }) => line.amounts.length > 0 && line.gap > 0);
  const filled = lines.slice(0, Math.max(first, 0)).findLastIndex(({ text }) => text.trim() !== '');
  const before = lines[filled];
  if (before === undefined || lines.some(({ headings }) => headings !== null)) return lines;
  const ends = endsOf(withAmounts(lines));
  const words = setApart(before.text);
  const over = words.filter(({ end }) => ends.some((one) => Math.abs(one - end) <= APART));
  if (over.length < FEWEST_OVER || !standApart(withAmounts(lines))) return lines;
  const name = before.text.slice(0, over[0]?.start).trim();
  return lines.map((one, at) =>
    at === filled ? { ...one, headings: { name, words: over } } : one,
  );
};

/** Finds the columns of amounts: by where they stand, if blanks set them apart, else by their order. */
export const columnsOf = (lines: readonly PrintedText[]): PrintColumns => {
  const held = withAmounts(lines);
  const most = held.reduce((so, { amounts }) => Math.max(so, amounts.length), 0);
  const ends = endsOf(held);
  const put = byPlace(ends);
  const fits = held.every(({ amounts }) => put(amounts) !== null);
  // Each amount may stand set in or not.
  if (standApart(held) && fits && ends.length <= 2 * most) return { width: ends.length, put };
  const headings = widestHeadings(lines);
  const width = Math.max(most, headings.length);
  return { width, put: byOrder(width, /^notes?$/i.test(headings[0]?.text ?? '')) };
};
