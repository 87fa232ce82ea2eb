import { NgTemplateOutlet } from '@angular/common';
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
  signal,
  viewChild,
} from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import {
  addMonths,
  findingKey,
  formatAmount,
  formatTenths,
  lastDayOf,
  monthOf,
  type AccountId,
  type CalendarDate,
  type Minor,
} from '@iunctus/core';
import { FocusFirstDirective } from '../../shared/components/focus-first.directive';
import { MovedTotalsComponent } from '../../shared/components/moved-totals.component';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';
import { ReadingNoteComponent } from '../../shared/components/reading-note.component';
import { takeKeyboard } from '../../shared/components/take-keyboard';
import { onUndoKey } from '../../shared/components/undo-keys';
import { WhenFieldComponent } from '../../shared/components/when-field.component';
import { today } from '../../shared/dates/today';
import { writtenWhen } from '../../shared/words/period-words';
import { ChartView } from '../../workspace/model/chart-view';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { Undoing } from '../../workspace/model/undoing';
import { FindingsEngine } from '../../workspace/model/findings-engine';
import type { TidyRow } from '../model/finding-rows';
import { TidyBoard } from '../model/tidy-board';

const ROW_HEIGHT = 50;

/** What is being asked about the finding at the cursor. */
type Asking = 'later' | 'aside' | 'all' | null;

/** What is untidy about a chart, what it costs on the statements, and what puts it right, one after the other by keyboard. */
@Component({
  selector: 'iu-tidy-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    CdkFixedSizeVirtualScroll,
    CdkVirtualForOf,
    CdkVirtualScrollViewport,
    FocusFirstDirective,
    MovedTotalsComponent,
    NgTemplateOutlet,
    ProblemNoteComponent,
    ReadingNoteComponent,
    RouterLink,
    WhenFieldComponent,
  ],
  providers: [FindingsEngine, TidyBoard],
  templateUrl: './tidy.page.html',
  styleUrl: './tidy.page.css',
  host: { '(document:keydown)': 'onUndo($event)' },
})
export class TidyPage {
  protected readonly board = inject(TidyBoard);
  protected readonly engine = inject(FindingsEngine);
  protected readonly proposed = inject(ProposedChart);
  private readonly undoing = inject(Undoing);
  private readonly view = inject(ChartView);
  private readonly router = inject(Router);
  private readonly injector = inject(Injector);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  private readonly viewport = viewChild(CdkVirtualScrollViewport);
  readonly clientId = input.required<string>();

  protected readonly rowHeight = ROW_HEIGHT;
  protected readonly currency = computed(() => this.proposed.client()?.currency ?? 'USD');
  protected readonly score = computed(() => this.engine.result()?.score ?? null);
  /** The way whose effect is looked at. */
  protected readonly looked = linkedSignal<string | null, number>({
    source: this.board.currentKey,
    computation: () => 0,
  });
  protected readonly asking = linkedSignal<string | null, Asking>({
    source: this.board.currentKey,
    computation: () => null,
  });
  protected readonly until = signal<CalendarDate>(lastDayOf(addMonths(monthOf(today()), 1)));
  protected readonly reason = signal('');
  protected readonly struck = signal<ReadonlySet<string>>(new Set());
  protected readonly sameRule = computed(() => this.board.sameRule());
  protected readonly impact = computed(() => {
    const [finding, tried] = [this.board.current(), this.engine.result()?.tried ?? null];
    if (finding === null || tried === null) return null;
    const isThis = tried.trial.key === findingKey(finding) && tried.trial.fix === this.looked();
    return isThis ? tried.impact : null;
  });

  constructor() {
    effect(() => {
      const finding = this.board.current();
      const has = finding !== null && finding.fixes[this.looked()] !== undefined;
      this.engine.trial.set(has ? { key: findingKey(finding), fix: this.looked() } : null);
    });
    effect(() => {
      const at = this.board.cursor();
      afterNextRender(() => this.bringIntoSight(at), { injector: this.injector });
    });
    afterNextRender(() => takeKeyboard(this.host, '[role=listbox]'));
  }

