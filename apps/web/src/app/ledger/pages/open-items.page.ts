import { NgTemplateOutlet } from '@angular/common';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  linkedSignal,
  signal,
} from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import type { OpenItemsAnswer } from '@iunctus/contract';
import {
  AGES,
  chartUse,
  itemAccounts,
  itemsByParty,
  itemsFit,
  lastDayOf,
  monthOf,
  newestLists,
  OPEN_ITEM_LIMITS,
  owedSign,
  sumOfItems,
  titleOf,
  type AccountId,
  type ChartNode,
  type ItemUse,
  type Minor,
  type Month,
  type OpenItem,
  type OpenItemList,
} from '@iunctus/core';
import { firstValueFrom } from 'rxjs';
import { Rights } from '../../session/state/rights';
import { ApiService } from '../../shared/api/api.service';
import { Doing } from '../../shared/api/doing';
import { reading } from '../../shared/api/reading';
import type { ColumnUse } from '../../shared/components/column-uses.component';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';
import { ReadingNoteComponent } from '../../shared/components/reading-note.component';
import type { ChosenSource } from '../../shared/components/source-choice.component';
import { TableFileComponent } from '../../shared/components/table-file.component';
import { WhenFieldComponent } from '../../shared/components/when-field.component';
import { today } from '../../shared/dates/today';
import { ITEM_USE_WORDS, itemProblemWords } from '../../shared/words/open-item-words';
import { dateWords, momentWords } from '../../shared/words/period-words';
import { BooksReader } from '../../workspace/model/books-reader';
import { ItemFile } from '../model/item-file';

type Kept = OpenItemsAnswer[number];
/** A list with its account. */
interface Dropped {
  readonly accountId: AccountId;
  readonly list: OpenItemList;
}

/** Lists are shown up to this month, whenever they were brought. */
const LAST_MONTH = '9999-12';

/** Who owes what, or is owed, by lists that are held against the balances of control accounts. */
@Component({
  selector: 'iu-open-items-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    NgTemplateOutlet,
    ProblemNoteComponent,
    ReadingNoteComponent,
    RouterLink,
    TableFileComponent,
    WhenFieldComponent,
  ],
  providers: [ItemFile],
  templateUrl: './open-items.page.html',
  styleUrl: './open-items.page.css',
})
export class OpenItemsPage {
  private readonly api = inject(ApiService);
  private readonly router = inject(Router);
  protected readonly rights = inject(Rights);
  protected readonly reader = inject(BooksReader);
  protected readonly file = inject(ItemFile);
  readonly clientId = input.required<string>();
  /** The account that is looked at closely, from the address. */
  readonly of = input<string>();

  protected readonly day = dateWords;
  protected readonly moment = momentWords;
  protected readonly most = OPEN_ITEM_LIMITS.items;
  protected readonly useWords = ITEM_USE_WORDS;
  protected readonly ages = [...AGES.keys()].map((at) => ageWords(at));
  protected readonly doing = new Doing();
  protected readonly isTurned = signal(false);

  /** The list that was dropped last here: it can be brought back. */
  protected readonly dropped = signal<Dropped | null>(null);
  protected readonly lists = reading(this.clientId, (clientId) =>
    this.api.ask('openItems', { clientId }),
  );
  protected readonly monthly = reading(this.clientId, (clientId) =>
    this.api.ask('monthly', { clientId }),
  );
  private readonly kept = computed(() =>
    (this.lists.value() ?? []).map((one) => ({ ...one, month: one.list.month })),
  );
  private readonly nodes = computed(() =>
    itemAccounts(this.reader.chart(), new Set(this.kept().map(({ accountId }) => accountId))),
  );
  protected readonly rows = computed(() =>
    this.nodes().map((node) => {
      const kept = this.keptOf(node);
      const items = kept === null ? null : this.owed(node, sumOfItems(kept.list.items));
      const books = kept === null ? null : this.booksOf(node, kept.list.month);
      return {
        id: node.account.id,
        title: titleOf(node.account),
        kept,
        items,
        books,
        apart: items === null || books === null ? null : books - items,
      };
    }),
  );
  protected readonly chosen = computed(
    () => this.nodes().find(({ account }) => account.id === this.of()) ?? null,
  );
  /** What is kept of the account that is looked at. */
  protected readonly known = computed(() => {
    const node = this.chosen();
    const kept = node === null ? null : this.keptOf(node);
    return node === null || kept === null
      ? null
      : { ...kept, parties: this.partiesOf(node, kept.list.items, kept.list.month) };
  });
  /** The month at whose end the list stood so: the newest in the books, until another is chosen. */
  protected readonly month = linkedSignal<Month>(
    () => this.reader.client()?.latestMonth ?? monthOf(today()),
  );
  /** The list that was read, ready to be kept. */
  protected readonly draft = computed(() => {
    const [node, read] = [this.chosen(), this.file.read()];
    if (node === null || read === null) return null;
    const items = read.items;
    const fits = itemsFit(items);
    const sum = fits ? this.owed(node, sumOfItems(items)) : 0;
    const books = this.booksOf(node, this.month());
    return {
      items,
      fits,
      isTooLong: items.length > OPEN_ITEM_LIMITS.items,
      sum,
      books,
      apart: books === null ? null : books - sum,
      parties: fits ? this.partiesOf(node, items, this.month()) : [],
    };
  });
  protected readonly lacks = computed(() =>
    this.file.columns()?.uses.includes('amount') === false
      ? [$localize`Say which column is the amount.`]
      : [],
  );
  protected readonly problems = computed(() =>
    (this.file.read()?.problems ?? []).map((problem) => ({
      ...problem,
      says: itemProblemWords(problem),
    })),
  );

