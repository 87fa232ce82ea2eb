import type { Role } from '../chart/account';
import { isCalendarDate, type CalendarDate } from '../dates/calendar-date';
import { AMOUNT_LIMIT, negate, type Minor } from '../money/minor';
import { cleanName, cleanNumber, NUMBER_LIMIT, TEXT_LIMITS } from '../operations/checks';
import { decimalSignOf, isBeyondCounting, readListedAmount, type DecimalSign } from './amounts';
import { bodyRows } from './body-rows';
import type { CellProblem, ImportEntry, Mended } from './entry';
import { CURRENCY } from './period-headings';
import { elementOfName, resultLines } from './result-lines';
import { sideOfText, withSidesSaid } from './sides-in-column';
import { readSetIn, type PrintLine } from './set-in';
import type { ColumnReading, ColumnUse, SourceRow } from './source';
import { yearEndsOf, type YearEnds } from './year-ends';

/** How rows are to be read. */
export interface RowRequest {
  readonly columns: ColumnReading;
  readonly currency: string;
  /** The day from which accounts are retired where the list only says that they are. */
  readonly today: CalendarDate;
  /** What was put right, by line. */
  readonly mended: ReadonlyMap<number, Mended>;
}

/** The accounts of a list, and what was passed over: totals and other lines that are worked out, and what the user leaves out. */
export interface RowsRead {
  readonly entries: readonly ImportEntry[];
  readonly totals: readonly ImportEntry[];
  readonly leftOut: readonly ImportEntry[];
  /** What a year began with and ended with, where the list says that. */
  readonly yearEnds: YearEnds;
  /** What the list and its parts are called, where that says for when they are. */
  readonly titles: readonly string[];
  /** What the list has columns for. */
  readonly columns: ReadonlySet<ColumnUse>;
}

const NUMBER_SHAPE = /^[\p{L}\p{N}](?:[\p{L}\p{N}.\-/]*[\p{L}\p{N}])?$/u;
const COMBINED = /^(\d[\d.\-/]*\d|\d)(?:\s*[-–—·:|)]\s*|\s+)(?=\S)/u;
const TOTAL = /^(sub)?totals?\b|^grand total\b|\btotal$/i;

/** Writes of a date: 2026-10-31, 2026/10/31. */
const dateOf = (text: string): CalendarDate | null => {
  const iso = text.replaceAll('/', '-').slice(0, 10);
  return isCalendarDate(iso) ? iso : null;
};

const ROLE_WORDS: Readonly<Record<string, Role>> = {
  heading: 'heading',
  header: 'heading',
  group: 'heading',
  title: 'heading',
  summary: 'heading',
  h: 'heading',
  posting: 'posting',
  detail: 'posting',
  post: 'posting',
  account: 'posting',
  d: 'posting',
  p: 'posting',
};

const OPEN = /^(active|open|yes|true|in use|1)$/i;
const CLOSED = /^(inactive|retired|closed|archived|no|false|blocked|0)$/i;

interface RowRead {
  readonly entry: ImportEntry;
  readonly line: PrintLine;
}

class RowReader {
  readonly problems: CellProblem[] = [];

  constructor(
    private readonly row: SourceRow,
    private readonly columnOf: ReadonlyMap<ColumnUse, number>,
    private readonly request: RowRequest & { readonly decimal: DecimalSign },
  ) {}

  raw(use: ColumnUse): string {
    const mended = this.request.mended.get(this.row.line)?.cells?.[use];
    if (mended !== undefined) return mended;
    const column = this.columnOf.get(use);
    return column === undefined ? '' : (this.row.cells[column] ?? '');
  }

  text(use: ColumnUse): string | null {
    const text = this.raw(use).trim();
    return text === '' ? null : text;
  }

  wrong(use: ColumnUse, rule: CellProblem['rule']): null {
    this.problems.push({ use, rule, text: this.raw(use).trim() });
    return null;
  }

  limited(use: 'shortLabel' | 'guidance' | 'notes'): string | null {
    const text = this.text(use);
    return text !== null && text.length > TEXT_LIMITS[use] ? this.wrong(use, 'textTooLong') : text;
  }

  number(text: string | null): string | null {
    if (text === null) return null;
    const number = cleanNumber(text);
    const fits = number.length <= NUMBER_LIMIT && NUMBER_SHAPE.test(number);
    return fits ? number : this.wrong('number', 'numberMalformed');
  }

