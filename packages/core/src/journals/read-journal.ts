import type { AccountId } from '../chart/account';
import type { Chart } from '../chart/chart';
import type { CalendarDate } from '../dates/calendar-date';
import type { DateOrder } from '../dates/read-date';
import type { DimensionValues } from '../dimensions/dimension';
import { COMMENT_LIMIT } from '../entries/entry';
import { decimalSignOf, isBeyondCounting, readListedAmount } from '../importing/amounts';
import type { SourceRow } from '../importing/source';
import { AMOUNT_LIMIT, negate, subtract, type Minor } from '../money/minor';
import { nameKey } from '../text/name-key';
import { accountFinder } from './find-account';
import type { JournalColumns, JournalUse } from './journal-columns';
import { dateOrderIn, readListedDate } from './listed-date';

/** What is wrong with a cell, by the use of its column. */
export interface JournalProblem {
  readonly use: JournalUse;
  readonly rule:
    | 'missing'
    | 'notADate'
    | 'notAnAmount'
    | 'amountTooLarge'
    | 'bothSides'
    | 'unknownAccount'
    | 'unknownValue'
    | 'tooLong';
  readonly text: string;
}

/** One line of a list of entries as it was read. */
export interface JournalLine {
  /** Its line in the file, from 1. */
  readonly line: number;
  /** Empty where the list leaves it to the line above. */
  readonly date: CalendarDate | '';
  readonly reference: string;
  /** What the list names the account by, as one text. */
  readonly accountText: string;
  readonly accountId: AccountId | null;
  readonly amount: Minor;
  readonly comment: string;
  readonly lineComment: string;
  readonly values: DimensionValues;
  readonly problems: readonly JournalProblem[];
}

/** How a list of entries is to be read. */
export interface JournalRequest {
  readonly rows: readonly SourceRow[];
  readonly columns: JournalColumns;
  readonly chart: Chart;
  readonly currency: string;
  /** The order of day and month where nothing proves another. */
  readonly usualOrder: DateOrder;
  /** The order that was chosen; `null` leaves it to the column. */
  readonly order: DateOrder | null;
  /** Which accounts texts stand for, by their keys, as chosen. */
  readonly accounts: ReadonlyMap<string, AccountId>;
  /** What was put right, by line. */
  readonly mended: ReadonlyMap<number, Readonly<Partial<Record<JournalUse, string>>>>;
}

/** A list of entries as it was read. */
export interface JournalRead {
  readonly lines: readonly JournalLine[];
  readonly order: DateOrder;
  /** Whether the order of day and month is proven by a date, or chosen. */
  readonly isOrderProven: boolean;
}

/** By what a text for an account is known again. */
export const accountKey = (text: string): string => nameKey(text);

class LineReader {
  readonly problems: JournalProblem[] = [];

  constructor(
    private readonly row: SourceRow,
    private readonly reading: Reading,
  ) {}

  text(use: JournalUse): string {
    const mended = this.reading.mended.get(this.row.line)?.[use];
    const column = this.reading.columns.uses.indexOf(use);
    return (mended ?? (column < 0 ? '' : (this.row.cells[column] ?? ''))).trim();
  }

  private note(use: JournalUse, rule: JournalProblem['rule']): void {
    this.problems.push({ use, rule, text: this.text(use) });
  }

  date(): CalendarDate | '' {
    const text = this.text('date');
    if (text === '') return '';
    const date = readListedDate(text, this.reading.order);
    if (date === null) this.note('date', 'notADate');
    return date ?? '';
  }

  comment(use: 'comment' | 'lineComment'): string {
    const text = this.text(use).replace(/\s+/g, ' ');
    if (text.length <= COMMENT_LIMIT) return text;
    this.note(use, 'tooLong');
    return text.slice(0, COMMENT_LIMIT);
  }

  accountText(): string {
    return [this.text('account'), this.text('accountName')].filter((text) => text !== '').join(' ');
  }

  account(): AccountId | null {
    const text = this.accountText();
    const { accounts, find } = this.reading;
    const id =
      accounts.get(accountKey(text)) ?? find(this.text('account'), this.text('accountName'));
    if (id === null) this.note('account', text === '' ? 'missing' : 'unknownAccount');
    return id;
  }

