import { addressOf } from '../../shared/api/api.service';
import { ChangeDetectionStrategy, Component, computed, effect, inject } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import type {
  ClientAnswer,
  ClientChange,
  FiguresAnswer,
  NewClientRequest,
  TidyCheckAnswer,
} from '@iunctus/contract';
import { formatAmount, formatTenths, type Minor } from '@iunctus/core';
import { FocusFirstDirective } from '../../shared/components/focus-first.directive';
import { PictureComponent, type PictureSeries } from '../../shared/components/picture.component';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';
import { counted } from '../../shared/words/counted';
import { industryWords, legalFormWords } from '../../shared/words/client-words';
import { longMonth, momentWords, MONTH_NAMES } from '../../shared/words/period-words';
import { Rights } from '../../session/state/rights';
import { sessionFeature } from '../../session/state/session.feature';
import { ClientsPageActions } from '../state/clients.actions';
import { clientsFeature } from '../state/clients.feature';
import { ClientFormComponent } from '../components/client-form.component';
import { FindAccountComponent } from '../components/find-account.component';
import { ClientFigures } from '../model/client-figures';

type Figures = NonNullable<FiguresAnswer>;
type Check = NonNullable<TidyCheckAnswer>;

/** The practice's front page: every client, and what is pending there. */
@Component({
  selector: 'iu-clients-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    ClientFormComponent,
    FindAccountComponent,
    FocusFirstDirective,
    PictureComponent,
    RouterLink,
    ProblemNoteComponent,
  ],
  providers: [ClientFigures],
  templateUrl: './clients.page.html',
  styleUrl: './clients.page.css',
})
export class ClientsPage {
  private readonly store = inject(Store);
  private readonly router = inject(Router);
  protected readonly rights = inject(Rights);
  protected readonly figures = inject(ClientFigures);
  protected readonly all = this.store.selectSignal(clientsFeature.selectClients);
  protected readonly clients = computed(() => this.all().filter((one) => one.putAwayAt === null));
  protected readonly away = computed(() => this.all().filter((one) => one.putAwayAt !== null));
  protected readonly load = this.store.selectSignal(clientsFeature.selectLoad);
  private readonly openForm = this.store.selectSignal(clientsFeature.selectForm);
  protected readonly saving = this.store.selectSignal(clientsFeature.selectChange);
  protected readonly adding = computed(() => this.openForm().type === 'new');
  protected readonly changing = computed(() => {
    const form = this.openForm();
    return form.type === 'client'
      ? (this.all().find(({ id }) => id === form.clientId) ?? null)
      : null;
  });
  protected readonly session = this.store.selectSignal(sessionFeature.selectSession);

  /** The clients whose charts were looked through, the one with most in doubt first. */
  protected readonly scored = computed(() =>
    this.clients()
      .flatMap((client) => {
        const check = this.figures.checkOf(client.id);
        return check === null || check === undefined ? [] : [{ client, check }];
      })
      .sort((a, b) => a.check.score - b.check.score),
  );
  protected readonly scores = computed<readonly PictureSeries[]>(() => [
    { name: $localize`Without doubt`, amounts: this.scored().map(({ check }) => check.score) },
  ]);
  protected readonly scoredNames = computed(() => this.scored().map(({ client }) => client.name));

  protected readonly backup = addressOf('backUpPractice', { query: {} });

  constructor() {
    this.store.dispatch(ClientsPageActions.opened());
    effect(() => {
      const posted = this.clients().filter(({ latestMonth }) => latestMonth !== null);
      if (this.rights.may('readAll')) this.figures.of.set(posted.map(({ id }) => id));
    });
  }

  protected open(clientId: string | null): void {
    this.store.dispatch(ClientsPageActions.formOpened({ clientId }));
  }

  protected close(): void {
    this.store.dispatch(ClientsPageActions.formClosed());
  }

  protected add(request: NewClientRequest): void {
    this.store.dispatch(ClientsPageActions.additionSubmitted({ request }));
  }

  protected change(clientId: string, request: ClientChange): void {
    this.store.dispatch(ClientsPageActions.changeSubmitted({ clientId, request }));
  }

  protected putAway(clientId: string): void {
    this.store.dispatch(ClientsPageActions.putAwayRequested({ clientId }));
  }

  protected bringBack(clientId: string): void {
    this.store.dispatch(ClientsPageActions.bringBackRequested({ clientId }));
  }

  protected describe(client: ClientAnswer): string {
    const year = MONTH_NAMES[client.fiscalYearStart - 1] ?? '';
    return $localize`${legalFormWords(client.legalForm, client.country)} · ${industryWords(client.industry)} · year from ${year}`;
  }

  private amount({ currency }: ClientAnswer, amount: Minor): string {
    return `${formatAmount(amount, { currency, zero: '0' })} ${currency}`;
  }

  /** What stands where nothing can be said: it may still be on its way. */
  protected instead(answer: unknown): string {
    return answer === undefined ? '…' : '–';
  }

  protected profit(client: ClientAnswer, { netProfit }: Figures): string {
    return $localize`Net profit ${this.amount(client, netProfit)}:amount:`;
  }

  protected moreFigures(client: ClientAnswer, { month, revenue, cash }: Figures): string {
    const amounts = $localize`revenue ${this.amount(client, revenue)}:amount:, cash ${this.amount(client, cash)}:cash:`;
    return $localize`The year to ${longMonth(month)}:month:: ${amounts}:amounts:`;
  }

  protected score({ score }: Check): string {
    return `${formatTenths(score, 'sign')} %`;
  }

  protected toTidy({ doubtful, couldBeNeater }: Check): string {
    const neater = counted(couldBeNeater, {
      one: $localize`1 could be neater`,
      other: $localize`# could be neater`,
    });
    return $localize`without doubt; ${doubtful}:doubtful: doubtful, ${neater}:neater:`;
  }

  protected goToTidy(at: number): void {
    const id = this.scored()[at]?.client.id;
    if (id !== undefined) void this.router.navigate(['/clients', id, 'tidy']);
  }

  protected adopted({ chart }: ClientAnswer): string {
    if (chart === null) return '';
    if (chart.adoptedAt === null) return $localize`nothing adopted yet`;
    return `${momentWords(chart.adoptedAt)}, ${chart.adoptedBy ?? ''}`;
  }
}
