import type { Problem } from '@iunctus/contract';

/** What a broken constraint means to the user; any other is a fault of ours. */
const MEANINGS: Readonly<Record<string, Problem>> = {
  client_name_unique: { code: 'nameTaken' },
  kept_chart_name_unique: { code: 'nameTaken' },
  account_pkey: { code: 'badRequest', issues: [{ field: 'account.id', rule: 'is taken' }] },
};

const constraintOf = (error: unknown): string | undefined => {
  if (typeof error !== 'object' || error === null || !('constraint' in error)) return undefined;
  return typeof error.constraint === 'string' ? error.constraint : undefined;
};

/** The problem that a database error stands for, or `undefined`. */
export const problemOfDatabaseError = (error: unknown): Problem | undefined => {
  const constraint = constraintOf(error);
  return constraint === undefined ? undefined : MEANINGS[constraint];
};
