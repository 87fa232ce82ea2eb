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
import { ActivatedRoute, Router, RouterLink } from '@angular/router';
import {
  accountOf,
  applyAll,
  beginOwn,
  DEPTH_CODES,
  depthOfCode,
  eachNode,
  elementOf,
  nodeOf,
  planLineKind,
  planLineOnto,
  planLineStep,
  sectionAndAccountOf,
  sectionOf,
  SHEET_CODES,
  type AccountId,
  type DepthCode,
  type KindCode,
  type LinePlan,
  type RowKey,
  type SheetCode,
  type StatementCode,
} from '@iunctus/core';
import { ReadingNoteComponent } from '../../shared/components/reading-note.component';
import { onUndoKey } from '../../shared/components/undo-keys';
import { endOfPeriod, longPeriod } from '../../shared/words/period-words';
import { operationWords } from '../../shared/words/operation-words';
import { refusalWords } from '../../shared/words/refusal-words';
import { columnsFullWords, ownName } from '../../shared/words/layout-words';
import { Rights } from '../../session/state/rights';
import { AccountChoiceComponent } from '../../workspace/components/account-choice.component';
import { KindChoiceComponent } from '../../workspace/components/kind-choice.component';
import { ChartView } from '../../workspace/model/chart-view';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { Undoing } from '../../workspace/model/undoing';
import { AgreementChipComponent } from '../components/agreement-chip.component';
import { ColumnStripComponent } from '../components/column-strip.component';
import { StatementBarComponent } from '../components/statement-bar.component';
import {
  StatementTableComponent,
  type LineDrag,
  type LineGesture,
} from '../components/statement-table.component';
import { ClientLayouts } from '../model/client-layouts';
import { ColumnsShown } from '../model/columns-shown';
import { LineOpenings } from '../model/line-openings';
import { statementFiles } from '../model/statement-files';
import { TableEngine } from '../model/table-engine';
import { terms } from '../../shared/words/terms';

const STAYS: Readonly<Record<Extract<LinePlan, { ok: false }>['why'], string>> = {
  edge: $localize`It stands first or last of its group already. M sends it to another section.`,
  orderOfKinds: $localize`These lines stand in the order of their kinds. M gives it another kind.`,
  nothing: $localize`It stands there already.`,
};

/** Puts the keyboard on the field for a kind, once its words are in it, so that what is typed takes their place. */
const takeField = (host: HTMLElement): void => {
  const field = host.querySelector<HTMLInputElement>('.kind input');
  field?.focus();
  void Promise.resolve().then(() => field?.select());
};

/** One statement with its columns: what it shows is in its address, so that it can be kept and handed on. */
@Component({
  selector: 'iu-sheet-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    AgreementChipComponent,
    AccountChoiceComponent,
    ColumnStripComponent,
    KindChoiceComponent,
    ReadingNoteComponent,
    RouterLink,
    StatementBarComponent,
    StatementTableComponent,
  ],
  providers: [TableEngine],
  templateUrl: './sheet.page.html',
  styleUrls: ['./statement-page.css', './sheet.page.css'],
  host: { '(document:keydown)': 'onKey($event)' },
})
export class SheetPage {
  protected readonly engine = inject(TableEngine);
  protected readonly proposed = inject(ProposedChart);
  protected readonly rights = inject(Rights);
  private readonly view = inject(ChartView);
  private readonly openings = inject(LineOpenings);
  private readonly undoing = inject(Undoing);
  private readonly layouts = inject(ClientLayouts);
  private readonly router = inject(Router);
  private readonly route = inject(ActivatedRoute);
  private readonly lines = viewChild(StatementTableComponent);
  readonly clientId = input.required<string>();
  readonly sheet = input<string>();
  readonly columns = input<string>();
  readonly depth = input<string>();
  readonly zero = input<string>();
  readonly as = input<string>();

