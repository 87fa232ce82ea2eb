import { computed, inject, Injectable, signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { Store } from '@ngrx/store';
import type { PostingsAnswer, SplitsAnswer } from '@iunctus/contract';
import { nodeOf, planSplit, type SplitPlan, type SplitPart, pendingSplits } from '@iunctus/core';
import { catchError, debounceTime, map, of, startWith, switchMap } from 'rxjs';
import { ApiService } from '../../shared/api/api.service';
import { problemOf, type ApiProblem } from '../../shared/api/problem';
import { workspaceFeature } from '../../workspace/state/workspace.feature';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { ChartView } from '../../workspace/model/chart-view';

/** What was asked of the server: on its way, answered, or failed. */
type Asked<T> =
  | { readonly status: 'asking' }
  | { readonly status: 'answered'; readonly answer: T }
  | { readonly status: 'failed'; readonly problem: ApiProblem };

const ASKING = { status: 'asking' } as const;

/** What a part of a split moves. */
export interface PartSeen {
  readonly postings: number;
  readonly total: number;
  readonly newest: SplitsAnswer[number]['newest'];
}

/** Stands for a name that is not typed yet; no account is called so. */
const NAMELESS = '\u2063';

/** How long typing rests before the server is asked, in milliseconds. */
const REST = 200;

/** The account at the cursor while it is split: what its postings are, and what the typed parts would move. */
@Injectable()
export class SplitLook {
  private readonly proposed = inject(ProposedChart);
  private readonly view = inject(ChartView);
  private readonly api = inject(ApiService);
  private readonly balances = inject(Store).selectSignal(workspaceFeature.selectBalances);
  readonly parts = signal<readonly SplitPart[]>([]);

  private readonly id = this.view.cursor() ?? '';
  readonly node = computed(() => nodeOf(this.proposed.chart(), this.id));
  private readonly clientId = this.proposed.client()?.id ?? '';

  readonly facts = toSignal<Asked<PostingsAnswer>>(
    this.api
      .ask('postings', {
        clientId: this.clientId,
        body: { accounts: [this.id, ...(this.node()?.absorbed ?? [])] },
      })
      .pipe(
        map((answer) => ({ status: 'answered', answer }) as const),
        catchError((error: unknown) =>
          of({ status: 'failed', problem: problemOf(error) } as const),
        ),
        startWith(ASKING),
      ),
  );

  /** The operations that the parts come to, or why they do not. */
  readonly plan = computed(() => this.planned(this.parts()));

  /** The same with a name for every part, so that postings are seen before names are typed. */
  readonly named = computed(() =>
    this.planned(
      this.parts().map((part, index) =>
        part.name.trim() === '' ? { ...part, name: `${NAMELESS} ${index}` } : part,
      ),
    ),
  );

  private readonly question = computed(() => {
    const [plan, period] = [this.named(), this.balances()];
    const pending = pendingSplits(this.proposed.steps());
    if (period === null || !plan.ok || plan.accounts.length === 0) return null;
    const own = plan.operations.flatMap((one) => (one.type === 'split' ? one.split : []));
    const { first, last } = period;
    const splits = [...pending.splits, ...own];
    return { own, request: { first, last, splits, without: [...pending.without] } };
  });

  /** What each part moves; `null` while that is being asked. */
  readonly seen = toSignal(
    toObservable(this.question).pipe(
      debounceTime(REST),
      switchMap((question) => {
        if (question === null) return of([]);
        return this.api.ask('splits', { clientId: this.clientId, body: question.request }).pipe(
          map((answer) => this.byPart(answer.slice(-question.own.length))),
          catchError((error: unknown) => {
            this.problem.set(problemOf(error));
            return of([]);
          }),
          startWith(null),
        );
      }),
    ),
    { initialValue: null },
  );
  readonly problem = signal<ApiProblem | null>(null);

  private planned(parts: readonly SplitPart[]): SplitPlan {
    const newId = () => crypto.randomUUID();
    return planSplit(this.proposed.chart(), { id: this.id, parts, newId });
  }

  /** Each part has one split for the account and one for everything that was merged into it. */
  private byPart(answer: SplitsAnswer): readonly PartSeen[] {
    const each = 1 + (this.node()?.absorbed.length ?? 0);
    return Array.from({ length: answer.length / each }, (_part, index) => {
      const own = answer.slice(index * each, (index + 1) * each);
      return {
        postings: own.reduce((so, one) => so + one.postings, 0),
        total: own.reduce((so, one) => so + one.total, 0),
        newest: own.flatMap((one) => one.newest).slice(0, 3),
      };
    });
  }
}
