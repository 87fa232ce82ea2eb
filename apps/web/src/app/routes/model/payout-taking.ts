import { computed, inject, Injectable, signal } from '@angular/core';
import type { MarketFeedAnswer, RegisterLine } from '@iunctus/contract';
import {
  addDays,
  checkEntry,
  entryOfLines,
  gatherLines,
  heldAt,
  isTypedSource,
  PURPOSE_OF_SORT,
  routeLine,
  standsFor,
  type AccountId,
  type Gathered,
  type MarketLine,
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

/** Lines that are posted as one entry, and how that stands. */
export interface PayoutRow {
  readonly id: string;
  readonly gathered: Gathered;
  readonly sums: Readonly<Record<MarketSort, Minor>>;
  readonly entry: NewEntry | null;
  readonly faults: readonly PlacedFault[];
  readonly number: number | null;
}

/** What the marketplace holds by its statement, and what the books say. */
export interface Explained {
  readonly held: Minor;
  readonly inBooks: Minor;
  /** Lines of the statement that are not posted yet. */
  readonly unposted: Minor;
  /** Payouts that were not taken from the bank yet, by their days; what they come to. */
  readonly untaken: readonly string[];
  readonly untakenAmount: Minor;
  /** What the account holds of others. */
  readonly rest: Minor;
  readonly reserve: Minor;
  readonly reserveInBooks: Minor | null;
}

type Told = Extract<MarketFeedAnswer, { state: 'told' }>;

/** An entry is known again by a line of it, another one for each way of recording. */
const idOf = ({ lines }: Gathered, recording: Recording): string =>
  (recording === 'each' ? lines[0] : lines.at(-1))?.id ?? '';

const sumOf = (lines: readonly MarketLine[], sort: MarketSort): Minor =>
  lines.reduce((sum, line) => (line.sort === sort ? sum + line.amount : sum), 0);

/** Lines of the account at most in which payouts are looked for. */
const MOST_LINES = 5000;

/** Days after which a payout is at the bank at the latest. */
const ON_THE_WAY = 10;

/** The payouts that have a line of their amount in the account, on their day or soon after: each line is one of them. */
const takenPayouts = (
  told: readonly MarketLine[],
  posted: readonly RegisterLine[],
): ReadonlySet<string> => {
  const left = [...posted];
  const taken = new Set<string>();
  for (const { id, sort, date, amount } of told) {
    if (sort !== 'payout') continue;
    const until = addDays(date, ON_THE_WAY);
    const at = left.findIndex(
      (line) => line.amount === amount && line.date >= date && line.date <= until,
    );
    if (at < 0) continue;
    left.splice(at, 1);
    taken.add(id);
  }
  return taken;
};

/** A marketplace’s statement on its way into the books: at each payout, or by month. */
@Injectable()
export class PayoutTaking {
  private readonly api = inject(ApiService);
  private readonly reader = inject(BooksReader);
  private readonly client = inject(ClientRoutes);

  readonly told = signal<Told | null>(null);
  readonly silent = signal(false);
  readonly doing = new Doing();
  private readonly known = signal<ReadonlyMap<string, number>>(new Map());
  private readonly wished = signal<Recording | null>(null);
  /** Payouts that were taken from the bank already. */
  private readonly taken = signal<ReadonlySet<string>>(new Set());
  private readonly inBooks = signal<ReadonlyMap<AccountId, Minor>>(new Map());

  /** The way in which something was recorded already; it stays so. */
  readonly settled = computed<Recording | null>(() => {
    const told = this.told();
    if (told === null) return null;
    const ways: readonly Recording[] = ['each', 'monthly'];
    return (
      ways.find((way) =>
        gatherLines(told.lines, way, told.through).some((one) => this.known().has(idOf(one, way))),
      ) ?? null
    );
  });
  readonly recording = computed<Recording>(() => this.settled() ?? this.wished() ?? 'monthly');
  readonly holdingId = computed(() => this.accountFor('holding'));
  readonly heldBackId = computed(() => this.accountFor('heldBack'));
  /** The purposes that the statement has lines for and that lead nowhere. */
  readonly missing = computed<readonly Purpose[]>(() => {
    const lines = this.told()?.lines ?? [];
    const wanted = new Set<Purpose>(['holding']);
    for (const { sort } of lines) {
      const purpose = PURPOSE_OF_SORT[sort];
      if (purpose !== null) wanted.add(purpose);
    }
    // Without an account of its own, a reserve stays with what is held.
    wanted.delete('heldBack');
    return [...wanted].filter((purpose) => this.accountFor(purpose) === null);
  });
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

  private accountFor(purpose: Purpose): AccountId | null {
    const item = this.client.routes().defaults.get(purpose);
    return item === undefined ? null : standsFor(this.reader.chart(), item.content.accountId);
  }

  private rowOf(gathered: Gathered): PayoutRow {
    const id = idOf(gathered, this.recording());
    const entry = this.entryOf(gathered);
    const chart = this.reader.chart();
    const number = this.known().get(id) ?? null;
    return {
      id,
      gathered,
      sums: {
        sale: sumOf(gathered.lines, 'sale'),
        refund: sumOf(gathered.lines, 'refund'),
        fee: sumOf(gathered.lines, 'fee'),
        reserve: sumOf(gathered.lines, 'reserve'),
        payout: 0,
      },
      entry,
      faults:
        entry === null || number !== null
          ? []
          : checkEntry({ chart, books: this.reader.books(), entry, byHand: false }),
      number,
    };
  }

  /** The entry of some lines; `null` while one of them leads nowhere. */
  private entryOf({ lines, date }: Gathered): NewEntry | null {
    const context = { chart: this.reader.chart(), routes: this.client.routes() };
    const atId = this.holdingId();
    const routed = lines.map((line) => {
      const found = routeLine({ ...line, purpose: PURPOSE_OF_SORT[line.sort] }, context);
      const code = context.routes.taxCodes.find(({ id }) => id === found.taxCodeId);
      const accountId = found.accountId ?? (line.sort === 'reserve' ? atId : null);
      return { line, accountId, taxCode: code?.content ?? null };
    });
    const targets = routed.flatMap(({ line, accountId, taxCode }) =>
      accountId === null || atId === null ? [] : [{ line, target: { atId, accountId, taxCode } }],
    );
    if (targets.length < lines.length) return null;
    const first = lines[0]?.date ?? date;
    const comment = $localize`Marketplace, ${dateWords(first)} to ${dateWords(lines.at(-1)?.date ?? date)}`;
    return entryOfLines(targets, { date, comment }, context);
  }

  readonly explained = computed<Explained | null>(() => {
    const [told, holdingId] = [this.told(), this.holdingId()];
    const inBooks = holdingId === null ? undefined : this.inBooks().get(holdingId);
    if (told === null || inBooks === undefined) return null;
    const { toPayOut, reserve } = heldAt(told.lines, told.through);
    const heldBackId = this.heldBackId();
    const isApart = heldBackId !== null && heldBackId !== holdingId;
    const held = isApart ? toPayOut : toPayOut + reserve;
    const posted = new Set(
      this.rows().flatMap(({ number, gathered }) => (number === null ? [] : gathered.lines)),
    );
    const unposted = told.lines
      .filter(({ sort }) => sort !== 'payout' && (isApart || sort !== 'reserve'))
      .filter((line) => !posted.has(line))
      .reduce((sum, { amount }) => sum + amount, 0);
    const untaken = told.lines.filter(
      (line) => line.sort === 'payout' && !this.taken().has(line.id),
    );
    const untakenAmount = untaken.reduce((sum, { amount }) => sum - amount, 0);
    return {
      held,
      inBooks,
      unposted,
      untaken: untaken.map(({ date }) => date),
      untakenAmount,
      rest: inBooks - held + unposted - untakenAmount,
      reserve,
      reserveInBooks: isApart ? (this.inBooks().get(heldBackId) ?? null) : null,
    };
  });

  choose(recording: Recording): void {
    this.wished.set(recording);
  }

  /** Asks the marketplace for its statement, and the books for what they have of it. */
  async ask(): Promise<void> {
    this.silent.set(false);
    await this.doing.run(async () => {
      const answer = await firstValueFrom(
        this.api.ask('marketFeed', { clientId: this.clientId() }),
      );
      if (answer.state === 'silent') return this.silent.set(true);
      await this.lookUp(answer);
      this.told.set(answer);
    });
  }

  private async lookUp({ lines, through }: Told): Promise<void> {
    const body = { ids: lines.map(({ id }) => id) };
    const asked = { clientId: this.clientId(), body };
    const found = await firstValueFrom(this.api.ask('knownEntries', asked));
    this.known.set(new Map(found.map(({ id, number }) => [id, number])));
    const holdingId = this.holdingId();
    const heldBackId = this.heldBackId();
    const balances = new Map<AccountId, Minor>();
    if (holdingId !== null) {
      const register = await this.registerOf(holdingId, through);
      balances.set(holdingId, register.after);
      this.taken.set(takenPayouts(lines, register.lines));
    }
    if (heldBackId !== null && heldBackId !== holdingId)
      balances.set(heldBackId, (await this.registerOf(heldBackId, through)).after);
    this.inBooks.set(balances);
  }

  /** What an account comes to on a day, and its lines, as far as payouts are looked for there. */
  private async registerOf(id: AccountId, last: string) {
    const asked = { accounts: [id], first: null, last, source: null, text: '', fresh: false };
    const clientId = this.clientId();
    let answer = await firstValueFrom(
      this.api.ask('register', { clientId, body: { ...asked, before: null } }),
    );
    const { after } = answer;
    const lines = [...answer.lines];
    while (answer.more && lines.length < MOST_LINES) {
      const behind = lines.at(-1);
      if (behind === undefined) break;
      const { date, sequence, lineNumber, balance, amount } = behind;
      const before = { date, sequence, lineNumber, balance: balance - amount };
      answer = await firstValueFrom(
        this.api.ask('register', { clientId, body: { ...asked, before } }),
      );
      lines.push(...answer.lines);
    }
    return { after, lines };
  }

  /** Posts everything that is ready, each once. */
  async post(): Promise<void> {
    const told = this.told();
    if (told === null) return;
    const touched = new Set<AccountId>();
    const entries = this.ready().flatMap(({ id, entry }) => {
      if (entry === null || !isTypedSource(entry.source)) return [];
      for (const { accountId } of entry.lines) touched.add(accountId);
      const lines = entry.lines.map((line) => ({ ...line, values: { ...line.values } }));
      return [{ id, date: entry.date, source: entry.source, comment: entry.comment, lines }];
    });
    await this.doing.run(async () => {
      await firstValueFrom(
        this.api.ask('postList', { clientId: this.clientId(), body: { entries } }),
      );
      await this.lookUp(told);
    });
    this.reader.changed([...touched]);
  }

  private clientId(): string {
    return this.reader.client()?.id ?? '';
  }
}
