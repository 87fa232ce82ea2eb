import type {
  AccountId,
  BookedChartRecord,
  CalendarDate,
  Filer,
  FindingNote,
  Impact,
  LookedThrough,
  MonthlyAmounts,
  Month,
  OpenItemSum,
  OwnLayout,
  Period,
  PostedWords,
  RuleWishes,
  TidyCheck,
} from '@iunctus/core';
import type { ChartMessage } from './followed-chart';

/** A fix that is looked at before it is applied, by the key of its finding and its place among the fixes. */
export interface Trial {
  readonly key: string;
  readonly fix: number;
}

/** A chart as it was at the end of a month; `null` for as it is adopted now. */
export interface PastChart {
  readonly month: Month;
  readonly revision: number;
  readonly chart: BookedChartRecord | null;
}

/** What was found at the end of a month. */
export interface PastCheck {
  readonly month: Month;
  readonly revision: number;
  readonly check: TidyCheck;
}

/** What the page tells the worker. */
export type FindingsMessage =
  | ChartMessage
  | { readonly type: 'monthly'; readonly monthly: MonthlyAmounts }
  | {
      readonly type: 'client';
      readonly filer: Filer;
      /** The month (1–12) in which the fiscal year begins. */
      readonly startsIn: number;
      readonly period: Period;
    }
  | { readonly type: 'posted'; readonly posted: PostedWords }
  | { readonly type: 'routed'; readonly routed: readonly AccountId[] }
  /** What the practice and the client want of the rules. */
  | { readonly type: 'rules'; readonly practice: RuleWishes; readonly client: RuleWishes }
  | { readonly type: 'notes'; readonly notes: readonly FindingNote[]; readonly today: CalendarDate }
  /** The months in which the chart is to be looked at, as it was then; none ends it. */
  | { readonly type: 'months'; readonly months: readonly PastChart[] }
  | { readonly type: 'openItems'; readonly openItems: readonly OpenItemSum[] }
  | { readonly type: 'layouts'; readonly layouts: readonly OwnLayout[] }
  /** The chart since which it was tidied, for the report; `null` for none. */
  | { readonly type: 'since'; readonly chart: BookedChartRecord | null }
  | { readonly type: 'trial'; readonly trial: Trial | null };

/** What the worker found. */
export interface FindingsResult extends LookedThrough {
  /** How many times the worker was told of the chart by then. */
  readonly heard: number;
  /** How many messages of the page were taken in by then. */
  readonly takenIn: number;
  /** Whether the dictionary that was asked for is there, or cannot be had. */
  readonly isSpelled: boolean;
  /** What was found in the months that were asked for, so far. */
  readonly past: readonly PastCheck[];
  /** What was found on the chart since which it was tidied, and what moved on the statements. */
  readonly since: (LookedThrough & { readonly impact: Impact }) | null;
  /** What the fix that is looked at moves on the statements. */
  readonly tried: {
    readonly trial: Trial;
    readonly impact: Pick<Impact, 'sections' | 'totals'>;
  } | null;
}
