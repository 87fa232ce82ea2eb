import { computed, inject, Injectable, signal } from '@angular/core';
import {
  accountOf,
  addMonths,
  budgetGrid,
  eachNode,
  fiscalYearStart,
  planBudgets,
  readPastedAmounts,
  sectionOf,
  shownAmount,
  spreadEvenly,
  spreadLike,
  sum,
  tableBooks,
  titleOf,
  type AccountId,
  type BudgetRow,
  type BudgetWish,
  type Minor,
  type Month,
  type SectionCode,
} from '@iunctus/core';
import { refusalWords } from '../../shared/words/refusal-words';
import { Rights } from '../../session/state/rights';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { TableEngine } from './table-engine';
import { terms } from '../../shared/words/terms';

/** An account's row in the grid, with what it came to in the year before. */
export interface BudgetLine extends BudgetRow {
  /** What it is called, number and name. */
  readonly called: string;
  readonly lastYear: readonly Minor[];
}

/** A row of the grid: the head of a section, or an account. */
export type BoardRow =
  | { readonly type: 'section'; readonly key: string; readonly words: string }
  | { readonly type: 'account'; readonly key: string; readonly line: BudgetLine };

/** The year’s total, or one of its months. */
export type BoardColumn = 'year' | number;

const PERCENT = 100;

/** The budget of one fiscal year, cell by cell; every change goes into the proposal. */
@Injectable()
export class BudgetBoard {
  private readonly proposed = inject(ProposedChart);
  private readonly engine = inject(TableEngine);
  private readonly rights = inject(Rights);
  /** How many years after the one that is looked at. */
  readonly later = signal(0);
  /** What happened to what was asked for last; empty for nothing to say. */
  readonly notice = signal('');

  readonly currency = computed(() => this.proposed.client()?.currency ?? 'USD');
  private readonly startsIn = computed(() => this.proposed.client()?.fiscalYearStart ?? 1);
  /** The first month of the fiscal year; `null` while no period is open. */
  readonly first = computed<Month | null>(() => {
    const main = this.engine.context()?.main;
    if (main === undefined) return null;
    return addMonths(fiscalYearStart(main.last, this.startsIn()), 12 * this.later());
  });
  readonly months = computed<readonly Month[]>(() => {
    const first = this.first();
    return first === null ? [] : Array.from({ length: 12 }, (_month, at) => addMonths(first, at));
  });
  private readonly year = computed(() => this.first()?.slice(0, 4) ?? '');

  private readonly books = computed(() => {
    const read = this.engine.monthly.value();
    if (read === null) return null;
    const monthly = { first: read.first, rows: [...read.amounts, ...read.splits] };
    return tableBooks(monthly, this.startsIn());
  });
  /** What each account came to in the months of the year before, as it is read for its kind. */
  private readonly lastYear = computed<ReadonlyMap<AccountId, readonly Minor[]>>(() => {
    const books = this.books();
    if (books === null) return new Map();
    const rollUps = this.months().map((month) => {
      const then = addMonths(month, -12);
      return books.rollUp({ first: then, last: then });
    });
    return new Map(
      [...eachNode(this.proposed.chart().roots)].map((node) => [
        node.account.id,
        rollUps.map((rollUp) => shownAmount(node.account.kind, rollUp.amounts(node).change)),
      ]),
    );
  });

  private readonly lines = computed<readonly BudgetLine[]>(() => {
    const [chart, lastYear] = [this.proposed.chart(), this.lastYear()];
    return budgetGrid(chart, this.year()).map((row) => {
      const account = accountOf(chart, row.accountId);
      const called = account === undefined ? '' : titleOf(account);
      return { ...row, called, lastYear: lastYear.get(row.accountId) ?? [] };
    });
  });

  readonly rows = computed<readonly BoardRow[]>(() => {
    const chart = this.proposed.chart();
    const bySection = new Map<SectionCode, BudgetLine[]>();
    for (const line of this.lines()) {
      const section = sectionOf(accountOf(chart, line.accountId)?.kind ?? 'memorandum');
      if (section !== null) bySection.set(section, [...(bySection.get(section) ?? []), line]);
    }
    return SECTIONS.flatMap((section): readonly BoardRow[] => {
      const lines = bySection.get(section) ?? [];
      if (lines.length === 0) return [];
      const head = { type: 'section', key: section, words: terms().sections[section] } as const;
      return [
        head,
        ...lines.map((line) => ({ type: 'account', key: line.accountId, line }) as const),
      ];
    });
  });

  lineAt(row: number): BudgetLine | null {
    const found = this.rows()[row];
    return found?.type === 'account' ? found.line : null;
  }

  private propose(wishes: readonly BudgetWish[]): boolean {
    if (!this.rights.may('change')) return false;
    const operations = planBudgets(this.proposed.chart(), this.year(), wishes);
    const refusal = this.proposed.propose(operations);
    this.notice.set(refusal === null ? '' : refusalWords(refusal, this.proposed.chart()));
    return refusal === null;
  }

