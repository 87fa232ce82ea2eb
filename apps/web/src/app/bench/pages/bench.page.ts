import { OneOfComponent, type OneOf } from '../../shared/components/one-of.component';
import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  type ElementRef,
  inject,
  Injector,
  input,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import { ActivatedRoute, Router, RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import {
  firstDayOf,
  lastDayOf,
  statementOf,
  type AccountId,
  type RowKey,
  type ShownCode,
  type StatementCode,
} from '@iunctus/core';
import { FocusFirstDirective } from '../../shared/components/focus-first.directive';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';
import { otherSheets, statementChoices } from '../../shared/words/statement-words';
import { AccountSheetComponent } from '../components/account-sheet.component';
import {
  ChartTreeComponent,
  ROW_HEIGHT,
  type RowsInSight,
} from '../components/chart-tree.component';
import { FootBarComponent } from '../components/foot-bar.component';
import { KeysSheetComponent } from '../components/keys-sheet.component';
import { ManySheetComponent } from '../components/many-sheet.component';
import { MergeSheetComponent } from '../components/merge-sheet.component';
import { MoreSheetsComponent } from '../components/more-sheets.component';
import { MoveSheetComponent } from '../components/move-sheet.component';
import { SplitSheetComponent } from '../components/split-sheet.component';
import { DimensionsSheetComponent } from '../components/dimensions-sheet.component';
import { ReviewSheetComponent } from '../components/review-sheet.component';
import { SEAM_WIDTH, SeamComponent } from '../components/seam.component';
import {
  STATEMENT_ROW_HEIGHT,
  StatementSheetComponent,
  type StatementInSight,
} from '../components/statement-sheet.component';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { ChartView } from '../../workspace/model/chart-view';
import { Joins } from '../../workspace/model/joins';
import { StatementEngine } from '../../workspace/model/statement-engine';
import { rowIdOf } from '../model/listed-rows';
import { RowFindings } from '../model/row-findings';
import { seamCurves, type ChartEnd } from '../model/seam-curves';
import { Commands } from '../../workspace/model/commands';
import { Undoing } from '../../workspace/model/undoing';
import { Sheets, type SheetName } from '../../workspace/model/sheets';
import type { TreeAction } from '../../workspace/model/tree-action';
import { WorkspaceActions } from '../../workspace/state/workspace.actions';
import { workspaceFeature } from '../../workspace/state/workspace.feature';

const DEPTHS: readonly OneOf<number>[] = [
  { value: 1, words: '1' },
  { value: 2, words: '2' },
  { value: 3, words: '3' },
  { value: Infinity, words: $localize`All` },
];
type Side = 'chart' | 'statement';
const SIDES: readonly OneOf<Side>[] = [
  { value: 'chart', words: $localize`Chart` },
  { value: 'statement', words: $localize`Statement` },
];
/** Top of the chart's rows within the seam: the head of the pane and its rule. */
const ROWS_TOP = 45;

/** The sheets that are about the account at the cursor. */
const NEED_AN_ACCOUNT: readonly SheetName[] = ['account', 'move', 'merge', 'split'];

/** The main screen: chart, seam, statement, and the proposal at the foot. */
@Component({
  selector: 'iu-bench-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    OneOfComponent,
    AccountSheetComponent,
    ChartTreeComponent,
    FocusFirstDirective,
    FootBarComponent,
    KeysSheetComponent,
    ManySheetComponent,
    DimensionsSheetComponent,
    MergeSheetComponent,
    MoreSheetsComponent,
    SplitSheetComponent,
    MoveSheetComponent,
    ProblemNoteComponent,
    ReviewSheetComponent,
    RouterLink,
    SeamComponent,
    StatementSheetComponent,
  ],
  providers: [RowFindings],
  templateUrl: './bench.page.html',
  styleUrl: './bench.page.css',
  host: { '(window:keydown)': 'onKey($event)' },
})
export class BenchPage {
  protected readonly proposed = inject(ProposedChart);
  protected readonly view = inject(ChartView);
  private readonly joins = inject(Joins);
  private readonly engine = inject(StatementEngine);
  protected readonly sheets = inject(Sheets);
  private readonly commands = inject(Commands);
  private readonly undoing = inject(Undoing);
  private readonly store = inject(Store);
  private readonly injector = inject(Injector);
  private readonly router = inject(Router);
  private readonly route = inject(ActivatedRoute);
  /** The account on which the cursor is put first, from the address. */
  readonly account = input<string>();
  private readonly tree = viewChild(ChartTreeComponent);
  private readonly statementSheet = viewChild(StatementSheetComponent);
  private readonly filterField = viewChild<ElementRef<HTMLInputElement>>('filterField');