  /** Number and name, which may share a column. */
  title(): { readonly number: string | null; readonly name: string; readonly indent: number } {
    const together = this.raw('numberAndName') !== '' && this.raw('name').trim() === '';
    const typed = together ? this.raw('numberAndName') : this.raw('name');
    const indent = /^[\s\u00a0\u3000]*/u.exec(typed)?.[0].replaceAll('\t', '    ').length ?? 0;
    const split = together ? COMBINED.exec(typed.trim()) : null;
    const name = cleanName(split === null ? typed : typed.trim().slice(split[0].length));
    const own = this.number(this.text('number'));
    if (name === '') this.wrong('name', 'nameMissing');
    if (name.length > TEXT_LIMITS.name) this.wrong('name', 'textTooLong');
    return { number: own ?? (split === null ? null : this.number(split[1] ?? null)), name, indent };
  }

  side(): ImportEntry['side'] {
    const text = this.text('side');
    if (text === null) return null;
    return sideOfText(text) ?? this.wrong('side', 'sideMalformed');
  }

  level(): number | null {
    const text = this.text('level');
    if (text === null) return null;
    return /^\d{1,2}$/.test(text) ? Number(text) : this.wrong('level', 'levelMalformed');
  }

  amount(use: ColumnUse): Minor | null {
    const text = this.text(use);
    if (text === null || /^[-–—]$/.test(text) || CURRENCY.test(text)) return null;
    const amount = readListedAmount(text, this.request);
    if (amount === null)
      return this.wrong(use, isBeyondCounting(text) ? 'amountTooLarge' : 'amountMalformed');
    return Math.abs(amount) > AMOUNT_LIMIT ? this.wrong(use, 'amountTooLarge') : amount;
  }

  /** What the columns of amounts hold. */
  printed(name: string): PrintLine {
    const [inner, debit, credit] = [
      this.amount('innerBalance'),
      this.amount('debit'),
      this.amount('credit'),
    ];
    const sided = debit !== null || credit !== null;
    return {
      name,
      inner,
      outer: sided ? (debit ?? 0) - (credit ?? 0) : this.amount('balance'),
    };
  }

  role(): Role | null {
    const text = this.text('role');
    return text === null ? null : (ROLE_WORDS[text.toLowerCase()] ?? null);
  }

  retired(): ImportEntry['retired'] {
    const text = this.text('retired');
    if (text === null) return null;
    const heading = this.request.columns.headings[this.columnOf.get('retired') ?? -1] ?? '';
    const turned = /^(inactive|retired|closed|archived)/i.test(heading.trim());
    const yes = OPEN.test(text);
    if (yes || CLOSED.test(text)) {
      const isWord = /^(active|open|in use|inactive|retired|closed|archived|blocked)$/i.test(text);
      return yes === (turned && !isWord) ? this.request.today : 'open';
    }
    return dateOf(text) ?? this.wrong('retired', 'statusMalformed');
  }

  read(): RowRead {
    const { number, name, indent } = this.title();
    const line = this.printed(name);
    const entry: ImportEntry = {
      line: this.row.line,
      cells: this.row.cells,
      number,
      name,
      indent,
      parent: this.text('parent'),
      level: this.level(),
      type: this.text('type'),
      finerType: this.text('finerType'),
      role: this.role(),
      shortLabel: this.limited('shortLabel'),
      guidance: this.limited('guidance'),
      notes: this.limited('notes'),
      retired: this.retired(),
      // A detail's amount stands set in; the one outside is what several come to.
      balance: line.inner ?? line.outer,
      budget: this.amount('budget'),
      side: this.side(),
      problems: this.problems,
    };
    return { entry, line };
  }
}

/** A line of totals; without a name, what debits and credits come to alike. */
const isTotal = ({ number, name, balance }: ImportEntry): boolean =>
  number === null && (TOTAL.test(name) || (name === '' && balance === 0));

/** A number that stands twice is wrong where it stands again. */
const withRepeats = (entries: readonly ImportEntry[]): readonly ImportEntry[] => {
  const lines = new Map<string, number>();
  return entries.map((entry) => {
    const { number, line, problems } = entry;
    const otherLine = number === null ? undefined : lines.get(number);
    if (number !== null && otherLine === undefined) lines.set(number, line);
    if (otherLine === undefined) return entry;
    const repeated: CellProblem = {
      use: 'number',
      rule: 'numberRepeated',
      text: number ?? '',
      otherLine,
    };
    return { ...entry, problems: [...problems, repeated] };
  });
};

