import type { FindingRulesAnswer, FindingRulesRequest } from '@iunctus/contract';
import type pg from 'pg';
import type { Viewer } from '../access/viewer';
import { inChart, inLockedChart } from '../charts/in-chart';
import { bearsNoAccount, madeOfVeiled } from '../charts/veil';
import type { Veiled } from '../charts/veiled';
import { inTransactionOn, onSnapshotOf, type Source } from '../database/transaction';
import { problem } from '../problems/problem';
import {
  upsertChartWishes,
  upsertPracticeWishes,
  wishesOfChart,
  wishesOfPractice,
} from './rule-wishes.queries';

/** What the practice and the client want of the rules. Neither names an account. */
export const rulesOfClient = (
  source: Source,
  viewer: Viewer,
  clientId: string,
): Promise<Veiled<FindingRulesAnswer>> =>
  onSnapshotOf(source, (on) =>
    inChart(on, { viewer, clientId }, async ({ head }) =>
      madeOfVeiled({
        practice: await wishesOfPractice(on, viewer.practiceId),
        client: await wishesOfChart(on, head),
      }),
    ),
  );

/** Keeps what a client wants of the rules; refuses what somebody changed meanwhile. */
export const keepClientRules = (
  pool: pg.Pool,
  viewer: Viewer,
  { clientId, request }: { readonly clientId: string; readonly request: FindingRulesRequest },
): Promise<Veiled<{ readonly version: number }>> =>
  inTransactionOn(pool, (on) =>
    inLockedChart(on, { viewer, clientId }, async ({ head }) => {
      const kept = await upsertChartWishes(on, head, { authorId: viewer.userId, request });
      return kept === 0
        ? problem({ code: 'overtaken', by: 'rules' })
        : bearsNoAccount({ version: request.version + 1 });
    }),
  );

/** Keeps what the practice wants of the rules, for all its clients. */
export const keepPracticeRules = (
  pool: pg.Pool,
  viewer: Viewer,
  request: FindingRulesRequest,
): Promise<{ readonly version: number }> =>
  inTransactionOn(pool, async (on) => {
    const kept = await upsertPracticeWishes(on, viewer, request);
    return kept === 0
      ? problem({ code: 'overtaken', by: 'rules' })
      : { version: request.version + 1 };
  });
