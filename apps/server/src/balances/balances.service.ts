import type { BalancesAnswer, BalancesQuery } from '@iunctus/contract';
import type { Viewer } from '../access/viewer';
import { inChart } from '../charts/in-chart';
import { veiledBalances } from '../charts/veil';
import type { Veiled } from '../charts/veiled';
import { clientOf } from '../clients/clients.service';
import { onSnapshotOf, type Source } from '../database/transaction';
import { manySplitAmounts } from '../postings/splits.queries';
import { manyAmounts } from '../postings/balances.queries';
import { manySplits } from '../charts/chart-splits.queries';

/** The amounts of a client's accounts for a period. */
export const balancesOf = (
  source: Source,
  viewer: Viewer,
  { clientId, first, last }: BalancesQuery & { readonly clientId: string },
): Promise<Veiled<BalancesAnswer>> =>
  onSnapshotOf(source, async (on) => {
    const { fiscalYearStart } = await clientOf(on, viewer, clientId);
    return inChart(on, { viewer, clientId }, async ({ head, personal }) => {
      const period = { first, last, fiscalYearStart };
      const amounts = await manyAmounts(on, head, period);
      const splits = await manySplitAmounts(on, head, period);
      const answer = { first, last, amounts, splits };
      return veiledBalances(answer, await manySplits(on, head), personal);
    });
  });
