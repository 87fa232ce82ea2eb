import type { Chart } from '../chart/chart';
import { monthsBetween, addMonths, fiscalYearStart } from '../dates/month';
import { readPeriod, type PeriodContext } from '../dates/period-words';
import type { Period } from '../dates/period';
import { restrictingDimension, type Dimension } from '../dimensions/dimension';
import { hasBudgets } from '../ledger/budgets';
import type { SheetCode } from './sheets';

/**
 * A column of a statement. `amounts` and `budget` are of a period in words; the others are reckoned from columns before
 * them, by place: `difference` is `of` less `from`, `percent` the same in parts of `from`, `share` the part of the
 * whole that stands at the head of the statement: net revenue, total assets.
 */
export type ColumnSpec =
  | { readonly is: 'amounts' | 'budget'; readonly words: string }
  | { readonly is: 'difference' | 'percent'; readonly of: number; readonly from: number }
  | { readonly is: 'share'; readonly of: number }
  /** What carries one value of a dimension; `null` for what carries none of those that have a column of their own. */
  | {
      readonly is: 'value';
      readonly dimensionId: string;
      readonly valueId: string | null;
      readonly words: string;
    }
  /** What its giver restricted, or all but that. Source: FASB ASC 958-210-45, two classes of net assets (from memory). */
  | { readonly is: 'restricted'; readonly restricted: boolean; readonly words: string };

/** Most columns that stand beside one another. */
export const COLUMN_LIMIT = 40;

/** Columns that are offered ready made. */
export const COLUMN_SETS = [
  'plain',
  'yearBefore',
  'periodBefore',
  'months',
  'quarters',
  'years',
  'shares',
  'budget',
  'restrictions',
] as const;
export type ColumnSet = (typeof COLUMN_SETS)[number];

/** The sets that say something of a chart: budgets and restrictions only where there are any. */
export const offeredSets = (chart: Chart): readonly ColumnSet[] =>
  COLUMN_SETS.filter((set) => {
    if (set === 'budget') return hasBudgets(chart);
    return set !== 'restrictions' || restrictingDimension(chart.settings.dimensions) !== undefined;
  });

/** A column for each value of a dimension, what is unassigned, and the whole. */
export interface ColumnsBy {
  readonly by: string;
}

/** Columns as they are asked for. */
export type ColumnsAsked = ColumnSet | ColumnsBy | readonly ColumnSpec[];

/** What columns are reckoned for. */
export interface ColumnContext {
  readonly periods: PeriodContext;
  readonly sheet: SheetCode;
  readonly dimensions: readonly Dimension[];
}

const THIS = { is: 'amounts', words: 'this period' } as const;

const against = (words: string): readonly ColumnSpec[] => [
  THIS,
  { is: 'amounts', words },
  { is: 'difference', of: 0, from: 1 },
  { is: 'percent', of: 0, from: 1 },
];

const amountsOf = (periods: readonly Period[]): readonly ColumnSpec[] =>
  periods.map(({ first, last }) => ({
    is: 'amounts',
    words: first === last ? first : `${first} to ${last}`,
  }));

/** A period cut into parts of so many months, counted from the start of the fiscal year; the outer ones may be shorter. */
const parts = ({ main, startsIn }: PeriodContext, months: number): readonly Period[] => {
  const cut: Period[] = [];
  for (let first = main.first; first <= main.last && cut.length < COLUMN_LIMIT - 1;) {
    const into = (monthsBetween(fiscalYearStart(first, startsIn), first) - 1) % months;
    const end = addMonths(first, months - 1 - into);
    const last = end > main.last ? main.last : end;
    cut.push({ first, last });
    first = addMonths(last, 1);
  }
  return cut;
};

/** Sheets of balances at a day: the last part of a period shows what the whole of it would. */
const OF_A_DAY: readonly SheetCode[] = ['balanceSheet', 'trialBalance'];

