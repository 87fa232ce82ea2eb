import type { Period } from '../dates/period';
import type { PeriodContext } from '../dates/period-words';
import { restrictedValues, restrictingDimension, type Dimension } from '../dimensions/dimension';
import { dividedHalfAway } from '../money/decimal';
import { add, subtract, type Minor } from '../money/minor';
import { periodOfColumn, type ColumnSpec } from './columns';
import { CASH_FLOW } from './definitions/cash-flow';
import { PROFIT_AND_LOSS } from './definitions/profit-and-loss';
import {
  fillOwn,
  SHEETS,
  type Fill,
  type Filled,
  type FilledColumn,
  type SheetSource,
} from './fill-sheet';
import type { OwnLayout } from './own/own-layout';
import type { SheetCode, SheetRow } from './sheets';

/** What a column shows. Parts are tenths of a per cent, rounded once, halves away from zero. */
export type ColumnShows = 'money' | 'parts' | 'debit' | 'credit';

/** A column as it stands in a table. */
export interface TableColumn {
  /** Its place among the columns that were asked for. */
  readonly spec: number;
  readonly is: ColumnSpec['is'] | 'start' | 'change' | 'end';
  readonly shows: ColumnShows;
  /** The period that its words mean; none for one that is reckoned. */
  readonly period: Period | null;
  /** The word that is not understood. */
  readonly wrong: string | null;
  /** What tells its column from the whole: the value of a dimension, or its restrictions; empty for what is unassigned; `null` for any other column. */
  readonly value: string | null;
}

/** A row with a cell for each column; `null` where nothing can stand. */
export interface TableRow {
  readonly row: SheetRow;
  readonly cells: readonly (number | null)[];
  /** Whether more of it, or less, is better for the business. */
  readonly better: 'more' | 'less' | null;
  /** Whether its cells are tenths of a per cent, whatever its columns show. */
  readonly parts: boolean;
}

/** A sheet with its columns. */
export interface StatementTable {
  readonly sheet: SheetCode;
  readonly columns: readonly TableColumn[];
  readonly rows: readonly TableRow[];
  /** Whether the totals are those of the trial balance, in every column. */
  readonly agrees: boolean;
}

/** What is asked of a table. */
export interface TableAsked {
  readonly sheet: SheetCode;
  readonly columns: readonly ColumnSpec[];
  readonly context: PeriodContext;
  /** Rows as the client laid them out; `sheet` is then the statement of the layout. */
  readonly layout?: OwnLayout;
}

type Cells = readonly (number | null)[];

/** What stands in a row of a column: nothing on a heading or an open line. */
const amountOf = (row: SheetRow): Minor | null => ('amount' in row ? row.amount : null);

const partsOf = (amount: number | null | undefined, whole: number | null | undefined) =>
  amount == null || whole == null || whole === 0
    ? null
    : Number(dividedHalfAway(BigInt(amount) * 1000n, BigInt(Math.abs(whole))));

/** The rows whose amounts are the whole of which others are shares. */
const WHOLES: readonly string[] = ['sum/revenue', 'total/totalAssets'];

const BETTER_MORE: ReadonlySet<string> = new Set(
  PROFIT_AND_LOSS.flatMap((part) =>
    part.type !== 'group' && part.shows === 'credit' ? part.code : [],
  ),
);
const BETTER_LESS: ReadonlySet<string> = new Set(
  PROFIT_AND_LOSS.flatMap((part) =>
    part.type === 'section' && part.shows === 'debit' ? part.code : [],
  ),
);
const FLOWS: ReadonlySet<string> = new Set(
  CASH_FLOW.flatMap((part) => (part.type === 'total' ? part.code : [])),
);

const betterOf = (row: SheetRow, sheet: SheetCode): TableRow['better'] => {
  if (row.type === 'ownLine' || row.type === 'ownSum') {
    if (sheet !== 'profitAndLoss') return null;
    return row.shows === 'credit' ? 'more' : 'less';
  }
  const code = 'section' in row ? row.section : 'code' in row ? row.code : '';
  if (BETTER_LESS.has(code)) return 'less';
  return BETTER_MORE.has(code) || (row.type === 'total' && FLOWS.has(code)) ? 'more' : null;
};

interface Read {
  readonly specs: readonly ColumnSpec[];
  /** The place of each among the columns that were asked for. */
  readonly places: readonly number[];
  /** The period of each, or why it has none. */
  readonly periods: readonly ReturnType<typeof periodOfColumn>[];
  readonly dimensions: readonly Dimension[];
}

