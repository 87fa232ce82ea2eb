import type { BankFeedAnswer, BankFeedQuery, MarketFeedAnswer } from '@iunctus/contract';
import { AT_A_BANK, type CalendarDate } from '@iunctus/core';
import type pg from 'pg';
import type { Viewer } from '../access/viewer';
import { inChart } from '../charts/in-chart';
import { madeOfVeiled } from '../charts/veil';
import type { Veiled } from '../charts/veiled';
import { problem } from '../problems/problem';
import { bankFeed } from '../simulated/bank';
import { marketFeed } from '../simulated/marketplace';
import { manyOfKinds } from './routes.queries';

/** When a source is asked, and how lucky one is; from 0 to 1. */
interface Moment {
  readonly today: CalendarDate;
  readonly chance: number;
}

/** What the simulated bank tells of an account; the first bank account takes the payouts of the marketplace. */
export const bankFeedOf = (
  pool: pg.Pool,
  viewer: Viewer,
  {
    clientId,
    query,
    ...moment
  }: Moment & { readonly clientId: string; readonly query: BankFeedQuery },
): Promise<Veiled<BankFeedAnswer>> =>
  inChart(pool, { viewer, clientId }, async ({ head, personal }) => {
    const known = await manyOfKinds(pool, head, AT_A_BANK);
    const { accountId } = query;
    if (!known.some(({ id }) => id === accountId) || personal.veil.hides(accountId))
      return problem({ code: 'notFound' });
    const takesPayouts = known.find(({ kind }) => kind === 'bank')?.id === accountId;
    return madeOfVeiled(bankFeed({ seed: head.id, accountId, takesPayouts }, query, moment));
  });

/** What the simulated marketplace tells of the business. */
export const marketFeedOf = (
  pool: pg.Pool,
  viewer: Viewer,
  { clientId, ...moment }: Moment & { readonly clientId: string },
): Promise<Veiled<MarketFeedAnswer>> =>
  inChart(pool, { viewer, clientId }, ({ head }) =>
    Promise.resolve(madeOfVeiled(marketFeed(head.id, moment))),
  );
