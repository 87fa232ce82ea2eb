import type { Chart } from '../chart/chart';
import { recordsOf } from '../chart/queries';
import { isVeiled } from '../chart/veil';
import { planProblems } from '../plan/number-plan';
import type { SetPlan } from './operation';
import { keep } from './rebase-rules';
import { accepted, refused, type Rules } from './rules';

const unnumberedAccount = (chart: Chart): string | undefined =>
  recordsOf(chart).find((account) => account.number === null && !isVeiled(account))?.id;

/** Gives the chart another number plan, and says whether accounts must bear a number at all.
 *  Numbers stay as they are. Refuses: planWrong, numberMissing. */
export const setPlan: Rules<SetPlan> = {
  apply(chart, { plan, numbered }) {
    const [problem] = planProblems(plan);
    if (problem !== undefined)
      return refused({ code: 'planWrong', accountId: '', value: problem.code });
    const bare = numbered ? unnumberedAccount(chart) : undefined;
    if (bare !== undefined)
      return refused({ code: 'numberMissing', accountId: bare, field: 'number' });
    return accepted({ ...chart, settings: { ...chart.settings, plan, numbered } });
  },
  invert: (_operation, { settings: { plan, numbered } }) => ({ type: 'setPlan', plan, numbered }),
  rebase(operation, landed) {
    if (landed.operation.type !== 'setPlan') return keep(operation);
    const same =
      JSON.stringify([landed.operation.plan, landed.operation.numbered]) ===
      JSON.stringify([operation.plan, operation.numbered]);
    return same ? { type: 'done' } : { type: 'conflict' };
  },
};
