import type { RevisionAnswer, RevisionChartAnswer, UndoAnswer } from '@iunctus/contract';
import {
  applyAll,
  emptyChart,
  inverseOf,
  mergedAccounts,
  recordsOf,
  replay,
  splitsOf,
  veilFor,
  type Account,
  type Chart,
  type ChartSettings,
  type Landed,
  type Operation,
  type PersonalVeil,
} from '@iunctus/core';
import type pg from 'pg';
import type { Viewer } from '../access/viewer';
import { loadChart } from '../charts/chart-store';
import { maybeChart, type ChartHead } from '../charts/charts.queries';
import { inChart } from '../charts/in-chart';
import { madeOfVeiled, veiledBack, veiledChart, veiledRevisions } from '../charts/veil';
import type { Veiled } from '../charts/veiled';
import { clientOf } from '../clients/clients.service';
import { onSnapshotOf, type Reader } from '../database/transaction';
import { problem } from '../problems/problem';
import { manyLandedSince, manyRevisions, maybeLanded } from './revisions.queries';

/** The client's revisions, newest first; none for a client without a chart. Operations on accounts that are hidden from the viewer are left out. */
export const listRevisions = (
  pool: pg.Pool,
  viewer: Viewer,
  clientId: string,
): Promise<Veiled<RevisionAnswer[]>> =>
  onSnapshotOf(pool, async (on) => {
    await clientOf(on, viewer, clientId);
    if ((await maybeChart(on, viewer, clientId)) === undefined) return madeOfVeiled([]);
    return inChart(on, { viewer, clientId }, async ({ personal }) =>
      veiledRevisions(await manyRevisions(on, viewer, clientId), personal),
    );
  });

/** One revision of a client's chart. */
export interface AskedRevision {
  readonly clientId: string;
  readonly revision: number;
}

/**
 * The operations that would take a revision back on the newest chart, each rebased over what
 * landed since; those that no longer fit come as conflicts. Nothing is changed: undoing is a
 * proposal like any other.
 */
export const undoOf = (
  pool: pg.Pool,
  viewer: Viewer,
  { clientId, revision }: AskedRevision,
): Promise<Veiled<UndoAnswer>> =>
  onSnapshotOf(pool, (on) =>
    inChart(on, { viewer, clientId }, async ({ head, personal }) => {
      const own = (await maybeLanded(on, head, revision)) ?? problem({ code: 'notFound' });
      const since = await manyLandedSince(on, head, revision);
      const back = stepsBack(await loadChart(on, head), inverseOf(own), { revision, since });
      return veiledBack(back, personal);
    }),
  );

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
export const chartAsOf = async (on: Reader, head: ChartHead, revision: number): Promise<Chart> => {
  const since = await manyLandedSince(on, head, revision);
  const all = await manyLandedSince(on, head, 0);
  const until = all.slice(0, all.length - since.length).map(({ operation }) => operation);
  const outcome = applyAll(emptyChart(firstSettings(head, all)), until);
  if (!outcome.ok) throw new Error(`revision ${revision} cannot be told: ${outcome.refusal.code}`);
  return outcome.chart;
};

/** The same as it is seen by the viewer. */
export const chartAt = (
  pool: pg.Pool,
  viewer: Viewer,
  { clientId, revision }: AskedRevision,
): Promise<Veiled<RevisionChartAnswer>> =>
  onSnapshotOf(pool, (on) =>
    inChart(on, { viewer, clientId }, async ({ head, personal }) => {
      if (revision > head.revision) return problem({ code: 'notFound' });
      const chart = await chartAsOf(on, head, revision);
      const answer = {
        revision,
        settings: chart.settings,
        accounts: [...recordsOf(chart)],
        merged: [...mergedAccounts(chart)],
        splits: [...splitsOf(chart)],
      };
      return veiledChart(answer, veilThen(chart, personal));
    }),
  );

/** What is hidden of a chart as it was: what is restricted now was not seen then either. */
const veilThen = (chart: Chart, { veil: now, userId }: PersonalVeil): PersonalVeil => {
  const restricted = <A extends Account>(account: A): A =>
    now.hides(account.id)
      ? { ...account, settings: { ...account.settings, restrictedTo: [NOBODY] } }
      : account;
  const merged = mergedAccounts(chart).map(({ account, into }) => ({
    account: restricted(account),
    into,
  }));
  const records = recordsOf(chart).map(restricted);
  return { veil: veilFor(userId, { records, merged, gone: [] }), userId };
};

/** No user has this id. */
const NOBODY = '00000000-0000-0000-0000-000000000000';

/** The operations that bring the newest chart back to a revision; those that no longer fit come as conflicts. */
export const restoreOf = (
  pool: pg.Pool,
  viewer: Viewer,
  { clientId, revision }: AskedRevision,
): Promise<Veiled<UndoAnswer>> =>
  onSnapshotOf(pool, (on) =>
    inChart(on, { viewer, clientId }, async ({ head, personal }) => {
      if (revision > head.revision) return problem({ code: 'notFound' });
      const since = await manyLandedSince(on, head, revision);
      const back = stepsBack(await loadChart(on, head), inverseOf(since), { revision, since: [] });
      return veiledBack(back, personal);
    }),
  );

/** Steps need ids of the shape that the contract asks for; these are told apart within one answer. */
const stepId = (revision: number, index: number): string =>
  `00000000-0000-4000-8000-${revision.toString(16).padStart(6, '0').slice(-6)}${index.toString(16).padStart(6, '0').slice(-6)}`;
