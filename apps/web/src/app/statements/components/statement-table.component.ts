import { CdkDrag, type CdkDragEnd, type CdkDragMove } from '@angular/cdk/drag-drop';
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
  effect,
  ElementRef,
  inject,
  Injector,
  input,
  linkedSignal,
  output,
  signal,
  viewChild,
} from '@angular/core';
import {
  formatAmount,
  lookOf,
  sectionAndAccountOf,
  type ColumnSpec,
  type LinePlace,
  type Minor,
  type RowKey,
  type StatementTable,
  type TableColumn,
  type TableRow,
} from '@iunctus/core';
import { takeKeyboard } from '../../shared/components/take-keyboard';
import { cellWords, columnHead, columnNote, columnSentence } from '../../shared/words/column-words';
import { statementRowIndent, statementRowWords } from '../../shared/words/statement-row-words';

const ROW_HEIGHT = 25;

/** What is asked of the line at the cursor. */
export interface LineGesture {
  readonly key: RowKey;
  /** The account of the line; `null` where all of a section is meant. */
  readonly accountId: string | null;
  readonly does: LineDoes;
}

/** What can be asked of a line: of any; of one that the chart lays out; of a row of a layout of one’s own. */
export type LineDoes =
  | 'up'
  | 'down'
  | 'lines'
  | 'chart'
  | 'open'
  | 'close'
  | 'kind'
  | 'outwards'
  | 'inwards'
  | 'change'
  | 'addLine'
  | 'addText'
  | 'addSum'
  | 'addRatio'
  | 'addPage'
  | 'group'
  | 'turnSign'
  | 'hideZero'
  | 'remove';

const OF_ANY = {
  'Alt ArrowUp': 'up',
  'Alt ArrowDown': 'down',
  ArrowRight: 'open',
  ArrowLeft: 'close',
  Enter: 'lines',
  c: 'chart',
} as const;

/** A line that is dragged, and where it would be dropped. */
export interface LineDrag {
  readonly key: RowKey;
  readonly onto: RowKey;
  readonly where: LinePlace;
}

/** Above and below these parts of a row, what is dropped goes before or behind it. */
const BEFORE = 0.3;
const BEHIND = 0.7;

/** The keys of a statement as the chart lays it out, and of one that its client does. */
const LINE_KEYS: Readonly<Record<string, LineDoes>> = { ...OF_ANY, m: 'kind' };
export const LAYOUT_KEYS: Readonly<Record<string, LineDoes>> = {
  ...OF_ANY,
  'Alt ArrowLeft': 'outwards',
  'Alt ArrowRight': 'inwards',
  e: 'change',
  a: 'addLine',
  t: 'addText',
  s: 'addSum',
  r: 'addRatio',
  p: 'addPage',
  g: 'group',
  f: 'turnSign',
  z: 'hideZero',
  Delete: 'remove',
};

/** A statement with its columns, as it will be printed; its head is where columns are changed, its lines are handles. */
@Component({
  selector: 'iu-statement-table',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [CdkDrag, CdkFixedSizeVirtualScroll, CdkVirtualForOf, CdkVirtualScrollViewport],
  templateUrl: './statement-table.component.html',
  styleUrl: './statement-table.component.css',
})
export class StatementTableComponent {
  readonly table = input.required<StatementTable>();
  readonly specs = input.required<readonly ColumnSpec[]>();
  readonly moved = input.required<Readonly<Record<RowKey, Minor>>>();
  readonly currency = input.required<string>();
  readonly name = input.required<string>();
  /** The place of the column that is being changed; `null` for none. */
  readonly changing = input<number | null>(null);
  readonly keys = input<Readonly<Record<string, LineDoes>>>(LINE_KEYS);
  /** Whether rows of all sorts can be acted on, not lines alone. */
  readonly everyRow = input(false);
  readonly columnChosen = output<number>();
  readonly gesture = output<LineGesture>();
  /** Whether lines can be dragged. */
  readonly drags = input(false);
  readonly dragMoved = output<LineDrag | null>();
  readonly dragDropped = output<LineDrag>();
  /** The key of the row at the cursor. */
  readonly cursorMoved = output<RowKey | null>();

