import type {
  SkipRequest,
  StandingEntriesAnswer,
  StandingEntryAnswer,
  StandingEntryRequest,
} from '@iunctus/contract';
import type { PersonalVeil } from '@iunctus/core';
import type pg from 'pg';
import type * as v from 'valibot';
import type { Viewer } from '../access/viewer';
import { inChart, inLockedChart } from '../charts/in-chart';
import { bearsNoAccount, madeOfVeiled } from '../charts/veil';
import type { Veiled } from '../charts/veiled';
import { inTransactionOn, onSnapshotOf, type Source } from '../database/transaction';
import { problem } from '../problems/problem';
import {
  deleteSkippedDay,
  deleteStanding,
  insertStandingDay,
  manyStandings,
  upsertStanding,
} from './standing.queries';

interface Standing {
  readonly clientId: string;
  readonly standingId: string;
}

const isSeen = ({ entry }: Pick<StandingEntryAnswer, 'entry'>, { veil }: PersonalVeil): boolean =>
  entry.lines.every(({ accountId }) => accountId === null || !veil.hides(accountId));

/** The standing entries, but for those on accounts that are hidden from the viewer. */
export const standingsOf = (
  source: Source,
  viewer: Viewer,
  clientId: string,
): Promise<Veiled<v.InferOutput<typeof StandingEntriesAnswer>>> =>
  onSnapshotOf(source, (on) =>
    inChart(on, { viewer, clientId }, async ({ head, personal }) =>
      madeOfVeiled((await manyStandings(on, head)).filter((one) => isSeen(one, personal))),
    ),
  );

/** Keeps a standing entry. */
export const keepStanding = (
  pool: pg.Pool,
  viewer: Viewer,
  { clientId, standingId: id, request }: Standing & { readonly request: StandingEntryRequest },
): Promise<Veiled<object>> =>
  inTransactionOn(pool, (on) =>
    inChart(on, { viewer, clientId }, async ({ head, personal }) => {
      if (!isSeen(request, personal)) return problem({ code: 'notFound' });
      await upsertStanding(on, head, { id, authorId: viewer.userId, request });
      return bearsNoAccount({});
    }),
  );

/** Ends a standing entry. */
export const dropStanding = (
  pool: pg.Pool,
  viewer: Viewer,
  { clientId, standingId }: Standing,
): Promise<Veiled<object>> =>
  inTransactionOn(pool, (on) =>
    inChart(on, { viewer, clientId }, async ({ head }) =>
      (await deleteStanding(on, head, standingId)) === 0
        ? problem({ code: 'notFound' })
        : bearsNoAccount({}),
    ),
  );

/** Skips a day of a standing entry, or offers it again. */
export const skipStanding = (
  pool: pg.Pool,
  viewer: Viewer,
  { clientId, standingId, request }: Standing & { readonly request: SkipRequest },
): Promise<Veiled<object>> =>
  inTransactionOn(pool, (on) =>
    inLockedChart(on, { viewer, clientId }, async ({ head }) => {
      const day = { standingId, due: request.due };
      if (!request.skipped) await deleteSkippedDay(on, head, day);
      else if ((await insertStandingDay(on, head, { ...day, entryId: null })) === 0)
        return problem({ code: 'notFound' });
      return bearsNoAccount({});
    }),
  );
