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
import {
  formatAmount,
  KINDS,
  hasAccount,
  hasPostings,
  headsOf,
  nodeOf,
  planChild,
  planDuplicate,
  planEach,
  planMain,
  planMoveUnder,
  planRemoval,
  planSibling,
  planStep,
  type AccountId,
  type AddPlan,
  type Direction,
  type Element,
  type MoveTarget,
  type Operation,
  type Refusal,
} from '@iunctus/core';
import { reasonWords } from '../../shared/words/outline-words';
import { refusalWords } from '../../shared/words/refusal-words';
import { ELEMENT_WORDS, landingWords } from '../../shared/words/statement-words';
import { BenchModel } from '../model/bench-model';
import { draftOf, draftOperations, newDraft, type Draft } from '../model/draft';
import { dropTarget, type DropPlace } from '../model/drop-target';
import { listedRows, rowIdOf, type ListedRow } from '../model/listed-rows';
import { actionOfKey, type TreeAction } from '../model/tree-keys';
import { crossingWords, roomWords, today } from '../model/tree-words';
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
  host: { '[style.--number-width]': 'numberWidth()' },
})
export class ChartTreeComponent {
  protected readonly model = inject(BenchModel);
  private readonly injector = inject(Injector);
  private readonly viewport = viewChild.required(CdkVirtualScrollViewport);

  readonly inSight = output<RowsInSight>();
  /** Keys that the tree leaves to the bench. */
  readonly action = output<TreeAction>();

  protected readonly rowHeight = ROW_HEIGHT;
  protected readonly elementWords = ELEMENT_WORDS;
  protected readonly draft = signal<Draft | null>(null);
  private readonly typed = signal<Draft | null>(null);
  protected readonly refusal = signal<Refusal | null>(null);
  /** What a gesture did besides what it showed: an account that crossed into another element. */
  protected readonly said = signal('');
  protected readonly dropPlace = signal<DropPlace | null>(null);
  protected readonly scrolled = signal(0);
  private readonly height = signal(0);

  protected readonly rows = computed<readonly ListedRow[]>(() =>
    listedRows(this.model.rows(), this.draft()),
  );
  /** Room for the longest number of the chart: four digits at least. */
  protected readonly numberWidth = computed(
    () => `${26 + DIGIT_WIDTH * Math.max(this.model.longestNumber(), 4)}px`,
  );
  private readonly currency = computed(() => this.model.client()?.currency ?? 'USD');

  /** Where the row that is being edited stands, for the strip below it. */
  protected readonly editedIndex = computed(() => {
    const draft = this.draft();
    return draft === null ? -1 : this.rows().findIndex((row) => rowIdOf(row) === draft.id);
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

  protected readonly hint = computed(() => {
    const draft = this.typed() ?? this.draft();
    if (draft === null) return null;
    const { name, sentence } = KINDS[draft.kind];
    const room = roomWords(draft, this.model.chart());
    const inferred = draft.inferred === null ? '' : `Kind ${reasonWords(draft.inferred)}. `;
    const moves = this.movesWords(draft);
    const notes = inferred + moves + room;
    return { title: `${name} — ${landingWords(draft.kind)}`, sentence, room: notes };
  });

  /** What another kind moves, told before it is kept. */
  private movesWords({ id, kind }: Draft): string {
    const node = nodeOf(this.model.base(), id);
    if (node === undefined || node.account.kind === kind) return '';
    if (!hasPostings(this.model.base(), node)) return '';
    const amount = formatAmount(this.model.ownAmountOf(node), {
      currency: this.currency(),
      zero: '0.00',
    });
    return `${amount} of this period moves from ${landingWords(node.account.kind)}, and its whole history with it. `;
  }

  protected readonly refusalText = computed(() => {
    const refusal = this.refusal();
    if (refusal === null) return '';
    return refusalWords(refusal, this.model.chart(), this.model.base());
  });

  constructor() {
    const destroyed = inject(DestroyRef);
    effect(() => {
      const id = this.model.cursor();
      this.model.filter();
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
        const id = this.model.cursor();
        if (first && id !== null) this.bringIntoSight(id);
      });
      observer.observe(this.viewport().elementRef.nativeElement);
      destroyed.onDestroy(() => observer.disconnect());
      this.focus();
    });
  }

  /** Puts the keyboard on the tree. */
  focus(): void {
    this.viewport().elementRef.nativeElement.focus({ preventScroll: true });
  }

  protected trackRow = (_index: number, row: ListedRow): string => rowIdOf(row);

