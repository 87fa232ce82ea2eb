import type { Element } from '../kinds/element';
import { elementOf } from '../kinds/kinds';
import { inferKinds } from '../matching/infer-kind';
import { nameKey } from '../text/name-key';
import { add, negate, sum, type Minor } from '../money/minor';
import type { ImportEntry } from './entry';
import { elementOfTitle } from './section-titles';

/** Lines of printed statements that are worked out from others; common practice, no source. */
const RESULTS = new Set([
  'gross profit',
  'gross loss',
  'gross profit/(loss)',
  'gross margin',
  'gross surplus',
  'operating profit',
  'operating loss',
  'operating profit/(loss)',
  'operating surplus',
  'net operating income',
  'income from operations',
  'profit before tax',
  'profit before taxation',
  'loss before tax',
  'loss before taxation',
  'profit on ordinary activities before taxation',
  'net income before tax',
  'net income before taxes',
  'income before tax',
  'income before taxes',
  'net profit before tax',
  'net current assets',
  'net current liabilities',
  'net current assets/(liabilities)',
  'working capital',
  'ebit',
  'ebitda',
]);

/** Worked out where they have an amount; the title of equity where they have none. */
const BALANCES = new Set([
  'net assets',
  'net liabilities',
  'net assets/(liabilities)',
  'net assets attributable to members',
  'net assets, end of year',
  'net assets at end of year',
]);

/** What a year comes to: worked out where the list has what it is worked out from, else a line of equity. */
const OUTCOMES = new Set([
  'net',
  'net profit',
  'net loss',
  'net profit/(loss)',
  'net income',
  'net income/(loss)',
  'net surplus',
  'net deficit',
  'net surplus/(deficit)',
  'net result',
  'profit',
  'loss',
  'surplus',
  'deficit',
  'profit for the year',
  'loss for the year',
  'profit for the period',
  'loss for the period',
  'profit/(loss) for the year',
  'net profit for the year',
  'net income for the year',
  'profit after tax',
  'profit after taxation',
  'profit for the financial year',
  'surplus for the year',
  'deficit for the year',
  'surplus/(deficit) for the year',
  'excess of income over expenditure',
  'excess of expenditure over income',
  'net receipts',
  'net payments',
  'net receipts/(payments)',
  'net income/(expenditure)',
  'net incoming resources',
  'net movement in funds',
  'change in net assets',
  'increase in net assets',
  'net farm profit',
  'net farm income',
  'net business income',
]);

/** The same before or after tax, and for other spans than years: “Net profit after tax”, “Surplus for the season”. */
const OUTCOME =
  /^(?:net )?(?:profit|loss|profit\/\(loss\)|income|earnings|surplus|deficit|surplus\/\(deficit\))(?: (?:after|before) (?:income )?tax(?:es|ation)?)?(?: for the (?:financial )?(?:year|period|season|month|quarter|term|half year))?$/;

/** “Excess of receipts over payments”, “Excess (deficiency) of revenue over expenses”. */
const EXCESS =
  /^(?:excess|deficiency|shortfall|surplus|deficit|excess\/\(deficiency\)) of \p{L}+ over \p{L}+(?: for the (?:year|period))?$/u;

/** Worked out in a list that has totals, and perhaps an account in another. */
const BESIDE_TOTALS = new Set(['operating income', 'net operating profit']);

const lineKey = (name: string): string =>
  nameKey(name)
    .replace(/\s*:$/, '')
    .replace(/\s*\((loss|deficit|deficiency|liabilities)\)/, '/($1)')
    .replace(/\s*\/\s*/g, '/')
    .replace(/^less\b:?\s*/, '')
    .replace(/^total assets less current liabilities$/, 'net assets');

/** From this confidence on a name tells its element. */
const CLEAR = 0.6;

/** The element that a name clearly tells; `null` for none. */
export const elementOfName = ({ name }: ImportEntry): Element | null => {
  const [guess] = inferKinds({ name });
  const clear = guess !== undefined && guess.confidence >= CLEAR && guess.reason.type === 'words';
  return clear ? elementOf(guess.kind) : null;
};

