import {
  DOUBTFUL_IN_LIST,
  isOnOddSide,
  type ImportPlan,
  type ImportRow,
  type KindCode,
  type MissingAccount,
} from '@iunctus/core';

/** The groups by which a list is looked through. */
export const ROW_FILTERS = [
  'attention',
  'all',
  'new',
  'changed',
  'missing',
  'same',
  'alike',
  'waiting',
  'passed',
] as const;
export type RowFilter = (typeof ROW_FILTERS)[number];

/** A line of the list as shown: a row, or an account that the list does not have. */
export type ShownLine =
  | { readonly type: 'row'; readonly key: string; readonly row: ImportRow }
  | { readonly type: 'missing'; readonly key: string; readonly missing: MissingAccount };

/** The kinds that a row may be, the likeliest first. */
export const candidatesOf = ({ kind }: ImportRow): readonly KindCode[] =>
  kind === null ? [] : [kind.kind, ...kind.others];

/** Whether a row's kind is a guess that should be looked at; that of a heading puts no amount on a line. */
export const isDoubtful = (row: ImportRow): boolean =>
  (row.status === 'new' &&
    row.role === 'posting' &&
    row.kind !== null &&
    row.kind.confidence < DOUBTFUL_IN_LIST) ||
  isOnOddSide(row);

/** The lines about which something was decided already. */
export interface Decided {
  readonly mended: ReadonlySet<number>;
  readonly answered: ReadonlySet<number>;
}

const NOTHING: Decided = { mended: new Set(), answered: new Set() };

/** What is doubtful alone comes behind everything else, the least certain first. */
const DOUBTED = 3;

/** A row that was mended or answered keeps its place among the others of its sort, so that the next one is below it. */
const urgency = (row: ImportRow, { mended, answered }: Decided): number => {
  const { line } = row.entry;
  if (row.status === 'wrong' || mended.has(line)) return 0;
  if (row.status === 'question' || answered.has(line)) return 1;
  return isOnOddSide(row) ? 2 : DOUBTED + (row.kind?.confidence ?? 1);
};

const needsAttention = (row: ImportRow): boolean =>
  row.status === 'wrong' || row.status === 'question' || isDoubtful(row);

const PASSED: readonly ImportRow['status'][] = ['merged', 'band', 'leftOut', 'total'];

const fits = (row: ImportRow, filter: RowFilter): boolean => {
  switch (filter) {
    case 'attention':
      return needsAttention(row);
    case 'all':
      return true;
    case 'alike':
      return row.alike !== undefined;
    case 'missing':
      return false;
    case 'passed':
      return PASSED.includes(row.status);
    default:
      return row.status === filter;
  }
};

const rowLine = (row: ImportRow): ShownLine => ({
  type: 'row',
  key: `${row.entry.line}${row.made ? ` ${row.accountId ?? ''}` : ''}`,
  row,
});

/**
 * What is chosen for one row makes others more or less certain; lines that were shown stay where they were all the same,
 * so that the next one is below the cursor. What is new stands before them where it is urgent, else behind them.
 */
const inTheirPlaces = (
  lines: readonly ShownLine[],
  before: readonly ShownLine[],
  urgent: (line: ShownLine) => boolean,
): readonly ShownLine[] => {
  const places = new Map(before.map(({ key }, at) => [key, at]));
  const placeOf = (line: ShownLine): number =>
    places.get(line.key) ?? (urgent(line) ? -1 : before.length);
  return [...lines].sort((a, b) => placeOf(a) - placeOf(b));
};

/**
 * The lines of a group: what needs attention comes with the most urgent first, all else as listed. `before` is what was
 * shown of the same list and group.
 */
export const linesOf = (
  { rows, missing }: ImportPlan,
  filter: RowFilter,
  decided: Decided = NOTHING,
  before: readonly ShownLine[] = [],
): readonly ShownLine[] => {
  if (filter === 'missing')
    return missing.map((one) => ({ type: 'missing', key: one.account.id, missing: one }));
  const fitting = rows.filter((row) => fits(row, filter));
  if (filter !== 'attention') return fitting.map(rowLine);
  const sorted = [...fitting].sort((a, b) => urgency(a, decided) - urgency(b, decided));
  return inTheirPlaces(
    sorted.map(rowLine),
    before,
    (line) => line.type === 'row' && urgency(line.row, decided) < DOUBTED,
  );
};

/** How many lines each group has. */
export const countsOf = (plan: ImportPlan): Readonly<Record<RowFilter, number>> => {
  const counts = {
    attention: 0,
    all: 0,
    new: 0,
    changed: 0,
    missing: plan.missing.length,
    same: 0,
    alike: 0,
    waiting: 0,
    passed: 0,
  };
  for (const row of plan.rows)
    for (const filter of ROW_FILTERS)
      if (filter !== 'missing' && fits(row, filter)) counts[filter] += 1;
  return counts;
};
