import type { DraftAnswer, DraftRequest } from '@iunctus/contract';
import type { Viewer } from '../access/viewer';
import type { ChartHead } from '../charts/charts.queries';
import { change, exactlyOne, many } from '../database/query';
import type { Reader, Transaction } from '../database/transaction';

/** A draft of somebody's own. */
export interface OwnDraft {
  readonly id: string;
  readonly viewer: Viewer;
}

type DraftRow = Pick<DraftAnswer, 'id' | 'version'> & {
  readonly changed_at: Date;
  readonly content: Omit<DraftRequest, 'version'>;
};

/** The viewer's drafts, the one changed last first. */
export const manyDrafts = async (
  on: Reader,
  head: ChartHead,
  { userId }: Viewer,
): Promise<DraftAnswer[]> => {
  const rows = await many<DraftRow>(on, {
    text: `
      SELECT id, version, content, changed_at FROM entry_draft WHERE practice_id = $1 AND chart_id = $2 AND author_id = $3
      ORDER BY changed_at DESC, id`,
    values: [head.practiceId, head.id, userId],
  });
  return rows.map(({ content, changed_at, ...row }) => ({
    ...row,
    ...content,
    changedAt: changed_at.toISOString(),
  }));
};

/** Keeps a draft that was read under a version; gives how many were written: none where it went on meanwhile. */
export const upsertDraft = (
  on: Transaction,
  head: ChartHead,
  { id, viewer, draft: { version, ...content } }: OwnDraft & { readonly draft: DraftRequest },
): Promise<number> =>
  change(on, {
    text: `
      INSERT INTO entry_draft (practice_id, chart_id, id, author_id, version, content)
      SELECT $1, $2, $3, $4, 1, $6
      WHERE $5 = 0 OR EXISTS (SELECT 1 FROM entry_draft WHERE chart_id = $2 AND id = $3)
      ON CONFLICT (chart_id, id) DO UPDATE
        SET version = entry_draft.version + 1, content = excluded.content, changed_at = now()
        WHERE entry_draft.author_id = $4 AND entry_draft.version = $5`,
    values: [head.practiceId, head.id, id, viewer.userId, version, JSON.stringify(content)],
  });

/** How many drafts the viewer keeps. */
export const countDrafts = async (
  on: Reader,
  head: ChartHead,
  { userId }: Viewer,
): Promise<number> => {
  const { all } = await exactlyOne<{ all: number }>(on, {
    text: `
      SELECT count(*)::int AS all FROM entry_draft
      WHERE practice_id = $1 AND chart_id = $2 AND author_id = $3`,
    values: [head.practiceId, head.id, userId],
  });
  return all;
};

/** Drops a draft of the viewer's own. */
export const deleteDraft = (
  on: Transaction,
  head: ChartHead,
  { id, viewer }: OwnDraft,
): Promise<number> =>
  change(on, {
    text: `
      DELETE FROM entry_draft
      WHERE practice_id = $1 AND chart_id = $2 AND id = $3 AND author_id = $4`,
    values: [head.practiceId, head.id, id, viewer.userId],
  });
