import type { AccountId } from '../../chart/account';
import type { SectionCode, StatementCode } from '../../kinds/caption';
import type { RowKey } from '../statement';

/** Identifies a row of a layout of the client's own. */
export type OwnRowId = string;

/** The side that a row shows as positive. */
export type ShownSide = 'debit' | 'credit';

interface Worded {
  readonly id: OwnRowId;
  /** 0 at the edge; what follows a heading deeper than it belongs to it. */
  readonly level: number;
  readonly words: string;
}

/** Accounts with all below them, as far as no other line names what is below. */
export interface OwnLine extends Worded {
  readonly type: 'line';
  readonly accounts: readonly AccountId[];
  /** Of them what stands in one section alone, so that an account of another kind leaves the line; `null` for all. */
  readonly section: SectionCode | null;
  readonly shows: ShownSide;
  /** Left out where nothing stands in it. */
  readonly hideZero: boolean;
}

/** Everything of a section that no line names: where new accounts go. */
export interface OwnRest extends Worded {
  readonly type: 'rest';
  readonly section: SectionCode;
  readonly shows: ShownSide;
  readonly hideZero: boolean;
}

/** The results that no entry has closed yet, of this and earlier years; on a balance sheet. */
export interface OwnResult extends Worded {
  readonly type: 'result';
}

/** What other rows come to together: lines, everything under a heading, other sums. */
export interface OwnSum extends Worded {
  readonly type: 'sum';
  readonly of: readonly OwnRowId[];
  readonly shows: ShownSide;
  /** With a double rule, as the last of a statement. */
  readonly final: boolean;
}

/** One row as a part of another, in tenths of a per cent. */
export interface OwnRatio extends Worded {
  readonly type: 'ratio';
  readonly of: OwnRowId;
  readonly to: OwnRowId;
}

/** A row of a layout. */
export type OwnRow =
  | (Worded & { readonly type: 'heading' | 'text' })
  | OwnLine
  | OwnRest
  | OwnResult
  | OwnSum
  | OwnRatio
  | { readonly type: 'pageBreak'; readonly id: OwnRowId; readonly level: 0 };

export type OwnRowType = OwnRow['type'];

/** A row into which accounts, or results, count. */
export type OwnLeaf = OwnLine | OwnRest | OwnResult;

/** A statement as a client wants it: its rows one by one, and its columns. */
export interface OwnLayout {
  readonly name: string;
  readonly statement: StatementCode;
  readonly rows: readonly OwnRow[];
  /** As text (`columnsAsText`). */
  readonly columns: string;
  /** That somebody found it fit to be handed over. */
  readonly complete: boolean;
}

/** What a layout may grow to. */
export const OWN_LIMITS = { layouts: 60, rows: 400, level: 4, name: 80, words: 120 } as const;

export const isLeaf = (row: OwnRow): row is OwnLeaf =>
  row.type === 'line' || row.type === 'rest' || row.type === 'result';

/** The key of a layout's row on its statement. */
export const ownKey = (id: OwnRowId): RowKey => `own/${id}`;

/** The row of the layout that a key on its statement belongs to; `null` for any other key. */
export const ownRowOf = (key: RowKey): OwnRowId | null => /^own\/([^/]+)/.exec(key)?.[1] ?? null;

/** The rows under a heading: those that follow it deeper than it is. */
export const rowsUnder = (rows: readonly OwnRow[], at: number): readonly OwnRow[] => {
  const level = rows[at]?.level ?? 0;
  const below = rows.slice(at + 1);
  const end = below.findIndex((row) => row.type !== 'pageBreak' && row.level <= level);
  return end < 0 ? below : below.slice(0, end);
};

/** The rows that count in a row, with how often each does: a line once in itself, in a sum as often as it is summed. */
export const leavesOf = (
  rows: readonly OwnRow[],
  id: OwnRowId,
  through: readonly OwnRowId[] = [],
): readonly OwnRowId[] => {
  const at = rows.findIndex((row) => row.id === id);
  const row = rows[at];
  if (row === undefined || through.includes(id)) return [];
  if (isLeaf(row)) return [id];
  if (row.type === 'heading')
    return rowsUnder(rows, at).flatMap((one) => (isLeaf(one) ? one.id : []));
  return row.type === 'sum' ? row.of.flatMap((one) => leavesOf(rows, one, [...through, id])) : [];
};
