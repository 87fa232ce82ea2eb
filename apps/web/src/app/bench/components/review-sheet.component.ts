import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  Injector,
  signal,
} from '@angular/core';
import { Store } from '@ngrx/store';
import type { Remark } from '@iunctus/contract';
import {
  accountOf,
  applyAll,
  calledAs,
  dropOpening,
  dropOperation,
  isPostable,
  type Chart,
  type Conflict,
  type Operation,
  type ProposalStep,
  type Refusal,
} from '@iunctus/core';
import { OpeningNoteComponent } from '../../shared/components/opening-note.component';
import { MovedTotalsComponent } from '../../shared/components/moved-totals.component';
import { callerIn } from '../../shared/words/opening-words';
import { operationWords } from '../../shared/words/operation-words';
import { refusalWords } from '../../shared/words/refusal-words';
import { wordsAsMade } from '../../shared/words/words-as-made';
import { ProofNotesComponent } from '../../workspace/components/proof-notes.component';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { ChartView } from '../../workspace/model/chart-view';
import { Commands } from '../../workspace/model/commands';
import { Sheets } from '../../workspace/model/sheets';
import { wantedOf } from '../model/wanted';
import { StatementEngine } from '../../workspace/model/statement-engine';
import { WorkspaceActions } from '../../workspace/state/workspace.actions';
import { workspaceFeature } from '../../workspace/state/workspace.feature';
import { HandOverComponent } from './hand-over.component';
import { SheetComponent } from './sheet.component';
import { counted } from '../../shared/words/counted';

interface Line {
  readonly stepId: string;
  readonly index: number;
  readonly words: string;
  readonly remarks: readonly Remark[];
}

/** At most so many operations are listed one by one. */
const LISTED = 300;

/** The proposal operation by operation: read, drop one, see what moves, adopt. */
@Component({
  selector: 'iu-review-sheet',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    HandOverComponent,
    MovedTotalsComponent,
    OpeningNoteComponent,
    ProofNotesComponent,
    SheetComponent,
  ],
  templateUrl: './review-sheet.component.html',
  styleUrl: './review-sheet.component.css',
})
export class ReviewSheetComponent {
  private readonly proposed = inject(ProposedChart);
  private readonly view = inject(ChartView);
  private readonly sheets = inject(Sheets);
  private readonly commands = inject(Commands);
  private readonly engine = inject(StatementEngine);
  private readonly store = inject(Store);
  private readonly injector = inject(Injector);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  private readonly proposal = this.store.selectSignal(workspaceFeature.selectProposal);
  protected readonly adopting = this.store.selectSignal(workspaceFeature.selectAdopting);
  protected readonly conflicts = computed(() => this.proposal().conflicts);
  /** The conflict that is being settled; the next one follows it. */
  protected readonly conflict = computed(() => this.conflicts()[0]);
  protected readonly steps = this.proposed.steps;
  protected readonly gone = signal('');

  private readonly all = computed<readonly Line[]>(() => {
    let before: Chart = this.proposed.base();
    return this.proposed.steps().flatMap((step) => {
      const { words, after } = wordsAsMade(before, step.operations);
      const lines = words.map((said, index) => ({
        stepId: step.id,
        index,
        words: said,
        remarks: this.proposal().remarks.filter(
          (one) => one.stepId === step.id && one.index === index,
        ),
      }));
      before = after;
      return lines;
    });
  });
  protected readonly lines = computed(() => this.all().slice(0, LISTED));
  protected readonly unlisted = computed(() => this.all().length - this.lines().length);

  protected readonly countWords = computed(() => {
    const [changes, steps] = [this.proposed.changes(), this.all().length];
    const inAll = counted(changes, { one: $localize`# change`, other: $localize`# changes` });
    return changes === steps
      ? inAll
      : $localize`${inAll}, made in ${counted(steps, { one: $localize`# step`, other: $localize`# steps` })}`;
  });

