import type { DateOrder } from '../dates/read-date';
import { decimalSignOf, readListedAmount, type DecimalSign } from '../importing/amounts';
import { plainHeading } from '../importing/column-words';
import { isAmount, share } from '../importing/column-contents';
import type { SourceRow } from '../importing/source';
import { OPEN_ITEM_LIMITS, type OpenItem } from '../ledger/open-item';
import { add, AMOUNT_LIMIT, type Minor } from '../money/minor';
import { columnsBy, type ColumnsBy } from './columns-by';
import { cellsOf, rowsBelow, usedOnce } from './list-cells';
import { dateOrderIn, isListedDate, readListedDate } from './listed-date';

/** What a column of a list of open items says. `paid` is taken from `amount`: credits and part payments without a sign. */
export const ITEM_USES = ['party', 'reference', 'date', 'amount', 'paid'] as const;
export type ItemUse = (typeof ITEM_USES)[number];

/** What columns are headed with in lists of who owes what. Common practice, no source. */
const HEADED: Readonly<Record<ItemUse, string>> = {
  party:
    'customer, customer name, client, client name, supplier, supplier name, vendor, vendor name, name, party, payee, debtor, creditor, tenant, patient, member, account name',
  reference:
    'reference, ref, invoice, invoice no, invoice number, invoice ref, document, document no, doc no, number, no, bill, bill no, transaction, num',
  date: 'date, invoice date, document date, bill date, date of invoice, issued, dated',
  amount:
    'amount, balance, open balance, open amount, outstanding, amount outstanding, amount due, balance due, total, total due, amount open, remaining, due, owed, net',
  paid: 'paid, credit, credits, credit amount, received, payments, part paid, allocated',
};
const EXACT: ReadonlyMap<string, ItemUse> = new Map(
  (Object.entries(HEADED) as [ItemUse, string][]).flatMap(([use, phrases]) =>
    phrases.split(', ').map((phrase) => [phrase, use] as const),
  ),
);
const HELD: readonly (readonly [RegExp, ItemUse])[] = [
  [/\bdate\b/, 'date'],
  [/\b(open|outstanding|remaining|unpaid)\b/, 'amount'],
  [/\b(customer|supplier|vendor|client)\b/, 'party'],
];

const useOf = (heading: string): ItemUse | null => {
  const key = plainHeading(heading);
  // By when something is to be paid does not say how old it is.
  if (/\bdue date\b|\bdate due\b/.test(key)) return null;
  const held = HELD.find(([pattern]) => pattern.test(key))?.[1] ?? null;
  return EXACT.get(key) ?? held;
};

const byContent = (texts: readonly string[]): ItemUse | null => {
  if (share(texts, isListedDate) > 0.8) return 'date';
  if (share(texts, (text) => isAmount(text) && /[.,]\d{1,3}\D*$/.test(text)) > 0.6) return 'amount';
  return share(texts, (text) => /\p{L}{3}/u.test(text)) > 0.6 ? 'party' : null;
};

/** What was made of the columns of a list of open items. */
export type ItemColumns = ColumnsBy<ItemUse>;

/** What is left of an invoice, as against what it came to. */
const LEFT = /\b(open|outstanding|balance|remaining|unpaid|due|owed)\b/;

/** Where one column says what invoices came to, and another what is left of them, the first is passed over. */
const withWhatIsLeft = ({ headings, uses }: ItemColumns): readonly (ItemUse | null)[] => {
  const saysLeft = (at: number): boolean =>
    uses[at] === 'amount' && LEFT.test(plainHeading(headings[at] ?? ''));
  if (!uses.some((_use, at) => saysLeft(at))) return uses;
  return uses.map((use, at) => (use === 'amount' && !saysLeft(at) ? null : use));
};

/** What the columns seem to be, by their headings or else by what is in them. */
export const recognizeItems = (rows: readonly SourceRow[]): ItemColumns => {
  const found = columnsBy<ItemUse>(rows, { useOf, byContent });
  return { ...found, uses: usedOnce(withWhatIsLeft(found), 'reference') };
};

/** A cell that cannot be read, and the rule that it breaks. */
export interface ItemProblem {
  readonly line: number;
  readonly use: ItemUse;
  readonly text: string;
  readonly rule: 'notADate' | 'notAnAmount' | 'missing' | 'amountTooLarge' | 'textTooLong';
}

/** How a list of open items is to be read. */
export interface ItemRequest {
  readonly rows: readonly SourceRow[];
  readonly columns: ItemColumns;
  /** ISO 4217, of the books. */
  readonly currency: string;
  /** In which order days and months are written where no date of the list proves it. */
  readonly order: DateOrder;
  /** `1` where what the list says is owed is a debit, `-1` where it is a credit. */
  readonly sign: 1 | -1;
}

