import type { FoundAccountsAnswer } from '@iunctus/contract';
import { findKey } from '@iunctus/core';
import type pg from 'pg';
import type { Viewer } from '../access/viewer';
import { inChart } from '../charts/in-chart';
import { madeOfVeiled } from '../charts/veil';
import type { Veiled } from '../charts/veiled';
import { onSnapshotOf } from '../database/transaction';
import { manyHolding } from './found-accounts.queries';

/** So many accounts are shown; more are looked at, for some may be hidden. */
const SHOWN = 40;
const LOOKED_AT = 400;

/** The accounts of all clients that are worked on whose number or name holds some words, but for those that are hidden. */
export const findAccounts = (
  pool: pg.Pool,
  viewer: Viewer,
  { words }: { readonly words: string },
): Promise<Veiled<FoundAccountsAnswer>> =>
  onSnapshotOf(pool, async (on) => {
    const sought = findKey(words).split(' ').filter(Boolean);
    if (sought.length === 0) return madeOfVeiled([]);
    const found = await manyHolding(on, viewer, { words: sought, most: LOOKED_AT });
    const seen: FoundAccountsAnswer = [];
    for (const clientId of new Set(found.map((one) => one.clientId))) {
      const here = found.filter((one) => one.clientId === clientId);
      await inChart(on, { viewer, clientId }, ({ personal: { veil } }) => {
        seen.push(...here.filter(({ accountId }) => !veil.hides(accountId)));
        return Promise.resolve();
      });
    }
    return madeOfVeiled(seen.slice(0, SHOWN));
  });
