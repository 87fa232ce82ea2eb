import { randomUUID } from 'node:crypto';
import {
  OPERATIONS_LIMIT,
  type BenchAnswer,
  type BenchChart,
  type ProposalAnswer,
  type SaveProposalRequest,
} from '@iunctus/contract';
import { replay, USUAL_SETTINGS } from '@iunctus/core';
import type pg from 'pg';
import type { Viewer } from '../access/viewer';
import { loadChart } from '../charts/chart-store';
import {
  insertChart,
  manyAccounts,
  manyFormer,
  manyMerged,
  manyPostedIds,
  manyUsedValues,
  maybeChart,
  type ChartHead,
} from '../charts/charts.queries';
import { inChart, type InChart } from '../charts/in-chart';
import { bearsNoAccount, madeOfVeiled, refuseHidden, veiledBench } from '../charts/veil';
import type { Veiled } from '../charts/veiled';
import { clientOf } from '../clients/clients.service';
import { inTransactionOn, onSnapshotOf, type Reader } from '../database/transaction';
import { badRequest, problem } from '../http/problem';
import { manyLandedSince } from '../revisions/revisions.queries';
import { manySplits } from '../splits/splits.queries';
import { manyRemarks, manyWaiting } from '../reviews/reviews.queries';
import { maybeProposal, storeProposal } from './proposals.queries';

const NONE: ProposalAnswer = {
  version: 0,
  baseRevision: 0,
  steps: [],
  conflicts: [],
  name: '',
  comment: '',
  state: 'draft',
  reviewer: null,
  remarks: [],
};

/** The user's proposal, brought to the newest revision; what no longer fits is set aside as a conflict. */
export const currentProposal = async (
  on: Reader,
  head: ChartHead,
  userId: string,
): Promise<ProposalAnswer> => {
  const stored = await maybeProposal(on, head, userId);
  if (stored === undefined) return { ...NONE, baseRevision: head.revision };
  const remarks = await manyRemarks(on, head, userId);
  if (stored.baseRevision === head.revision) return { ...stored, remarks };
  const landed = await manyLandedSince(on, head, stored.baseRevision);
  const { steps, conflicts } = replay(await loadChart(on, head), stored.steps, landed);
  return {
    ...stored,
    remarks,
    baseRevision: head.revision,
    steps: [...steps],
    conflicts: [...stored.conflicts, ...conflicts],
  };
};

const benchChart = async (
  on: Reader,
  viewer: Viewer,
  { head, personal }: InChart,
): Promise<Veiled<BenchChart>> =>
  veiledBench(
    {
      revision: head.revision,
      settings: head.settings,
      accounts: await manyAccounts(on, head),
      merged: await manyMerged(on, head),
      splits: await manySplits(on, head),
      usedValues: await manyUsedValues(on, head),
      posted: await manyPostedIds(on, head),
      former: await manyFormer(on, head),
      proposal: await currentProposal(on, head, viewer.userId),
      waiting: await manyWaiting(on, head, viewer.userId),
    },
    personal,
  );

/** All that the bench opens with; the chart is `null` for a client without one. */
export const benchOf = (
  pool: pg.Pool,
  viewer: Viewer,
  clientId: string,
): Promise<Veiled<BenchAnswer>> =>
  onSnapshotOf(pool, async (on) => {
    const client = await clientOf(on, viewer, clientId);
    const head = await maybeChart(on, viewer, clientId);
    if (head === undefined) return madeOfVeiled({ client, chart: null });
    return inChart(on, { viewer, clientId }, async (found) =>
      madeOfVeiled({ client, chart: await benchChart(on, viewer, found) }),
    );
  });

/** Gives a client an empty chart to propose accounts for; does nothing when it has one. */
export const beginChart = (
  pool: pg.Pool,
  viewer: Viewer,
  clientId: string,
): Promise<Veiled<object>> =>
  inTransactionOn(pool, async (transaction) => {
    await clientOf(transaction, viewer, clientId);
    const { practiceId } = viewer;
    const chart = { id: randomUUID(), practiceId, clientId, settings: USUAL_SETTINGS };
    await insertChart(transaction, chart);
    return bearsNoAccount({});
  });

/** Keeps a proposal. Refuses with `staleProposal` when it was changed elsewhere since `version`. */
export const saveProposal = (
  pool: pg.Pool,
  viewer: Viewer,
  asked: { readonly clientId: string; readonly request: SaveProposalRequest },
): Promise<Veiled<{ version: number }>> =>
  inTransactionOn(pool, (transaction) =>
    inChart(transaction, { viewer, clientId: asked.clientId }, async ({ head, personal }) => {
      const { request } = asked;
      const operations = request.steps.reduce((so, step) => so + step.operations.length, 0);
      if (operations > OPERATIONS_LIMIT)
        return badRequest('steps', `hold more than ${OPERATIONS_LIMIT} operations`);
      if (request.baseRevision > head.revision)
        return badRequest('baseRevision', 'is a revision that there is not');
      refuseHidden(request.steps, personal);
      const stored = await storeProposal(transaction, head, { ...request, userId: viewer.userId });
      return stored === 0
        ? problem({ code: 'staleProposal' })
        : bearsNoAccount({ version: request.version + 1 });
    }),
  );
