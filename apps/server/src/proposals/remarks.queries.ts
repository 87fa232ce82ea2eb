import type { Remark, RemarkRequest } from '@iunctus/contract';
import type { ChartHead } from '../charts/charts.queries';
import { change, many } from '../database/query';
import type { Reader, Transaction } from '../database/transaction';

interface RemarkRow {
  readonly id: string;
  readonly author_id: string;
  readonly author: string;
  readonly step_id: string;
  readonly operation_index: number;
  readonly words: string;
  readonly written_at: Date;
}

/** The remarks on a user's proposal, oldest first. */
export const manyRemarks = async (
  on: Reader,
  head: ChartHead,
  userId: string,
): Promise<Remark[]> => {
  const rows = await many<RemarkRow>(on, {
    text: `
      SELECT remark.id, remark.author_id, author.name AS author, remark.step_id,
             remark.operation_index, remark.words, remark.written_at
      FROM proposal_remark AS remark JOIN app_user AS author ON author.id = remark.author_id
      WHERE remark.practice_id = $1 AND remark.chart_id = $2 AND remark.user_id = $3
      ORDER BY remark.written_at, remark.id`,
    values: [head.practiceId, head.id, userId],
  });
  return rows.map((row) => ({
    id: row.id,
    author: { id: row.author_id, name: row.author },
    stepId: row.step_id,
    index: row.operation_index,
    words: row.words,
    writtenAt: row.written_at.toISOString(),
  }));
};

/** Writes a remark on a user's proposal. */
export const insertRemark = (
  on: Transaction,
  head: ChartHead,
  remark: RemarkRequest & {
    readonly id: string;
    readonly userId: string;
    readonly authorId: string;
  },
): Promise<number> =>
  change(on, {
    text: `
      INSERT INTO proposal_remark (id, practice_id, chart_id, user_id, author_id, step_id,
                                   operation_index, words)
      VALUES ($1, $2, $3, $4, $5, $6, $7, $8)`,
    values: [
      remark.id,
      head.practiceId,
      head.id,
      remark.userId,
      remark.authorId,
      remark.stepId,
      remark.index,
      remark.words,
    ],
  });

/** Remarks are about a proposal until it is adopted. */
export const deleteRemarks = (on: Transaction, head: ChartHead, userId: string): Promise<number> =>
  change(on, {
    text: 'DELETE FROM proposal_remark WHERE practice_id = $1 AND chart_id = $2 AND user_id = $3',
    values: [head.practiceId, head.id, userId],
  });
