import type { AccountId } from '../../chart/account';
import {
  isLeaf,
  OWN_LIMITS,
  rowsUnder,
  type OwnLayout,
  type OwnRow,
  type OwnRowId,
} from './own-layout';

/** What is done to a layout. Each gives another layout, or the same where nothing can be done. */
export type OwnGesture =
  | { readonly does: 'move'; readonly id: OwnRowId; readonly by: -1 | 1 }
  | { readonly does: 'indent'; readonly id: OwnRowId; readonly by: -1 | 1 }
  | { readonly does: 'change'; readonly row: OwnRow }
  | { readonly does: 'remove'; readonly id: OwnRowId }
  /** Puts a new row behind another and all under it; first with `null`. */
  | { readonly does: 'insert'; readonly behind: OwnRowId | null; readonly row: OwnRow }
  /** Puts a heading over a row and a sum under it. */
  | { readonly does: 'group'; readonly id: OwnRowId; readonly words: string }
  /** Puts an account into a line, and takes it out of every other. */
  | { readonly does: 'pick'; readonly id: OwnRowId; readonly accountId: AccountId };

/** An identity that no row of a layout has. */
export const nextRowId = ({ rows }: OwnLayout, after = 0): OwnRowId => {
  const last = rows.reduce((so, { id }) => Math.max(so, Number(/^r(\d+)$/.exec(id)?.[1] ?? 0)), 0);
  return `r${last + 1 + after}`;
};

const placeOf = ({ rows }: OwnLayout, id: OwnRowId): number =>
  rows.findIndex((row) => row.id === id);

/** How many rows go along with one: those under a heading. */
const blockAt = (rows: readonly OwnRow[], at: number): number =>
  rows[at]?.type === 'heading' ? 1 + rowsUnder(rows, at).length : 1;

const withRows = (layout: OwnLayout, rows: readonly OwnRow[]): OwnLayout => ({ ...layout, rows });

/** The row right above, or, where that is the last of a group at the same depth, the start of that group. */
const before = (rows: readonly OwnRow[], at: number): number => {
  const level = rows[at]?.level ?? 0;
  let place = at - 1;
  while (place > 0 && (rows[place]?.level ?? 0) > level) place -= 1;
  return place;
};

const move = (layout: OwnLayout, id: OwnRowId, by: -1 | 1): OwnLayout => {
  const { rows } = layout;
  const at = placeOf(layout, id);
  const size = blockAt(rows, at);
  const target = by === -1 ? before(rows, at) : at + size;
  if (at < 0 || target < 0 || target >= rows.length) return layout;
  const block = rows.slice(at, at + size);
  const others = [...rows.slice(0, at), ...rows.slice(at + size)];
  // Downwards past what stands behind it, as a whole where that has the same depth.
  const behind = rows[target];
  const past = behind !== undefined && behind.level === rows[at]?.level ? blockAt(rows, target) : 1;
  const to = by === -1 ? target : at + past;
  return withRows(layout, [...others.slice(0, to), ...block, ...others.slice(to)]);
};

const indented = <R extends OwnRow>(row: R, by: number): R =>
  row.type === 'pageBreak' ? row : { ...row, level: row.level + by };

const indent = (layout: OwnLayout, id: OwnRowId, by: -1 | 1): OwnLayout => {
  const { rows } = layout;
  const at = placeOf(layout, id);
  const size = blockAt(rows, at);
  const block = rows.slice(at, at + size);
  const fits = block.every((row) => row.level + by >= 0 && row.level + by <= OWN_LIMITS.level);
  if (at < 0 || !fits || rows[at]?.type === 'pageBreak') return layout;
  return withRows(
    layout,
    rows.map((row, index) => (index >= at && index < at + size ? indented(row, by) : row)),
  );
};

/** What is reckoned from a row that is gone: a sum without it, a ratio not at all. */
const withoutId = (rows: readonly OwnRow[], gone: OwnRowId): readonly OwnRow[] =>
  rows.flatMap((row) => {
    if (row.type === 'sum' && row.of.includes(gone))
      return { ...row, of: row.of.filter((id) => id !== gone) };
    return row.type === 'ratio' && (row.of === gone || row.to === gone) ? [] : row;
  });