  protected elementTotal(element: Element): string {
    const total = this.model
      .chart()
      .roots.filter(({ account }) => KINDS[account.kind].element === element)
      .reduce((sum, node) => sum + this.model.amountOf(node), 0);
    return formatAmount(total, { currency: this.currency(), zero: '–' });
  }

  /** A click chooses: with Ctrl this row too, with Shift all from the cursor to it. */
  protected click({ ctrlKey, metaKey, shiftKey }: MouseEvent, id: AccountId): void {
    if (ctrlKey || metaKey) this.model.toggleMark(id);
    else if (shiftKey) this.markUpTo(id);
    else this.model.marks.set(new Set());
    this.select(id);
  }

  private markUpTo(id: AccountId): void {
    const ids = this.accountIds();
    const ends = [ids.indexOf(this.model.cursor() ?? id), ids.indexOf(id)];
    this.model.marks.set(new Set(ids.slice(Math.min(...ends), Math.max(...ends) + 1)));
  }

  protected select(id: AccountId): void {
    // The click that ends a drag must not wipe out what the drop was refused for.
    if (this.model.cursor() !== id) {
      this.refusal.set(null);
      this.said.set('');
    }
    this.model.cursor.set(id);
  }

  protected toggle(row: AccountRow): void {
    this.model.setOpen(row.node.account.id, !row.open);
    this.focus();
  }

  /** How a row shows that something would be dropped on it, or before or after it. */
  protected dropClass(index: number): string {
    const place = this.dropPlace();
    return place?.index === index ? `drop-${place.at}` : '';
  }

  protected startEdit(): void {
    const id = this.model.cursor();
    const draft = id === null ? null : draftOf(this.model.chart(), id);
    if (draft !== null) this.open(draft);
  }

  protected noteTyped(draft: Draft): void {
    this.typed.set(draft);
    this.refusal.set(null);
  }

  protected accept(draft: Draft): void {
    const refusal = this.model.propose(draftOperations(this.model.chart(), draft));
    this.refusal.set(refusal);
    if (refusal !== null) return;
    this.leaveEdit();
    this.model.goTo(draft.id);
  }