  protected trackRow = (_index: number, { key }: TidyRow): string => key;
  protected keyOf = findingKey;

  protected amount(amount: Minor): string {
    return formatAmount(amount, { currency: this.currency() });
  }

  protected parts(tenths: number): string {
    return formatTenths(tenths, 'sign');
  }

  protected day(date: CalendarDate): string {
    return writtenWhen(date, this.proposed.dateOrder());
  }

  protected pick(index: number): void {
    this.board.goTo(index);
    if (this.board.fold() !== null) this.board.enter();
  }

  protected unfold(isOpen: boolean): void {
    this.board.unfold(isOpen);
    this.focus();
  }

  protected look(at: number): void {
    this.looked.set(at);
  }

  protected apply(at: number): void {
    this.board.apply(at);
    this.focus();
  }

  protected ask(what: Asking): void {
    this.reason.set('');
    this.struck.set(new Set());
    this.asking.set(what);
  }

  protected leave(): void {
    this.asking.set(null);
    this.focus();
  }

  protected strike(key: string): void {
    this.struck.update((before) => {
      const struck = new Set(before);
      if (!struck.delete(key)) struck.add(key);
      return struck;
    });
  }

  protected async putOff(event: Event): Promise<void> {
    event.preventDefault();
    await this.board.putAside(this.until(), '');
    this.leave();
  }

  protected async setAside(event: Event): Promise<void> {
    event.preventDefault();
    await this.board.putAside(null, this.reason());
    this.leave();
  }

  protected applyAll(event: Event): void {
    event.preventDefault();
    const struck = this.struck();
    this.board.applyAll(this.sameRule().filter((one) => !struck.has(findingKey(one))));
    this.leave();
  }

  protected async learnWord(): Promise<void> {
    await this.board.learnWord();
    this.focus();
  }

  protected async bringBack(): Promise<void> {
    await this.board.bringBack();
    this.focus();
  }

  protected goToChart(id: AccountId): void {
    this.view.goTo(id);
    void this.router.navigate(['/clients', this.clientId(), 'chart']);
  }

  private readonly does: Readonly<Record<string, () => void>> = {
    ArrowDown: () => this.board.step(1),
    ArrowUp: () => this.board.step(-1),
    Home: () => this.board.toEdge(1),
    End: () => this.board.toEdge(-1),
    ArrowRight: () => this.board.unfold(true),
    ArrowLeft: () => this.board.unfold(false),
    Enter: () => this.board.enter(),
    a: () => this.ask(this.sameRule().length > 1 ? 'all' : null),
    l: () => this.ask(this.board.current() === null ? null : 'later'),
    x: () => this.ask(this.board.current() === null ? null : 'aside'),
    c: () => {
      const id = this.board.current()?.accountIds[0];
      if (id !== undefined) this.goToChart(id);
    },
  };

  protected onKey(event: KeyboardEvent): void {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const number = /^[1-9]$/.test(event.key) ? Number(event.key) : null;
    const does = this.does[event.key];
    if (number === null && does === undefined) return;
    event.preventDefault();
    this.board.notice.set('');
    if (number === null) does?.();
    else this.board.apply(number - 1);
  }

  /** Undo and redo; Escape leaves what is asked. */
  protected onUndo(event: KeyboardEvent): void {
    if (event.key === 'Escape' && this.asking() !== null) return this.leave();
    if (this.board.mayChange()) onUndoKey(event, this.undoing);
  }

  private focus(): void {
    this.viewport()?.elementRef.nativeElement.focus();
  }

  private bringIntoSight(index: number): void {
    const viewport = this.viewport();
    if (viewport === undefined) return;
    const [top, height] = [viewport.measureScrollOffset(), viewport.getViewportSize()];
    const y = index * ROW_HEIGHT;
    if (height === 0 || (y >= top && y + ROW_HEIGHT <= top + height)) return;
    viewport.scrollToOffset(y < top ? Math.max(y - ROW_HEIGHT, 0) : y + ROW_HEIGHT - height);
  }
}