/** A list of open items as it was read; amounts are debit positive. */
export interface ItemsRead {
  readonly items: readonly OpenItem[];
  readonly problems: readonly ItemProblem[];
}

const NOTHING = /^[-–—]?$/;
const TOTAL = /^(sub|grand )?totals?\b|^(opening|closing) balance\b|^page \d/i;
const TOTAL_ALONE = /^(sub|grand )?totals?( due| outstanding)?:?$/i;

/** Whether a row sums others up. Somebody may be called so: what has an invoice or a date beside it is an item. */
const isSum = (row: SourceRow, columns: ItemColumns): boolean => {
  const texts = (['party', 'reference', 'date'] as const)
    .map((use) => cellsOf(row, columns, use))
    .filter((text) => text !== '');
  const [only, ...others] = texts;
  if (only === undefined || others.length > 0) return false;
  const tells = columns.uses.some((use) => use === 'reference' || use === 'date');
  return (tells ? TOTAL : TOTAL_ALONE).test(only);
};

/** Rows under a party's name carry it on; those of sums, and those without an amount, bring no item. */
const isBeside = (row: SourceRow, columns: ItemColumns): boolean => {
  const amounts = (['amount', 'paid'] as const).map((use) => cellsOf(row, columns, use));
  return amounts.every((text) => NOTHING.test(text)) || isSum(row, columns);
};

class ItemReader {
  readonly problems: ItemProblem[] = [];
  private readonly decimal: DecimalSign;
  private readonly order: DateOrder;
  private party = '';

  constructor(
    private readonly request: ItemRequest,
    below: readonly SourceRow[],
  ) {
    const texts = (use: ItemUse): readonly string[] =>
      below.map((row) => cellsOf(row, request.columns, use)).filter((text) => text !== '');
    this.decimal = decimalSignOf([...texts('amount'), ...texts('paid')], request.currency);
    this.order = dateOrderIn(texts('date'), request.order).order;
  }

  private refuse(row: SourceRow, use: ItemUse, rule: ItemProblem['rule']): null {
    const text = cellsOf(row, this.request.columns, use);
    this.problems.push({ line: row.line, use, text, rule });
    return null;
  }

  private amountIn(row: SourceRow, use: 'amount' | 'paid'): Minor | null {
    const text = cellsOf(row, this.request.columns, use);
    if (NOTHING.test(text)) return 0;
    const { currency } = this.request;
    const amount = readListedAmount(text, { currency, decimal: this.decimal });
    if (amount === null) return this.refuse(row, use, 'notAnAmount');
    if (Math.abs(amount) > AMOUNT_LIMIT) return this.refuse(row, use, 'amountTooLarge');
    return use === 'amount' ? amount : -Math.abs(amount);
  }

  /** The text of a cell that is kept, if it is not too long. */
  private text(row: SourceRow, use: 'party' | 'reference'): string | null {
    const text = cellsOf(row, this.request.columns, use);
    return text.length > OPEN_ITEM_LIMITS[use] ? this.refuse(row, use, 'textTooLong') : text;
  }

  /** A row that says whose the next ones are. */
  carry(row: SourceRow): void {
    const party = cellsOf(row, this.request.columns, 'party');
    if (party !== '' && !TOTAL.test(party)) this.party = party.slice(0, OPEN_ITEM_LIMITS.party);
  }

  item(row: SourceRow): OpenItem | null {
    const [amount, paid] = [this.amountIn(row, 'amount'), this.amountIn(row, 'paid')];
    const [own, reference] = [this.text(row, 'party'), this.text(row, 'reference')];
    const written = cellsOf(row, this.request.columns, 'date');
    const date = written === '' ? null : readListedDate(written, this.order);
    if (written !== '' && date === null) return this.refuse(row, 'date', 'notADate');
    if (amount === null || paid === null || own === null || reference === null) return null;
    this.party = own === '' ? this.party : own;
    if (this.party === '') return this.refuse(row, 'party', 'missing');
    const open = add(amount, paid) * this.request.sign;
    return open === 0 ? null : { party: this.party, reference, date, amount: open };
  }
}

/**
 * Reads who owes what from a list, or who is owed. What cannot be read is named with its row, field and rule, and keeps
 * only its own row out; rows of sums bring none. A row with a name alone says whose the next rows are.
 */
export const readOpenItems = (request: ItemRequest): ItemsRead => {
  const { rows, columns } = request;
  const below = rowsBelow(rows, columns);
  const reader = new ItemReader(request, below);
  const items = below.flatMap((row): readonly OpenItem[] => {
    if (isBeside(row, columns)) {
      reader.carry(row);
      return [];
    }
    const item = reader.item(row);
    return item === null ? [] : [item];
  });
  return { items, problems: reader.problems };
};
