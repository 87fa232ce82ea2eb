import type { VisibleRow } from '@iunctus/core';
import type { Draft } from './draft';

/** A row of the list: as the core gives it, or the draft of a new account. */
export type ListedRow =
  VisibleRow | { readonly type: 'draft'; readonly draft: Draft; readonly level: number };

/** What tells a row from all others. */
export const rowIdOf = (row: ListedRow): string => {
  if (row.type === 'element') return row.element;
  return row.type === 'draft' ? row.draft.id : row.node.account.id;
};

const levelAt = (rows: readonly VisibleRow[], index: number): number => {
  const row = rows[index];
  return row?.type === 'account' ? row.level : 0;
};

const endOfBranch = (rows: readonly VisibleRow[], index: number): number => {
  const level = levelAt(rows, index);
  let end = index + 1;
  while (levelAt(rows, end) > level) end += 1;
  return end;
};

const placeOf = (rows: readonly VisibleRow[], draft: Draft): { at: number; level: number } => {
  const find = (id: string | null | undefined): number =>
    id === null || id === undefined ? -1 : rows.findIndex((row) => rowIdOf(row) === id);
  const neighbour = find(draft.adding?.afterId);
  if (neighbour >= 0) return { at: endOfBranch(rows, neighbour), level: levelAt(rows, neighbour) };
  const parent = find(draft.parentId);
  if (parent >= 0) return { at: parent + 1, level: levelAt(rows, parent) + 1 };
  return { at: rows.length, level: 1 };
};

/** The rows with the draft of a new account in its place; a draft of an account that is there takes its row. */
export const listedRows = (
  rows: readonly VisibleRow[],
  draft: Draft | null,
): readonly ListedRow[] => {
  if (draft === null) return rows;
  const existing = rows.findIndex((row) => rowIdOf(row) === draft.id);
  const place =
    existing >= 0
      ? { at: existing, level: levelAt(rows, existing), replaces: 1 }
      : { ...placeOf(rows, draft), replaces: 0 };
  const row: ListedRow = { type: 'draft', draft, level: place.level };
  return [...rows.slice(0, place.at), row, ...rows.slice(place.at + place.replaces)];
};
