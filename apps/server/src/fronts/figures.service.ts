import type { FiguresAnswer } from '@iunctus/contract';
import {
  cashHeld,
  cashFlowRollUp,
  chartOf,
  chartResults,
  fiscalYearStart,
  isBalanced,
  ledgerOf,
  negate,
  returnSheet,
  rollUpOver,
  sectionAmounts,
} from '@iunctus/core';
import type pg from 'pg';
import type { Viewer } from '../access/viewer';
import { balancesOf } from '../balances/balances.service';
import { benchOf } from '../benches/benches.service';
import { madeOfVeiled } from '../charts/veil';
import type { Veiled } from '../charts/veiled';
import { clientOf } from '../clients/clients.service';

/** What a client’s books came to last, as adopted and as the viewer sees it; `null` where nothing is posted. */
export const figuresOf = async (
  pool: pg.Pool,
  viewer: Viewer,
  clientId: string,
): Promise<Veiled<FiguresAnswer>> => {
  const client = await clientOf(pool, viewer, clientId);
  const { latestMonth: month, fiscalYearStart: startsIn } = client;
  const { chart: bench } = await benchOf(pool, viewer, clientId);
  if (month === null || bench === null) return madeOfVeiled(null);
  const chart = chartOf(bench);
  const first = fiscalYearStart(month, startsIn);
  const { amounts, splits } = await balancesOf(pool, viewer, { clientId, first, last: month });
  const ledger = ledgerOf([...amounts, ...splits]);
  const rollUp = rollUpOver(ledger);
  const { misplaced } = returnSheet(chart, rollUp, client);
  return madeOfVeiled({
    month,
    revenue: negate(sectionAmounts(chart, rollUp).get('revenue') ?? 0),
    netProfit: chartResults(chart, rollUp).thisYear,
    cash: cashHeld(chart, cashFlowRollUp(ledger)).end,
    unmapped: misplaced.filter(({ amount }) => amount !== 0).length,
    balanced: isBalanced(chart, rollUp),
  });
};
