import type { AdoptAnswer, AdoptRequest } from '@iunctus/contract';
import { applyAll, replay, type Chart, type Landed, type ProposalStep } from '@iunctus/core';
import type pg from 'pg';
import type { Viewer } from '../access/viewer';
import { loadChart, storeChart, storeFormer, storeVeils } from '../charts/chart-store';
import { setRevision, type ChartHead } from '../charts/charts.queries';
import { inLockedChart, type InChart } from '../charts/in-chart';
import { bearsNoAccount, refuseHidden } from '../charts/veil';
import type { Veiled } from '../charts/veiled';
import { clientOf } from '../clients/clients.service';
import { inTransactionOn, type Transaction } from '../database/transaction';
import { problem } from '../problems/problem';
import { settleOrigin } from '../kept-charts/kept-charts.queries';
import { postOpening, type Books } from '../openings/openings.service';
import { refuseBrokenProofs } from '../routes/proof-gate';
import {
  emptyProposal,
  lockProposal,
  maybeProposal,
  type StoredProposal,
} from '../proposals/proposals.queries';
import { storeSplits } from '../postings/split-postings';
import { insertRevision, manyLandedSince } from '../revisions/revisions.queries';
import { deleteRemarks } from '../proposals/remarks.queries';

interface Landing {
  readonly before: Chart;
  readonly steps: readonly ProposalStep[];
}

/** The steps of a proposal as they fit the newest chart. */
const stepsThatFit = async (
  on: Transaction,
  head: ChartHead,
  { baseRevision, steps }: StoredProposal,
): Promise<Landing> => {
  const before = await loadChart(on, head);
  if (baseRevision === head.revision) return { before, steps };
  const landed = await manyLandedSince(on, head, baseRevision);
  const replayed = replay(before, steps, landed);
  if (replayed.conflicts.length === 0) return { before, steps: replayed.steps };
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
  { before, steps }: Landing,
): Promise<LandedOn> => {
  const operations = steps.flatMap((step) => step.operations);
  const outcome = applyAll(before, operations);
  if (!outcome.ok) return problem({ code: 'refused', refusal: outcome.refusal });
  const charts = { before, after: outcome.chart };
  await storeChart(on, head, charts);
  await storeSplits(on, head, charts, operations);
  await storeFormer(on, head, charts);
  await storeVeils(on, head, charts);
  return { landed: outcome.landed, chart: outcome.chart };
};

/** Keeps what landed as the next revision; balances alone make none. Gives its number. */
const keepRevision = async (
  on: Transaction,
  head: ChartHead,
  revision: Omit<Parameters<typeof insertRevision>[2], 'number'>,
): Promise<number | null> => {
  if (revision.landed.length === 0) return null;
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

/** The viewer's proposal as it is kept under the version that they read; refuses any other. */
const proposalAt = async (
  on: Transaction,
  head: ChartHead,
  { userId, version }: { readonly userId: string; readonly version: number },
): Promise<StoredProposal> => {
  if ((await lockProposal(on, head, userId)) !== version) return problem({ code: 'staleProposal' });
  const stored = await maybeProposal(on, head, userId);
  return stored ?? problem({ code: 'staleProposal' });
};

/** Who approved the proposal; it is approved only as long as its steps are those that were read. */
const approverOf = ({ state, reviewer }: StoredProposal): string | null =>
  state === 'approved' ? (reviewer?.id ?? null) : null;

interface Adopting {
  readonly viewer: Viewer;
  readonly clientId: string;
  readonly found: InChart;
}

const becomeRevision = async (
  on: Transaction,
  { viewer, clientId, found }: Adopting,
  stored: StoredProposal,
): Promise<AdoptAnswer> => {
  const { head } = found;
  const { fiscalYearStart: startsIn, ...filer } = await clientOf(on, viewer, clientId);
  const landing = await stepsThatFit(on, head, stored);
  const { landed, chart } = await land(on, head, landing);
  const operations = landed.map(({ operation }) => operation);
  await refuseBrokenProofs(on, found, { base: landing.before, operations, chart, filer });
  const stepIds = landing.steps.map(({ id }) => id);
  await settleOrigin(on, viewer, { clientId, stepIds });
  const { name: note, comment } = stored;
  const kept = { authorId: viewer.userId, approvedBy: approverOf(stored), note, comment, landed };
  const revision = await keepRevision(on, head, kept);
  const posted = await postOpenings(
    on,
    { head, chart, startsIn, authorId: viewer.userId },
    landing.steps,
  );
  const newest = { ...head, revision: revision ?? head.revision };
  await deleteRemarks(on, head, viewer.userId);
  await emptyProposal(on, newest, viewer.userId);
  return { revision, posted };
};

/**
 * Makes the viewer's proposal a revision, exactly as it is kept under the version that was read, and posts the
 * balances that come along with it. The chart is locked; steps made on an older revision are replayed on the newest
 * one. Refuses with `staleProposal` when it is kept otherwise by now (also when it was adopted already), with
 * `staleRevision` and the steps that no longer fit, `proofsBroken` where the practice wishes that, `refused`, or `badRequest` for balances that cannot be posted;
 * then nothing is changed. The revision is `null` when nothing was left to do.
 */
export const adopt = (
  pool: pg.Pool,
  viewer: Viewer,
  { clientId, request }: { readonly clientId: string; readonly request: AdoptRequest },
): Promise<Veiled<AdoptAnswer>> =>
  inTransactionOn(pool, (transaction) =>
    inLockedChart(transaction, { viewer, clientId }, async (found) => {
      const asked = { userId: viewer.userId, version: request.version };
      const stored = await proposalAt(transaction, found.head, asked);
      refuseHidden(stored.steps, found.personal);
      const answer = await becomeRevision(transaction, { viewer, clientId, found }, stored);
      return bearsNoAccount(answer);
    }),
  );
