import { computed, inject, Injectable } from '@angular/core';
import {
  accountOf,
  accountStrands,
  hasBudgets,
  isCatchAll,
  largestStrands,
  mainStrands,
  rowAmounts,
  sectionOf,
  shortMonths,
  sumOfStrands,
  type ColumnSpec,
  type Minor,
  type Month,
  type Period,
  type RowKey,
  type StatementTable,
  type Strand,
} from '@iunctus/core';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { terms } from '../../shared/words/terms';
import { monthsTo, MONTHS, type KeyFigure } from './front-figure';
import { TableEngine } from './table-engine';

/** The most things that a picture tells apart. */
const APART = 6;
/** The most values of a dimension that a picture tells apart. */
const VALUES = 10;

/** The places of the columns that the results are asked with. */
const NOW = 0;
const YEAR_BEFORE = 1;
const EXPECTED = 2;
const FIRST_MONTH = 3;

const OTHERS = $localize`All others`;

/** The rows of the statement that stand at the head, in the words of the client. */
const resultWords = (): Readonly<Record<string, string>> => {
  const { sectionTotals, sections, totals } = terms();
  return {
    'sum/revenue': sectionTotals.revenue,
    'total/grossProfit': totals.grossProfit,
    'sum/operatingExpenses': sections.operatingExpenses,
    'total/netProfit': totals.netProfit,
  };
};

/** What a front page shows of the results, all of it read off one statement. */
@Injectable()
export class FrontResults {
  private readonly engine = inject(TableEngine);
  private readonly proposed = inject(ProposedChart);

  readonly period = computed<Period | null>(() => this.engine.context()?.main ?? null);
  readonly months = computed<readonly Month[]>(() => {
    const period = this.period();
    return period === null ? [] : monthsTo(period.last);
  });
  readonly labels = computed(() =>
    this.months().map((month) => shortMonths({ first: month, last: month }).replace(/ 20/, ' ’')),
  );
  private readonly places = Array.from({ length: MONTHS }, (_month, at) => FIRST_MONTH + at);
  private readonly dimension = computed(() => this.proposed.base().settings.dimensions[0] ?? null);
  private readonly values = computed(() => this.dimension()?.values.slice(0, VALUES) ?? []);

  /** What is asked of the statement. */
  readonly columns = computed<readonly ColumnSpec[]>(() => {
    const words = 'this period';
    const by = this.dimension();
    const value = (valueId: string | null): ColumnSpec => ({
      is: 'value',
      dimensionId: by?.id ?? '',
      valueId,
      words,
    });
    return [
      { is: 'amounts', words },
      { is: 'amounts', words: 'a year before' },
      { is: 'budget', words },
      ...this.months().map((month): ColumnSpec => ({ is: 'amounts', words: month })),
      ...(by === null ? [] : [...this.values().map(({ id }) => value(id)), value(null)]),
    ];
  });
  private readonly table = computed<StatementTable | null>(() => {
    const table = this.engine.result()?.table ?? null;
    return table?.columns.length === this.columns().length ? table : null;
  });
  readonly ready = computed(() => this.table() !== null);

  private rowOf(key: RowKey, columns: readonly number[]): readonly Minor[] {
    const table = this.table();
    const found = table === null ? null : rowAmounts(table, key, columns);
    return found ?? columns.map(() => 0);
  }

  readonly figures = computed<readonly KeyFigure[]>(() =>
    Object.entries(resultWords()).map(([key, words]) => {
      const [amount = 0, before = 0] = this.rowOf(key, [NOW, YEAR_BEFORE]);
      return { key, words, amount, before };
    }),
  );

  /** Net revenue and net profit, month by month. */
  readonly course = computed<readonly Strand[]>(() =>
    ['sum/revenue', 'total/netProfit'].map((key) => ({
      key,
      name: resultWords()[key] ?? '',
      accountId: null,
      amounts: this.rowOf(key, this.places),
    })),
  );

  /** The main expenses, month by month. */
  readonly expenses = computed<readonly Strand[]>(() => {
    const table = this.table();
    if (table === null) return [];
    const of = (section: string) => mainStrands(table, section, this.places);
    return largestStrands([...of('costOfSales'), ...of('operatingExpenses')], APART, OTHERS);
  });

  /** Whether anything is expected; else the year before stands beside what was posted. */
  readonly hasBudgets = computed(() => hasBudgets(this.proposed.base()));
  readonly against = computed<readonly Strand[]>(() => {
    const other = this.hasBudgets() ? EXPECTED : YEAR_BEFORE;
    const words = this.hasBudgets() ? $localize`Expected` : $localize`A year before`;
    const keys = Object.keys(resultWords());
    const column = (at: number): readonly Minor[] =>
      keys.map((key) => this.rowOf(key, [at])[0] ?? 0);
    return [
      { key: null, name: $localize`This period`, accountId: null, amounts: column(NOW) },
      { key: null, name: words, accountId: null, amounts: column(other) },
    ];
  });
  readonly againstLabels = computed(() => Object.values(resultWords()));
  readonly againstKeys: readonly RowKey[] = Object.keys(resultWords());

  /** What takes whatever has no account of its own. */
  readonly catchAll = computed<readonly Strand[]>(() => {
    const [table, chart] = [this.table(), this.proposed.base()];
    if (table === null) return [];
    return accountStrands(table, this.places, (id) => {
      const account = accountOf(chart, id);
      const section = account === undefined ? null : sectionOf(account.kind);
      const isCost = section === 'operatingExpenses' || section === 'costOfSales';
      return account !== undefined && isCost && isCatchAll(account.name);
    });
  });
  /** What part of all expenses that is, in tenths of a per cent. */
  readonly catchAllPart = computed(() => {
    const all = sumOfStrands(this.expenses(), MONTHS).reduce((so, one) => so + one, 0);
    const taken = sumOfStrands(this.catchAll(), MONTHS).reduce((so, one) => so + one, 0);
    return all === 0 ? 0 : Math.round((taken * 1000) / all);
  });

  /** Net revenue by the values of the chart’s first dimension; `null` where it has none. */
  readonly byValue = computed(() => {
    const by = this.dimension();
    if (by === null) return null;
    const names = [...this.values().map(({ name }) => name), $localize`Unassigned`];
    const columns = names.map((_name, at) => FIRST_MONTH + MONTHS + at);
    const amounts = this.rowOf('sum/revenue', columns);
    const there = names.flatMap((_name, at) => (amounts[at] === 0 ? [] : at));
    return {
      name: by.name,
      labels: there.map((at) => names[at] ?? ''),
      amounts: there.map((at) => amounts[at] ?? 0),
    };
  });

  /** The pinned accounts of the statement, month by month. */
  readonly pinned = computed<readonly Strand[]>(() => this.pinnedIn(this.table(), this.places));

  private pinnedIn(table: StatementTable | null, columns: readonly number[]): readonly Strand[] {
    const chart = this.proposed.base();
    if (table === null) return [];
    return accountStrands(table, columns, (id) => accountOf(chart, id)?.settings.pinned === true);
  }
}
