import { ChangeDetectionStrategy, Component, computed, effect, inject, input } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import type { RevisionAnswer } from '@iunctus/contract';
import { countChanges } from '@iunctus/core';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { WorkspaceActions } from '../../workspace/state/workspace.actions';
import { crosswalkFile, saveAs } from '../../shared/files/crosswalk-file';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';
import { momentWords } from '../../shared/words/period-words';
import { HistoryPageActions } from '../../workspace/state/history.actions';
import { RevisionLinesStore } from '../state/revision-lines.store';
import { historyFeature } from '../../workspace/state/history.feature';
import { counted } from '../../shared/words/counted';

const changesWords = (count: number): string =>
  counted(count, { one: $localize`# change`, other: $localize`# changes` });

/** The chart’s revisions, newest first: who, when, what; each can be taken back. */
@Component({
  selector: 'iu-history-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ProblemNoteComponent, RouterLink],
  providers: [RevisionLinesStore],
  templateUrl: './history.page.html',
  styleUrl: './history.page.css',
})
export class HistoryPage {
  private readonly store = inject(Store);
  private readonly router = inject(Router);
  private readonly proposed = inject(ProposedChart);
  protected readonly opened = inject(RevisionLinesStore);
  readonly clientId = input.required<string>();
  protected readonly load = this.store.selectSignal(historyFeature.selectLoad);
  private readonly all = this.store.selectSignal(historyFeature.selectRevisions);
  protected readonly revisions = computed(() =>
    this.all().map((revision) => ({
      ...revision,
      changes: changesWords(countChanges([revision])),
    })),
  );

  constructor() {
    effect(() => this.store.dispatch(HistoryPageActions.opened({ clientId: this.clientId() })));
  }

  protected when(revision: RevisionAnswer): string {
    return momentWords(revision.adoptedAt);
  }

  protected unfold(event: Event, revision: RevisionAnswer): void {
    if ((event.target as HTMLDetailsElement).open) this.opened.load(this.clientId(), revision);
  }

  protected readonly newest = computed(() => this.revisions()[0]?.number ?? 0);

  /** The crosswalk of a revision, for whoever still has the old numbers. */
  protected download({ number, crosswalk }: RevisionAnswer): void {
    const client = this.proposed.client()?.name ?? $localize`Chart`;
    saveAs(
      $localize`${client} crosswalk of revision ${number}.csv`,
      crosswalkFile(crosswalk, this.proposed.chart(), () => null),
    );
  }

  protected restore({ number }: RevisionAnswer): void {
    this.store.dispatch(WorkspaceActions.restoreRequested({ revision: number }));
    void this.router.navigate(['/clients', this.clientId(), 'chart']);
  }

  protected takeBack({ number }: RevisionAnswer): void {
    this.store.dispatch(WorkspaceActions.takeBackRequested({ revision: number }));
    void this.router.navigate(['/clients', this.clientId(), 'chart']);
  }
}
