import type { MonthlyAnswer } from '@iunctus/contract';
import { addMonths, monthOf, type Period } from '@iunctus/core';
import type pg from 'pg';
import type { Viewer } from '../access/viewer';
import { manySplits } from '../charts/chart-splits.queries';
import { inChart } from '../charts/in-chart';
import { veiledMonthly } from '../charts/veil';
import type { Veiled } from '../charts/veiled';
import { onSnapshotOf } from '../database/transaction';
import { manyMonthly, manySplitMonthly, maybeMonthsPosted } from '../postings/monthly.queries';

/** So many months are told apart, up to so many after today: a mistyped year makes no answer endless. */
const TOLD_APART = 240;
const AHEAD = 36;

const clamped = ({ first, last }: Period, today: string): Period => {
  const ahead = addMonths(monthOf(today), AHEAD);
  const end = last < ahead ? last : ahead;
  const from = addMonths(end, 1 - TOLD_APART);
  const start = first > from ? first : from;
  return { first: start < end ? start : end, last: end };
};

/** What was posted to the accounts of a client, month by month. */
export const monthlyOf = (
  pool: pg.Pool,
  viewer: Viewer,
  { clientId, today }: { readonly clientId: string; readonly today: string },
): Promise<Veiled<MonthlyAnswer>> =>
  onSnapshotOf(pool, (on) =>
    inChart(on, { viewer, clientId }, async ({ head, personal }) => {
      const posted = await maybeMonthsPosted(on, head);
      const month = monthOf(today);
      const within = clamped(posted ?? { first: month, last: month }, today);
      const amounts = await manyMonthly(on, head, within);
      const splits = await manySplitMonthly(on, head, within);
      const answer = { first: within.first, amounts, splits };
      return veiledMonthly(answer, await manySplits(on, head), personal);
    }),
  );
