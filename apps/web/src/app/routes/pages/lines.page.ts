import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  linkedSignal,
  signal,
} from '@angular/core';
import { RouterLink } from '@angular/router';
import {
  addMonths,
  eachNode,
  findKey,
  firstDayOf,
  lastDayOf,
  monthOf,
  lastPlace,
  newRule,
  titleOf,
  toldAccounts,
  wordsThatName,
  type CalendarDate,
  type DatedLine,
  type LineSource,
} from '@iunctus/core';
import { firstValueFrom } from 'rxjs';
import { Rights } from '../../session/state/rights';
import { ApiService } from '../../shared/api/api.service';
import { Doing } from '../../shared/api/doing';
import { OneOfComponent, type OneOf } from '../../shared/components/one-of.component';
import { PickComponent, type PickOption } from '../../shared/components/pick.component';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';
import { WhenFieldComponent } from '../../shared/components/when-field.component';
import { today } from '../../shared/dates/today';
import { counted } from '../../shared/words/counted';
import { faultWords } from '../../shared/words/entry-words';
import { dateWords } from '../../shared/words/period-words';
import { decisionWords } from '../../shared/words/route-words';
import { BooksReader } from '../../workspace/model/books-reader';
import { ClientRoutes } from '../../workspace/model/client-routes';
import { ListPosting } from '../../workspace/model/list-posting';
import { BankFileComponent } from '../components/bank-file.component';
import { LineTaking, type LineState, type TakenRow } from '../model/line-taking';

/** Rows that are drawn at first, and with each wish for more. */
const AT_ONCE = 120;

/** What is shown of the lines. */
type Filter = 'all' | LineState;

/** Lines of a bank, taken through the rules and posted on the user’s word. */
@Component({
  selector: 'iu-lines-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    BankFileComponent,
    OneOfComponent,
    PickComponent,
    ProblemNoteComponent,
    RouterLink,
    WhenFieldComponent,
  ],
  providers: [LineTaking, ListPosting],
  templateUrl: './lines.page.html',
  styleUrl: './lines.page.css',
  host: {
    '(window:keydown.control.enter)': 'post($event)',
    '(window:keydown.meta.enter)': 'post($event)',
  },
})
export class LinesPage {
  private readonly api = inject(ApiService);
  protected readonly rights = inject(Rights);
  protected readonly reader = inject(BooksReader);
  protected readonly client = inject(ClientRoutes);
  protected readonly taking = inject(LineTaking);
  protected readonly day = dateWords;
  protected readonly decision = decisionWords;
  protected readonly asking = new Doing();
  /** Whether the bank did not answer. */
  protected readonly silent = signal(false);
  private readonly told = computed(() => toldAccounts(this.reader.chart()));
  protected readonly accounts = computed<readonly PickOption[]>(() =>
    this.told().map((account) => ({ value: account.id, words: titleOf(account) })),
  );
  /** The accounts that lines can go to: made once for all rows. */
  protected readonly targets = computed<readonly PickOption[]>(() =>
    [...eachNode(this.reader.chart().roots)]
      .filter(({ account }) => account.role === 'posting' && account.retiredOn === null)
      .map(({ account }) => ({ value: account.id, words: titleOf(account) })),
  );
  protected readonly accountId = linkedSignal<string | null>(
    () => this.accounts()[0]?.value ?? null,
  );
  private readonly lastMonth = addMonths(monthOf(today()), -1);
  protected readonly first = signal<CalendarDate>(firstDayOf(this.lastMonth));
  protected readonly last = signal<CalendarDate>(lastDayOf(this.lastMonth));
  protected readonly origins: readonly OneOf<'bank' | 'file'>[] = [
    { value: 'bank', words: $localize`From the bank` },
    { value: 'file', words: $localize`From a file` },
  ];
  private readonly wished = signal<'bank' | 'file'>('bank');
  /** What a marketplace or processor holds is told by files alone here. */
  protected readonly source = computed<LineSource>(() =>
    this.told().find(({ id }) => id === this.accountId())?.kind === 'clearing' ? 'payout' : 'bank',
  );
  protected readonly origin = computed(() => (this.source() === 'payout' ? 'file' : this.wished()));
  protected readonly filter = signal<Filter>('all');
  /** The line that was sent somewhere last, of which a rule can be made. */
  private readonly taught = signal<string | null>(null);

