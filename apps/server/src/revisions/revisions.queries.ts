import type { RevisionAnswer } from '@iunctus/contract';
import { crosswalkOf, type Landed, type Operation } from '@iunctus/core';
import type { Viewer } from '../access/viewer';
import type { ChartHead } from '../charts/charts.queries';
import { change, many, maybeOne } from '../database/query';
import type { Reader, Transaction } from '../database/transaction';

/** Keeps a revision for good. */
export const insertRevision = (
  on: Transaction,
  head: ChartHead,
  revision: {
    readonly number: number;
    readonly authorId: string;
    readonly approvedBy: string | null;
    readonly note: string;
    readonly comment: string;
    readonly landed: readonly Landed[];
  },
): Promise<number> =>
  change(on, {
    text: `
      INSERT INTO revision (practice_id, chart_id, number, author_id, note, operations, inverse,
                            approved_by, comment)
      VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9)`,
    values: [
      head.practiceId,
      head.id,
      revision.number,
      revision.authorId,
      revision.note,
      JSON.stringify(revision.landed.map(({ operation }) => operation)),
      JSON.stringify(revision.landed.map(({ inverse }) => inverse)),
      revision.approvedBy,
      revision.comment,
    ],
  });

interface LandedRow {
  readonly operations: Operation[];
  readonly inverse: Operation[];
}

const landedOf = ({ operations, inverse }: LandedRow): Landed[] =>
  operations.map((operation, index) => {
    const back = inverse[index];
    if (back === undefined) throw new Error('a revision holds an operation without its inverse');
    return { operation, inverse: back };
  });

/** What landed after a revision, oldest first. */
export const manyLandedSince = async (
  on: Reader,
  head: ChartHead,
  revision: number,
): Promise<Landed[]> => {
  const rows = await many<LandedRow>(on, {
    text: `
      SELECT operations, inverse FROM revision
      WHERE practice_id = $1 AND chart_id = $2 AND number > $3 ORDER BY number`,
    values: [head.practiceId, head.id, revision],
  });
  return rows.flatMap(landedOf);
};

/** What landed with one revision, or `undefined` when there is no such revision. */
export const maybeLanded = async (
  on: Reader,
  head: ChartHead,
  revision: number,
): Promise<Landed[] | undefined> => {
  const row = await maybeOne<LandedRow>(on, {
    text: `
      SELECT operations, inverse FROM revision
      WHERE practice_id = $1 AND chart_id = $2 AND number = $3`,
    values: [head.practiceId, head.id, revision],
  });
  return row === undefined ? undefined : landedOf(row);
};

interface RevisionRow {
  readonly number: number;
  readonly author: string;
  readonly adopted_at: Date;
  readonly note: string;
  readonly comment: string;
  readonly approved_by: string | null;
  readonly operations: Operation[];
  readonly inverse: Operation[];
}

/** A chart's revisions, newest first. */
export const manyRevisions = async (
  on: Reader,
  viewer: Viewer,
  clientId: string,
): Promise<RevisionAnswer[]> => {
  const rows = await many<RevisionRow>(on, {
    text: `
      SELECT revision.number, app_user.name AS author, revision.adopted_at, revision.note, revision.comment,
             approver.name AS approved_by, revision.operations, revision.inverse
      FROM revision
      JOIN chart ON chart.id = revision.chart_id
      JOIN app_user ON app_user.id = revision.author_id
      LEFT JOIN app_user AS approver ON approver.id = revision.approved_by
      WHERE revision.practice_id = $1 AND chart.client_id = $2
      ORDER BY revision.number DESC`,
    values: [viewer.practiceId, clientId],
  });
  return rows.map(({ adopted_at, approved_by, inverse, ...row }) => ({
    ...row,
    adoptedAt: adopted_at.toISOString(),
    approvedBy: approved_by,
    crosswalk: [...crosswalkOf(landedOf({ operations: row.operations, inverse }))],
  }));
};
