import { computed, inject, Injectable } from '@angular/core';
import {
  accountOf,
  accountStrands,
  resolvedSettings,
  sumOfStrands,
  type ColumnSpec,
  type Month,
  type StatementTable,
  type Strand,
} from '@iunctus/core';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { MONTHS, monthsTo, type KeyFigure } from './front-figure';
import { TableEngine } from './table-engine';

/** What a front page shows of balances, at the end of each month. */
@Injectable()
export class FrontPosition {
  private readonly engine = inject(TableEngine);
  private readonly proposed = inject(ProposedChart);
  readonly months = computed<readonly Month[]>(() => {
    const period = this.engine.context()?.main;
    return period === undefined ? [] : monthsTo(period.last);
  });
  readonly columns = computed<readonly ColumnSpec[]>(() => [
    ...this.months().map((month): ColumnSpec => ({ is: 'amounts', words: month })),
    { is: 'amounts', words: 'a year before' },
  ]);
  private readonly table = computed<StatementTable | null>(() => {
    const table = this.engine.result()?.table ?? null;
    return table?.columns.length === this.columns().length ? table : null;
  });
  readonly ready = computed(() => this.table() !== null);

  private strands(wanted: (id: string) => boolean): readonly Strand[] {
    const table = this.table();
    const columns = Array.from({ length: MONTHS + 1 }, (_month, at) => at);
    return table === null ? [] : accountStrands(table, columns, wanted);
  }

  /** Money in hand and at banks. */
  readonly cash = computed<KeyFigure>(() => {
    const chart = this.proposed.base();
    const strands = this.strands((id) => {
      const account = accountOf(chart, id);
      return account !== undefined && resolvedSettings(account).cashFlow === 'cash';
    });
    const amounts = sumOfStrands(strands, MONTHS + 1);
    return {
      key: 'cash',
      words: $localize`Cash`,
      amount: amounts[MONTHS - 1] ?? 0,
      before: amounts[MONTHS] ?? 0,
    };
  });

  readonly pinned = computed<readonly Strand[]>(() => {
    const chart = this.proposed.base();
    return this.strands((id) => accountOf(chart, id)?.settings.pinned === true).map((strand) => ({
      ...strand,
      amounts: strand.amounts.slice(0, MONTHS),
    }));
  });
}
