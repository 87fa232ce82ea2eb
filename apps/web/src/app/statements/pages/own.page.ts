import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import { ActivatedRoute, Router } from '@angular/router';
import {
  accountOf,
  DEPTH_CODES,
  depthOfCode,
  isLeaf,
  layoutOf,
  nextRowId,
  OWN_LIMITS,
  ownKey,
  ownLineWords,
  ownPlaces,
  ownRowOf,
  sectionOf,
  type AccountId,
  type DepthCode,
  type OwnFault,
  type OwnGesture,
  type OwnRow,
  type OwnRowId,
  type RowKey,
  type SectionCode,
  type ShownSide,
} from '@iunctus/core';
import { FocusFirstDirective } from '../../shared/components/focus-first.directive';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';
import { ReadingNoteComponent } from '../../shared/components/reading-note.component';
import { onUndoKey } from '../../shared/components/undo-keys';
import {
  columnsFullWords,
  faultWords,
  ownRowName,
  rowsFullWords,
} from '../../shared/words/layout-words';
import { endOfPeriod, longPeriod } from '../../shared/words/period-words';
import { Rights } from '../../session/state/rights';
import { ChartView } from '../../workspace/model/chart-view';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { AgreementChipComponent } from '../components/agreement-chip.component';
import { ColumnStripComponent } from '../components/column-strip.component';
import { RowStripComponent } from '../components/row-strip.component';
import { StatementBarComponent } from '../components/statement-bar.component';
import {
  LAYOUT_KEYS,
  StatementTableComponent,
  type LineDoes,
  type LineGesture,
} from '../components/statement-table.component';
import { ClientLayouts } from '../model/client-layouts';
import { ColumnsShown } from '../model/columns-shown';
import { LayoutDesk } from '../model/layout-desk';
import { LineOpenings } from '../model/line-openings';
import { statementFiles } from '../model/statement-files';
import { TableEngine } from '../model/table-engine';
import { terms } from '../../shared/words/terms';

/** Faults that are shown at once; the others follow as these are mended. */
const FAULTS_SHOWN = 5;

/** A statement as its client wants it, edited on itself: rows, groups, sums, ratios, text, pages, columns. */
@Component({
  selector: 'iu-own-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    AgreementChipComponent,
    ColumnStripComponent,
    FocusFirstDirective,
    ProblemNoteComponent,
    ReadingNoteComponent,
    RowStripComponent,
    StatementBarComponent,
    StatementTableComponent,
  ],
  providers: [LayoutDesk, TableEngine],
  templateUrl: './own.page.html',
  styleUrls: ['./statement-page.css', './own.page.css'],
  host: { '(document:keydown)': 'onKey($event)' },
})
export class OwnPage {
  protected readonly desk = inject(LayoutDesk);
  protected readonly engine = inject(TableEngine);
  protected readonly layouts = inject(ClientLayouts);
  protected readonly proposed = inject(ProposedChart);
  private readonly rights = inject(Rights);
  private readonly view = inject(ChartView);
  private readonly openings = inject(LineOpenings);
  private readonly router = inject(Router);
  private readonly route = inject(ActivatedRoute);
  private readonly lines = viewChild(StatementTableComponent);
  readonly clientId = input.required<string>();
  readonly layoutId = input.required<string>();
  readonly depth = input<string>();
  readonly zero = input<string>();
  readonly as = input<string>();

  protected readonly keys = LAYOUT_KEYS;
  protected readonly nameLimit = OWN_LIMITS.name;
  protected readonly depthCode = computed<DepthCode>(
    () => DEPTH_CODES.find((code) => code === this.depth()) ?? '1',
  );
  protected readonly zeroLines = computed(() => this.zero() === '1');
  protected readonly asProposed = computed(() => this.as() !== 'adopted');
  protected readonly chart = computed(() =>
    this.asProposed() ? this.proposed.chart() : this.proposed.base(),
  );
  private readonly statement = computed(() => this.desk.layout()?.statement ?? 'profitAndLoss');
  protected readonly statementName = computed(() => terms().sheets[this.statement()]);
  protected readonly mayChange = computed(() => this.rights.may('change') && !this.desk.partly());
  protected readonly columnsShown = new ColumnsShown({
    text: () => this.desk.layout()?.columns ?? 'plain',
    sheet: () => this.statement(),
    chart: () => this.chart(),
    context: () => this.engine.context(),
    show: (columns) => this.desk.set({ columns }),
  });
  protected readonly places = computed(() => {
    const layout = this.desk.layout();
    return layout === null
      ? { rowsOf: new Map(), named: new Map(), faults: [] }
      : ownPlaces(this.chart(), layout);
  });
  protected readonly faults = computed<readonly OwnFault[]>(() => this.places().faults);
  protected readonly shownFaults = computed(() => this.faults().slice(0, FAULTS_SHOWN));
  protected readonly result = computed(() => {
    const result = this.engine.result();
    return result?.table.sheet === this.statement() ? result : null;
  });
  protected readonly subtitle = computed(() => {
    const period = this.engine.context()?.main;
    if (period === undefined) return '';
    const day = $localize`At ${endOfPeriod(period)}`;
    return this.statement() === 'balanceSheet' ? day : longPeriod(period);
  });

