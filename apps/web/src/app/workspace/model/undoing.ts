import { inject, Injectable } from '@angular/core';
import { Store } from '@ngrx/store';
import { hasAccount, subjectsOf, type AccountId, type ProposalStep } from '@iunctus/core';
import { WorkspaceActions } from '../state/workspace.actions';
import { ChartView } from './chart-view';
import { ProposedChart } from './proposed-chart';

/** The accounts that the steps are about which one list has and the other has not, the last ones first. */
export const subjectsBetween = (
  before: readonly ProposalStep[],
  after: readonly ProposalStep[],
): readonly AccountId[] => {
  const [was, is] = [new Set(before), new Set(after)];
  const differing = [
    ...before.filter((one) => !is.has(one)),
    ...after.filter((one) => !was.has(one)),
  ];
  return differing.reverse().flatMap(({ operations }) => operations.flatMap(subjectsOf));
};

/** Undo and redo; the cursor goes to what came back, or changed back. */
@Injectable()
export class Undoing {
  private readonly store = inject(Store);
  private readonly proposed = inject(ProposedChart);
  private readonly view = inject(ChartView);

  undo(): void {
    this.do(() => this.store.dispatch(WorkspaceActions.undoRequested()));
  }

  redo(): void {
    this.do(() => this.store.dispatch(WorkspaceActions.redoRequested()));
  }

  private do(work: () => void): void {
    const before = this.proposed.steps();
    work();
    const chart = this.proposed.chart();
    const back = subjectsBetween(before, this.proposed.steps()).find((id) => hasAccount(chart, id));
    if (back !== undefined) this.view.goTo(back);
  }
}
