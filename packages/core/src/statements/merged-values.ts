import type { AccountId } from '../chart/account';
import type { Chart } from '../chart/chart';
import { mergedAccounts, splitsOf } from '../chart/queries';
import type { Dimension } from '../dimensions/dimension';
import type { MonthlyAmounts, MonthlyTuple } from '../ledger/monthly';
import { subtract } from '../money/minor';
import type { MonthlyByValue } from './table-books';

/** A merged account, and the value that its postings stand for. */
interface Standing {
  readonly id: AccountId;
  readonly valueId: string;
  readonly dimension: Dimension;
}

const standingFor = (chart: Chart): readonly Standing[] =>
  mergedAccounts(chart).flatMap(({ account: { id, settings } }) =>
    (settings.dimensions ?? []).flatMap(({ dimensionId, valueId }) => {
      const dimension = chart.settings.dimensions.find((one) => one.id === dimensionId);
      return dimension === undefined || valueId === null ? [] : [{ id, valueId, dimension }];
    }),
  );

type Rows = ReadonlyMap<string, MonthlyTuple>;

const rowsById = ({ rows }: Pick<MonthlyAmounts, 'rows'>): Rows =>
  new Map(rows.map((row) => [row[0], row] as const));

const less = ([id, ...months]: MonthlyTuple, taken: readonly MonthlyTuple[]): MonthlyTuple => [
  id,
  ...months.map((amount, at) =>
    taken.reduce((so, [, ...others]) => subtract(so, others[at] ?? 0), amount),
  ),
];

/**
 * What was posted with each value of a dimension, with what merged accounts bring along: their postings carry the value
 * that the account stood for, unless they say another themselves. What a split took from them is told apart alike.
 */
export const withMergedValues = (
  chart: Chart,
  monthly: MonthlyAmounts,
  byValue: MonthlyByValue,
): MonthlyByValue => {
  const standing = standingFor(chart);
  if (standing.length === 0) return byValue;
  const whole = rowsById(monthly);
  const known = new Map([...byValue].map(([valueId, of]) => [valueId, rowsById(of)] as const));
  const added = new Map<string, MonthlyTuple[]>();
  for (const { id, valueId, dimension } of standing) {
    const splits = splitsOf(chart).filter(({ from }) => from === id);
    for (const one of [id, ...splits.map((split) => split.id)]) {
      const row = whole.get(one);
      if (row === undefined) continue;
      const said = dimension.values
        .map((value) => known.get(value.id)?.get(one))
        .filter((of) => of !== undefined);
      added.set(valueId, [...(added.get(valueId) ?? []), less(row, said)]);
    }
  }
  const ids = new Set([...byValue.keys(), ...added.keys()]);
  return new Map(
    [...ids].map((valueId) => {
      const rows = [...(byValue.get(valueId)?.rows ?? []), ...(added.get(valueId) ?? [])];
      return [valueId, { first: monthly.first, rows }] as const;
    }),
  );
};