  private readonly open = signal<ReadonlyMap<RowKey, boolean>>(new Map());
  /** The key of the row at the cursor. */
  protected readonly at = signal<RowKey | null>(null);
  private readonly changing = signal<OwnRowId | null>(null);
  /** The row that is being changed. */
  protected readonly row = computed<OwnRow | null>(() => this.rowOf(this.changing()));
  protected readonly notice = signal('');
  protected readonly dropping = signal(false);

  /** What is printed and written is as adopted, and as it is kept. */
  protected readonly files = computed(() => {
    const period = this.engine.context()?.main;
    if (period === undefined) return null;
    return statementFiles(this.clientId(), {
      of: { layout: this.layoutId() },
      period,
      columns: this.columnsShown.text(),
      depth: this.depthCode(),
      zeroLines: this.zeroLines(),
      open: this.open(),
    });
  });

  constructor() {
    effect(() => {
      const id = this.layoutId();
      untracked(() => {
        this.desk.open(id);
        this.changing.set(null);
        this.open.set(new Map());
      });
    });
    effect(() => {
      const [layout, columns] = [this.desk.layout(), this.columnsShown.specs()];
      if (layout === null || columns.length === 0) return;
      this.engine.wish.set({
        sheet: layout.statement,
        columns,
        depth: depthOfCode(this.depthCode()),
        zeroLines: this.zeroLines(),
        open: [...this.open()],
        proposed: this.asProposed(),
        layout,
      });
    });
  }

  protected show(query: Readonly<Record<string, string | null>>): void {
    void this.router.navigate([], {
      relativeTo: this.route,
      queryParams: query,
      queryParamsHandling: 'merge',
      replaceUrl: true,
    });
  }

  protected showDepth(depth: DepthCode): void {
    this.open.set(new Map());
    this.show({ depth });
  }

  protected addColumn(): void {
    if (!this.columnsShown.add()) this.notice.set(columnsFullWords());
  }

  protected focus(): void {
    this.lines()?.focus();
  }

  protected onKey(event: KeyboardEvent): void {
    if (this.mayChange()) onUndoKey(event, this.desk);
  }

  protected wordsOf(fault: OwnFault): string {
    return faultWords(fault, {
      account: (id) => accountOf(this.chart(), id),
      row: (id) => this.nameOf(this.rowOf(id)),
    });
  }

  private rowOf(id: OwnRowId | null): OwnRow | null {
    return this.desk.layout()?.rows.find((row) => row.id === id) ?? null;
  }

  private nameOf(row: OwnRow | null): string {
    if (row === null) return '';
    return ownRowName(row, isLeaf(row) ? ownLineWords(this.chart(), row, this.places()) : '');
  }

  protected rename(field: HTMLInputElement): void {
    const name = field.value.trim();
    if (name === '') field.value = this.desk.layout()?.name ?? '';
    else if (name !== this.desk.layout()?.name) this.desk.set({ name });
  }

  protected act({ key, accountId, does }: LineGesture): void {
    this.notice.set('');
    switch (does) {
      case 'open':
      case 'close':
        this.open.update((open) => new Map(open).set(key, does === 'open'));
        return;
      case 'lines':
        return this.openings.register(accountId);
      case 'chart':
        return this.openings.chart(accountId, this.view);
      default:
        if (this.mayChange()) this.layOut(this.rowOf(ownRowOf(key)), does);
    }
  }

  private layOut(row: OwnRow | null, does: LineDoes): void {
    if (row === null) return;
    const { id } = row;
    switch (does) {
      case 'up':
      case 'down':
        return this.edit({ does: 'move', id, by: does === 'up' ? -1 : 1 });
      case 'outwards':
      case 'inwards':
        return this.edit({ does: 'indent', id, by: does === 'outwards' ? -1 : 1 });
      case 'change':
        return this.changing.set(id);
      case 'remove':
        return this.remove(id);
      case 'group':
        return this.group(row);
      case 'turnSign':
        if (!('shows' in row)) return;
        return this.change({ ...row, shows: row.shows === 'debit' ? 'credit' : 'debit' });
      case 'hideZero':
        if (!('hideZero' in row)) return;
        return this.change({ ...row, hideZero: !row.hideZero });
      default:
        this.insert(does, row);
    }
  }

