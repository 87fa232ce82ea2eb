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
import type { Viewer } from '../access/access.service';
import { maybeChart, type ChartHead } from '../charts/charts.queries';
import { refuseHidden, veilOf } from '../charts/veil';
import { inTransactionOn, type Reader } from '../database/transaction';
import { problem } from '../http/problem';
import { maybeProposal, type StoredProposal } from '../proposals/proposals.queries';
import { currentProposal } from '../proposals/proposals.service';
import {
  handOver,
  insertRemark,
  judge,
  manyPeople,
  manyRemarks,
  maybePerson,
  takeBack,
} from './reviews.queries';

/** Everybody of the viewer's practice. */
export const people = (pool: pg.Pool, viewer: Viewer): Promise<Person[]> =>
  manyPeople(pool, viewer);

const chartOf = async (on: Reader, viewer: Viewer, clientId: string): Promise<ChartHead> =>
  (await maybeChart(on, viewer, clientId)) ?? problem({ code: 'notFound' });

/** Hands the viewer's proposal to a colleague. Refuses with `staleProposal` when it was saved anew meanwhile. */
export const handOverTo = (
  pool: pg.Pool,
  viewer: Viewer,
  asked: { readonly clientId: string; readonly request: HandOverRequest },
): Promise<object> =>
  inTransactionOn(pool, async (transaction) => {
    const { reviewerId, version } = asked.request;
    const head = await chartOf(transaction, viewer, asked.clientId);
    const reviewer = await maybePerson(transaction, viewer, reviewerId);
    if (reviewer === undefined || reviewerId === viewer.userId)
      return problem({
        code: 'badRequest',
        issues: [{ field: 'reviewerId', rule: 'is no colleague' }],
      });
    const request = { userId: viewer.userId, reviewerId, version };
    if ((await handOver(transaction, head, request)) === 0)
      return problem({ code: 'staleProposal' });
    return {};
  });

/** Takes the viewer's proposal back from the colleague who has it. */
export const takeBackFromReview = (
  pool: pg.Pool,
  viewer: Viewer,
  clientId: string,
): Promise<object> =>
  inTransactionOn(pool, async (transaction) => {
    const head = await chartOf(transaction, viewer, clientId);
    await takeBack(transaction, head, viewer.userId);
    return {};
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
export const reviewOf = async (
  pool: pg.Pool,
  viewer: Viewer,
  { clientId, authorId }: About,
): Promise<ReviewAnswer> => {
  const head = await chartOf(pool, viewer, clientId);
  const author = (await maybePerson(pool, viewer, authorId)) ?? problem({ code: 'notFound' });
  const { reviewer } = await shared(pool, head, authorId);
  const proposal = await currentProposal(pool, head, authorId);
  refuseHidden(proposal.steps, await veilOf(pool, head, viewer), viewer);
  return { author, proposal, asked: reviewer?.id === viewer.userId };
};

/** Writes a remark; the author and the one who was asked may. */
export const remarkOn = (
  pool: pg.Pool,
  viewer: Viewer,
  { clientId, authorId, request }: About & { readonly request: RemarkRequest },
): Promise<Remark> =>
  inTransactionOn(pool, async (transaction) => {
    const head = await chartOf(transaction, viewer, clientId);
    const { reviewer } = await shared(transaction, head, authorId);
    if (viewer.userId !== authorId && viewer.userId !== reviewer?.id)
      return problem({ code: 'notFound' });
    const id = randomUUID();
    const remark = { ...request, id, userId: authorId, authorId: viewer.userId };
    await insertRemark(transaction, head, remark);
    const written = await manyRemarks(transaction, head, authorId);
    return written.find((one) => one.id === id) ?? problem({ code: 'notFound' });
  });

/** Approves a proposal or sends it back. Refuses with `staleProposal` what is not as it was read. */
export const judgeProposal = (
  pool: pg.Pool,
  viewer: Viewer,
  { clientId, authorId, request }: About & { readonly request: VerdictRequest },
): Promise<object> =>
  inTransactionOn(pool, async (transaction) => {
    const head = await chartOf(transaction, viewer, clientId);
    const asked = { userId: authorId, reviewerId: viewer.userId, ...request };
    if ((await judge(transaction, head, asked)) === 0) return problem({ code: 'staleProposal' });
    return {};
  });
