import type { OpenItemsAnswer, OpenItemsRequest } from '@iunctus/contract';
import type { AccountId } from '@iunctus/core';
import type pg from 'pg';
import type { Viewer } from '../access/viewer';
import { inChart, inLockedChart } from '../charts/in-chart';
import { bearsNoAccount, madeOfVeiled } from '../charts/veil';
import type { Veiled } from '../charts/veiled';
import { inTransactionOn, onSnapshotOf, type Source } from '../database/transaction';
import { badRequest, problem } from '../problems/problem';
import {
  deleteOpenItems,
  manyOpenItems,
  takesPostings,
  upsertOpenItems,
} from './open-items.queries';

interface Listed {
  readonly clientId: string;
  readonly accountId: AccountId;
}

/** What stands open by account, but for accounts that are hidden from the viewer. */
export const openItemsOf = (
  source: Source,
  viewer: Viewer,
  clientId: string,
): Promise<Veiled<OpenItemsAnswer>> =>
  onSnapshotOf(source, (on) =>
    inChart(on, { viewer, clientId }, async ({ head, personal }) =>
      madeOfVeiled(
        (await manyOpenItems(on, head)).filter(({ accountId }) => !personal.veil.hides(accountId)),
      ),
    ),
  );

/** Keeps what stood open in an account. Refuses to overwrite what somebody else brought meanwhile. */
export const keepOpenItems = (
  pool: pg.Pool,
  viewer: Viewer,
  { clientId, accountId, request }: Listed & { readonly request: OpenItemsRequest },
): Promise<Veiled<{ readonly version: number }>> =>
  inTransactionOn(pool, (on) =>
    inLockedChart(on, { viewer, clientId }, async ({ head, personal }) => {
      const isThere = !personal.veil.hides(accountId) && (await takesPostings(on, head, accountId));
      if (!isThere) return badRequest('accountId', 'is no posting account of this chart');
      const kept = await upsertOpenItems(on, head, {
        accountId,
        authorId: viewer.userId,
        request,
      });
      return kept === 0
        ? problem({ code: 'overtaken', by: 'openItems' })
        : bearsNoAccount({ version: request.version + 1 });
    }),
  );

/** Drops the list of an account; one that is gone already is dropped. */
export const dropOpenItems = (
  pool: pg.Pool,
  viewer: Viewer,
  { clientId, accountId }: Listed,
): Promise<Veiled<object>> =>
  inTransactionOn(pool, (on) =>
    inChart(on, { viewer, clientId }, async ({ head, personal }) => {
      if (!personal.veil.hides(accountId)) await deleteOpenItems(on, head, accountId);
      return bearsNoAccount({});
    }),
  );
