import type { EntryAnswer, JournalAnswer, JournalRequest } from '@iunctus/contract';
import { parseAmount } from '@iunctus/core';
import type pg from 'pg';
import type { Viewer } from '../access/viewer';
import { inChart } from '../charts/in-chart';
import { hiddenIds, madeOfVeiled, veiledEntries, veiledEntry } from '../charts/veil';
import type { Veiled } from '../charts/veiled';
import { clientOf } from '../clients/clients.service';
import { onSnapshotOf } from '../database/transaction';
import { problem } from '../problems/problem';
import { manyEntries, manyNumbers, maybeEntry, type Narrowed } from './journal.queries';

/** Entries that one answer holds at most. */
const PAGE = 60;

/** What a text may be besides words: an amount of the client's currency, the number of an entry. */
export const narrowedBy = (
  { first, last, source, text }: Omit<JournalRequest, 'before'>,
  { currency, hidden }: { readonly currency: string; readonly hidden: readonly string[] },
): Narrowed => {
  const words = text.trim();
  const amount = parseAmount(words, currency);
  return {
    first,
    last,
    source,
    text: words,
    hidden,
    amount: amount === null ? null : Math.abs(amount),
    number: /^#?\d{1,9}$/.test(words) ? Number(words.replace('#', '')) : null,
  };
};

/** Posted entries, newest first, a page of them. */
export const journalOf = (
  pool: pg.Pool,
  viewer: Viewer,
  { clientId, request }: { readonly clientId: string; readonly request: JournalRequest },
): Promise<Veiled<JournalAnswer>> =>
  onSnapshotOf(pool, async (on) => {
    const { currency } = await clientOf(on, viewer, clientId);
    return inChart(on, { viewer, clientId }, async ({ head, personal }) => {
      const { before } = request;
      const hidden = await hiddenIds(on, head, personal);
      const narrowed = narrowedBy(request, { currency, hidden });
      const entries = await manyEntries(on, head, { narrowed, before, most: PAGE + 1 });
      const seen = veiledEntries(entries.slice(0, PAGE), personal);
      return madeOfVeiled({ entries: seen, more: entries.length > PAGE });
    });
  });

/** One entry. */
export const entryOf = (
  pool: pg.Pool,
  viewer: Viewer,
  { clientId, entryId }: { readonly clientId: string; readonly entryId: string },
): Promise<Veiled<EntryAnswer>> =>
  onSnapshotOf(pool, (on) =>
    inChart(on, { viewer, clientId }, async ({ head, personal }) => {
      const entry = (await maybeEntry(on, head, entryId)) ?? problem({ code: 'notFound' });
      return veiledEntry(entry, personal);
    }),
  );

/** Which entries of a list are in the books already. */
export const knownEntries = (
  pool: pg.Pool,
  viewer: Viewer,
  { clientId, ids }: { readonly clientId: string; readonly ids: readonly string[] },
): Promise<Veiled<{ id: string; number: number }[]>> =>
  inChart(pool, { viewer, clientId }, async ({ head }) =>
    madeOfVeiled(await manyNumbers(pool, head, ids)),
  );

/** Entries that are read at once where all are wanted. */
const MANY = 2000;

/** All entries of a span of days, both inclusive, the oldest first. */
export const allEntriesOf = (
  pool: pg.Pool,
  viewer: Viewer,
  { clientId, first, last }: { readonly clientId: string } & Pick<JournalRequest, 'first' | 'last'>,
): Promise<Veiled<EntryAnswer[]>> =>
  onSnapshotOf(pool, (on) =>
    inChart(on, { viewer, clientId }, async ({ head, personal }) => {
      const nothing = { source: null, text: '', amount: null, number: null, hidden: [] };
      const narrowed = { first, last, ...nothing };
      const entries: EntryAnswer[] = [];
      let before: JournalRequest['before'] = null;
      for (let more = true; more;) {
        const page: EntryAnswer[] = await manyEntries(on, head, { narrowed, before, most: MANY });
        entries.push(...page);
        before = page.at(-1) ?? null;
        more = page.length === MANY;
      }
      return veiledEntries(entries.reverse(), personal);
    }),
  );
