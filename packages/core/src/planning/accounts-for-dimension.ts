import { plainAccount, type Account, type AccountId } from '../chart/account';
import type { Chart, ChartNode } from '../chart/chart';
import { idByNumber, mergedAccount, mergedInto, nodeOf } from '../chart/queries';
import type { Dimension, DimensionValue } from '../dimensions/dimension';
import { suggestNumber } from '../numbering/suggest';
import { planAdding } from './adding';
import { applyAll } from '../operations/apply';
import type { Operation } from '../operations/operation';
import type { NewIds } from './dimension-for-accounts';

/** A value as an account below another: one that was merged for it, or a new one. */
interface Below {
  readonly account: Account;
  readonly comesBack: boolean;
}

const gives = (account: Account, dimension: Dimension, value: DimensionValue): boolean =>
  account.settings.dimensions?.some(
    ({ dimensionId, valueId }) => dimensionId === dimension.id && valueId === value.id,
  ) === true;

const mergedFor = (
  chart: Chart,
  { account, absorbed }: ChartNode,
  dimension: Dimension,
  value: DimensionValue,
): Account | undefined =>
  absorbed
    .filter((id) => mergedInto(chart, id) === account.id)
    .flatMap((id) => mergedAccount(chart, id) ?? [])
    .find((one) => gives(one, dimension, value));

const isNumberFree = (chart: Chart, number: string | null): boolean =>
  number === null || idByNumber(chart, number) === undefined;

class Building {
  readonly operations: Operation[] = [];

  constructor(private chart: Chart) {}

  get now(): Chart {
    return this.chart;
  }

  do(...operations: readonly Operation[]): void {
    const outcome = applyAll(this.chart, operations);
    if (!outcome.ok) return;
    this.chart = outcome.chart;
    this.operations.push(...operations);
  }
}

const belowFor = (
  building: Building,
  node: ChartNode,
  {
    dimension,
    value,
    afterId,
    newId,
  }: NewIds & {
    readonly dimension: Dimension;
    readonly value: DimensionValue;
    readonly afterId: AccountId | null;
  },
): Below => {
  const chart = building.now;
  const { id: parentId, kind } = node.account;
  const former = mergedFor(chart, node, dimension, value);
  if (former === undefined) {
    const account = plainAccount({ id: newId(), number: null, name: value.name, kind });
    return { account, comesBack: false };
  }
  if (isNumberFree(chart, former.number)) return { account: former, comesBack: true };
  const suggested = suggestNumber(chart, { parentId, afterId, kind });
  return {
    account: { ...former, number: suggested.ok ? suggested.number : null },
    comesBack: true,
  };
};

/**
 * Tells apart by sub-accounts again what a dimension tells apart in one account: the way back of
 * {@link dimensionForAccounts}, and the way there for a dimension that was never anything else. What was merged for a
 * value comes back; for others there are new accounts. Postings that carry a value count below; the others stay.
 * @param upTo the newest entry that is looked at, so that the choice means the same postings for good
 */
export const accountsForDimension = (
  chart: Chart,
  id: AccountId,
  { dimensionId, upTo, newId }: NewIds & { readonly dimensionId: string; readonly upTo: number },
): readonly Operation[] => {
  const node = nodeOf(chart, id);
  const dimension = chart.settings.dimensions.find((one) => one.id === dimensionId);
  if (node === undefined || dimension === undefined) return [];
  const building = new Building(chart);
  const coming = new Set(
    dimension.values.flatMap((value) => mergedFor(chart, node, dimension, value)?.id ?? []),
  );
  const from = [id, ...node.absorbed.filter((one) => !coming.has(one))];
  let afterId: AccountId | null = node.children.at(-1)?.account.id ?? null;
  for (const value of dimension.values) {
    const { account, comesBack } = belowFor(building, node, { dimension, value, afterId, newId });
    const place = { parentId: id, afterId };
    const choice = {
      ...{ first: null, last: null, sources: [], words: '', upTo },
      value: { dimensionId, valueId: value.id },
    };
    building.do(
      ...(comesBack
        ? [{ type: 'unmerge', account, into: id, ...place } as const]
        : planAdding(building.now, account, place)),
      ...from.map((one): Operation => ({
        type: 'split',
        split: { id: newId(), from: one, into: account.id, choice },
      })),
    );
    afterId = account.id;
  }
  const uses = node.account.settings.dimensions?.filter((one) => one.dimensionId !== dimensionId);
  building.do({
    type: 'changeSetting',
    id,
    setting: 'dimensions',
    value: uses === undefined || uses.length === 0 ? null : uses,
  });
  return building.operations;
};
