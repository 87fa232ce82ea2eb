import type { AccountId } from '../chart/account';
import type { Chart } from '../chart/chart';
import { knownAccount } from '../chart/queries';
import { withoutBalances, type OpeningBalances } from '../ledger/opening-balances';
import { apply, applyAll, rebase } from './apply';
import { calledThen, formerTitles, type Called } from './called-then';
import { indexLanded, nextMet, type LandedIndex } from './landed-index';
import type { Operation } from './operation';
import type { Refusal } from './refusal';
import type { Landed } from './rules';

/** One gesture of the user: operations that are undone and redone together. */
export interface ProposalStep {
  readonly id: string;
  readonly operations: readonly Operation[];
  /** Balances of a list that are posted as an opening entry when the step is adopted. */
  readonly opening?: OpeningBalances;
}

const isEmpty = ({ operations, opening }: ProposalStep): boolean =>
  operations.length === 0 && opening === undefined;

/** A pending step that no longer fits the chart, with what stands against it. */
export interface Conflict {
  readonly step: ProposalStep;
  /** The landed operation that concerns the same thing; `null` when a rule refuses. */
  readonly landed: Operation | null;
  readonly refusal: Refusal | null;
  /** What accounts were called when the step was made, where that is not what they are called now. */
  readonly called?: readonly Called[];
}

/** A proposal brought to a newer chart. */
export interface Replayed {
  readonly chart: Chart;
  readonly steps: readonly ProposalStep[];
  readonly conflicts: readonly Conflict[];
}

type StepAfter =
  | { readonly type: 'keep'; readonly step: ProposalStep }
  | { readonly type: 'conflict'; readonly landed: Operation };

const rebaseOperation = (operation: Operation, index: LandedIndex): Operation | null | Landed => {
  let current = operation;
  for (let at = nextMet(index, current, 0); ; at = nextMet(index, current, at + 1)) {
    const item = index.landed[at];
    if (item === undefined) return current;
    const rebased = rebase(current, item);
    if (rebased.type === 'done') return null;
    if (rebased.type === 'conflict') return item;
    current = rebased.operation;
  }
};

const rebaseStep = (step: ProposalStep, landed: LandedIndex): StepAfter => {
  const operations: Operation[] = [];
  for (const operation of step.operations) {
    const rebased = rebaseOperation(operation, landed);
    if (rebased === null) continue;
    if ('inverse' in rebased) return { type: 'conflict', landed: rebased.operation };
    operations.push(rebased);
  }
  const same =
    operations.length === step.operations.length &&
    operations.every((operation, at) => operation === step.operations[at]);
  return { type: 'keep', step: same ? step : { ...step, operations } };
};

const withNames = (
  conflicts: readonly Conflict[],
  newest: Chart,
  landed: readonly Landed[],
): readonly Conflict[] => {
  const then = conflicts.length === 0 ? new Map() : formerTitles(landed);
  return conflicts.map((conflict) => {
    const against = conflict.landed === null ? [] : [conflict.landed];
    const called = calledThen(newest, then, [...conflict.step.operations, ...against]);
    return called.length === 0 ? conflict : { ...conflict, called };
  });
};

/**
 * Replays pending steps on a newer chart, given what landed meanwhile, oldest first.
 * A step fits whole or is a conflict; a step with nothing left to do is dropped.
 * Law: with nothing landed and steps that fit, gives the same steps and no conflict.
 */
export const replay = (
  newest: Chart,
  steps: readonly ProposalStep[],
  landed: readonly Landed[],
): Replayed => {
  const kept: ProposalStep[] = [];
  const conflicts: Conflict[] = [];
  const index = indexLanded(landed);
  let chart = newest;
  for (const step of steps) {
    const after = rebaseStep(step, index);
    if (after.type === 'conflict') {
      conflicts.push({ step, landed: after.landed, refusal: null });
      continue;
    }
    const outcome = applyAll(chart, after.step.operations);
    if (!outcome.ok) conflicts.push({ step: after.step, landed: null, refusal: outcome.refusal });
    else if (!isEmpty(after.step)) kept.push(after.step);
    if (outcome.ok) chart = outcome.chart;
  }
  return { chart, steps: kept, conflicts: withNames(conflicts, newest, landed) };
};

/** A proposal from which one operation was dropped, and what went with it. */
export interface Dropped {
  readonly steps: readonly ProposalStep[];
  readonly dependents: readonly Operation[];
  /** Accounts whose listed balance went, for the account itself did. */
  readonly balances: readonly AccountId[];
}

/** Listed balances without those of accounts that the whole proposal added and the rest of it does not. */
const withoutOrphans = (
  whole: Chart,
  rest: Chart,
  steps: readonly ProposalStep[],
): Pick<Dropped, 'steps' | 'balances'> => {
  const gone = (id: AccountId): boolean =>
    knownAccount(rest, id) === undefined && knownAccount(whole, id) !== undefined;
  const balances: AccountId[] = [];
  const kept = steps.map((step) => {
    const listed = step.opening?.balances ?? [];
    const lost = listed.map(({ accountId }) => accountId).filter(gone);
    if (step.opening === undefined || lost.length === 0) return step;
    balances.push(...lost);
    return { ...step, opening: withoutBalances(step.opening, lost) };
  });
  return { steps: kept, balances };
};

/** Where accounts that are not added any more would have stood: after which neighbour. */
type Vacated = Map<AccountId, AccountId | null>;

/** The operation with its place after a neighbour that is there. */
const afterThere = (operation: Operation, vacated: Vacated): Operation => {
  if (!('afterId' in operation) || operation.afterId === null) return operation;
  let afterId: AccountId | null = operation.afterId;
  for (let next = vacated.get(afterId); next !== undefined; next = vacated.get(afterId)) {
    afterId = next;
    if (afterId === null) break;
  }
  return afterId === operation.afterId ? operation : { ...operation, afterId };
};

/**
 * Drops one operation, and with it those that cannot stand without it (an account added
 * under a dropped one, say) and the listed balances of accounts that are no more. `base` is the chart
 * on which the proposal stands.
 */
export const dropOperation = (
  base: Chart,
  steps: readonly ProposalStep[],
  at: { readonly stepId: string; readonly index: number },
): Dropped => {
  const dependents: Operation[] = [];
  const kept: ProposalStep[] = [];
  const vacated: Vacated = new Map();
  let chart = base;
  for (const step of steps) {
    const operations: Operation[] = [];
    for (const [index, stated] of step.operations.entries()) {
      const operation = afterThere(stated, vacated);
      const dropped = step.id === at.stepId && index === at.index;
      const outcome = dropped ? null : apply(chart, operation);
      if (outcome?.ok === true) {
        chart = outcome.chart;
        operations.push(operation);
        continue;
      }
      if (!dropped) dependents.push(operation);
      if (operation.type === 'addAccount') vacated.set(operation.account.id, operation.afterId);
    }
    const rest = { ...step, operations };
    if (!isEmpty(rest)) kept.push(rest);
  }
  if (steps.every(({ opening }) => opening === undefined))
    return { steps: kept, dependents, balances: [] };
  const whole = applyAll(
    base,
    steps.flatMap(({ operations }) => operations),
  );
  return { dependents, ...withoutOrphans(whole.ok ? whole.chart : base, chart, kept) };
};

/** A proposal without the balances that a step brings along. */
export const dropOpening = (
  steps: readonly ProposalStep[],
  stepId: string,
): readonly ProposalStep[] =>
  steps
    .map((step) => (step.id === stepId ? { id: step.id, operations: step.operations } : step))
    .filter((step) => !isEmpty(step));
