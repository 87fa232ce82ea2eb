import type { BalancesAnswer, BalancesQuery } from '@iunctus/contract';
import { add, type Veil } from '@iunctus/core';
import type pg from 'pg';
import type { Viewer } from '../access/access.service';
import { maybeChart } from '../charts/charts.queries';
import { veilOf } from '../charts/veil';
import { clientOf } from '../clients/clients.service';
import { problem } from '../http/problem';
import { manySplitAmounts } from '../splits/splits.queries';
import { manyAmounts } from './balances.queries';

type Row = BalancesAnswer['amounts'][number];

/** Amounts of hidden accounts count with the one that stands for them. */
const veiledAmounts = (rows: readonly Row[], veil: Veil): Row[] => {
  const shown = new Map<string, Row>();
  for (const [hidden, balance, change, yearChange] of rows) {
    const id = veil.as(hidden);
    const [, ...so] = shown.get(id) ?? [id, 0, 0, 0];
    shown.set(id, [id, add(so[0], balance), add(so[1], change), add(so[2], yearChange)]);
  }
  return [...shown.values()];
};

/** The amounts of a client's accounts for a period. */
export const balancesOf = async (
  pool: pg.Pool,
  viewer: Viewer,
  asked: BalancesQuery & { readonly clientId: string },
): Promise<BalancesAnswer> => {
  const { first, last } = asked;
  const client = await clientOf(pool, viewer, asked.clientId);
  const head = (await maybeChart(pool, viewer, asked.clientId)) ?? problem({ code: 'notFound' });
  const { fiscalYearStart } = client;
  const period = { first, last, fiscalYearStart };
  const veil = await veilOf(pool, head, viewer);
  return {
    first,
    last,
    amounts: veiledAmounts(await manyAmounts(pool, head, period), veil),
    splits: await manySplitAmounts(pool, head, period),
  };
};
