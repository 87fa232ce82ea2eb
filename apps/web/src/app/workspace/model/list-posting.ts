import { inject, Injectable } from '@angular/core';
import type { PostListAnswer, PostListRequest } from '@iunctus/contract';
import { isTypedSource, type NewEntry } from '@iunctus/core';
import { firstValueFrom } from 'rxjs';
import { ApiService } from '../../shared/api/api.service';
import { BooksReader } from './books-reader';

/** An entry of a list, under the id by which it is known again. */
export type ListedEntry = PostListRequest['entries'][number];

/** An entry as lists post it; none for one of a source that no list has. */
export const listedEntry = (id: string, entry: NewEntry): ListedEntry[] =>
  isTypedSource(entry.source)
    ? [
        {
          id,
          date: entry.date,
          source: entry.source,
          comment: entry.comment,
          lines: entry.lines.map((line) => ({ ...line, values: { ...line.values } })),
        },
      ]
    : [];

/** Ids that one question asks for, and entries that one request posts. */
const IDS_AT_ONCE = 20_000;
export const ENTRIES_AT_ONCE = 1000;

/** Lists on their way into the books: what is there already is asked for, and posted is only what is not. */
@Injectable()
export class ListPosting {
  private readonly api = inject(ApiService);
  private readonly reader = inject(BooksReader);
  private readonly touched = new Set<string>();

  /** The numbers of the entries that are in the books already, by their ids. */
  async known(ids: readonly string[]): Promise<ReadonlyMap<string, number>> {
    const known = new Map<string, number>();
    for (let from = 0; from < ids.length; from += IDS_AT_ONCE) {
      const body = { ids: ids.slice(from, from + IDS_AT_ONCE) };
      const asked = { clientId: this.clientId(), body };
      for (const { id, number } of await firstValueFrom(this.api.ask('knownEntries', asked)))
        known.set(id, number);
    }
    return known;
  }

  /** Posts entries that fit one request, each once. */
  post(entries: readonly ListedEntry[]): Promise<PostListAnswer> {
    for (const { lines } of entries) for (const { accountId } of lines) this.touched.add(accountId);
    const asked = { clientId: this.clientId(), body: { entries: [...entries] } };
    return firstValueFrom(this.api.ask('postList', asked));
  }

  /** Tells everybody which amounts are others since it was told last; also after a list that was stopped or failed. */
  tell(): void {
    if (this.touched.size > 0) this.reader.changed([...this.touched]);
    this.touched.clear();
  }

  private clientId(): string {
    return this.reader.client()?.id ?? '';
  }
}
