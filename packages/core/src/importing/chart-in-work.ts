import type { Chart } from '../chart/chart';
import { apply, applyAll } from '../operations/apply';
import type { Operation } from '../operations/operation';
import type { Refusal } from '../operations/refusal';

/** A chart while a list is worked into it, and the operations that have brought it so far. */
export class ChartInWork {
  chart: Chart;
  readonly operations: Operation[] = [];

  constructor(start: Chart) {
    // Accounts may wait for their numbers until all are in their places.
    this.chart = { ...start, settings: { ...start.settings, numbered: false } };
  }

  /** Does all of some operations, or none and says why. */
  try(operations: readonly Operation[]): Refusal | null {
    const [only] = operations;
    const outcome =
      only !== undefined && operations.length === 1
        ? apply(this.chart, only)
        : applyAll(this.chart, operations);
    if (!outcome.ok) return outcome.refusal;
    this.chart = outcome.chart;
    this.operations.push(...operations);
    return null;
  }
}
