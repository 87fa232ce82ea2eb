import { computed, inject, Injectable, signal } from '@angular/core';
import {
  accountsById,
  checkEntry,
  entryOfLine,
  routeLine,
  taxWithin,
  type AccountId,
  type DatedLine,
  type Minor,
  type NewEntry,
  type PlacedFault,
  type Routed,
  type TaxCode,
} from '@iunctus/core';
import { firstValueFrom } from 'rxjs';
import { ApiService } from '../../shared/api/api.service';
import { Doing } from '../../shared/api/doing';
import { reading } from '../../shared/api/reading';
import { BooksReader } from '../../workspace/model/books-reader';
import { ClientRoutes } from '../../workspace/model/client-routes';
import { ENTRIES_AT_ONCE, listedEntry, ListPosting } from '../../workspace/model/list-posting';

/** How a line stands. */
export type LineState = 'posted' | 'aside' | 'ready' | 'open' | 'refused';

/** A line, where it goes, and what keeps it from going there. */
export interface TakenRow {
  readonly line: DatedLine;
  readonly routed: Routed;
  /** Where it goes: as somebody said, or by the routes. */
  readonly accountId: AccountId | null;
  /** Whether somebody said so for this line alone. */
  readonly byHand: boolean;
  readonly state: LineState;
  readonly entry: NewEntry | null;
  readonly faults: readonly PlacedFault[];
  /** The sales tax that is taken out of it, without a sign. */
  readonly tax: Minor;
  /** The number of the entry that it is posted as; `null` while it is not. */
  readonly number: number | null;
}

type RoutedLine = Omit<TakenRow, 'state' | 'number'>;

/** What became of posting. */
export interface LinesPosted {
  readonly posted: number;
  readonly refused: number;
}

/** Lines of one bank account on their way into the books, through the rules. */
@Injectable()
export class LineTaking {
  private readonly api = inject(ApiService);
  private readonly reader = inject(BooksReader);
  private readonly client = inject(ClientRoutes);
  private readonly posting = inject(ListPosting);

  readonly atId = signal<AccountId | null>(null);
  readonly lines = signal<readonly DatedLine[] | null>(null);
  private readonly known = signal<ReadonlyMap<string, number>>(new Map());
  /** Where lines go that somebody sent there themselves. */
  private readonly sent = signal<ReadonlyMap<string, AccountId>>(new Map());
  /** Lines that are ready and are not to be posted this time. */
  readonly leftOut = signal<ReadonlySet<string>>(new Set());
  readonly doing = new Doing();
  readonly outcome = signal<LinesPosted | null>(null);
  /** How far posting is: lines done of all; `null` while nothing is posted. */
  readonly progress = signal<{ readonly done: number; readonly all: number } | null>(null);
  private stopped = false;

  private readonly aside = reading(
    () => this.reader.client()?.id,
    (clientId) => this.api.ask('linesSetAside', { clientId }),
  );
  private readonly asideIds = computed(() => new Set(this.aside.value() ?? []));

  private readonly accounts = computed(() => accountsById(this.reader.chart()));
  /** The lines as the routes have them, whatever is said by hand: anew with the lines, the routes and the chart alone. */
  private readonly routed = computed<readonly RoutedLine[]>(() => {
    const context = { chart: this.reader.chart(), routes: this.client.routes() };
    return (this.lines() ?? []).map((line) => {
      const routed = routeLine(line, context);
      const target = { accountId: routed.accountId, taxCode: this.taxOf(routed) };
      return { line, routed, byHand: false, ...this.entryOf(line, target) };
    });
  });
  readonly rows = computed<readonly TakenRow[]>(() => {
    const [sent, known] = [this.sent(), this.known()];
    return this.routed().map((one): TakenRow => {
      const accountId = sent.get(one.line.id);
      const row =
        accountId === undefined
          ? one
          : { ...one, byHand: true, ...this.entryOf(one.line, { accountId, taxCode: null }) };
      const number = known.get(one.line.id) ?? null;
      return { ...row, number, state: this.stateOf(row, number) };
    });
  });
  readonly chosen = computed(() =>
    this.rows().filter(({ state, line }) => state === 'ready' && !this.leftOut().has(line.id)),
  );

