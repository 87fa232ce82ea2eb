import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  ElementRef,
  inject,
  Injector,
  input,
  signal,
  viewChild,
} from '@angular/core';
import { RouterLink } from '@angular/router';
import {
  addMonths,
  formatAmount,
  minorDigits,
  shortMonths,
  sum,
  type ColumnSpec,
  type Minor,
} from '@iunctus/core';
import { ReadingNoteComponent } from '../../shared/components/reading-note.component';
import { onUndoKey } from '../../shared/components/undo-keys';
import { longPeriod } from '../../shared/words/period-words';
import { Rights } from '../../session/state/rights';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { Undoing } from '../../workspace/model/undoing';
import { BudgetBoard, type BoardColumn, type BudgetLine } from '../model/budget-board';
import { TableEngine } from '../model/table-engine';
import { terms } from '../../shared/words/terms';

/** The rows of the statement that stand below the grid. */
const totalWords = (): Readonly<Record<string, string>> => {
  const { sectionTotals, totals } = terms();
  return {
    'sum/revenue': sectionTotals.revenue,
    'total/grossProfit': totals.grossProfit,
    'total/netProfit': totals.netProfit,
  };
};

const LAST_COLUMN = 11;

/** What is expected, account by account and month by month: a grid as spreadsheets have it, whose sums are the statement’s. */
@Component({
  selector: 'iu-budget-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReadingNoteComponent, RouterLink],
  providers: [TableEngine, BudgetBoard],
  templateUrl: './budget.page.html',
  styleUrls: ['./statement-page.css', './budget.page.css'],
  host: { '(document:keydown)': 'onUndo($event)' },
})
export class BudgetPage {
  protected readonly board = inject(BudgetBoard);
  protected readonly engine = inject(TableEngine);
  protected readonly proposed = inject(ProposedChart);
  private readonly rights = inject(Rights);
  private readonly undoing = inject(Undoing);
  private readonly injector = inject(Injector);
  private readonly grid = viewChild.required<ElementRef<HTMLElement>>('grid');
  readonly clientId = input.required<string>();

  protected readonly percent = signal(0);
  /** The place of the cell at the cursor: its row, and -1 for the year or the month from 0. */
  protected readonly row = signal(1);
  protected readonly column = signal(-1);
  /** What is being typed into it; `null` while nothing is. */
  protected readonly editing = signal<string | null>(null);
  protected readonly mayChange = computed(() => this.rights.may('change'));
  protected readonly heads = computed(() =>
    this.board.months().map((month) => shortMonths({ first: month, last: month })),
  );
  protected readonly period = computed(() => {
    const first = this.board.first();
    return first === null ? '' : longPeriod({ first, last: addMonths(first, LAST_COLUMN) });
  });
  /** What the statement makes of the grid, and of the year before. */
  protected readonly totals = computed(() => {
    const table = this.engine.result()?.table;
    if (table?.columns.length !== 14) return [];
    const called = totalWords();
    return table.rows.flatMap(({ row, cells }) => {
      const words = called[row.key];
      if (words === undefined) return [];
      return { words, lastYear: cells[0] ?? 0, cells: cells.slice(1).map((cell) => cell ?? 0) };
    });
  });

  constructor() {
    const host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
    effect(() => {
      const first = this.board.first();
      if (first === null) return;
      const of = (from: string, to: string) => `${from} to ${to}`;
      const last = addMonths(first, LAST_COLUMN);
      const columns: ColumnSpec[] = [
        { is: 'amounts', words: of(addMonths(first, -12), addMonths(last, -12)) },
        { is: 'budget', words: of(first, last) },
        ...this.board.months().map((words): ColumnSpec => ({ is: 'budget', words })),
      ];
      const shown = { sheet: 'profitAndLoss', depth: 1, zeroLines: false, open: [] } as const;
      this.engine.wish.set({ ...shown, columns, proposed: true });
    });
    effect(() => {
      const id = `cell-${this.row()}-${this.column()}`;
      afterNextRender(
        () => host.querySelector(`#${id}`)?.scrollIntoView({ block: 'nearest', inline: 'nearest' }),
        { injector: this.injector },
      );
    });
    effect(() => {
      if (this.editing() === null) return;
      afterNextRender(() => this.takeField(host), { injector: this.injector });
    });
    afterNextRender(() => this.grid().nativeElement.focus());
  }

  private takeField(host: HTMLElement): void {
    const field = host.querySelector<HTMLInputElement>('td input');
    if (field === null || document.activeElement === field) return;
    field.focus();
    field.setSelectionRange(field.value.length, field.value.length);
  }

