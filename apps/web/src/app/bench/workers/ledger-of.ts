import type { AccountId, Ledger } from '@iunctus/core';
import type { AmountsTuple } from './bench-messages';

/** The ledger for a roll-up, from amounts as they come over the wire. */
export const ledgerOf = (amounts: readonly AmountsTuple[]): Ledger =>
  new Map<AccountId, { balance: number; change: number; yearChange: number }>(
    amounts.map(([id, balance, change, yearChange]) => [id, { balance, change, yearChange }]),
  );