const periodAt = ({ periods }: Read, at: number): Period | null => {
  const read = periods[at];
  return read != null && read.ok ? read.period : null;
};

const valueName = ({ specs, dimensions }: Read, at: number): string | null => {
  const spec = specs[at];
  if (spec?.is === 'restricted')
    return spec.restricted ? 'With restrictions' : 'Without restrictions';
  if (spec?.is !== 'value') return null;
  const { values = [] } = dimensions.find(({ id }) => id === spec.dimensionId) ?? {};
  return values.find(({ id }) => id === spec.valueId)?.name ?? '';
};

const headOf = (read: Read, at: number): Omit<TableColumn, 'shows'> => {
  const found = read.periods[at];
  const spec = read.specs[at] as ColumnSpec;
  const wrong = found != null && !found.ok ? found.word : null;
  const value = valueName(read, at);
  return { spec: read.places[at] ?? at, is: spec.is, period: periodAt(read, at), wrong, value };
};

/** The cells of a row by the columns that were asked for. */
const cellsOf = (
  { specs }: Read,
  filled: ReadonlyMap<number, Filled>,
  { at, whole, parts }: { readonly at: number; readonly whole: number; readonly parts: boolean },
): Cells => {
  const amount = (column: number, row: number): Minor | null => {
    const found = filled.get(column)?.rows[row];
    return found === undefined ? null : amountOf(found);
  };
  const wholeOf = (column: number): Minor | null =>
    filled.get(column)?.whole ?? amount(column, whole);
  const cells: (number | null)[] = [];
  specs.forEach((spec, column) => {
    if ('words' in spec) cells.push(amount(column, at));
    else if (parts && spec.is !== 'difference') cells.push(null);
    else if (spec.is === 'share') cells.push(partsOf(cells[spec.of], wholeOf(spec.of)));
    else {
      const [of, from] = [cells[spec.of], cells[spec.from]];
      const difference = of == null || from == null ? null : subtract(of, from);
      cells.push(spec.is === 'difference' ? difference : partsOf(difference, from));
    }
  });
  return cells;
};

/** Parts of parts say nothing: what is reckoned from them is left empty. */
const isOfMoney = (specs: readonly ColumnSpec[], at: number): boolean => {
  const spec = specs[at];
  if (spec === undefined || spec.is === 'percent' || spec.is === 'share') return false;
  return spec.is !== 'difference' || (isOfMoney(specs, spec.of) && isOfMoney(specs, spec.from));
};

const showsOf = (specs: readonly ColumnSpec[], at: number): ColumnShows =>
  isOfMoney(specs, at) ? 'money' : 'parts';

const columnOf = (spec: ColumnSpec, period: Period, { specs, dimensions }: Read): FilledColumn => {
  if (spec.is === 'restricted') {
    const dimension = restrictingDimension(dimensions);
    const values = dimension === undefined ? [] : restrictedValues(dimension);
    const carrying = spec.restricted ? { only: values } : { without: values };
    return { period, budget: false, carrying };
  }
  if (spec.is !== 'value') return { period, budget: spec.is === 'budget' };
  if (spec.valueId !== null) return { period, budget: false, carrying: { only: [spec.valueId] } };
  const others = specs.flatMap((one) =>
    one.is === 'value' && one.dimensionId === spec.dimensionId && one.valueId !== null
      ? one.valueId
      : [],
  );
  return { period, budget: false, carrying: { without: others } };
};

/** Whether a column can stand on a sheet: budgets are of results, values of what kinds lead to. */
const standsOn = ({ is }: ColumnSpec, sheet: SheetCode): boolean => {
  if (is === 'budget') return sheet === 'profitAndLoss';
  const apart = is === 'value' || is === 'restricted';
  return !apart || sheet === 'profitAndLoss' || sheet === 'balanceSheet';
};

const filledColumns = (
  { sheet, layout }: Pick<TableAsked, 'sheet' | 'layout'>,
  source: SheetSource,
  read: Read,
): ReadonlyMap<number, Filled> => {
  const fill: Fill = layout === undefined ? SHEETS[sheet] : fillOwn(layout);
  const there = read.specs.flatMap((spec, at) => {
    const period = periodAt(read, at);
    if (period === null || !standsOn(spec, sheet)) return [];
    return [{ at, column: columnOf(spec, period, read) }];
  });
  const filled = fill(
    source,
    there.map(({ column }) => column),
  );
  return new Map(
    there.flatMap(({ at }, index) => (filled[index] === undefined ? [] : [[at, filled[index]]])),
  );
};

const rowsOf = (filled: Iterable<Filled>): readonly SheetRow[] => [...filled][0]?.rows ?? [];

