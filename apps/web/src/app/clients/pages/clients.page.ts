import { addressOf } from '../../shared/api/api.service';
import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import type { ClientAnswer, NewClientRequest } from '@iunctus/contract';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';
import { industryWords, LEGAL_FORM_WORDS } from '../../shared/words/client-words';
import { momentWords, MONTH_NAMES } from '../../shared/words/period-words';
import { Rights } from '../../session/state/rights';
import { sessionFeature } from '../../session/state/session.feature';
import { ClientsPageActions } from '../state/clients.actions';
import { clientsFeature } from '../state/clients.feature';
import { NewClientFormComponent } from './new-client-form.component';

/** The practice's front page: every client, and what is pending there. */
@Component({
  selector: 'iu-clients-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterLink, NewClientFormComponent, ProblemNoteComponent],
  templateUrl: './clients.page.html',
  styleUrl: './clients.page.css',
})
export class ClientsPage {
  private readonly store = inject(Store);
  protected readonly rights = inject(Rights);
  protected readonly clients = this.store.selectSignal(clientsFeature.selectClients);
  protected readonly load = this.store.selectSignal(clientsFeature.selectLoad);
  protected readonly adding = this.store.selectSignal(clientsFeature.selectAdding);
  protected readonly addition = this.store.selectSignal(clientsFeature.selectAddition);
  protected readonly session = this.store.selectSignal(sessionFeature.selectSession);

  protected readonly backup = addressOf('backUpPractice', { query: {} });

  constructor() {
    this.store.dispatch(ClientsPageActions.opened());
  }

  protected openAddition(): void {
    this.store.dispatch(ClientsPageActions.additionOpened());
  }

  protected closeAddition(): void {
    this.store.dispatch(ClientsPageActions.additionClosed());
  }

  protected add(request: NewClientRequest): void {
    this.store.dispatch(ClientsPageActions.additionSubmitted({ request }));
  }

  protected describe(client: ClientAnswer): string {
    const year = MONTH_NAMES[client.fiscalYearStart - 1] ?? '';
    return `${LEGAL_FORM_WORDS[client.legalForm]} · ${industryWords(client.industry)} · year from ${year}`;
  }

  protected adopted({ chart }: ClientAnswer): string {
    if (chart === null) return '';
    if (chart.adoptedAt === null) return 'nothing adopted yet';
    return `${momentWords(chart.adoptedAt)}, ${chart.adoptedBy ?? ''}`;
  }
}