  protected readonly code = computed<SheetCode>(
    () => SHEET_CODES.find((code) => code === this.sheet()) ?? 'profitAndLoss',
  );
  protected readonly name = computed(() => terms().sheets[this.code()]);
  protected readonly currency = computed(() => this.proposed.client()?.currency ?? 'USD');
  protected readonly depthCode = computed<DepthCode>(
    () => DEPTH_CODES.find((code) => code === this.depth()) ?? '2',
  );
  /** A chart is shown whole, statements without lines at zero, until something else is said. */
  protected readonly zeroLines = computed(
    () => (this.zero() ?? (this.code() === 'chartReport' ? '1' : '0')) === '1',
  );
  protected readonly asProposed = computed(() => this.as() !== 'adopted');

  protected readonly columnsShown = new ColumnsShown({
    text: () => this.columns() ?? 'plain',
    sheet: () => this.code(),
    chart: () => this.proposed.chart(),
    context: () => this.engine.context(),
    show: (text) => this.show({ columns: text === 'plain' ? null : text }),
  });
  /** Sheets whose columns are their own take periods alone. */
  protected readonly takesColumns = computed(() => this.code() !== 'changesInEquity');
  /** A list of accounts has no levels. */
  protected readonly hasDepth = computed(() => this.code() !== 'trialBalance');
  /** Lines of these stand where their kinds lead, so that they can be moved; those of others follow. */
  private readonly listsAccounts = computed(
    () => this.code() === 'trialBalance' || this.code() === 'chartReport',
  );
  protected readonly hasHandles = computed(
    () => this.code() !== 'cashFlow' && !this.listsAccounts(),
  );
  /** Standard statements of which one’s own can be made. */
  private readonly statement = computed<StatementCode | null>(() => {
    const code = this.code();
    return code === 'profitAndLoss' || code === 'balanceSheet' ? code : null;
  });
  protected readonly mayLayOut = computed(
    () => this.statement() !== null && this.rights.may('change'),
  );

  private readonly open = signal<ReadonlyMap<RowKey, boolean>>(new Map());
  /** The line whose kind is being chosen. */
  protected readonly kindOf = signal<RowKey | null>(null);
  protected readonly notice = signal('');

  protected readonly result = computed(() => {
    const result = this.engine.result();
    return result?.table.sheet === this.code() ? result : null;
  });
  /** Splits that are only proposed have no months yet. */
  protected readonly splitsWait = computed(
    () =>
      this.asProposed() &&
      this.proposed
        .steps()
        .some(({ operations }) => operations.some(({ type }) => type === 'split')),
  );
  protected readonly subtitle = computed(() => {
    const period = this.engine.context()?.main;
    if (period === undefined) return '';
    const isOfDay = this.code() === 'balanceSheet' || this.code() === 'trialBalance';
    return isOfDay ? $localize`At ${endOfPeriod(period)}` : longPeriod(period);
  });
  protected readonly choosingFor = computed(() => {
    const id = sectionAndAccountOf(this.kindOf() ?? '')?.accountId ?? null;
    return id === null ? undefined : accountOf(this.proposed.chart(), id);
  });
  protected readonly near = computed(() => {
    const account = this.choosingFor();
    return account === undefined ? null : elementOf(account.kind);
  });
  /** What is printed and written is as adopted. */
  protected readonly files = computed(() => {
    const period = this.engine.context()?.main;
    if (period === undefined) return null;
    return statementFiles(this.clientId(), {
      of: { sheet: this.code() },
      period,
      columns: this.columnsShown.text(),
      depth: this.depthCode(),
      zeroLines: this.zeroLines(),
      open: this.open(),
    });
  });

  constructor() {
    const host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
    const injector = inject(Injector);
    effect(() => {
      if (this.kindOf() === null) return;
      afterNextRender(() => takeField(host), { injector });
    });
    effect(() => {
      const specs = this.columnsShown.specs();
      if (specs.length === 0) return;
      this.engine.wish.set({
        sheet: this.code(),
        columns: specs,
        depth: depthOfCode(this.depthCode()),
        zeroLines: this.zeroLines(),
        open: [...this.open()],
        proposed: this.asProposed(),
      });
    });
  }

