import type { FoundAccountsAnswer } from '@iunctus/contract';
import type { Viewer } from '../access/viewer';
import { many } from '../database/query';
import type { Reader } from '../database/transaction';

/** Accounts whose number or name holds all words, without regard to case and accents; so many at most. */
export const manyHolding = (
  on: Reader,
  viewer: Viewer,
  { words, most }: { readonly words: readonly string[]; readonly most: number },
): Promise<FoundAccountsAnswer> =>
  many(on, {
    text: `
      SELECT client.id AS "clientId", client.name AS client, account.id AS "accountId",
             account.number, account.name
      FROM account
      JOIN chart ON chart.id = account.chart_id
      JOIN client ON client.id = chart.client_id
      WHERE account.practice_id = $1 AND client.practice_id = $1 AND client.put_away_at IS NULL
        AND ($4::uuid IS NULL OR client.id = $4)
        AND account.merged_into IS NULL
        AND (SELECT bool_and(strpos(
               lower(regexp_replace(normalize(coalesce(account.number, '') || ' ' || account.name, NFD),
                                    '[\\u0300-\\u036f]', '', 'g')), word) > 0)
             FROM unnest($2::text[]) AS word)
      ORDER BY client.name, account.number, account.name, account.id
      LIMIT $3`,
    values: [viewer.practiceId, words, most, viewer.clientId],
  });
