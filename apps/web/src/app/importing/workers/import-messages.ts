import type {
  AccountId,
  AmountsTuple,
  BookedChartRecord,
  ClashRule,
  ColumnReading,
  Fate,
  FormerTitle,
  ImportAnswer,
  ImportPlan,
  KindCode,
  ListFinding,
  Mended,
  OpeningPlan,
  Operation,
  SourceRow,
  TermsOf,
  AmountSides,
  TreeSource,
} from '@iunctus/core';
import type { FileProblem, FileRead } from '@iunctus/exchange/reading';

/** A sheet as the page needs it: its first rows, and what its columns seem to be. */
export interface SheetSeen {
  readonly name: string;
  readonly count: number;
  readonly head: readonly SourceRow[];
  readonly columns: ColumnReading;
}

/** A file as the page needs it; the rows themselves stay with the worker. */
export interface FileSeen extends Omit<FileRead, 'sheets'> {
  readonly sheets: readonly SheetSeen[];
}

/** All that was decided about a list. */
export interface Decisions {
  readonly columns: ColumnReading;
  readonly treeSource: TreeSource | null;
  readonly sides: AmountSides | null;
  readonly mended: ReadonlyMap<number, Mended>;
  readonly types: ReadonlyMap<string, KindCode>;
  /** What accounts of a name are, by what the practice was taught; by the names' keys. */
  readonly taught: ReadonlyMap<string, KindCode>;
  readonly answers: ReadonlyMap<number, ImportAnswer>;
  readonly fates: ReadonlyMap<AccountId, Fate>;
  /** What holds for numbers that mean other accounts; `null` asks about each. */
  readonly clashes: ClashRule | null;
}

export type ImportQuestionMessage =
  | { readonly type: 'read'; readonly bytes: Uint8Array }
  | {
      readonly type: 'plan';
      /** Counts the questions, so that an answer that was overtaken is known. */
      readonly serial: number;
      readonly sheet: number;
      readonly chart: BookedChartRecord;
      readonly former: readonly FormerTitle[];
      readonly currency: string;
      readonly today: string;
      readonly decisions: Decisions;
    }
  /** What Tidy would find once the list that was lined up last is in the chart. */
  | { readonly type: 'findings'; readonly serial: number; readonly terms: TermsOf }
  /** What the balances of the list that was lined up last come to, held against the books. */
  | {
      readonly type: 'opening';
      readonly serial: number;
      readonly books: readonly AmountsTuple[];
      /** Whether an account is to be added for what the balances leave open. */
      readonly withTaker: boolean;
    };

/** What Tidy would find in the chart that the list makes, and finds not in the chart as it is. */
export type ImportFound = readonly ListFinding[];

/** The entry that the balances of a list would be, and what adds the account for what they leave open. */
export interface ImportOpened {
  readonly plan: OpeningPlan;
  readonly taker: readonly Operation[];
}

export type ImportAnswerMessage =
  | { readonly type: 'read'; readonly file: FileSeen }
  | { readonly type: 'unreadable'; readonly problem: FileProblem }
  | { readonly type: 'told'; readonly serial: number; readonly share: number }
  | { readonly type: 'planned'; readonly serial: number; readonly plan: ImportPlan }
  | { readonly type: 'found'; readonly serial: number; readonly findings: ImportFound }
  | ({ readonly type: 'opened'; readonly serial: number } & ImportOpened);
