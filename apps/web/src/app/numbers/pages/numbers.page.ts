import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { workspaceFeature } from '../../workspace/state/workspace.feature';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';
import { PlanFormComponent } from '../components/plan-form.component';
import { RenumberingComponent } from '../components/renumbering.component';
import { NumbersModel } from '../model/numbers-model';

/** The place for numbers: the plan on the left, a renumbering to it on the right. */
@Component({
  selector: 'iu-numbers-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [PlanFormComponent, ProblemNoteComponent, RenumberingComponent, RouterLink],
  providers: [NumbersModel],
  template: `
    <main>
      <h1 i18n class="visually-hidden">Numbers</h1>
      @let state = load();
      @if (state.status === 'failed') {
        <div class="middle"><iu-problem-note [problem]="state.problem" /></div>
      } @else if (
        state.status === 'noChart' || (state.status === 'ready' && proposed.count() === 0)
      ) {
        <div class="middle">
          <h2 i18n>No accounts to number yet</h2>
          <p i18n class="muted">
            The number plan and renumbering belong to a chart. Begin one first.
          </p>
          <a i18n class="button primary" routerLink="../start">Start a chart</a>
        </div>
      } @else if (state.status === 'ready') {
        <div class="both">
          <section class="plan" i18n-aria-label aria-label="Number plan"><iu-plan-form /></section>
          <section class="renumbering" i18n-aria-label aria-label="Renumbering">
            <iu-renumbering (proposed)="toBench()" />
          </section>
        </div>
      }
    </main>
  `,
  styles: `
    :host {
      display: block;
      min-height: 0;
    }
    main {
      height: 100%;
    }
    .both {
      display: grid;
      grid-template-columns: 650px minmax(0, 1fr);
      height: 100%;
      min-height: 0;
    }
    section {
      min-height: 0;
      padding: 22px 24px;
    }
    .plan {
      overflow: auto;
      border-right: 1px solid var(--rule);
    }
    .middle {
      display: grid;
      justify-items: start;
      gap: 12px;
      max-width: 460px;
      margin: 90px auto;
    }
  `,
})
export class NumbersPage {
  protected readonly proposed = inject(ProposedChart);
  private readonly router = inject(Router);
  private readonly store = inject(Store);
  protected readonly load = this.store.selectSignal(workspaceFeature.selectLoad);

  /** The bench shows what a renumbering changes, row by row. */
  protected toBench(): void {
    void this.router.navigate(['/clients', this.proposed.client()?.id, 'chart']);
  }
}