  protected readonly filters = computed<readonly OneOf<Filter>[]>(() => {
    const count = (state: LineState): number =>
      this.taking.rows().filter((row) => row.state === state).length;
    return [
      { value: 'all', words: $localize`All`, count: this.taking.rows().length },
      { value: 'open', words: $localize`To be said`, count: count('open'), urgent: true },
      { value: 'ready', words: $localize`Ready`, count: count('ready') },
      {
        value: 'refused',
        words: $localize`Cannot be posted`,
        count: count('refused'),
        urgent: true,
      },
      { value: 'posted', words: $localize`Posted`, count: count('posted') },
      { value: 'aside', words: $localize`Set aside`, count: count('aside') },
    ].filter(({ value, count: there }) => value === 'all' || there > 0) as OneOf<Filter>[];
  });
  private readonly matching = computed(() => {
    const filter = this.filter();
    return this.taking.rows().filter(({ state }) => filter === 'all' || state === filter);
  });
  /** How many rows are drawn: each has a field of its own. */
  private readonly most = linkedSignal<number>(() => (this.filter(), AT_ONCE));
  protected readonly shown = computed(() => this.matching().slice(0, this.most()));
  protected readonly hidden = computed(() => this.matching().length - this.shown().length);
  protected readonly postWords = computed(() =>
    counted(this.taking.chosen().length, {
      one: $localize`Post # line`,
      other: $localize`Post # lines`,
    }),
  );
  protected readonly postedWords = computed(() => {
    const outcome = this.taking.outcome();
    if (outcome === null) return '';
    const posted = counted(outcome.posted, { one: $localize`# line`, other: $localize`# lines` });
    return outcome.refused === 0
      ? $localize`${posted} posted.`
      : $localize`${posted} posted, ${outcome.refused} refused: look at them again.`;
  });

  /** Posts what is chosen, from wherever the keyboard is. */
  protected post(event?: Event): void {
    event?.preventDefault();
    if (!this.rights.may('post') || this.taking.doing.busy()) return;
    if (this.taking.chosen().length > 0) void this.taking.post();
  }

  protected showMore(): void {
    this.most.update((most) => most + AT_ONCE);
  }

  protected come(origin: 'bank' | 'file'): void {
    this.wished.set(origin);
    this.taking.leave();
  }

  protected chooseAccount(accountId: string): void {
    this.accountId.set(accountId);
    this.taking.leave();
  }

  protected takeListed(lines: readonly DatedLine[] | null): void {
    const accountId = this.accountId();
    if (lines === null || accountId === null) return this.taking.leave();
    this.filter.set('all');
    void this.taking.take(accountId, lines);
  }

  protected async ask(): Promise<void> {
    const [accountId, clientId] = [this.accountId(), this.reader.client()?.id];
    if (accountId === null || clientId === undefined) return;
    this.silent.set(false);
    this.filter.set('all');
    const query = { accountId, first: this.first(), last: this.last() };
    await this.asking.run(async () => {
      const answer = await firstValueFrom(this.api.ask('bankFeed', { clientId, query }));
      if (answer.state === 'silent') return this.silent.set(true);
      await this.taking.take(accountId, answer.lines);
    });
  }

  protected send(row: TakenRow, accountId: string): void {
    if (accountId === row.accountId) return;
    this.taking.send(row, accountId);
    this.taught.set(row.line.id);
  }

  /** Words of which a rule would be made, for the line that was sent somewhere last. */
  protected lessonOf({ line, byHand }: TakenRow): string {
    return byHand && this.taught() === line.id ? wordsThatName(findKey(line.text)) : '';
  }

  /** Makes a rule of where a line was sent; from then on the rule says so. */
  protected async teach(row: TakenRow, words: string): Promise<void> {
    const { line, accountId } = row;
    if (accountId === null) return;
    const place = lastPlace(this.client.routes().rules);
    const sign = line.amount > 0 ? 'in' : 'out';
    if (!(await this.client.keep(newRule(place, { words, sign, accountId })))) return;
    this.taught.set(null);
    this.taking.send(row, null);
  }

  protected faultsOf({ faults }: TakenRow): readonly string[] {
    return faults.map((fault) => faultWords(fault, this.reader.context()));
  }

  /** The tax that is taken out of a line; empty for none. */
  protected taxOf({ tax }: TakenRow): string {
    return tax === 0 ? '' : $localize`of it ${this.reader.amount(tax)} sales tax`;
  }
}
