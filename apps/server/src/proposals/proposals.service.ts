import { randomUUID } from 'node:crypto';
import type {
  BenchAnswer,
  BenchChart,
  ProposalAnswer,
  SaveProposalRequest,
} from '@iunctus/contract';
import { replay, USUAL_SETTINGS, veiledMerged, veiledRecords, veiledSplits } from '@iunctus/core';
import type pg from 'pg';
import type { Viewer } from '../access/access.service';
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
import { veilOf } from '../charts/veil';
import { clientOf } from '../clients/clients.service';
import { inTransactionOn, type Reader } from '../database/transaction';
import { problem } from '../http/problem';
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

const benchChart = async (on: Reader, head: ChartHead, viewer: Viewer): Promise<BenchChart> => {
  const { userId } = viewer;
  const accounts = await manyAccounts(on, head);
  const merged = await manyMerged(on, head);
  const veil = await veilOf(on, head, viewer);
  const posted = (await manyPostedIds(on, head)).map(veil.as);
  return {
    revision: head.revision,
    settings: head.settings,
    accounts: [...veiledRecords(accounts, veil)],
    merged: [...veiledMerged(merged, veil)],
    splits: [...veiledSplits(await manySplits(on, head), veil)],
    usedValues: await manyUsedValues(on, head),
    posted: [...new Set(posted)],
    former: (await manyFormer(on, head)).filter(({ accountId }) => !veil.hides(accountId)),
    proposal: await currentProposal(on, head, userId),
    waiting: await manyWaiting(on, head, userId),
  };
};

/** All that the bench opens with; the chart is `null` for a client without one. */
export const benchOf = (pool: pg.Pool, viewer: Viewer, clientId: string): Promise<BenchAnswer> =>
  inTransactionOn(pool, async (transaction) => {
    await transaction.query('SET TRANSACTION ISOLATION LEVEL REPEATABLE READ READ ONLY');
    const client = await clientOf(transaction, viewer, clientId);
    const head = await maybeChart(transaction, viewer, clientId);
    const chart = head === undefined ? null : await benchChart(transaction, head, viewer);
    return { client, chart };
  });

/** Gives a client an empty chart to propose accounts for; does nothing when it has one. */
export const beginChart = (pool: pg.Pool, viewer: Viewer, clientId: string): Promise<object> =>
  inTransactionOn(pool, async (transaction) => {
    await clientOf(transaction, viewer, clientId);
    const { practiceId } = viewer;
    const chart = { id: randomUUID(), practiceId, clientId, settings: USUAL_SETTINGS };
    await insertChart(transaction, chart);
    return {};
  });

/** Keeps a proposal. Refuses with `staleProposal` when it was changed elsewhere since `version`. */
export const saveProposal = (
  pool: pg.Pool,
  viewer: Viewer,
  asked: { readonly clientId: string; readonly request: SaveProposalRequest },
): Promise<{ version: number }> =>
  inTransactionOn(pool, async (transaction) => {
    const head =
      (await maybeChart(transaction, viewer, asked.clientId)) ?? problem({ code: 'notFound' });
    const stored = await storeProposal(transaction, head, {
      ...asked.request,
      userId: viewer.userId,
    });
    if (stored === 0) return problem({ code: 'staleProposal' });
    return { version: asked.request.version + 1 };
  });
