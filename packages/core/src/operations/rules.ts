import type { Chart } from '../chart/chart';
import type { Operation } from './operation';
import type { Refusal } from './refusal';

/** The chart after an operation, or why it was refused. */
export type Outcome =
  { readonly ok: true; readonly chart: Chart } | { readonly ok: false; readonly refusal: Refusal };

/** An operation that has been applied, with the one that takes it back. */
export interface Landed {
  readonly operation: Operation;
  readonly inverse: Operation;
}

/** What becomes of a pending operation after another one has landed first. */
export type Rebased =
  | { readonly type: 'keep'; readonly operation: Operation }
  | { readonly type: 'done' }
  | { readonly type: 'conflict' };

/**
 * What each operation must supply.
 *
 * Laws, where `apply(c, op)` is not refused and gives `d`:
 * - `apply(d, invert(op, c))` gives back `c`;
 * - `apply(c, invert(invert(op, c), d))` gives `d` again;
 * - `rebase(op, landed)` keeps the intent, or says that nothing is left to do, or that both cannot be had.
 */
export interface Rules<O extends Operation> {
  /** Applies to the chart, or refuses. Never throws over data, never changes the chart it was given. */
  apply(chart: Chart, operation: O): Outcome;
  /** The operation that takes this one back; `before` is the chart to which it was applied. */
  invert(operation: O, before: Chart): Operation;
  /** The same intent after `landed`, which concerns the same account or its neighbours. */
  rebase(operation: O, landed: Landed): Rebased;
}

/** The outcome of an operation that fits. */
export const accepted = (chart: Chart): Outcome => ({ ok: true, chart });

/** The outcome of an operation that breaks a rule. */
export const refused = (refusal: Refusal): Outcome => ({ ok: false, refusal });
