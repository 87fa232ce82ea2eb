import { isDeepStrictEqual } from 'node:util';
import type { AdoptAnswer, AdoptRequest } from '@iunctus/contract';
import { applyAll, replay, type Chart, type Landed, type ProposalStep } from '@iunctus/core';
import type pg from 'pg';
import type { Viewer } from '../access/access.service';
import { loadChart, storeChart, storeFormer } from '../charts/chart-store';
import { refuseHidden, veilOf } from '../charts/veil';
import { maybeChartLocked, setRevision, type ChartHead } from '../charts/charts.queries';
import { clientOf } from '../clients/clients.service';
import { inTransactionOn, type Transaction } from '../database/transaction';
import { problem } from '../http/problem';
import { postOpening, type Books } from '../openings/openings.service';
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

interface LandedOn {
  readonly landed: readonly Landed[];
  readonly chart: Chart;
}

const land = async (
  on: Transaction,
  head: ChartHead,
  steps: readonly ProposalStep[],
): Promise<LandedOn> => {
  const before = await loadChart(on, head);
  const operations = steps.flatMap((step) => step.operations);
  const outcome = applyAll(before, operations);
  if (!outcome.ok) return problem({ code: 'refused', refusal: outcome.refusal });
  const charts = { before, after: outcome.chart };
  await storeChart(on, head, charts);
  await storeSplits(on, head, charts, operations);
  await storeFormer(on, head, charts);
  return { landed: outcome.landed, chart: outcome.chart };
};

/** Who approved the proposal with exactly these steps; `null` for nobody. */
const approverOf = async (
  on: Transaction,
  head: ChartHead,
  userId: string,
  steps: readonly ProposalStep[],
): Promise<string | null> => {
  const stored = await maybeProposal(on, head, userId);
  // Compared by value: the database does not keep the order in which properties were written.
  const key = (listed: readonly ProposalStep[]): readonly unknown[] =>
    listed.map(({ id, operations, opening }) => [id, operations.length, opening]);
  const same = stored?.state === 'approved' && isDeepStrictEqual(key(stored.steps), key(steps));
  return same ? (stored.reviewer?.id ?? null) : null;
};

/** Keeps what landed as the next revision; balances alone make none. */
const keepRevision = async (
  on: Transaction,
  head: ChartHead,
  revision: Omit<Parameters<typeof insertRevision>[2], 'number'>,
): Promise<number> => {
  if (revision.landed.length === 0) return head.revision;
  const number = head.revision + 1;
  await insertRevision(on, head, { ...revision, number });
  await setRevision(on, head, number);
  return number;
};

const postOpenings = async (
  on: Transaction,
  books: Books,
  steps: readonly ProposalStep[],
): Promise<number> => {
  let posted = 0;
  for (const { opening } of steps)
    if (opening !== undefined) posted += await postOpening(on, books, opening);
  return posted;
};

/**
 * Makes a proposal a revision, and posts the balances that come along with it. The chart is locked;
 * steps made on an older revision are replayed on the newest one. Refuses with `staleRevision` and the
 * steps that no longer fit, `refused`, or `badRequest` for balances that cannot be posted; then nothing
 * is changed. When all has landed already, gives the newest revision.
 */
export const adopt = (
  pool: pg.Pool,
  viewer: Viewer,
  { clientId, request }: { readonly clientId: string; readonly request: AdoptRequest },
): Promise<AdoptAnswer> =>
  inTransactionOn(pool, async (transaction) => {
    const head =
      (await maybeChartLocked(transaction, viewer, clientId)) ?? problem({ code: 'notFound' });
    refuseHidden(request.steps, await veilOf(transaction, head, viewer), viewer);
    const steps = await stepsThatFit(transaction, head, request);
    const approvedBy = await approverOf(transaction, head, viewer.userId, request.steps);
    await deleteProposal(transaction, head, viewer.userId);
    if (steps.length === 0) return { revision: head.revision, posted: 0 };
    const { landed, chart } = await land(transaction, head, steps);
    const stepIds = steps.map(({ id }) => id);
    await settleOrigin(transaction, viewer, { clientId, stepIds });
    const authorId = viewer.userId;
    const kept = { authorId, approvedBy, note: request.note, landed };
    const revision = await keepRevision(transaction, head, kept);
    const { fiscalYearStart: startsIn } = await clientOf(transaction, viewer, clientId);
    const posted = await postOpenings(transaction, { head, chart, startsIn }, steps);
    return { revision, posted };
  });
