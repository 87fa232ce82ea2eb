import { OneOfComponent, type OneOf } from '../../shared/components/one-of.component';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  linkedSignal,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import {
  isOnOddSide,
  accountCount,
  copyStructure,
  AMOUNT_SIDES,
  TREE_SOURCES,
  titleOf,
  type OpeningBalances,
  type Operation,
  type Refusal,
  type ImportPlan,
} from '@iunctus/core';
import { ProgressBar } from 'primeng/progressbar';
import { ProposedChart, stepOf } from '../../workspace/model/proposed-chart';
import { today } from '../../shared/dates/today';
import { WorkspaceActions } from '../../workspace/state/workspace.actions';
import { workspaceFeature } from '../../workspace/state/workspace.feature';
import { PickComponent, type PickOption } from '../../shared/components/pick.component';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';
import { ReadingNoteComponent } from '../../shared/components/reading-note.component';
import { FocusFirstDirective } from '../../shared/components/focus-first.directive';
import {
  fileProblemWords,
  AMOUNT_SIDES_WORDS,
  TREE_SOURCE_WORDS,
  type ChangeContext,
} from '../../shared/words/import-words';
import { refusalWords } from '../../shared/words/refusal-words';
import { BalancesPartComponent } from '../components/balances-part.component';
import { ClashChoiceComponent } from '../components/clash-choice.component';
import { ColumnsTableComponent } from '../components/columns-table.component';
import { LessonsListComponent } from '../components/lessons-list.component';
import { KindLessons } from '../model/kind-lessons';
import { FoundListComponent } from '../components/found-list.component';
import { LinedListComponent } from '../components/lined-list.component';
import { RowPanelComponent } from '../components/row-panel.component';
import {
  SourceChoiceComponent,
  type ChosenSource,
} from '../../shared/components/source-choice.component';
import { TypesListComponent } from '../components/types-list.component';
import { ImportDraft } from '../model/import-draft';
import { ImportEngine } from '../model/import-engine';
import { ImportOpening } from '../model/import-opening';
import { wholeChartIn } from '../model/whole-chart';
import {
  candidatesOf,
  countsOf,
  isDoubtful,
  linesOf,
  ROW_FILTERS,
  type Decided,
  type RowFilter,
  type ShownLine,
} from '../model/row-filter';
import { counted } from '../../shared/words/counted';

/** How long decisions must rest before the list is lined up anew, in milliseconds. */
const REST = 80;

/** What the lines that are shown come from. */
interface ShownFrom {
  readonly plan: ImportPlan | null;
  readonly decided: Decided;
  /** The list that was opened. */
  readonly seen: unknown;
  readonly filter: RowFilter;
}

const FILTER_WORDS: Readonly<Record<RowFilter, string>> = {
  attention: $localize`To look at`,
  all: $localize`All lines`,
  new: $localize`New`,
  changed: $localize`Changed`,
  missing: $localize`Not in the list`,
  same: $localize`The same`,
  alike: $localize`Perhaps twice`,
  waiting: $localize`Waiting for others`,
  passed: $localize`Passed over`,
};

/** What the page shows of the list. */
type Part = 'columns' | 'types' | 'lessons' | 'lines' | 'balances' | 'findings';
const PARTS: readonly OneOf<Part>[] = [
  { value: 'columns', words: $localize`Columns` },
  { value: 'types', words: $localize`Types` },
  { value: 'lessons', words: $localize`Learned` },
  { value: 'lines', words: $localize`Accounts` },
  { value: 'balances', words: $localize`Balances` },
  { value: 'findings', words: $localize`Findings` },
];

/** A list is looked through so many milliseconds after the last decision. */
const LOOK_AFTER = 700;

/** In which ways a list may be read: first as it speaks for itself, which is said in its words, then the others. */
const waysToRead = <T extends string>(
  ways: readonly T[],
  words: Readonly<Record<T, string>>,
  { chosen, found }: { readonly chosen: T | null; readonly found: T | null },
): readonly PickOption<T | ''>[] => {
  const own = chosen === null ? found : null;
  return [
    { value: '', words: own === null ? $localize`what the list has` : words[own] },
    ...ways.filter((way) => way !== own).map((value) => ({ value, words: words[value] })),
  ];
};

