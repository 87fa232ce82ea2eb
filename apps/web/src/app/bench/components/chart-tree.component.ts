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
  DestroyRef,
  effect,
  inject,
  Injector,
  output,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import { formatAmount, KINDS, type AccountId, type Element } from '@iunctus/core';
import { ELEMENT_WORDS } from '../../shared/words/statement-words';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { ChartView } from '../../workspace/model/chart-view';
import { Amounts } from '../../workspace/model/amounts';
import type { Draft } from '../model/draft';
import { dropTarget, type DropPlace } from '../model/drop-target';
import { listedRows, rowIdOf, type ListedRow } from '../model/listed-rows';
import type { TreeAction } from '../../workspace/model/tree-action';
import { actionOfKey } from '../model/tree-keys';
import { RowEditing } from '../model/row-editing';
import { TreeGestures } from '../model/tree-gestures';
import { ChartRowComponent, type AccountRow } from './chart-row.component';
import { RowEditorComponent } from './row-editor.component';

/** Every row is exactly so high, in pixels. */
export const ROW_HEIGHT = 26;

/** A digit of the row's type, in pixels. */
const DIGIT_WIDTH = 9;

/** Room that the strip below an edited row wants, in pixels. */
const STRIP_ROOM = 96;

/** Which rows are in sight: for the seam. */
export interface RowsInSight {
  readonly scrolled: number;
  readonly height: number;
}

/** The chart as a tree that is worked by keyboard: rows, the row editor, drag and drop. */
@Component({
  selector: 'iu-chart-tree',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    CdkDrag,
    CdkFixedSizeVirtualScroll,
    CdkVirtualForOf,
    CdkVirtualScrollViewport,
    ChartRowComponent,
    RowEditorComponent,
  ],
  templateUrl: './chart-tree.component.html',
  styleUrl: './chart-tree.component.css',
  providers: [RowEditing, TreeGestures],
  host: { '[style.--number-width]': 'numberWidth()' },
})
export class ChartTreeComponent {
  protected readonly proposed = inject(ProposedChart);
  protected readonly view = inject(ChartView);
  private readonly amounts = inject(Amounts);
  protected readonly editing = inject(RowEditing);
  private readonly gestures = inject(TreeGestures);
  private readonly injector = inject(Injector);
  private readonly viewport = viewChild.required(CdkVirtualScrollViewport);

  readonly inSight = output<RowsInSight>();
  /** Keys that the tree leaves to the bench. */
  readonly action = output<TreeAction>();

  protected readonly rowHeight = ROW_HEIGHT;
  protected readonly elementWords = ELEMENT_WORDS;
  protected readonly dropPlace = signal<DropPlace | null>(null);
  protected readonly scrolled = signal(0);
  private readonly height = signal(0);

  protected readonly rows = computed<readonly ListedRow[]>(() =>
    listedRows(this.view.rows(), this.editing.draft()),
  );
  /** Room for the longest number of the chart: four digits at least. */
  protected readonly numberWidth = computed(
    () => `${26 + DIGIT_WIDTH * Math.max(this.proposed.longestNumber(), 4)}px`,
  );
  private readonly currency = computed(() => this.proposed.client()?.currency ?? 'USD');

  /** Where the row that is being edited stands, for the strip below it. */
  protected readonly editedIndex = computed(() => {
    const draft = this.editing.draft();
    return draft === null ? -1 : this.rows().findIndex((row) => rowIdOf(row) === draft.id);
  });

  /** The element of the row at the cursor, while it is drawn. */
  protected readonly activeRow = computed(() => {
    const id = this.view.cursor();
    if (id === null || this.editing.draft() !== null) return null;
    const top = this.rows().findIndex((row) => rowIdOf(row) === id) * ROW_HEIGHT;
    const inSight = top >= this.scrolled() && top < this.scrolled() + this.height();
    return inSight ? `row-${id}` : null;
  });

  /** Whether the strip stands above the row, for want of room below it. */
  protected readonly stripAbove = computed(
    () => (this.editedIndex() + 1) * ROW_HEIGHT - this.scrolled() + STRIP_ROOM > this.height(),
  );
  protected readonly stripTop = computed(() => {
    const index = this.editedIndex();
    if (index < 0) return null;
    return (index + (this.stripAbove() ? 0 : 1)) * ROW_HEIGHT - this.scrolled();
  });

