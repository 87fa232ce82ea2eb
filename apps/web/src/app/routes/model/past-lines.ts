import { inject, Injectable, signal } from '@angular/core';
import { addDays, toldAccounts, type PastLine } from '@iunctus/core';
import { ApiService } from '../../shared/api/api.service';
import { Doing } from '../../shared/api/doing';
import { today } from '../../shared/dates/today';
import { BooksReader } from '../../workspace/model/books-reader';
import { readRegister } from '../../workspace/model/register-reading';

/** Lines of the past at most, and how many days they go back. */
export const MOST_PAST = 5000;
const DAYS = 365;

/** What was posted on bank accounts in the year that ends today: what rules are held against. */
@Injectable()
export class PastLines {
  private readonly api = inject(ApiService);
  private readonly reader = inject(BooksReader);
  readonly lines = signal<readonly PastLine[] | null>(null);
  /** Whether the year has more lines than are looked at: the newest are. */
  readonly isCut = signal(false);
  readonly doing = new Doing();

  /** Reads them, the newest first, as far as they are to be counted. */
  async read(): Promise<void> {
    const told = toldAccounts(this.reader.chart());
    if (told.length === 0) return this.lines.set([]);
    const held = new Set(told.filter(({ kind }) => kind === 'clearing').map(({ id }) => id));
    await this.doing.run(async () => {
      const { lines, more } = await readRegister(this.api, {
        clientId: this.reader.client()?.id ?? '',
        accounts: told.map(({ id }) => id),
        first: addDays(today(), -DAYS),
        last: null,
        most: MOST_PAST,
      });
      this.isCut.set(more);
      this.lines.set(
        lines.map(({ comment, amount, accountId, against }) => ({
          text: comment,
          amount,
          source: held.has(accountId) ? 'payout' : 'bank',
          accountId: against.length === 1 ? (against[0] ?? null) : null,
        })),
      );
    });
  }
}
