import { createHash } from 'node:crypto';
import { headingsKey, type KnownList, type KnownListsAnswer } from '@iunctus/contract';
import type pg from 'pg';
import type { Viewer } from '../access/viewer';
import { clientOf } from '../clients/clients.service';
import { inTransactionOn } from '../database/transaction';
import { forgetOldLists, manyKnownLists, upsertKnownList } from './known-lists.queries';

/** Lists that a practice knows at most. */
const MOST = 400;

const keyOf = ({ headings }: KnownList): string =>
  createHash('sha256').update(headingsKey(headings)).digest('hex');

/** The lists whose columns and types the practice knows, the newest first. */
export const knownLists = (pool: pg.Pool, viewer: Viewer): Promise<KnownListsAnswer> =>
  manyKnownLists(pool, viewer);

/** Keeps what the columns and types of a client's list mean, for everybody of the practice. */
export const keepKnownList = (pool: pg.Pool, viewer: Viewer, list: KnownList): Promise<object> =>
  inTransactionOn(pool, async (transaction) => {
    await clientOf(transaction, viewer, list.clientId);
    await upsertKnownList(transaction, viewer, { key: keyOf(list), list });
    await forgetOldLists(transaction, viewer, MOST);
    return {};
  });