/** Amounts are taken as long as all of a list can be added up exactly, on either side; what goes beyond is refused at its row. */
const withinCounting = (
  entries: readonly ImportEntry[],
  columnOf: ReadonlyMap<ColumnUse, number>,
): readonly ImportEntry[] => {
  const totals = { balance: 0, budget: 0 };
  const goesBeyond = (entry: ImportEntry, use: keyof typeof totals): boolean => {
    const total = totals[use] + Math.abs(entry[use] ?? 0);
    if (total > Number.MAX_SAFE_INTEGER) return true;
    totals[use] = total;
    return false;
  };
  return entries.map((entry) => {
    const beyond = (['balance', 'budget'] as const).filter((use) => goesBeyond(entry, use));
    if (beyond.length === 0) return entry;
    const uses = beyond.flatMap((one): readonly ColumnUse[] =>
      one === 'budget' ? ['budget'] : ['balance', 'innerBalance', 'debit', 'credit'],
    );
    const problems = uses.flatMap((use): CellProblem[] => {
      const text = (entry.cells[columnOf.get(use) ?? -1] ?? '').trim();
      return text === '' ? [] : [{ use, rule: 'amountTooLarge', text }];
    });
    const refused = Object.fromEntries(beyond.map((use) => [use, null]));
    return { ...entry, ...refused, problems: [...entry.problems, ...problems] };
  });
};

/** The entries of a list, and the lines that only repeat what others before them come to. */
interface EntriesRead {
  readonly read: readonly ImportEntry[];
  readonly sums: ReadonlySet<number>;
}

const asListed = (rows: readonly RowRead[]): EntriesRead => ({
  read: rows.map(({ entry }) => entry),
  sums: new Set(),
});

/** What is taken off a sale because it was spent for it needs no minus: it stands on its own side. */
const isCostOf = (entry: ImportEntry, before: ImportEntry | undefined): boolean => {
  const name = entry.name.replace(/^less\b:?\s*/i, '');
  const isCost = elementOfName({ ...entry, name }) === 'expense';
  return isCost && before !== undefined && elementOfName(before) === 'revenue';
};

/** Where details are set in, what is taken off has a minus, and a line without a name is what others come to. */
const withSetIn = (rows: readonly RowRead[]): EntriesRead => {
  const { totals, takenOff } = readSetIn(rows.map(({ line }) => line));
  const isSum = ({ name, number, role }: ImportEntry, at: number): boolean =>
    number === null && role === null && (name === '' || totals.has(at));
  return {
    read: rows.map(({ entry }, at) =>
      takenOff.has(at) && entry.balance !== null && !isCostOf(entry, rows[at - 1]?.entry)
        ? { ...entry, balance: negate(entry.balance) }
        : entry,
    ),
    sums: new Set(rows.flatMap(({ entry }, at) => (isSum(entry, at) ? [entry.line] : []))),
  };
};

const AMOUNTS: readonly ColumnUse[] = ['balance', 'innerBalance', 'debit', 'credit', 'budget'];

/**
 * Reads the rows of a list by the uses of its columns. Lines of totals are given apart; what cannot be used is named on
 * its entry, with the rest of it.
 */
export const readRows = (rows: readonly SourceRow[], request: RowRequest): RowsRead => {
  const { columns, mended } = request;
  const columnOf = new Map(
    columns.uses.flatMap((use, column) => (use === null ? [] : [[use, column] as const])),
  );
  const { body, titles } = bodyRows(rows, columns);
  const texts = AMOUNTS.flatMap((use) => {
    const column = columnOf.get(use);
    return column === undefined ? [] : body.map(({ cells }) => cells[column] ?? '');
  });
  const reading = { ...request, decimal: decimalSignOf(texts, request.currency) };
  const rowsRead = body.map((row) => new RowReader(row, columnOf, reading).read());
  const { read, sums } = columnOf.has('innerBalance') ? withSetIn(rowsRead) : asListed(rowsRead);
  const isSum = (entry: ImportEntry): boolean => sums.has(entry.line) || isTotal(entry);
  const uses = new Set(columnOf.keys());
  const all = withinCounting(withSidesSaid(read, uses, isSum), columnOf);
  const isOut = ({ line }: ImportEntry): boolean => mended.get(line)?.leftOut === true;
  const kept = all.filter((entry) => !isOut(entry));
  const results = resultLines(
    kept.filter(({ line }) => !sums.has(line)),
    kept.filter(isSum),
  );
  const isResult = (entry: ImportEntry): boolean => isSum(entry) || results.has(entry);
  const yearEnds = yearEndsOf(kept, isResult);
  const isWorkedOut = (entry: ImportEntry): boolean =>
    isResult(entry) || yearEnds.repeats.has(entry);
  return {
    entries: withRepeats(kept.filter((entry) => !isWorkedOut(entry))),
    totals: kept.filter(isWorkedOut),
    leftOut: all.filter(isOut),
    yearEnds,
    titles,
    columns: uses,
  };
};
