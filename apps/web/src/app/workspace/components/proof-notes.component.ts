import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import {
  applyAll,
  brokenBy,
  knownAccount,
  lostBetween,
  standingsLost,
  titleOf,
  type BrokenProof,
  type ProposalStep,
} from '@iunctus/core';
import { operationWords } from '../../shared/words/operation-words';
import { BREACH_WORDS } from '../../shared/words/route-words';
import { ClientRoutes } from '../model/client-routes';
import { ProposedChart } from '../model/proposed-chart';

/** What a proposal does to the proofs and routes of a client: which it breaks, by which change. Nothing where it breaks none. */
@Component({
  selector: 'iu-proof-notes',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (notes().length > 0) {
      <h3 i18n>What it breaks of routes and standing entries</h3>
      <ul>
        @for (note of notes(); track note) {
          <li>{{ note }}</li>
        }
      </ul>
    }
  `,
  styles: `
    h3 {
      margin-top: 16px;
    }
    ul {
      margin: 4px 0 0;
      padding-left: 18px;
    }
    li {
      color: var(--bad);
    }
  `,
})
export class ProofNotesComponent {
  private readonly client = inject(ClientRoutes);
  private readonly proposed = inject(ProposedChart);
  readonly steps = input.required<readonly ProposalStep[]>();

  private readonly after = computed(() => {
    const operations = this.steps().flatMap((step) => step.operations);
    const outcome = applyAll(this.proposed.base(), operations);
    return { operations, chart: outcome.ok ? outcome.chart : this.proposed.base() };
  });
  protected readonly notes = computed<readonly string[]>(() => {
    const filer = this.client.filer();
    if (filer === null) return [];
    const base = this.proposed.base();
    const { operations, chart } = this.after();
    const routes = this.client.routes();
    const broken = brokenBy({ base, operations, chart }, { routes, filer });
    const lost = lostBetween(this.client.items(), { before: base, after: chart });
    return [
      ...broken.filter(({ since }) => since !== null).map((one) => this.brokenWords(one)),
      ...lost.map(({ accountId }) => this.lostWords(accountId)),
      ...standingsLost(this.client.standings.value() ?? [], { before: base, after: chart }).map(
        ({ name }) => $localize`The standing entry “${name}” is left without an account.`,
      ),
    ];
  });

  private brokenWords({ proofId, breach, since }: BrokenProof): string {
    const proof = this.client.routes().proofs.find(({ id }) => id === proofId);
    const { operations, chart } = this.after();
    const operation = since === null ? undefined : operations[since];
    const name = proof?.content.name ?? '';
    const words = $localize`The proof “${name}” breaks: ${BREACH_WORDS[breach]}`;
    if (operation === undefined) return `${words}.`;
    return $localize`${words}, since: ${operationWords(operation, this.proposed.base(), chart)}.`;
  }

  private lostWords(accountId: string): string {
    const named = knownAccount(this.proposed.base(), accountId);
    return $localize`A route to ${named === undefined ? '' : titleOf(named)} is left without an account.`;
  }
}