/** Whether a line is called as what a year comes to. */
export const isOutcome = (name: string): boolean => {
  const key = lineKey(name);
  if (OUTCOMES.has(key) || EXCESS.test(key)) return true;
  return key !== 'income' && key !== 'earnings' && OUTCOME.test(key);
};

/** What is worked out in parts of a hundred: “Gross margin %”. */
const IN_PERCENT =
  /\b(?:margin|profit|mark-?up|sales|turnover|income) (?:\(?%\)?|per ?cent(?:age)?)$/;

/** A title that leads nothing but results; common practice, no source. */
const OF_RESULTS =
  /^reconciliation of |^movements? in (?:funds|reserves)$|^appropriations?(?: accounts?| of profits?)?$/;

/** What only a statement with income and expenses has on its way to the outcome. */
const ON_THE_WAY = /^(?:gross|operating) (?:profit|loss|margin|surplus)/;

/** Whether a list has what makes up the outcome of a year, income as well as expenses. */
const makesUpYear = (entries: readonly ImportEntry[], aside: ReadonlySet<ImportEntry>): boolean => {
  if ([...aside].some(({ name }) => ON_THE_WAY.test(lineKey(name)))) return true;
  const found = new Set<Element | null>();
  return entries.some((entry) => {
    if (!aside.has(entry)) found.add(elementOfTitle(entry.name) ?? elementOfName(entry));
    return found.has('revenue') && found.has('expense');
  });
};

/** Two lines may make a third by chance. */
const FEWEST_LINES = 3;
/** So many sums before an outcome are asked about. */
const LAST_SUMS = 12;
/** A print has no more outcomes than these; a list made to have more takes no longer. */
const ASKED = 40;

/** Whether a line is plainly of a balance sheet, which comes to a profit in the same way. */
const isHeld = (entry: ImportEntry): boolean => {
  const element = elementOfTitle(entry.name) ?? elementOfName(entry);
  return element !== null && element !== 'revenue' && element !== 'expense';
};

/** Whether the first lines before an outcome, less all others, come to it: income first, as income statements have it. */
const comesOut = (
  outcome: ImportEntry,
  entries: readonly ImportEntry[],
  aside: ReadonlySet<ImportEntry>,
): boolean => {
  const before = entries.filter(
    ({ line, balance }) => line < outcome.line && balance !== null && balance !== 0,
  );
  const amounts = before.filter((entry) => !aside.has(entry)).map(({ balance }) => balance ?? 0);
  if (amounts.length < FEWEST_LINES || before.some(isHeld)) return false;
  let profit = negate(sum(amounts));
  return amounts.slice(0, -1).some((amount) => {
    profit += 2 * amount;
    return profit === outcome.balance;
  });
};

const isSpent = (entry: ImportEntry): boolean => elementOfName(entry) === 'expense';

/** Whether an outcome is what one sum before it is more than another: all income less all that was spent. */
const isDifference = ({ line, balance }: ImportEntry, sums: readonly ImportEntry[]): boolean => {
  const before = sums
    .filter((one) => one.line < line)
    .slice(-LAST_SUMS)
    .map((one) => one.balance ?? 0);
  return before.some((one) => before.some((other) => other !== 0 && one - other === balance));
};

/** Nobody adds up more lines than these without a total between. */
const REACH = 200;

/** How many of the last of some lines, two of them at least and none before `from`, come to an amount; 0 for none. */
const countSummed = (amount: Minor, lines: readonly Minor[], from: number): number => {
  let total: Minor = 0;
  for (let count = 1; count <= Math.min(lines.length - from, REACH); count += 1) {
    total = add(total, lines[lines.length - count] ?? 0);
    if (count > 1 && total === amount) return count;
  }
  return 0;
};

/**
 * Lines without a name, or called as titles are, with what the lines before them come to: “Shareholders' funds”. A line
 * without a name may also sum up other sums: both sections of the assets.
 */
