import type {
  PostedAnswer,
  PostEntryRequest,
  PostListAnswer,
  PostListRequest,
  ReverseRequest,
} from '@iunctus/contract';
import {
  accountsById,
  checkEntry,
  reversalOf,
  type Account,
  type Books,
  type Chart,
  type NewEntry,
  type PlacedFault,
} from '@iunctus/core';
import type pg from 'pg';
import type { Viewer } from '../access/viewer';
import { loadChartForPosting } from '../charts/chart-store';
import { inLockedChart, type InChart } from '../charts/in-chart';
import { bearsNoAccount, madeOfVeiled } from '../charts/veil';
import type { Veiled } from '../charts/veiled';
import { clientOf } from '../clients/clients.service';
import { inTransactionOn, type Transaction } from '../database/transaction';
import { postEntries, type Entry } from '../postings/entries.queries';
import { badRequest, problem } from '../problems/problem';
import { deleteDraft } from './drafts.queries';
import { manyNumbers, maybeEntry } from './journal.queries';
import { insertStandingDay } from './standing.queries';

interface Asked {
  readonly viewer: Viewer;
  readonly clientId: string;
  readonly today: string;
}

interface AtBooks extends InChart {
  readonly on: Transaction;
  readonly viewer: Viewer;
  readonly chart: Chart;
  readonly accounts: ReadonlyMap<string, Account>;
  readonly books: Books;
}

/** Works on the books of a client, which are held until it is done. */
const atBooks = <T>(
  pool: pg.Pool,
  { viewer, clientId, today }: Asked,
  work: (at: AtBooks) => Promise<T>,
): Promise<T> =>
  inTransactionOn(pool, async (on) => {
    const { currency, fiscalYearStart } = await clientOf(on, viewer, clientId);
    return inLockedChart(on, { viewer, clientId }, async (found) => {
      const books = {
        currency,
        fiscalYearStart,
        lockedThrough: found.head.lockedThrough,
        today,
      };
      const chart = await loadChartForPosting(on, found.head);
      return work({ ...found, on, viewer, chart, accounts: accountsById(chart), books });
    });
  });

/** Lines on accounts that one does not see are refused as if there were no such account. */
const hiddenFaults = ({ personal }: AtBooks, { lines }: NewEntry): readonly PlacedFault[] =>
  lines.flatMap(({ accountId }, line) =>
    personal.veil.hides(accountId) ? [{ line, fault: { code: 'gone' } as const }] : [],
  );

const faultsOf = (at: AtBooks, entry: NewEntry, byHand: boolean): readonly PlacedFault[] => {
  const hidden = hiddenFaults(at, entry);
  return hidden.length > 0
    ? hidden
    : checkEntry({ chart: at.chart, accounts: at.accounts, books: at.books, entry, byHand });
};

const refuseFaults = (at: AtBooks, entry: NewEntry, byHand: boolean): void => {
  const faults = faultsOf(at, entry, byHand);
  if (faults.length > 0) problem({ code: 'entryRefused', faults: [...faults] });
};

/** The number of an entry that is posted under that id already: asking again posts nothing. */
const postedBefore = async ({ on, head }: AtBooks, id: string): Promise<number | null> =>
  (await manyNumbers(on, head, [id]))[0]?.number ?? null;

const post = async (at: AtBooks, entry: Entry): Promise<Veiled<PostedAnswer>> => {
  const number = await postEntries(at.on, at.head, [{ ...entry, authorId: at.viewer.userId }]);
  return bearsNoAccount({ id: entry.id, number });
};

const refuseWrongCorrection = async (at: AtBooks, corrects: string | null): Promise<void> => {
  if (corrects === null) return;
  const entry = await maybeEntry(at.on, at.head, corrects);
  if (entry === undefined) problem({ code: 'notFound' });
  else if (entry.reversedBy === null) badRequest('corrects', 'is not taken back yet');
};

/** The day of a standing entry is dealt with; one that was ended meanwhile takes nothing. */
const dealWith = async (
  at: AtBooks,
  day: Parameters<typeof insertStandingDay>[2],
): Promise<void> => {
  if ((await insertStandingDay(at.on, at.head, day)) === 0)
    problem({ code: 'overtaken', by: 'standing' });
};

/**
 * Posts an entry that was typed, once: asking again under the same id gives its number. Refuses what the core refuses,
 * by line. Its draft ends with it, and the day of a standing entry is dealt with.
 */
export const postEntry = (
  pool: pg.Pool,
  { request, ...asked }: Asked & { readonly request: PostEntryRequest },
): Promise<Veiled<PostedAnswer>> =>
  atBooks(pool, asked, async (at) => {
    const { id, corrects, standing, draftId, ...entry } = request;
    const before = await postedBefore(at, id);
    if (before !== null) return bearsNoAccount({ id, number: before });
    refuseFaults(at, entry, true);
    await refuseWrongCorrection(at, corrects);
    const posted = await post(at, { ...entry, id, corrects, byHand: true });
    if (standing !== null) await dealWith(at, { ...standing, entryId: id });
    if (draftId !== null) await deleteDraft(at.on, at.head, { id: draftId, viewer: at.viewer });
    return posted;
  });

/** Takes an entry back by its opposite, once. */
export const reverseEntry = (
  pool: pg.Pool,
  {
    entryId,
    request,
    ...asked
  }: Asked & {
    readonly entryId: string;
    readonly request: ReverseRequest;
  },
): Promise<Veiled<PostedAnswer>> =>
  atBooks(pool, asked, async (at) => {
    const before = await postedBefore(at, request.id);
    if (before !== null) return bearsNoAccount({ id: request.id, number: before });
    const there = await maybeEntry(at.on, at.head, entryId);
    if (there === undefined) return problem({ code: 'notFound' });
    if (there.reversedBy !== null) return problem({ code: 'overtaken', by: 'reversal' });
    const entry = reversalOf(there, { chart: at.chart, ...request });
    refuseFaults(at, entry, false);
    return post(at, { ...entry, id: request.id, reverses: entryId });
  });

/** Posts the entries of a list that can be: those that are there already are passed over, refused ones are named. */
export const postList = (
  pool: pg.Pool,
  { request, ...asked }: Asked & { readonly request: PostListRequest },
): Promise<Veiled<PostListAnswer>> =>
  atBooks(pool, asked, async (at) => {
    const ids = request.entries.map(({ id }) => id);
    const known = new Set((await manyNumbers(at.on, at.head, ids)).map(({ id }) => id));
    const fresh = new Map(
      request.entries.filter(({ id }) => !known.has(id)).map((entry) => [entry.id, entry]),
    );
    const refused = [...fresh.values()].flatMap((entry) => {
      const faults = faultsOf(at, entry, false);
      return faults.length === 0 ? [] : [{ id: entry.id, faults: [...faults] }];
    });
    for (const { id } of refused) fresh.delete(id);
    const { userId: authorId } = at.viewer;
    if (fresh.size > 0)
      await postEntries(
        at.on,
        at.head,
        [...fresh.values()].map((entry) => ({ ...entry, authorId })),
      );
    return madeOfVeiled({ posted: fresh.size, known: known.size, refused });
  });