  protected onKey(event: KeyboardEvent): void {
    if (this.mayChange()) onUndoKey(event, this.undoing);
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

  protected removeColumn(at: number): void {
    this.columnsShown.remove(at);
    this.lines()?.focus();
  }

  /** Makes a layout of the client’s own of what is shown, and goes there. */
  protected async layOut(): Promise<void> {
    const statement = this.statement();
    if (statement === null) return;
    const begun = beginOwn(this.proposed.chart(), statement, terms());
    const columns = this.columnsShown.text();
    const id = await this.layouts.begin({ ...begun, columns, name: ownName(begun.name) });
    if (id !== null)
      void this.router.navigate(['/clients', this.clientId(), 'statements', 'own', id]);
  }

  protected closeStrip(): void {
    this.columnsShown.changing.set(null);
    this.lines()?.focus();
  }

  protected act({ key, accountId, does }: LineGesture): void {
    this.notice.set('');
    switch (does) {
      case 'open':
      case 'close':
        this.open.update((open) => new Map(open).set(key, does === 'open'));
        return;
      case 'lines':
        return this.openings.register(sectionAndAccountOf(key) === null ? accountId : key);
      case 'chart':
        return this.openings.chart(accountId, this.view);
      case 'kind':
        if (this.mayChange() && sectionAndAccountOf(key)?.accountId != null) this.kindOf.set(key);
        return;
      case 'up':
      case 'down':
        return this.propose(key, (line) => planLineStep(this.proposed.chart(), line, does));
    }
  }

  protected giveKind(kind: KindCode): void {
    const key = this.kindOf();
    this.kindOf.set(null);
    if (key !== null) this.propose(key, (line) => planLineKind(this.proposed.chart(), line, kind));
    this.lines()?.focus();
  }

  /** The line that is being sent elsewhere, with all below it: it cannot go under itself. */
  protected readonly within = computed<ReadonlySet<AccountId>>(() => {
    const account = this.choosingFor();
    const node = account === undefined ? undefined : nodeOf(this.proposed.chart(), account.id);
    return new Set([...eachNode(node === undefined ? [] : [node])].map((one) => one.account.id));
  });

  protected putUnder(parentId: AccountId | null): void {
    const [key, chart] = [this.kindOf(), this.proposed.chart()];
    const parent = accountOf(chart, parentId ?? '');
    const section = parent === undefined ? null : sectionOf(parent.kind);
    this.kindOf.set(null);
    this.lines()?.focus();
    if (key === null || parentId === null || section === null) return;
    const target = { section, accountId: parentId };
    this.propose(key, (line) => planLineOnto(chart, { line, target, where: 'into' }));
  }

  private planned({ key, onto, where }: LineDrag): LinePlan | null {
    const [line, target] = [sectionAndAccountOf(key), sectionAndAccountOf(onto)];
    if (line?.accountId == null || target?.accountId == null) return null;
    return planLineOnto(this.proposed.chart(), {
      line: { section: line.section, accountId: line.accountId },
      target: { section: target.section, accountId: target.accountId },
      where,
    });
  }

  /** Says what a line that is dragged would do to the chart, before it is dropped. */
  protected preview(drag: LineDrag | null): void {
    const plan = drag === null ? null : this.planned(drag);
    if (plan === null) return this.notice.set('');
    const chart = this.proposed.chart();
    if (!plan.ok) return this.notice.set(STAYS[plan.why]);
    const outcome = applyAll(chart, plan.operations);
    if (!outcome.ok) return this.notice.set(refusalWords(outcome.refusal, chart));
    const words = plan.operations.map((operation) =>
      operationWords(operation, outcome.chart, chart),
    );
    this.notice.set(words.join(' · '));
  }

  protected drop(drag: LineDrag): void {
    const plan = this.planned(drag);
    if (plan !== null) this.propose(drag.key, () => plan);
  }

  protected leaveKind(): void {
    this.kindOf.set(null);
    this.lines()?.focus();
  }

  private mayChange(): boolean {
    return this.rights.may('change') && this.asProposed();
  }

  private propose(key: RowKey, plan: (line: Parameters<typeof planLineStep>[1]) => LinePlan): void {
    const subject = sectionAndAccountOf(key);
    if (subject?.accountId == null || !this.mayChange()) return;
    const planned = plan({ section: subject.section, accountId: subject.accountId });
    if (!planned.ok) return this.notice.set(STAYS[planned.why]);
    const refusal = this.proposed.propose(planned.operations);
    if (refusal !== null) this.notice.set(refusalWords(refusal, this.proposed.chart()));
  }
}