const inParts = (periods: readonly Period[], sheet: SheetCode): readonly ColumnSpec[] => {
  if (periods.length < 2) return [THIS];
  return OF_A_DAY.includes(sheet) ? amountsOf(periods) : [...amountsOf(periods), THIS];
};

const isBy = (asked: ColumnsAsked): asked is ColumnsBy =>
  typeof asked === 'object' && 'by' in asked;

/** A column for each value; beside more than a sheet takes, the rest stands with what is unassigned. */
const columnsBy = (
  { by: dimensionId }: ColumnsBy,
  { dimensions }: ColumnContext,
): readonly ColumnSpec[] => {
  const dimension = dimensions.find(({ id }) => id === dimensionId);
  if (dimension === undefined) return [THIS];
  const { values } = dimension;
  const { words } = THIS;
  const of = (valueId: string | null): ColumnSpec => ({ is: 'value', dimensionId, valueId, words });
  return [...values.slice(0, COLUMN_LIMIT - 2).map(({ id }) => of(id)), of(null), THIS];
};

/** Columns one by one, as they are asked for, for the period and sheet that are looked at. */
export const columnsOf = (asked: ColumnsAsked, context: ColumnContext): readonly ColumnSpec[] => {
  const { sheet } = context;
  // What is expected is told of results alone, what carries a value of the statements that kinds lead to.
  if (asked === 'budget' && sheet !== 'profitAndLoss') return [THIS];
  const apart = isBy(asked) || asked === 'restrictions';
  if (apart && sheet !== 'profitAndLoss' && sheet !== 'balanceSheet') return [THIS];
  if (isBy(asked)) return columnsBy(asked, context);
  return typeof asked === 'string' ? columnsOfSet(asked, context.periods, context.sheet) : asked;
};

/** The columns of a ready-made set, for the period that is looked at. */
export const columnsOfSet = (
  set: ColumnSet,
  context: PeriodContext,
  sheet: SheetCode,
): readonly ColumnSpec[] => {
  switch (set) {
    case 'plain':
      return [THIS];
    case 'yearBefore':
      return against('a year before');
    case 'periodBefore':
      return against('the period before');
    case 'months':
      return inParts(parts(context, 1), sheet);
    case 'quarters':
      return inParts(parts(context, 3), sheet);
    case 'years':
      return [
        { is: 'amounts', words: 'year to date' },
        { is: 'amounts', words: 'last year' },
        ...[24, 36].map((months): ColumnSpec => {
          const first = addMonths(fiscalYearStart(context.main.last, context.startsIn), -months);
          return { is: 'amounts', words: `${first} to ${addMonths(first, 11)}` };
        }),
      ];
    case 'shares':
      return [
        THIS,
        { is: 'share', of: 0 },
        { is: 'amounts', words: 'a year before' },
        { is: 'share', of: 2 },
      ];
    case 'budget':
      return [
        THIS,
        { is: 'budget', words: 'this period' },
        { is: 'difference', of: 0, from: 1 },
        { is: 'percent', of: 0, from: 1 },
      ];
    case 'restrictions':
      return [
        { is: 'restricted', restricted: false, words: THIS.words },
        { is: 'restricted', restricted: true, words: THIS.words },
        THIS,
      ];
  }
};

const written = (spec: ColumnSpec): string => {
  switch (spec.is) {
    case 'amounts':
      return spec.words;
    case 'budget':
      return `budget: ${spec.words}`;
    case 'share':
      return `share ${spec.of + 1}`;
    case 'restricted':
      return `${spec.restricted ? 'with' : 'without'} restrictions: ${spec.words}`;
    case 'value':
      return `value ${spec.dimensionId} ${spec.valueId ?? 'none'}: ${spec.words}`;
    default:
      return `${spec.is} ${spec.of + 1} ${spec.from + 1}`;
  }
};

/** Columns as text, for an address or a file: a ready-made set by its name, others one by one. */
export const columnsAsText = (columns: ColumnsAsked): string => {
  if (isBy(columns)) return `by ${columns.by}`;
  return typeof columns === 'string' ? columns : columns.map(written).join('; ');
};

