import { DOUBTFUL, type ImportPlan, type ImportRow, type MissingAccount } from '@iunctus/core';

/** The groups by which a list is looked through. */
export const ROW_FILTERS = [
  'attention',
  'all',
  'new',
  'changed',
  'missing',
  'same',
  'passed',
] as const;
export type RowFilter = (typeof ROW_FILTERS)[number];

/** A line of the list as shown: a row, or an account that the list does not have. */
export type ShownLine =
  | { readonly type: 'row'; readonly key: string; readonly row: ImportRow }
  | { readonly type: 'missing'; readonly key: string; readonly missing: MissingAccount };

/** Whether a row's kind is a guess that should be looked at. */
export const isDoubtful = ({ status, kind }: ImportRow): boolean =>
  status === 'new' && kind !== null && kind.confidence < DOUBTFUL;

const urgency = (row: ImportRow): number => {
  if (row.status === 'wrong') return 0;
  return row.status === 'question' ? 1 : 2 + (row.kind?.confidence ?? 1);
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

/** The lines of a group: what needs attention comes with the most urgent first, all else as listed. */
export const linesOf = ({ rows, missing }: ImportPlan, filter: RowFilter): readonly ShownLine[] => {
  if (filter === 'missing')
    return missing.map((one) => ({ type: 'missing', key: one.account.id, missing: one }));
  const fitting = rows.filter((row) => fits(row, filter));
  const sorted =
    filter === 'attention' ? [...fitting].sort((a, b) => urgency(a) - urgency(b)) : fitting;
  return sorted.map(rowLine);
};

/** How many lines each group has. */
export const countsOf = (plan: ImportPlan): Readonly<Record<RowFilter, number>> => {
  const counts = { attention: 0, all: 0, new: 0, changed: 0, missing: plan.missing.length, same: 0, passed: 0 };
  for (const row of plan.rows)
    for (const filter of ROW_FILTERS) if (filter !== 'missing' && fits(row, filter)) counts[filter] += 1;
  return counts;
}; // prettier-ignore