  protected readonly load = this.store.selectSignal(workspaceFeature.selectLoad);
  protected readonly waiting = this.store.selectSignal(workspaceFeature.selectWaiting);
  protected readonly client = this.store.selectSignal(workspaceFeature.selectClient);
  protected readonly statements = computed(statementChoices);
  /** The sheets that are seldom wanted beside the chart. */
  protected readonly others = computed(otherSheets);
  protected readonly depths = DEPTHS;
  protected readonly shown = this.engine.shown;
  protected readonly sides = SIDES;
  /** Where there is room for one side alone, which it is. */
  protected readonly shownSide = signal<Side>('chart');
  private readonly rowsInSight = signal<RowsInSight>({ scrolled: 0, height: 0 });
  private readonly linesInSight = signal<StatementInSight>({ top: 0, height: 0, scrolled: 0 });

  protected readonly curves = computed(() => {
    const { height, scrolled, top } = this.linesInSight();
    const rows = this.engine.statement().rows;
    return seamCurves(
      this.chartEnds(),
      {
        indexOf: new Map(rows.map((row, index) => [row.key, index])),
        rowHeight: STATEMENT_ROW_HEIGHT,
        top: top,
        height,
        scrolled,
      },
      SEAM_WIDTH,
    );
  });

  private readonly chartEnds = computed<readonly ChartEnd[]>(() => {
    const { scrolled, height } = this.rowsInSight();
    const first = Math.max(Math.floor(scrolled / ROW_HEIGHT), 0);
    const rows = this.view.rows().slice(first, Math.ceil((scrolled + height) / ROW_HEIGHT));
    return rows.flatMap((row, index) => {
      if (row.type !== 'account') return [];
      const id = row.node.account.id;
      const selected = this.view.cursor() === id;
      if (row.open && !selected && row.node.account.role === 'heading') return [];
      const y = ROWS_TOP + (first + index + 0.5) * ROW_HEIGHT - scrolled;
      if (y < ROWS_TOP || y > ROWS_TOP + height) return [];
      const landing = this.joins.landingOf(id);
      const changed = this.proposed.changeOf(id) !== null;
      return { key: rowIdOf(row), y, landing, selected, changed };
    });
  });

  private readonly period = this.store.selectSignal(workspaceFeature.selectPeriod);

  /** The statement on which the account at the cursor lands; `null` where it lands on none. */
  private readonly ownStatement = computed(() => {
    const kind = this.view.selected()?.kind;
    return kind === undefined ? null : statementOf(kind);
  });

  constructor() {
    effect(() => {
      const id = this.account();
      if (id === undefined || !this.proposed.ready()) return;
      untracked(() => this.view.goTo(id));
    });
    // The statement follows the cursor over the line between the two; a choice by hand holds until then,
    // and one of the other sheets until one of the two is chosen again.
    effect(() => {
      const own = this.ownStatement();
      if (own !== null) untracked(() => this.follow(own));
    });
    effect(() => {
      const [asked, tree] = [this.commands.asked(), this.tree()];
      if (asked === null || tree === undefined) return;
      this.commands.asked.set(null);
      queueMicrotask(() => (asked === 'focus' ? tree.focus() : tree.run(asked)));
    });
    effect(() => {
      if (this.sheets.open() === null) queueMicrotask(() => this.focusTree());
    });
  }

  private follow(own: StatementCode): void {
    const { code } = this.shown();
    if (code === 'profitAndLoss' || code === 'balanceSheet') this.showStatement(own);
  }

  protected showStatement(code: ShownCode): void {
    this.shown.update((shown) => ({ ...shown, code }));
    this.joins.litRow.set(null);
  }

  protected toggleZeroLines(): void {
    this.shown.update((shown) => ({ ...shown, zeroLines: !shown.zeroLines }));
  }

  protected toggleProposed(): void {
    this.shown.update((shown) => ({ ...shown, proposed: !shown.proposed }));
  }

  protected takeRows(rows: RowsInSight): void {
    this.rowsInSight.set(rows);
  }

