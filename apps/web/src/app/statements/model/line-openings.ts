import { inject, Injectable } from '@angular/core';
import { Router } from '@angular/router';
import { Store } from '@ngrx/store';
import { firstDayOf, lastDayOf, type AccountId, type Period, type RowKey } from '@iunctus/core';
import { type ChartView } from '../../workspace/model/chart-view';
import { workspaceFeature } from '../../workspace/state/workspace.feature';

/** Where a line of a statement leads: to the entries that it is made of, to its account on the chart. */
@Injectable({ providedIn: 'root' })
export class LineOpenings {
  private readonly router = inject(Router);
  private readonly store = inject(Store);
  private readonly period = this.store.selectSignal(workspaceFeature.selectPeriod);
  private readonly client = this.store.selectSignal(workspaceFeature.selectClient);

  /** Reads the entries of an account, or of a row of the standard statements; in the period that is looked at, or another. */
  register(of: AccountId | RowKey | null, period: Period | null = this.period()): void {
    if (period === null || of === null) return;
    const [first, last] = [firstDayOf(period.first), lastDayOf(period.last)];
    this.go(['ledger', 'register'], { of, first, last });
  }

  /** Goes to an account on the chart. */
  chart(id: AccountId | null, view: ChartView): void {
    if (id === null) return;
    view.goTo(id);
    this.go(['chart']);
  }

  /** Goes to a statement. */
  statement(sheet: string): void {
    this.go(['statements', sheet]);
  }

  private go(place: readonly string[], queryParams: Readonly<Record<string, string>> = {}): void {
    void this.router.navigate(['/clients', this.client()?.id ?? '', ...place], { queryParams });
  }
}
