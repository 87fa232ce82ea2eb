import type { AccountId } from '../chart/account';
import type { CalendarDate } from '../dates/calendar-date';
import type { DimensionValues } from '../dimensions/dimension';
import { formatAmount } from '../money/format';
import { add, AMOUNT_LIMIT, negate, type Minor } from '../money/minor';
import { parseAmount } from '../money/parse';
import type { EntrySource } from '../postings/posting';
import { checkEntry, type Checking } from './check-entry';
import { converted } from './converted';
import type { EntryLine, ForeignAmount, NewEntry } from './entry';

/** A line as it is typed; texts are kept as they are until they can be read. */
export interface TypedLine {
  readonly accountId: AccountId | null;
  /** In the line's own currency; at most one of both sides is filled. */
  readonly debit: string;
  readonly credit: string;
  readonly comment: string;
  readonly values: DimensionValues;
  /** ISO 4217; empty for the books' own. */
  readonly currency: string;
  readonly rate: string;
}

/** An entry as it is typed. */
export interface TypedEntry {
  /** Empty while none is given. */
  readonly date: CalendarDate | '';
  readonly source: EntrySource;
  readonly comment: string;
  readonly lines: readonly TypedLine[];
}

/** What of a typed entry cannot be read, or is not there yet. */
export type UnreadField = 'date' | 'account' | 'debit' | 'credit' | 'bothSides' | 'rate';
export interface Unread {
  /** The typed line, from 0; `null` for the entry. */
  readonly line: number | null;
  readonly field: UnreadField;
}

/** What a typed entry comes to. */
export interface ReadEntry {
  readonly entry: NewEntry;
  /** Which typed line each line of the entry is. */
  readonly places: readonly number[];
  readonly unread: readonly Unread[];
}

/** A line with nothing in it. */
export const EMPTY_LINE: TypedLine = {
  accountId: null,
  debit: '',
  credit: '',
  comment: '',
  values: {},
  currency: '',
  rate: '',
};

/** Whether nothing was typed into a line. */
export const isEmptyLine = ({ accountId, debit, credit, comment }: TypedLine): boolean =>
  accountId === null && debit.trim() === '' && credit.trim() === '' && comment.trim() === '';

/** An amount as it is typed: what stands there, or a sum of several such as `12.50+3-0.5`. Never negative. */
export const readTypedAmount = (text: string, currency: string): Minor | null => {
  const parts = text.replace(/\s/g, '').match(/[+-]?[^+-]+/g);
  if (parts === null || parts.join('') !== text.replace(/\s/g, '')) return null;
  let total: Minor = 0;
  for (const part of parts) {
    const amount = parseAmount(part.replace(/^\+/, ''), currency);
    if (amount === null || Math.abs(amount) > AMOUNT_LIMIT) return null;
    total = add(total, amount);
  }
  return total < 0 || total > AMOUNT_LIMIT ? null : total;
};

interface ReadLine {
  readonly line: EntryLine;
  readonly unread: readonly UnreadField[];
}

/** A debit or a credit as it is typed: at most one of both is filled. */
export type Sides = Pick<TypedLine, 'debit' | 'credit'>;

/** What was typed as a debit or a credit: the amount, debit positive, and what of it cannot be read. */
export const readSides = (
  { debit, credit }: Sides,
  currency: string,
): { readonly amount: Minor; readonly unread: readonly UnreadField[] } => {
  const [hasDebit, hasCredit] = [debit.trim() !== '', credit.trim() !== ''];
  if (hasDebit && hasCredit) return { amount: 0, unread: ['bothSides'] };
  if (!hasDebit && !hasCredit) return { amount: 0, unread: [] };
  const amount = readTypedAmount(hasDebit ? debit : credit, currency);
  if (amount === null) return { amount: 0, unread: [hasDebit ? 'debit' : 'credit'] };
  return { amount: hasDebit ? amount : negate(amount), unread: [] };
};

/** An amount as it would be typed on its side; nothing for nothing. Law: read, it is the amount. */
export const writtenSides = (amount: Minor, currency: string): Sides => {
  const text = amount === 0 ? '' : formatAmount(Math.abs(amount), { currency });
  return amount < 0 ? { debit: '', credit: text } : { debit: text, credit: '' };
};

const readLine = (typed: TypedLine, books: string): ReadLine => {
  const isForeign = typed.currency !== '' && typed.currency !== books;
  const side = readSides(typed, isForeign ? typed.currency : books);
  const rate = typed.rate.trim();
  const comesTo = isForeign
    ? converted(side.amount, { from: typed.currency, into: books, rate })
    : side.amount;
  const foreign: ForeignAmount | null = isForeign
    ? { currency: typed.currency, amount: side.amount, rate }
    : null;
  return {
    line: {
      accountId: typed.accountId ?? '',
      amount: comesTo ?? 0,
      values: typed.values,
      comment: typed.comment.trim(),
      foreign,
    },
    unread: [
      ...side.unread,
      ...(typed.accountId === null ? (['account'] as const) : []),
      ...(comesTo === null ? (['rate'] as const) : []),
    ],
  };
};

/** Reads a typed entry; lines with nothing in them are left out. `currency` is the books', ISO 4217. */
export const readTypedEntry = (typed: TypedEntry, currency: string): ReadEntry => {
  const places = typed.lines.flatMap((line, index) => (isEmptyLine(line) ? [] : [index]));
  const read = places.map((place) => readLine(typed.lines[place] ?? EMPTY_LINE, currency));
  const ofLines = read.flatMap(({ unread }, at) =>
    unread.map((field) => ({ line: places[at] ?? at, field })),
  );
  return {
    entry: {
      date: typed.date,
      source: typed.source,
      comment: typed.comment.trim(),
      lines: read.map(({ line }) => line),
    },
    places,
    unread: typed.date === '' ? [{ line: null, field: 'date' }, ...ofLines] : ofLines,
  };
};

/** An entry as it would be typed, to be posted again or corrected. Law: read, it is the entry. */
export const typedFrom = (entry: NewEntry, currency: string): TypedEntry => ({
  date: entry.date,
  source: entry.source,
  comment: entry.comment,
  lines: entry.lines.map((line) => ({
    accountId: line.accountId,
    ...writtenSides(line.foreign?.amount ?? line.amount, line.foreign?.currency ?? currency),
    comment: line.comment,
    values: line.values,
    currency: line.foreign?.currency ?? '',
    rate: line.foreign?.rate ?? '',
  })),
});

/** What a line lacks for the entry to balance; debit positive, 0 when it balances without it. */
export const lackingAt = (typed: TypedEntry, line: number, currency: string): Minor => {
  const others = { ...typed, lines: typed.lines.filter((_one, index) => index !== line) };
  const { entry } = readTypedEntry(others, currency);
  return negate(entry.lines.reduce((total, { amount }) => add(total, amount), 0));
};

/** The entry that was typed, once all of it can be read and nothing keeps it from being posted; `null` until then. */
export const postableEntry = (
  typed: TypedEntry,
  { chart, books }: Pick<Checking, 'chart' | 'books'>,
): NewEntry | null => {
  const { entry, unread } = readTypedEntry(typed, books.currency);
  if (unread.length > 0) return null;
  return checkEntry({ chart, books, entry, byHand: true }).length === 0 ? entry : null;
};
