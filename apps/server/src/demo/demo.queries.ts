import type { PersonRole } from '@iunctus/core';
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
  user: {
    readonly id: string;
    readonly practiceId: string;
    readonly email: string;
    readonly name: string;
    readonly role: PersonRole;
    readonly passwordHash: string;
  },
): Promise<number> =>
  change(on, {
    text: `INSERT INTO app_user (id, practice_id, email, name, role, password_hash)
           VALUES ($1, $2, $3, $4, $5, $6)`,
    values: [user.id, user.practiceId, user.email, user.name, user.role, user.passwordHash],
  });

/** Every table that holds something of a practice, those that refer to others first, and by what its rows are found. */
const TABLES: readonly (readonly [table: string, by: 'practice' | 'chart' | 'user'])[] = [
  ['account_split_line', 'chart'],
  ['account_split_month_total', 'chart'],
  ['account_split', 'practice'],
  ['dimension_value_use', 'chart'],
  ['account_month_total', 'chart'],
  ['standing_entry_day', 'chart'],
  ['standing_entry', 'practice'],
  ['route_item', 'practice'],
  ['layout', 'practice'],
  ['finding_note', 'practice'],
  ['rule_wishes', 'practice'],
  ['open_item_list', 'practice'],
  ['practice_rule_wishes', 'practice'],
  ['line_set_aside', 'practice'],
  ['entry_draft', 'practice'],
  ['period_lock', 'practice'],
  ['journal_memory', 'practice'],
  ['entry_line', 'chart'],
  ['entry', 'practice'],
  ['proposal_remark', 'practice'],
  ['proposal', 'practice'],
  ['revision', 'practice'],
  ['known_list', 'practice'],
  ['kind_lesson', 'practice'],
  ['client_origin_pending', 'practice'],
  ['client_origin', 'practice'],
  ['kept_chart_version', 'practice'],
  ['kept_chart', 'practice'],
  ['account_former', 'practice'],
  ['account_veil', 'practice'],
  ['account', 'practice'],
  ['chart', 'practice'],
  ['session', 'user'],
  ['invitation', 'user'],
  ['app_user', 'practice'],
  ['client', 'practice'],
];

const OWNED = {
  practice: 'practice_id = $1',
  chart: 'chart_id IN (SELECT id FROM chart WHERE practice_id = $1)',
  user: 'user_id IN (SELECT id FROM app_user WHERE practice_id = $1)',
} as const;

/**
 * Removes one practice with all that it has, posted lines included: only the owner of the tables can. What is
 * written to stay stays for everybody else; the triggers that see to it rest until the transaction ends.
 */
export const deletePractice = async (on: Transaction, practiceId: string): Promise<void> => {
  const values = [practiceId];
  await on.query('SET CONSTRAINTS ALL DEFERRED');
  for (const [table] of TABLES) await on.query(`ALTER TABLE ${table} DISABLE TRIGGER USER`);
  await change(on, {
    text: "UPDATE app_user SET role = 'reviewer', client_id = NULL WHERE practice_id = $1",
    values,
  });
  for (const [table, by] of TABLES)
    await change(on, { text: `DELETE FROM ${table} WHERE ${OWNED[by]}`, values });
  await change(on, { text: 'DELETE FROM practice WHERE id = $1', values });
  await on.query('SET CONSTRAINTS ALL IMMEDIATE');
  for (const [table] of TABLES) await on.query(`ALTER TABLE ${table} ENABLE TRIGGER USER`);
};
