import type { PostListRequest } from '@iunctus/contract';
import {
  accountFinder,
  chartOf,
  groupEntries,
  outcomeOf,
  readJournal,
  recognizeJournal,
  type JournalEntry,
} from '@iunctus/core';
import { readFile, type Sheet } from '@iunctus/exchange/reading';
import { contentId } from '../../shared/files/content-id';
import type {
  JournalAnswer,
  JournalAgainst,
  JournalPlan,
  JournalQuestion,
  JournalSheet,
} from './journal-messages';

/** Rows of a sheet that are shown above its columns; faults and lines that are shown at most. */
const HEAD = 12;
const SHOWN = 100;

type Asked<T extends JournalQuestion['type']> = Extract<JournalQuestion, { type: T }>;
type Posting = PostListRequest['entries'][number];

/** The inside of the worker: keeps the rows of the file and the entries that were made of them. */
export class JournalComputer {
  private sheets: readonly Sheet[] = [];
  private good: readonly Posting[] = [];

  constructor(private readonly answer: (message: JournalAnswer) => void) {}

  async take(message: JournalQuestion): Promise<void> {
    if (message.type === 'read') return this.read(message);
    if (message.type === 'plan') return this.plan(message);
    const { serial, from, count } = message;
    this.answer({ type: 'taken', serial, entries: this.good.slice(from, from + count) });
  }

  private async read({ bytes, chart }: Asked<'read'>): Promise<void> {
    const reading = await readFile(bytes);
    if (!reading.ok) return this.answer({ type: 'unreadable', problem: reading.problem });
    const whole = chartOf(chart);
    const find = accountFinder(whole);
    const known = {
      dimensions: whole.settings.dimensions,
      isAccount: (text: string) => find(text, '') !== null,
    };
    this.sheets = reading.file.sheets;
    const sheets = this.sheets.map(({ name, rows }): JournalSheet => {
      const columns = recognizeJournal(rows, known);
      const below = rows.filter(({ line }) => line > (columns.headingLine ?? 0));
      return { name, count: below.length, head: below.slice(0, HEAD), columns };
    });
    this.answer({ type: 'read', sheets });
  }

  private async plan(asked: Asked<'plan'>): Promise<void> {
    const { serial, sheet, books, source, ...how } = asked;
    const chart = chartOf(asked.chart);
    const rows = this.sheets[sheet]?.rows ?? [];
    const read = readJournal({ ...how, rows, chart, currency: books.currency });
    const outcome = outcomeOf(read, groupEntries(read.lines, { chart, books, source }));
    const { good, unread, faulty, ...counts } = outcome;
    this.good = await Promise.all(good.map((entry) => postingOf(entry, asked)));
    const plan: JournalPlan = {
      ...counts,
      unread: unread.slice(0, SHOWN),
      unreadCount: unread.length,
      faulty: faulty.slice(0, SHOWN).map(({ lines, faults }) => ({ lines, faults })),
      faultyCount: faulty.length,
      ids: this.good.map(({ id }) => id),
    };
    this.answer({ type: 'planned', serial, plan });
  }
}

const postingOf = async (
  { entry, fingerprint }: JournalEntry,
  { clientId, source }: Pick<JournalAgainst, 'clientId' | 'source'>,
): Promise<Posting> => ({
  id: await contentId(`${clientId}\n${fingerprint}`),
  date: entry.date,
  source,
  comment: entry.comment,
  lines: entry.lines.map((line) => ({ ...line, values: { ...line.values }, foreign: null })),
});