  /** Whole units, unless there is less. */
  protected whole(amount: Minor): string {
    const currency = this.board.currency();
    const words = formatAmount(amount, { currency, zero: '–' });
    const behind = minorDigits(currency) + 1;
    const isWhole = amount % 10 ** minorDigits(currency) === 0 && behind > 1;
    return isWhole && amount !== 0 ? words.replace(/\.0+(?=\)?$)/, '') : words;
  }

  protected lastOf({ lastYear }: BudgetLine): Minor {
    return sum(lastYear);
  }

  protected cellsOf({ total, amounts }: BudgetLine): readonly Minor[] {
    return [total, ...amounts];
  }

  private at(): BoardColumn {
    const column = this.column();
    return column < 0 ? 'year' : column;
  }

  protected goTo(row: number, column: number): void {
    if (this.board.lineAt(row) === null) return;
    this.row.set(row);
    this.column.set(Math.min(Math.max(column, -1), LAST_COLUMN));
    this.board.notice.set('');
  }

  /** The next account up or down; heads of sections are passed. */
  private step(by: 1 | -1, times = 1): void {
    const rows = this.board.rows();
    let [row, left] = [this.row(), times];
    for (let at = row + by; at >= 0 && at < rows.length && left > 0; at += by)
      if (rows[at]?.type === 'account') {
        row = at;
        left -= 1;
      }
    this.goTo(row, this.column());
  }

  protected begin(text: string | null): void {
    if (!this.mayChange() || this.board.lineAt(this.row()) === null) return;
    const line = this.board.lineAt(this.row());
    const column = this.column();
    const amount = (column < 0 ? line?.total : line?.amounts[column]) ?? 0;
    const currency = this.board.currency();
    this.editing.set(
      text ?? (amount === 0 ? '' : formatAmount(amount, { currency, negatives: 'sign' })),
    );
  }

  private readonly doing: Readonly<Record<string, () => void>> = {
    ArrowDown: () => this.step(1),
    ArrowUp: () => this.step(-1),
    PageDown: () => this.step(1, 15),
    PageUp: () => this.step(-1, 15),
    ArrowRight: () => this.goTo(this.row(), this.column() + 1),
    ArrowLeft: () => this.goTo(this.row(), this.column() - 1),
    Home: () => this.goTo(this.row(), -1),
    End: () => this.goTo(this.row(), LAST_COLUMN),
    Enter: () => this.begin(null),
    F2: () => this.begin(null),
    Delete: () => void this.board.clear(this.row()),
    e: () => this.board.spreadEvenly(this.row()),
    l: () => this.board.likeLastYear(this.row()),
    'Alt ArrowRight': () => this.board.copyAcross(this.row(), this.at()),
  };

  protected onKey(event: KeyboardEvent): void {
    if (event.ctrlKey || event.metaKey) return;
    const begun = this.editing();
    if (begun !== null) return this.typeOn(begun, event);
    const does = this.doing[`${event.altKey ? 'Alt ' : ''}${event.key}`];
    const types = /^[-\d(.,]$/.test(event.key);
    if (does === undefined && !types) return;
    event.preventDefault();
    if (does === undefined) this.begin(event.key);
    else does();
  }

  /** What is typed before the field has the keyboard is not lost. */
  private typeOn(begun: string, event: KeyboardEvent): void {
    if (event.key === 'Enter' && this.board.type(this.row(), this.at(), begun)) {
      this.close();
      this.step(1);
    } else if (event.key.length === 1) this.editing.set(begun + event.key);
    event.preventDefault();
  }

  protected onUndo(event: KeyboardEvent): void {
    if (this.mayChange()) onUndoKey(event, this.undoing);
  }

  protected onTyping(event: KeyboardEvent): void {
    event.stopPropagation();
    if (event.key === 'Escape') return this.close();
    if (event.key !== 'Enter' && event.key !== 'Tab') return;
    event.preventDefault();
    if (!this.take(event)) return;
    if (event.key === 'Enter') this.step(event.shiftKey ? -1 : 1);
    else this.goTo(this.row(), this.column() + (event.shiftKey ? -1 : 1));
  }

  /** What was typed counts also when the cell is left by the mouse. */
  protected leave(event: FocusEvent): void {
    if (this.editing() !== null && !this.take(event)) this.close();
  }

  private take(event: Event): boolean {
    const { value } = event.target as HTMLInputElement;
    const taken = this.board.type(this.row(), this.at(), value);
    if (taken) this.close();
    return taken;
  }

  private close(): void {
    this.editing.set(null);
    this.grid().nativeElement.focus();
  }

  protected onPaste(event: ClipboardEvent): void {
    const text = event.clipboardData?.getData('text/plain') ?? '';
    if (this.editing() !== null || text === '' || !this.mayChange()) return;
    event.preventDefault();
    this.board.paste(this.row(), this.at(), text);
  }
}