  /** What a line’s months come to with one cell changed; a year’s total keeps the shape that the months have. */
  private changed(line: BudgetLine, column: BoardColumn, amount: Minor): readonly Minor[] {
    if (column === 'year') return spreadLike(amount, line.amounts);
    return line.amounts.map((one, at) => (at === column ? amount : one));
  }

  /** Types into a cell. Gives whether it was an amount. */
  type(row: number, column: BoardColumn, text: string): boolean {
    const line = this.lineAt(row);
    if (line === null) return true;
    if (text.trim() === '') return this.clear(row);
    const read = readPastedAmounts(text, this.currency());
    const amount = read.ok ? read.rows[0]?.[0] : undefined;
    if (amount === undefined || amount === null) {
      this.notice.set($localize`“${text}:text:” is no amount. Type it as 1,250.00.`);
      return false;
    }
    return this.propose([
      { accountId: line.accountId, amounts: this.changed(line, column, amount) },
    ]);
  }

  /** Takes the year’s own budget away: that of every year counts again, where there is one. */
  clear(row: number): boolean {
    const line = this.lineAt(row);
    return line === null || this.propose([{ accountId: line.accountId, amounts: null }]);
  }

  /** Gives all later months what a month has. */
  copyAcross(row: number, column: BoardColumn): void {
    const line = this.lineAt(row);
    if (line === null || column === 'year') return;
    const amount = line.amounts[column] ?? 0;
    const amounts = line.amounts.map((one, at) => (at > column ? amount : one));
    this.propose([{ accountId: line.accountId, amounts }]);
  }

  spreadEvenly(row: number): void {
    const line = this.lineAt(row);
    if (line !== null)
      this.propose([{ accountId: line.accountId, amounts: spreadEvenly(line.total, 12) }]);
  }

  /** Spreads a line’s total as last year’s amounts were; last year’s amounts themselves where it has none. */
  likeLastYear(row: number): void {
    const line = this.lineAt(row);
    if (line === null) return;
    if (line.lastYear.every((amount) => amount === 0))
      return this.notice.set($localize`Nothing was posted to ${line.called}:account: last year.`);
    const amounts = line.total === 0 ? line.lastYear : spreadLike(line.total, line.lastYear);
    this.propose([{ accountId: line.accountId, amounts }]);
  }

  /** Begins the whole year with last year’s amounts, more or less by so many per cent. */
  beginWithLastYear(percent: number): void {
    const wishes = this.lines().flatMap(({ accountId, lastYear }): readonly BudgetWish[] => {
      const total = sum(lastYear);
      if (total === 0) return [];
      const wanted = Math.round((total * (PERCENT + percent)) / PERCENT);
      return [{ accountId, amounts: spreadLike(wanted, lastYear) }];
    });
    if (wishes.length === 0) this.notice.set($localize`Nothing was posted in the year before.`);
    else this.propose(wishes);
  }

  /** Puts cells of a spreadsheet in, from a cell on to the right and downwards. Nothing changes where one is no amount. */
  paste(row: number, column: BoardColumn, text: string): void {
    const read = readPastedAmounts(text, this.currency());
    if (!read.ok)
      return this.notice.set(
        $localize`Row ${read.row}:row:, cell ${read.column}:column: of what was pasted is no amount: “${read.text}:text:”. Nothing was changed.`,
      );
    const targets = this.rows()
      .slice(row)
      .flatMap((one) => (one.type === 'account' ? one.line : []));
    if (read.rows.length > targets.length)
      return this.notice.set(
        $localize`${read.rows.length}:rows: rows were pasted, and there are ${targets.length}:left: from here on. Nothing was changed.`,
      );
    const from = column === 'year' ? -1 : column;
    if (read.rows.some((cells) => from + cells.length > 12))
      return this.notice.set(
        $localize`What was pasted is wider than the months that are left. Nothing was changed.`,
      );
    this.propose(read.rows.flatMap((cells, at) => this.pastedWish(targets[at], from, cells) ?? []));
  }

  private pastedWish(
    line: BudgetLine | undefined,
    from: number,
    cells: readonly (Minor | null)[],
  ): BudgetWish | null {
    if (line === undefined || cells.every((cell) => cell === null)) return null;
    let amounts = line.amounts;
    for (const [at, cell] of cells.entries()) {
      if (cell === null) continue;
      const place = from + at;
      // A total that stands before its own months says nothing more than they do.
      if (place < 0 && cells.length > 1) continue;
      amounts = this.changed({ ...line, amounts }, place < 0 ? 'year' : place, cell);
    }
    return { accountId: line.accountId, amounts };
  }
}

const SECTIONS: readonly SectionCode[] = [
  'revenue',
  'costOfSales',
  'operatingExpenses',
  'otherIncomeAndCosts',
  'incomeTax',
];