  protected takeLines(lines: StatementInSight): void {
    this.linesInSight.set(lines);
  }

  protected act(action: TreeAction): void {
    switch (action.type) {
      case 'sheet':
        return this.openSheet(this.sheetFor(action.sheet));
      case 'filter':
        return this.filterField()?.nativeElement.focus();
      case 'statement':
        return this.showStatement(this.otherStatement());
      case 'otherSheet':
        return this.showStatement(this.nextSheet());
      case 'toStatement':
        return this.focusStatement();
      case 'outline':
        return void this.router.navigate(['../outline'], { relativeTo: this.route });
      case 'register':
        return this.openRegister(this.view.cursor());
      case 'depth':
        return this.view.showDepth(action.depth);
      default:
    }
  }

  /** Shows the lines of an account or of a statement’s row, in the period that is shown. */
  protected openRegister(of: AccountId | RowKey | null): void {
    const period = this.period();
    if (of === null || period === null) return;
    const [first, last] = [firstDayOf(period.first), lastDayOf(period.last)];
    void this.router.navigate(['../ledger/register'], {
      relativeTo: this.route,
      queryParams: { of, first, last },
    });
  }

  protected addFirst(): void {
    this.tree()?.run({ type: 'add', as: 'main' });
  }

  protected filterBy(typed: Event): void {
    this.view.filter.set((typed.target as HTMLInputElement).value);
  }

  protected leaveFilter(clear: boolean): void {
    if (clear) this.clearFilter();
    this.focusTree();
  }

  /** At once: a letter that is typed next must not meet the old text. */
  private clearFilter(): void {
    this.view.filter.set('');
    const field = this.filterField()?.nativeElement;
    if (field !== undefined) field.value = '';
  }

  protected adopt(): void {
    this.store.dispatch(WorkspaceActions.adoptRequested());
  }

  protected onKey(event: KeyboardEvent): void {
    const control = event.ctrlKey || event.metaKey;
    const key = event.key.toLowerCase();
    const typing = event.target instanceof HTMLElement && event.target.matches('input, textarea');
    if (key === 'escape' && this.sheets.open() !== null)
      this.handle(event, () => this.sheets.close());
    else if (control && key === 'enter') this.handle(event, () => this.adoptIfAny());
    else if (control && key === 'z' && !typing) this.handle(event, () => this.undoOrRedo(event));
    else if (!control && !typing && key === 'r') this.handle(event, () => this.openSheet('review'));
  }

  private handle(event: KeyboardEvent, work: () => void): void {
    event.preventDefault();
    work();
  }

  private adoptIfAny(): void {
    if (this.proposed.steps().length > 0) this.adopt();
  }

  private undoOrRedo({ shiftKey }: KeyboardEvent): void {
    if (shiftKey) this.undoing.redo();
    else this.undoing.undo();
  }

  /** What is asked about the account at the cursor is asked about all that are chosen. */
  private sheetFor(name: SheetName): SheetName {
    const together = name === 'account' || name === 'merge';
    return together && this.view.marks().size > 0 ? 'many' : name;
  }

  private openSheet(name: SheetName): void {
    const needsAccount = NEED_AN_ACCOUNT.includes(name);
    if (!needsAccount || this.view.cursor() !== null) this.sheets.show(name);
  }

  private nextSheet(): ShownCode {
    const codes = this.others().map(({ value }) => value);
    return codes[(codes.indexOf(this.shown().code) + 1) % codes.length] ?? this.shown().code;
  }

  /** The statement on which the account at the cursor lands, when the other one is shown; else the other one. */
  private otherStatement(): StatementCode {
    const { code } = this.shown();
    const own = this.ownStatement();
    if (own !== null && own !== code) return own;
    return code === 'profitAndLoss' ? 'balanceSheet' : 'profitAndLoss';
  }

  protected focusTree(): void {
    this.showSide('chart', () => this.tree()?.focus());
  }

  protected focusStatement(): void {
    this.showSide('statement', () => this.statementSheet()?.focus());
  }

  /** Where there is room for one side alone, it is drawn before it takes the keyboard. */
  private showSide(side: Side, focus: () => void): void {
    if (this.shownSide() === side) return focus();
    this.shownSide.set(side);
    afterNextRender(focus, { injector: this.injector });
  }
}
