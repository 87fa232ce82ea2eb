import type { AccountId } from '../chart/account';
import { add, type Minor } from '../money/minor';
import type { RowKey } from './statement';
import type { SheetRow } from './sheets';
import type { StatementTable, TableRow } from './table';

/** One thing over some columns of a statement, such as an expense over the months. */
export interface Strand {
  /** The row that it is; `null` for what is left of several. */
  readonly key: RowKey | null;
  readonly name: string;
  readonly accountId: AccountId | null;
  /** An amount for each column. */
  readonly amounts: readonly Minor[];
}

const cellsIn = ({ cells }: TableRow, columns: readonly number[]): readonly Minor[] =>
  columns.map((column) => cells[column] ?? 0);

const together = (one: readonly Minor[], other: readonly Minor[]): readonly Minor[] =>
  one.map((amount, at) => add(amount, other[at] ?? 0));

/** Whether amounts stand in a row that are part of no other line's. */
const isLast = (row: SheetRow): boolean =>
  row.type === 'itself' || (row.type === 'line' && !row.open);

/** What a line comes to, also where it is open and its amount stands below. */
const lineAmounts = (
  { rows }: StatementTable,
  at: number,
  columns: readonly number[],
): readonly Minor[] => {
  const level = (row: SheetRow | undefined): number => (row && 'level' in row ? row.level : 0);
  const top = rows[at];
  let amounts: readonly Minor[] = columns.map(() => 0);
  if (top !== undefined && isLast(top.row)) return cellsIn(top, columns);
  for (const line of rows.slice(at + 1)) {
    if (level(line.row) <= level(top?.row)) break;
    if (isLast(line.row)) amounts = together(amounts, cellsIn(line, columns));
  }
  return amounts;
};

/** The main lines of a section over some columns, as the statement has them. */
export const mainStrands = (
  table: StatementTable,
  section: string,
  columns: readonly number[],
): readonly Strand[] =>
  table.rows.flatMap(({ row }, at): readonly Strand[] => {
    if (row.type !== 'line' || row.level !== 1 || row.section !== section) return [];
    const { key, name, accountId } = row;
    return [{ key, name, accountId, amounts: lineAmounts(table, at, columns) }];
  });

/** The accounts' own lines, at any depth, that are wanted. */
export const accountStrands = (
  table: StatementTable,
  columns: readonly number[],
  wanted: (accountId: AccountId) => boolean,
): readonly Strand[] =>
  table.rows.flatMap((line): readonly Strand[] => {
    const { row } = line;
    if (row.type !== 'line' && row.type !== 'itself') return [];
    if (!isLast(row) || !wanted(row.accountId)) return [];
    const { key, name, accountId } = row;
    return [{ key, name, accountId, amounts: cellsIn(line, columns) }];
  });

/** A row with an amount of its own, such as a total; `null` where the statement has none. */
export const rowAmounts = (
  { rows }: StatementTable,
  key: RowKey,
  columns: readonly number[],
): readonly Minor[] | null => {
  const line = rows.find(({ row }) => row.key === key);
  return line === undefined ? null : cellsIn(line, columns);
};

/** What several come to together. */
export const sumOfStrands = (strands: readonly Strand[], columns: number): readonly Minor[] =>
  strands.reduce<readonly Minor[]>(
    (so, { amounts }) => together(so, amounts),
    Array.from({ length: columns }, () => 0),
  );

const weight = ({ amounts }: Strand): number =>
  amounts.reduce((so, amount) => so + Math.abs(amount), 0);

/** The largest of some, in their order, and what is left of the others as one. Law: they come to the same together. */
export const largestStrands = (
  strands: readonly Strand[],
  most: number,
  others: string,
): readonly Strand[] => {
  const filled = strands.filter((strand) => weight(strand) > 0);
  if (filled.length <= most) return filled;
  const kept = new Set([...filled].sort((a, b) => weight(b) - weight(a)).slice(0, most - 1));
  const rest = filled.filter((strand) => !kept.has(strand));
  const amounts = sumOfStrands(rest, rest[0]?.amounts.length ?? 0);
  return [
    ...filled.filter((strand) => kept.has(strand)),
    { key: null, name: others, accountId: null, amounts },
  ];
};
