import type { FindingRulesRequest } from '@iunctus/contract';
import { NO_WISHES, type RuleWishes } from '@iunctus/core';
import type { Viewer } from '../access/viewer';
import type { ChartHead } from '../charts/charts.queries';
import { change, maybeOne } from '../database/query';
import type { Reader, Transaction } from '../database/transaction';

/** Wishes as they are kept. */
interface Wished {
  readonly version: number;
  readonly wishes: RuleWishes;
}

interface WishedRow {
  readonly version: number;
  readonly content: RuleWishes;
}

const wishedIn = (row: WishedRow | undefined): Wished =>
  row === undefined
    ? { version: 0, wishes: NO_WISHES }
    : { version: row.version, wishes: row.content };

/** What a practice wants of the rules. */
export const wishesOfPractice = async (on: Reader, practiceId: string): Promise<Wished> =>
  wishedIn(
    await maybeOne<WishedRow>(on, {
      text: 'SELECT version, content FROM practice_rule_wishes WHERE practice_id = $1',
      values: [practiceId],
    }),
  );

/** What a client wants of them. */
export const wishesOfChart = async (on: Reader, head: ChartHead): Promise<Wished> =>
  wishedIn(
    await maybeOne<WishedRow>(on, {
      text: 'SELECT version, content FROM rule_wishes WHERE practice_id = $1 AND chart_id = $2',
      values: [head.practiceId, head.id],
    }),
  );

/** Keeps what a practice wants, read under a version; gives how many were written: none where it went on meanwhile. */
export const upsertPracticeWishes = (
  on: Transaction,
  viewer: Viewer,
  { version, wishes }: FindingRulesRequest,
): Promise<number> =>
  change(on, {
    text: `
      INSERT INTO practice_rule_wishes (practice_id, version, content, author_id)
      SELECT $1, 1, $3, $4
      WHERE $2 = 0 OR EXISTS (SELECT 1 FROM practice_rule_wishes WHERE practice_id = $1)
      ON CONFLICT (practice_id) DO UPDATE
        SET version = practice_rule_wishes.version + 1, content = excluded.content,
            author_id = excluded.author_id, changed_at = now()
        WHERE practice_rule_wishes.version = $2`,
    values: [viewer.practiceId, version, JSON.stringify(wishes), viewer.userId],
  });

/** Keeps what a client wants, in the same way. */
export const upsertChartWishes = (
  on: Transaction,
  head: ChartHead,
  { authorId, request }: { readonly authorId: string; readonly request: FindingRulesRequest },
): Promise<number> =>
  change(on, {
    text: `
      INSERT INTO rule_wishes (practice_id, chart_id, version, content, author_id)
      SELECT $1, $2, 1, $4, $5
      WHERE $3 = 0 OR EXISTS (SELECT 1 FROM rule_wishes WHERE chart_id = $2)
      ON CONFLICT (chart_id) DO UPDATE
        SET version = rule_wishes.version + 1, content = excluded.content,
            author_id = excluded.author_id, changed_at = now()
        WHERE rule_wishes.version = $3`,
    values: [head.practiceId, head.id, request.version, JSON.stringify(request.wishes), authorId],
  });