  constructor() {
    const destroyed = inject(DestroyRef);
    effect(() => {
      const id = this.view.cursor();
      this.view.filter();
      if (id !== null) untracked(() => this.bringIntoSight(id));
    });
    afterNextRender(() => {
      this.viewport()
        .elementScrolled()
        .subscribe(() => this.tellSight());
      const observer = new ResizeObserver(() => {
        const first = this.height() === 0;
        this.tellSight();
        // A cursor from before waits until the list knows its height.
        const id = this.view.cursor();
        if (first && id !== null) this.bringIntoSight(id);
      });
      observer.observe(this.viewport().elementRef.nativeElement);
      destroyed.onDestroy(() => observer.disconnect());
      this.focus();
    });
    const opened = computed(() => this.proposed.ready());
    effect(() => {
      if (opened()) untracked(() => void this.editing.bringBack());
    });
    effect(() => {
      if (this.editing.draft() !== null) untracked(() => this.showEdited());
    });
  }

  /** Puts the keyboard on the tree. */
  focus(): void {
    this.viewport().elementRef.nativeElement.focus({ preventScroll: true });
  }

  /** Rows to read stay where they are and say something else: quicker by half than other rows in their place. */
  protected trackRow = (index: number, row: ListedRow): string =>
    row.type === 'account' ? `${index}` : rowIdOf(row);

  protected elementTotal(element: Element): string {
    const total = this.proposed
      .chart()
      .roots.filter(({ account }) => KINDS[account.kind].element === element)
      .reduce((sum, node) => sum + this.amounts.amountOf(node), 0);
    return formatAmount(total, { currency: this.currency(), zero: '–' });
  }

  /** A click chooses: with Ctrl this row too, with Shift all from the cursor to it. */
  protected click({ ctrlKey, metaKey, shiftKey, target }: MouseEvent, id: AccountId): void {
    if (ctrlKey || metaKey) this.view.toggleMark(id);
    else if (shiftKey) this.markUpTo(id);
    else this.view.marks.set(new Set());
    this.select(id);
    const onAmount = target instanceof Element && target.closest('.amount') !== null;
    if (onAmount && !ctrlKey && !metaKey && !shiftKey) this.run({ type: 'register' });
  }

  private markUpTo(id: AccountId): void {
    const ids = this.accountIds();
    const ends = [ids.indexOf(this.view.cursor() ?? id), ids.indexOf(id)];
    this.view.marks.set(new Set(ids.slice(Math.min(...ends), Math.max(...ends) + 1)));
  }

  protected select(id: AccountId): void {
    // The click that ends a drag must not wipe out what the drop was refused for.
    if (this.view.cursor() !== id) this.editing.hush();
    this.view.cursor.set(id);
  }

  protected toggle(row: AccountRow): void {
    this.view.setOpen(row.node.account.id, !row.open);
    this.focus();
  }

  /** How a row shows that something would be dropped on it, or before or after it. */
  protected dropClass(index: number): string {
    const place = this.dropPlace();
    return place?.index === index ? `drop-${place.at}` : '';
  }

  protected accept(draft: Draft): void {
    if (this.editing.accept(draft)) this.focus();
  }

  protected leaveEdit(): void {
    this.editing.leave();
    this.focus();
  }

  protected onKey(event: KeyboardEvent): void {
    const action = actionOfKey(event);
    if (action === null) return;
    event.preventDefault();
    event.stopPropagation();
    this.run(action);
  }

  /** Does what a key or a button asks for. */
  run(action: TreeAction): void {
    this.editing.hush();
    switch (action.type) {
      case 'step':
        return this.step(action.rows);
      case 'edge':
        return this.toEdge(action.last);
      case 'open':
        return this.openOrEnter();
      case 'close':
        return this.closeOrLeave();
      case 'edit':
        return this.editing.edit();
      case 'amend':
        return this.editing.amend(action.wanted, action.refusal);
      case 'addAbove':
        return this.editing.addAbove();
      case 'restore':
        return this.gestures.restore();
      case 'swapNumbers':
        return this.gestures.swapNumbers();
      case 'add':
        return this.editing.add(action.as);
      case 'move':
        return this.gestures.move(action.direction);
      case 'remove':
        return this.gestures.remove(this.accountIds());
      case 'duplicate':
        return this.gestures.duplicate();
      case 'mark':
        return this.mark(action.rows);
      case 'letGo':
        return this.view.marks.set(new Set());
      default:
        this.action.emit(action);
    }
  }

