import type { AdoptAnswer, AdoptRequest } from '@iunctus/contract';
import { applyAll, replay, type Landed, type ProposalStep } from '@iunctus/core';
import type pg from 'pg';
import type { Viewer } from '../access/access.service';
import { loadChart, storeChart, storeFormer } from '../charts/chart-store';
import { refuseHidden, veilOf } from '../charts/veil';
import { maybeChartLocked, setRevision, type ChartHead } from '../charts/charts.queries';
import { inTransactionOn, type Transaction } from '../database/transaction';
import { problem } from '../http/problem';
import { deleteProposal, maybeProposal } from '../proposals/proposals.queries';
import { settleOrigin } from '../kept-charts/kept-charts.queries';
import { storeSplits } from '../splits/split-postings';
import { insertRevision, manyLandedSince } from './revisions.queries';

const stepsThatFit = async (
  on: Transaction,
  head: ChartHead,
  request: AdoptRequest,
): Promise<readonly ProposalStep[]> => {
  if (request.baseRevision > head.revision) return problem({ code: 'notFound' });
  if (request.baseRevision === head.revision) return request.steps;
  const landed = await manyLandedSince(on, head, request.baseRevision);
  const replayed = replay(await loadChart(on, head), request.steps, landed);
  if (replayed.conflicts.length === 0) return replayed.steps;
  return problem({
    code: 'staleRevision',
    revision: head.revision,
    conflicts: [...replayed.conflicts],
  });
};

const land = async (
  on: Transaction,
  head: ChartHead,
  steps: readonly ProposalStep[],
): Promise<readonly Landed[]> => {
  const before = await loadChart(on, head);
  const operations = steps.flatMap((step) => step.operations);
  const outcome = applyAll(before, operations);
  if (!outcome.ok) return problem({ code: 'refused', refusal: outcome.refusal });
  const charts = { before, after: outcome.chart };
  await storeChart(on, head, charts);
  await storeSplits(on, head, charts, operations);
  await storeFormer(on, head, charts);
  return outcome.landed;
};

/** Who approved the proposal with exactly these steps; `null` for nobody. */
const approverOf = async (
  on: Transaction,
  head: ChartHead,
  userId: string,
  steps: readonly ProposalStep[],
): Promise<string | null> => {
  const stored = await maybeProposal(on, head, userId);
  const key = (listed: readonly ProposalStep[]): string =>
    listed.map(({ id, operations }) => `${id} ${operations.length}`).join();
  const same = stored?.state === 'approved' && key(stored.steps) === key(steps);
  return same ? (stored.reviewer?.id ?? null) : null;
};

/**
 * Makes a proposal a revision. The chart is locked; steps made on an older revision are replayed
 * on the newest one. Refuses with `staleRevision` and the steps that no longer fit, or `refused`;
 * then nothing is changed. When all has landed already, gives the newest revision.
 */
export const adopt = (
  pool: pg.Pool,
  viewer: Viewer,
  asked: { readonly clientId: string; readonly request: AdoptRequest },
): Promise<AdoptAnswer> =>
  inTransactionOn(pool, async (transaction) => {
    const head =
      (await maybeChartLocked(transaction, viewer, asked.clientId)) ??
      problem({ code: 'notFound' });
    refuseHidden(asked.request.steps, await veilOf(transaction, head, viewer), viewer);
    const steps = await stepsThatFit(transaction, head, asked.request);
    const approvedBy = await approverOf(transaction, head, viewer.userId, asked.request.steps);
    await deleteProposal(transaction, head, viewer.userId);
    if (steps.length === 0) return { revision: head.revision };
    const landed = await land(transaction, head, steps);
    const stepIds = steps.map(({ id }) => id);
    await settleOrigin(transaction, viewer, { clientId: asked.clientId, stepIds });
    const number = head.revision + 1;
    const { note } = asked.request;
    await insertRevision(transaction, head, {
      number,
      authorId: viewer.userId,
      approvedBy,
      note,
      landed,
    });
    await setRevision(transaction, head, number);
    return { revision: number };
  });
