import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  output,
  signal,
} from '@angular/core';
import type { OriginAnswer } from '@iunctus/contract';
import {
  bringVersion,
  startFromKept,
  type Chart,
  type Origin,
  type ProposalStep,
  type StartingGroup,
} from '@iunctus/core';
import { Store } from '@ngrx/store';
import { catchError, EMPTY, forkJoin } from 'rxjs';
import { WorkspaceActions } from '../../workspace/state/workspace.actions';
import { ApiService } from '../../shared/api/api.service';
import { problemOf, type ApiProblem } from '../../shared/api/problem';
import { reading, readingOnce } from '../../shared/api/reading';
import type { ChosenStart } from '../model/chosen-start';
import { PickComponent } from '../../shared/components/pick.component';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';
import { ReadingNoteComponent } from '../../shared/components/reading-note.component';

const newId = (): string => crypto.randomUUID();

/** Beginning from one of the practice's own charts, or bringing its newer version to a chart that did. */
@Component({
  selector: 'iu-kept-start',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [PickComponent, ProblemNoteComponent, ReadingNoteComponent],
  template: `
    <iu-reading-note [of]="living() ? from : kept" waiting="" />
    @if (!living() && charts().length > 0) {
      <fieldset>
        <legend i18n>Or from one of the practice’s own</legend>
        <iu-pick
          i18n-label
          label="Begin from the practice’s chart"
          i18n-placeholder
          placeholder="Begin from …"
          [options]="choices()"
          [picked]="chosenKey()"
          (chosen)="choose($event)"
        />
      </fieldset>
    }
    @if (living() && origin(); as from) {
      <div class="origin">
        <p i18n>
          This chart began from <strong>{{ from.name }}</strong>, version {{ from.version }}.
          @if (from.latest > from.version) {
            Version {{ from.latest }} is there.
          }
        </p>
        @if (from.latest > from.version) {
          <button i18n class="button" type="button" (click)="bring(from)">
            Propose what version {{ from.latest }} changes
          </button>
        }
        @if (left() > 0) {
          <p i18n class="muted" role="status">
            {{ left() }} {left(), plural, =1 {change is} other {changes are}} left out: this client
            has it its own way.
          </p>
        }
      </div>
    }
    @if (problem(); as found) {
      <iu-problem-note [problem]="found" />
    }
  `,
  styles: `
    fieldset {
      display: grid;
      gap: 8px;
      margin: 20px 0 0;
      padding: 0;
      border: 0;
    }
    legend {
      margin-bottom: 8px;
      padding: 0;
      font: 600 15px var(--serif);
    }
    .origin {
      display: grid;
      justify-items: start;
      gap: 10px;
      margin-top: 16px;
      padding: 12px 14px;
      border-left: 3px solid var(--plum-2);
      background: var(--plum-wash);
    }
  `,
})
export class KeptStartComponent {
  private readonly api = inject(ApiService);
  private readonly store = inject(Store);
  readonly clientId = input.required<string>();
  readonly chart = input.required<Chart>();
  readonly living = input.required<boolean>();
  /** The starting chart of the client's legal form and country, whose equity a chosen chart takes. */
  readonly groups = input.required<readonly StartingGroup[]>();
  /** Which chart is chosen to begin from; `null` for none. */
  readonly chosenKey = input.required<string | null>();
  /** A chart was chosen, or none any more. */
  readonly chosen = output<ChosenStart | null>();
  /** What a newer version brings, to be proposed. */
  readonly proposed = output<ProposalStep>();

  protected readonly kept = readingOnce(() => this.api.ask('keptCharts', {}));
  protected readonly charts = computed(() => this.kept.value() ?? []);
  protected readonly choices = computed(() => [
    { value: '', words: $localize`Begin from none of them` },
    ...this.charts().map(({ id, name, versions: [newest] }) => ({
      value: id,
      words: $localize`${name}, version ${newest?.number}, ${newest?.accounts} accounts`,
    })),
  ]);
  protected readonly from = reading(
    () => this.clientId(),
    (clientId) => this.api.ask('origin', { clientId }),
  );
  protected readonly origin = this.from.value;
  /** Changes of the newer version that were not brought. */
  protected readonly left = signal(0);
  protected readonly problem = signal<ApiProblem | null>(null);

  protected choose(id: string): void {
    const one = this.charts().find((chart) => chart.id === id);
    const version = one?.versions[0]?.number;
    if (one === undefined || version === undefined) return this.chosen.emit(null);
    this.api
      .ask('keptVersion', { keptChartId: id, number: version })
      .pipe(catchError((error: unknown) => this.failed(error)))
      .subscribe((kept) => {
        const { operations, origin: ids } = startFromKept(kept, { newId, groups: this.groups() });
        const title = $localize`${one.name}, version ${version}`;
        this.chosen.emit({ key: id, title, operations, origin: { keptChartId: id, version, ids } });
      });
  }

  protected bring(from: NonNullable<OriginAnswer>): void {
    const { keptChartId, name, version, latest, ids } = from;
    forkJoin([
      this.api.ask('keptVersion', { keptChartId, number: version }),
      this.api.ask('keptVersion', { keptChartId, number: latest }),
    ])
      .pipe(catchError((error: unknown) => this.failed(error)))
      .subscribe(([older, newer]) => {
        const brought = bringVersion(this.chart(), { older, newer }, { origin: ids, newId });
        this.left.set(brought.left);
        const { left } = brought;
        this.settle(
          brought.operations,
          { keptChartId, version: latest, ids: brought.origin },
          // The page goes on to the chart, which tells it.
          () =>
            this.store.dispatch(WorkspaceActions.versionBrought({ name, version: latest, left })),
        );
      });
  }

  /** Notes where the chart comes from once the step is adopted, and proposes it. */
  private settle(
    operations: ProposalStep['operations'],
    origin: { keptChartId: string; version: number; ids: Origin },
    then: () => void,
  ): void {
    // Nothing of it fits here: what was left out says so.
    if (operations.length === 0) return;
    const step = { id: newId(), operations };
    this.api
      .ask('setOrigin', {
        clientId: this.clientId(),
        body: { ...origin, stepId: step.id, ids: { ...origin.ids } },
      })
      .pipe(catchError((error: unknown) => this.failed(error)))
      .subscribe(() => {
        this.proposed.emit(step);
        then();
      });
  }

  private failed(error: unknown): typeof EMPTY {
    this.problem.set(problemOf(error));
    return EMPTY;
  }
}