/** Takes a row out; what stood under a heading stays, and moves out by one. */
const remove = (layout: OwnLayout, id: OwnRowId): OwnLayout => {
  const { rows } = layout;
  const at = placeOf(layout, id);
  if (at < 0) return layout;
  const under = rows[at]?.type === 'heading' ? new Set(rowsUnder(rows, at)) : new Set<OwnRow>();
  const left = rows.flatMap((row) => {
    if (row.id === id) return [];
    return under.has(row) ? indented(row, -1) : row;
  });
  return withRows(layout, withoutId(left, id));
};

const insert = (layout: OwnLayout, behind: OwnRowId | null, row: OwnRow): OwnLayout => {
  const { rows } = layout;
  if (rows.length >= OWN_LIMITS.rows) return layout;
  const at = behind === null ? -1 : placeOf(layout, behind);
  const place = at < 0 ? 0 : at + 1;
  return withRows(layout, [...rows.slice(0, place), row, ...rows.slice(place)]);
};

/** What sums up a heading alone. */
const totalName = (words: string): string => `Total ${words}`;

const group = (layout: OwnLayout, id: OwnRowId, words: string): OwnLayout => {
  const { rows } = layout;
  const at = placeOf(layout, id);
  const row = rows[at];
  const fits = row !== undefined && rows.length + 2 <= OWN_LIMITS.rows;
  if (!fits || !isLeaf(row) || row.level >= OWN_LIMITS.level) return layout;
  const heading = nextRowId(layout);
  const shows = row.type === 'result' ? 'credit' : row.shows;
  const { level } = row;
  return withRows(layout, [
    ...rows.slice(0, at),
    { type: 'heading', id: heading, level, words },
    indented(row, 1),
    {
      type: 'sum',
      id: nextRowId(layout, 1),
      level,
      words: totalName(words),
      of: [heading],
      shows,
      final: false,
    },
    ...rows.slice(at + 1),
  ]);
};

/** A line that names nothing any more goes, unless it has words of its own. */
const pick = (layout: OwnLayout, id: OwnRowId, accountId: AccountId): OwnLayout => {
  const emptied: OwnRowId[] = [];
  const rows = layout.rows.map((row): OwnRow => {
    if (row.type !== 'line') return row;
    const others = row.accounts.filter((one) => one !== accountId);
    if (row.id === id) return { ...row, accounts: [...others, accountId] };
    if (others.length === 0 && row.accounts.length > 0 && row.words === '') emptied.push(row.id);
    return others.length === row.accounts.length ? row : { ...row, accounts: others };
  });
  return emptied.reduce(remove, withRows(layout, rows));
};

/** Puts a row in the place of the one with its id; a sum that is called after its heading goes on to be. */
const change = (layout: OwnLayout, changed: OwnRow): OwnLayout => {
  const before = layout.rows.find(({ id }) => id === changed.id);
  const renamed = (row: OwnRow): OwnRow => {
    if (row.type !== 'sum' || before?.type !== 'heading' || changed.type !== 'heading') return row;
    const isOfIt = row.of.length === 1 && row.of[0] === changed.id;
    return isOfIt && row.words === totalName(before.words)
      ? { ...row, words: totalName(changed.words) }
      : row;
  };
  return withRows(
    layout,
    layout.rows.map((row) => (row.id === changed.id ? changed : renamed(row))),
  );
};

/** Does something to a layout; what was complete has to be found complete again. */
export const editOwn = (layout: OwnLayout, gesture: OwnGesture): OwnLayout => {
  switch (gesture.does) {
    case 'move':
      return move(layout, gesture.id, gesture.by);
    case 'indent':
      return indent(layout, gesture.id, gesture.by);
    case 'change':
      return change(layout, gesture.row);
    case 'remove':
      return remove(layout, gesture.id);
    case 'insert':
      return insert(layout, gesture.behind, gesture.row);
    case 'group':
      return group(layout, gesture.id, gesture.words);
    case 'pick':
      return pick(layout, gesture.id, gesture.accountId);
  }
};
