import type { PostListRequest } from '@iunctus/contract';
import type {
  AccountId,
  BookedChartRecord,
  Books,
  DateOrder,
  JournalColumns,
  JournalLine,
  JournalOutcome,
  JournalUse,
  PlacedFault,
  SourceRow,
  TypedSource,
} from '@iunctus/core';
import type { FileProblem } from '@iunctus/exchange/reading';

/** A sheet as the page needs it; its rows stay with the worker. */
export interface JournalSheet {
  readonly name: string;
  readonly count: number;
  /** The first rows below the headings. */
  readonly head: readonly SourceRow[];
  readonly columns: JournalColumns;
}

/** What was decided about a list. */
export interface JournalDecisions {
  readonly columns: JournalColumns;
  readonly order: DateOrder | null;
  readonly accounts: ReadonlyMap<string, AccountId>;
  readonly mended: ReadonlyMap<number, Readonly<Partial<Record<JournalUse, string>>>>;
}

/** What a list is held against. */
export interface JournalAgainst {
  readonly chart: BookedChartRecord;
  readonly books: Books;
  readonly usualOrder: DateOrder;
  readonly source: TypedSource;
  /** Whose books they are: the same list brought into others is other entries. */
  readonly clientId: string;
}

export type JournalQuestion =
  | { readonly type: 'read'; readonly bytes: Uint8Array; readonly chart: BookedChartRecord }
  | ({
      readonly type: 'plan';
      readonly serial: number;
      readonly sheet: number;
    } & JournalDecisions &
      JournalAgainst)
  /** Some of the entries that can be posted, by their place. */
  | {
      readonly type: 'take';
      readonly serial: number;
      readonly from: number;
      readonly count: number;
    };

/** An entry that cannot be posted, and why. */
export interface FaultyEntry {
  readonly lines: readonly JournalLine[];
  readonly faults: readonly PlacedFault[];
}

/** What a list comes to, as far as the page shows it. */
export interface JournalPlan extends Omit<JournalOutcome, 'unread' | 'faulty' | 'good'> {
  /** The first lines with a cell that cannot be read, and how many there are in all. */
  readonly unread: readonly JournalLine[];
  readonly unreadCount: number;
  readonly faulty: readonly FaultyEntry[];
  readonly faultyCount: number;
  /** The ids of the entries that can be posted, in order. */
  readonly ids: readonly string[];
}

export type JournalAnswer =
  | { readonly type: 'read'; readonly sheets: readonly JournalSheet[] }
  | { readonly type: 'unreadable'; readonly problem: FileProblem }
  | { readonly type: 'planned'; readonly serial: number; readonly plan: JournalPlan }
  | {
      readonly type: 'taken';
      readonly serial: number;
      readonly entries: PostListRequest['entries'];
    };
