import { asWritten, looksGiven } from '@iunctus/core';
import {
  columnsOf,
  withHeadingsInPlace,
  withWholeNames,
  type PrintColumns,
  type PrintedText,
} from './print-columns';
import { headingsOn, isDated, isPeriod } from './print-headings';
import { withLeftBehind } from './print-left';
import { withNetAlone } from './print-net';
import { isPlainlyAmount, printedLine, type PrintedLine } from './print-line';
import { sheetOf, type Sheet } from './sheet';

/** So many lines are looked at to tell what a text is. */
const SAMPLE = 400;
/** No line of a print is longer; a text with one is none, so that no line takes long. */
const LONGEST = 500;
const FEWEST = 3;
const HALF = 0.5;
const NEARLY_ALL = 0.9;

/** Signs that part the cells of a table; a comma before a blank does not. */
const PARTS_CELLS = /[;|"]|,(?=\S)|,$/;

const isFilled = (text: string): boolean => text.trim() !== '';
const isNamed = ({ name, amounts, gap }: PrintedLine): boolean =>
  /\p{L}{2}/u.test(name) && amounts.length > 0 && gap > 0 && !PARTS_CELLS.test(name);

/** From here on digits behind names are part of them: “Unit 101”, “Unit 102”. */
const GIVEN = 0.7;

/** Whether lines are a print: names with amounts behind them, parted by nothing but blanks. */
const isPrint = (lines: readonly string[]): boolean => {
  const held = lines.map(printedLine).filter(isNamed);
  // Sums without a name say nothing either way.
  const worded = lines.filter((line) => /\p{L}/u.test(line)).length;
  if (held.length < Math.max(FEWEST, worded * HALF)) return false;
  const plainly = held.filter(
    ({ gap, amounts }) => gap > 1 || amounts.some(({ text }) => isPlainlyAmount(text)),
  );
  const last = held.flatMap(({ amounts }) => amounts.at(-1)?.text ?? []);
  return plainly.length >= held.length * HALF || looksGiven(last) < GIVEN;
};

/** Thousands that blanks set apart: “12 500,00”. */
const BLANK_GROUPS = /\d(?: \d{3})+,\d\d(?!\d)/;

/** Where lines set thousands apart by blanks, a sign takes the blank's place. */
const withGroups = (lines: readonly string[]): readonly string[] => {
  const grouped = lines.slice(0, SAMPLE).filter((line) => BLANK_GROUPS.test(line)).length;
  if (grouped < FEWEST) return lines;
  return lines.map((line) => line.replace(/(?<=\d) (?=\d{3}(?:\D|$))/g, "'"));
};

/** A letter for the side before the amount: “Creditors control     C     9,874.32”. */
const SIDE = /(\s{2,}(?:D|C|Dr|Cr|DR|CR)\s+)(\S*\d)$/;

/** Where nearly all amounts have a letter for their side before them, it stands behind them, as elsewhere. */
const withSidesBehind = (lines: readonly string[]): readonly string[] => {
  const sample = lines.slice(0, SAMPLE);
  const sided = sample.filter((line) => SIDE.test(line)).length;
  const held = sample.filter((line) => isNamed(printedLine(line))).length;
  if (sided < FEWEST || sided < held * NEARLY_ALL) return lines;
  return lines.map((line) =>
    line.replace(SIDE, (_all, before: string, amount: string) => {
      const side = /c/i.test(before) ? 'Cr' : 'Dr';
      return `${' '.repeat(before.length)}${amount}${side}`;
    }),
  );
};

/** The foot of a page, and rules above and below sums, say nothing. */
const PAGE = /^\s*page \d+(?: of \d+)?\s*$/i;
const RULES = /^[\s\-=_–—]*[-=_–—]{3}[\s\-=_–—]*$/;

const whole = (text: string): PrintedText => ({
  text,
  line: { name: text.trimEnd(), amounts: [], gap: 0 },
  headings: null,
});

/** The place of the first line that has plainly amounts. */
const firstAmounts = (lines: readonly PrintedText[]): number =>
  lines.findIndex(
    ({ line, headings }) =>
      headings === null && isNamed(line) && line.amounts.some(({ text }) => isPlainlyAmount(text)),
  );

const textOf = (text: string): PrintedText => {
  const headings = headingsOn(text);
  return headings === null && isDated(text)
    ? whole(text)
    : { text, line: printedLine(text), headings };
};

/** Above the first amounts a year is that of a title: “Farm income 2025”. */
const withTitles = (lines: readonly PrintedText[]): readonly PrintedText[] => {
  const first = firstAmounts(lines);
  const isTitle = ({ line, headings }: PrintedText): boolean =>
    headings === null && line.amounts.every(({ text }) => /^\d{1,4}$/.test(text));
  return lines.map((one, at) =>
    at < first && one.line.amounts.length > 0 && isTitle(one) ? whole(one.text) : one,
  );
};

/** When creditors are due, which company accounts print below them. */
const DUE = /^\s*amounts falling due\b/i;
const CREDITORS = /^\s*creditors\s*[:;,-]?$/i;
const SMALL = /^\s*\p{Ll}/u;
/** Where most begin with a small letter, all names are written so. */
const FEW = 0.5;

const named = (one: PrintedText, name: string): PrintedText => ({
  ...one,
  line: { ...one.line, name },
});

const isDue = (one: PrintedText | undefined, next: PrintedText | undefined): boolean =>
  one !== undefined &&
  next !== undefined &&
  CREDITORS.test(one.line.name) &&
  one.line.amounts.length === 0 &&
  next.line.amounts.length > 0 &&
  DUE.test(next.line.name);

/** A name that goes on in the next line, which begins with a small letter and has the amounts. */
const withWrappedNames = (lines: readonly PrintedText[]): readonly PrintedText[] => {
  const goesOn = (one: PrintedText | undefined): boolean =>
    one !== undefined && one.line.amounts.length > 0 && SMALL.test(one.line.name);
  const held = lines.filter(({ line }) => isNamed(line));
  if (held.filter(goesOn).length > held.length * FEW) return lines;
  const begins = (one: PrintedText | undefined): boolean =>
    one !== undefined &&
    one.headings === null &&
    isFilled(one.text) &&
    one.line.amounts.length === 0;
  return lines.map((one, at) => {
    const [before, next] = [lines[at - 1], lines[at + 1]];
    if (begins(one) && (goesOn(next) || isDue(one, next))) return whole('');
    if (isDue(before, one)) return named(one, `Creditors: ${one.line.name.trim()}`);
    if (!goesOn(one) || before === undefined || !begins(before)) return one;
    return named(one, `${before.line.name} ${one.line.name.trimStart()}`);
  });
};

/** Behind the first amounts headings are periods and currencies; “Total” may be anything there. */
const withHeadings = (lines: readonly PrintedText[]): readonly PrintedText[] => {
  const first = firstAmounts(lines);
  return lines.map((one, at) =>
    at < first || one.headings === null || isPeriod(one.headings)
      ? one
      : { ...one, headings: null },
  );
};

const cellsOf = (
  { text, line, headings }: PrintedText,
  { width, put }: PrintColumns,
): readonly string[] => {
  const cells = Array.from({ length: width + 1 }, () => '');
  const words = headings?.words.slice(-width) ?? line.amounts;
  // Headings that do not stand over their columns still stand in their order.
  const columns = put(words) ?? (headings === null ? null : words.map((_word, at) => at));
  if (columns === null) return [text.trimEnd()];
  cells[0] = headings?.name ?? line.name;
  words.forEach((word, at) => {
    cells[(columns[at] ?? 0) + 1] = word.text;
  });
  return cells.map(asWritten);
};

/**
 * Reads lines as they are copied out of a printed statement: a name, blanks, amounts. The first column holds the names
 * with the blanks before them, the others the amounts. Common practice, no source.
 * @returns `null` for a text that is no such print.
 */
export const readPrint = (printed: string): Sheet | null => {
  const all = printed.split(/\r?\n/);
  if (all.some((line) => line.length > LONGEST || line.includes('\t'))) return null;
  const lines = withLeftBehind(withSidesBehind(withGroups(all))).map((line) =>
    PAGE.test(line) || RULES.test(line) ? '' : line,
  );
  if (!isPrint(lines.filter(isFilled).slice(0, SAMPLE))) return null;
  const read = withTitles(withHeadings(withNetAlone(lines.map(textOf))));
  const texts = withWrappedNames(withWholeNames(withHeadingsInPlace(read)));
  const columns = columnsOf(texts);
  return sheetOf(
    '',
    texts.map((one) => (isFilled(one.text) ? cellsOf(one, columns) : [])),
  );
};
