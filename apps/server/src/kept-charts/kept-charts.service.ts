import { randomUUID } from 'node:crypto';
import type {
  KeepChartAnswer,
  KeepChartRequest,
  KeptChartsAnswer,
  OriginAnswer,
  OriginRequest,
  RenameKeptChartRequest,
} from '@iunctus/contract';
import {
  driftFrom,
  keepChart,
  may,
  recordsOf,
  withoutRestricted,
  type AccountRecord,
  type KeptChart,
} from '@iunctus/core';
import type pg from 'pg';
import type { Viewer } from '../access/viewer';
import { loadChart } from '../charts/chart-store';
import { maybeChart } from '../charts/charts.queries';
import { inChart } from '../charts/in-chart';
import { bearsNoAccount, madeOfVeiled } from '../charts/veil';
import type { Veiled } from '../charts/veiled';
import { clientOf } from '../clients/clients.service';
import {
  inTransactionOn,
  onSnapshotOf,
  type Reader,
  type Transaction,
} from '../database/transaction';
import { badRequest, problem } from '../problems/problem';
import {
  deleteKeptChart,
  insertKeptChart,
  insertVersion,
  manyOrigins,
  manyVersions,
  maybeLatestLocked,
  manyMakers,
  maybeVersion,
  updateKeptChart,
  upsertOrigin,
  upsertPendingOrigin,
  type OriginRow,
} from './kept-charts.queries';

type Listed = KeptChartsAnswer[number];

/** How far a client has moved from the version from which it began. */
const clientIn = async (
  on: Reader,
  viewer: Viewer,
  row: OriginRow,
): Promise<Listed['clients'][number]> => {
  const head = await maybeChart(on, viewer, row.client_id);
  const kept = await maybeVersion(on, viewer, {
    keptChartId: row.kept_chart_id,
    version: row.version,
  });
  const drift =
    head === undefined || kept === undefined
      ? { added: 0, changed: 0, gone: 0 }
      : driftFrom(kept, await loadChart(on, head), row.ids);
  return { id: row.client_id, name: row.client_name, version: row.version, drift };
};

/** The practice's own starting charts, with their versions and the clients that began from them. */
export const listKeptCharts = (pool: pg.Pool, viewer: Viewer): Promise<KeptChartsAnswer> =>
  onSnapshotOf(pool, (on) => listOn(on, viewer));

const listOn = async (on: Reader, viewer: Viewer): Promise<KeptChartsAnswer> => {
  const charts = new Map<string, Listed>();
  for (const row of await manyVersions(on, viewer)) {
    const listed = charts.get(row.kept_chart_id) ?? {
      id: row.kept_chart_id,
      name: row.name,
      versions: [],
      clients: [],
    };
    listed.versions.push({
      number: row.number,
      note: row.note,
      madeAt: row.made_at.toISOString(),
      madeBy: row.made_by,
      accounts: row.accounts,
    });
    charts.set(row.kept_chart_id, listed);
  }
  for (const row of await manyOrigins(on, viewer, null))
    charts.get(row.kept_chart_id)?.clients.push(await clientIn(on, viewer, row));
  return [...charts.values()];
};

/** One version of one of the practice's charts. What was restricted where it was kept is nobody else's. */
export const keptVersion = async (
  pool: pg.Pool,
  viewer: Viewer,
  asked: { readonly keptChartId: string; readonly version: number },
): Promise<{ settings: KeptChart['settings']; accounts: AccountRecord[] }> => {
  const kept = (await maybeVersion(pool, viewer, asked)) ?? problem({ code: 'notFound' });
  return { ...kept, accounts: [...withoutRestricted(kept.accounts)] };
};

/** From which version a client began; `null` for a client that began otherwise. */
export const originOf = async (
  pool: pg.Pool,
  viewer: Viewer,
  clientId: string,
): Promise<Veiled<NonNullable<OriginAnswer>> | null> => {
  await clientOf(pool, viewer, clientId);
  const [row] = await manyOrigins(pool, viewer, clientId);
  if (row === undefined) return null;
  const { kept_chart_id: keptChartId, name, version, latest, ids } = row;
  // Ids alone, of accounts that the kept chart shows to everybody.
  return madeOfVeiled({ keptChartId, name, version, latest, ids: { ...ids } });
};

