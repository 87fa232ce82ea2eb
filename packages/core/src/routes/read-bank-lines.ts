import type { CalendarDate } from '../dates/calendar-date';
import type { DateOrder } from '../dates/read-date';
import { decimalSignOf, readListedAmount } from '../importing/amounts';
import { plainHeading } from '../importing/column-words';
import { isAmount, share } from '../importing/column-contents';
import type { SourceRow } from '../importing/source';
import { columnsBy, type ColumnsBy } from '../journals/columns-by';
import { cellsOf, rowsBelow, usedOnce } from '../journals/list-cells';
import { dateOrderIn, isListedDate, readListedDate } from '../journals/listed-date';
import { AMOUNT_LIMIT, type Minor } from '../money/minor';

/** What a column of a bank's list says of its lines. `in` and `out` are amounts without a sign. */
export const BANK_USES = ['date', 'text', 'amount', 'in', 'out', 'currency'] as const;
export type BankUse = (typeof BANK_USES)[number];

/** What columns are headed with in banks' lists. Usage of banks: common practice, no source. */
const HEADED: Readonly<Record<BankUse, string>> = {
  date: 'date, booking date, posting date, transaction date, trans date, value date, entry date, date posted, posted',
  text: 'description, details, narrative, text, memo, payee, name, reference, transaction, transaction description, particulars, purpose, counterparty, merchant, message',
  amount: 'amount, value, transaction amount, net amount, net',
  in: 'in, paid in, money in, credit, credits, credit amount, deposit, deposits, receipts',
  currency: 'currency, ccy, currency code',
  out: 'out, paid out, money out, debit, debits, debit amount, withdrawal, withdrawals, payments',
};
const EXACT: ReadonlyMap<string, BankUse> = new Map(
  (Object.entries(HEADED) as [BankUse, string][]).flatMap(([use, phrases]) =>
    phrases.split(', ').map((phrase) => [phrase, use] as const),
  ),
);
const HELD: readonly (readonly [RegExp, BankUse])[] = [
  [/\bdate\b/, 'date'],
  [/^amount\b/, 'amount'],
  [/\b(paid|money) in\b|\bcredit\b/, 'in'],
  [/\b(paid|money) out\b|\bdebit\b/, 'out'],
];

const useOf = (heading: string): BankUse | null => {
  const key = plainHeading(heading);
  return EXACT.get(key) ?? HELD.find(([held]) => held.test(key))?.[1] ?? null;
};

/** What was made of the columns of a bank's list. */
export type BankColumns = ColumnsBy<BankUse>;

const byContent = (texts: readonly string[]): BankUse | null => {
  if (share(texts, isListedDate) > 0.8) return 'date';
  if (share(texts, (text) => isAmount(text) && /[.,]\d{1,3}\D*$/.test(text)) > 0.6) return 'amount';
  return share(texts, (text) => /\p{L}{3}/u.test(text)) > 0.6 ? 'text' : null;
};

/** What the columns of a bank's list seem to be, by their headings or else by what is in them. */
export const recognizeBankList = (rows: readonly SourceRow[]): BankColumns => {
  const found = columnsBy<BankUse>(rows, { useOf, byContent });
  return { ...found, uses: usedOnce(found.uses, 'text') };
};

/** A cell that cannot be read, and the rule that it breaks. */
export interface BankProblem {
  readonly line: number;
  readonly use: BankUse;
  readonly text: string;
  readonly rule: 'notADate' | 'notAnAmount' | 'missing' | 'amountTooLarge' | 'otherCurrency';
}

/** A line of a bank's list. */
export interface ListedLine {
  /** The row of the file, from 1. */
  readonly line: number;
  readonly date: CalendarDate;
  readonly text: string;
  /** Money in is positive; minor units of the books' currency. */
  readonly amount: Minor;
  /** By what it is known again: what stands in it, and which of several alike it is. */
  readonly fingerprint: string;
}

/** A bank's list as it was read. */
export interface BankRead {
  readonly lines: readonly ListedLine[];
  readonly problems: readonly BankProblem[];
  readonly order: DateOrder;
  /** Whether the order of day and month is proven by a date, or chosen. */
  readonly isOrderProven: boolean;
}

/** How a bank's list is to be read. */
export interface BankRequest {
  readonly rows: readonly SourceRow[];
  readonly columns: BankColumns;
  /** ISO 4217, of the books. */
  readonly currency: string;
  readonly usualOrder: DateOrder;
  /** The order that was chosen; `null` leaves it to the column. */
  readonly order: DateOrder | null;
}