const sectionTotals = (
  entries: readonly ImportEntry[],
  aside: ReadonlySet<ImportEntry>,
): readonly ImportEntry[] => {
  const lines: Minor[] = [];
  let section = 0;
  return entries.filter((entry) => {
    if (aside.has(entry)) return false;
    const { name, number, balance } = entry;
    const titled = number === null && (name === '' || elementOfTitle(name) !== null);
    const sums = titled && balance !== null && balance !== 0;
    const summed = sums ? countSummed(balance, lines, name === '' ? 0 : section) : 0;
    lines.splice(lines.length - summed, summed);
    if (balance !== null) lines.push(balance);
    if (summed > 0 || (titled && balance === null)) section = lines.length;
    return summed > 0;
  });
};

/** Whether a line is called as one that is worked out. */
export const isResult = (name: string): boolean => RESULTS.has(lineKey(name)) || isOutcome(name);

/** What an income statement comes to on its way and at its end, and whether the name says that it is a loss. */
const PROFIT = /\b(?:profit|loss|surplus|deficit|income|earnings|margin|excess|deficiency)\b/;
const LOSS = /^(?:net |gross |operating )?(?:loss|deficit|deficiency|shortfall)\b/;

/** The profit that a line of results says, a loss below zero; `null` for any other line. */
export const profitOf = ({ name, balance }: ImportEntry): Minor | null => {
  const key = lineKey(name);
  if (balance === null || balance === 0 || !isResult(name) || !PROFIT.test(key)) return null;
  return LOSS.test(key) && !key.includes('/') ? -Math.abs(balance) : balance;
};

/** Whether a line is worked out from more than one section, so that what comes behind it belongs to none before. */
const endsSections = (name: string): boolean => isResult(name) || BALANCES.has(lineKey(name));

/** The lines of the file at which all sections before them end, among its lines of totals. */
export const sectionEnds = (totals: readonly ImportEntry[]): readonly number[] =>
  totals.flatMap(({ name, line }) => (endsSections(name) ? [line] : []));

/** Whether one of the ends lies between two rows, the upper one perhaps missing. */
export const endBetween = (
  ends: readonly number[],
  upper: Pick<ImportEntry, 'line'> | undefined,
  lower: Pick<ImportEntry, 'line'> | undefined,
): boolean => ends.some((line) => line > (upper?.line ?? 0) && line < (lower?.line ?? 0));

/**
 * Which lines are worked out from others, as printed statements have them: “Gross profit”, “Net current assets”; what
 * the year comes to where the list has income and expenses. A line with a number of its own is an account, and so is
 * an outcome without an amount. `sums` are the list's lines of totals.
 */
export const resultLines = (
  entries: readonly ImportEntry[],
  sums: readonly ImportEntry[],
): ReadonlySet<ImportEntry> => {
  const totalled = sums.length > 0;
  const unnumbered = entries.filter(({ number, role }) => number === null && role === null);
  const outcomes = unnumbered.filter(({ name, balance }) => balance !== null && isOutcome(name));
  const results = unnumbered.filter(({ name, balance }) => {
    const key = lineKey(name);
    if (balance === null) return RESULTS.has(key) || OF_RESULTS.test(key);
    return RESULTS.has(key) || BALANCES.has(key) || (totalled && BESIDE_TOTALS.has(key));
  });
  const percents = unnumbered.filter(({ name }) => IN_PERCENT.test(lineKey(name)));
  const aside = new Set([...outcomes, ...results]);
  const asked = outcomes.slice(0, ASKED);
  const isMadeUp =
    outcomes.length > 0 &&
    (makesUpYear(entries, aside) ||
      asked.some((outcome) => comesOut(outcome, entries, aside)) ||
      (entries.some(isSpent) && asked.some((outcome) => isDifference(outcome, sums))));
  const known = new Set(isMadeUp ? aside : results);
  return new Set([...known, ...percents, ...sectionTotals(entries, known)]);
};