  protected titleOf({ account }: ChartNode): string {
    return titleOf(account);
  }

  protected lastDay(month: Month): string {
    return dateWords(lastDayOf(month));
  }

  /** The newest list of an account; with those of what was merged into it, as one. */
  private keptOf(node: ChartNode): Kept | null {
    const lists = newestLists(node, this.kept(), LAST_MONTH);
    const [first] = lists;
    if (first === undefined) return null;
    const items = lists.flatMap(({ list }) => list.items);
    return { ...first, list: { month: first.month, items } };
  }

  /** The lists of an account, and of what was merged into it. */
  private allOf({ account, absorbed }: ChartNode): readonly AccountId[] {
    const ids = [account.id, ...absorbed];
    return this.kept().flatMap(({ accountId }) => (ids.includes(accountId) ? accountId : []));
  }

  /** As it is owed: positive on the usual side of the account. */
  private owed({ account }: ChartNode, amount: Minor): Minor {
    return amount === 0 ? 0 : amount * owedSign(account.kind);
  }

  private booksOf(node: ChartNode, month: Month): Minor | null {
    const read = this.monthly.value();
    if (read === null) return null;
    const rows = [...read.amounts, ...read.splits];
    return this.owed(node, chartUse({ first: read.first, rows }, month).of(node).balance);
  }

  private partiesOf(node: ChartNode, items: readonly OpenItem[], month: Month) {
    return itemsByParty({ month, items }).map(({ party, count, amount, aged, undated }) => ({
      party,
      count,
      amount: this.owed(node, amount),
      aged: aged.map((one) => this.owed(node, one)),
      undated: this.owed(node, undated),
    }));
  }

  /** Whether any of the parties has items without a date, so that its ages do not come to all of them. */
  protected hasUndated(parties: readonly { readonly undated: Minor }[]): boolean {
    return parties.some(({ undated }) => undated !== 0);
  }

  protected choose(accountId: AccountId): void {
    const of = this.of() === accountId ? null : accountId;
    this.file.leave();
    this.isTurned.set(false);
    void this.router.navigate([], { queryParams: { of } });
  }

  protected take({ name, blob }: ChosenSource): void {
    this.file.leave();
    this.turn(false);
    void this.file.table.take(name, blob);
  }

  /** Whether what the list says is owed has the other sign. */
  protected turn(isTurned: boolean): void {
    const node = this.chosen();
    this.isTurned.set(isTurned);
    if (node === null) return;
    const usual = owedSign(node.account.kind);
    this.file.sign.set(isTurned ? (usual === 1 ? -1 : 1) : usual);
  }

  protected chooseUse({ column, use }: ColumnUse<ItemUse>): void {
    this.file.use(column, use === '' ? null : use);
  }

  protected setMonth(month: string | null): void {
    if (month !== null && month !== '') this.month.set(month);
  }

  /** Keeps a list in the place of that of the account, and of those of what was merged into it. */
  protected async keep(node: ChartNode, items: readonly OpenItem[]): Promise<void> {
    const accountId = node.account.id;
    const before = this.kept().find((one) => one.accountId === accountId);
    const list = { month: this.month(), items };
    const done = await this.doing.run(async () => {
      await this.put({ accountId, list }, before?.version ?? 0);
      await this.dropAll(this.allOf(node).filter((id) => id !== accountId));
    });
    if (done) this.file.leave();
    this.lists.again();
  }

  protected async drop(node: ChartNode): Promise<void> {
    const kept = this.keptOf(node);
    const done = await this.doing.run(() => this.dropAll(this.allOf(node)));
    if (done && kept !== null) this.dropped.set({ accountId: node.account.id, list: kept.list });
    this.lists.again();
  }

  protected async bringBack(dropped: Dropped): Promise<void> {
    if (await this.doing.run(() => this.put(dropped, 0))) this.dropped.set(null);
    this.lists.again();
  }

  private async put(
    { accountId, list: { month, items } }: Dropped,
    version: number,
  ): Promise<void> {
    const body = { version, list: { month, items: items.map((item) => ({ ...item })) } };
    const asked = { clientId: this.clientId(), accountId, body };
    await firstValueFrom(this.api.ask('keepOpenItems', asked));
  }

  private async dropAll(accountIds: readonly AccountId[]): Promise<void> {
    const clientId = this.clientId();
    for (const accountId of accountIds)
      await firstValueFrom(this.api.ask('dropOpenItems', { clientId, accountId }));
  }
}

/** How old what stands in a column is, in days. */
const ageWords = (at: number): string => {
  const [from, to] = [at === 0 ? 0 : (AGES[at - 1] ?? 0) + 1, AGES[at] ?? Infinity];
  return to === Infinity ? $localize`Over ${from - 1} days` : $localize`${from}–${to} days`;
};