const standardTable = (source: SheetSource, asked: TableAsked, read: Read): StatementTable => {
  const filled = filledColumns(asked, source, read);
  const rows = rowsOf(filled.values());
  const whole = rows.findIndex(({ key }) => WHOLES.includes(key));
  const isParts = (row: SheetRow): boolean => row.type === 'ratio';
  return {
    sheet: asked.sheet,
    columns: read.specs.map((_spec, at) => ({
      ...headOf(read, at),
      shows: showsOf(read.specs, at),
    })),
    rows: rows.map((row, at) => ({
      row,
      cells: cellsOf(read, filled, { at, whole, parts: isParts(row) }),
      better: betterOf(row, asked.sheet),
      parts: isParts(row),
    })),
    agrees: [...filled.values()].every(({ agrees }) => agrees),
  };
};

/** Sheets with columns of their own take the periods alone; what is reckoned or expected has no place there. */
const onlyPeriods = ({ columns, context }: TableAsked): Read => {
  const asked = columns.flatMap((spec, at) => (spec.is === 'amounts' ? [{ spec, at }] : []));
  const shown = asked.length > 0 ? asked : [{ spec: { is: 'amounts', words: '' } as const, at: 0 }];
  return {
    specs: shown.map(({ spec }) => spec),
    places: shown.map(({ at }) => at),
    periods: shown.map(({ spec }) => periodOfColumn(spec, context)),
    dimensions: [],
  };
};

const trialTable = (source: SheetSource, asked: TableAsked): StatementTable => {
  const read = onlyPeriods(asked);
  const filled = filledColumns({ sheet: 'trialBalance' }, source, read);
  const rows = rowsOf(filled.values());
  const sides = [...filled.keys()].flatMap((at) => [
    { at, side: 'debit' as const },
    { at, side: 'credit' as const },
  ]);
  const sided = (amount: Minor, side: 'debit' | 'credit'): Minor =>
    Math.max(side === 'debit' ? amount : -amount, 0);
  const cell = (at: number, row: number, side: 'debit' | 'credit'): Minor => {
    const column = filled.get(at)?.rows ?? [];
    const of = row === rows.length - 1 ? column.slice(0, -1) : column.slice(row, row + 1);
    return of.reduce((so, one) => add(so, sided(amountOf(one) ?? 0, side)), 0);
  };
  return {
    sheet: 'trialBalance',
    columns: sides.map(({ at, side }) => ({ ...headOf(read, at), shows: side })),
    rows: rows.map((row, index) => ({
      row,
      cells: sides.map(({ at, side }) => cell(at, index, side)),
      better: null,
      parts: false,
    })),
    agrees: [...filled.values()].every(({ agrees }) => agrees),
  };
};

const equityTable = (source: SheetSource, asked: TableAsked): StatementTable => {
  const read = onlyPeriods(asked);
  const at = read.periods.findIndex((found) => found?.ok === true);
  const period = at < 0 ? null : periodAt(read, at);
  const pair = period === null ? [] : SHEETS.changesInEquity(source, [{ period, budget: false }]);
  const [start, end] = pair;
  const head = { ...headOf(read, Math.max(at, 0)), shows: 'money' as const };
  return {
    sheet: 'changesInEquity',
    columns: (['start', 'change', 'end'] as const).map((is) => ({ ...head, is })),
    rows: (end?.rows ?? []).map((row, index) => {
      const before = start?.rows[index];
      const [from, to] = [before === undefined ? null : amountOf(before), amountOf(row)];
      const change = from === null || to === null ? null : subtract(to, from);
      return { row, cells: [from, change, to], better: null, parts: false };
    }),
    agrees: pair.every(({ agrees }) => agrees),
  };
};

/**
 * A statement with all its columns. Rows come from the chart, and one that has an amount in any column stands in all.
 * Laws: each column of amounts is the statement of its period; the totals of every sheet are those of the trial
 * balance to the minor unit; the cash flow ends with what the accounts of cash hold.
 */
export const buildTable = (source: SheetSource, asked: TableAsked): StatementTable => {
  if (asked.layout === undefined && asked.sheet === 'trialBalance')
    return trialTable(source, asked);
  if (asked.layout === undefined && asked.sheet === 'changesInEquity')
    return equityTable(source, asked);
  const { columns: specs, context } = asked;
  return standardTable(source, asked, {
    specs,
    places: specs.map((_spec, at) => at),
    periods: specs.map((spec) => periodOfColumn(spec, context)),
    dimensions: source.chart.settings.dimensions,
  });
};
