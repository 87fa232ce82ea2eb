import type { Chart } from '../chart/chart';
import { accountOf } from '../chart/queries';
import { isVeiled } from '../chart/veil';
import { OPERATIONS } from './all-rules';
import { touchedBy, type Operation } from './operation';
import type { Refusal } from './refusal';
import { refused, type Landed, type Outcome, type Rebased, type Rules } from './rules';

const rulesOf = ({ type }: Operation): Rules<Operation> => OPERATIONS[type];

const veiledAmong = (chart: Chart, operation: Operation): string | undefined => {
  // Renumbering names thousands of accounts; it gives veiled ones their number and no other.
  if (operation.type === 'renumberMany') return undefined;
  return touchedBy(operation).find((id) => {
    const account = accountOf(chart, id);
    return account !== undefined && isVeiled(account);
  });
};

/** The chart after one operation, or a typed refusal. Never throws over data.
 *  Refuses: restrictedAccount (what only stands for accounts that are not to be seen), and what the operation refuses. */
export const apply = (chart: Chart, operation: Operation): Outcome => {
  const veiled = veiledAmong(chart, operation);
  return veiled === undefined
    ? rulesOf(operation).apply(chart, operation)
    : refused({ code: 'restrictedAccount', accountId: veiled });
};

/** The operation that takes `operation` back; `before` is the chart to which it was applied. */
export const invert = (operation: Operation, before: Chart): Operation =>
  rulesOf(operation).invert(operation, before);

/** What becomes of a pending operation after another has landed first. */
export const rebase = (operation: Operation, landed: Landed): Rebased =>
  rulesOf(operation).rebase(operation, landed);

/** A batch applied whole, with its inverse in the order in which it must be applied; or the first refusal. */
export type BatchOutcome =
  | { readonly ok: true; readonly chart: Chart; readonly landed: readonly Landed[] }
  | { readonly ok: false; readonly refusal: Refusal; readonly index: number };

/** Applies operations one after the other, all or none. `index` is the place of the refused one. */
export const applyAll = (chart: Chart, operations: readonly Operation[]): BatchOutcome => {
  const landed: Landed[] = [];
  let current = chart;
  for (const [index, operation] of operations.entries()) {
    const outcome = apply(current, operation);
    if (!outcome.ok) return { ok: false, refusal: outcome.refusal, index };
    landed.push({ operation, inverse: invert(operation, current) });
    current = outcome.chart;
  }
  return { ok: true, chart: current, landed };
};

/** The operations that take a batch back, in the order in which to apply them. */
export const inverseOf = (landed: readonly Landed[]): readonly Operation[] =>
  landed.map(({ inverse }) => inverse).reverse();
