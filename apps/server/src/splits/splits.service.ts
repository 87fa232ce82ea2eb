import type {
  ClientAnswer,
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
  veiledSplits,
  type EntrySource,
  type Month,
  type Posting,
} from '@iunctus/core';
import type pg from 'pg';
import type { Viewer } from '../access/viewer';
import type { ChartHead } from '../charts/charts.queries';
import { inChart } from '../charts/in-chart';
import { madeOfVeiled, refuseHidden } from '../charts/veil';
import type { Veiled } from '../charts/veiled';
import { clientOf } from '../clients/clients.service';
import { onSnapshotOf } from '../database/transaction';
import { problem } from '../problems/problem';
import { postingsOfSplits } from '../postings/split-postings';
import { manyPostingsAt, newestSequence } from '../postings/splits.queries';
import { manySplits } from '../charts/chart-splits.queries';

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
export const lookAtSplits = (
  pool: pg.Pool,
  viewer: Viewer,
  { clientId, request }: { readonly clientId: string; readonly request: SplitsRequest },
): Promise<Veiled<SplitsAnswer>> =>
  onSnapshotOf(pool, async (on) => {
    const client = await clientOf(on, viewer, clientId);
    return inChart(on, { viewer, clientId }, async ({ head, personal }) => {
      const { first, last, splits } = request;
      refuseHidden([{ operations: splits.map((split) => ({ type: 'split', split })) }], personal);
      const seen = veiledSplits(await manySplits(on, head), personal.veil);
      const without = seen.map(({ id }) => id).filter((id) => request.without.includes(id));
      const yearStart = fiscalYearStart(last, client.fiscalYearStart);
      const moved = await postingsOfSplits(on, head, splits, without);
      return madeOfVeiled(
        splits.map(({ id }) => comesToOf(id, moved.get(id) ?? [], { first, yearStart, last })),
      );
    });
  });

const comesToOf = (
  id: string,
  postings: readonly Posting[],
  {
    first,
    yearStart,
    last,
  }: { readonly first: Month; readonly yearStart: Month; readonly last: Month },
): SplitsAnswer[number] => {
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
export const postingsOf = (
  pool: pg.Pool,
  viewer: Viewer,
  { clientId, request }: { readonly clientId: string; readonly request: PostingsRequest },
): Promise<Veiled<PostingsAnswer>> =>
  onSnapshotOf(pool, async (on) => {
    const client = await clientOf(on, viewer, clientId);
    return inChart(on, { viewer, clientId }, async ({ head, personal }) => {
      if (request.accounts.some(personal.veil.hides)) return problem({ code: 'notFound' });
      const perAccount: (readonly Posting[])[] = [];
      for (const id of new Set(request.accounts))
        perAccount.push(await manyPostingsAt(on, head, id));
      const upTo = await newestSequence(on, head);
      return madeOfVeiled(choicesAmong(perAccount.flat(), { head, client, upTo }));
    });
  });

const choicesAmong = (
  postings: readonly Posting[],
  about: { readonly head: ChartHead; readonly client: ClientAnswer; readonly upTo: number },
): PostingsAnswer => {
  const dates = postings.map(({ date }) => date).sort();
  return {
    upTo: about.upTo,
    postings: postings.length,
    first: dates[0] ?? null,
    last: dates.at(-1) ?? null,
    sources: counted<EntrySource>(postings.map(({ source }) => source)).map(([source, count]) => ({
      source,
      postings: count,
    })),
    values: about.head.settings.dimensions.flatMap(({ id }) => valuesOf(postings, id)),
    years: yearsOf(postings, about.client.fiscalYearStart),
    comments: counted(postings.map(({ comment }) => comment))
      .slice(0, COMMENTS)
      .map(([comment, count]) => ({ comment, postings: count })),
  };
};
