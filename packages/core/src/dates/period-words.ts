import { addMonths, fiscalYearStart, isMonth, monthsBetween, type Month } from './month';
import { namedMonth, wholeYear } from './read-date';
import type { Period } from './period';

/** Where words for periods are seen from. */
export interface PeriodContext {
  /** The period that is looked at. */
  readonly main: Period;
  /** The month (1–12) with which the fiscal year begins. */
  readonly startsIn: number;
  /** The month of today. */
  readonly now: Month;
}

/** The period that words say, or the word that says nothing. */
export type PeriodRead =
  { readonly ok: true; readonly period: Period } | { readonly ok: false; readonly word: string };

/** A part of the words: a period, and whether its year was named. */
interface Named {
  readonly period: Period;
  readonly dated: boolean;
}

const span = (first: Month, months: number): Period => ({
  first,
  last: addMonths(first, months - 1),
});
const shifted = ({ first, last }: Period, months: number): Period => ({
  first: addMonths(first, months),
  last: addMonths(last, months),
});

const yearOf = ({ main, startsIn }: PeriodContext): Period =>
  span(fiscalYearStart(main.last, startsIn), 12);

/** The fiscal year that is called by the year in which it ends. */
const yearCalled = (year: number, { startsIn }: PeriodContext): Period => {
  const start = `${String(year).padStart(4, '0')}-${String(startsIn).padStart(2, '0')}`;
  return span(startsIn === 1 ? start : addMonths(start, -12), 12);
};

const quarterOf = ({ main, startsIn }: PeriodContext): Period => {
  const start = fiscalYearStart(main.last, startsIn);
  const at = Math.floor((monthsBetween(start, main.last) - 1) / 3);
  return span(addMonths(start, at * 3), 3);
};

const UNITS = ['month', 'quarter', 'year'] as const;
type Unit = (typeof UNITS)[number];
const LENGTHS: Readonly<Record<Unit, number>> = { month: 1, quarter: 3, year: 12 };

const unitIn = (word: string | undefined): Unit | null =>
  UNITS.find((unit) => word === unit || word === `${unit}s`) ?? null;

const unitAround = (unit: Unit, context: PeriodContext): Period => {
  if (unit === 'year') return yearOf(context);
  return unit === 'quarter' ? quarterOf(context) : span(context.main.last, 1);
};

const COUNTS: Readonly<Record<string, number>> = {
  a: 1,
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
};

const countIn = (word: string | undefined): number | null => {
  if (word === undefined) return null;
  if (/^\d{1,2}$/.test(word)) return Number(word);
  return COUNTS[word] ?? null;
};

type Reader = (words: readonly string[], context: PeriodContext) => Named | null;

const relative = (period: Period): Named => ({ period, dated: true });

const readThis: Reader = (words, context) => {
  const [first, second] = words;
  const text = words.join(' ');
  if (['', 'this period', 'the period', 'period'].includes(text)) return relative(context.main);
  if (text === 'now' || text === 'today') return relative(span(context.now, 1));
  if (text === 'ytd' || text === 'year to date' || text === 'to date')
    return relative({ first: yearOf(context).first, last: context.main.last });
  const unit = unitIn(words.length === 1 ? first : second);
  if (unit === null || words.length > 2) return null;
  const around = unitAround(unit, context);
  if (words.length === 1 || first === 'this') return relative(around);
  if (first === 'last') return relative(shifted(around, -LENGTHS[unit]));
  return first === 'next' ? relative(shifted(around, LENGTHS[unit])) : null;
};

/** "a year before", "2 quarters before", "the period before": the whole period, so far back. */
const readBefore: Reader = (words, { main }) => {
  const [article, ...more] = words[0] === 'the' ? words : ['', ...words];
  if (more.at(-1) !== 'before' && more.at(-1) !== 'earlier') return null;
  const named = more.slice(0, -1);
  if (named.length === 1 && named[0] === 'period')
    return relative(shifted(main, -monthsBetween(main.first, main.last)));
  const count = named.length === 1 ? 1 : countIn(named[0]);
  const unit = unitIn(named.at(-1));
  if (count === null || unit === null || named.length > 2 || (article === 'the' && count > 1))
    return null;
  return relative(shifted(main, -count * LENGTHS[unit]));
};

/** "last 12 months": so many up to the end of the period. */
const readLatest: Reader = (words, { main }) => {
  const [first, ...more] = words[0] === 'last' ? words : ['last', ...words];
  const [count, unit] = [countIn(more[0]), unitIn(more[1])];
  if (first !== 'last' || more.length !== 2 || count === null || count === 0 || unit === null)
    return null;
  const months = count * LENGTHS[unit];
  return relative({ first: addMonths(main.last, 1 - months), last: main.last });
};

const yearIn = (word: string | undefined, { now }: PeriodContext): number | null =>
  word === undefined ? null : wholeYear(word.replace(/^fy/, ''), `${now}-01`);

