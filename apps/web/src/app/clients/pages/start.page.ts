import { OneOfComponent } from '../../shared/components/one-of.component';
import { NgTemplateOutlet } from '@angular/common';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  linkedSignal,
  signal,
} from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { Router, RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import type { ClientNature, IndustriesAnswer } from '@iunctus/contract';
import {
  accountCount,
  channelCountsOf,
  chartOf,
  composeStartingChart,
  COUNTRIES,
  countryOf,
  effectsOf,
  exemptionOf,
  findTrades,
  INDUSTRIES,
  INDUSTRY_CODES,
  LEGAL_FORMS,
  isAskedIn,
  legalFormFor,
  legalFormsIn,
  namesThere,
  planStartingInto,
  startingCount,
  startingOperations,
  takeOver,
  TOPICS,
  unwantedNames,
  usualAnswers,
  withoutStruck,
  type CountryCode,
  type IndustryCode,
  type LegalForm,
  type Operation,
  type Refusal,
  type StartingAnswers,
  type StartingChoice,
} from '@iunctus/core';
import { debounceTime } from 'rxjs';
import { ApiService } from '../../shared/api/api.service';
import { reading } from '../../shared/api/reading';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { WorkspaceActions } from '../../workspace/state/workspace.actions';
import { workspaceFeature } from '../../workspace/state/workspace.feature';
import { FocusFirstDirective } from '../../shared/components/focus-first.directive';
import { COUNTRY_WORDS, legalFormWords, natureWords } from '../../shared/words/client-words';
import { refusalWords } from '../../shared/words/refusal-words';
import { ClientsPageActions } from '../state/clients.actions';
import { clientsFeature } from '../state/clients.feature';
import { KeptStartComponent } from '../components/kept-start.component';
import { QuestionsFormComponent } from '../components/questions-form.component';
import { PickComponent } from '../../shared/components/pick.component';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';
import { ReadingNoteComponent } from '../../shared/components/reading-note.component';
import { problemOf, type ApiProblem } from '../../shared/api/problem';
import { ChosenPreviewComponent } from '../components/chosen-preview.component';
import type { ChosenStart } from '../model/chosen-start';
import { StartingPreviewComponent } from '../components/starting-preview.component';

/** What the usual answers depend on. */
type StartingPlace = Required<Pick<StartingChoice, 'industry' | 'country'>>;

/** The usual answers; those that were given stay where only the country is another, but for its taxes. */
const answersIn = (
  { industry, country }: StartingPlace,
  former?: StartingPlace,
  given?: StartingAnswers,
): StartingAnswers => {
  const usual = usualAnswers(industry, country);
  if (given === undefined || former?.industry !== industry) return usual;
  const { salesTax, provincialTax } = usual.has;
  return { ...given, has: { ...given.has, salesTax, provincialTax } };
};

/** Choosing a starting chart: trade, legal form, country and answers, and the accounts that they give. */
@Component({
  selector: 'iu-start-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    OneOfComponent,
    ChosenPreviewComponent,
    NgTemplateOutlet,
    FocusFirstDirective,
    PickComponent,
    ProblemNoteComponent,
    ReadingNoteComponent,
    KeptStartComponent,
    QuestionsFormComponent,
    RouterLink,
    StartingPreviewComponent,
  ],
  templateUrl: './start.page.html',
  styleUrl: './start.page.css',
})
export class StartPage {
  private readonly api = inject(ApiService);
  private readonly store = inject(Store);
  private readonly router = inject(Router);
  protected readonly proposed = inject(ProposedChart);
  protected readonly client = this.store.selectSignal(workspaceFeature.selectClient);
  private readonly load = this.store.selectSignal(workspaceFeature.selectLoad);
  private readonly clients = this.store.selectSignal(clientsFeature.selectClients);
  private readonly chosenIndustry = signal<IndustryCode | null>(null);
  private readonly chosenForm = signal<LegalForm | null>(null);
  private readonly chosenCountry = signal<CountryCode | null>(null);
  protected readonly refusal = signal<Refusal | null>(null);

  /** Plain words or digits by which the trade is looked for. */
  protected readonly query = signal('');
  /** What is known of the client stands first until something is looked for, so that it is in sight. */
  protected readonly trades = computed(() => {
    const [found, own] = [findTrades(this.query()), this.client()?.industry ?? null];
    if (own === null || this.query().trim() !== '') return found;
    return [own, ...found.filter((trade) => trade !== own)];
  });
  private readonly settled = toSignal(toObservable(this.query).pipe(debounceTime(150)), {
    initialValue: '',
  });
  /** Industries of the official classification that the words find. */
  protected readonly found = reading(
    () => (this.settled().trim().length < 2 ? undefined : this.settled()),
    (words) => this.api.ask('industries', { query: { words } }),
  );
  protected readonly listed = computed(() => this.found.value() ?? []);
  /** The industry that was taken from the classification, and what its chart is made for. */
  protected readonly taken = signal<IndustriesAnswer[number] | null>(null);
  protected readonly industries = INDUSTRIES;
  protected readonly countries = COUNTRIES.map((value) => ({ value, words: COUNTRY_WORDS[value] }));

