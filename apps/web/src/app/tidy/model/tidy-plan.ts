import { computed, inject, Injectable, signal } from '@angular/core';
import {
  applyAll,
  buildStatement,
  chartOfKept,
  composeStartingChart,
  countryOf,
  emptyChart,
  impactOf,
  INDUSTRIES,
  INDUSTRY_CODES,
  ledgerOf,
  matchShape,
  nodeOf,
  planShape,
  rollUpOver,
  shapeKey,
  sideBySide,
  startingOperations,
  usualAnswers,
  type AccountId,
  type Chart,
  type IndustryCode,
  type ShapeStepCode,
  type StatementCode,
} from '@iunctus/core';
import { Store } from '@ngrx/store';
import { ApiService } from '../../shared/api/api.service';
import { reading, readingOnce } from '../../shared/api/reading';
import type { PickOption } from '../../shared/components/pick.component';
import { ClientRoutes } from '../../workspace/model/client-routes';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { workspaceFeature } from '../../workspace/state/workspace.feature';

const KEPT = 'kept ';
const isTrade = (code: string): code is IndustryCode =>
  (INDUSTRY_CODES as readonly string[]).includes(code);

/** The way from the chart that is open to the shape of another: chosen, looked at, and put in the proposal. */
@Injectable()
export class TidyPlan {
  private readonly api = inject(ApiService);
  private readonly proposed = inject(ProposedChart);
  private readonly routes = inject(ClientRoutes);
  private readonly amounts = inject(Store).selectSignal(workspaceFeature.selectAmounts);
  /** The chart whose shape is aimed at: a trade, or one of the practice's own; `null` for the client's own trade. */
  private readonly asked = signal<string | null>(null);
  private readonly skipped = signal<ReadonlySet<ShapeStepCode>>(new Set());
  private readonly struck = signal<ReadonlySet<string>>(new Set());
  readonly statement = signal<StatementCode>('profitAndLoss');
  /** New headings keep their ids from one look to the next. */
  private readonly ids: AccountId[] = [];

  readonly kept = readingOnce(() => this.api.ask('keptCharts', {}));
  readonly aim = computed<string>(() => {
    const own = this.proposed.client()?.industry ?? '';
    return this.asked() ?? (isTrade(own) ? own : (INDUSTRY_CODES[0] ?? ''));
  });
  readonly aims = computed<readonly PickOption[]>(() => [
    ...(this.kept.value() ?? []).map(({ id, name }) => ({ value: `${KEPT}${id}`, words: name })),
    ...INDUSTRY_CODES.map((value) => ({ value, words: INDUSTRIES[value].name })),
  ]);
  readonly version = reading(
    () => {
      const aim = this.aim();
      const id = aim.startsWith(KEPT) ? aim.slice(KEPT.length) : null;
      const number = this.kept.value()?.find((one) => one.id === id)?.versions[0]?.number;
      return id === null || number === undefined ? undefined : { keptChartId: id, number };
    },
    (asked) => this.api.ask('keptVersion', asked),
  );
  private readonly target = computed<Chart | null>(() => {
    const [aim, client] = [this.aim(), this.proposed.client()];
    const kept = this.version.value();
    if (aim.startsWith(KEPT)) return kept === null ? null : chartOfKept(kept);
    if (client === null || !isTrade(aim)) return null;
    const country = countryOf(client.country);
    const answers = usualAnswers(aim, country);
    const { legalForm } = client;
    const groups = composeStartingChart({ industry: aim, legalForm, country, answers });
    let count = 0;
    const newId = (): string => `aim-${(count += 1)}`;
    const outcome = applyAll(emptyChart(), startingOperations(groups, { newId }));
    return outcome.ok ? outcome.chart : null;
  });
  private readonly rollUp = computed(() => rollUpOver(ledgerOf(this.amounts())));
  /** What stands for what, which does not change with what is left out. */
  private readonly match = computed(() => {
    const target = this.target();
    return target === null ? null : matchShape(this.proposed.chart(), target);
  });
  /** The whole way, in steps. */
  readonly plan = computed(() => {
    const [target, chart, rollUp] = [this.target(), this.proposed.chart(), this.rollUp()];
    const match = this.match();
    if (target === null || match === null) return null;
    const wish = {
      target,
      skipped: this.skipped(),
      struck: this.struck(),
      named: this.routes.named(),
      stake: (id: AccountId) => {
        const node = nodeOf(chart, id);
        return node === undefined ? 0 : Math.abs(rollUp.own(node));
      },
      newId: (index: number) => (this.ids[index] ??= crypto.randomUUID()),
    };
    return planShape(chart, wish, match);
  });
  /** What moves on the statements: nothing, and that is shown. */
  private readonly impact = computed(() => {
    const [plan, rollUp] = [this.plan(), this.rollUp()];
    const before = { chart: this.proposed.chart(), rollUp };
    return plan === null ? null : impactOf(before, { chart: plan.chart, rollUp });
  });
  readonly staysSame = computed(() => {
    const impact = this.impact();
    return impact !== null && impact.sections.length + impact.totals.length === 0;
  });
  /** The statement that is looked at, before and after. */
  readonly rows = computed(() => {
    const plan = this.plan();
    if (plan === null) return [];
    const options = { depth: Infinity, zeroLines: false };
    const build = (chart: Chart) =>
      buildStatement(this.statement(), { chart, rollUp: this.rollUp() }, options);
    return sideBySide(build(this.proposed.chart()), build(plan.chart));
  });

  aimAt(aim: string): void {
    this.asked.set(aim);
    this.struck.set(new Set());
  }

  isSkipped(code: ShapeStepCode): boolean {
    return this.skipped().has(code);
  }

  skip(code: ShapeStepCode): void {
    this.skipped.update((before) => toggled(before, code));
  }

  strike(code: ShapeStepCode, id: AccountId): void {
    this.struck.update((before) => toggled(before, shapeKey(code, id)));
  }

  isStruck(code: ShapeStepCode, id: AccountId): boolean {
    return this.struck().has(shapeKey(code, id));
  }

  /** How many accounts are left alone by hand. */
  readonly struckCount = computed(() => this.struck().size);

  takeAllBack(): void {
    this.struck.set(new Set());
  }

  /** Puts the way in the proposal, a step each, so that each can be dropped by itself. */
  propose(): void {
    for (const { operations } of this.plan()?.steps ?? []) this.proposed.propose(operations);
    this.ids.length = 0;
  }
}

const toggled = <T>(before: ReadonlySet<T>, one: T): ReadonlySet<T> => {
  const after = new Set(before);
  if (!after.delete(one)) after.add(one);
  return after;
};