const nextVersion = async (
  on: Transaction,
  viewer: Viewer,
  { keptChartId, name }: KeepChartRequest,
): Promise<{ readonly id: string; readonly number: number }> => {
  if (keptChartId !== null) {
    const latest =
      (await maybeLatestLocked(on, viewer, keptChartId)) ?? problem({ code: 'notFound' });
    return { id: keptChartId, number: latest + 1 };
  }
  if (name === null) return badRequest('name', 'says what the chart is called');
  const id = randomUUID();
  await insertKeptChart(on, viewer, { id, name });
  return { id, number: 1 };
};

/**
 * Keeps a client's adopted chart, as a new one or as the next version of one that there is; the client is
 * from then on one that began from it. Restricted accounts are not kept: everybody of the practice sees what is.
 * Refuses somebody from whom accounts are hidden.
 */
export const keepChartOf = (
  pool: pg.Pool,
  viewer: Viewer,
  { clientId, request }: { readonly clientId: string; readonly request: KeepChartRequest },
): Promise<Veiled<KeepChartAnswer>> =>
  inTransactionOn(pool, (on) =>
    inChart(on, { viewer, clientId }, async ({ head, personal }) => {
      const chart = await loadChart(on, head);
      const hidden = recordsOf(chart).find(({ id }) => personal.veil.hides(id));
      if (hidden !== undefined)
        problem({ code: 'refused', refusal: { code: 'restrictedAccount', accountId: hidden.id } });
      const { id, number } = await nextVersion(on, viewer, request);
      const [before] = await manyOrigins(on, viewer, clientId);
      const known = before?.kept_chart_id === id ? before.ids : {};
      const { kept, origin } = keepChart(chart, { origin: known, newId: randomUUID });
      await insertVersion(on, viewer, {
        keptChartId: id,
        number,
        note: request.note,
        content: kept,
      });
      await upsertOrigin(on, viewer, { clientId, keptChartId: id, version: number, ids: origin });
      return bearsNoAccount({ id, version: number });
    }),
  );

/** Notes from which version a client comes once the step that brings it there is adopted. */
export const setOrigin = (
  pool: pg.Pool,
  viewer: Viewer,
  asked: { readonly clientId: string; readonly request: OriginRequest },
): Promise<Veiled<object>> =>
  inTransactionOn(pool, async (on) => {
    await clientOf(on, viewer, asked.clientId);
    const { keptChartId, version } = asked.request;
    if ((await maybeVersion(on, viewer, { keptChartId, version })) === undefined)
      problem({ code: 'notFound' });
    await upsertPendingOrigin(on, viewer, { clientId: asked.clientId, ...asked.request });
    return bearsNoAccount({});
  });

/** What others made is theirs and the administrator's. */
const refuseOthers = async (on: Reader, viewer: Viewer, keptChartId: string): Promise<void> => {
  if (may(viewer.role, 'removeOthers')) return;
  const makers = await manyMakers(on, viewer, keptChartId);
  if (makers.some((userId) => userId !== viewer.userId)) problem({ code: 'notAllowed' });
};

/** Gives one of the practice's charts another name. Refuses a name that another one bears. */
export const renameKeptChart = (
  pool: pg.Pool,
  viewer: Viewer,
  asked: { readonly keptChartId: string; readonly request: RenameKeptChartRequest },
): Promise<object> =>
  inTransactionOn(pool, async (transaction) => {
    await refuseOthers(transaction, viewer, asked.keptChartId);
    const named = { id: asked.keptChartId, name: asked.request.name };
    const changed = await updateKeptChart(transaction, viewer, named);
    return changed === 0 ? problem({ code: 'notFound' }) : {};
  });

/** Removes one of the practice's charts. Clients that began from it keep their charts, and come from none. */
export const removeKeptChart = (
  pool: pg.Pool,
  viewer: Viewer,
  keptChartId: string,
): Promise<object> =>
  inTransactionOn(pool, async (transaction) => {
    await refuseOthers(transaction, viewer, keptChartId);
    const gone = await deleteKeptChart(transaction, viewer, keptChartId);
    return gone === 0 ? problem({ code: 'notFound' }) : {};
  });
