import { randomUUID } from 'node:crypto';
import type { BenchAnswer, BenchChart } from '@iunctus/contract';
import { USUAL_SETTINGS } from '@iunctus/core';
import type pg from 'pg';
import type { Viewer } from '../access/viewer';
import { manySplits } from '../charts/chart-splits.queries';
import {
  insertChart,
  manyAccounts,
  manyFormer,
  manyMerged,
  manyPostedIds,
  manyUsedValues,
  maybeChart,
} from '../charts/charts.queries';
import { inChart, type InChart } from '../charts/in-chart';
import { bearsNoAccount, madeOfVeiled, veiledBench } from '../charts/veil';
import type { Veiled } from '../charts/veiled';
import { clientOf } from '../clients/clients.service';
import { inTransactionOn, onSnapshotOf, type Reader, type Source } from '../database/transaction';
import { currentProposal } from '../proposals/current-proposal';
import { manyWaiting } from '../reviews/reviews.queries';

const benchChart = async (
  on: Reader,
  viewer: Viewer,
  { head, personal }: InChart,
): Promise<Veiled<BenchChart>> =>
  veiledBench(
    {
      revision: head.revision,
      settings: head.settings,
      accounts: await manyAccounts(on, head),
      merged: await manyMerged(on, head),
      splits: await manySplits(on, head),
      usedValues: await manyUsedValues(on, head),
      posted: await manyPostedIds(on, head),
      former: await manyFormer(on, head),
      proposal: await currentProposal(on, head, viewer.userId),
      waiting: await manyWaiting(on, head, viewer.userId),
    },
    personal,
  );

/** All that the bench opens with; the chart is `null` for a client without one. */
export const benchOf = (
  source: Source,
  viewer: Viewer,
  clientId: string,
): Promise<Veiled<BenchAnswer>> =>
  onSnapshotOf(source, async (on) => {
    const client = await clientOf(on, viewer, clientId);
    const head = await maybeChart(on, viewer, clientId);
    if (head === undefined) return madeOfVeiled({ client, chart: null });
    return inChart(on, { viewer, clientId }, async (found) =>
      madeOfVeiled({ client, chart: await benchChart(on, viewer, found) }),
    );
  });

/** Gives a client an empty chart to propose accounts for; does nothing when it has one. */
export const beginChart = (
  pool: pg.Pool,
  viewer: Viewer,
  clientId: string,
): Promise<Veiled<object>> =>
  inTransactionOn(pool, async (transaction) => {
    await clientOf(transaction, viewer, clientId);
    const { practiceId } = viewer;
    const chart = { id: randomUUID(), practiceId, clientId, settings: USUAL_SETTINGS };
    await insertChart(transaction, chart);
    return bearsNoAccount({});
  });
