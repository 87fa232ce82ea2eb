import type { Account, AccountId } from '../chart/account';
import type { Chart } from '../chart/chart';
import { accountOf } from '../chart/queries';
import { lastDayOf, daysFrom, type CalendarDate } from '../dates/calendar-date';
import { addMonths, fiscalYearStart, monthOf } from '../dates/month';
import { elementOf } from '../kinds/kinds';
import { AMOUNT_LIMIT } from '../money/minor';
import { isOffered, resolvedSettings } from '../settings/rules';
import { converted, isRate } from './converted';
import { LINES_LIMIT, type Books, type EntryLine, type NewEntry } from './entry';
import type { EntryDoubt, EntryFault, LineFault, PlacedFault } from './entry-fault';

/** The last day that entries may bear: the end of the fiscal year after the one of today. */
export const lastOpenDay = ({ today, fiscalYearStart: startsIn }: Books): CalendarDate =>
  lastDayOf(addMonths(fiscalYearStart(monthOf(today), startsIn), 23));

const dateFault = (date: CalendarDate, books: Books): EntryFault | null => {
  if (books.lockedThrough !== null && date <= books.lockedThrough)
    return { code: 'locked', through: books.lockedThrough };
  const last = lastOpenDay(books);
  return date > last ? { code: 'afterOpenYears', last } : null;
};

const valueFault = (account: Account, line: EntryLine, chart: Chart): LineFault | null => {
  const { dimensions } = chart.settings;
  for (const [dimensionId, valueId] of Object.entries(line.values)) {
    const dimension = dimensions.find(({ id }) => id === dimensionId);
    if (dimension?.values.some(({ id }) => id === valueId) !== true)
      return { code: 'unknownValue', dimensionId };
  }
  const lacking = (account.settings.dimensions ?? []).find(
    ({ dimensionId, demanded }) => demanded && line.values[dimensionId] === undefined,
  );
  return lacking === undefined ? null : { code: 'wantsValue', dimensionId: lacking.dimensionId };
};

const currencyFault = (
  account: Account,
  { foreign, amount }: EntryLine,
  books: Books,
): LineFault | null => {
  const own = isOffered(account, 'currency') ? account.settings.currency : undefined;
  if (own !== undefined && own !== (foreign?.currency ?? books.currency))
    return { code: 'onlyIn', currency: own };
  if (foreign === null) return null;
  if (!isRate(foreign.rate)) return { code: 'wrongRate' };
  const comesTo = converted(foreign.amount, {
    from: foreign.currency,
    into: books.currency,
    rate: foreign.rate,
  });
  if (comesTo === null) return { code: 'tooMuch' };
  return comesTo === amount ? null : { code: 'wrongConversion', amount: comesTo };
};

/** How an account takes what is posted by hand on a day. */
const accountFault = (account: Account, date: CalendarDate): LineFault | null => {
  if (account.role === 'heading') return { code: 'heading' };
  if (account.retiredOn !== null && date >= account.retiredOn)
    return { code: 'retired', from: account.retiredOn };
  return null;
};

/** The account of a line; looked up at once where somebody made a list of all. */
const accountAt = ({ chart, accounts }: Checking, { accountId }: EntryLine): Account | undefined =>
  accounts === undefined ? accountOf(chart, accountId) : accounts.get(accountId);

const lineFault = (line: EntryLine, checking: Checking): LineFault | null => {
  const { chart, books, entry, byHand } = checking;
  const account = accountAt(checking, line);
  if (account === undefined) return { code: 'gone' };
  const found = accountFault(account, entry.date);
  if (found !== null) return found;
  if (byHand && resolvedSettings(account).systemPostedOnly) return { code: 'systemOnly' };
  if (line.amount === 0) return { code: 'noAmount' };
  if (Math.abs(line.amount) > AMOUNT_LIMIT) return { code: 'tooMuch' };
  return currencyFault(account, line, books) ?? valueFault(account, line, chart);
};

const isMemorandum = (checking: Checking, line: EntryLine): boolean => {
  const account = accountAt(checking, line);
  return account !== undefined && elementOf(account.kind) === 'memorandum';
};

/** Counted beyond what an amount may be: what is too much is a fault of its line, never an exception. */
const totalOf = (lines: readonly EntryLine[]): number =>
  Number(lines.reduce((total, { amount }) => total + BigInt(Math.trunc(amount)), 0n));

const balanceFault = (checking: Checking): EntryFault | null => {
  const { lines } = checking.entry;
  const memorandum = lines.filter((line) => isMemorandum(checking, line));
  const aside = totalOf(memorandum);
  const difference = totalOf(lines) - aside;
  if (difference !== 0) return { code: 'unbalanced', difference };
  return aside === 0 ? null : { code: 'memorandumUnbalanced', difference: aside };
};

const countFault = ({ length }: readonly EntryLine[], byHand: boolean): EntryFault | null => {
  if (length < 2) return { code: 'tooFewLines' };
  return byHand && length > LINES_LIMIT ? { code: 'tooManyLines', most: LINES_LIMIT } : null;
};

/** An entry with all that it is held against. */
export interface Checking {
  /** As adopted: what is only proposed takes no postings. */
  readonly chart: Chart;
  readonly books: Books;
  readonly entry: NewEntry;
  /** Whether a person typed it; accounts of the system's own take no such lines. */
  readonly byHand: boolean;
  /** All accounts of the chart by their ids, for whoever checks many entries. */
  readonly accounts?: ReadonlyMap<AccountId, Account>;
}

/**
 * All that keeps an entry from being posted, by line; none when it can be. The rules of the trade that hold: a balanced
 * entry on open posting accounts, in an open period (`docs/architecture.md`). The database refuses the same.
 */
export const checkEntry = (checking: Checking): readonly PlacedFault[] => {
  const { books, entry } = checking;
  const whole = [
    dateFault(entry.date, books),
    countFault(entry.lines, checking.byHand),
    balanceFault(checking),
  ].flatMap((fault): PlacedFault[] => (fault === null ? [] : [{ line: null, fault }]));
  const ofLines = entry.lines.flatMap((line, index): PlacedFault[] => {
    const fault = lineFault(line, checking);
    return fault === null ? [] : [{ line: index, fault }];
  });
  return [...whole, ...ofLines];
};

/** From so many days on a date is asked about. */
const FAR = 90;

/** What of an entry that can be posted is asked about before: a day far off, and the result that is reckoned by itself. */
export const doubtsOf = ({ chart, books, entry }: Checking): readonly EntryDoubt[] => {
  const days = daysFrom(books.today, entry.date);
  const far: EntryDoubt[] =
    days > FAR
      ? [{ code: 'farAhead', days }]
      : days < -FAR
        ? [{ code: 'farBack', days: -days }]
        : [];
  const retained = entry.lines.findIndex(
    ({ accountId }) => accountOf(chart, accountId)?.systemUse === 'retainedEarnings',
  );
  return retained < 0 ? far : [...far, { code: 'toRetainedEarnings', line: retained }];
};
