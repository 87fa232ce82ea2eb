import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  signal,
} from '@angular/core';
import {
  cleanName,
  concerns,
  formatAmount,
  hasAccount,
  hasPostings,
  KINDS,
  mergedAccounts,
  nodeOf,
  normalSideOfKind,
  OFTEN_MISTAKEN,
  resolvedSettings,
  routesTo,
  splitsOf,
  standingsOn,
  planUnmerge,
  titleOf,
  usesOf,
  type AccountId,
  type KindCode,
  type Operation,
  type Refusal,
  type Split,
  type TextField,
} from '@iunctus/core';
import { Textarea } from 'primeng/textarea';
import { InputText } from 'primeng/inputtext';
import { ToggleSwitch } from 'primeng/toggleswitch';
import { FormsModule } from '@angular/forms';
import { Store } from '@ngrx/store';
import { HistoryPageActions } from '../../workspace/state/history.actions';
import { historyFeature } from '../../workspace/state/history.feature';
import { accountWords } from '../../shared/words/account-words';
import { choiceWords } from '../../shared/words/choice-words';
import { CASH_FLOW_WORDS } from '../../shared/words/setting-words';
import { operationWords } from '../../shared/words/operation-words';
import { momentWords } from '../../shared/words/period-words';
import { landingWords } from '../../shared/words/statement-words';
import { USE_WORDS } from '../../shared/words/use-words';
import { routeContentWords } from '../../shared/words/route-words';
import { refusalWords } from '../../shared/words/refusal-words';
import { ClientRoutes } from '../../workspace/model/client-routes';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { ChartView } from '../../workspace/model/chart-view';
import { Amounts } from '../../workspace/model/amounts';
import { returnLineOf } from '../model/setting-groups';
import { AccountSettingsComponent } from './settings/account-settings.component';
import { KindMovesComponent } from './kind-moves.component';
import { KindChoiceComponent } from '../../workspace/components/kind-choice.component';
import { SheetComponent } from './sheet.component';

/** Everything about one account: what its kind means, its texts, heading or posting. */
@Component({
  selector: 'iu-account-sheet',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    AccountSettingsComponent,
    FormsModule,
    InputText,
    Textarea,
    ToggleSwitch,
    KindChoiceComponent,
    KindMovesComponent,
    SheetComponent,
  ],
  templateUrl: './account-sheet.component.html',
  styleUrl: './account-sheet.component.css',
})
export class AccountSheetComponent {
  private readonly proposed = inject(ProposedChart);
  private readonly view = inject(ChartView);
  private readonly amounts = inject(Amounts);
  private readonly client = inject(ClientRoutes);
  private readonly refusal = signal<Refusal | null>(null);

  protected readonly node = computed(() => nodeOf(this.proposed.chart(), this.view.cursor() ?? ''));
  protected readonly account = computed(() => this.node()?.account);
  protected readonly heading = computed(() => {
    const account = this.account();
    return account === undefined ? '' : titleOf(account);
  });
  protected readonly kind = computed(() => KINDS[this.account()?.kind ?? 'bank']);
  protected readonly landing = computed(() => landingWords(this.account()?.kind ?? 'bank'));
  protected readonly side = computed(() => normalSideOfKind(this.account()?.kind ?? 'bank'));
  protected readonly cashFlow = computed(() => {
    const account = this.account();
    return account === undefined ? '' : CASH_FLOW_WORDS[resolvedSettings(account).cashFlow];
  });
  protected readonly returnLine = computed(() => {
    const [account, client] = [this.account(), this.proposed.client()];
    return account === undefined || client === null ? '' : returnLineOf(account, client);
  });
  protected readonly mistaken = computed(() => OFTEN_MISTAKEN[this.account()?.kind ?? 'bank']);

  /** What splits took from it or brought to it; the last one can be taken back. */
  protected readonly splits = computed(() => {
    const id = this.account()?.id ?? '';
    const chart = this.proposed.chart();
    return splitsOf(chart)
      .filter(({ from, into }) => from === id || into === id)
      .map((split) => ({
        split,
        words:
          split.into === id
            ? $localize`From ${accountWords(split.from, chart)}:chart:: ${choiceWords(split.choice, chart)}`
            : $localize`To ${accountWords(split.into, chart)}:chart:: ${choiceWords(split.choice, chart)}`,
      }));
  });
  protected readonly posted = computed(() => this.isPosted());

  /** What was merged into it, newest name first; each can be taken out again. */
  protected readonly merged = computed(() => {
    const absorbed = new Set(this.node()?.absorbed);
    return mergedAccounts(this.proposed.chart())
      .filter(({ account }) => absorbed.has(account.id))
      .map(({ account }) => ({ id: account.id, title: titleOf(account) }));
  });

