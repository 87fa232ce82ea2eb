import {
  addMonths,
  eachNode,
  firstDayOf,
  lastDayOf,
  trialBalance,
  type Period,
} from '@iunctus/core';
import { chartTable, type AuditHead, type AuditRow } from '@iunctus/exchange';
import { endsYear, yearUpTo, type Taken } from './export-source';

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
  const ids = [...eachNode(chart.roots)].map(({ account }) => account.id);
  const rows = chartTable(chart, null).map((row, at) => {
    const id = ids[at] ?? '';
    return { row, opening: opening.get(id) ?? 0, closing: closing.get(id) ?? 0 };
  });
  const head: AuditHead = {
    client: client.name,
    currency: client.currency,
    country: client.country,
    created: today,
    first: firstDayOf(first),
    last: lastDayOf(last),
  };
  return { rows, head };
};
