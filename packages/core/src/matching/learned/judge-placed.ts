import type { Chart, ChartNode } from '../../chart/chart';
import { parentIdOf, previousIdOf } from '../../chart/queries';
import type { NumberPlan } from '../../plan/number-plan';
import type { Guess } from '../infer-kind';
import { judgeAmong, linesAround } from './judge-account';
import { judgeLines } from './judge-lines';
import type { Learned } from './model';

/** The kinds that accounts may be, the likeliest first. */
export interface PlacedJudge {
  /** Of an account of a chart by its name, place and number, its own kind unheard. */
  readonly placed: (chart: Chart, node: ChartNode) => readonly Guess[];
  /** By a name alone. */
  readonly named: (name: string) => readonly Guess[];
}

const keptBy = <V>(kept: Map<string, V>, key: string, compute: () => V): V => {
  const known = kept.get(key);
  if (known !== undefined) return known;
  const value = compute();
  kept.set(key, value);
  return value;
};

/**
 * A judge that keeps what it found for as long as an account and those around it stay what they are: after an edit only
 * what it touches is judged anew.
 */
export const placedJudge = (learned?: Learned): PlacedJudge => {
  const byPlan = new WeakMap<NumberPlan, Map<string, readonly Guess[]>>();
  const byName = new Map<string, readonly Guess[]>();
  return {
    placed(chart, { account: { id, name, number } }) {
      const { plan } = chart.settings;
      const kept = byPlan.get(plan) ?? new Map<string, readonly Guess[]>();
      byPlan.set(plan, kept);
      const [parentId, afterId] = [parentIdOf(chart, id), previousIdOf(chart, id)];
      const asked = { name, number, parentId, afterId, element: null, besidesId: id };
      const around = linesAround(chart, asked);
      const judge = () => judgeAmong(around, { plan, element: null, learned });
      return keptBy(kept, JSON.stringify([around.lines, around.at]), judge);
    },
    named: (name) =>
      keptBy(byName, name, () =>
        judgeLines(
          [{ name, number: null, parent: null, kind: null }],
          learned === undefined ? {} : { learned },
        )(0, null),
      ),
  };
};