  /** What the client does; `null` until that is known: nobody gets the chart of a trade that nobody chose. */
  protected readonly trade = computed(
    () => this.chosenIndustry() ?? this.client()?.industry ?? null,
  );
  protected readonly tradeWords = computed(() => {
    const [taken, trade] = [this.taken(), this.trade()];
    return taken?.title ?? (trade === null ? '' : INDUSTRIES[trade].name);
  });
  private readonly industry = computed(() => this.trade() ?? INDUSTRY_CODES[0]);
  protected readonly country = computed(
    () => this.chosenCountry() ?? countryOf(this.client()?.country ?? 'US'),
  );
  protected readonly legalForms = computed(() =>
    legalFormsIn(this.country()).map((value) => ({
      value,
      words: legalFormWords(value, this.country()),
    })),
  );
  protected readonly legalForm = computed(() => {
    const form = this.chosenForm() ?? this.client()?.legalForm ?? LEGAL_FORMS[0];
    return legalFormFor(form, this.country());
  });
  /** Another trade asks anew; another country only what it taxes otherwise. */
  protected readonly answers = linkedSignal<StartingPlace, StartingAnswers>({
    source: () => ({ industry: this.industry(), country: this.country() }),
    computation: (place, former) => answersIn(place, former?.source, former?.value),
  });
  protected readonly topics = computed(() =>
    TOPICS.filter((topic) => isAskedIn(topic, this.country())),
  );
  /** Why nothing of the sales tax that such a trade pays comes back. */
  protected readonly exemption = computed(() => exemptionOf(this.industry(), this.country()) ?? '');
  private readonly choice = computed<Required<StartingChoice>>(() => ({
    industry: this.industry(),
    legalForm: this.legalForm(),
    country: this.country(),
    answers: this.answers(),
  }));
  protected readonly groups = computed(() => composeStartingChart(this.choice()));

  /** Whether the client has accounts already, to which something is only added. */
  protected readonly living = computed(() => accountCount(this.proposed.chart()) > 0);
  protected readonly there = computed<ReadonlySet<string>>(() =>
    this.living() ? namesThere(this.proposed.chart(), this.groups()) : new Set(),
  );
  private readonly struckOrTicked = signal<ReadonlySet<string>>(new Set());
  protected readonly struck = computed(() =>
    unwantedNames(this.groups(), this.choice(), {
      living: this.living(),
      turned: this.struckOrTicked(),
    }),
  );
  private readonly wanted = computed(() => withoutStruck(this.groups(), this.struck()));
  private readonly into = computed(() =>
    this.living()
      ? planStartingInto(this.proposed.chart(), this.wanted(), () => crypto.randomUUID())
      : null,
  );
  protected readonly count = computed(() => {
    if (this.trade() === null) return 0;
    const into = this.into();
    if (into === null) return startingCount(this.wanted());
    return into.ok ? into.operations.filter(({ type }) => type === 'addAccount').length : 0;
  });
  /** A chart to begin from instead of the one made for the trade; another form or country asks anew. */
  protected readonly chosen = linkedSignal<unknown, ChosenStart | null>({
    source: () => `${this.legalForm()} ${this.country()}`,
    computation: () => null,
  });
  protected readonly chosenCount = computed(
    () => this.chosen()?.operations.filter(({ type }) => type === 'addAccount').length ?? 0,
  );
  protected readonly problem = signal<ApiProblem | null>(null);
  /** Parts of names by which the accounts are looked through. */
  protected readonly sought = signal('');
  protected readonly channelCounts = computed(() => channelCountsOf(this.choice()));
  protected readonly effects = computed(() => effectsOf(this.choice()));
  /** What the choice says of the client that is not kept of it as yet. */
  private readonly learnt = computed<ClientNature | null>(() => {
    const client = this.client();
    const nature = {
      industry: this.trade(),
      legalForm: this.legalForm(),
      country: this.chosenCountry() ?? this.client()?.country ?? 'US',
    };
    const known = {
      industry: client?.industry,
      legalForm: client?.legalForm,
      country: client?.country,
    };
    const chosen = [this.chosenIndustry(), this.chosenForm(), this.chosenCountry()].some(
      (one) => one !== null,
    );
    return chosen && JSON.stringify(nature) !== JSON.stringify(known) ? nature : null;
  });
  protected readonly learntWords = computed(() => {
    const [nature, client] = [this.learnt(), this.client()];
    return nature === null || client === null ? '' : natureWords(nature, client);
  });

  /** Other clients that have a chart, from which its structure can be taken. */
  protected readonly others = computed(() =>
    this.clients().filter(({ id, chart }) => id !== this.client()?.id && chart !== null),
  );
  protected readonly copyChoices = computed(() => [
    { value: '', words: $localize`Take over none of them` },
    ...this.others().map(({ id, name, chart }) => ({
      value: id,
      words: $localize`${name}, ${chart?.accounts} accounts`,
    })),
  ]);
  protected readonly refusalText = computed(() => {
    const refusal = this.refusal();
    return refusal === null ? '' : refusalWords(refusal, this.proposed.chart());
  });

