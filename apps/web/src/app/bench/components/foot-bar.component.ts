import { ChangeDetectionStrategy, Component, computed, inject, output } from '@angular/core';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { formatAmount, subtract, type Minor } from '@iunctus/core';
import { ConnectionService } from '../../shared/api/connection.service';
import { counted } from '../../shared/words/counted';
import { savingWords } from '../../shared/words/saving-words';
import { proposalStateWords } from '../../shared/words/review-words';
import { Rights } from '../../session/state/rights';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { ChartView } from '../../workspace/model/chart-view';
import { StatementEngine } from '../../workspace/model/statement-engine';
import { isSaved } from '../../workspace/state/proposal-state';
import { workspaceFeature } from '../../workspace/state/workspace.feature';
import { terms } from '../../shared/words/terms';

interface Mover {
  readonly words: string;
  readonly amount: string;
}

/** The sum of a proposal at the foot of the bench: how many changes, what moves, what holds. */
@Component({
  selector: 'iu-foot-bar',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterLink],
  template: `
    <div class="sum" aria-live="polite">
      @if (view.marks().size > 0) {
        <span i18n class="chip plain">{{ view.marks().size }} chosen</span>
        <span i18n class="muted"
          ><kbd>Space</kbd> changes them together, <kbd>M</kbd> moves, <kbd>G</kbd> merges,
          <kbd>Delete</kbd> removes, <kbd>Esc</kbd> lets go</span
        >
      } @else if (!mayChange) {
        <span i18n class="muted"
          >You read and review here. <kbd>?</kbd> shows all keys, <kbd>Ctrl K</kbd> finds
          anything.</span
        >
      } @else if (changes() === 0 && conflicts() === 0) {
        <span i18n class="muted"
          >No changes. <kbd>N</kbd> adds an account, <kbd>Enter</kbd> edits the row,
          <kbd>?</kbd> shows all keys.</span
        >
      } @else if (changes() > 0) {
        <span i18n class="chip"
          >{{ changes() }} {changes(), plural, =1 {change} other {changes}}</span
        >
        @for (mover of movers(); track mover.words) {
          <span class="mover"
            ><span class="muted">{{ mover.words }}</span>
            <span class="chip">{{ mover.amount }}</span></span
          >
        }
        @if (more() > 0) {
          <span i18n class="muted">and {{ more() }} more</span>
        }
        @if (!profitMoves()) {
          <span i18n class="chip good">Net profit stays</span>
        }
      }
      @if (proofsWords(); as words) {
        <a
          class="chip"
          [class.good]="proofsHold()"
          [class.bad]="!proofsHold()"
          routerLink="../routes/proofs"
          >{{ words }}</a
        >
      }
      @if (conflicts() > 0) {
        <span i18n class="chip bad">{{ conflicts() }} no longer fit</span>
      }
      <span i18n class="chip" [class.good]="engine.balanced()" [class.bad]="!engine.balanced()">
        @if (engine.balanced()) {
          In balance
        } @else {
          Balance sheet does not balance
        }
      </span>
    </div>
    @if (stateWords() !== '') {
      <button class="state" type="button" (click)="review.emit()">{{ stateWords() }}</button>
    }
    <span class="saving muted" role="status">{{ savingWords() }}</span>
    @if (mayChange) {
      <button
        i18n
        class="button"
        type="button"
        [disabled]="changes() === 0 && conflicts() === 0"
        (click)="review.emit()"
      >
        Review
      </button>
      <button
        i18n
        class="button primary"
        type="button"
        [disabled]="changes() === 0 || adopting()"
        (click)="adopt.emit()"
      >
        Adopt <kbd>Ctrl ↵</kbd>
      </button>
    }
  `,
  styles: `
    :host {
      display: flex;
      align-items: center;
      gap: 9px;
      padding: 0 18px;
      border-top: 1px solid var(--rule);
      background: var(--sheet);
    }
    .sum {
      display: flex;
      flex: 1;
      align-items: center;
      gap: 8px;
      min-width: 0;
      overflow: hidden;
      white-space: nowrap;
    }
    a.chip {
      text-decoration: none;
    }
    .mover {
      display: inline-flex;
      align-items: center;
      gap: 5px;
    }
    .state {
      overflow: hidden;
      max-width: 260px;
      padding: 2px 8px;
      border: 1px solid var(--amber);
      border-radius: 3px;
      background: var(--amber-wash);
      color: var(--amber-ink);
      font-weight: 600;
      text-overflow: ellipsis;
      white-space: nowrap;
    }
    .saving {
      font-size: 12px;
    }
    @media screen and (max-width: 1180px) {
      .mover ~ .mover ~ .mover {
        display: none;
      }
    }
    @media screen and (max-width: 700px) {
      .mover,
      .sum .muted,
      .sum .chip.good {
        display: none;
      }
    }
  `,
})
export class FootBarComponent {
  private readonly proposed = inject(ProposedChart);
  protected readonly view = inject(ChartView);
  protected readonly engine = inject(StatementEngine);
  protected readonly mayChange = inject(Rights).may('change');
  private readonly store = inject(Store);
  private readonly proposal = this.store.selectSignal(workspaceFeature.selectProposal);
  private readonly trouble = inject(ConnectionService).trouble;
  protected readonly adopting = this.store.selectSignal(workspaceFeature.selectAdopting);
  readonly review = output();
  readonly adopt = output();

  protected readonly changes = this.proposed.changes;
  protected readonly conflicts = computed(() => this.proposal().conflicts.length);
  private readonly all = computed<readonly Mover[]>(() => {
    const { sections, totals } = this.engine.impact();
    return [
      ...sections.map((moved) => this.mover(terms().sections[moved.code], moved)),
      ...totals.map((moved) => this.mover(terms().totals[moved.code], moved)),
    ];
  });
  protected readonly movers = computed(() => this.all().slice(0, 3));
  protected readonly more = computed(() => this.all().length - this.movers().length);
  protected readonly proofsHold = computed(() => {
    const { broken, lost } = this.engine.proofs();
    return broken.length + lost.length === 0;
  });
  /** How the proofs stand, and whether routes lose their account; empty where there is nothing to say. */
  protected readonly proofsWords = computed(() => {
    const { all, broken, lost } = this.engine.proofs();
    if (broken.length > 0)
      return counted(broken.length, {
        one: $localize`# proof breaks`,
        other: $localize`# proofs break`,
      });
    if (lost.length > 0)
      return counted(lost.length, {
        one: $localize`# route leads nowhere`,
        other: $localize`# routes lead nowhere`,
      });
    if (all === 0) return '';
    return counted(all, { one: $localize`# proof holds`, other: $localize`# proofs hold` });
  });
  protected readonly profitMoves = computed(() =>
    this.engine.impact().totals.some(({ code }) => code === 'netProfit'),
  );
  /** That it is with a colleague, was approved or sent back; the review says more. */
  protected readonly stateWords = computed(() => proposalStateWords(this.proposal()));
  protected readonly savingWords = computed(() => {
    const proposal = this.proposal();
    if (isSaved(proposal) && this.changes() === 0) return '';
    return savingWords({
      saved: isSaved(proposal),
      problem: proposal.saveProblem,
      waiting: this.trouble() !== null,
    });
  });

  private mover(words: string, { before, after }: { before: Minor; after: Minor }): Mover {
    const currency = this.proposed.client()?.currency ?? 'USD';
    return {
      words,
      amount: formatAmount(subtract(after, before), { currency, negatives: 'sign' }),
    };
  }
}
