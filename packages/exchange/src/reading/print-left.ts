import { looksGiven } from '@iunctus/core';
import { isAmountWord, isPlainlyAmount, wordsIn, type PrintWord } from './print-line';

/** So many lines are looked at. */
const SAMPLE = 400;
const FEWEST = 3;
const HALF = 0.5;
/** From here on the digits before names are account numbers, as long as one another or in order. */
const GIVEN = 0.7;
/** So far behind the rest of a line stands what stood before it. */
const BEHIND = 16;

const CURRENCY = /^\p{Sc}$/u;
/** Nobody sets thousands apart in the number of an account. */
const GROUPED = /\d[,'’]\d{3}(?!\d)/;

/** The amount, or the currency over amounts, with which a line begins, blanks between it and all else. */
const leftOf = (line: string): PrintWord | null => {
  const [first, second] = wordsIn(line);
  if (first === undefined || second === undefined || second.start - first.end < 2) return null;
  return isAmountWord(first.text) || CURRENCY.test(first.text) ? first : null;
};

/** A name between two amounts. */
const isBetween = (line: string): boolean => {
  const [, second, ...more] = wordsIn(line);
  const last = more.at(-1);
  return /^\p{L}/u.test(second?.text ?? '') && last !== undefined && isAmountWord(last.text);
};

/** Whether a print has amounts on both sides of its names: last year's on the left. */
const hasLeft = (lines: readonly string[]): boolean => {
  const ended = lines.filter((line) => isAmountWord(wordsIn(line).at(-1)?.text ?? ''));
  const between = ended.filter((line) => leftOf(line) !== null && isBetween(line));
  if (between.length < FEWEST || between.length < ended.length * HALF) return false;
  const lefts = between.flatMap((line) => leftOf(line)?.text ?? []);
  if (lefts.some((text) => GROUPED.test(text))) return true;
  return lefts.some(isPlainlyAmount) && looksGiven(lefts) < GIVEN;
};

/** Where last year's amounts stand before the names and this year's behind them, last year's go behind this year's. Common practice, no source. */
export const withLeftBehind = (lines: readonly string[]): readonly string[] => {
  if (!hasLeft(lines.slice(0, SAMPLE))) return lines;
  const width = Math.max(...lines.map(({ length }) => length)) + BEHIND;
  return lines.map((line) => {
    const left = leftOf(line);
    if (left === null) return line;
    const rest = ' '.repeat(left.end) + line.slice(left.end);
    return rest.padEnd(width - left.text.length) + left.text;
  });
};