  constructor() {
    // Somebody may come here without having seen the list of clients.
    if (this.clients().length === 0) this.store.dispatch(ClientsPageActions.opened());
  }

  protected look(typed: Event): void {
    this.query.set((typed.target as HTMLInputElement).value);
  }

  protected seek(typed: Event): void {
    this.sought.set((typed.target as HTMLInputElement).value);
  }

  /** Enter takes the first that the words find. */
  protected takeFirst(event: Event): void {
    event.preventDefault();
    const [trade] = this.trades();
    const [listed] = this.listed();
    if (this.query().trim() === '') return;
    if (trade !== undefined) this.chooseIndustry(trade);
    else if (listed !== undefined) this.take(listed);
  }

  protected chooseIndustry(industry: IndustryCode): void {
    this.chosenIndustry.set(industry);
    this.taken.set(null);
    this.chosen.set(null);
  }

  protected take(listed: IndustriesAnswer[number]): void {
    this.chosenIndustry.set(listed.trade);
    this.chosen.set(null);
    this.taken.set(listed);
  }

  /** What is said where no chart is made for the very industry. */
  protected nearest({ title, trade, sector }: IndustriesAnswer[number]): string {
    const { name } = INDUSTRIES[trade];
    return sector === null
      ? $localize`“${title}” begins with the chart for ${name}.`
      : $localize`No chart is made for “${title}”. The one nearest to its sector, ${sector}, is ${name}.`;
  }

  protected chooseForm(form: LegalForm): void {
    this.chosenForm.set(form);
  }

  protected chooseCountry(country: CountryCode): void {
    this.chosenCountry.set(country);
  }

  protected toggle(name: string): void {
    const turned = new Set(this.struckOrTicked());
    if (!turned.delete(name)) turned.add(name);
    this.struckOrTicked.set(turned);
  }

  protected propose(): void {
    const chosen = this.chosen();
    if (chosen !== null) return this.beginChosen(chosen);
    const into = this.into();
    if (into?.ok === false) return this.refusal.set(into.refusal);
    this.keepNature();
    if (into === null) return this.begin(this.freshOperations());
    this.refusal.set(this.proposed.propose(into.operations));
    if (this.refusal() === null) this.goToChart();
  }

  protected startEmpty(): void {
    this.keepNature();
    this.begin([]);
  }

  /**
   * Chooses the structure of another client's chart: accounts, plan and dimensions, nothing of the books, and
   * the equity of this client's own legal form.
   */
  protected copyFrom(value: string): void {
    const other = this.others().find(({ id }) => id === value);
    if (other === undefined) return this.chosen.set(null);
    const differs = other.legalForm !== this.legalForm() || other.country !== this.country();
    this.api.ask('bench', { clientId: value }).subscribe({
      next: ({ chart }) => {
        if (chart === null) return;
        const request = { groups: this.groups(), differs, newId: () => crypto.randomUUID() };
        const operations = takeOver(chartOf(chart), request);
        this.chosen.set({ key: value, title: other.name, operations, origin: null });
      },
      error: (error: unknown) => this.problem.set(problemOf(error)),
    });
  }

  /** Begins with the chart that was chosen; one of the practice's own is remembered as where it came from. */
  private beginChosen({ operations, origin }: ChosenStart): void {
    const clientId = this.client()?.id;
    const stepId = crypto.randomUUID();
    this.keepNature();
    if (origin === null || clientId === undefined) return this.begin(operations, stepId);
    const body = { ...origin, stepId, ids: { ...origin.ids } };
    this.api.ask('setOrigin', { clientId, body }).subscribe({
      next: () => this.begin(operations, stepId),
      error: (error: unknown) => this.problem.set(problemOf(error)),
    });
  }

  /** What was chosen of the client is true of it from now on, its return lines included. */
  private keepNature(): void {
    const [client, nature] = [this.client(), this.learnt()];
    if (client !== null && nature !== null)
      this.store.dispatch(WorkspaceActions.natureChosen({ clientId: client.id, nature }));
  }

  private freshOperations(): readonly Operation[] {
    const { names, apart } = this.answers().channels;
    const told = names.length > 0 && apart === 'dimension';
    return startingOperations(this.wanted(), {
      newId: () => crypto.randomUUID(),
      dimension: told ? { name: $localize`Channel`, values: names } : null,
    });
  }

  protected begin(operations: readonly Operation[], id: string = crypto.randomUUID()): void {
    const client = this.client();
    if (client === null) return;
    const steps = operations.length === 0 ? [] : [{ id, operations }];
    if (this.load().status === 'noChart')
      this.store.dispatch(WorkspaceActions.chartBegun({ clientId: client.id, steps }));
    else this.refusal.set(this.proposed.propose(operations, { id }));
    if (this.refusal() === null) this.goToChart();
  }

  private goToChart(): void {
    void this.router.navigate(['/clients', this.client()?.id, 'chart']);
  }
}