/** Bringing in a list: choosing it, saying what its columns are, lining it up, proposing it. */
@Component({
  selector: 'iu-import-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    OneOfComponent,
    PickComponent,
    BalancesPartComponent,
    ClashChoiceComponent,
    ColumnsTableComponent,
    FocusFirstDirective,
    LessonsListComponent,
    FoundListComponent,
    LinedListComponent,
    ProblemNoteComponent,
    ProgressBar,
    ReadingNoteComponent,
    RouterLink,
    RowPanelComponent,
    SourceChoiceComponent,
    TypesListComponent,
  ],
  providers: [ImportEngine, KindLessons, ImportDraft, ImportOpening],
  templateUrl: './import.page.html',
  styleUrl: './import.page.css',
})
export class ImportPage {
  private readonly proposed = inject(ProposedChart);
  protected readonly engine = inject(ImportEngine);
  protected readonly draft = inject(ImportDraft);
  protected readonly brought = inject(ImportOpening);
  protected readonly lessons = inject(KindLessons);
  private readonly store = inject(Store);
  private readonly router = inject(Router);
  private readonly load = this.store.selectSignal(workspaceFeature.selectLoad);
  private readonly list = viewChild(LinedListComponent);
  private readonly panel = viewChild(RowPanelComponent);

  protected readonly part = linkedSignal<unknown, Part>({
    source: () => this.draft.seen(),
    computation: () => 'columns',
  });
  protected readonly parts = computed(() =>
    PARTS.filter(
      ({ value }) =>
        (value !== 'types' || this.hasTypes()) &&
        (value !== 'lessons' || this.part() === value || this.lessons.all().length > 0) &&
        (value !== 'balances' || this.brought.listed()) &&
        (value !== 'findings' || this.engine.plan() !== null),
    ).map((one) => {
      const found = one.value === 'findings' ? this.engine.findings() : null;
      return found === null ? one : { ...one, count: found.length };
    }),
  );
  protected readonly filters = computed(() => {
    const counts = this.counts();
    return ROW_FILTERS.filter(
      (one) => one === 'all' || one === this.filter() || (counts?.[one] ?? 0) > 0,
    ).map((value) => ({
      value,
      words: FILTER_WORDS[value],
      count: counts?.[value] ?? 0,
      urgent: value === 'attention',
    }));
  });
  protected readonly sheets = computed(() =>
    (this.engine.file()?.sheets ?? []).map(({ name }, at) => ({ value: String(at), words: name })),
  );
  protected readonly noneWords = computed(() =>
    this.filter() === 'attention'
      ? $localize`Nothing is left to look at.`
      : $localize`No line is in this group.`,
  );
  protected readonly treeSources = computed(() =>
    waysToRead(TREE_SOURCES, TREE_SOURCE_WORDS, {
      chosen: this.draft.treeSource(),
      found: this.engine.plan()?.treeSource ?? null,
    }),
  );
  /** One column of amounts may be meant in two ways; it is asked where columns and balances are looked at. */
  protected readonly asksSides = computed(
    () =>
      ['columns', 'balances'].includes(this.part()) &&
      this.draft.columns().uses.includes('balance') &&
      this.engine.plan() !== null,
  );
  protected readonly amountSides = computed(() =>
    waysToRead(AMOUNT_SIDES, AMOUNT_SIDES_WORDS, {
      chosen: this.draft.sides(),
      found: this.engine.plan()?.sides ?? null,
    }),
  );
  protected readonly refusal = signal<Refusal | null>(null);
  /** Lines whose kinds were shown as odd before proposing. */
  private readonly seenOdd = signal<ReadonlySet<number>>(new Set());

