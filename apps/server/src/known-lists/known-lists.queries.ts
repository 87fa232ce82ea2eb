import type { KnownList } from '@iunctus/contract';
import type { Viewer } from '../access/viewer';
import { change, many } from '../database/query';
import type { Reader, Transaction } from '../database/transaction';

/** The lists that the practice knows, the newest first. */
export const manyKnownLists = (on: Reader, viewer: Viewer): Promise<KnownList[]> =>
  many(on, {
    text: `
      SELECT client_id AS "clientId", headings, uses, types FROM known_list
      WHERE practice_id = $1 ORDER BY kept_at DESC, client_id, key`,
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
      INSERT INTO known_list (practice_id, client_id, key, headings, uses, types)
      VALUES ($1, $2, $3, $4::jsonb, $5::jsonb, $6::jsonb)
      ON CONFLICT (client_id, key) DO UPDATE
        SET headings = excluded.headings, uses = excluded.uses, types = excluded.types, kept_at = now()`,
    values: [
      viewer.practiceId,
      list.clientId,
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
      DELETE FROM known_list WHERE practice_id = $1 AND (client_id, key) NOT IN (
        SELECT client_id, key FROM known_list WHERE practice_id = $1
        ORDER BY kept_at DESC, client_id, key LIMIT $2)`,
    values: [viewer.practiceId, kept],
  });
