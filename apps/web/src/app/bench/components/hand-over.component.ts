import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { sessionFeature } from '../../session/state/session.feature';
import { ApiService } from '../../shared/api/api.service';
import { readingOnce } from '../../shared/api/reading';
import { PickComponent } from '../../shared/components/pick.component';
import { ReadingNoteComponent } from '../../shared/components/reading-note.component';
import { proposalStateWords } from '../../shared/words/review-words';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { WorkspaceActions } from '../../workspace/state/workspace.actions';
import { workspaceFeature } from '../../workspace/state/workspace.feature';

/** A proposal's name and comment, the page to print, and its way to a colleague. */
@Component({
  selector: 'iu-hand-over',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [PickComponent, ReadingNoteComponent, RouterLink],
  template: `
    @if (stateWords() !== '') {
      <p class="state" [class]="proposal().state" role="status">
        {{ stateWords() }}
        @if (proposal().state === 'handedOver') {
          <button i18n class="button small" type="button" (click)="withdraw()">Take it back</button>
        }
      </p>
    }
    <label class="field">
      <span i18n>What it is called; the revision bears the name</span>
      <input
        class="text"
        maxlength="120"
        autocomplete="off"
        [value]="proposal().name"
        (change)="rename($event)"
      />
    </label>
    <label class="field">
      <span i18n>What you say of it</span>
      <textarea
        class="text"
        rows="3"
        maxlength="2000"
        [value]="proposal().comment"
        (change)="comment($event)"
      ></textarea>
    </label>
    <iu-reading-note [of]="people" waiting="" />
    <div class="ways">
      <a i18n class="button small" [routerLink]="['/clients', clientId(), 'proposal']"
        >Page for the client</a
      >
      @if (proposal().state === 'draft' || proposal().state === 'sentBack') {
        @if (colleagues().length > 0) {
          <iu-pick
            i18n-label
            label="Colleague"
            [options]="colleagues()"
            [picked]="reviewer()"
            (chosen)="chosen.set($event)"
          />
          <button i18n class="button small" type="button" [disabled]="!kept()" (click)="handOver()">
            Hand over for review
          </button>
        }
      }
    </div>
  `,
  styles: `
    :host {
      display: grid;
      gap: 12px;
    }
    .state {
      display: flex;
      align-items: center;
      justify-content: space-between;
      gap: 10px;
      padding: 8px 12px;
      background: var(--plum-wash);
      font-weight: 600;
    }
    .state.approved {
      background: var(--good-wash);
      color: var(--good);
    }
    .state.sentBack {
      background: var(--bad-wash);
      color: var(--bad);
    }
    .ways {
      display: grid;
      grid-template-columns: 1fr auto;
      align-items: center;
      gap: 8px;
    }
    .ways a {
      grid-column: 1 / -1;
      justify-self: start;
    }
  `,
})
export class HandOverComponent {
  private readonly store = inject(Store);
  private readonly proposed = inject(ProposedChart);
  private readonly session = this.store.selectSignal(sessionFeature.selectSession);
  private readonly saving = this.store.selectSignal(workspaceFeature.selectSaving);
  protected readonly proposal = this.store.selectSignal(workspaceFeature.selectProposal);
  private readonly api = inject(ApiService);
  protected readonly people = readingOnce(() => this.api.ask('people', {}));
  protected readonly chosen = signal<string | null>(null);

  protected readonly clientId = computed(() => this.proposed.client()?.id ?? '');
  protected readonly colleagues = computed(() =>
    (this.people.value() ?? [])
      .filter(({ id }) => id !== this.session()?.user.id)
      .map(({ id, name }) => ({ value: id, words: name })),
  );
  protected readonly reviewer = computed(() => this.chosen() ?? this.colleagues()[0]?.value);
  protected readonly kept = computed(() => this.saving() === 'saved');
  protected readonly stateWords = computed(() => proposalStateWords(this.proposal()));

  protected rename(typed: Event): void {
    const name = (typed.target as HTMLInputElement).value.trim();
    this.store.dispatch(
      WorkspaceActions.detailsChanged({ name, comment: this.proposal().comment }),
    );
  }

  protected comment(typed: Event): void {
    const comment = (typed.target as HTMLTextAreaElement).value.trim();
    this.store.dispatch(WorkspaceActions.detailsChanged({ name: this.proposal().name, comment }));
  }

  protected handOver(): void {
    const reviewerId = this.reviewer();
    if (reviewerId !== undefined)
      this.store.dispatch(WorkspaceActions.handOverRequested({ reviewerId }));
  }

  protected withdraw(): void {
    this.store.dispatch(WorkspaceActions.withdrawalRequested());
  }
}
