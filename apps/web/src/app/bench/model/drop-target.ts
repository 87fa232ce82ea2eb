import {
  isWithin,
  parentIdOf,
  previousIdOf,
  type AccountId,
  type Chart,
  type MoveTarget,
  type VisibleRow,
} from '@iunctus/core';

/** Where a dragged row would go, and how to show it. */
export interface DropPlace {
  readonly target: MoveTarget;
  /** The row under the pointer. */
  readonly index: number;
  readonly at: 'before' | 'inside' | 'after';
}

type AccountRow = Extract<VisibleRow, { type: 'account' }>;

const partOf = (fraction: number): DropPlace['at'] => {
  if (fraction < 0.3) return 'before';
  return fraction > 0.7 ? 'after' : 'inside';
};

const elder = (chart: Chart, id: AccountId, draggedId: AccountId): AccountId | null => {
  const previous = previousIdOf(chart, id);
  return previous === draggedId ? previousIdOf(chart, draggedId) : previous;
};

const targetOf = (
  chart: Chart,
  row: AccountRow,
  at: DropPlace['at'],
  draggedId: AccountId,
): MoveTarget => {
  const { id } = row.node.account;
  if (at === 'inside') return { parentId: id };
  if (at === 'after' && row.open) return { parentId: id, afterId: null };
  if (at === 'after') return { parentId: parentIdOf(chart, id), afterId: id };
  return { parentId: parentIdOf(chart, id), afterId: elder(chart, id, draggedId) };
};

/**
 * Where a row goes that is dropped at `position`, counted in rows from the top: between two
 * rows, or under the one it is dropped on. `null` over a band, over nothing, or over its own branch.
 */
export const dropTarget = (
  chart: Chart,
  rows: readonly VisibleRow[],
  position: number,
  draggedId: AccountId,
): DropPlace | null => {
  const index = Math.floor(position);
  const row = rows[index];
  if (row?.type !== 'account' || isWithin(chart, row.node.account.id, draggedId)) return null;
  const at = partOf(position - index);
  return { target: targetOf(chart, row, at, draggedId), index, at };
};