  protected readonly openings = this.engine.openings;
  protected readonly called = computed(() => callerIn(this.proposed.chart(), this.proposed.base()));
  /** Whether listed balances cannot be posted, so that nothing can be adopted. */
  protected readonly stuck = computed(() => !this.openings().every(({ plan }) => isPostable(plan)));

  protected readonly impact = computed(() => this.engine.impact());
  protected readonly currency = computed(() => this.proposed.client()?.currency ?? 'USD');
  protected readonly moves = computed(
    () => this.impact().sections.length + this.impact().totals.length > 0,
  );

  protected drop({ stepId, index }: Line): void {
    const dropped = dropOperation(this.proposed.base(), this.proposed.steps(), { stepId, index });
    const names = [
      ...dropped.dependents.map((operation) => operationWords(operation, this.proposed.chart())),
      ...dropped.balances.map((id) => $localize`the listed balance of ${this.called()(id)}`),
    ];
    this.gone.set(names.length === 0 ? '' : $localize`Dropped with it: ${names.join('; ')}`);
    const place = this.lines().findIndex((line) => line.stepId === stepId && line.index === index);
    this.store.dispatch(WorkspaceActions.operationDropped({ steps: dropped.steps }));
    afterNextRender(() => this.focusLine(place), { injector: this.injector });
  }

  /** The dropped line took the keyboard with it: goes on to the one that follows, or to the sheet. */
  private focusLine(place: number): void {
    const buttons = this.host.querySelectorAll<HTMLElement>('ol button');
    const next = buttons[Math.min(place, buttons.length - 1)];
    (next ?? this.host.querySelector<HTMLElement>('header button'))?.focus();
  }

  protected dropBalances(stepId: string): void {
    this.gone.set('');
    const steps = dropOpening(this.proposed.steps(), stepId);
    this.store.dispatch(WorkspaceActions.operationDropped({ steps }));
    afterNextRender(() => this.focusLine(0), { injector: this.injector });
  }

  protected discard(): void {
    this.gone.set('');
    this.store.dispatch(WorkspaceActions.proposalDiscarded());
  }

  protected adopt(): void {
    this.store.dispatch(WorkspaceActions.adoptRequested());
  }

  protected conflictWords({ step, called }: Conflict): string {
    return step.operations.map((operation) => this.wordsThen(operation, called)).join('; ');
  }

  protected reasonWords({ landed, refusal, called }: Conflict): string {
    if (landed !== null) return $localize`Adopted meanwhile: ${this.wordsThen(landed, called)}`;
    if (refusal === null) return '';
    return refusalWords(refusal, this.proposed.chart(), this.proposed.base());
  }

  protected dismiss({ step }: Conflict): void {
    this.store.dispatch(WorkspaceActions.conflictSettled({ stepId: step.id, step: null }));
  }

  /** Puts the set-aside step on top of what was adopted; a rule may still refuse it. */
  protected keepMine(conflict: Conflict): void {
    const { step } = conflict;
    const outcome = applyAll(this.proposed.chart(), step.operations);
    if (outcome.ok)
      this.store.dispatch(
        WorkspaceActions.conflictSettled({
          stepId: step.id,
          step: { ...step, id: crypto.randomUUID() },
        }),
      );
    else if (!this.amend(step, outcome.refusal))
      this.gone.set(refusalWords(outcome.refusal, this.proposed.chart(), this.proposed.base()));
  }

  /** Opens the row of the account with what was wanted of it, where that can be typed; false where it cannot. */
  private amend({ operations }: ProposalStep, refusal: Refusal): boolean {
    const id = refusal.accountId;
    const wanted = wantedOf(operations, id);
    if (wanted === null || accountOf(this.proposed.chart(), id) === undefined) return false;
    this.sheets.close();
    this.view.goTo(id);
    this.commands.asked.set({ type: 'amend', wanted, refusal });
    return true;
  }

  /** An operation with accounts called as they were when it was made. */
  private wordsThen(operation: Operation, called: Conflict['called'] = []): string {
    const [chart, base] = [this.proposed.chart(), this.proposed.base()];
    return operationWords(operation, calledAs(chart, called), chart, base);
  }
}
