import type { AccountId } from '../chart/account';
import type { Chart } from '../chart/chart';
import { eachNode, mergedAccounts } from '../chart/queries';
import { dimensionProblem, type Dimension } from '../dimensions/dimension';
import type { SetDimension } from './operation';
import { keep } from './rebase-rules';
import type { Refusal } from './refusal';
import { accepted, refused, type Rules } from './rules';

const find = (chart: Chart, id: string): Dimension | undefined =>
  chart.settings.dimensions.find((one) => one.id === id);

/** An account whose settings name the dimension, or one of the values. */
const userOf = (chart: Chart, id: string, values: ReadonlySet<string> | null): AccountId | null => {
  const accounts = [
    ...[...eachNode(chart.roots)].map(({ account }) => account),
    ...mergedAccounts(chart).map(({ account }) => account),
  ];
  const user = accounts.find(({ settings }) =>
    settings.dimensions?.some(
      ({ dimensionId, valueId }) =>
        dimensionId === id && (values === null || (valueId !== null && values.has(valueId))),
    ),
  );
  return user?.id ?? null;
};

const checkRemovals = (chart: Chart, id: string, dimension: Dimension | null): Refusal | null => {
  const kept = new Set(dimension?.values.map((value) => value.id));
  const gone = (find(chart, id)?.values ?? []).filter((value) => !kept.has(value.id));
  const used = gone.find((value) => chart.usedValues.has(value.id));
  if (used !== undefined) return { code: 'valueInUse', accountId: '', value: used.name };
  const user = userOf(
    chart,
    id,
    dimension === null ? null : new Set(gone.map((value) => value.id)),
  );
  return user === null ? null : { code: 'dimensionInUse', accountId: user };
};

const placed = (
  dimensions: readonly Dimension[],
  { id, dimension, afterId }: SetDimension,
): readonly Dimension[] => {
  if (dimension === null) return dimensions.filter((one) => one.id !== id);
  if (dimensions.some((one) => one.id === id))
    return dimensions.map((one) => (one.id === id ? dimension : one));
  const index = dimensions.findIndex((one) => one.id === afterId) + 1;
  return [...dimensions.slice(0, index), dimension, ...dimensions.slice(index)];
};

/** Adds a dimension after another (`afterId` null for first), gives one other values, or removes it (`dimension` null).
 *  Refuses: dimensionMissing, dimensionWrong, dimensionInUse, valueInUse. */
export const setDimension: Rules<SetDimension> = {
  apply(chart, operation) {
    const { id, dimension } = operation;
    if (dimension === null && find(chart, id) === undefined)
      return refused({ code: 'dimensionMissing', accountId: '', value: id });
    const others = chart.settings.dimensions.filter((one) => one.id !== id);
    const problem = dimension === null ? null : dimensionProblem(dimension, others);
    if (problem !== null) return refused({ code: 'dimensionWrong', accountId: '', value: problem });
    const refusal = checkRemovals(chart, id, dimension);
    if (refusal !== null) return refused(refusal);
    const dimensions = placed(chart.settings.dimensions, operation);
    return accepted({ ...chart, settings: { ...chart.settings, dimensions } });
  },
  invert({ id }, before) {
    const { dimensions } = before.settings;
    const index = dimensions.findIndex((one) => one.id === id);
    return {
      type: 'setDimension',
      id,
      dimension: dimensions[index] ?? null,
      afterId: dimensions[index - 1]?.id ?? null,
    };
  },
  rebase(operation, { operation: other }) {
    if (other.type !== 'setDimension' || other.id !== operation.id) return keep(operation);
    const same = JSON.stringify(other.dimension) === JSON.stringify(operation.dimension);
    return same ? { type: 'done' } : { type: 'conflict' };
  },
};
