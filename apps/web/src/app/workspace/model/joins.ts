import { computed, inject, Injectable, signal } from '@angular/core';
import {
  eachNode,
  landingRows,
  leadsTo,
  nodeOf,
  nodesTo,
  rollUpOver,
  rowKeys,
  sectionAndAccountOf,
  type AccountId,
  type RowKey,
} from '@iunctus/core';
import { ProposedChart } from './proposed-chart';
import { StatementEngine } from './statement-engine';

/** The structure alone decides where an account lands; amounts do not matter here. */
const STRUCTURE = rollUpOver(new Map());

/** What joins the proposed chart and the statement that is shown. */
@Injectable()
export class Joins {
  private readonly proposed = inject(ProposedChart);
  private readonly engine = inject(StatementEngine);
  private readonly statementKeys = computed(() => rowKeys(this.engine.statement()));

  /** The statement row that was selected; its accounts light up. */
  readonly litRow = signal<RowKey | null>(null);
  readonly lit = computed<ReadonlySet<AccountId>>(() => {
    const target = this.litRow() === null ? null : sectionAndAccountOf(this.litRow() ?? '');
    if (target === null) return new Set();
    const { chart } = this.proposed;
    const branch = target.accountId === null ? null : nodeOf(chart(), target.accountId);
    const nodes = branch === null ? chart().roots : branch === undefined ? [] : [branch];
    return new Set(
      [...eachNode(nodes)]
        .filter((node) => leadsTo(node, target.section, STRUCTURE))
        .map(({ account }) => account.id),
    );
  });

  /** The rows of the shown statement on which an account and what is below it land. */
  landingOf(id: AccountId): readonly RowKey[] {
    const path = nodesTo(this.proposed.chart(), id);
    return landingRows(path, this.statementKeys(), STRUCTURE);
  }
}