  amount(): Minor {
    const [debit, credit] = [this.side('debit'), this.side('credit')];
    if (debit !== 0 && credit !== 0 && this.problems.length === 0) this.note('credit', 'bothSides');
    const both = subtract(debit, credit);
    return both === 0 ? this.side('amount') : both;
  }

  private side(use: 'debit' | 'credit' | 'amount'): Minor {
    const text = this.text(use);
    if (text === '' || /^[-–—]$/.test(text)) return 0;
    const { currency, decimal } = this.reading;
    const amount = readListedAmount(text, { currency, decimal });
    if (isBeyondCounting(text) || (amount !== null && Math.abs(amount) > AMOUNT_LIMIT))
      this.note(use, 'amountTooLarge');
    else if (amount === null) this.note(use, 'notAnAmount');
    else return use === 'credit' && text.startsWith('-') ? negate(Math.abs(amount)) : amount;
    return 0;
  }

  values(): DimensionValues {
    const carried: Record<string, string> = {};
    for (const { id, values } of this.reading.chart.settings.dimensions) {
      const text = this.text(`value/${id}`);
      if (text === '') continue;
      const value = values.find(({ name }) => nameKey(name) === nameKey(text));
      if (value === undefined) this.note(`value/${id}`, 'unknownValue');
      else carried[id] = value.id;
    }
    return carried;
  }
}

interface Reading extends JournalRequest {
  readonly order: DateOrder;
  readonly decimal: '.' | ',';
  readonly find: (text: string, name: string) => AccountId | null;
}

const TOTAL =
  /^(sub)?totals?\b|^grand total\b|^(opening|closing|brought|carried) (balance|forward)\b/i;

/** Rows that say nothing of a line: empty ones, sums, headings that are repeated on each page. */
const isBeside = (reader: LineReader, { headings }: JournalColumns): boolean => {
  const [account, amounts] = [
    reader.accountText(),
    ['debit', 'credit', 'amount'].map((use) => reader.text(use as JournalUse)).join(''),
  ];
  if (amounts === '') return true;
  if (account === '' && (reader.text('date') === '' || TOTAL.test(reader.text('comment'))))
    return true;
  return TOTAL.test(account) || (headings.length > 0 && headings.includes(amounts));
};

const textsOf = ({ rows, columns }: JournalRequest, uses: readonly JournalUse[]): string[] => {
  const wanted = columns.uses.flatMap((use, at) =>
    use !== null && uses.includes(use) ? [at] : [],
  );
  return rows
    .filter(({ line }) => columns.headingLine === null || line > columns.headingLine)
    .flatMap(({ cells }) => wanted.map((column) => cells[column] ?? ''))
    .filter((text) => text.trim() !== '');
};

/**
 * Reads the lines of a list of entries. A cell that cannot be read keeps its line from being posted, and is named with
 * its rule; nothing is passed over but rows without an amount and rows of sums.
 */
export const readJournal = (request: JournalRequest): JournalRead => {
  const seen = dateOrderIn(textsOf(request, ['date']), request.usualOrder);
  const order = request.order ?? seen.order;
  const amounts = textsOf(request, ['debit', 'credit', 'amount']);
  const reading: Reading = {
    ...request,
    order,
    decimal: decimalSignOf(amounts, request.currency),
    find: accountFinder(request.chart),
  };
  const { headingLine } = request.columns;
  const lines = request.rows.flatMap((row): JournalLine[] => {
    if (headingLine !== null && row.line <= headingLine) return [];
    const reader = new LineReader(row, reading);
    if (isBeside(reader, request.columns)) return [];
    const read = {
      line: row.line,
      date: reader.date(),
      reference: reader.text('entry'),
      accountText: reader.accountText(),
      accountId: reader.account(),
      amount: reader.amount(),
      comment: reader.comment('comment'),
      lineComment: reader.comment('lineComment'),
      values: reader.values(),
    };
    return [{ ...read, problems: reader.problems }];
  });
  return { lines, order, isOrderProven: request.order !== null || seen.isProven };
};
