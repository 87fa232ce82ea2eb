import { createHmac } from 'node:crypto';
import pg from 'pg';
import { inTransactionOn, type Transaction } from './transaction';

/** What the application may do with each table, beyond reading it. Nothing is its own. */
const RIGHTS: Readonly<Record<string, string>> = {
  practice: '',
  kind: '',
  schema_migration: '',
  app_user: 'INSERT, UPDATE (name, email, role, client_id, removed_at, password_hash)',
  session: 'INSERT, DELETE, UPDATE (used_at)',
  invitation: 'INSERT, UPDATE, DELETE',
  sign_in_try: 'INSERT, UPDATE, DELETE',
  client:
    'INSERT, UPDATE (name, legal_form, industry, country, currency, fiscal_year_start, put_away_at)',
  chart: 'INSERT, UPDATE (revision, plan, numbered, unique_names, dimensions, entries)',
  account:
    'INSERT, DELETE, UPDATE (parent_id, position, number, name, short_label, guidance, notes, role, kind, retired_on, system_use, settings, merged_into)',
  account_former: 'INSERT',
  account_veil: 'INSERT, UPDATE (seen_by), DELETE',
  revision: 'INSERT',
  proposal:
    'INSERT, UPDATE (version, base_revision, steps, conflicts, name, comment, state, reviewer_id)',
  proposal_remark: 'INSERT, DELETE',
  entry: 'INSERT',
  entry_line: 'INSERT',
  entry_draft: 'INSERT, DELETE, UPDATE (version, content, changed_at)',
  journal_memory: 'INSERT, UPDATE (content)',
  period_lock: 'INSERT',
  standing_entry: 'INSERT, DELETE, UPDATE (name, frequency, first_day, last_day, times, content)',
  standing_entry_day: 'INSERT, DELETE',
  finding_note: 'INSERT, DELETE, UPDATE (print, until, reason, author_id, noted_at)',
  rule_wishes: 'INSERT, UPDATE (version, content, author_id, changed_at)',
  practice_rule_wishes: 'INSERT, UPDATE (version, content, author_id, changed_at)',
  open_item_list: 'INSERT, DELETE, UPDATE (version, month, items, author_id, changed_at)',
  layout: 'INSERT, DELETE, UPDATE (version, content, author_id, changed_at)',
  route_item: 'INSERT, DELETE, UPDATE (version, content, author_id, changed_at)',
  line_set_aside: 'INSERT, DELETE',
  account_month_total: '',
  dimension_value_use: '',
  account_split: 'INSERT, DELETE',
  account_split_line: 'INSERT',
  account_split_month_total: '',
  kept_chart: 'INSERT, DELETE, UPDATE (name)',
  kept_chart_version: 'INSERT, DELETE',
  client_origin: 'INSERT, UPDATE (kept_chart_id, version, ids), DELETE',
  client_origin_pending: 'INSERT, UPDATE (step_id, kept_chart_id, version, ids), DELETE',
  known_list: 'INSERT, UPDATE, DELETE',
  kind_lesson: 'INSERT, UPDATE, DELETE',
};

/** The lock under which one server at a time hands out rights. */
const ROLE_LOCK = 817_263_542;

const hidden = (secret: string, what: string): string =>
  createHmac('sha256', secret).update(what).digest('hex');

const quoted = (name: string): string => pg.escapeIdentifier(name);

const makeRole = async (pool: pg.Pool, name: string, password: string): Promise<void> => {
  const { rowCount } = await pool.query('SELECT 1 FROM pg_roles WHERE rolname = $1', [name]);
  if (rowCount !== 0) return;
  const taken = new Set(['42710', '23505']);
  await pool
    .query(
      `CREATE ROLE ${quoted(name)} LOGIN NOSUPERUSER NOCREATEDB NOCREATEROLE NOREPLICATION PASSWORD ${pg.escapeLiteral(password)}`,
    )
    .catch((error: unknown) => {
      // Another server made it at the same moment.
      if (!(error instanceof pg.DatabaseError && taken.has(error.code ?? ''))) throw error;
    });
};

const handOutRights = async (on: Transaction, name: string): Promise<void> => {
  const role = quoted(name);
  await on.query('SELECT pg_advisory_xact_lock($1)', [ROLE_LOCK]);
  await on.query(`REVOKE ALL ON ALL TABLES IN SCHEMA public FROM ${role}`);
  await on.query(`GRANT USAGE ON SCHEMA public TO ${role}`);
  for (const [table, rights] of Object.entries(RIGHTS))
    await on.query(
      `GRANT SELECT${rights === '' ? '' : `, ${rights}`} ON ${quoted(table)} TO ${role}`,
    );
};

/** Why the application has no role of its own. */
export class RoleError extends Error {}

/**
 * The address at which the application itself connects: as a role that owns nothing and may do only what
 * serving takes. It is made from the owner's address with a password that follows from `secret`, so that
 * every server makes the same one; or it is `given`, and only gets its rights here.
 */
export const applicationUrl = async (
  owner: pg.Pool,
  asked: { readonly ownerUrl: string; readonly secret: string; readonly given?: string },
): Promise<string> => {
  const url = new URL(asked.given ?? asked.ownerUrl);
  if (asked.given === undefined) {
    url.username = `iunctus_${hidden(asked.secret, 'name of the role').slice(0, 12)}`;
    url.password = hidden(asked.secret, 'password of the role');
    await makeRole(owner, url.username, url.password).catch((error: unknown) => {
      if (error instanceof pg.DatabaseError && error.code === '42501')
        throw new RoleError(
          'DATABASE_URL may not make a role. Make one that owns nothing, and name it in APPLICATION_DATABASE_URL.',
        );
      throw error;
    });
  }
  const name = decodeURIComponent(url.username);
  await inTransactionOn(owner, (transaction) => handOutRights(transaction, name));
  return url.href;
};
