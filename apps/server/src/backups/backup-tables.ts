/** What a backup holds: everything of a practice, or one client with the people who worked on it. */
export type BackupScope =
  | { readonly type: 'practice'; readonly practiceId: string }
  | { readonly type: 'client'; readonly practiceId: string; readonly clientId: string };

/** A table of a backup: which rows belong to it, and in which order they are written. */
export interface BackupTable {
  readonly name: string;
  /** Columns, comma-separated, that order the rows and tell them apart. */
  readonly order: string;
  /** To what a row belongs: the practice, all its clients together, a client of it, a chart of it, or a chart that the practice keeps. */
  readonly by: 'practice' | 'allClients' | 'client' | 'chart' | 'kept';
}

const ofChart = (name: string, order: string): BackupTable => ({ name, order, by: 'chart' });

/** Every table that matters, those that others refer to first. Sessions and invitations end with the database. */
export const BACKUP_TABLES: readonly BackupTable[] = [
  { name: 'practice', order: 'id', by: 'practice' },
  { name: 'client', order: 'id', by: 'client' },
  { name: 'app_user', order: 'id', by: 'practice' },
  { name: 'chart', order: 'id', by: 'client' },
  ofChart('account', 'chart_id, id'),
  ofChart('account_veil', 'chart_id, account_id'),
  ofChart('account_former', 'chart_id, account_id, until_revision'),
  ofChart('revision', 'chart_id, number'),
  ofChart('entry', 'sequence'),
  ofChart('entry_line', 'entry_id, line_number'),
  ofChart('period_lock', 'chart_id, number'),
  ofChart('entry_draft', 'chart_id, id'),
  ofChart('standing_entry', 'chart_id, id'),
  ofChart('journal_memory', 'chart_id'),
  ofChart('standing_entry_day', 'chart_id, standing_id, due'),
  ofChart('route_item', 'chart_id, id'),
  ofChart('layout', 'chart_id, id'),
  ofChart('finding_note', 'chart_id, key'),
  ofChart('rule_wishes', 'chart_id'),
  ofChart('open_item_list', 'chart_id, account_id'),
  ofChart('line_set_aside', 'chart_id, line_id'),
  ofChart('dimension_value_use', 'chart_id, value_id'),
  ofChart('account_month_total', 'chart_id, account_id, month'),
  ofChart('account_split', 'position'),
  ofChart('account_split_line', 'split_id, entry_id, line_number'),
  ofChart('account_split_month_total', 'split_id, month'),
  ofChart('proposal', 'chart_id, user_id'),
  ofChart('proposal_remark', 'chart_id, id'),
  { name: 'known_list', order: 'client_id, key', by: 'client' },
  { name: 'practice_rule_wishes', order: 'practice_id', by: 'allClients' },
  { name: 'kind_lesson', order: 'name_key', by: 'allClients' },
  { name: 'kept_chart', order: 'id', by: 'kept' },
  { name: 'kept_chart_version', order: 'kept_chart_id, number', by: 'kept' },
  { name: 'client_origin', order: 'client_id', by: 'client' },
  { name: 'client_origin_pending', order: 'client_id, user_id', by: 'client' },
];

/** Columns whose values are counted on by the database, which must go on behind them. */
export const COUNTED = [
  { table: 'entry', column: 'sequence' },
  { table: 'account_split', column: 'position' },
] as const;

/** The kept charts from which a client comes, or will once a step is adopted. */
const KEPT_OF_CLIENT = `
  SELECT kept_chart_id FROM client_origin WHERE client_id = $2
  UNION SELECT kept_chart_id FROM client_origin_pending WHERE client_id = $2`;

const belongs = ({ name, by }: BackupTable, scope: BackupScope): string => {
  if (by === 'practice') return name === 'practice' ? 'id = $1' : 'practice_id = $1';
  if (by === 'allClients')
    return scope.type === 'practice' ? 'practice_id = $1' : 'practice_id = $1 AND false';
  if (by === 'kept') {
    const column = name === 'kept_chart' ? 'id' : 'kept_chart_id';
    return scope.type === 'practice'
      ? 'practice_id = $1'
      : `practice_id = $1 AND ${column} IN (${KEPT_OF_CLIENT})`;
  }
  const chartColumn = name === 'chart' ? 'id' : 'chart_id';
  if (by === 'client')
    return scope.type === 'practice'
      ? 'practice_id = $1'
      : `practice_id = $1 AND ${name === 'client' ? 'id' : 'client_id'} = $2`;
  const charts =
    scope.type === 'practice'
      ? 'SELECT id FROM chart WHERE practice_id = $1'
      : 'SELECT id FROM chart WHERE practice_id = $1 AND client_id = $2';
  return `${chartColumn} IN (${charts})`;
};

/** Onlookers of other clients come along as people who left: their clients do not. */
const ELSEWHERE = `
  CASE WHEN one.role = 'onlooker' AND one.client_id <> $2
    THEN jsonb_build_object('role', 'reviewer', 'client_id', NULL, 'removed_at', now()) ELSE '{}' END`;

const rowOf = (name: string, scope: BackupScope, passwords: boolean): string => {
  if (name !== 'app_user') return 'to_jsonb(one)';
  const secret = passwords ? '' : ` || '{"password_hash": null}'`;
  return `to_jsonb(one)${secret}${scope.type === 'client' ? ` || ${ELSEWHERE}` : ''}`;
};

/** The query that reads a table's rows as JSON text, and its values. Passwords leave only where they are asked for. */
export const rowsOfTable = (
  table: BackupTable,
  scope: BackupScope,
  passwords: boolean,
): { readonly text: string; readonly values: readonly string[] } => {
  const row = rowOf(table.name, scope, passwords);
  const text = `SELECT (${row})::text AS row FROM ${table.name} AS one WHERE ${belongs(table, scope)} ORDER BY ${table.order}`;
  const ids = scope.type === 'client' ? [scope.practiceId, scope.clientId] : [scope.practiceId];
  return { text, values: text.includes('$2') ? ids : ids.slice(0, 1) };
};
