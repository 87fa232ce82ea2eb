import type { LayoutAnswer, LayoutRequest } from '@iunctus/contract';
import type { OwnLayout } from '@iunctus/core';
import type { ChartHead } from '../charts/charts.queries';
import { change, exactlyOne, many } from '../database/query';
import type { Reader, Transaction } from '../database/transaction';

/** A layout as it is stored. */
export type StoredLayout = Omit<LayoutAnswer, 'partly'>;

type LayoutRow = Pick<StoredLayout, 'id' | 'version' | 'author'> & {
  readonly changed_at: Date;
  readonly content: OwnLayout;
};

/** All layouts of a client, by name. */
export const manyLayouts = async (on: Reader, head: ChartHead): Promise<StoredLayout[]> => {
  const rows = await many<LayoutRow>(on, {
    text: `
      SELECT layout.id, layout.version, layout.content, layout.changed_at, author.name AS author
      FROM layout JOIN app_user AS author ON author.id = layout.author_id
      WHERE layout.practice_id = $1 AND layout.chart_id = $2
      ORDER BY lower(layout.content ->> 'name'), layout.id`,
    values: [head.practiceId, head.id],
  });
  return rows.map(({ changed_at, content, ...row }) => ({
    ...row,
    layout: content,
    changedAt: changed_at.toISOString(),
  }));
};

/** How many layouts a client has. */
export const countLayouts = async (on: Reader, head: ChartHead): Promise<number> => {
  const { all } = await exactlyOne<{ all: number }>(on, {
    text: 'SELECT count(*)::int AS all FROM layout WHERE practice_id = $1 AND chart_id = $2',
    values: [head.practiceId, head.id],
  });
  return all;
};

/** Keeps a layout that was read under a version; gives how many were written: none where it went on meanwhile. */
export const upsertLayout = (
  on: Transaction,
  head: ChartHead,
  {
    id,
    authorId,
    request: { version, layout },
  }: { readonly id: string; readonly authorId: string; readonly request: LayoutRequest },
): Promise<number> =>
  change(on, {
    text: `
      INSERT INTO layout (practice_id, chart_id, id, version, content, author_id)
      SELECT $1, $2, $3, 1, $5, $6
      WHERE $4 = 0 OR EXISTS (SELECT 1 FROM layout WHERE chart_id = $2 AND id = $3)
      ON CONFLICT (chart_id, id) DO UPDATE
        SET version = layout.version + 1, content = excluded.content, author_id = excluded.author_id,
            changed_at = now()
        WHERE layout.version = $4`,
    values: [head.practiceId, head.id, id, version, JSON.stringify(layout), authorId],
  });

/** Drops a layout; gives how many there were. */
export const deleteLayout = (on: Transaction, head: ChartHead, id: string): Promise<number> =>
  change(on, {
    text: 'DELETE FROM layout WHERE practice_id = $1 AND chart_id = $2 AND id = $3',
    values: [head.practiceId, head.id, id],
  });
