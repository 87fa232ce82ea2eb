import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  linkedSignal,
  signal,
} from '@angular/core';
import { traceOf, type Chart, type Sample, type Trace } from '@iunctus/core';
import { RouterLink } from '@angular/router';
import { Rights } from '../../session/state/rights';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { ClientRoutes } from '../../workspace/model/client-routes';
import { LandingBackComponent } from '../components/landing-back.component';
import { SampleFormComponent } from '../components/sample-form.component';
import { TracedPathComponent } from '../components/traced-path.component';

interface Way {
  readonly trace: Trace;
  readonly chart: Chart;
}

/** Where a transaction lands: what decides, the account, the lines of the statement, the line of the return. */
@Component({
  selector: 'iu-trace-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [LandingBackComponent, RouterLink, SampleFormComponent, TracedPathComponent],
  template: `
    <iu-sample-form [chart]="chart()" [sample]="begun()" (changed)="sample.set($event)" />
    @if (sample(); as one) {
      @if (differs()) {
        <h2 i18n>As adopted</h2>
        @if (before(); as way) {
          <iu-traced-path [sample]="one" [trace]="way.trace" [chart]="way.chart" />
        }
        <h2 i18n>As your proposal has it</h2>
      }
      @if (after(); as way) {
        <iu-traced-path [sample]="one" [trace]="way.trace" [chart]="way.chart" />
        @if (rights.may('change')) {
          <a i18n class="button small" routerLink="../proofs" [queryParams]="{ of: asText() }"
            >Make a proof of it</a
          >
        }
      }
    } @else {
      <p i18n class="muted">
        Type the words of a bank line, choose a purpose or an account, and see where it lands: by
        which rule, on which account, on which line of the statement and of the return.
      </p>
    }
    <iu-landing-back />
  `,
  styles: `
    :host {
      display: grid;
      gap: 22px;
    }
    h2 {
      font-size: 17px;
    }
    .button {
      justify-self: start;
    }
  `,
})
export class TracePage {
  private readonly proposed = inject(ProposedChart);
  private readonly client = inject(ClientRoutes);
  protected readonly rights = inject(Rights);
  /** The account with which it begins. */
  readonly account = input<string>();
  /** The proof whose sample it begins with. */
  readonly proof = input<string>();
  protected readonly chart = this.proposed.chart;
  protected readonly begun = linkedSignal<Sample | null>(() => {
    const [accountId, proofId] = [this.account(), this.proof()];
    if (accountId !== undefined) return { by: 'account', accountId };
    const proofs = this.client.routes().proofs;
    return proofs.find(({ id }) => id === proofId)?.content.sample ?? null;
  });
  protected readonly sample = signal<Sample | null>(null);
  protected readonly before = computed(() => this.wayOn(this.proposed.base()));
  protected readonly after = computed(() => this.wayOn(this.chart()));
  /** Whether the proposal makes it land elsewhere. */
  protected readonly differs = computed(
    () => JSON.stringify(this.before()?.trace) !== JSON.stringify(this.after()?.trace),
  );

  protected readonly asText = computed(() => JSON.stringify(this.sample()));

  private wayOn(chart: Chart): Way | null {
    const [sample, filer] = [this.sample(), this.client.filer()];
    if (sample === null || filer === null) return null;
    return { chart, trace: traceOf(sample, { chart, routes: this.client.routes(), filer }) };
  }
}
