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
import { SampleSchema } from '@iunctus/contract';
import * as v from 'valibot';
import { RouterLink } from '@angular/router';
import {
  knownAccount,
  offeredProofs,
  ROUTE_LIMITS,
  titleOf,
  type OfferedProof,
  type Proof,
  type RouteItem,
  type Sample,
} from '@iunctus/core';
import { Rights } from '../../session/state/rights';
import { RowActionsComponent } from '../../shared/components/row-actions.component';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';
import { counted } from '../../shared/words/counted';
import { operationWords } from '../../shared/words/operation-words';
import { BREACH_WORDS, expectedWords, sampleWords } from '../../shared/words/route-words';
import { BooksReader } from '../../workspace/model/books-reader';
import { ClientRoutes } from '../../workspace/model/client-routes';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { StatementEngine } from '../../workspace/model/statement-engine';
import { ProofFormComponent } from '../components/proof-form.component';

interface Row {
  readonly id: string;
  readonly proof: Proof;
  readonly sample: string;
  readonly expected: string;
  /** Why it does not hold; empty while it does. */
  readonly breach: string;
  /** The change that broke it; empty where it did not hold before either. */
  readonly since: string;
}

const sampleIn = (text: string | undefined): Sample | null => {
  try {
    const read = v.safeParse(SampleSchema, JSON.parse(text ?? 'null'));
    return read.success ? read.output : null;
  } catch {
    return null;
  }
};

/** Sample transactions and where each must land, held against the chart as proposed. */
@Component({
  selector: 'iu-proofs-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ProblemNoteComponent, ProofFormComponent, RouterLink, RowActionsComponent],
  templateUrl: './proofs.page.html',
  styleUrl: './proofs.page.css',
})
export class ProofsPage {
  private readonly proposed = inject(ProposedChart);
  private readonly engine = inject(StatementEngine);
  protected readonly rights = inject(Rights);
  protected readonly reader = inject(BooksReader);
  protected readonly client = inject(ClientRoutes);
  /** The proof that is open in the form, under its id; without one for a new one. */
  protected readonly open = signal<{ readonly id: string; readonly proof: Proof | null } | null>(
    null,
  );

  /** A sample of which a proof is to be made, as a trace hands it over. */
  readonly of = input<string>();
  protected readonly begun = computed(() => sampleIn(this.of()));

  constructor() {
    effect(() => {
      if (this.begun() !== null) untracked(() => this.begin());
    });
  }

  private readonly broken = computed(
    () => new Map(this.engine.proofs().broken.map((one) => [one.proofId, one])),
  );
  private readonly operations = computed(() =>
    this.proposed.steps().flatMap((step) => step.operations),
  );
  protected readonly rows = computed<readonly Row[]>(() =>
    this.client
      .routes()
      .proofs.map(({ id, content }) => this.rowOf(id, content))
      .toSorted((one, other) => Number(other.breach !== '') - Number(one.breach !== '')),
  );
  protected readonly brokenCount = computed(
    () => this.rows().filter(({ breach }) => breach !== '').length,
  );
  protected readonly holdWords = computed(() =>
    counted(this.rows().length - this.brokenCount(), {
      one: $localize`# holds`,
      other: $localize`# hold`,
    }),
  );
  protected readonly brokenWords = computed(() =>
    counted(this.brokenCount(), { one: $localize`# does not`, other: $localize`# do not` }),
  );
  /** Routes that the proposal leaves without an account. */
  protected readonly lost = computed(() =>
    this.engine.proofs().lost.map(({ accountId }) => this.called(accountId)),
  );
  protected readonly offered = computed<readonly OfferedProof[]>(() => {
    const filer = this.client.filer();
    if (filer === null) return [];
    return offeredProofs({ chart: this.proposed.chart(), routes: this.client.routes(), filer });
  });
  protected readonly offerWords = computed(() =>
    counted(this.offered().length, {
      one: $localize`Take # that is offered`,
      other: $localize`Take # that are offered`,
    }),
  );
  protected readonly blocks = computed(() => this.client.routes().gate?.content.blocks ?? false);

  private readonly called = (id: string): string => {
    const account = knownAccount(this.proposed.chart(), id);
    return account === undefined ? this.reader.titleOf(id) : titleOf(account);
  };

  private sampleOf({ sample }: Pick<Proof, 'sample'>): string {
    return sampleWords(sample, {
      currency: this.reader.currency(),
      called: this.called,
      partyName: (id) =>
        this.client.routes().parties.find((party) => party.id === id)?.content.name ?? '',
    });
  }

  private rowOf(id: string, proof: Proof): Row {
    const outcome = this.broken().get(id);
    const operation = outcome?.since == null ? undefined : this.operations()[outcome.since];
    return {
      id,
      proof,
      sample: this.sampleOf(proof),
      expected: expectedWords(proof.expected, this.called),
      breach: outcome === undefined ? '' : BREACH_WORDS[outcome.breach],
      since:
        operation === undefined
          ? ''
          : operationWords(operation, this.proposed.base(), this.proposed.chart()),
    };
  }

  protected begin(id: string = crypto.randomUUID(), proof: Proof | null = null): void {
    this.open.set({ id, proof });
  }

  protected async keep(proof: Proof): Promise<void> {
    const open = this.open();
    if (open !== null && (await this.client.keep(proof, open.id))) this.open.set(null);
  }

  protected takeOffered(): void {
    const items = this.offered().map((offer): RouteItem => ({
      id: crypto.randomUUID(),
      content: { type: 'proof', name: this.nameOf(offer), ...offer },
    }));
    void this.client.keepAll(items);
  }

  private nameOf(offer: OfferedProof): string {
    return `${this.sampleOf(offer)}: ${expectedWords(offer.expected, this.called)}`.slice(
      0,
      ROUTE_LIMITS.name,
    );
  }

  protected block(blocks: boolean): void {
    void this.client.keep({ type: 'gate', blocks }, this.client.routes().gate?.id);
  }
}