const readYear: Reader = (words, context) => {
  const named = words[0] === 'fy' ? words.slice(1) : words;
  const [word] = named;
  if (named.length !== 1 || word === undefined) return null;
  if (!/^(fy)?(\d{4}|\d{2})$/.test(word)) return null;
  // Two digits alone are no year: they might be a day.
  if (/^\d{2}$/.test(word) && named === words) return null;
  const year = yearIn(word, context);
  return year === null ? null : { period: yearCalled(year, context), dated: true };
};

/** "q2", "h1 2026": parts of a fiscal year. */
const readPart: Reader = (words, context) => {
  const [part = '', year, ...more] = words;
  const match = /^(?:q([1-4])|h([12]))$/.exec(part);
  if (match === null || more.length > 0) return null;
  const called = yearIn(year, context);
  if (year !== undefined && called === null) return null;
  const whole = called === null ? yearOf(context) : yearCalled(called, context);
  const months = match[1] === undefined ? 6 : 3;
  const at = Number(match[1] ?? match[2]) - 1;
  return { period: span(addMonths(whole.first, at * months), months), dated: year !== undefined };
};

const monthWritten = (year: number, month: number): Month | null => {
  const text = `${String(year).padStart(4, '0')}-${String(month).padStart(2, '0')}`;
  return isMonth(text) ? text : null;
};

/** "march", "mar 2026", "3/2026", "2026-03". */
const readMonth: Reader = (words, context) => {
  const [word = '', year, ...more] = words;
  const digits = /^(\d{1,2})\/(\d{4})$/.exec(word) ?? /^(\d{4})-(\d{1,2})$/.exec(word);
  if (digits !== null && year === undefined) {
    const [one, other] = [Number(digits[1]), Number(digits[2])];
    const month = word.includes('/') ? monthWritten(other, one) : monthWritten(one, other);
    return month === null ? null : { period: span(month, 1), dated: true };
  }
  const number = namedMonth(word);
  if (number === null || more.length > 0) return null;
  if (year === undefined) {
    const { first } = yearOf(context);
    const at = (number - Number(first.slice(5)) + 12) % 12;
    return { period: span(addMonths(first, at), 1), dated: false };
  }
  const called = yearIn(year, context);
  const month = called === null ? null : monthWritten(called, number);
  return month === null ? null : { period: span(month, 1), dated: true };
};

const READERS: readonly Reader[] = [
  readThis,
  readBefore,
  readLatest,
  readYear,
  readPart,
  readMonth,
];

const readNamed = (words: readonly string[], context: PeriodContext): Named | null => {
  for (const reader of READERS) {
    const named = reader(words, context);
    if (named !== null) return named;
  }
  return null;
};

const KNOWN =
  /^(this|the|period|now|today|ytd|to|date|months?|quarters?|years?|last|next|before|earlier|fy|a|one|two|three|four|five|q[1-4]|h[12]|\d{1,2}|\d{4}|fy\d{2,4}|\d{1,2}\/\d{4}|\d{4}-\d{1,2})$/;

/** The first word that means nothing; where each does, all of them together mean nothing. */
const wrongWord = (words: readonly string[]): string =>
  words.find((word) => !KNOWN.test(word) && namedMonth(word) === null) ?? words.join(' ');

const wordsOf = (text: string): readonly string[] =>
  text
    .toLowerCase()
    .replace(/[–—]|\s-\s/g, ' to ')
    .replace(/([a-z])-([a-z])/g, '$1 to $2')
    .replace(/\b(through|until|till)\b/g, 'to')
    .split(/[\s,.]+/)
    .filter((word) => word !== '');

/** From one named period to another; what has no year of its own follows the other. */
const joined = (from: Named, to: Named): Period | null => {
  let { first } = from.period;
  let { last } = to.period;
  if (!from.dated) {
    while (first > last) first = addMonths(first, -12);
    while (addMonths(first, 12) <= last) first = addMonths(first, 12);
  } else if (!to.dated) {
    while (last < first) last = addMonths(last, 12);
    while (addMonths(last, -12) >= first) last = addMonths(last, -12);
  }
  return first > last ? null : { first, last };
};

/**
 * Reads a period as people say it: "this period", "a year before", "q2", "jan to mar", "year to date", "last 12 months",
 * "oct 2025 to now", "2026". Quarters, halves and years are those of the fiscal year, which is called by the year in
 * which it ends (common practice, no source); a month or part without a year lies in the fiscal year of the period.
 */
export const readPeriod = (text: string, context: PeriodContext): PeriodRead => {
  const words = wordsOf(text);
  const whole = readNamed(words, context);
  if (whole !== null) return { ok: true, period: whole.period };
  const at = words.lastIndexOf('to');
  if (at <= 0 || at === words.length - 1) return { ok: false, word: wrongWord(words) };
  const [before, after] = [words.slice(0, at), words.slice(at + 1)];
  const [from, to] = [readNamed(before, context), readNamed(after, context)];
  if (from === null) return { ok: false, word: wrongWord(before) };
  if (to === null) return { ok: false, word: wrongWord(after) };
  const period = joined(from, to);
  return period === null ? { ok: false, word: words.join(' ') } : { ok: true, period };
};
