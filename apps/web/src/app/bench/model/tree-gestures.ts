import { inject, Injectable } from '@angular/core';
import {
  accountOf,
  hasAccount,
  headsOf,
  planDuplicate,
  planEach,
  planMoveTogether,
  planRemoval,
  planStep,
  type AccountId,
  type Direction,
  type MoveTarget,
  type Operation,
} from '@iunctus/core';
import { today } from '../../shared/dates/today';
import { ChartView } from '../../workspace/model/chart-view';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { Sheets } from '../../workspace/model/sheets';
import { RowEditing } from './row-editing';
import { crossingWords } from './tree-words';

const CHOOSE_TWO = $localize`Choose two accounts with X; then their numbers can be swapped.`;

/** What is done to whole rows of the tree: move, remove, copy, drop. Each is one step of the proposal. */
@Injectable()
export class TreeGestures {
  private readonly proposed = inject(ProposedChart);
  private readonly view = inject(ChartView);
  private readonly editing = inject(RowEditing);
  private readonly sheets = inject(Sheets);

  move(direction: Direction): void {
    const id = this.view.cursor();
    if (id === null) return;
    this.propose(planStep(this.proposed.chart(), id, direction) ?? []);
    this.view.goTo(id);
  }

  /** Removes what is chosen, retires what has postings. The cursor goes to the next of the listed accounts. */
  remove(listed: readonly AccountId[]): void {
    const id = this.view.cursor();
    if (id === null) return;
    const next = this.neighbourOf(id, listed);
    const on = today();
    // From the last to the first: what stands below goes before what it stands under.
    const plan = planEach(
      this.proposed.chart(),
      [...this.view.chosen()].reverse(),
      (chart, one) => [planRemoval(chart, one, on)],
    );
    if (!plan.ok) return this.editing.refusal.set(plan.refusal);
    const done = this.propose(plan.operations);
    if (done && next !== null && !hasAccount(this.proposed.chart(), id)) this.view.cursor.set(next);
  }

  /** Opens what is chosen to new postings again, those above first. */
  restore(): void {
    const chart = this.proposed.chart();
    const retired = this.view
      .chosen()
      .filter((id) => (accountOf(chart, id)?.retiredOn ?? null) !== null);
    this.propose(retired.map((id) => ({ type: 'restore', id })));
  }

  /** Gives each of two chosen accounts the other's number. */
  swapNumbers(): void {
    const [one, other, ...more] = this.view.chosen();
    if (one === undefined || other === undefined || more.length > 0) {
      this.editing.advice.set(CHOOSE_TWO);
      return;
    }
    const numberOf = (id: AccountId): string | null =>
      accountOf(this.proposed.chart(), id)?.number ?? null;
    const numbers = [
      { id: one, number: numberOf(other) },
      { id: other, number: numberOf(one) },
    ];
    this.propose([{ type: 'renumberMany', numbers }]);
  }

  duplicate(): void {
    const id = this.view.cursor();
    if (id === null) return;
    const plan = planDuplicate(this.proposed.chart(), id, () => crypto.randomUUID());
    if (!plan.ok) return this.editing.refusal.set(plan.refusal);
    const [copy] = plan.operations.flatMap((operation) =>
      operation.type === 'addAccount' ? operation.account.id : [],
    );
    if (this.propose(plan.operations) && copy !== undefined) this.view.goTo(copy);
  }

  /**
   * Drops the dragged row, and with it all that are chosen when it is one of them, one after the other. What
   * would cross into another element is asked about first, as when it is moved by keys.
   */
  drop(target: MoveTarget, id: AccountId): void {
    const chart = this.proposed.chart();
    const together = this.view.marks().has(id) ? headsOf(chart, this.view.chosen()) : [id];
    const plan = planMoveTogether(chart, together, target);
    if (!plan.ok) return this.editing.refusal.set(plan.refusal);
    if (crossingWords(chart, plan.operations) === '') return void this.propose(plan.operations);
    this.view.goTo(id);
    this.sheets.askMove(target);
  }

  private propose(operations: readonly Operation[]): boolean {
    const refusal = this.proposed.propose(operations);
    this.editing.refusal.set(refusal);
    return refusal === null;
  }

  private neighbourOf(id: AccountId, listed: readonly AccountId[]): AccountId | null {
    if (this.proposed.chart().posted.has(id)) return id;
    const index = listed.indexOf(id);
    return listed[index + 1] ?? listed[index - 1] ?? null;
  }
}