  protected readonly problem = computed(() => {
    const problem = this.engine.problem();
    return problem === null ? '' : fileProblemWords(problem);
  });
  protected readonly counts = computed(() => {
    const plan = this.engine.plan();
    return plan === null ? null : countsOf(plan);
  });
  /** A list that was just lined up shows what is to be looked at, if there is anything. */
  protected readonly filter = linkedSignal<{ seen: unknown; lined: boolean }, RowFilter>({
    source: () => ({ seen: this.draft.seen(), lined: this.engine.plan() !== null }),
    computation: ({ seen, lined }, previous) => {
      if (previous?.source.seen === seen && previous?.source.lined === lined) return previous.value;
      return lined && (untracked(this.counts)?.attention ?? 0) > 0 ? 'attention' : 'all';
    },
  });
  protected readonly lines = linkedSignal<ShownFrom, readonly ShownLine[]>({
    source: () => ({
      plan: this.engine.plan(),
      decided: this.draft.decided(),
      seen: this.draft.seen(),
      filter: this.filter(),
    }),
    computation: ({ plan, decided, seen, filter }, previous) => {
      if (plan === null) return [];
      const before = previous?.source;
      const same = before !== undefined && before.seen === seen && before.filter === filter;
      return linesOf(plan, filter, decided, same ? previous?.value : []);
    },
  });
  /** The line at the cursor; when it leaves the group, the one that takes its place. */
  protected readonly selected = linkedSignal<readonly { key: string }[], string | null>({
    source: this.lines,
    computation: (lines, previous) => {
      const kept = previous?.value ?? null;
      if (lines.some(({ key }) => key === kept)) return kept;
      const at = previous?.source.findIndex(({ key }) => key === kept) ?? 0;
      return lines[Math.min(Math.max(at, 0), lines.length - 1)]?.key ?? null;
    },
  });
  protected readonly line = computed(
    () => this.lines().find(({ key }) => key === this.selected()) ?? null,
  );
  protected readonly context = computed<ChangeContext>(() => ({
    chart: this.proposed.chart(),
    titles: new Map(
      (this.engine.plan()?.rows ?? []).flatMap(({ accountId, number, entry }) =>
        accountId === null ? [] : [[accountId, titleOf({ number, name: entry.name })] as const],
      ),
    ),
    currency: this.proposed.client()?.currency ?? 'USD',
  }));
  protected readonly hasTypes = computed(() => this.draft.columns().uses.includes('type'));
  /** A chart that was taken out whole can be taken over whole by a client without one. */
  protected readonly whole = computed(() => {
    const chart = wholeChartIn(this.engine.file()?.whole ?? null);
    return chart !== null && accountCount(this.proposed.chart()) === 0 ? chart : null;
  });
  protected readonly balances = computed(() => this.engine.plan()?.balances ?? []);
  /** Whether there is anything to propose, and nothing that must be settled first. */
  protected readonly mayPropose = computed(() => {
    if (
      this.engine.progress().doing !== 'nothing' ||
      this.brought.stuck() ||
      this.brought.waiting()
    )
      return false;
    const operations = this.engine.plan()?.operations.length ?? 0;
    return operations > 0 || this.brought.opening() !== null;
  });
  protected readonly changeCount = computed(() => {
    const counts = this.counts();
    const fates = this.engine.plan()?.missing.filter(({ fate }) => fate !== 'leave').length ?? 0;
    return counts === null ? 0 : counts.new + counts.changed + fates;
  });
  protected readonly fileWords = computed(() => {
    const file = this.engine.file();
    const count = this.draft.seen()?.count ?? 0;
    return [
      file?.format,
      file?.encoding,
      counted(count, { one: $localize`# line`, other: $localize`# lines` }),
    ]
      .filter((part) => part != null)
      .join(', ');
  });
  protected readonly sum = computed(() => this.sumWords());
  protected readonly refusalText = computed(() => {
    const refusal = this.refusal();
    return refusal === null ? '' : refusalWords(refusal, this.proposed.chart());
  });

  constructor() {
    const clientId = computed(() => this.proposed.client()?.id ?? null);
    effect(() => {
      const id = clientId();
      if (id !== null) void this.draft.bringBack(id);
    });
    // Once no more is decided for a moment: the worker lines up first.
    effect((onCleanup) => {
      const client = this.proposed.client();
      if (this.engine.plan() === null || client === null) return;
      const { country, legalForm } = client;
      const timer = setTimeout(() => this.engine.askFindings({ country, legalForm }), LOOK_AFTER);
      onCleanup(() => clearTimeout(timer));
    });
    effect((onCleanup) => {
      const client = this.proposed.client();
      if (client === null || this.draft.seen() === null || this.busyLoading()) return;
      const question = {
        sheet: this.draft.sheet(),
        chart: this.proposed.chart(),
        former: this.proposed.former(),
        currency: client.currency,
        today: today(),
        decisions: this.draft.decisions(),
      };
      const timer = setTimeout(() => this.engine.ask(question), REST);
      onCleanup(() => clearTimeout(timer));
    });
  }

  /** Until the bench is there, nothing is known to line the list up with. */
  private busyLoading(): boolean {
    return !['ready', 'noChart'].includes(this.load().status);
  }

  protected async open({ name, blob }: ChosenSource): Promise<void> {
    this.refusal.set(null);
    this.seenOdd.set(new Set());
    await this.draft.open(name, blob);
  }

