import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  output,
  signal,
} from '@angular/core';
import {
  accountOf,
  applyAll,
  eachNode,
  headsOf,
  KINDS,
  nodeOf,
  planEach,
  planMerge,
  planMoveUnder,
  planSettingsAs,
  titleOf,
  type AccountId,
  type KindCode,
  type ManyPlan,
  type Operation,
} from '@iunctus/core';
import { operationWords } from '../../shared/words/operation-words';
import { refusalWords } from '../../shared/words/refusal-words';
import { shortList } from '../../shared/words/short-list';
import { landingWords } from '../../shared/words/statement-words';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { ChartView } from '../../workspace/model/chart-view';
import { Sheets } from '../../workspace/model/sheets';
import { AccountChoiceComponent } from '../../workspace/components/account-choice.component';
import { KindChoiceComponent } from '../../workspace/components/kind-choice.component';
import { SheetComponent } from './sheet.component';

const NOTHING: ManyPlan = { ok: true, operations: [] };

/** Changing all chosen accounts together: kind, parent, settings, or into one. */
@Component({
  selector: 'iu-many-sheet',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AccountChoiceComponent, KindChoiceComponent, SheetComponent],
  templateUrl: './many-sheet.component.html',
  styleUrl: './many-sheet.component.css',
})
export class ManySheetComponent {
  protected readonly proposed = inject(ProposedChart);
  private readonly view = inject(ChartView);
  private readonly sheets = inject(Sheets);
  readonly done = output();

  protected readonly kind = signal<KindCode | null>(null);
  protected readonly under = signal<AccountId | null | undefined>(undefined);
  protected readonly into = signal<AccountId | null | undefined>(undefined);
  /** The account whose settings they are all to have. */
  protected readonly like = signal<AccountId | null | undefined>(undefined);

  protected readonly heading = computed(() => `${this.view.chosen().length} accounts`);
  protected readonly titles = computed(() =>
    shortList(
      this.view.chosen().flatMap((id) => {
        const account = accountOf(this.proposed.chart(), id);
        return account === undefined ? [] : [titleOf(account)];
      }),
    ),
  );
  /** The kind of most of them, to begin the choice with. */
  protected readonly firstKind = computed(
    () => accountOf(this.proposed.chart(), this.view.chosen()[0] ?? '')?.kind ?? 'operatingExpense',
  );
  protected readonly element = computed(() => KINDS[this.firstKind()].element);
  protected readonly landing = computed(() => {
    const kind = this.kind();
    return kind === null ? '' : landingWords(kind);
  });
  /** The chosen ones and all below them: none of these can be the parent. */
  protected readonly branches = computed(() => {
    const nodes = this.view.chosen().flatMap((id) => nodeOf(this.proposed.chart(), id) ?? []);
    return new Set([...eachNode(nodes)].map(({ account }) => account.id));
  });

  private readonly wanted = computed<ManyPlan>(() => {
    const chart = this.proposed.chart();
    const ids = this.view.chosen();
    const [kind, under, into] = [this.kind(), this.under(), this.into()];
    if (into !== undefined && into !== null) {
      const others = ids.filter((id) => id !== into);
      return planEach(chart, others, (now, id) => planMerge(now, id, { into, acrossKinds: false }));
    }
    const like = this.like();
    if (like !== undefined && like !== null && under === undefined && kind === null)
      return planEach(chart, ids, (now, id) => planSettingsAs(now, id, like));
    if (under !== undefined) {
      const heads = headsOf(chart, ids);
      const moved = planEach(chart, heads, (now, id) =>
        planMoveUnder(now, id, { parentId: under }),
      );
      return moved.ok && kind !== null ? withKinds(moved.operations, ids, kind) : moved;
    }
    return kind === null ? NOTHING : withKinds([], ids, kind);
  });

  private readonly plan = computed<ManyPlan>(() => {
    const wanted = this.wanted();
    if (!wanted.ok) return wanted;
    const outcome = applyAll(this.proposed.chart(), wanted.operations);
    return outcome.ok ? wanted : { ok: false, refusal: outcome.refusal };
  });

  protected readonly effects = computed(() => {
    const plan = this.plan();
    if (!plan.ok) return [];
    return shortList(plan.operations.map((one) => operationWords(one, this.proposed.chart())));
  });
  protected readonly refusalText = computed(() => {
    const plan = this.plan();
    return plan.ok ? '' : refusalWords(plan.refusal, this.proposed.chart());
  });

  protected change(event: Event): void {
    event.preventDefault();
    const plan = this.plan();
    if (!plan.ok || plan.operations.length === 0) return;
    if (this.proposed.propose(plan.operations) !== null) return;
    this.view.marks.set(new Set());
    this.sheets.close();
    this.done.emit();
  }
}

const withKinds = (
  operations: readonly Operation[],
  ids: readonly AccountId[],
  kind: KindCode,
): ManyPlan => ({
  ok: true,
  operations: [
    ...operations.filter(({ type }) => type !== 'changeKind'),
    ...ids.map((id): Operation => ({ type: 'changeKind', id, kind })),
  ],
});
