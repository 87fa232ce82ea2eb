import { computed, inject, Injectable, linkedSignal } from '@angular/core';
import { Store } from '@ngrx/store';
import {
  accountCount,
  advance,
  applyAll,
  changeOf,
  chartOf,
  countChanges,
  dateOrderOf,
  emptyChart,
  proposedChart,
  subjectsOf,
  trackOf,
  type AccountChange,
  type AccountId,
  type Chart,
  type OpeningBalances,
  type Operation,
  type ProposalStep,
  type Refusal,
  type Track,
} from '@iunctus/core';
import { Rights } from '../../session/state/rights';
import { WorkspaceActions } from '../state/workspace.actions';
import { workspaceFeature } from '../state/workspace.feature';

const numbersIn = (operation: Operation): readonly (string | null)[] => {
  if (operation.type === 'addAccount') return [operation.account.number];
  if (operation.type === 'renumberMany') return operation.numbers.map(({ number }) => number);
  return operation.type === 'renumber' ? [operation.number] : [];
};

/** What a step has besides its operations. */
export interface StepMore {
  readonly id?: string;
  /** Balances that come along. */
  readonly opening?: OpeningBalances | null;
}

/** A step of operations, under a fresh id where none is given. */
export const stepOf = (
  operations: readonly Operation[],
  { id = crypto.randomUUID(), opening = null }: StepMore = {},
): ProposalStep => ({ id, operations, ...(opening === null ? {} : { opening }) });

/** The chart as adopted and as proposed, and the one way to propose a change. Holds no rule: it asks the core. */
@Injectable()
export class ProposedChart {
  private readonly store = inject(Store);
  private readonly rights = inject(Rights);
  private readonly adopted = this.store.selectSignal(workspaceFeature.selectAdopted);
  readonly steps = this.store.selectSignal(workspaceFeature.selectSteps);
  readonly client = this.store.selectSignal(workspaceFeature.selectClient);
  /** The order in which the client's country writes days and months. */
  readonly dateOrder = computed(() => dateOrderOf(this.client()?.country ?? ''));

  /** Whether the chart of the client that is open is there. */
  readonly ready = computed(() => this.adopted() !== null);

  /** Numbers and names of before, newest first. */
  readonly former = computed(() => this.adopted()?.former ?? []);

  /** The chart as last adopted. */
  readonly base = computed<Chart>(() => {
    const adopted = this.adopted();
    if (adopted === null) return emptyChart();
    return chartOf(adopted.chart);
  });

  private readonly track = linkedSignal<{ base: Chart; steps: readonly ProposalStep[] }, Track>({
    source: () => ({ base: this.base(), steps: this.steps() }),
    computation: ({ base, steps }, previous) => {
      const before = previous?.value;
      const from = before !== undefined && before.base === base ? before : trackOf(base);
      const outcome = advance(from, steps);
      return outcome.ok ? outcome.track : from;
    },
  });

  /** The chart as proposed. */
  readonly chart = computed(() => proposedChart(this.track()));
  readonly count = computed(() => accountCount(this.chart()));

  private readonly longestAdopted = computed(() =>
    (this.adopted()?.chart.accounts ?? []).reduce(
      (most, { number }) => Math.max(most, number?.length ?? 0),
      0,
    ),
  );

  /** Characters of the longest number, pending ones included. */
  readonly longestNumber = computed(() =>
    this.steps()
      .flatMap(({ operations }) => operations.flatMap(numbersIn))
      .reduce((most, number) => Math.max(most, number?.length ?? 0), this.longestAdopted()),
  );

  /** The accounts that pending operations are about. */
  readonly touched = computed(
    () => new Set(this.steps().flatMap(({ operations }) => operations.flatMap(subjectsOf))),
  );

  /** What a person counts as changes: the accounts that are touched, the chart's own settings, and balances of lists. */
  readonly changes = computed(() => countChanges(this.steps()));

  /** How an account differs from the adopted chart; only accounts that were touched are compared. */
  changeOf(id: AccountId): AccountChange | null {
    return this.touched().has(id) ? changeOf(this.base(), this.chart(), id) : null;
  }

  /** Proposes operations as one step. Gives the refusal, and changes nothing, when a rule says no. */
  propose(operations: readonly Operation[], more: StepMore = {}): Refusal | null {
    if (operations.length === 0 && (more.opening ?? null) === null) return null;
    if (!this.rights.may('change')) {
      this.store.dispatch(WorkspaceActions.changeRefused());
      return null;
    }
    const outcome = applyAll(this.chart(), operations);
    if (!outcome.ok) return outcome.refusal;
    this.store.dispatch(WorkspaceActions.stepProposed({ step: stepOf(operations, more) }));
    return null;
  }
}