  /** What it was numbered and called before. */
  protected readonly former = computed(() => {
    const id = this.account()?.id ?? '';
    return this.proposed
      .former()
      .filter(({ accountId }) => accountId === id)
      .map(({ number, name, untilRevision }) => ({
        title: titleOf({ number, name }),
        until: $localize`until revision ${untilRevision}`,
      }));
  });
  protected readonly refusalText = computed(() => {
    const refusal = this.refusal();
    return refusal === null
      ? ''
      : refusalWords(refusal, this.proposed.chart(), this.proposed.base());
  });

  private readonly store = inject(Store);
  private readonly revisions = this.store.selectSignal(historyFeature.selectRevisions);
  /** Who changed what about it, and when; newest first. */
  protected readonly history = computed(() => {
    const id = this.account()?.id ?? '';
    const charts = [this.proposed.chart(), this.proposed.base()];
    return this.revisions().flatMap(({ number, author, adoptedAt, operations }) =>
      operations
        .filter((operation) => concerns(operation, id))
        .map((operation, index) => ({
          key: `${number}.${index}`,
          words: operationWords(operation, ...charts),
          when: $localize`Revision ${number}, ${author}, ${momentWords(adoptedAt)}`,
        })),
    );
  });

  constructor() {
    effect(() => {
      const clientId = this.proposed.client()?.id;
      if (clientId !== undefined) this.store.dispatch(HistoryPageActions.opened({ clientId }));
    });
  }

  protected ownAndTotal() {
    const node = this.node();
    if (node === undefined) return [];
    const style = { currency: this.proposed.client()?.currency ?? 'USD', zero: '–' };
    return [
      {
        words: $localize`Posted to it`,
        amount: formatAmount(this.amounts.ownAmountOf(node), style),
      },
      {
        words: $localize`With all below it`,
        amount: formatAmount(this.amounts.amountOf(node), style),
      },
    ];
  }

  /** What keeps it from being deleted, each with the account to go to. */
  /** The pieces of the routes that lead here. */
  private readonly routes = computed(() => {
    const currency = this.proposed.client()?.currency ?? 'USD';
    const id = this.account()?.id ?? '';
    const chart = this.proposed.chart();
    return [
      ...routesTo(this.client.items(), chart, id).map(({ content }) =>
        routeContentWords(content, currency),
      ),
      ...standingsOn(this.client.standings.value() ?? [], chart, id).map(
        ({ name }) => $localize`Standing entry: ${name}`,
      ),
    ].map((words) => ({ words, title: '', otherId: null }));
  });
  protected readonly uses = computed(() => {
    const chart = this.proposed.chart();
    const ofChart = usesOf(chart, this.account()?.id ?? '').map(({ type, otherId }) => ({
      words: USE_WORDS[type],
      otherId: otherId !== null && hasAccount(chart, otherId) ? otherId : null,
      title: otherId === null ? '' : accountWords(otherId, chart),
    }));
    return [...ofChart, ...this.routes()];
  });

  protected goTo(id: AccountId): void {
    this.view.goTo(id);
  }

  protected setText(field: TextField, typed: Event): void {
    const account = this.account();
    const text = (typed.target as HTMLInputElement).value;
    const value = field === 'name' ? cleanName(text) : text.trim();
    if (account === undefined || account[field] === value) return;
    this.propose([{ type: 'editField', id: account.id, field, value }]);
  }

  protected setKind(kind: KindCode): void {
    const id = this.account()?.id;
    if (id !== undefined && kind !== this.account()?.kind)
      this.propose([{ type: 'changeKind', id, kind }]);
  }

  protected setHeading(heading: boolean): void {
    const id = this.account()?.id;
    if (id !== undefined)
      this.propose([{ type: 'changeRole', id, role: heading ? 'heading' : 'posting' }]);
  }

  protected takeOut(id: AccountId): void {
    const operation = planUnmerge(this.proposed.chart(), id);
    if (operation !== null) this.propose([operation]);
  }

  protected takeSplitBack(split: Split): void {
    this.propose([{ type: 'unsplit', split }]);
  }

  private isPosted(): boolean {
    const node = this.node();
    return node !== undefined && hasPostings(this.proposed.chart(), node);
  }

  protected restore(): void {
    const id = this.account()?.id;
    if (id !== undefined) this.propose([{ type: 'restore', id }]);
  }

  protected propose(operations: readonly Operation[]): void {
    this.refusal.set(this.proposed.propose(operations));
  }
}
