import { computed, effect, inject, Injectable, linkedSignal, signal } from '@angular/core';
import {
  findingsOf,
  lookAt,
  idsWithin,
  inferPlan,
  numbersOf,
  planContrasLast,
  rangeFills,
  recordsOf,
  replaceLeading,
  shiftNumbers,
  usualPlan,
  type AccountId,
  type Crosswalk,
  type NumberPlan,
  type Operation,
  type Refusal,
} from '@iunctus/core';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { ChartView } from '../../workspace/model/chart-view';
import { NumbersEngine } from '../../workspace/model/numbers-engine';

/** How numbers are to change. */
export type Way = 'fewest' | 'afresh' | 'add' | 'replace';

const NOTHING: Crosswalk = { rows: [], unplaced: [], considered: 0 };

/** A plan with a location or a department behind each number, to begin from. */
export const withSegment = (plan: NumberPlan, name: string): NumberPlan => ({
  ...plan,
  segments: [...plan.segments, { name, width: 2, values: ['01', '02'] }],
});

/** The plan that is being drafted, and the renumbering that would follow from it. */
@Injectable()
export class NumbersModel {
  private readonly proposed = inject(ProposedChart);
  private readonly view = inject(ChartView);
  private readonly engine = inject(NumbersEngine);

  readonly chart = this.proposed.chart;
  private readonly settings = computed(() => this.chart().settings);
  readonly plan = linkedSignal<NumberPlan>(() => this.settings().plan);
  readonly numbered = linkedSignal<boolean>(() => this.settings().numbered);
  readonly problems = computed(() =>
    findingsOf('planProblem', lookAt(this.chart(), { plan: this.plan() })).map(
      ({ facts }) => facts.problem,
    ),
  );
  readonly planChanged = computed(
    () =>
      this.numbered() !== this.settings().numbered ||
      JSON.stringify(this.plan()) !== JSON.stringify(this.settings().plan),
  );
  readonly fills = computed(() => rangeFills(this.chart(), this.plan()));

  readonly way = signal<Way>('fewest');
  /** The account from which on numbers change; `null` for the whole chart. */
  readonly branch = signal<AccountId | null>(null);
  readonly amount = signal(1000);
  readonly leading = signal({ from: '', to: '' });

  /** How many accounts were chosen on the bench. */
  readonly chosen = computed(() => this.view.marks().size);
  /** Whether the chosen accounts alone change, with what is below them. */
  readonly chosenOnly = linkedSignal(() => this.chosen() > 0);

  private readonly ids = computed<readonly AccountId[] | null>(() => {
    if (this.chosenOnly()) return idsWithin(this.chart(), [...this.view.marks()]);
    const branch = this.branch();
    return branch === null ? null : idsWithin(this.chart(), [branch]);
  });

  private readonly asked = computed<Crosswalk>(() => {
    const chart = this.chart();
    const ids = this.ids() ?? recordsOf(chart).map(({ id }) => id);
    const rows =
      this.way() === 'add'
        ? shiftNumbers(chart, ids, this.amount())
        : this.leading().from === ''
          ? []
          : replaceLeading(chart, ids, this.leading());
    return { ...NOTHING, rows, considered: ids.length };
  });

  /** What would change; `null` while it is computed. */
  readonly crosswalk = computed<Crosswalk | null>(() => {
    if (this.way() === 'add' || this.way() === 'replace') return this.asked();
    return this.problems().length > 0 ? NOTHING : this.engine.preview();
  });

  constructor() {
    effect(() => {
      const way = this.way();
      const ids = this.ids();
      const plan = this.plan();
      if ((way !== 'fewest' && way !== 'afresh') || this.problems().length > 0) return;
      const movable = ids === null ? null : new Set(ids);
      this.engine.ask(this.chart(), { plan, movable, keep: way === 'fewest' });
    });
  }

  /** Begins again from a ready-made plan; ranges and levels are its own, segments stay. */
  takeUsual(digits: number): void {
    const { segments, separator } = this.plan();
    this.plan.set({ ...usualPlan(digits), segments, separator });
  }

  /** Takes the plan that the chart's numbers seem to follow. */
  takeInferred(): void {
    this.plan.set(inferPlan(this.chart()));
  }

  change(change: Partial<NumberPlan>): void {
    this.plan.update((plan) => ({ ...plan, ...change }));
  }

  /** Forgets what was drafted. */
  reset(): void {
    this.plan.set(this.settings().plan);
    this.numbered.set(this.settings().numbered);
  }

  /** Puts the plan alone in the proposal. */
  proposePlan(): Refusal | null {
    return this.proposed.propose(this.planOperations());
  }

  /** Puts the plan, where it changed, and the new numbers in the proposal as one step. */
  proposeNumbers(): Refusal | null {
    const rows = this.crosswalk()?.rows ?? [];
    if (rows.length === 0) return null;
    const numbers: Operation = { type: 'renumberMany', numbers: numbersOf(rows) };
    // An unnumbered chart gets its numbers before they are asked for.
    return this.proposed.propose([numbers, ...this.contraMoves(), ...this.planOperations()]);
  }

  /** Where the plan has contras last, they stand last in the list too. */
  private contraMoves(): readonly Operation[] {
    const byPlan = this.way() === 'fewest' || this.way() === 'afresh';
    if (!byPlan || !this.plan().contraLast) return [];
    const ids = this.ids();
    return planContrasLast(this.chart(), ids === null ? null : new Set(ids));
  }

  private planOperations(): readonly Operation[] {
    if (!this.planChanged()) return [];
    return [{ type: 'setPlan', plan: this.plan(), numbered: this.numbered() }];
  }
}
