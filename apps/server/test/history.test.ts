import type { BenchChart, RevisionChartAnswer, UndoAnswer } from '@iunctus/contract';
import { chartOf, recordsOf, type ChartRecord, type Operation } from '@iunctus/core';
import {
  adoptSteps,
  aStep,
  benchChart,
  clientNamed,
  idOf,
  MAREN,
  rename,
  serveDemo,
  type Caller,
  type Running,
} from './harness';

describe('the chart as it was', () => {
  let server: Running;
  let maren: Caller;
  let clientId: string;
  let first: BenchChart;
  beforeAll(async () => {
    server = await serveDemo();
    maren = await server.signedIn(MAREN);
    clientId = (await clientNamed(maren, 'Tern Street Ceramics')).id;
    first = await benchChart(maren, clientId);
    const id = (number: string) => idOf(first, number);
    await adopt(rename(id('5000'), 'Stoneware clay'));
    await adopt(
      { type: 'merge', id: id('5002'), into: id('5003'), acrossKinds: false },
      { type: 'renumber', id: id('5003'), number: '5002' },
    );
    await adopt({ type: 'retire', id: id('6110'), on: '2026-10-31' });
  });
  afterAll(() => server.stop());

  const adopt = async (...operations: Operation[]) => {
    const { revision: baseRevision } = await benchChart(maren, clientId);
    return adoptSteps(maren, clientId, { baseRevision, steps: [aStep(...operations)] });
  };
  const chartAt = (revision: number) =>
    maren.ask<RevisionChartAnswer>('GET', `/clients/${clientId}/revisions/${revision}/chart`);

  /** The accounts from top to bottom, in whichever order they were sent. */
  const inOrder = (record: ChartRecord) => recordsOf(chartOf(record));

  it('is told for any revision', async () => {
    const { body } = await chartAt(1);
    expect(inOrder(body)).toEqual(inOrder(first));
    expect([body.revision, body.merged]).toEqual([1, []]);
    const second = (await chartAt(2)).body;
    expect(second.accounts.find(({ number }) => number === '5000')?.name).toBe('Stoneware clay');
    expect((await chartAt(3)).body.merged).toHaveLength(1);
  });

  it('was empty before the first', async () => {
    expect((await chartAt(0)).body.accounts).toEqual([]);
  });

  it('is the present one at the newest', async () => {
    const now = await benchChart(maren, clientId);
    const { body } = await chartAt(4);
    expect([inOrder(body), body.merged]).toEqual([inOrder(now), now.merged]);
  });

  it('is not to be had of a revision that does not exist', async () => {
    expect((await chartAt(9)).status).toBe(404);
  });

  it('comes back as a proposal of everything that takes the later revisions back', async () => {
    const { body } = await maren.ask<UndoAnswer>('GET', `/clients/${clientId}/revisions/1/restore`);
    expect(body.conflicts).toEqual([]);
    await adopt(...body.operations);
    const now = await benchChart(maren, clientId);
    expect([now.revision, inOrder(now)]).toEqual([5, inOrder(first)]);
  });
});
