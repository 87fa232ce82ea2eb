import { randomUUID } from 'node:crypto';
import type {
  HandOverRequest,
  Person,
  Remark,
  RemarkRequest,
  ReviewAnswer,
  VerdictRequest,
} from '@iunctus/contract';
import type pg from 'pg';
import type { Viewer } from '../access/viewer';
import type { ChartHead } from '../charts/charts.queries';
import { chartOf, inChart } from '../charts/in-chart';
import { bearsNoAccount, madeOfVeiled, refuseHidden, veiledProposal } from '../charts/veil';
import type { Veiled } from '../charts/veiled';
import { inTransactionOn, onSnapshotOf, type Reader } from '../database/transaction';
import { badRequest, problem } from '../problems/problem';
import { lockProposal, maybeProposal, type StoredProposal } from '../proposals/proposals.queries';
import { currentProposal } from '../proposals/current-proposal';
import { insertRemark, manyRemarks } from '../proposals/remarks.queries';
import { handOver, judge, manyPeople, maybePerson, takeBack } from './reviews.queries';

/** Everybody of the viewer's practice. */
export const people = (pool: pg.Pool, viewer: Viewer): Promise<Person[]> =>
  manyPeople(pool, viewer);

/** Hands the viewer's proposal to a colleague. Refuses with `staleProposal` when it was saved anew meanwhile. */
export const handOverTo = (
  pool: pg.Pool,
  viewer: Viewer,
  asked: { readonly clientId: string; readonly request: HandOverRequest },
): Promise<Veiled<object>> =>
  inTransactionOn(pool, async (transaction) => {
    const { reviewerId, version } = asked.request;
    const head = await chartOf(transaction, viewer, asked.clientId);
    const reviewer = await maybePerson(transaction, viewer, reviewerId);
    if (reviewer === undefined || reviewerId === viewer.userId)
      return badRequest('reviewerId', 'is no colleague who may review');
    const request = { userId: viewer.userId, reviewerId, version };
    if ((await handOver(transaction, head, request)) === 0)
      return problem({ code: 'staleProposal' });
    return bearsNoAccount({});
  });

/** Takes the viewer's proposal back from the colleague who has it. */
export const takeBackFromReview = (
  pool: pg.Pool,
  viewer: Viewer,
  clientId: string,
): Promise<Veiled<object>> =>
  inTransactionOn(pool, async (transaction) => {
    const head = await chartOf(transaction, viewer, clientId);
    await takeBack(transaction, head, viewer.userId);
    return bearsNoAccount({});
  });

interface About {
  readonly clientId: string;
  readonly authorId: string;
}

const shared = async (on: Reader, head: ChartHead, authorId: string): Promise<StoredProposal> => {
  const stored = await maybeProposal(on, head, authorId);
  return stored === undefined || stored.state === 'draft' ? problem({ code: 'notFound' }) : stored;
};

/** A colleague's proposal that was handed over, brought to the newest revision. A draft is nobody else's to see. */
export const reviewOf = (
  pool: pg.Pool,
  viewer: Viewer,
  { clientId, authorId }: About,
): Promise<Veiled<ReviewAnswer>> =>
  onSnapshotOf(pool, (on) =>
    inChart(on, { viewer, clientId }, async ({ head, personal }) => {
      const author = (await maybePerson(on, viewer, authorId)) ?? problem({ code: 'notFound' });
      const { reviewer } = await shared(on, head, authorId);
      const proposal = await currentProposal(on, head, authorId);
      const shown = [...proposal.steps, ...proposal.conflicts.map(({ step }) => step)];
      refuseHidden(shown, { ...personal, userId: viewer.userId });
      const asked = reviewer?.id === viewer.userId;
      return madeOfVeiled({ author, proposal: veiledProposal(proposal, personal), asked });
    }),
  );

/** Writes a remark; the author and the one who was asked may. */
export const remarkOn = (
  pool: pg.Pool,
  viewer: Viewer,
  { clientId, authorId, request }: About & { readonly request: RemarkRequest },
): Promise<Veiled<Remark>> =>
  inTransactionOn(pool, async (transaction) => {
    const head = await chartOf(transaction, viewer, clientId);
    await lockProposal(transaction, head, authorId);
    const { reviewer, steps } = await shared(transaction, head, authorId);
    const step = steps.find(({ id }) => id === request.stepId);
    if (step === undefined || request.index >= Math.max(1, step.operations.length))
      return badRequest('stepId', 'is not in the proposal as it is now');
    if (viewer.userId !== authorId && viewer.userId !== reviewer?.id)
      return problem({ code: 'notFound' });
    const id = randomUUID();
    const remark = { ...request, id, userId: authorId, authorId: viewer.userId };
    await insertRemark(transaction, head, remark);
    const written = await manyRemarks(transaction, head, authorId);
    return madeOfVeiled(written.find((one) => one.id === id) ?? problem({ code: 'notFound' }));
  });

/** Approves a proposal or sends it back. Refuses with `staleProposal` what is not as it was read. */
export const judgeProposal = (
  pool: pg.Pool,
  viewer: Viewer,
  { clientId, authorId, request }: About & { readonly request: VerdictRequest },
): Promise<Veiled<object>> =>
  inTransactionOn(pool, async (transaction) => {
    const head = await chartOf(transaction, viewer, clientId);
    const asked = { userId: authorId, reviewerId: viewer.userId, ...request };
    if ((await judge(transaction, head, asked)) === 0) return problem({ code: 'staleProposal' });
    return bearsNoAccount({});
  });