  protected leaveEdit(): void {
    this.draft.set(null);
    this.typed.set(null);
    this.refusal.set(null);
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
    this.refusal.set(null);
    this.said.set('');
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
        return this.startEdit();
      case 'add':
        return this.add(action.as);
      case 'move':
        return this.move(action.direction);
      case 'remove':
        return this.remove();
      case 'duplicate':
        return this.duplicate();
      case 'mark':
        return this.mark(action.rows);
      case 'letGo':
        return this.model.marks.set(new Set());
      default:
        this.action.emit(action);
    }
  }

  private add(as: 'sibling' | 'child' | 'main'): void {
    const id = this.model.cursor();
    if (id !== null && as === 'child') this.model.setOpen(id, true);
    this.model.filter.set('');
    const plan = id === null || as === 'main' ? this.mainPlan() : this.planBeside(id, as);
    if (plan !== null) this.open(newDraft(plan, crypto.randomUUID()));
  }

  private mainPlan(): AddPlan {
    const selected = this.model.selected();
    return planMain(this.model.chart(), selected ? KINDS[selected.kind].element : 'asset');
  }

  private planBeside(id: AccountId, as: 'sibling' | 'child'): AddPlan | null {
    const chart = this.model.chart();
    return as === 'child' ? planChild(chart, id) : planSibling(chart, id);
  }

  private open(draft: Draft): void {
    this.typed.set(null);
    this.draft.set(draft);
    afterNextRender(
      () => {
        if (this.editedIndex() >= 0) this.scrollTo(this.editedIndex(), 3);
      },
      { injector: this.injector },
    );
  }

  private propose(operations: readonly Operation[]): void {
    this.refusal.set(this.model.propose(operations));
  }

  private move(direction: Direction): void {
    const id = this.model.cursor();
    if (id === null) return;
    this.propose(planStep(this.model.chart(), id, direction) ?? []);
    this.model.goTo(id);
  }

  private remove(): void {
    const id = this.model.cursor();
    if (id === null) return;
    const next = this.neighbourOf(id);
    const on = today();
    // From the last to the first: what stands below goes before what it stands under.
    const plan = planEach(this.model.chart(), [...this.model.chosen()].reverse(), (chart, one) => [
      planRemoval(chart, one, on),
    ]);
    if (!plan.ok) return this.refusal.set(plan.refusal);
    this.propose(plan.operations);
    if (this.refusal() === null && next !== null && !hasAccount(this.model.chart(), id))
      this.model.cursor.set(next);
  }

  private duplicate(): void {
    const id = this.model.cursor();
    if (id === null) return;
    const plan = planDuplicate(this.model.chart(), id, () => crypto.randomUUID());
    if (!plan.ok) return this.refusal.set(plan.refusal);
    this.propose(plan.operations);
    const [copy] = plan.operations.flatMap((operation) =>
      operation.type === 'addAccount' ? operation.account.id : [],
    );
    if (this.refusal() === null && copy !== undefined) this.model.goTo(copy);
  }

  /** Chooses the row at the cursor, and goes on. */
  private mark(rows: number): void {
    const id = this.model.cursor();
    if (id === null) return;
    this.model.toggleMark(id);
    this.step(rows);
  }

  private neighbourOf(id: AccountId): AccountId | null {
    if (this.model.chart().posted.has(id)) return id;
    const ids = this.accountIds();
    const index = ids.indexOf(id);
    return ids[index + 1] ?? ids[index - 1] ?? null;
  }

  private accountIds(): readonly AccountId[] {
    return this.rows().flatMap((row) => (row.type === 'account' ? row.node.account.id : []));
  }

  private step(count: number): void {
    const ids = this.accountIds();
    const at = ids.indexOf(this.model.cursor() ?? '');
    const next = ids[Math.min(Math.max(at + count, 0), ids.length - 1)];
    if (next !== undefined) this.model.cursor.set(next);
  }

  private toEdge(last: boolean): void {
    const ids = this.accountIds();
    const edge = last ? ids.at(-1) : ids[0];
    if (edge !== undefined) this.model.cursor.set(edge);
  }

  private cursorRow() {
    return this.rows().find((row) => rowIdOf(row) === this.model.cursor());
  }

  private openOrEnter(): void {
    const row = this.cursorRow();
    if (row?.type !== 'account' || row.node.children.length === 0) return;
    if (row.open) this.step(1);
    else this.model.setOpen(row.node.account.id, true);
  }

  private closeOrLeave(): void {
    const row = this.cursorRow();
    if (row?.type !== 'account') return;
    if (row.open) return this.model.setOpen(row.node.account.id, false);
    const rows = this.rows();
    const parent = rows
      .slice(0, rows.indexOf(row))
      .findLast((above) => above.type === 'account' && above.level < row.level);
    if (parent?.type === 'account') this.model.cursor.set(parent.node.account.id);
  }

  protected dragged({ pointerPosition }: CdkDragMove, id: AccountId): void {
    const { nativeElement } = this.viewport().elementRef;
    const y =
      pointerPosition.y - nativeElement.getBoundingClientRect().top + nativeElement.scrollTop;
    this.dropPlace.set(dropTarget(this.model.chart(), this.model.rows(), y / ROW_HEIGHT, id));
  }

  protected dropped({ source }: CdkDragEnd, id: AccountId): void {
    source.reset();
    const place = this.dropPlace();
    this.dropPlace.set(null);
    this.model.cursor.set(id);
    if (place === null) return;
    this.drop(place.target, id);
    this.model.goTo(id);
    this.focus();
  }

  /** Drops the dragged row, and with it all that are chosen when it is one of them, one after the other. */
  private drop({ parentId, afterId }: MoveTarget, id: AccountId): void {
    const chart = this.model.chart();
    const together = this.model.marks().has(id) ? headsOf(chart, this.model.chosen()) : [id];
    let after = afterId;
    const plan = planEach(chart, together, (now, one) => {
      const target = after === undefined ? { parentId } : { parentId, afterId: after };
      if (after !== undefined) after = one;
      return planMoveUnder(now, one, target);
    });
    if (!plan.ok) return this.refusal.set(plan.refusal);
    const said = crossingWords(chart, plan.operations);
    this.propose(plan.operations);
    if (this.refusal() === null) this.said.set(said);
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
    const offset = viewport.measureScrollOffset();
    const height = viewport.getViewportSize();
    const bottom = top + ROW_HEIGHT * (1 + roomBelow);
    const far = top < offset - 2 * ROW_HEIGHT || bottom > offset + height + 2 * ROW_HEIGHT;
    if (far) viewport.scrollToOffset(Math.max(top - height / 2, 0));
    else if (top < offset) viewport.scrollToOffset(Math.max(top - ROW_HEIGHT, 0));
    else if (bottom > offset + height) viewport.scrollToOffset(bottom - height);
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
