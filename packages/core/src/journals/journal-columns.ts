import type { Dimension } from '../dimensions/dimension';
import { plainHeading } from '../importing/column-words';
import { isAmount, share } from '../importing/column-contents';
import type { SourceRow } from '../importing/source';
import { columnsBy, type ColumnsBy } from './columns-by';
import { isListedDate } from './listed-date';

/** What a column of a list of entries says of its lines. A dimension’s column says which value a line carries. */
export const JOURNAL_USES = [
  'date',
  'entry',
  'account',
  'accountName',
  'debit',
  'credit',
  'amount',
  'comment',
  'lineComment',
] as const;
export type JournalUse = (typeof JOURNAL_USES)[number] | `value/${string}`;

/** What was made of the columns of a list of entries. */
export type JournalColumns = ColumnsBy<JournalUse>;

/** What columns are headed with in lists of entries. Usage of the trade: common practice, no source. */
const HEADED: Readonly<Record<(typeof JOURNAL_USES)[number], string>> = {
  date: 'date, posting date, entry date, transaction date, trans date, booking date, journal date, accounting date, effective date, document date, day',
  entry:
    'entry, entry no, entry number, entry id, journal, journal no, journal number, journal entry, journal id, voucher, voucher no, voucher number, document, document no, document number, doc no, reference, reference no, ref, ref no, transaction, transaction no, transaction number, transaction id, trans no, batch, no, number, id',
  account:
    'account, account no, account number, account code, acct, acct no, gl account, gl code, ledger account, ledger code, code, account id, number and name',
  accountName: 'account name, account description, account title, ledger name, acct name, name',
  debit: 'debit, debits, dr, debit amount',
  credit: 'credit, credits, cr, credit amount',
  amount: 'amount, net amount, amount signed, value, total, sum',
  comment:
    'comment, comments, description, entry description, journal description, memo, narration, narrative, text, details, particulars, explanation, subject, purpose',
  lineComment: 'line comment, line description, line text, line memo, note, notes, remarks',
};

const EXACT: ReadonlyMap<string, JournalUse> = new Map(
  (Object.entries(HEADED) as [JournalUse, string][]).flatMap(([use, phrases]) =>
    phrases.split(', ').map((phrase) => [phrase, use] as const),
  ),
);

/** Headings that hold more than a phrase: “Debit (USD)”, “Amount EUR”. */
const HELD: readonly (readonly [RegExp, JournalUse])[] = [
  [/\bdebit\b/, 'debit'],
  [/\bcredit\b/, 'credit'],
  [/\bdate\b/, 'date'],
  [/^amount\b/, 'amount'],
];

const useOf = (heading: string, dimensions: readonly Dimension[]): JournalUse | null => {
  const key = plainHeading(heading);
  if (key === '') return null;
  const dimension = dimensions.find(({ name }) => plainHeading(name) === key);
  if (dimension !== undefined) return `value/${dimension.id}`;
  return EXACT.get(key) ?? HELD.find(([held]) => held.test(key))?.[1] ?? null;
};

/** Each use once, the first column first; but for comments, which say more of the line where there are two. */
const once = (uses: readonly (JournalUse | null)[]): (JournalUse | null)[] => {
  const taken = new Set<JournalUse>();
  return uses.map((use) => {
    if (use === null) return null;
    const free = taken.has(use) && use === 'comment' ? 'lineComment' : use;
    if (taken.has(free)) return null;
    taken.add(free);
    return free;
  });
};

/** What a column without a heading holds by its content; `isAccount` knows what names an account. */
const byContent = (
  texts: readonly string[],
  isAccount: (text: string) => boolean,
): JournalUse | null => {
  if (share(texts, isListedDate) > 0.8) return 'date';
  if (share(texts, isAccount) > 0.6) return 'account';
  if (share(texts, (text) => isAmount(text) && /[.,]\d{1,3}\D*$/.test(text)) > 0.6) return 'amount';
  return share(texts, (text) => /\p{L}{3}/u.test(text)) > 0.6 ? 'comment' : null;
};

/** Two columns of amounts without headings are debits and credits, as the trade writes them. */
const sided = (uses: readonly (JournalUse | null)[]): (JournalUse | null)[] => {
  const amounts = uses.flatMap((use, column) => (use === 'amount' ? [column] : []));
  if (amounts.length !== 2) return [...uses];
  return uses.map((use, column) =>
    use !== 'amount' ? use : column === amounts[0] ? 'debit' : 'credit',
  );
};

/** What the columns of a list of entries seem to be, by their headings and by what is in them. */
export const recognizeJournal = (
  rows: readonly SourceRow[],
  known: {
    readonly dimensions: readonly Dimension[];
    readonly isAccount: (text: string) => boolean;
  },
): JournalColumns => {
  const found = columnsBy<JournalUse>(rows, {
    useOf: (heading) => useOf(heading, known.dimensions),
    byContent: (texts) => byContent(texts, known.isAccount),
  });
  return { ...found, uses: once(sided(found.uses)) };
};
