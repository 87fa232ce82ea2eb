import type { MonthlyAnswer, MonthlyByValueAnswer } from '@iunctus/contract';
import { addMonths, monthOf, type Period } from '@iunctus/core';
import type { Viewer } from '../access/viewer';
import { manySplits } from '../charts/chart-splits.queries';
import { inChart } from '../charts/in-chart';
import { veiledMonthly, veiledMonthlyByValue } from '../charts/veil';
import type { Veiled } from '../charts/veiled';
import type { ChartHead } from '../charts/charts.queries';
import { onSnapshotOf, type Reader, type Source } from '../database/transaction';
import {
  manyMonthly,
  manyMonthlyByValue,
  manySplitMonthly,
  maybeMonthsPosted,
} from '../postings/monthly.queries';

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

/** The months of a client's books that are told apart. */
const monthsTold = async (on: Reader, head: ChartHead, today: string): Promise<Period> => {
  const month = monthOf(today);
  return clamped((await maybeMonthsPosted(on, head)) ?? { first: month, last: month }, today);
};

/** What was posted to the accounts of a client, month by month. */
export const monthlyOf = (
  source: Source,
  viewer: Viewer,
  { clientId, today }: { readonly clientId: string; readonly today: string },
): Promise<Veiled<MonthlyAnswer>> =>
  onSnapshotOf(source, (on) =>
    inChart(on, { viewer, clientId }, async ({ head, personal }) => {
      const within = await monthsTold(on, head, today);
      const amounts = await manyMonthly(on, head, within);
      const splits = await manySplitMonthly(on, head, within);
      const answer = { first: within.first, amounts, splits };
      return veiledMonthly(answer, await manySplits(on, head), personal);
    }),
  );

/** The same for each value of a dimension that lines carry. */
export const monthlyByValueOf = (
  source: Source,
  viewer: Viewer,
  {
    clientId,
    today,
    dimensionId,
  }: { readonly clientId: string; readonly today: string; readonly dimensionId: string },
): Promise<Veiled<MonthlyByValueAnswer>> =>
  onSnapshotOf(source, (on) =>
    inChart(on, { viewer, clientId }, async ({ head, personal }) => {
      const within = await monthsTold(on, head, today);
      const asked = { dimensionId, within };
      const amounts = await manyMonthlyByValue(on, head, { ...asked, of: 'accounts' });
      const splits = await manyMonthlyByValue(on, head, { ...asked, of: 'splits' });
      const values = [...amounts].map(([valueId, rows]) => ({
        valueId,
        first: within.first,
        amounts: rows,
        splits: splits.get(valueId) ?? [],
      }));
      return veiledMonthlyByValue({ values }, await manySplits(on, head), personal);
    }),
  );