type Read<T> =
  { readonly value: T } | { readonly rule: BankProblem['rule']; readonly use: BankUse };

class BankReader {
  private readonly decimal;
  private readonly order;

  constructor(
    private readonly request: BankRequest,
    seen: DateOrder,
  ) {
    this.order = request.order ?? seen;
    const amounts = (['amount', 'in', 'out'] as const).flatMap((use) => this.textsOf(use));
    this.decimal = decimalSignOf(amounts, request.currency);
  }

  private textsOf(use: BankUse): readonly string[] {
    const { rows, columns } = this.request;
    return rowsBelow(rows, columns)
      .map((row) => cellsOf(row, columns, use))
      .filter((text) => text !== '');
  }

  private amountIn(row: SourceRow, use: 'amount' | 'in' | 'out'): Read<Minor> {
    const text = cellsOf(row, this.request.columns, use);
    if (text === '' || /^[-–—]$/.test(text)) return { value: 0 };
    const { currency } = this.request;
    const amount = readListedAmount(text, { currency, decimal: this.decimal });
    if (amount === null) return { rule: 'notAnAmount', use };
    if (Math.abs(amount) > AMOUNT_LIMIT) return { rule: 'amountTooLarge', use };
    if (use === 'amount') return { value: amount };
    return { value: use === 'in' ? Math.abs(amount) : -Math.abs(amount) };
  }

  amount(row: SourceRow): Read<Minor> {
    const currency = cellsOf(row, this.request.columns, 'currency').toUpperCase();
    if (currency !== '' && currency !== this.request.currency)
      return { rule: 'otherCurrency', use: 'currency' };
    let sum = 0;
    for (const use of ['amount', 'in', 'out'] as const) {
      const read = this.amountIn(row, use);
      if ('rule' in read) return read;
      sum += read.value;
    }
    return { value: sum };
  }

  date(row: SourceRow): Read<CalendarDate> {
    const text = cellsOf(row, this.request.columns, 'date');
    if (text === '') return { rule: 'missing', use: 'date' };
    const date = readListedDate(text, this.order);
    return date === null ? { rule: 'notADate', use: 'date' } : { value: date };
  }
}

const BALANCE = /^(opening|closing|starting|ending|available)? ?balance\b|^(sub)?totals?\b/i;

/** Rows that say nothing of a line: without an amount, or of a balance. */
const isBeside = (row: SourceRow, columns: BankColumns): boolean => {
  const amounts = (['amount', 'in', 'out'] as const).map((use) => cellsOf(row, columns, use));
  return amounts.join('') === '' || BALANCE.test(cellsOf(row, columns, 'text'));
};

/**
 * Reads the lines of a bank's list. What cannot be read is named with its row and rule, and keeps only its own line out.
 * Lines that are alike are told apart by their order, so that a list that overlaps with an earlier one brings none twice.
 */
export const readBankLines = (request: BankRequest): BankRead => {
  const { rows, columns } = request;
  const below = rowsBelow(rows, columns);
  const dates = below.map((row) => cellsOf(row, columns, 'date')).filter((text) => text !== '');
  const seen = dateOrderIn(dates, request.usualOrder);
  const reader = new BankReader(request, seen.order);
  const alike = new Map<string, number>();
  const lines: ListedLine[] = [];
  const problems: BankProblem[] = [];
  for (const row of below.filter((one) => !isBeside(one, columns))) {
    const [date, amount] = [reader.date(row), reader.amount(row)];
    for (const read of [date, amount])
      if ('rule' in read)
        problems.push({ line: row.line, text: cellsOf(row, columns, read.use), ...read });
    if ('rule' in date || 'rule' in amount || amount.value === 0) continue;
    const text = cellsOf(row, columns, 'text');
    const plain = `${date.value}\n${text}\n${amount.value}`;
    const count = (alike.get(plain) ?? 0) + 1;
    alike.set(plain, count);
    lines.push({
      line: row.line,
      date: date.value,
      text,
      amount: amount.value,
      fingerprint: `${plain}\n${count}`,
    });
  }
  return {
    lines: lines.toSorted((one, other) =>
      one.date < other.date ? -1 : Number(one.date > other.date),
    ),
    problems,
    order: request.order ?? seen.order,
    isOrderProven: request.order !== null || seen.isProven,
  };
};
