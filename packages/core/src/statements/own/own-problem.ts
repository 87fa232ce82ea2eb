import { isLeaf, rowsUnder, type OwnLayout, type OwnRow, type OwnRowId } from './own-layout';

/** What a layout cannot be, however it came about. */
export type OwnProblem =
  | 'rowTwice'
  | 'unknownRow'
  | 'sumOfItself'
  | 'sumTooLong'
  | 'ratioOfNoAmount'
  | 'resultOnProfitAndLoss';

/** Most lines that are summed up, counted as often as they are. */
const SUMMED = 4000;

const refersTo = (row: OwnRow): readonly OwnRowId[] => {
  if (row.type === 'sum') return row.of;
  return row.type === 'ratio' ? [row.of, row.to] : [];
};

/** How many lines each row sums up; `Infinity` for one that sums up itself. */
const counts = (rows: readonly OwnRow[]): ((id: OwnRowId) => number) => {
  const places = new Map(rows.map(({ id }, at) => [id, at] as const));
  const known = new Map<OwnRowId, number>();
  const count = (id: OwnRowId): number => {
    const before = known.get(id);
    if (before !== undefined) return before;
    const at = places.get(id) ?? -1;
    const row = rows[at];
    if (row === undefined) return 0;
    if (row.type === 'heading') return rowsUnder(rows, at).filter(isLeaf).length;
    if (row.type !== 'sum') return isLeaf(row) ? 1 : 0;
    // Until it is known it is being asked for: whoever asks again stands in it.
    known.set(id, Infinity);
    const sum = row.of.reduce((so, one) => so + count(one), 0);
    known.set(id, sum);
    return sum;
  };
  return count;
};

/** What is wrong with how the rows of a layout refer to one another; `null` for nothing. */
export const ownProblem = ({ rows, statement }: OwnLayout): OwnProblem | null => {
  const byId = new Map(rows.map((row) => [row.id, row] as const));
  if (byId.size < rows.length) return 'rowTwice';
  const count = counts(rows);
  for (const row of rows) {
    const parts = refersTo(row).map((id) => byId.get(id));
    if (parts.includes(undefined)) return 'unknownRow';
    if (count(row.id) === Infinity) return 'sumOfItself';
    if (count(row.id) > SUMMED) return 'sumTooLong';
    const hasAmount = (part: OwnRow | undefined): boolean =>
      part !== undefined && (isLeaf(part) || part.type === 'sum');
    if (row.type === 'ratio' && !parts.every(hasAmount)) return 'ratioOfNoAmount';
    if (row.type === 'result' && statement === 'profitAndLoss') return 'resultOnProfitAndLoss';
  }
  return null;
};