  private showEdited(): void {
    afterNextRender(
      () => {
        if (this.editedIndex() >= 0) this.scrollTo(this.editedIndex(), 3);
      },
      { injector: this.injector },
    );
  }

  /** Chooses the row at the cursor, and goes on. */
  private mark(rows: number): void {
    const id = this.view.cursor();
    if (id === null) return;
    this.view.toggleMark(id);
    this.step(rows);
  }

  private accountIds(): readonly AccountId[] {
    return this.rows().flatMap((row) => (row.type === 'account' ? row.node.account.id : []));
  }

  private step(count: number): void {
    const ids = this.accountIds();
    const at = ids.indexOf(this.view.cursor() ?? '');
    const next = ids[Math.min(Math.max(at + count, 0), ids.length - 1)];
    if (next !== undefined) this.view.cursor.set(next);
  }

  private toEdge(last: boolean): void {
    const ids = this.accountIds();
    const edge = last ? ids.at(-1) : ids[0];
    if (edge !== undefined) this.view.cursor.set(edge);
  }

  private cursorRow() {
    return this.rows().find((row) => rowIdOf(row) === this.view.cursor());
  }

  private openOrEnter(): void {
    const row = this.cursorRow();
    if (row?.type !== 'account' || row.node.children.length === 0) return;
    if (row.open) this.step(1);
    else this.view.setOpen(row.node.account.id, true);
  }

  private closeOrLeave(): void {
    const row = this.cursorRow();
    if (row?.type !== 'account') return;
    if (row.open) return this.view.setOpen(row.node.account.id, false);
    const rows = this.rows();
    const parent = rows
      .slice(0, rows.indexOf(row))
      .findLast((above) => above.type === 'account' && above.level < row.level);
    if (parent?.type === 'account') this.view.cursor.set(parent.node.account.id);
  }

  protected dragged({ pointerPosition }: CdkDragMove, id: AccountId): void {
    const { nativeElement } = this.viewport().elementRef;
    const y =
      pointerPosition.y - nativeElement.getBoundingClientRect().top + nativeElement.scrollTop;
    this.dropPlace.set(dropTarget(this.proposed.chart(), this.view.rows(), y / ROW_HEIGHT, id));
  }

  protected dropped({ source }: CdkDragEnd, id: AccountId): void {
    source.reset();
    const place = this.dropPlace();
    this.dropPlace.set(null);
    this.view.cursor.set(id);
    if (place === null) return;
    this.gestures.drop(place.target, id);
    this.view.goTo(id);
    this.focus();
  }

  private bringIntoSight(id: AccountId): void {
    afterNextRender(
      () => {
        const index = this.rows().findIndex((row) => rowIdOf(row) === id);
        if (index >= 0) this.scrollTo(index, 0);
      },
      { injector: this.injector },
    );
  }

  private scrollTo(index: number, roomBelow: number): void {
    const viewport = this.viewport();
    const top = index * ROW_HEIGHT;
    // Measured now, it would have rows that were just changed laid out twice.
    const offset = this.scrolled();
    const height = viewport.getViewportSize();
    const bottom = top + ROW_HEIGHT * (1 + roomBelow);
    const far = top < offset - 2 * ROW_HEIGHT || bottom > offset + height + 2 * ROW_HEIGHT;
    if (far) this.scrollOn(Math.max(top - height / 2, 0));
    else if (top < offset) this.scrollOn(Math.max(top - ROW_HEIGHT, 0));
    else if (bottom > offset + height) this.scrollOn(bottom - height);
  }

  private scrollOn(offset: number): void {
    this.scrolled.set(offset);
    this.viewport().scrollToOffset(offset);
  }

  private tellSight(): void {
    const viewport = this.viewport();
    viewport.checkViewportSize();
    this.scrolled.set(viewport.measureScrollOffset());
    this.height.set(viewport.getViewportSize());
    this.inSight.emit({
      scrolled: viewport.measureScrollOffset(),
      height: viewport.getViewportSize(),
    });
  }
}
