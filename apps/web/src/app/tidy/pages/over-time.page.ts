import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  signal,
  untracked,
} from '@angular/core';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import {
  changeBetween,
  findingWords,
  formatAmount,
  formatTenths,
  SEVERITY_NAMES,
  shortMonths,
  type BookedChartRecord,
  type Finding,
  type Minor,
  type Month,
  type Severity,
} from '@iunctus/core';
import { forkJoin, map, of } from 'rxjs';
import { ApiService } from '../../shared/api/api.service';
import { reading } from '../../shared/api/reading';
import { PictureComponent, type PictureSeries } from '../../shared/components/picture.component';
import { ReadingNoteComponent } from '../../shared/components/reading-note.component';
import { longMonth } from '../../shared/words/period-words';
import { terms } from '../../shared/words/terms';
import { FindingsEngine } from '../../workspace/model/findings-engine';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { HistoryPageActions } from '../../workspace/state/history.actions';
import { historyFeature } from '../../workspace/state/history.feature';
import { workspaceFeature } from '../../workspace/state/workspace.feature';
import type { PastCheck } from '../../workspace/workers/findings-messages';
import { monthsUpTo, revisionAt } from '../model/tidy-months';

/** The colours in which findings are marked everywhere. */
const COLOURS: Readonly<Record<Severity, string>> = {
  wrong: '--bad',
  doubtful: '--amber',
  couldBeNeater: '--ink-3',
};

/** So many findings of a month are said one by one. */
const SAID = 12;

/** How tidy the chart was at the end of each month: the score, what there was, what came and what went. */
@Component({
  selector: 'iu-tidy-over-time-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [PictureComponent, ReadingNoteComponent, RouterLink],
  providers: [FindingsEngine],
  templateUrl: './over-time.page.html',
  styleUrls: ['../../shared/components/place.css', './over-time.page.css'],
})
export class OverTimePage {
  private readonly store = inject(Store);
  private readonly api = inject(ApiService);
  protected readonly engine = inject(FindingsEngine);
  protected readonly proposed = inject(ProposedChart);
  readonly clientId = input.required<string>();

  private readonly revisions = this.store.selectSignal(historyFeature.selectRevisions);
  private readonly historyLoad = this.store.selectSignal(historyFeature.selectLoad);
  private readonly adopted = this.store.selectSignal(workspaceFeature.selectAdopted);
  private readonly period = this.store.selectSignal(workspaceFeature.selectPeriod);
  protected readonly names = SEVERITY_NAMES;
  protected readonly currency = computed(() => this.proposed.client()?.currency ?? 'USD');

  /** The months to be looked at, and the revision in force at the end of each. */
  private readonly wanted = computed(() => {
    const [monthly, period] = [this.engine.monthly.value(), this.period()];
    if (monthly === null || period === null || this.historyLoad().status !== 'ready') return [];
    return monthsUpTo(monthly.first, period.last).map((month) => ({
      month,
      revision: revisionAt(this.revisions(), month),
    }));
  });
  /** The charts of revisions before the one that is adopted. */
  protected readonly past = reading(
    () => {
      const now = this.adopted()?.revision;
      const wanted = this.wanted();
      if (now === undefined || wanted.length === 0) return undefined;
      const numbers = [...new Set(wanted.map(({ revision }) => revision))];
      return { clientId: this.clientId(), numbers: numbers.filter((one) => one !== now) };
    },
    ({ clientId, numbers }) =>
      numbers.length === 0
        ? of(new Map<number, Pick<BookedChartRecord, 'accounts'>>())
        : forkJoin(
            numbers.map((number) => this.api.ask('revisionChart', { clientId, number })),
          ).pipe(
            map((records) => new Map(records.map((record, at) => [numbers[at] ?? 0, record]))),
          ),
  );
  protected readonly checks = computed(() => this.engine.result()?.past ?? []);
  /** Whether the books have none of the months. */
  protected readonly isEmpty = computed(
    () =>
      this.wanted().length === 0 &&
      this.engine.monthly.value() !== null &&
      this.historyLoad().status === 'ready',
  );
  protected readonly isBehind = computed(() => this.checks().length < this.wanted().length);
  /** The newest month first, each beside the one before. */
  protected readonly rows = computed(() => {
    const checks = this.checks();
    return checks
      .map(({ month, revision, check }, at) => {
        const before = checks[at - 1];
        return {
          month,
          revision,
          ...check,
          change: before === undefined ? null : changeBetween(before.check, check),
        };
      })
      .reverse();
  });
  protected readonly labels = computed(() =>
    this.checks().map(({ month }) => shortMonths({ first: month, last: month })),
  );
  protected readonly scores = computed<readonly PictureSeries[]>(() => [
    {
      name: $localize`Without doubt`,
      amounts: this.checks().map(({ check }) => check.score?.part ?? 0),
    },
  ]);
  protected readonly counts = computed<readonly PictureSeries[]>(() =>
    (['wrong', 'doubtful', 'couldBeNeater'] as const).map((severity) => ({
      name: SEVERITY_NAMES[severity],
      colour: COLOURS[severity],
      amounts: this.checks().map(({ check }) => check.counts[severity]),
    })),
  );
  /** The month whose findings are read; unless one is chosen, the newest in which anything came or went. */
  private readonly chosen = signal<Month | null>(null);
  protected readonly open = computed(() => {
    const rows = this.rows();
    const moved = rows.find(
      ({ change }) => change !== null && change.came.length + change.went.length > 0,
    );
    return rows.find(({ month }) => month === this.chosen()) ?? moved ?? rows[0] ?? null;
  });

  constructor() {
    effect(() => {
      const clientId = this.clientId();
      untracked(() => this.store.dispatch(HistoryPageActions.opened({ clientId })));
    });
    effect(() => {
      const [charts, adopted] = [this.past.value(), this.adopted()];
      if (charts === null || adopted === null) return;
      this.engine.months.set(
        this.wanted().map(({ month, revision }) => {
          const record = charts.get(revision);
          const chart = record === undefined ? null : { ...adopted.chart, ...record };
          return { month, revision, chart };
        }),
      );
    });
  }

  protected choose(month: Month | undefined): void {
    if (month !== undefined) this.chosen.set(month);
  }

  protected monthAt(at: number): Month | undefined {
    return this.checks()[at]?.month;
  }

  protected longMonth = longMonth;

  protected part(score: PastCheck['check']['score']): string {
    return score === null ? '–' : `${formatTenths(score.part, 'sign')} %`;
  }

  protected amount(amount: Minor): string {
    return formatAmount(amount, { currency: this.currency(), zero: '–' });
  }

  protected says(findings: readonly Finding[]): readonly string[] {
    const telling = { chart: this.proposed.chart(), terms: terms() };
    return findings.slice(0, SAID).map((finding) => findingWords(finding, telling).says);
  }

  protected more(findings: readonly Finding[]): number {
    return Math.max(findings.length - SAID, 0);
  }
}
