import type { Split } from '@iunctus/core';
import { many } from '../database/query';
import type { Reader } from '../database/transaction';
import type { ChartHead } from './charts.queries';

interface SplitRow {
  readonly id: string;
  readonly from_account_id: string;
  readonly into_account_id: string;
  readonly choice: Split['choice'];
}

/** A chart's splits, in the order in which they were adopted. */
export const manySplits = async (on: Reader, head: ChartHead): Promise<Split[]> => {
  const rows = await many<SplitRow>(on, {
    text: `
      SELECT id, from_account_id, into_account_id, choice FROM account_split
      WHERE practice_id = $1 AND chart_id = $2 ORDER BY position`,
    values: [head.practiceId, head.id],
  });
  return rows.map(({ id, from_account_id, into_account_id, choice }) => ({
    id,
    from: from_account_id,
    into: into_account_id,
    choice,
  }));
};
