import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  untracked,
} from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import {
  chartOf,
  findingWords,
  formatTenths,
  SEVERITY_NAMES,
  tidiedBetween,
  type Chart,
  type Finding,
  type Renamed,
} from '@iunctus/core';
import { MovedTotalsComponent } from '../../shared/components/moved-totals.component';
import { PickComponent } from '../../shared/components/pick.component';
import { ReadingNoteComponent } from '../../shared/components/reading-note.component';
import { today } from '../../shared/dates/today';
import { changeWords } from '../../shared/words/change-words';
import { longPeriod, writtenWhen } from '../../shared/words/period-words';
import { terms } from '../../shared/words/terms';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { HistoryPageActions } from '../../workspace/state/history.actions';
import { historyFeature } from '../../workspace/state/history.feature';
import { workspaceFeature } from '../../workspace/state/workspace.feature';
import { FindingsEngine } from '../../workspace/model/findings-engine';
import { sinceChoices, usualSince } from '../model/report-choices';

/** What is left is listed up to so many. */
const LEFT = 25;

/** What was found, what was done, what it changes on the statements, and the crosswalk: to be handed to the client. */
@Component({
  selector: 'iu-tidy-report-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MovedTotalsComponent, PickComponent, ReadingNoteComponent, RouterLink],
  providers: [FindingsEngine],
  templateUrl: './report.page.html',
  styleUrls: ['../../shared/components/paper.css', './report.page.css'],
})
export class ReportPage {
  private readonly store = inject(Store);
  private readonly router = inject(Router);
  protected readonly engine = inject(FindingsEngine);
  protected readonly proposed = inject(ProposedChart);
  readonly clientId = input.required<string>();
  /** The revision since which the chart was tidied. */
  readonly since = input<string>();

  private readonly revisions = this.store.selectSignal(historyFeature.selectRevisions);
  private readonly adopted = this.store.selectSignal(workspaceFeature.selectAdopted);
  private readonly period = this.store.selectSignal(workspaceFeature.selectPeriod);
  protected readonly choices = computed(() => sinceChoices(this.revisions()));
  protected readonly from = computed(() => {
    const [since, adopted] = [this.since(), this.adopted()];
    if (since !== undefined) return Number(since);
    return adopted === null ? null : usualSince(adopted.revision, this.proposed.changes());
  });
  protected readonly picked = computed(() => String(this.from() ?? ''));
  protected readonly severityNames = SEVERITY_NAMES;

  private readonly before = computed<Chart | null>(() => {
    const record = this.engine.before.value();
    return record === null ? null : chartOf(record);
  });
  protected readonly read = computed(() => {
    const [result, before] = [this.engine.result(), this.before()];
    if (result === null || result.since === null || before === null) return null;
    const after = this.proposed.chart();
    const tidied = tidiedBetween(
      { chart: before, findings: result.since.findings },
      { chart: after, findings: result.findings },
    );
    const worse = result.findings.filter(({ severity }) => severity !== 'couldBeNeater');
    return {
      ...tidied,
      impact: result.since.impact,
      scores: [result.since.score, result.score].map((score) =>
        score === null ? '–' : `${formatTenths(score.part, 'sign')} %`,
      ),
      ended: tidied.ended.map((finding) => this.says(finding, before)),
      left: worse.slice(0, LEFT).map((finding) => this.says(finding, after)),
      more: Math.max(worse.length - LEFT, 0),
    };
  });
  protected readonly currency = computed(() => this.proposed.client()?.currency ?? 'USD');
  protected readonly moves = computed(() => {
    const impact = this.read()?.impact;
    return impact !== undefined && impact.sections.length + impact.totals.length > 0;
  });
  protected readonly profitStays = computed(
    () => this.read()?.impact.totals.every(({ code }) => code !== 'netProfit') === true,
  );
  protected readonly caption = computed(() => {
    const period = this.period();
    return period === null ? '' : `${longPeriod(period)}, ${this.currency()}`;
  });
  protected readonly day = computed(() => writtenWhen(today(), this.proposed.dateOrder()));

  constructor() {
    effect(() => {
      const clientId = this.clientId();
      untracked(() => this.store.dispatch(HistoryPageActions.opened({ clientId })));
    });
    effect(() => this.engine.sinceRevision.set(this.from()));
  }

  protected choose(since: string): void {
    void this.router.navigate([], { queryParams: { since }, replaceUrl: true });
  }

  protected print(): void {
    window.print();
  }

  /** What became of an account, in a few words. */
  protected what({ difference }: Renamed): string {
    const before = this.before();
    if (before === null) return '';
    switch (difference.type) {
      case 'gone':
        return $localize`removed; nothing was ever posted to it`;
      case 'merged':
        return $localize`counts there now, with its history`;
      default:
        return changeWords(difference, before);
    }
  }

  private says(finding: Finding, chart: Chart): string {
    return findingWords(finding, { chart, terms: terms() }).says;
  }
}
