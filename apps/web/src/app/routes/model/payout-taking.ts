import { computed, inject, Injectable, signal } from '@angular/core';
import type { MarketFeedAnswer } from '@iunctus/contract';
import {
  checkEntry,
  defaultAccount,
  entryIdsOf,
  explainHeld,
  gatherLines,
  idOfGathered,
  missingFor,
  payoutEntry,
  recordedAs,
  sumsBySort,
  takenPayouts,
  type AccountId,
  type Gathered,
  type HeldExplained,
  type MarketSort,
  type Minor,
  type NewEntry,
  type PlacedFault,
  type Purpose,
  type Recording,
} from '@iunctus/core';
import { firstValueFrom } from 'rxjs';
import { ApiService } from '../../shared/api/api.service';
import { Doing } from '../../shared/api/doing';
import { dateWords } from '../../shared/words/period-words';
import { BooksReader } from '../../workspace/model/books-reader';
import { ClientRoutes } from '../../workspace/model/client-routes';
import { ENTRIES_AT_ONCE, listedEntry, ListPosting } from '../../workspace/model/list-posting';
import { readRegister } from '../../workspace/model/register-reading';

/** Lines that are posted as one entry, and how that stands. */
export interface PayoutRow {
  readonly id: string;
  readonly gathered: Gathered;
  readonly sums: Readonly<Record<MarketSort, Minor>>;
  readonly entry: NewEntry | null;
  readonly faults: readonly PlacedFault[];
  readonly number: number | null;
}

type Told = Extract<MarketFeedAnswer, { state: 'told' }>;

/** What the books have of a statement. */
interface InBooks {
  /** The numbers of entries, by their ids. */
  readonly known: ReadonlyMap<string, number>;
  /** Payouts that were taken from the bank, by their ids. */
  readonly taken: ReadonlySet<string>;
  /** What the account that holds, and that of the reserve, come to; `null` where there is none. */
  readonly held: Minor | null;
  readonly reserve: Minor | null;
}

const NOTHING: InBooks = { known: new Map(), taken: new Set(), held: null, reserve: null };

/** Lines of the account at most in which payouts are looked for. */
const MOST_LINES = 5000;

/** A marketplace’s statement on its way into the books: at each payout, or by month. */
@Injectable()
export class PayoutTaking {
  private readonly api = inject(ApiService);
  private readonly reader = inject(BooksReader);
  private readonly client = inject(ClientRoutes);
  private readonly posting = inject(ListPosting);

  readonly told = signal<Told | null>(null);
  readonly silent = signal(false);
  readonly doing = new Doing();
  private readonly inBooks = signal<InBooks>(NOTHING);
  private readonly wished = signal<Recording | null>(null);
  private readonly context = computed(() => ({
    chart: this.reader.chart(),
    routes: this.client.routes(),
  }));

  /** The way in which something was recorded already; it stays so. */
  readonly settled = computed(() => {
    const told = this.told();
    const { known } = this.inBooks();
    return told === null ? null : recordedAs(told.lines, told.through, (id) => known.has(id));
  });
  readonly recording = computed<Recording>(() => this.settled() ?? this.wished() ?? 'monthly');
  readonly holdingId = computed(() => defaultAccount('holding', this.context()));
  /** The account of the reserve, where it stands apart from what is held. */
  readonly heldBackId = computed(() => {
    const id = defaultAccount('heldBack', this.context());
    return id === this.holdingId() ? null : id;
  });
  readonly missing = computed<readonly Purpose[]>(() =>
    missingFor(this.told()?.lines ?? [], this.context()),
  );
  readonly rows = computed<readonly PayoutRow[]>(() => {
    const told = this.told();
    if (told === null) return [];
    return gatherLines(told.lines, this.recording(), told.through)
      .map((gathered) => this.rowOf(gathered))
      .toReversed();
  });
  readonly ready = computed(() =>
    this.rows().filter(
      ({ number, entry, faults }) => number === null && entry !== null && faults.length === 0,
    ),
  );
  /** Why the account that holds comes to what it does. */
  readonly explained = computed<(HeldExplained & { readonly inBooks: Minor }) | null>(() => {
    const [told, { held: inBooks, taken }] = [this.told(), this.inBooks()];
    if (told === null || inBooks === null) return null;
    const posted = new Set(
      this.rows().flatMap(({ number, gathered }) => (number === null ? [] : gathered.lines)),
    );
    const isReserveApart = this.heldBackId() !== null;
    return { inBooks, ...explainHeld({ ...told, posted, taken, inBooks, isReserveApart }) };
  });
  readonly reserveInBooks = computed(() => this.inBooks().reserve);

  private rowOf(gathered: Gathered): PayoutRow {
    const { lines, date } = gathered;
    const id = idOfGathered(gathered, this.recording());
    const [first, last] = [lines[0]?.date ?? date, lines.at(-1)?.date ?? date];
    const comment = $localize`Marketplace, ${dateWords(first)} to ${dateWords(last)}`;
    const entry = payoutEntry(gathered, comment, this.context());
    const number = this.inBooks().known.get(id) ?? null;
    const faults = entry === null || number !== null ? [] : this.faultsOf(entry);
    return { id, gathered, sums: sumsBySort(lines), entry, faults, number };
  }

  private faultsOf(entry: NewEntry): readonly PlacedFault[] {
    const { chart } = this.context();
    return checkEntry({ chart, books: this.reader.books(), entry, byHand: false });
  }

  choose(recording: Recording): void {
    this.wished.set(recording);
  }

  /** Asks the marketplace for its statement, and the books for what they have of it. */
  async ask(): Promise<void> {
    this.silent.set(false);
    await this.doing.run(async () => {
      const clientId = this.clientId();
      const answer = await firstValueFrom(this.api.ask('marketFeed', { clientId }));
      if (answer.state === 'silent') return this.silent.set(true);
      await this.lookUp(answer);
      this.told.set(answer);
    });
  }

  private async lookUp({ lines, through }: Told): Promise<void> {
    const [holdingId, heldBackId] = [this.holdingId(), this.heldBackId()];
    const known = await this.posting.known(entryIdsOf(lines, through));
    const holding = holdingId === null ? null : await this.registerOf(holdingId, through);
    const heldBack = heldBackId === null ? null : await this.registerOf(heldBackId, through);
    this.inBooks.set({
      known,
      taken: takenPayouts(lines, holding?.lines ?? []),
      held: holding?.after ?? null,
      reserve: heldBack?.after ?? null,
    });
  }

  private registerOf(id: AccountId, last: string) {
    const asked = { clientId: this.clientId(), accounts: [id], first: null, last };
    return readRegister(this.api, { ...asked, most: MOST_LINES });
  }

  /** Posts everything that is ready, each once. */
  async post(): Promise<void> {
    const told = this.told();
    if (told === null) return;
    const entries = this.ready().flatMap(({ id, entry }) =>
      entry === null ? [] : listedEntry(id, entry),
    );
    await this.doing.run(async () => {
      for (let from = 0; from < entries.length; from += ENTRIES_AT_ONCE)
        await this.posting.post(entries.slice(from, from + ENTRIES_AT_ONCE));
      await this.lookUp(told);
    });
    this.posting.tell();
  }

  private clientId(): string {
    return this.reader.client()?.id ?? '';
  }
}
