import type { AccountId } from '../chart/account';
import type { Chart } from '../chart/chart';
import { planEach, type ManyPlan } from './plan-many';
import { planMoveUnder, type MoveTarget } from './plan-move';

/** Moves several accounts to one place, one after the other; each is fitted in as when it moves alone. */
export const planMoveTogether = (
  chart: Chart,
  ids: readonly AccountId[],
  { parentId, afterId }: MoveTarget,
): ManyPlan => {
  let after = afterId;
  return planEach(chart, ids, (now, id) => {
    const target = after === undefined ? { parentId } : { parentId, afterId: after };
    if (after !== undefined) after = id;
    return planMoveUnder(now, id, target);
  });
};