  private edit(...gestures: readonly OwnGesture[]): void {
    this.desk.edit(...gestures);
  }

  /** A new row behind another, to be changed at once. */
  private insert(does: LineDoes, behind: OwnRow): void {
    const layout = this.desk.layout();
    if (layout === null) return;
    const row = this.newRow(does, { id: nextRowId(layout), behind });
    if (row === null) return;
    if (!this.desk.edit({ does: 'insert', behind: behind.id, row }))
      return this.notice.set(rowsFullWords());
    this.lines()?.goTo(ownKey(row.id));
    this.changing.set(row.type === 'pageBreak' ? null : row.id);
  }

  private newRow(
    does: LineDoes,
    { id, behind }: { readonly id: OwnRowId; readonly behind: OwnRow },
  ): OwnRow | null {
    const level = behind.type === 'heading' ? behind.level + 1 : behind.level;
    const worded = { id, level: Math.min(level, OWN_LIMITS.level), words: '' };
    const shows: ShownSide = 'shows' in behind ? behind.shows : 'debit';
    switch (does) {
      case 'addLine':
        return { type: 'line', ...worded, accounts: [], section: null, shows, hideZero: false };
      case 'addText':
        return { type: 'text', ...worded };
      case 'addSum': {
        const summable = isLeaf(behind) || behind.type === 'heading' || behind.type === 'sum';
        return { type: 'sum', ...worded, of: summable ? [behind.id] : [], shows, final: false };
      }
      case 'addRatio':
        if (!isLeaf(behind) && behind.type !== 'sum') return null;
        return { type: 'ratio', ...worded, of: behind.id, to: this.whole() ?? behind.id };
      case 'addPage':
        return { type: 'pageBreak', id, level: 0 };
      default:
        return null;
    }
  }

  /** What ratios are usually parts of: the first sum. */
  private whole(): OwnRowId | undefined {
    return this.desk.layout()?.rows.find((row) => row.type === 'sum')?.id;
  }

  private group(row: OwnRow): void {
    const layout = this.desk.layout();
    if (layout === null) return;
    const heading = nextRowId(layout);
    this.edit({ does: 'group', id: row.id, words: this.nameOf(row) });
    if (this.rowOf(heading) !== null) this.changing.set(heading);
  }

  protected change(row: OwnRow): void {
    this.edit({ does: 'change', row });
  }

  protected pick(id: OwnRowId, accountId: AccountId): void {
    this.edit({ does: 'pick', id, accountId });
  }

  protected remove(id: OwnRowId): void {
    this.changing.set(null);
    this.edit({ does: 'remove', id });
    this.focus();
  }

  protected leaveRow(): void {
    this.changing.set(null);
    this.focus();
  }

  private showsIn(section: SectionCode | null): ShownSide {
    const part = layoutOf(this.statement()).find(
      (one) => one.type === 'section' && one.code === section,
    );
    return part?.type === 'section' ? part.shows : 'debit';
  }

  /** The row behind which something is put: that at the cursor, or the last. */
  private behind(): OwnRow | null {
    return this.rowOf(ownRowOf(this.at() ?? '')) ?? this.desk.layout()?.rows.at(-1) ?? null;
  }

  /** Puts an account that is missing behind the row at the cursor. */
  protected putHere(accountId: AccountId): void {
    const [layout, behind] = [this.desk.layout(), this.behind()];
    const account = accountOf(this.chart(), accountId);
    if (layout === null || account === undefined) return;
    const section = sectionOf(account.kind);
    const level = behind === null ? 0 : behind.level + (behind.type === 'heading' ? 1 : 0);
    const row: OwnRow = {
      type: 'line',
      id: nextRowId(layout),
      level,
      words: '',
      accounts: [accountId],
      section,
      shows: this.showsIn(section),
      hideZero: false,
    };
    this.lines()?.goTo(ownKey(row.id));
    this.edit({ does: 'insert', behind: behind?.id ?? null, row });
  }

  protected putResult(): void {
    const [layout, behind] = [this.desk.layout(), this.behind()];
    if (layout === null) return;
    const id = nextRowId(layout);
    const level = behind?.level ?? 0;
    const row: OwnRow = { type: 'result', id, level, words: terms().results.allYears };
    this.edit({ does: 'insert', behind: behind?.id ?? null, row });
  }

  protected async drop(): Promise<void> {
    if (await this.layouts.drop(this.layoutId()))
      void this.router.navigate(['/clients', this.clientId(), 'statements', this.statement()]);
  }
}
