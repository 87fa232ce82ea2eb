import type { KnownList } from '@iunctus/contract';
import type { Viewer } from '../access/access.service';
import { change, many } from '../database/query';
import type { Reader, Transaction } from '../database/transaction';

/** The lists that the practice knows, the newest first. */
export const manyKnownLists = (on: Reader, viewer: Viewer): Promise<KnownList[]> =>
  many(on, {
    text: `
      SELECT headings, uses, types FROM known_list
      WHERE practice_id = $1 ORDER BY kept_at DESC, key`,
    values: [viewer.practiceId],
  });

/** Keeps what a list's columns and types mean, instead of what was kept under its key. */
export const upsertKnownList = (
  on: Transaction,
  viewer: Viewer,
  { key, list }: { readonly key: string; readonly list: KnownList },
): Promise<number> =>
  change(on, {
    text: `
      INSERT INTO known_list (practice_id, key, headings, uses, types)
      VALUES ($1, $2, $3::jsonb, $4::jsonb, $5::jsonb)
      ON CONFLICT (practice_id, key) DO UPDATE
        SET headings = excluded.headings, uses = excluded.uses, types = excluded.types, kept_at = now()`,
    values: [
      viewer.practiceId,
      key,
      JSON.stringify(list.headings),
      JSON.stringify(list.uses),
      JSON.stringify(list.types),
    ],
  });

/** Forgets the lists that were not used for longest, but for so many. */
export const forgetOldLists = (on: Transaction, viewer: Viewer, kept: number): Promise<number> =>
  change(on, {
    text: `
      DELETE FROM known_list WHERE practice_id = $1 AND key NOT IN (
        SELECT key FROM known_list WHERE practice_id = $1 ORDER BY kept_at DESC, key LIMIT $2)`,
    values: [viewer.practiceId, kept],
  });
