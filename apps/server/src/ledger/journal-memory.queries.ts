import type { JournalMemory } from '@iunctus/contract';
import type { ChartHead } from '../charts/charts.queries';
import { change, maybeOne } from '../database/query';
import type { Reader, Transaction } from '../database/transaction';

/** What columns and names mean in a chart's lists of entries; `undefined` where none was brought in. */
export const maybeMemory = async (
  on: Reader,
  head: ChartHead,
): Promise<JournalMemory | undefined> => {
  const row = await maybeOne<{ content: JournalMemory }>(on, {
    text: 'SELECT content FROM journal_memory WHERE practice_id = $1 AND chart_id = $2',
    values: [head.practiceId, head.id],
  });
  return row?.content;
};

/** Keeps it, instead of what was kept before. */
export const upsertMemory = (
  on: Transaction,
  head: ChartHead,
  memory: JournalMemory,
): Promise<number> =>
  change(on, {
    text: `
      INSERT INTO journal_memory (practice_id, chart_id, content) VALUES ($1, $2, $3)
      ON CONFLICT (chart_id) DO UPDATE SET content = excluded.content`,
    values: [head.practiceId, head.id, JSON.stringify(memory)],
  });
