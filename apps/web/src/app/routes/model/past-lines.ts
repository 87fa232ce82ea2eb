import { inject, Injectable, signal } from '@angular/core';
import type { RegisterLine } from '@iunctus/contract';
import {
  addDays,
  eachNode,
  type Account,
  type AccountId,
  type KindCode,
  type PastLine,
} from '@iunctus/core';
import { firstValueFrom } from 'rxjs';
import { ApiService } from '../../shared/api/api.service';
import { Doing } from '../../shared/api/doing';
import { today } from '../../shared/dates/today';
import { BooksReader } from '../../workspace/model/books-reader';

/** The kinds of accounts whose lines rules are for. */
const AT_A_BANK: readonly KindCode[] = ['bank', 'restrictedCash', 'cardPayable', 'clearing'];

/** Lines of the past at most, and how many days they go back. */
const MOST = 5000;
const DAYS = 365;

/** The accounts of a bank, of a card or of what a processor holds, that take postings. */
export const bankAccounts = (
  chart: Parameters<typeof eachNode>[0],
  kinds: readonly KindCode[] = AT_A_BANK,
): readonly Account[] =>
  [...eachNode(chart)]
    .map(({ account }) => account)
    .filter(
      ({ kind, role, retiredOn }) =>
        kinds.includes(kind) && role === 'posting' && retiredOn === null,
    );

const asPast = (line: RegisterLine, sourceOf: (id: AccountId) => PastLine['source']): PastLine => ({
  text: line.comment,
  amount: line.amount,
  source: sourceOf(line.accountId),
  accountId: line.against.length === 1 ? (line.against[0] ?? null) : null,
});

/** What was posted on bank accounts in the year that ends today: what rules are held against. */
@Injectable()
export class PastLines {
  private readonly api = inject(ApiService);
  private readonly reader = inject(BooksReader);
  readonly lines = signal<readonly PastLine[] | null>(null);
  readonly doing = new Doing();

  /** Reads them, the newest first, as far as they are to be counted. */
  async read(): Promise<void> {
    const accounts = bankAccounts(this.reader.chart().roots);
    if (accounts.length === 0) return this.lines.set([]);
    const held = new Set(accounts.filter(({ kind }) => kind === 'clearing').map(({ id }) => id));
    await this.doing.run(async () => {
      const lines: RegisterLine[] = [];
      let more = true;
      while (more && lines.length < MOST) {
        const page = await this.page(
          accounts.map(({ id }) => id),
          lines.at(-1),
        );
        lines.push(...page.lines);
        ({ more } = page);
      }
      this.lines.set(lines.map((line) => asPast(line, (id) => (held.has(id) ? 'payout' : 'bank'))));
    });
  }

  private page(accounts: string[], behind: RegisterLine | undefined) {
    const body = {
      accounts,
      first: addDays(today(), -DAYS),
      last: null,
      source: null,
      text: '',
      fresh: false,
      before:
        behind === undefined
          ? null
          : {
              date: behind.date,
              sequence: behind.sequence,
              lineNumber: behind.lineNumber,
              balance: behind.balance - behind.amount,
            },
    };
    const clientId = this.reader.client()?.id ?? '';
    return firstValueFrom(this.api.ask('register', { clientId, body }));
  }
}
