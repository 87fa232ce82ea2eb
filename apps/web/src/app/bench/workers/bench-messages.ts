import type {
  AccountRecord,
  AmountsTuple,
  ChartSettings,
  Impact,
  MergedAccount,
  Minor,
  ProposalStep,
  Split,
  Statement,
  StatementCode,
  StatementOptions,
} from '@iunctus/core';

/** Which statement is shown, and how. */
export interface Shown extends StatementOptions {
  readonly code: StatementCode;
  /** As proposed, or as last adopted. */
  readonly proposed: boolean;
}

/** What the page tells the worker. Every message is answered by one result. */
export type BenchMessage =
  | {
      readonly type: 'chart';
      readonly settings: ChartSettings;
      readonly accounts: readonly AccountRecord[];
      readonly posted: readonly string[];
      readonly merged: readonly MergedAccount[];
      readonly splits: readonly Split[];
      readonly usedValues: readonly string[];
      readonly steps: readonly ProposalStep[];
    }
  | { readonly type: 'amounts'; readonly amounts: readonly AmountsTuple[] }
  | { readonly type: 'steps'; readonly steps: readonly ProposalStep[] }
  | { readonly type: 'shown'; readonly shown: Shown };

/** What the worker computed. `totals` comes only when the adopted chart or the amounts changed. */
export interface BenchResult {
  readonly impact: Impact;
  readonly statement: Statement;
  /** Debit-positive total and own amount by account of the adopted chart. */
  readonly totals: Readonly<Record<string, readonly [total: Minor, own: Minor]>> | null;
  /** Whether assets = liabilities + equity on the proposed chart. */
  readonly balances: boolean;
}
