import type { OpenItemsAnswer, OpenItemsRequest } from '@iunctus/contract';
import type { AccountId, OpenItem } from '@iunctus/core';
import type { ChartHead } from '../charts/charts.queries';
import { change, many, maybeOne } from '../database/query';
import type { Reader, Transaction } from '../database/transaction';

interface ListRow {
  readonly account_id: AccountId;
  readonly version: number;
  readonly month: string;
  readonly items: readonly OpenItem[];
  readonly changed_at: Date;
  readonly author: string;
}

/** The newest list of open items of each account of a client. */
export const manyOpenItems = async (on: Reader, head: ChartHead): Promise<OpenItemsAnswer> => {
  const rows = await many<ListRow>(on, {
    text: `
      SELECT list.account_id, list.version, to_char(list.month, 'YYYY-MM') AS month, list.items,
             list.changed_at, author.name AS author
      FROM open_item_list AS list JOIN app_user AS author ON author.id = list.author_id
      WHERE list.practice_id = $1 AND list.chart_id = $2
      ORDER BY list.account_id`,
    values: [head.practiceId, head.id],
  });
  return rows.map(({ account_id, version, month, items, changed_at, author }) => ({
    accountId: account_id,
    version,
    list: { month, items },
    author,
    changedAt: changed_at.toISOString(),
  }));
};

/** Whether a chart has an account that takes postings, by its id. */
export const takesPostings = async (
  on: Reader,
  head: ChartHead,
  accountId: AccountId,
): Promise<boolean> => {
  const found = await maybeOne<{ takes: boolean }>(on, {
    text: `
      SELECT role = 'posting' AND merged_into IS NULL AS takes FROM account
      WHERE practice_id = $1 AND chart_id = $2 AND id = $3`,
    values: [head.practiceId, head.id, accountId],
  });
  return found?.takes === true;
};

/** Keeps a list in the place of one that was read under a version; gives how many were written: none where it went on. */
export const upsertOpenItems = (
  on: Transaction,
  head: ChartHead,
  {
    accountId,
    authorId,
    request: { version, list },
  }: {
    readonly accountId: AccountId;
    readonly authorId: string;
    readonly request: OpenItemsRequest;
  },
): Promise<number> =>
  change(on, {
    text: `
      INSERT INTO open_item_list (practice_id, chart_id, account_id, version, month, items, author_id)
      SELECT $1, $2, $3, 1, to_date($5, 'YYYY-MM'), $6, $7
      WHERE $4 = 0 OR EXISTS (SELECT 1 FROM open_item_list WHERE chart_id = $2 AND account_id = $3)
      ON CONFLICT (chart_id, account_id) DO UPDATE
        SET version = open_item_list.version + 1, month = excluded.month, items = excluded.items,
            author_id = excluded.author_id, changed_at = now()
        WHERE open_item_list.version = $4`,
    values: [
      head.practiceId,
      head.id,
      accountId,
      version,
      list.month,
      JSON.stringify(list.items),
      authorId,
    ],
  });

/** Drops the list of an account. */
export const deleteOpenItems = (
  on: Transaction,
  head: ChartHead,
  accountId: AccountId,
): Promise<number> =>
  change(on, {
    text: 'DELETE FROM open_item_list WHERE practice_id = $1 AND chart_id = $2 AND account_id = $3',
    values: [head.practiceId, head.id, accountId],
  });