  private readonly viewport = viewChild.required(CdkVirtualScrollViewport);
  private readonly head = viewChild.required<ElementRef<HTMLElement>>('head');
  protected readonly rowHeight = ROW_HEIGHT;
  protected readonly words = statementRowWords;
  protected readonly indent = statementRowIndent;
  /** The row to which the cursor goes next. */
  private wanted: RowKey | null = null;
  /** The row at the cursor, which stays with its account when the table changes. */
  protected readonly cursor = linkedSignal<StatementTable, number>({
    source: this.table,
    computation: ({ rows }, previous) => {
      const wanted = rows.findIndex(({ row }) => row.key === this.wanted);
      if (wanted >= 0) {
        this.wanted = null;
        return wanted;
      }
      const before = previous?.source.rows[previous.value]?.row;
      const there = rows.findIndex(({ row }) => row.key === before?.key);
      // A line that went to another section is the same account there.
      const id = before !== undefined && 'accountId' in before ? before.accountId : null;
      const found =
        there >= 0
          ? there
          : rows.findIndex(({ row }) => 'accountId' in row && row.accountId === id);
      return found >= 0 ? found : Math.min(previous?.value ?? 0, Math.max(rows.length - 1, 0));
    },
  });
  protected readonly grid = computed(
    () => `minmax(230px, 1fr) repeat(${this.table().columns.length}, minmax(104px, 132px))`,
  );

  constructor() {
    const host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
    const injector = inject(Injector);
    // Also where a change of the chart takes the line at the cursor elsewhere.
    effect(() => {
      const at = this.cursor();
      this.cursorMoved.emit(this.table().rows[at]?.row.key ?? null);
      afterNextRender(() => this.bringIntoSight(at), { injector });
    });
    afterNextRender(() => {
      takeKeyboard(host, '[role=grid]');
      const scrolled = this.viewport().elementRef.nativeElement;
      this.viewport()
        .elementScrolled()
        .subscribe(() => (this.head().nativeElement.scrollLeft = scrolled.scrollLeft));
    });
  }

  /** Puts the cursor on a row as soon as it is there. */
  goTo(key: RowKey): void {
    this.wanted = key;
  }

  /** Puts the keyboard on the lines. */
  focus(): void {
    this.viewport().elementRef.nativeElement.focus();
  }

  protected trackRow = (_index: number, { row }: TableRow): RowKey => row.key;

  protected headOf(column: TableColumn): string {
    return columnHead(this.table().sheet, column);
  }

  protected noteOf(column: TableColumn): string {
    return columnNote(this.table().sheet, column);
  }

  protected sentenceOf({ spec }: TableColumn): string {
    const found = this.specs()[spec];
    return found === undefined ? '' : columnSentence(found);
  }

  protected cell(row: TableRow, at: number): string {
    const column = this.table().columns[at];
    return cellWords(row, at, { column, currency: this.currency() });
  }

  /** Whether what differs is bad for the business. */
  protected isBad({ cells, better }: TableRow, at: number): boolean {
    const is = this.table().columns[at]?.is;
    const cell = cells[at] ?? 0;
    if (better === null || (is !== 'difference' && is !== 'percent')) return false;
    return better === 'more' ? cell < 0 : cell > 0;
  }

  /** How the row looks, as classes. */
  protected lookOf({ row }: TableRow): string {
    const { title, rule, bold } = lookOf(row);
    return [row.type, title ? 'title' : '', bold ? 'bold' : '', `rule-${rule}`].join(' ');
  }

  protected movedBy({ row }: TableRow): string {
    if (row.type === 'itself' || row.type === 'ratio') return '';
    const amount = this.moved()[row.key] ?? 0;
    if (amount === 0) return '';
    return formatAmount(amount, { currency: this.currency(), negatives: 'sign' });
  }

  protected select(index: number): void {
    this.cursor.set(index);
  }

