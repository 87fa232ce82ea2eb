import {
  addMonths,
  eachNode,
  firstDayOf,
  fiscalYearStart,
  mergedAccounts,
  monthsBetween,
  lastDayOf,
  trialBalance,
  type Account,
  type AccountId,
  type Month,
  type Period,
} from '@iunctus/core';
import { chartTable, type AuditHead, type AuditRow } from '@iunctus/exchange';
import { chartOf } from '../charts/in-chart';
import { manyMovements, type Movement } from '../postings/movements.queries';
import { endsYear, yearUpTo, type Taken } from './export-source';

const NONE: Movement = { debit: 0, credit: 0 };

/** Debits and credits by account; what was posted to an account that was merged counts where it went. */
const movementsOf = async (
  { pool, viewer, client, chart }: Taken,
  period: Period,
): Promise<ReadonlyMap<AccountId, Movement>> => {
  const head = await chartOf(pool, viewer, client.id);
  const into = new Map(mergedAccounts(chart).map((one) => [one.account.id, one.into]));
  const sums = new Map<AccountId, Movement>();
  for (const [id, { debit, credit }] of await manyMovements(pool, head, period)) {
    const at = into.get(id) ?? id;
    const known = sums.get(at) ?? NONE;
    sums.set(at, { debit: known.debit + debit, credit: known.credit + credit });
  }
  return sums;
};

/** What stands for accounts that the viewer may not see shows to nobody else either. */
const isStandIn = ({ settings: { restrictedTo } }: Account): boolean => restrictedTo?.length === 0;

/**
 * Debits and credits, where they lead from one balance to the other. Where they do not, since part of them is
 * hidden from the viewer or a year ended between, what the balances themselves tell: the difference, on its side.
 */
const told = (
  { opening, closing }: { readonly opening: number; readonly closing: number },
  { debit, credit }: Movement,
): Movement => {
  const net = closing - opening;
  if (debit - credit === net) return { debit, credit };
  return { debit: Math.max(net, 0), credit: Math.max(-net, 0) };
};

/** A fiscal year is called after the year in which it ends; its periods are its months, from 1. */
export const fiscalPeriodOf = (
  month: Month,
  startsIn: number,
): Pick<AuditHead, 'fiscalYear' | 'period'> => {
  const start = fiscalYearStart(month, startsIn);
  return {
    fiscalYear: addMonths(start, 11).slice(0, 4),
    period: monthsBetween(start, month),
  };
};

/** The accounts with their balances before a period and at its end, as auditors' files have them. */
export const auditRowsOf = async (
  taken: Taken,
  { first, last }: Period,
  today: string,
): Promise<{ readonly rows: readonly AuditRow[]; readonly head: AuditHead }> => {
  const { chart, client } = taken;
  const before = addMonths(first, -1);
  const opening = trialBalance(chart, await yearUpTo(taken, before), endsYear(taken, before));
  const closing = trialBalance(chart, await yearUpTo(taken, last), false);
  const movement = await movementsOf(taken, { first, last });
  const accounts = [...eachNode(chart.roots)].map(({ account }) => account);
  const rows = chartTable(chart, null).map((row, at) => {
    const account = accounts[at];
    const id = account?.id ?? '';
    const ends = { opening: opening.get(id) ?? 0, closing: closing.get(id) ?? 0 };
    const known = account !== undefined && isStandIn(account) ? undefined : movement.get(id);
    return { row, ...ends, ...told(ends, known ?? NONE) };
  });
  const head: AuditHead = {
    client: client.name,
    currency: client.currency,
    country: client.country,
    created: today,
    first: firstDayOf(first),
    last: lastDayOf(last),
    ...fiscalPeriodOf(last, taken.client.fiscalYearStart),
  };
  return { rows, head };
};
