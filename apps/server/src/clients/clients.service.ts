import { randomUUID } from 'node:crypto';
import type { ClientAnswer, ClientChange, ClientNature, NewClientRequest } from '@iunctus/contract';
import type pg from 'pg';
import type { Viewer } from '../access/viewer';
import { inTransactionOn, type Reader } from '../database/transaction';
import { problem } from '../problems/problem';
import {
  insertClient,
  manyClients,
  updateClient,
  updateNature,
  updatePutAway,
} from './clients.queries';

/** All clients of the viewer's practice. */
export const listClients = (pool: pg.Pool, viewer: Viewer): Promise<ClientAnswer[]> =>
  manyClients(pool, viewer, null);

/** One client of the viewer's practice; another practice's is not found, nor any but their own for an onlooker. */
export const clientOf = async (
  on: Reader,
  viewer: Viewer,
  clientId: string,
): Promise<ClientAnswer> => {
  const [client] = await manyClients(on, viewer, clientId);
  return client ?? problem({ code: 'notFound' });
};

/** Adds a client without a chart. Refuses a name that another client bears. */
export const addClient = (
  pool: pg.Pool,
  viewer: Viewer,
  request: NewClientRequest,
): Promise<ClientAnswer> =>
  inTransactionOn(pool, async (transaction) => {
    const id = randomUUID();
    await insertClient(transaction, { ...request, id, practiceId: viewer.practiceId });
    return clientOf(transaction, viewer, id);
  });

/** Says anew what a client is: legal form, trade and country. */
export const changeNature = (
  pool: pg.Pool,
  viewer: Viewer,
  asked: { readonly clientId: string; readonly nature: ClientNature },
): Promise<ClientAnswer> =>
  inTransactionOn(pool, async (transaction) => {
    const { id } = await clientOf(transaction, viewer, asked.clientId);
    await updateNature(transaction, { ...asked.nature, id, practiceId: viewer.practiceId });
    return clientOf(transaction, viewer, id);
  });

/** Says anew what a client is called and is. Refuses a name that another client bears. */
export const changeClient = (
  pool: pg.Pool,
  viewer: Viewer,
  asked: { readonly clientId: string; readonly request: ClientChange },
): Promise<ClientAnswer> =>
  inTransactionOn(pool, async (transaction) => {
    const { id } = await clientOf(transaction, viewer, asked.clientId);
    await updateClient(transaction, { ...asked.request, id, practiceId: viewer.practiceId });
    return clientOf(transaction, viewer, id);
  });

/** Puts a client away, or brings it back; it keeps everything. */
export const putAway = (
  pool: pg.Pool,
  viewer: Viewer,
  asked: { readonly clientId: string; readonly away: boolean },
): Promise<ClientAnswer> =>
  inTransactionOn(pool, async (transaction) => {
    const { id } = await clientOf(transaction, viewer, asked.clientId);
    await updatePutAway(transaction, { id, practiceId: viewer.practiceId, away: asked.away });
    return clientOf(transaction, viewer, id);
  });
