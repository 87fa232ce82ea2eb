import type {
  AmountsTuple,
  BrokenProof,
  Filer,
  Impact,
  LostRoute,
  Minor,
  PendingOpening,
  Period,
  PlannedOpening,
  RouteItem,
  RowKey,
  ShownCode,
  ShownSheet,
  StatementOptions,
} from '@iunctus/core';
import type { ChartMessage } from './followed-chart';

/** Which statement is shown, and how. */
export interface Shown extends StatementOptions {
  readonly code: ShownCode;
  /** As proposed, or as last adopted. */
  readonly proposed: boolean;
}

/** The balances that the proposal brings along, and the period whose amounts are shown. */
export interface PendingOpenings {
  readonly openings: readonly PendingOpening[];
  readonly period: Period;
  /** The month (1–12) with which the fiscal year begins. */
  readonly fiscalYearStart: number;
}

/** What the page tells the worker. Every message is answered by one result. */
export type StatementMessage =
  | ChartMessage
  | { readonly type: 'amounts'; readonly amounts: readonly AmountsTuple[] }
  | { readonly type: 'openings'; readonly pending: PendingOpenings }
  | { readonly type: 'routes'; readonly items: readonly RouteItem[]; readonly filer: Filer }
  | { readonly type: 'shown'; readonly shown: Shown };

/** How the proofs stand on the chart as proposed. */
export interface ProofReport {
  readonly all: number;
  readonly broken: readonly BrokenProof[];
  /** Pieces of the routes that the proposal leaves without an account. */
  readonly lost: readonly LostRoute[];
}

/** What the worker computed. `totals` comes only when the adopted chart or the amounts changed. */
export interface StatementResult {
  readonly impact: Impact;
  readonly statement: ShownSheet;
  /** By how much the rows of the sheet that is shown move, by key; only those that move. */
  readonly moved: Readonly<Record<RowKey, Minor>>;
  /** Debit-positive total and own amount by account of the adopted chart. */
  readonly totals: Readonly<Record<string, readonly [total: Minor, own: Minor]>> | null;
  /** The entries that the balances of the proposal will be posted as. */
  readonly openings: readonly PlannedOpening[];
  /** Whether assets = liabilities + equity on the proposed chart. */
  readonly balances: boolean;
  readonly proofs: ProofReport;
}
