import type { OverviewAnswer } from '@iunctus/contract';
import { type AccountRecord, type MergedAccount } from '@iunctus/core';
import type pg from 'pg';
import type { Viewer } from '../access/viewer';
import { manyAccounts, manyMerged, maybeChart } from '../charts/charts.queries';
import { inChart } from '../charts/in-chart';
import { madeOfVeiled, veiledChart } from '../charts/veil';
import type { Veiled } from '../charts/veiled';
import { onSnapshotOf } from '../database/transaction';
import { manySplits } from '../charts/chart-splits.queries';
import { clientOf } from '../clients/clients.service';

/** What is the bookkeeper's alone is left out: notes and every setting but that something stands for what is hidden. */
const plain = <A extends Pick<AccountRecord, 'notes' | 'settings'>>(account: A): A => ({
  ...account,
  notes: '',
  settings: account.settings.restrictedTo?.length === 0 ? { restrictedTo: [] } : {},
});

const plainMerged = ({ account, into }: MergedAccount): MergedAccount => ({
  account: plain(account),
  into,
});

/** A client's chart as last adopted, for somebody who looks on. */
export const overviewOf = (
  pool: pg.Pool,
  viewer: Viewer,
  clientId: string,
): Promise<Veiled<OverviewAnswer>> =>
  onSnapshotOf(pool, async (on) => {
    const client = await clientOf(on, viewer, clientId);
    if ((await maybeChart(on, viewer, clientId)) === undefined)
      return madeOfVeiled({ client, chart: null });
    return inChart(on, { viewer, clientId }, async ({ head, personal }) => {
      const chart = veiledChart(
        {
          revision: head.revision,
          settings: head.settings,
          accounts: await manyAccounts(on, head),
          merged: await manyMerged(on, head),
          splits: await manySplits(on, head),
        },
        personal,
      );
      const shown = {
        ...chart,
        accounts: chart.accounts.map(plain),
        merged: chart.merged.map(plainMerged),
      };
      return madeOfVeiled({ client, chart: shown });
    });
  });
