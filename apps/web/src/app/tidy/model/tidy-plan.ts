import { computed, DestroyRef, effect, inject, Injectable, signal } from '@angular/core';
import {
  countryOf,
  INDUSTRIES,
  INDUSTRY_CODES,
  shapeKey,
  type AccountId,
  type IndustryCode,
  type ShapeStepCode,
  type StatementCode,
} from '@iunctus/core';
import { Store } from '@ngrx/store';
import { ApiService } from '../../shared/api/api.service';
import { reading, readingOnce } from '../../shared/api/reading';
import type { PickOption } from '../../shared/components/pick.component';
import { ClientRoutes } from '../../workspace/model/client-routes';
import { feedChart } from '../../workspace/model/feed-chart';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { workspaceFeature } from '../../workspace/state/workspace.feature';
import type { Aim, PlanMessage, PlanResult } from '../workers/plan-messages';
import { createPlanWorker } from '../workers/plan-worker.factory';

const KEPT = 'kept ';
const isTrade = (code: string): code is IndustryCode =>
  (INDUSTRY_CODES as readonly string[]).includes(code);

const toggled = <T>(before: ReadonlySet<T>, one: T): ReadonlySet<T> => {
  const after = new Set(before);
  if (!after.delete(one)) after.add(one);
  return after;
};

/** The way from the chart that is open to the shape of another: chosen, looked at, and put in the proposal. */
@Injectable()
export class TidyPlan {
  private readonly api = inject(ApiService);
  private readonly proposed = inject(ProposedChart);
  private readonly routes = inject(ClientRoutes);
  private readonly amounts = inject(Store).selectSignal(workspaceFeature.selectAmounts);
  private readonly worker = createPlanWorker();
  /** The chart whose shape is aimed at: a trade, or one of the practice's own; `null` for the client's own trade. */
  private readonly asked = signal<string | null>(null);
  private readonly skipped = signal<ReadonlySet<ShapeStepCode>>(new Set());
  private readonly struck = signal<ReadonlySet<string>>(new Set());
  readonly statement = signal<StatementCode>('profitAndLoss');
  /** The whole way, in steps; `null` until it is found. */
  readonly plan = signal<PlanResult | null>(null);

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
  private readonly target = computed<Aim | null>(() => {
    const [aim, client, kept] = [this.aim(), this.proposed.client(), this.version.value()];
    if (aim.startsWith(KEPT)) return kept === null ? null : { type: 'kept', kept };
    if (client === null || !isTrade(aim)) return null;
    const { legalForm, country } = client;
    return { type: 'trade', industry: aim, legalForm, country: countryOf(country) };
  });
  /** Whether nothing moves on the statements, which is shown. */
  readonly staysSame = computed(() => this.plan()?.staysSame === true);
  /** The statement that is looked at, before and after. */
  readonly rows = computed(() => this.plan()?.rows ?? []);

  constructor() {
    this.worker.addEventListener('message', ({ data }: MessageEvent<PlanResult | null>) =>
      this.plan.set(data),
    );
    inject(DestroyRef).onDestroy(() => this.worker.terminate());
    feedChart((message) => this.send(message));
    effect(() => this.send({ type: 'amounts', amounts: this.amounts() }));
    effect(() => this.send({ type: 'aim', aim: this.target() }));
    effect(() =>
      this.send({
        type: 'wish',
        wish: {
          skipped: [...this.skipped()],
          struck: [...this.struck()],
          named: [...this.routes.named()],
          statement: this.statement(),
        },
      }),
    );
  }

  private send(message: PlanMessage): void {
    this.worker.postMessage(message);
  }

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
  }
}
