import type { RouteItemAnswer, RouteRequest } from '@iunctus/contract';
import type { AccountId, KindCode, RouteContent } from '@iunctus/core';
import type { ChartHead } from '../charts/charts.queries';
import { change, exactlyOne, many } from '../database/query';
import type { Reader, Transaction } from '../database/transaction';

type ItemRow = Pick<RouteItemAnswer, 'id' | 'version' | 'author'> & {
  readonly changed_at: Date;
  readonly content: RouteContent;
};

/** All pieces of a client's routes, in no order that matters. */
export const manyRoutes = async (on: Reader, head: ChartHead): Promise<RouteItemAnswer[]> => {
  const rows = await many<ItemRow>(on, {
    text: `
      SELECT item.id, item.version, item.content, item.changed_at, author.name AS author
      FROM route_item AS item JOIN app_user AS author ON author.id = item.author_id
      WHERE item.practice_id = $1 AND item.chart_id = $2
      ORDER BY item.id`,
    values: [head.practiceId, head.id],
  });
  return rows.map(({ changed_at, ...row }) => ({ ...row, changedAt: changed_at.toISOString() }));
};

/** How many pieces a client's routes have. */
export const countRoutes = async (on: Reader, head: ChartHead): Promise<number> => {
  const { all } = await exactlyOne<{ all: number }>(on, {
    text: 'SELECT count(*)::int AS all FROM route_item WHERE practice_id = $1 AND chart_id = $2',
    values: [head.practiceId, head.id],
  });
  return all;
};

/** Keeps a piece that was read under a version; gives how many were written: none where it went on meanwhile. */
export const upsertRoute = (
  on: Transaction,
  head: ChartHead,
  {
    id,
    authorId,
    request: { version, content },
  }: { readonly id: string; readonly authorId: string; readonly request: RouteRequest },
): Promise<number> =>
  change(on, {
    text: `
      INSERT INTO route_item (practice_id, chart_id, id, type, version, content, author_id)
      SELECT $1, $2, $3, $4, 1, $6, $7
      WHERE $5 = 0 OR EXISTS (SELECT 1 FROM route_item WHERE chart_id = $2 AND id = $3)
      ON CONFLICT (chart_id, id) DO UPDATE
        SET version = route_item.version + 1, content = excluded.content, author_id = excluded.author_id,
            changed_at = now()
        WHERE route_item.version = $5 AND route_item.type = $4`,
    values: [
      head.practiceId,
      head.id,
      id,
      content.type,
      version,
      JSON.stringify(content),
      authorId,
    ],
  });

/** Drops a piece; gives how many there were. */
export const deleteRoute = (on: Transaction, head: ChartHead, id: string): Promise<number> =>
  change(on, {
    text: 'DELETE FROM route_item WHERE practice_id = $1 AND chart_id = $2 AND id = $3',
    values: [head.practiceId, head.id, id],
  });

/** Which of some accounts the chart has, and whether each takes postings. */
export const manyNamed = (
  on: Reader,
  head: ChartHead,
  ids: readonly AccountId[],
): Promise<{ readonly id: string; readonly takes: boolean }[]> =>
  many(on, {
    text: `
      SELECT id, role = 'posting' AND retired_on IS NULL AS takes FROM account
      WHERE practice_id = $1 AND chart_id = $2 AND id = ANY ($3)`,
    values: [head.practiceId, head.id, ids],
  });

/** The posting accounts of some kinds, by number. */
export const manyOfKinds = (
  on: Reader,
  head: ChartHead,
  kinds: readonly KindCode[],
): Promise<{ readonly id: string; readonly kind: KindCode }[]> =>
  many(on, {
    text: `
      SELECT id, kind FROM account
      WHERE practice_id = $1 AND chart_id = $2 AND kind = ANY ($3) AND role = 'posting' AND merged_into IS NULL
      ORDER BY number, id`,
    values: [head.practiceId, head.id, kinds],
  });

/** The ids of the lines that were set aside. */
export const manySetAside = async (on: Reader, head: ChartHead): Promise<string[]> => {
  const rows = await many<{ id: string }>(on, {
    text: `
      SELECT line_id AS id FROM line_set_aside WHERE practice_id = $1 AND chart_id = $2
      ORDER BY line_id`,
    values: [head.practiceId, head.id],
  });
  return rows.map(({ id }) => id);
};

/** Sets a line aside; once is enough. */
export const insertSetAside = (
  on: Transaction,
  head: ChartHead,
  { lineId, authorId }: { readonly lineId: string; readonly authorId: string },
): Promise<number> =>
  change(on, {
    text: `
      INSERT INTO line_set_aside (practice_id, chart_id, line_id, author_id) VALUES ($1, $2, $3, $4)
      ON CONFLICT DO NOTHING`,
    values: [head.practiceId, head.id, lineId, authorId],
  });

/** Brings a line back. */
export const deleteSetAside = (on: Transaction, head: ChartHead, lineId: string): Promise<number> =>
  change(on, {
    text: 'DELETE FROM line_set_aside WHERE practice_id = $1 AND chart_id = $2 AND line_id = $3',
    values: [head.practiceId, head.id, lineId],
  });
