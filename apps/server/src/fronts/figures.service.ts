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
import type { Viewer } from '../access/viewer';
import { balancesOf } from '../balances/balances.service';
import { benchOf } from '../benches/benches.service';
import { madeOfVeiled } from '../charts/veil';
import type { Veiled } from '../charts/veiled';
import { clientOf } from '../clients/clients.service';
import { onSnapshotOf, type Source } from '../database/transaction';

const readFor = (source: Source, viewer: Viewer, clientId: string) =>
  onSnapshotOf(source, async (on) => {
    const client = await clientOf(on, viewer, clientId);
    const { latestMonth: month, fiscalYearStart: startsIn } = client;
    const { chart: bench } = await benchOf(on, viewer, clientId);
    if (month === null || bench === null) return null;
    const period = { first: fiscalYearStart(month, startsIn), last: month };
    const { amounts, splits } = await balancesOf(on, viewer, { clientId, ...period });
    return { client, month, bench, ledger: ledgerOf([...amounts, ...splits]) };
  });

/** What a client’s books came to last, as adopted and as the viewer sees it; `null` where nothing is posted. */
export const figuresOf = async (
  source: Source,
  viewer: Viewer,
  clientId: string,
): Promise<Veiled<FiguresAnswer>> => {
  const read = await readFor(source, viewer, clientId);
  if (read === null) return madeOfVeiled(null);
  const { client, month, ledger } = read;
  const chart = chartOf(read.bench);
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