  protected onEnter(): void {
    this.panel()?.focus();
  }

  /** Takes one of the likely kinds of the line at the cursor, where it is doubtful. */
  protected chooseCandidate(index: number): void {
    const line = this.line();
    if (line?.type !== 'row' || !isDoubtful(line.row)) return;
    const kind = candidatesOf(line.row)[index];
    if (kind !== undefined) this.draft.chooseKind(line.row, kind);
  }

  protected onDecided(): void {
    this.list()?.focus();
  }

  protected onKey(event: KeyboardEvent): void {
    if (event.key !== 'Enter' || !(event.ctrlKey || event.metaKey)) return;
    event.preventDefault();
    // The chart, which comes next, would take the same key for “Adopt”.
    event.stopPropagation();
    if (this.part() === 'lines') this.propose();
    else this.part.set('lines');
  }

  private sumWords(): string {
    const counts = this.counts();
    const plan = this.engine.plan();
    if (counts === null || plan === null) return '';
    const of = (count: number, one: string, many: string): readonly string[] =>
      count === 0 ? [] : [`${count} ${count === 1 ? one : many}`];
    const wrong = plan.rows.filter(({ status }) => status === 'wrong').length;
    const asked = plan.rows.filter(({ status }) => status === 'question').length;
    const parts = [
      ...of(counts.new, $localize`new account`, $localize`new accounts`),
      ...of(counts.changed, 'changed', 'changed'),
      ...of(counts.same, $localize`the same`, $localize`the same`),
      ...of(asked, $localize`waits for an answer`, $localize`wait for an answer`),
      ...of(counts.waiting, $localize`waits for another line`, $localize`wait for another line`),
      ...of(wrong, $localize`is wrong and left out`, $localize`are wrong and left out`),
    ];
    return parts.length === 0
      ? $localize`Nothing in this list is an account yet.`
      : `${parts.join(', ')}.`;
  }

  /** What becomes of the balances that the list has. */
  protected readonly balanceWords = computed(() => {
    if (!this.brought.listed()) return '';
    if (!this.brought.along()) return $localize`Its balances stay out.`;
    if (this.brought.stuck()) return $localize`Its balances cannot be posted; Balances says why.`;
    if (this.brought.opening() === null) return '';
    const out = this.engine.plan()?.unplaced.length ?? 0;
    return out === 0
      ? $localize`Its balances come along.`
      : $localize`Its balances come along, but for ${out}; Balances says which.`;
  });
  protected readonly putWords = computed(() => {
    if (this.changeCount() > 0) return String(this.changeCount());
    return this.brought.opening() === null ? '' : $localize`the balances`;
  });

  protected takeWhole(): void {
    const chart = this.whole();
    if (chart !== null)
      this.put(
        copyStructure(chart, () => crypto.randomUUID(), 'whole'),
        null,
      );
  }

  /** The lines whose guessed kinds would put their balances on the unusual side. */
  private readonly odd = computed(() =>
    (this.engine.plan()?.rows ?? []).filter(isOnOddSide).map(({ entry }) => entry.line),
  );
  /** How many of them were shown before proposing; they are taken as they are the next time. */
  protected readonly oddCount = computed(
    () => this.odd().filter((line) => this.seenOdd().has(line)).length,
  );

  protected propose(): void {
    if (!this.mayPropose()) return;
    if (this.odd().some((line) => !this.seenOdd().has(line))) return this.showOdd();
    const operations = this.engine.plan()?.operations ?? [];
    this.put([...operations, ...this.brought.taker()], this.brought.opening());
  }

  private showOdd(): void {
    this.seenOdd.set(new Set(this.odd()));
    this.filter.set('attention');
    const first = this.lines().find((line) => line.type === 'row' && isOnOddSide(line.row));
    this.selected.set(first?.key ?? null);
  }

  private put(operations: readonly Operation[], opening: OpeningBalances | null): void {
    const client = this.proposed.client();
    if (client === null) return;
    if (this.load().status === 'noChart') {
      const steps = [stepOf(operations, { opening })];
      this.store.dispatch(WorkspaceActions.chartBegun({ clientId: client.id, steps }));
    } else {
      this.refusal.set(this.proposed.propose(operations, { opening }));
      if (this.refusal() !== null) return;
    }
    this.draft.close();
    void this.router.navigate(['/clients', client.id, 'chart']);
  }
}
