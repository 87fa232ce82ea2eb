import type { Problem } from '@iunctus/contract';
import { AmountError } from '@iunctus/core';

/** What a broken constraint means to the user; any other is a fault of ours. */
const MEANINGS: Readonly<Record<string, Problem>> = {
  client_name_unique: { code: 'nameTaken' },
  kept_chart_name_unique: { code: 'nameTaken' },
  app_user_email_unique: { code: 'emailTaken' },
  entry_line_not_on_heading: refusedPosting('an account became a heading meanwhile'),
  entry_line_not_on_retired: refusedPosting('an account was retired meanwhile'),
  entry_line_not_on_merged: refusedPosting('an account was merged meanwhile'),
  entry_line_not_on_system_only: refusedPosting('an account takes nothing that is typed any more'),
  entry_in_open_period: { code: 'overtaken', by: 'lock' },
  entry_reversed_once: { code: 'overtaken', by: 'reversal' },
  entry_corrected_once: { code: 'overtaken', by: 'correction' },
  standing_entry_day_pkey: { code: 'overtaken', by: 'standing' },
  route_item_default_once: { code: 'overtaken', by: 'route' },
  route_item_gate_once: { code: 'overtaken', by: 'route' },
  entry_line_amount_counted: refusedPosting('an amount is more than can be counted'),
};

function refusedPosting(rule: string): Problem {
  return { code: 'badRequest', issues: [{ field: 'balances', rule }] };
}

/** How the database, its connections and the network say that it is not there. */
const AWAY = new Set([
  '57P01', '57P02', '57P03', '53300', '08000', '08001', '08003', '08004', '08006', '25P03', '57P05',
  'ECONNREFUSED', 'ECONNRESET', 'EPIPE', 'ETIMEDOUT', 'ENOTFOUND', 'EHOSTUNREACH', 'ENETUNREACH', 'EAI_AGAIN',
]); // prettier-ignore
const AWAY_WORDS =
  /Connection terminated|timeout exceeded when trying to connect|Query read timeout|not queryable|Client was closed|Cannot use a pool after/;

/** Waiting for a lock, for a statement, or for one another took too long, or somebody else was first. */
const BUSY = new Set(['55P03', '57014', '40P01', '40001']);

/** Values that no field can hold, whatever the schema let pass. */
const UNUSABLE = new Set(['22P02', '22P05', '22003', '22007', '22008', '22021', '54000', '54001']);

const fieldOf = (error: unknown, name: string): string | undefined => {
  if (typeof error !== 'object' || error === null) return undefined;
  const value = Reflect.get(error, name) as unknown;
  return typeof value === 'string' ? value : undefined;
};

/** Whether the database could not be reached, or was lost on the way. */
export const isAway = (error: unknown): boolean =>
  AWAY.has(fieldOf(error, 'code') ?? '') || AWAY_WORDS.test(fieldOf(error, 'message') ?? '');

/** The problem that a database error stands for, or `undefined`. */
export const problemOfDatabaseError = (error: unknown): Problem | undefined => {
  if (error instanceof AmountError)
    return {
      code: 'badRequest',
      issues: [{ field: 'amount', rule: 'comes to more than can be counted exactly' }],
    };
  if (isAway(error)) return { code: 'unavailable', seconds: 2 };
  const code = fieldOf(error, 'code') ?? '';
  if (BUSY.has(code)) return { code: 'busy', seconds: 2 };
  const constraint = fieldOf(error, 'constraint');
  if (constraint !== undefined && Object.hasOwn(MEANINGS, constraint)) return MEANINGS[constraint];
  if (UNUSABLE.has(code))
    return {
      code: 'badRequest',
      issues: [{ field: '', rule: 'holds a value that cannot be kept' }],
    };
  return undefined;
};
