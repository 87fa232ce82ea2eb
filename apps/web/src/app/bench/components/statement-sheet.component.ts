import {
  CdkFixedSizeVirtualScroll,
  CdkVirtualForOf,
  CdkVirtualScrollViewport,
} from '@angular/cdk/scrolling';
import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  inject,
  Injector,
  output,
  signal,
  viewChild,
} from '@angular/core';
import { Store } from '@ngrx/store';
import {
  formatAmount,
  nodeOf,
  sectionAndAccountOf,
  type AccountId,
  type Period,
  type RowKey,
  type SheetCode,
  type SheetRow,
} from '@iunctus/core';
import { ODD_BALANCE_WORDS } from '../../shared/words/account-words';
import { endOfPeriod, longPeriod } from '../../shared/words/period-words';
import { statementRowIndent, statementRowWords } from '../../shared/words/statement-row-words';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { Amounts } from '../../workspace/model/amounts';
import { ChartView } from '../../workspace/model/chart-view';
import { Joins } from '../../workspace/model/joins';
import { StatementEngine } from '../../workspace/model/statement-engine';
import { workspaceFeature } from '../../workspace/state/workspace.feature';
import { terms } from '../../shared/words/terms';
import { RowFindings, type RowFinding } from '../model/row-findings';

/** Every row of a statement is exactly so high, in pixels. */
export const STATEMENT_ROW_HEIGHT = 24;

/** How the rows stand in the sheet: for the seam. */
export interface StatementInSight {
  readonly top: number;
  readonly height: number;
  readonly scrolled: number;
}

/** The statement as it would be printed, beside the chart. */
@Component({
  selector: 'iu-statement-sheet',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [CdkFixedSizeVirtualScroll, CdkVirtualForOf, CdkVirtualScrollViewport],
  templateUrl: './statement-sheet.component.html',
  styleUrl: './statement-sheet.component.css',
})
export class StatementSheetComponent {
  private readonly proposed = inject(ProposedChart);
  private readonly view = inject(ChartView);
  private readonly amounts = inject(Amounts);
  protected readonly joins = inject(Joins);
  private readonly engine = inject(StatementEngine);
  private readonly findings = inject(RowFindings);
  private readonly store = inject(Store);
  private readonly viewport = viewChild.required(CdkVirtualScrollViewport);
  readonly inSight = output<StatementInSight>();
  readonly leave = output();
  /** The lines that a row sums up are asked for. */
  readonly opened = output<RowKey | AccountId>();

  protected readonly rowHeight = STATEMENT_ROW_HEIGHT;
  protected readonly statement = this.engine.statement;
  private readonly period = this.store.selectSignal(workspaceFeature.selectPeriod);
  protected readonly cursor = signal(0);
  private readonly moved = this.engine.moved;
  protected readonly currency = computed(() => this.proposed.client()?.currency ?? 'USD');
  protected readonly title = computed(() => terms().sheets[this.statement().code]);
  protected readonly subtitle = computed(() => subtitleOf(this.statement().code, this.period()));

  /** The rows on which the account at the cursor of the chart lands. */
  protected readonly landing = computed(() => {
    const id = this.view.cursor();
    return new Set(id === null ? [] : this.joins.landingOf(id));
  });

  /** Place of the first row on which the account at the cursor lands; -1 where it lands on none. */
  private readonly landingIndex = computed(() => {
    const landing = this.landing();
    return this.statement().rows.findIndex(({ key }) => landing.has(key));
  });

  constructor() {
    const destroyed = inject(DestroyRef);
    const injector = inject(Injector);
    effect(() => {
      const index = this.landingIndex();
      if (index >= 0) afterNextRender(() => this.bringIntoSight(index), { injector });
    });
    afterNextRender(() => {
      this.viewport()
        .elementScrolled()
        .subscribe(() => this.tellSight());
      const observer = new ResizeObserver(() => this.tellSight());
      observer.observe(this.viewport().elementRef.nativeElement);
      destroyed.onDestroy(() => observer.disconnect());
    });
  }

  /** Puts the keyboard on the statement. */
  focus(): void {
    this.viewport().elementRef.nativeElement.focus();
  }

