import type {
  PostingsAnswer,
  PostingsRequest,
  SplitsAnswer,
  SplitsRequest,
} from '@iunctus/contract';
import {
  add,
  addMonths,
  fiscalYearStart,
  monthOf,
  sum,
  type EntrySource,
  type Month,
  type Posting,
} from '@iunctus/core';
import type pg from 'pg';
import type { Viewer } from '../access/access.service';
import { maybeChart } from '../charts/charts.queries';
import { refuseHidden, veilOf } from '../charts/veil';
import { clientOf } from '../clients/clients.service';
import { problem } from '../http/problem';
import { postingsOfSplits } from './split-postings';
import { manyPostingsAt, newestSequence } from './splits.queries';

/** So many postings of a split are shown one by one. */
const SHOWN = 8;
/** So many comments are offered to choose by. */
const COMMENTS = 12;

const between = (first: Month | null, last: Month) => (posting: Posting) => {
  const month = monthOf(posting.date);
  return (first === null || month >= first) && month <= last;
};

const comesTo = (postings: readonly Posting[]): number => sum(postings.map(({ amount }) => amount));

/** What splits that are not adopted yet would move, each after the ones before it. Nothing is changed. */
export const lookAtSplits = async (
  pool: pg.Pool,
  viewer: Viewer,
  { clientId, request }: { readonly clientId: string; readonly request: SplitsRequest },
): Promise<SplitsAnswer> => {
  const client = await clientOf(pool, viewer, clientId);
  const head = (await maybeChart(pool, viewer, clientId)) ?? problem({ code: 'notFound' });
  const veil = await veilOf(pool, head, viewer);
  refuseHidden(
    [{ operations: request.splits.map((split) => ({ type: 'split', split })) }],
    veil,
    viewer,
  );
  const { first, last } = request;
  const yearStart = fiscalYearStart(last, client.fiscalYearStart);
  const moved = await postingsOfSplits(pool, head, request.splits, request.without);
  return request.splits.map(({ id }) => {
    const postings = moved.get(id) ?? [];
    const [balance, change, year] = [null, first, yearStart].map((from) =>
      comesTo(postings.filter(between(from, last))),
    );
    return {
      id,
      amounts: [id, balance ?? 0, change ?? 0, year ?? 0],
      postings: postings.length,
      total: comesTo(postings),
      newest: postings.slice(0, SHOWN).map(({ date, source, comment, amount }) => ({
        date,
        source,
        comment,
        amount,
      })),
    };
  });
};

const counted = <K>(keys: Iterable<K>): readonly (readonly [K, number])[] => {
  const counts = new Map<K, number>();
  for (const key of keys) counts.set(key, (counts.get(key) ?? 0) + 1);
  return [...counts].sort(([, a], [, b]) => b - a);
};

const valuesOf = (postings: readonly Posting[], dimensionId: string): PostingsAnswer['values'] => {
  const values = counted(postings.map(({ values: own }) => own[dimensionId] ?? null));
  if (values.every(([valueId]) => valueId === null)) return [];
  return values.map(([valueId, count]) => ({ dimensionId, valueId, postings: count }));
};

const yearsOf = (postings: readonly Posting[], startsIn: number): PostingsAnswer['years'] => {
  const amounts = new Map<Month, number>();
  for (const { date, amount } of postings) {
    const first = fiscalYearStart(monthOf(date), startsIn);
    amounts.set(first, add(amounts.get(first) ?? 0, amount));
  }
  return [...amounts]
    .sort(([a], [b]) => b.localeCompare(a))
    .map(([first, amount]) => ({ first, last: addMonths(first, 11), amount }));
};

/** What the postings of accounts can be chosen by: dates, sources, comments, dimension values. */
export const postingsOf = async (
  pool: pg.Pool,
  viewer: Viewer,
  { clientId, request }: { readonly clientId: string; readonly request: PostingsRequest },
): Promise<PostingsAnswer> => {
  const client = await clientOf(pool, viewer, clientId);
  const head = (await maybeChart(pool, viewer, clientId)) ?? problem({ code: 'notFound' });
  const veil = await veilOf(pool, head, viewer);
  if (request.accounts.some(veil.hides)) return problem({ code: 'notFound' });
  const perAccount: (readonly Posting[])[] = [];
  for (const id of request.accounts) perAccount.push(await manyPostingsAt(pool, head, id));
  const postings = perAccount.flat();
  const dates = postings.map(({ date }) => date).sort();
  return {
    upTo: await newestSequence(pool, head),
    postings: postings.length,
    first: dates[0] ?? null,
    last: dates.at(-1) ?? null,
    sources: counted<EntrySource>(postings.map(({ source }) => source)).map(([source, count]) => ({
      source,
      postings: count,
    })),
    values: head.settings.dimensions.flatMap(({ id }) => valuesOf(postings, id)),
    years: yearsOf(postings, client.fiscalYearStart),
    comments: counted(postings.map(({ comment }) => comment))
      .slice(0, COMMENTS)
      .map(([comment, count]) => ({ comment, postings: count })),
  };
};
