import type { Chart } from '../chart/chart';
import { eachNode } from '../chart/queries';
import { ownPart, type NumberPlan, type NumberRange } from '../plan/number-plan';

/** How full a range is. */
export interface RangeFill {
  readonly range: NumberRange;
  /** Numbers in use within the range. */
  readonly used: number;
  /** Numbers that the range holds. */
  readonly size: number;
  /** Numbers in use in each of twenty equal parts of the range, in order. */
  readonly parts: readonly number[];
}

/** Parts in which the fullness of a range is told. */
export const FILL_PARTS = 20;

/** How full each range of a plan is with a chart's numbers. */
export const rangeFills = (chart: Chart, plan: NumberPlan): readonly RangeFill[] => {
  const values = [...eachNode(chart.roots)].flatMap(
    ({ account }) => ownPart(plan, account.number) ?? [],
  );
  const distinct = [...new Set(values)];
  return plan.ranges.map((range) => {
    const size = range.last - range.first + 1;
    const own = distinct.filter((value) => value >= range.first && value <= range.last);
    const parts = Array.from({ length: FILL_PARTS }, () => 0);
    for (const value of own) {
      const part = Math.floor(((value - range.first) * FILL_PARTS) / size);
      parts[part] = (parts[part] ?? 0) + 1;
    }
    return { range, used: own.length, size, parts };
  });
};
