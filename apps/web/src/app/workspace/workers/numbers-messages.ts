import type { ChartRecord, Crosswalk, FindingOf, NumberPlan } from '@iunctus/core';

/** What a renumbering is asked for: a check of the numbers as they stand, or a preview. */
export type Purpose = 'check' | 'preview';

/** What the page asks the worker. */
export interface NumbersRequest {
  readonly purpose: Purpose;
  /** Counts the requests, so that an answer that was overtaken is known. */
  readonly serial: number;
  readonly chart: ChartRecord;
  readonly plan: NumberPlan;
  readonly movable: readonly string[] | null;
  readonly keep: boolean;
}

/** What the worker found: what is wrong with the numbers, or a renumbering. */
export type NumbersAnswer = { readonly serial: number } & (
  | { readonly purpose: 'check'; readonly findings: readonly FindingOf<'numberMisfit'>[] }
  | { readonly purpose: 'preview'; readonly crosswalk: Crosswalk }
);
