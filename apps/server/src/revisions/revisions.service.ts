import type { RevisionAnswer, RevisionChartAnswer, UndoAnswer } from '@iunctus/contract';
import {
  applyAll,
  NO_VEIL,
  veiledMerged,
  veiledRecords,
  veiledSplits,
  veilFor,
  type Account,
  type Veil,
  emptyChart,
  inverseOf,
  mergedAccounts,
  recordsOf,
  replay,
  splitsOf,
  type Chart,
  type ChartSettings,
  type Landed,
  type Operation,
} from '@iunctus/core';
import type pg from 'pg';
import type { Viewer } from '../access/access.service';
import { loadChart } from '../charts/chart-store';
import { maybeChart, type ChartHead } from '../charts/charts.queries';
import { isHidden, refuseHidden, veilOf } from '../charts/veil';
import type { Reader } from '../database/transaction';
import { clientOf } from '../clients/clients.service';
import { problem } from '../http/problem';
import { manyLandedSince, manyRevisions, maybeLanded } from './revisions.queries';

/** The client's revisions, newest first; none for a client without a chart. Operations on accounts that are hidden from the viewer are left out. */
export const listRevisions = async (
  pool: pg.Pool,
  viewer: Viewer,
  clientId: string,
): Promise<RevisionAnswer[]> => {
  await clientOf(pool, viewer, clientId);
  const head = await maybeChart(pool, viewer, clientId);
  const revisions = await manyRevisions(pool, viewer, clientId);
  const veil = head === undefined ? NO_VEIL : await veilOf(pool, head, viewer);
  return revisions.map((revision) => ({
    ...revision,
    operations: revision.operations.filter((operation) => !isHidden(operation, veil)),
    crosswalk: revision.crosswalk.filter(({ id }) => !veil.hides(id)),
  }));
};

/**
 * The operations that would take a revision back on the newest chart, each rebased over what
 * landed since; those that no longer fit come as conflicts. Nothing is changed: undoing is a
 * proposal like any other.
 */
export const undoOf = async (
  pool: pg.Pool,
  viewer: Viewer,
  asked: { readonly clientId: string; readonly revision: number },
): Promise<UndoAnswer> => {
  const head = (await maybeChart(pool, viewer, asked.clientId)) ?? problem({ code: 'notFound' });
  const own = (await maybeLanded(pool, head, asked.revision)) ?? problem({ code: 'notFound' });
  const since = await manyLandedSince(pool, head, asked.revision);
  refuseHidden([{ operations: inverseOf(own) }], await veilOf(pool, head, viewer), viewer);
  return stepsBack(await loadChart(pool, head), inverseOf(own), {
    revision: asked.revision,
    since,
  });
};

const stepsBack = (
  newest: Chart,
  operations: readonly Operation[],
  { revision, since }: { readonly revision: number; readonly since: readonly Landed[] },
): UndoAnswer => {
  const steps = operations.map((operation, index) => ({
    id: stepId(revision, index),
    operations: [operation],
  }));
  const replayed = replay(newest, steps, since);
  return {
    operations: replayed.steps.flatMap((step) => [...step.operations]),
    conflicts: [...replayed.conflicts],
  };
};

/** The settings with which a chart began: the plan before its first change, and no dimensions. */
const firstSettings = (head: ChartHead, all: readonly Landed[]): ChartSettings => {
  const change = all.find(({ operation }) => operation.type === 'setPlan');
  const settings = { ...head.settings, dimensions: [] };
  if (change?.inverse.type !== 'setPlan') return settings;
  const { plan, numbered } = change.inverse;
  return { ...settings, plan, numbered };
};

/** A chart as it was at a revision, 0 before the first: everything that landed up to it, once more. */
export const chartAt = async (
  pool: pg.Pool,
  viewer: Viewer,
  asked: { readonly clientId: string; readonly revision: number },
): Promise<RevisionChartAnswer> => {
  const head = (await maybeChart(pool, viewer, asked.clientId)) ?? problem({ code: 'notFound' });
  if (asked.revision > head.revision) return problem({ code: 'notFound' });
  const since = await manyLandedSince(pool, head, asked.revision);
  const all = await manyLandedSince(pool, head, 0);
  const until = all.slice(0, all.length - since.length).map(({ operation }) => operation);
  const outcome = applyAll(emptyChart(firstSettings(head, all)), until);
  if (!outcome.ok)
    throw new Error(`revision ${asked.revision} cannot be told: ${outcome.refusal.code}`);
  const veil = await veilThen(pool, head, { viewer, chart: outcome.chart });
  return {
    revision: asked.revision,
    settings: outcome.chart.settings,
    accounts: [...veiledRecords(recordsOf(outcome.chart), veil)],
    merged: [...veiledMerged(mergedAccounts(outcome.chart), veil)],
    splits: [...veiledSplits(splitsOf(outcome.chart), veil)],
  };
};

/** What is hidden of a chart as it was: what is restricted now was not seen then either. */
const veilThen = async (
  on: Reader,
  head: ChartHead,
  { viewer, chart }: { readonly viewer: Viewer; readonly chart: Chart },
): Promise<Veil> => {
  const now = await veilOf(on, head, viewer);
  const restricted = <A extends Account>(account: A): A =>
    now.hides(account.id)
      ? { ...account, settings: { ...account.settings, restrictedTo: [NOBODY] } }
      : account;
  const merged = mergedAccounts(chart).map(({ account, into }) => ({
    account: restricted(account),
    into,
  }));
  return veilFor(viewer.userId, recordsOf(chart).map(restricted), merged);
};

/** No user has this id. */
const NOBODY = '00000000-0000-0000-0000-000000000000';

/** The operations that bring the newest chart back to a revision; those that no longer fit come as conflicts. */
export const restoreOf = async (
  pool: pg.Pool,
  viewer: Viewer,
  asked: { readonly clientId: string; readonly revision: number },
): Promise<UndoAnswer> => {
  const head = (await maybeChart(pool, viewer, asked.clientId)) ?? problem({ code: 'notFound' });
  if (asked.revision > head.revision) return problem({ code: 'notFound' });
  const since = await manyLandedSince(pool, head, asked.revision);
  refuseHidden([{ operations: inverseOf(since) }], await veilOf(pool, head, viewer), viewer);
  return stepsBack(await loadChart(pool, head), inverseOf(since), {
    revision: asked.revision,
    since: [],
  });
};

/** Steps need ids of the shape that the contract asks for; these are told apart within one answer. */
const stepId = (revision: number, index: number): string =>
  `00000000-0000-4000-8000-${revision.toString(16).padStart(6, '0').slice(-6)}${index.toString(16).padStart(6, '0').slice(-6)}`;
