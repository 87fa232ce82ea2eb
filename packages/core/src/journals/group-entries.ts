import type { Chart } from '../chart/chart';
import { accountsById } from '../chart/queries';
import { checkEntry } from '../entries/check-entry';
import type { Books, NewEntry } from '../entries/entry';
import type { PlacedFault } from '../entries/entry-fault';
import type { EntrySource } from '../postings/posting';
import type { JournalLine } from './read-journal';

/** An entry of a list: its lines, what it would be, and what keeps it from being posted. */
export interface JournalEntry {
  readonly lines: readonly JournalLine[];
  readonly entry: NewEntry;
  readonly faults: readonly PlacedFault[];
  /** Whether a cell of it cannot be read. */
  readonly hasProblems: boolean;
  /** What tells it from every other entry of any list: the same text in a list that is brought in again. */
  readonly fingerprint: string;
}

/** What lists of entries are held against. */
export interface JournalBooks {
  readonly chart: Chart;
  readonly books: Books;
  readonly source: EntrySource;
}

/** Lines that bear the same reference; one without takes that of the line above. */
const byReference = (lines: readonly JournalLine[]): readonly (readonly JournalLine[])[] => {
  const groups = new Map<string, JournalLine[]>();
  let [reference, date] = ['', ''];
  for (const line of lines) {
    if (line.reference !== '') {
      if (line.reference !== reference) date = '';
      reference = line.reference;
    }
    if (line.date !== '') date = line.date;
    const key = `${reference}\u0000${date}`;
    const known = groups.get(key);
    if (known === undefined) groups.set(key, [line]);
    else known.push(line);
  }
  return [...groups.values()];
};

/** Lines of one day that follow one another until they balance. */
const byBalance = (lines: readonly JournalLine[]): readonly (readonly JournalLine[])[] => {
  const groups: JournalLine[][] = [];
  let open: JournalLine[] = [];
  let total = 0;
  const close = (): void => {
    if (open.length > 0) groups.push(open);
    [open, total] = [[], 0];
  };
  for (const line of lines) {
    const day = open.find(({ date }) => date !== '')?.date ?? '';
    if (line.date !== '' && day !== '' && line.date !== day) close();
    open.push(line);
    total += line.amount;
    if (open.length > 1 && total === 0) close();
  }
  close();
  return groups;
};

const entryOf = (lines: readonly JournalLine[], source: EntrySource): NewEntry => {
  const comment = lines.find((line) => line.comment !== '')?.comment ?? '';
  return {
    date: lines.find(({ date }) => date !== '')?.date ?? '',
    source,
    comment,
    lines: lines.map((line) => ({
      accountId: line.accountId ?? '',
      amount: line.amount,
      values: line.values,
      comment:
        line.lineComment !== '' ? line.lineComment : line.comment === comment ? '' : line.comment,
      foreign: null,
    })),
  };
};

const textOf = (entry: NewEntry, lines: readonly JournalLine[]): string =>
  JSON.stringify([
    entry.date,
    lines[0]?.reference ?? '',
    entry.comment,
    lines.map(({ accountText, amount, lineComment, values }) => [
      accountText,
      amount,
      lineComment,
      Object.entries(values).sort(),
    ]),
  ]);

/**
 * Makes entries of the lines of a list: those of one reference and day or, without references, those of one day that
 * balance together. Lines of nothing are left out. Two entries that are the same in all are told apart by their count,
 * so that a list brought in again finds each of its entries.
 */
export const groupEntries = (
  lines: readonly JournalLine[],
  { chart, books, source }: JournalBooks,
): readonly JournalEntry[] => {
  const kept = lines.filter(({ amount, problems }) => amount !== 0 || problems.length > 0);
  const isReferenced = kept.some(({ reference }) => reference !== '');
  const seen = new Map<string, number>();
  const accounts = accountsById(chart);
  return (isReferenced ? byReference(kept) : byBalance(kept)).map((group) => {
    const entry = entryOf(group, source);
    const text = textOf(entry, group);
    const nth = seen.get(text) ?? 0;
    seen.set(text, nth + 1);
    const hasProblems = group.some(({ problems }) => problems.length > 0) || entry.date === '';
    const faults = hasProblems ? [] : checkEntry({ chart, accounts, books, entry, byHand: false });
    return { lines: group, entry, faults, hasProblems, fingerprint: `${text}#${nth}` };
  });
};
