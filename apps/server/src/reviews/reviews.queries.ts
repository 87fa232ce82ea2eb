import type { Person, Waiting } from '@iunctus/contract';
import type { Viewer } from '../access/viewer';
import type { ChartHead } from '../charts/charts.queries';
import { change, many, maybeOne } from '../database/query';
import type { Reader, Transaction } from '../database/transaction';

/** Everybody of a practice who works on charts, by name. */
export const manyPeople = (on: Reader, viewer: Viewer): Promise<Person[]> =>
  many(on, {
    text: `
      SELECT id, name FROM app_user
      WHERE practice_id = $1 AND removed_at IS NULL AND role <> 'onlooker' ORDER BY name, id`,
    values: [viewer.practiceId],
  });

/** Somebody of the practice who works on charts. */
export const maybePerson = (
  on: Reader,
  viewer: Pick<Viewer, 'practiceId'>,
  id: string,
): Promise<Person | undefined> =>
  maybeOne(on, {
    text: `
      SELECT id, name FROM app_user
      WHERE practice_id = $1 AND id = $2 AND removed_at IS NULL AND role <> 'onlooker'`,
    values: [viewer.practiceId, id],
  });

/** Hands a proposal to a colleague. Gives how many rows that changed: none when it was saved anew since `version`. */
export const handOver = (
  on: Transaction,
  head: ChartHead,
  asked: { readonly userId: string; readonly reviewerId: string; readonly version: number },
): Promise<number> =>
  change(on, {
    text: `
      UPDATE proposal SET state = 'handedOver', reviewer_id = $4
      WHERE practice_id = $1 AND chart_id = $2 AND user_id = $3 AND version = $5
        AND jsonb_array_length(steps) > 0`,
    values: [head.practiceId, head.id, asked.userId, asked.reviewerId, asked.version],
  });

/** Makes a proposal a draft again. */
export const takeBack = (on: Transaction, head: ChartHead, userId: string): Promise<number> =>
  change(on, {
    text: `
      UPDATE proposal SET state = 'draft', reviewer_id = NULL
      WHERE practice_id = $1 AND chart_id = $2 AND user_id = $3`,
    values: [head.practiceId, head.id, userId],
  });

/** Keeps what the reviewer says. Gives how many rows that changed: none when it is not theirs to say, or overtaken. */
export const judge = (
  on: Transaction,
  head: ChartHead,
  asked: {
    readonly userId: string;
    readonly reviewerId: string;
    readonly verdict: 'approved' | 'sentBack';
    readonly version: number;
  },
): Promise<number> =>
  change(on, {
    text: `
      UPDATE proposal SET state = $6
      WHERE practice_id = $1 AND chart_id = $2 AND user_id = $3 AND reviewer_id = $4
        AND version = $5 AND state = 'handedOver'`,
    values: [
      head.practiceId,
      head.id,
      asked.userId,
      asked.reviewerId,
      asked.version,
      asked.verdict,
    ],
  });

/** Proposals on a chart that wait for a user's word. */
export const manyWaiting = async (
  on: Reader,
  head: ChartHead,
  reviewerId: string,
): Promise<Waiting[]> => {
  const rows = await many<{ id: string; author: string; name: string; changes: number }>(on, {
    text: `
      SELECT author.id, author.name AS author, proposal.name, changes_in(proposal.steps) AS changes
      FROM proposal JOIN app_user AS author ON author.id = proposal.user_id
      WHERE proposal.practice_id = $1 AND proposal.chart_id = $2 AND proposal.reviewer_id = $3
        AND proposal.state = 'handedOver'
      ORDER BY author.name`,
    values: [head.practiceId, head.id, reviewerId],
  });
  return rows.map(({ id, author, name, changes }) => ({
    author: { id, name: author },
    name,
    changes,
  }));
};