const earlier = (number: string | undefined, at: number): number | null => {
  const place = Number(number) - 1;
  return Number.isInteger(place) && place >= 0 && place < at ? place : null;
};

/** Columns that bear a mark in front of their period: a budget, or a value of a dimension. */
const markedSpec = (text: string): ColumnSpec | null => {
  const [, mark = '', words = ''] = /^([^:]*):(.*)$/.exec(text) ?? [];
  if (mark === 'budget') return { is: 'budget', words: words.trim() };
  const restricted = /^(with|without) restrictions$/.exec(mark);
  if (restricted !== null)
    return { is: 'restricted', restricted: restricted[1] === 'with', words: words.trim() };
  const value = /^value (\S+) (\S+)$/.exec(mark);
  if (value === null) return null;
  const [, dimensionId = '', id = ''] = value;
  return { is: 'value', dimensionId, valueId: id === 'none' ? null : id, words: words.trim() };
};

const specOf = (text: string, at: number): ColumnSpec | null => {
  const reckoned = /^(difference|percent) (\d+) (\d+)$|^(share) (\d+)$/.exec(text);
  if (reckoned === null) return markedSpec(text) ?? { is: 'amounts', words: text };
  const of = earlier(reckoned[2] ?? reckoned[5], at);
  if (of === null) return null;
  if (reckoned[4] !== undefined) return { is: 'share', of };
  const from = earlier(reckoned[3], at);
  return from === null
    ? null
    : { is: reckoned[1] === 'percent' ? 'percent' : 'difference', of, from };
};

const isSet = (text: string): text is ColumnSet =>
  (COLUMN_SETS as readonly string[]).includes(text);

/** Reads columns from text; `null` where they cannot be, as one that refers to a column behind it. */
export const columnsFromText = (text: string): ColumnsAsked | null => {
  if (isSet(text)) return text;
  const by = /^by (\S+)$/.exec(text.trim());
  if (by !== null) return { by: by[1] ?? '' };
  const specs = text.split(';').map((part, at) => specOf(part.trim(), at));
  if (specs.length > COLUMN_LIMIT) return null;
  return specs.every((spec) => spec !== null) ? specs : null;
};

const refersTo = (spec: ColumnSpec): readonly number[] => {
  if (spec.is === 'share') return [spec.of];
  return spec.is === 'difference' || spec.is === 'percent' ? [spec.of, spec.from] : [];
};

const moved = (spec: ColumnSpec, place: (at: number) => number): ColumnSpec => {
  if (spec.is === 'share') return { ...spec, of: place(spec.of) };
  return spec.is === 'difference' || spec.is === 'percent'
    ? { ...spec, of: place(spec.of), from: place(spec.from) }
    : spec;
};

/** The columns without one, and without those that are reckoned from it. */
export const withoutColumn = (
  columns: readonly ColumnSpec[],
  at: number,
): readonly ColumnSpec[] => {
  const gone = new Set([at]);
  columns.forEach((spec, index) => {
    if (refersTo(spec).some((one) => gone.has(one))) gone.add(index);
  });
  const place = (index: number): number => index - [...gone].filter((one) => one < index).length;
  return columns.flatMap((spec, index) => (gone.has(index) ? [] : [moved(spec, place)]));
};

/** The period of a column; the word that is not understood; `null` for one that is reckoned. */
export const periodOfColumn = (
  spec: ColumnSpec,
  context: PeriodContext,
): ReturnType<typeof readPeriod> | null =>
  'words' in spec ? readPeriod(spec.words, context) : null;

/** The dimensions of which columns need what was posted with each value. */
export const dimensionsNeeded = (
  specs: readonly ColumnSpec[],
  dimensions: readonly Dimension[],
): readonly string[] => {
  const restricting = restrictingDimension(dimensions)?.id ?? [];
  const needed = specs.flatMap((spec) => {
    if (spec.is === 'restricted') return restricting;
    return spec.is === 'value' ? spec.dimensionId : [];
  });
  return [...new Set(needed)];
};
