import {
  addMonths,
  eachNode,
  firstDayOf,
  fiscalPeriodOf,
  movementBetween,
  movementsIn,
  lastDayOf,
  trialBalance,
  type Account,
  type Period,
} from '@iunctus/core';
import { chartTable, type AuditHead, type AuditRow } from '@iunctus/exchange';
import { chartOf } from '../charts/in-chart';
import { VERSION } from '../config/version';
import { manyMovements } from '../postings/movements.queries';
import { endsYear, yearUpTo, type Taken } from './export-source';

/** What stands for accounts that the viewer may not see shows to nobody else either. */
const isStandIn = ({ settings: { restrictedTo } }: Account): boolean => restrictedTo?.length === 0;

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
  const chartHead = await chartOf(taken.pool, taken.viewer, client.id);
  const posted = await manyMovements(taken.pool, chartHead, { first, last });
  const movements = movementsIn(chart, posted);
  const accounts = [...eachNode(chart.roots)].map(({ account }) => account);
  const rows = chartTable(chart, null).map((row, at) => {
    const account = accounts[at];
    const id = account?.id ?? '';
    const ends = { opening: opening.get(id) ?? 0, closing: closing.get(id) ?? 0 };
    const known = account !== undefined && isStandIn(account) ? undefined : movements.get(id);
    return { row, ...ends, ...movementBetween(ends, known) };
  });
  const head: AuditHead = {
    client: client.name,
    currency: client.currency,
    country: client.country,
    created: today,
    first: firstDayOf(first),
    last: lastDayOf(last),
    fiscal: fiscalPeriodOf(last, client.fiscalYearStart),
    version: VERSION,
  };
  return { rows, head };
};
