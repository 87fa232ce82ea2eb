import { computed, inject, Injectable, signal } from '@angular/core';
import {
  accountsOn,
  landingOn,
  nodesTo,
  rowKeys,
  type AccountId,
  type RowKey,
} from '@iunctus/core';
import { ProposedChart } from './proposed-chart';
import { StatementEngine } from './statement-engine';

/** What joins the proposed chart and the statement that is shown. */
@Injectable()
export class Joins {
  private readonly proposed = inject(ProposedChart);
  private readonly engine = inject(StatementEngine);
  private readonly statementKeys = computed(() => rowKeys(this.engine.statement()));

  /** The statement row that was selected; its accounts light up. */
  readonly litRow = signal<RowKey | null>(null);
  readonly lit = computed<ReadonlySet<AccountId>>(() => {
    const key = this.litRow();
    if (key === null) return new Set();
    return accountsOn(this.engine.statement().code, this.proposed.chart(), key);
  });

  /** The rows of the shown statement on which an account and what is below it land. */
  landingOf(id: AccountId): readonly RowKey[] {
    const path = nodesTo(this.proposed.chart(), id);
    return landingOn(this.engine.statement().code, path, this.statementKeys());
  }
}