  protected trackRow = (_index: number, row: SheetRow): RowKey => row.key;

  protected readonly words = statementRowWords;
  protected readonly indent = statementRowIndent;

  /** What is odd about the balance of the account on a line. */
  protected odd(row: SheetRow): string {
    const isOne = row.type === 'line' || row.type === 'itself' || row.type === 'account';
    const id = isOne ? row.accountId : null;
    const node = id === null ? undefined : nodeOf(this.proposed.chart(), id);
    const odd = node === undefined ? null : this.amounts.oddBalanceOf(node);
    return odd === null ? '' : ODD_BALANCE_WORDS[odd];
  }

  /** What Tidy found about the account on a line. */
  protected finding(row: SheetRow): RowFinding | undefined {
    const isOne = (row.type === 'line' && !row.open) || row.type === 'account';
    return isOne ? this.findings.byAccount().get(row.accountId) : undefined;
  }

  protected amount(row: SheetRow): string {
    if (!('amount' in row) || row.amount === null) return '';
    return formatAmount(row.amount, { currency: this.currency(), zero: '–' });
  }

  protected movedBy(row: SheetRow): string {
    if (row.type === 'line' && row.open) return '';
    const key = row.type === 'subtotal' ? row.key.replace(/\/subtotal$/, '') : row.key;
    const amount = this.moved()[key];
    if (amount === undefined || amount === 0 || row.type === 'itself') return '';
    return formatAmount(amount, { currency: this.currency(), negatives: 'sign' });
  }

  protected select(index: number): void {
    this.cursor.set(index);
    const row = this.statement().rows[index];
    this.joins.litRow.set(row?.key ?? null);
  }

  protected goToAccount(): void {
    const row = this.statement().rows[this.cursor()];
    const id = row !== undefined && 'accountId' in row ? row.accountId : null;
    if (id !== null) this.view.goTo(id);
    this.leave.emit();
  }

  protected onKey(event: KeyboardEvent): void {
    const last = this.statement().rows.length - 1;
    const at = this.cursor();
    const moves: Readonly<Record<string, number>> = {
      ArrowDown: Math.min(at + 1, last),
      ArrowUp: Math.max(at - 1, 0),
      Home: 0,
      End: last,
    };
    const next = moves[event.key];
    if (next !== undefined) {
      event.preventDefault();
      this.select(next);
      this.viewport().scrollToOffset(Math.max((next - 8) * this.rowHeight, 0));
    } else if (event.key === 'Enter') {
      event.preventDefault();
      this.goToAccount();
    } else if (event.key.toLowerCase() === 'l' && !event.ctrlKey) this.open(at);
  }

  /** Asks for the lines that a row sums up; what is reckoned of other rows has none. */
  protected open(index: number): void {
    const row = this.statement().rows[index];
    if (row === undefined) return;
    if (sectionAndAccountOf(row.key) !== null) this.opened.emit(row.key);
    else if ('accountId' in row && row.accountId !== null) this.opened.emit(row.accountId);
  }

  private bringIntoSight(index: number): void {
    const viewport = this.viewport();
    const [top, height] = [viewport.measureScrollOffset(), viewport.getViewportSize()];
    const y = index * this.rowHeight;
    if (y >= top && y + this.rowHeight <= top + height) return;
    viewport.scrollToOffset(Math.max(y - height / 2, 0));
  }

  private tellSight(): void {
    const viewport = this.viewport();
    viewport.checkViewportSize();
    const { nativeElement } = viewport.elementRef;
    this.inSight.emit({
      top: nativeElement.offsetTop,
      height: viewport.getViewportSize(),
      scrolled: viewport.measureScrollOffset(),
    });
  }
}

const subtitleOf = (code: SheetCode, period: Period | null): string => {
  if (period === null) return '';
  const [words, day] = [longPeriod(period), endOfPeriod(period)];
  switch (code) {
    case 'balanceSheet':
      return $localize`At ${day}`;
    case 'trialBalance':
      return $localize`At ${day}, credits in parentheses`;
    case 'changesInEquity':
      return $localize`What changed, ${words}`;
    default:
      return words;
  }
};
