import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  inject,
  input,
} from '@angular/core';
import { RouterLink, RouterOutlet } from '@angular/router';
import { Store } from '@ngrx/store';
import { MessageService } from 'primeng/api';
import { Toast } from 'primeng/toast';
import { problemWords } from '../../shared/words/problem-words';
import { UserMenuComponent } from '../../session/pages/user-menu.component';
import { CommandFieldComponent } from '../components/command-field.component';
import { PeriodChoiceComponent } from '../components/period-choice.component';
import { Amounts } from '../model/amounts';
import { ClientRoutes } from '../model/client-routes';
import { ChartView } from '../model/chart-view';
import { Joins } from '../model/joins';
import { ProposedChart } from '../model/proposed-chart';
import { StatementEngine } from '../model/statement-engine';
import { NumbersEngine } from '../model/numbers-engine';
import { Commands } from '../model/commands';
import { Sheets } from '../model/sheets';
import { Undoing } from '../model/undoing';
import { WorkspaceActions } from '../state/workspace.actions';
import { workspaceFeature } from '../state/workspace.feature';
import type { Notice } from '../state/notice';
import { speakTo } from '../../shared/words/terms';
import { counted } from '../../shared/words/counted';

/** Everything of one client: the head with name and period, and the places below it. */
@Component({
  selector: 'iu-client-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    CommandFieldComponent,
    PeriodChoiceComponent,
    RouterLink,
    RouterOutlet,
    Toast,
    UserMenuComponent,
  ],
  providers: [
    StatementEngine,
    ProposedChart,
    ClientRoutes,
    ChartView,
    Amounts,
    Joins,
    Commands,
    NumbersEngine,
    Sheets,
    Undoing,
    MessageService,
  ],
  template: `
    <header>
      <a class="client" routerLink="/clients" i18n-title title="All clients">{{
        client()?.name
      }}</a>
      @if (adopted() !== null) {
        <iu-period-choice />
        <span class="muted revision">{{ revisionWords() }}</span>
      }
      @if (client() !== null) {
        <iu-command-field class="end" />
      }
      <iu-user-menu [class.end]="client() === null" />
    </header>
    <router-outlet />
    <p-toast position="bottom-left">
      <ng-template #message let-message>
        <div class="toast-line">
          <span class="text">{{ message.detail }}</span>
        </div>
      </ng-template>
    </p-toast>
  `,
  styleUrl: './client.page.css',
})
export class ClientPage {
  private readonly store = inject(Store);
  private readonly messages = inject(MessageService);
  readonly clientId = input.required<string>();
  protected readonly client = this.store.selectSignal(workspaceFeature.selectClient);
  protected readonly adopted = this.store.selectSignal(workspaceFeature.selectAdopted);
  private readonly notice = this.store.selectSignal(workspaceFeature.selectNotice);
  protected readonly revisionWords = computed(() => {
    const revision = this.adopted()?.revision ?? 0;
    return revision === 0 ? $localize`Nothing adopted yet` : `Revision ${revision}`;
  });

  constructor() {
    effect(() => speakTo(this.client()));
    inject(DestroyRef).onDestroy(() => speakTo(null));
    effect(() => {
      this.store.dispatch(WorkspaceActions.clientOpened({ clientId: this.clientId() }));
    });
    effect(() => {
      const notice = this.notice();
      if (notice === null) return;
      const severity = notice.type === 'problem' ? 'error' : 'success';
      const life = notice.type === 'problem' ? 9000 : 5000;
      this.messages.add({ severity, detail: noticeWords(notice), life });
      this.store.dispatch(WorkspaceActions.noticeRead());
    });
  }
}

const noticeWords = (notice: Notice): string => {
  switch (notice.type) {
    case 'adopted':
      return adoptedWords(notice);
    case 'takenBack':
      return takenBackWords(notice);
    case 'brought':
      return broughtWords(notice);
    case 'merged':
      return $localize`This proposal was changed in another window; both are now together here.`;
    case 'broughtBack':
      return $localize`What you changed here before it could be kept is in the proposal again.`;
    case 'readOnly':
      return $localize`You read, remark and approve here. A bookkeeper of the practice changes the chart.`;
    case 'problem':
      return problemWords(notice.problem);
  }
};

const adoptedWords = ({ revision, posted }: Extract<Notice, { type: 'adopted' }>): string => {
  // Accounts that were posted to stay, whatever is taken back.
  const back = posted === 0 ? $localize` It can be taken back under History.` : '';
  const chart = revision === null ? [] : [$localize`Adopted as revision ${revision}.${back}`];
  const books =
    posted === 0
      ? []
      : [
          $localize`${counted(posted, { one: $localize`# account has its`, other: $localize`# accounts have their` })} balance now.`,
        ];
  return (
    [...chart, ...books].join(' ') ||
    $localize`Nothing was left to adopt: the chart and the books are so already.`
  );
};

const broughtWords = ({ name, version, left }: Extract<Notice, { type: 'brought' }>): string => {
  const brought = $localize`What version ${version} of ${name} changes is in your proposal.`;
  if (left === 0) return brought;
  const changes = counted(left, {
    one: $localize`One change was`,
    other: $localize`# changes were`,
  });
  return $localize`${brought} ${changes} left out, where this client has gone its own way.`;
};

const takenBackWords = ({
  revision,
  whole,
  left,
}: Extract<Notice, { type: 'takenBack' }>): string => {
  const what = whole
    ? $localize`What brings the chart back to revision ${revision}`
    : $localize`What takes revision ${revision} back`;
  return left === 0
    ? $localize`${what} is in your proposal. Review and adopt it.`
    : $localize`${what} is in your proposal, but for ${left} changes that later ones stand on.`;
};