  /** The entry of a line that goes to an account, and what keeps it from being posted. */
  private entryOf(
    line: DatedLine,
    {
      accountId,
      taxCode,
    }: { readonly accountId: AccountId | null; readonly taxCode: TaxCode | null },
  ): Pick<TakenRow, 'accountId' | 'entry' | 'faults' | 'tax'> {
    const atId = this.atId();
    if (accountId === null || atId === null) return { accountId, entry: null, faults: [], tax: 0 };
    const context = { chart: this.reader.chart(), routes: this.client.routes() };
    const entry = entryOfLine(line, { atId, accountId, taxCode }, context);
    const [accounts, books] = [this.accounts(), this.reader.books()];
    const checking = { chart: context.chart, accounts, books, entry, byHand: false };
    const tax = Math.abs(taxWithin(line.amount, taxCode, context));
    return { accountId, entry, faults: checkEntry(checking), tax };
  }

  private taxOf({ taxCodeId }: Routed) {
    return this.client.routes().taxCodes.find(({ id }) => id === taxCodeId)?.content ?? null;
  }

  private stateOf({ line, entry, faults }: RoutedLine, number: number | null): LineState {
    if (number !== null) return 'posted';
    if (this.asideIds().has(line.id)) return 'aside';
    if (entry === null) return 'open';
    return faults.length === 0 ? 'ready' : 'refused';
  }

  /** Takes lines of an account; those before are forgotten. */
  async take(atId: AccountId, lines: readonly DatedLine[]): Promise<void> {
    this.atId.set(atId);
    this.outcome.set(null);
    this.sent.set(new Map());
    this.leftOut.set(new Set());
    await this.doing.run(async () => {
      await this.lookUp(lines);
      this.lines.set(lines);
    });
  }

  /** Forgets the lines. */
  leave(): void {
    this.lines.set(null);
    this.outcome.set(null);
  }

  private async lookUp(lines: readonly DatedLine[]): Promise<void> {
    this.known.set(await this.posting.known(lines.map(({ id }) => id)));
  }

  /** Sends a line to an account; `null` leaves it to the routes again. */
  send({ line }: TakenRow, accountId: AccountId | null): void {
    const next = new Map(this.sent());
    if (accountId === null) next.delete(line.id);
    else next.set(line.id, accountId);
    this.sent.set(next);
  }

  choose({ line }: TakenRow): void {
    const next = new Set(this.leftOut());
    if (!next.delete(line.id)) next.add(line.id);
    this.leftOut.set(next);
  }

  /** Sets a line aside for good, or brings it back. */
  async setAside({ line, state }: TakenRow): Promise<void> {
    const asked = { clientId: this.clientId(), lineId: line.id };
    await this.doing.run(() =>
      firstValueFrom(this.api.ask(state === 'aside' ? 'bringLineBack' : 'setLineAside', asked)),
    );
    this.aside.again();
  }

  /** Posts the chosen lines, each once, whoever else does the same. */
  async post(): Promise<void> {
    const entries = this.chosen().flatMap(({ line, entry }) =>
      entry === null ? [] : listedEntry(line.id, entry),
    );
    this.stopped = false;
    let so: LinesPosted = { posted: 0, refused: 0 };
    await this.doing.run(async () => {
      for (let from = 0; from < entries.length && !this.stopped; from += ENTRIES_AT_ONCE) {
        this.progress.set({ done: from, all: entries.length });
        const part = entries.slice(from, from + ENTRIES_AT_ONCE);
        const { posted, refused } = await this.posting.post(part);
        so = { posted: so.posted + posted, refused: so.refused + refused.length };
      }
      await this.lookUp(this.lines() ?? []);
    });
    this.posting.tell();
    this.progress.set(null);
    this.outcome.set(so);
  }

  /** Posts no more; what was posted stays. */
  stop(): void {
    this.stopped = true;
  }

  private clientId(): string {
    return this.reader.client()?.id ?? '';
  }
}
