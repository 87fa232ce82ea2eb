import type { ChartRecord, OutlinePlan } from '@iunctus/core';

/** An outline to be understood, and the chart that it adds to. */
export interface OutlineQuestion {
  /** Counts the questions, so that an answer that was overtaken is known. */
  readonly serial: number;
  readonly chart: ChartRecord;
  readonly text: string;
  readonly under: string | null;
}

/** What was understood. */
export interface OutlineAnswer {
  readonly serial: number;
  readonly plan: OutlinePlan;
}
