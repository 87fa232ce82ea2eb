import { change, maybeOne } from '../database/query';
import type { Reader, Transaction } from '../database/transaction';

/** Whether any practice is in the database. */
export const hasPractice = async (on: Reader): Promise<boolean> =>
  (await maybeOne(on, { text: 'SELECT id FROM practice LIMIT 1' })) !== undefined;

/** Adds the practice. */
export const insertPractice = (
  on: Transaction,
  practice: { id: string; name: string },
): Promise<number> =>
  change(on, {
    text: 'INSERT INTO practice (id, name) VALUES ($1, $2)',
    values: [practice.id, practice.name],
  });

/** Adds a user. */
export const insertUser = (
  on: Transaction,
  user: { id: string; practiceId: string; email: string; name: string; passwordHash: string },
): Promise<number> =>
  change(on, {
    text: `INSERT INTO app_user (id, practice_id, email, name, password_hash)
           VALUES ($1, $2, $3, $4, $5)`,
    values: [user.id, user.practiceId, user.email, user.name, user.passwordHash],
  });

/** Removes one practice with all that it has, posted lines included. */
export const deletePractice = async (on: Transaction, practiceId: string): Promise<void> => {
  const values = [practiceId];
  const charts = 'SELECT id FROM chart WHERE practice_id = $1';
  await on.query('ALTER TABLE entry_line DISABLE TRIGGER entry_line_immutable');
  for (const text of [
    `DELETE FROM dimension_value_use WHERE chart_id IN (${charts})`,
    'DELETE FROM account_split WHERE practice_id = $1',
    `DELETE FROM account_month_total WHERE chart_id IN (${charts})`,
    `DELETE FROM entry_line WHERE chart_id IN (${charts})`,
    'DELETE FROM entry WHERE practice_id = $1',
    'DELETE FROM proposal_remark WHERE practice_id = $1',
    'DELETE FROM proposal WHERE practice_id = $1',
    'DELETE FROM revision WHERE practice_id = $1',
    'DELETE FROM client_origin_pending WHERE practice_id = $1',
    'DELETE FROM client_origin WHERE practice_id = $1',
    'DELETE FROM kept_chart_version WHERE practice_id = $1',
    'DELETE FROM kept_chart WHERE practice_id = $1',
    'DELETE FROM account WHERE practice_id = $1',
    'DELETE FROM chart WHERE practice_id = $1',
    'DELETE FROM client WHERE practice_id = $1',
    'DELETE FROM app_user WHERE practice_id = $1',
    'DELETE FROM practice WHERE id = $1',
  ])
    await change(on, { text, values });
  await on.query('SET CONSTRAINTS ALL IMMEDIATE');
  await on.query('ALTER TABLE entry_line ENABLE TRIGGER entry_line_immutable');
};
