import type { Chart } from '../chart/chart';
import { applyAll } from '../operations/apply';
import type { Operation } from '../operations/operation';
import type { Finding } from './finding';

/** The first fixes of several findings in a row, and how many no longer fit after those before them. */
export interface FixedAll {
  readonly operations: readonly Operation[];
  readonly left: number;
}

/** Takes the first fix of each finding, one after the other; what the chart refuses by then is passed over. */
export const fixAll = (chart: Chart, findings: readonly Finding[]): FixedAll => {
  let at = chart;
  let left = 0;
  const operations: Operation[] = [];
  for (const { fixes } of findings) {
    const fix = fixes[0]?.operations ?? [];
    const outcome = applyAll(at, fix);
    if (outcome.ok) {
      at = outcome.chart;
      operations.push(...fix);
    } else left += 1;
  }
  return { operations, left };
};
