import type { LinesSetAside, RouteRequest, RoutesAnswer } from '@iunctus/contract';
import { accountsIn, ROUTE_LIMITS, type PersonalVeil, type RouteContent } from '@iunctus/core';
import type pg from 'pg';
import type { Viewer } from '../access/viewer';
import { inChart, inLockedChart } from '../charts/in-chart';
import type { ChartHead } from '../charts/charts.queries';
import { bearsNoAccount, madeOfVeiled } from '../charts/veil';
import type { Veiled } from '../charts/veiled';
import {
  inTransactionOn,
  onSnapshotOf,
  type Transaction,
  type Source,
} from '../database/transaction';
import { badRequest, problem } from '../problems/problem';
import {
  countRoutes,
  deleteRoute,
  deleteSetAside,
  insertSetAside,
  manyNamed,
  manyRoutes,
  manySetAside,
  upsertRoute,
} from './routes.queries';

interface Item {
  readonly clientId: string;
  readonly itemId: string;
}

const isSeen = (content: RouteContent, { veil }: PersonalVeil): boolean =>
  accountsIn(content).every((id) => !veil.hides(id));

/** The pieces of a client's routes, but for those that name accounts hidden from the viewer. */
export const routesOfClient = (
  source: Source,
  viewer: Viewer,
  clientId: string,
): Promise<Veiled<RoutesAnswer>> =>
  onSnapshotOf(source, (on) =>
    inChart(on, { viewer, clientId }, async ({ head, personal }) =>
      madeOfVeiled((await manyRoutes(on, head)).filter(({ content }) => isSeen(content, personal))),
    ),
  );

/** Refuses a piece that names an account that the chart does not have, or one that takes no postings. */
const refuseWrongAccounts = async (
  on: Transaction,
  head: ChartHead,
  content: RouteContent,
): Promise<void> => {
  const named = accountsIn(content);
  const known = new Map((await manyNamed(on, head, named)).map(({ id, takes }) => [id, takes]));
  for (const id of named) {
    if (!known.has(id)) badRequest('accountId', 'is no account of this chart');
    // A proof may name a heading: that is where it expects something to count.
    if (content.type !== 'proof' && known.get(id) === false)
      badRequest('accountId', 'takes no postings');
  }
};

/** Keeps a piece of the routes. Refuses to overwrite what somebody else kept meanwhile. */
export const keepRoute = (
  pool: pg.Pool,
  viewer: Viewer,
  { clientId, itemId: id, request }: Item & { readonly request: RouteRequest },
): Promise<Veiled<{ version: number }>> =>
  inTransactionOn(pool, (on) =>
    inLockedChart(on, { viewer, clientId }, async ({ head, personal }) => {
      const { content } = request;
      if (!isSeen(content, personal)) return badRequest('accountId', 'is no account of this chart');
      await refuseWrongAccounts(on, head, content);
      if (request.version === 0 && (await countRoutes(on, head)) >= ROUTE_LIMITS.items)
        return badRequest('routes', `are ${ROUTE_LIMITS.items} already: drop some`);
      const kept = await upsertRoute(on, head, { id, authorId: viewer.userId, request });
      return kept === 0
        ? problem({ code: 'overtaken', by: 'route' })
        : bearsNoAccount({ version: request.version + 1 });
    }),
  );

/** Drops a piece of the routes; one that is gone already is dropped. */
export const dropRoute = (
  pool: pg.Pool,
  viewer: Viewer,
  { clientId, itemId }: Item,
): Promise<Veiled<object>> =>
  inTransactionOn(pool, (on) =>
    inChart(on, { viewer, clientId }, async ({ head, personal }) => {
      const there = (await manyRoutes(on, head)).find(({ id }) => id === itemId);
      if (there !== undefined && isSeen(there.content, personal))
        await deleteRoute(on, head, itemId);
      return bearsNoAccount({});
    }),
  );

/** The lines that were set aside. */
export const linesSetAside = (
  pool: pg.Pool,
  viewer: Viewer,
  clientId: string,
): Promise<Veiled<LinesSetAside>> =>
  inChart(pool, { viewer, clientId }, async ({ head }) =>
    madeOfVeiled(await manySetAside(pool, head)),
  );

/** Sets a line of a bank or marketplace aside, or brings it back. */
export const setLineAside = (
  pool: pg.Pool,
  viewer: Viewer,
  {
    clientId,
    lineId,
    aside,
  }: { readonly clientId: string; readonly lineId: string; readonly aside: boolean },
): Promise<Veiled<object>> =>
  inTransactionOn(pool, (on) =>
    inChart(on, { viewer, clientId }, async ({ head }) => {
      if (aside) await insertSetAside(on, head, { lineId, authorId: viewer.userId });
      else await deleteSetAside(on, head, lineId);
      return bearsNoAccount({});
    }),
  );
