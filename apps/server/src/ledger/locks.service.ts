import type { LockRequest, LocksAnswer } from '@iunctus/contract';
import { addDays } from '@iunctus/core';
import type pg from 'pg';
import type { Viewer } from '../access/viewer';
import type { ChartHead } from '../charts/charts.queries';
import { inChart, inLockedChart } from '../charts/in-chart';
import { madeOfVeiled } from '../charts/veil';
import type { Veiled } from '../charts/veiled';
import { inTransactionOn, onSnapshotOf, type Reader } from '../database/transaction';
import { badRequest, problem } from '../problems/problem';
import { insertLock, manyLocks } from './books.queries';

const answerOf = async (on: Reader, head: ChartHead): Promise<Veiled<LocksAnswer>> => {
  const locks = await manyLocks(on, head);
  return madeOfVeiled({ lockedThrough: locks[0]?.through ?? null, locks });
};

/** Through which day the books are locked, and who locked and opened them. */
export const locksOf = (
  pool: pg.Pool,
  viewer: Viewer,
  clientId: string,
): Promise<Veiled<LocksAnswer>> =>
  onSnapshotOf(pool, (on) => inChart(on, { viewer, clientId }, ({ head }) => answerOf(on, head)));

/** Locks the books through a day, or opens them. Refuses what somebody else locked meanwhile, and a day to come. */
export const lockBooks = (
  pool: pg.Pool,
  viewer: Viewer,
  {
    clientId,
    request,
    today,
  }: {
    readonly clientId: string;
    readonly request: LockRequest;
    readonly today: string;
  },
): Promise<Veiled<LocksAnswer>> =>
  inTransactionOn(pool, (on) =>
    inLockedChart(on, { viewer, clientId }, async ({ head }) => {
      if (head.lockedThrough !== request.was) return problem({ code: 'overtaken', by: 'lock' });
      // Where the user is, the next day may have begun.
      if (request.through !== null && request.through > addDays(today, 1))
        return badRequest('through', 'lies ahead: what is to come stays open');
      if (request.through !== request.was) await insertLock(on, { head, viewer }, request);
      return answerOf(on, head);
    }),
  );