  /** Rows that can be opened, or stand for accounts. */
  private isLine({ type }: TableRow['row']): boolean {
    return type === 'line' || type === 'account' || type === 'ownLine' || this.everyRow();
  }

  protected ask(index: number, does: LineDoes): void {
    const row = this.table().rows[index]?.row;
    if (row === undefined) return;
    if (this.isLine(row) || (does === 'lines' && sectionAndAccountOf(row.key) !== null))
      this.gesture.emit({
        key: row.key,
        accountId: 'accountId' in row ? row.accountId : null,
        does,
      });
  }

  protected toggle(index: number): void {
    const row = this.table().rows[index]?.row;
    if (row?.type === 'line' || row?.type === 'ownLine')
      this.ask(index, row.open ? 'close' : 'open');
    else this.ask(index, 'change');
  }

  protected readonly dropAt = signal<{ readonly index: number; readonly where: LinePlace } | null>(
    null,
  );

  protected canDrag({ row }: TableRow): boolean {
    return this.drags() && row.type === 'line';
  }

  protected dropClass(index: number): string {
    const at = this.dropAt();
    return at?.index === index ? `drop-${at.where}` : '';
  }

  /** Shows where a line would go that is dragged. */
  protected dragged({ pointerPosition }: CdkDragMove, key: RowKey): void {
    const { nativeElement } = this.viewport().elementRef;
    const { top } = nativeElement.getBoundingClientRect();
    const place = (pointerPosition.y - top + nativeElement.scrollTop) / ROW_HEIGHT;
    const index = Math.floor(place);
    const row = this.table().rows[index]?.row;
    const part = place - index;
    const beside: LinePlace = part < 0.5 ? 'before' : 'behind';
    const inside: LinePlace = row?.type === 'line' && row.open ? 'into' : beside;
    const outside: LinePlace | null = part < BEFORE ? 'before' : part > BEHIND ? 'behind' : null;
    const where = outside ?? inside;
    const isLine = row?.type === 'line' && row.key !== key;
    const at = isLine ? { index, where } : null;
    const before = this.dropAt();
    if (at?.index === before?.index && at?.where === before?.where) return;
    this.dropAt.set(at);
    this.dragMoved.emit(isLine ? { key, onto: row.key, where } : null);
  }

  protected dropped({ source }: CdkDragEnd, index: number, key: RowKey): void {
    source.reset();
    const at = this.dropAt();
    const onto = at === null ? undefined : this.table().rows[at.index]?.row.key;
    this.dropAt.set(null);
    this.select(index);
    this.focus();
    this.dragMoved.emit(null);
    if (at !== null && onto !== undefined) this.dragDropped.emit({ key, onto, where: at.where });
  }

  protected onKey(event: KeyboardEvent): void {
    const last = this.table().rows.length - 1;
    const page = Math.max(Math.floor(this.viewport().getViewportSize() / ROW_HEIGHT) - 1, 1);
    const at = this.cursor();
    const moves: Readonly<Record<string, number>> = {
      ArrowDown: at + 1,
      ArrowUp: at - 1,
      PageDown: at + page,
      PageUp: at - page,
      Home: 0,
      End: last,
    };
    const plain = !event.altKey && !event.ctrlKey && !event.metaKey;
    const to = plain ? moves[event.key] : undefined;
    const control = event.ctrlKey || event.metaKey;
    const does = control ? undefined : this.keys()[`${event.altKey ? 'Alt ' : ''}${event.key}`];
    if (to === undefined && does === undefined) return;
    event.preventDefault();
    if (to === undefined) return this.ask(at, does as LineDoes);
    const next = Math.min(Math.max(to, 0), last);
    this.select(next);
  }

  private bringIntoSight(index: number): void {
    const viewport = this.viewport();
    const [top, height] = [viewport.measureScrollOffset(), viewport.getViewportSize()];
    if (height === 0) return;
    const y = index * ROW_HEIGHT;
    if (y < top) viewport.scrollToOffset(y);
    else if (y + ROW_HEIGHT > top + height) viewport.scrollToOffset(y + ROW_HEIGHT - height);
  }
}
