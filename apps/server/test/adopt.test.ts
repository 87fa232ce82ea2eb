import { randomUUID } from 'node:crypto';
import type { BenchChart, RevisionAnswer, UndoAnswer } from '@iunctus/contract';
import { planChild, chartFrom, type Operation } from '@iunctus/core';
import {
  adoptSteps,
  aStep,
  benchChart,
  clientNamed,
  idOf,
  MAREN,
  nameOf,
  rename,
  serveDemo,
  TOBIAS,
  type Caller,
  type Running,
} from './harness';

describe('adopting a proposal', () => {
  let server: Running;
  let maren: Caller;
  let tobias: Caller;
  let clientId: string;
  beforeEach(async () => {
    server = await serveDemo();
    [maren, tobias] = [await server.signedIn(MAREN), await server.signedIn(TOBIAS)];
    clientId = (await clientNamed(maren, 'Tern Street Ceramics')).id;
  });
  afterEach(() => server.stop());

  const adopt = (caller: Caller, baseRevision: number, ...operations: Operation[]) =>
    adoptSteps<unknown>(caller, clientId, {
      baseRevision,
      steps: [aStep(...operations)],
      name: 'a word',
      comment: 'and more of them',
    });
  const undo = async (revision: number) =>
    (await maren.ask<UndoAnswer>('GET', `/clients/${clientId}/revisions/${revision}/undo`)).body;

  it('makes a numbered revision that says who, when and what', async () => {
    const id = idOf(await benchChart(maren, clientId), '5001');
    const answer = await adopt(maren, 1, rename(id, 'Stoneware clay'));
    expect([answer.status, answer.body]).toEqual([200, { revision: 2, posted: 0 }]);
    expect(nameOf(await benchChart(tobias, clientId), '5001')).toBe('Stoneware clay');
    const { body } = await maren.ask<RevisionAnswer[]>('GET', `/clients/${clientId}/revisions`);
    expect(body[0]).toMatchObject({
      number: 2,
      author: 'Maren Oake',
      note: 'a word',
      comment: 'and more of them',
      operations: [{ value: 'Stoneware clay' }],
    });
  });

  it('stores every sort of change as the core makes it', async () => {
    const chart = await benchChart(maren, clientId);
    const core = chartFrom(chart.accounts, { settings: chart.settings, posted: chart.posted });
    const plan = planChild(core, idOf(chart, '5000'));
    if (plan === null) throw new Error('no place');
    const added = randomUUID();
    const account = {
      id: added,
      number: '5000.1',
      name: 'Porcelain',
      shortLabel: 'P',
      guidance: 'G',
      notes: 'N',
      role: 'posting',
      kind: plan.kind,
      retiredOn: null,
      systemUse: null,
      settings: { openItems: true },
    } as const;
    const answer = await adopt(
      maren,
      1,
      { type: 'addAccount', account, parentId: plan.parentId, afterId: plan.afterId },
      { type: 'moveNode', id: idOf(chart, '5001'), parentId: idOf(chart, '5000'), afterId: added },
      { type: 'renumber', id: idOf(chart, '5010'), number: '5015' },
      { type: 'changeKind', id: idOf(chart, '5021'), kind: 'costOfSales' },
      { type: 'deleteAccount', id: idOf(chart, '6013') },
      { type: 'retire', id: idOf(chart, '6502'), on: '2026-11-01' },
      { type: 'changeRole', id: idOf(chart, '6200'), role: 'heading' },
    );
    expect(answer.body).toEqual({ revision: 2, posted: 0 });
    const after = await benchChart(maren, clientId);
    const found = (id: string) => after.accounts.find((candidate) => candidate.id === id);
    expect(found(added)).toEqual({ ...account, parentId: idOf(chart, '5000') });
    expect(found(idOf(chart, '5001'))?.parentId).toBe(idOf(chart, '5000'));
    expect(found(idOf(chart, '5010'))?.number).toBe('5015');
    expect(found(idOf(chart, '6013'))).toBeUndefined();
    expect(found(idOf(chart, '6502'))?.retiredOn).toBe('2026-11-01');
    expect(found(idOf(chart, '6200'))?.role).toBe('heading');
  });

  it('swaps two numbers in one step, against the unique constraint', async () => {
    const chart = await benchChart(maren, clientId);
    const [a, b] = [idOf(chart, '5000'), idOf(chart, '5001')];
    await adopt(
      maren,
      1,
      { type: 'renumber', id: a, number: '5999' },
      { type: 'renumber', id: b, number: '5000' },
      { type: 'renumber', id: a, number: '5001' },
    );
    const after = await benchChart(maren, clientId);
    expect([idOf(after, '5000'), idOf(after, '5001')]).toEqual([b, a]);
  });

  it('refuses what breaks a rule, says which, and changes nothing', async () => {
    const whole = await benchChart(maren, clientId);
    const { proposal: _none, ...before } = whole;
    const [clay, clays] = [idOf(whole, '5000'), idOf(whole, '5001')];
    const answer = await adopt(maren, 1, rename(clay, 'Stoneware'), {
      type: 'renumber',
      id: clays,
      number: '5002',
    });
    expect(answer).toMatchObject({
      status: 422,
      body: { code: 'refused', refusal: { code: 'numberTaken', accountId: clays, value: '5002' } },
    });
    expect(await benchChart(maren, clientId)).toMatchObject(before);
  });

  it('refuses to delete an account that has postings', async () => {
    const chart = await benchChart(maren, clientId);
    const answer = await adopt(maren, 1, { type: 'deleteAccount', id: idOf(chart, '4000') });
    expect(answer).toMatchObject({ status: 422, body: { refusal: { code: 'hasPostings' } } });
  });

  it('touches no account of another chart that bears the same id', async () => {
    const other = await benchChart(
      maren,
      (await clientNamed(maren, 'Kestrel Lane Cider Works')).id,
    );
    const account = { ...other.accounts[0], number: '9001', name: 'Stolen', parentId: undefined };
    const answer = await adopt(maren, 1, {
      type: 'addAccount',
      account: JSON.parse(JSON.stringify(account)),
      parentId: null,
      afterId: null,
    });
    expect(answer.status).toBe(200);
    expect(
      await benchChart(maren, (await clientNamed(maren, 'Kestrel Lane Cider Works')).id),
    ).toMatchObject({
      accounts: other.accounts,
    });
  });

  describe('when the chart moved on meanwhile', () => {
    it('keeps both changes where they fit together', async () => {
      const chart = await benchChart(maren, clientId);
      await adopt(tobias, 1, rename(idOf(chart, '5001'), 'Stoneware clay'));
      const answer = await adopt(maren, 1, rename(idOf(chart, '5002'), 'Raw glaze'));
      expect(answer.body).toEqual({ revision: 3, posted: 0 });
      const after = await benchChart(maren, clientId);
      expect([nameOf(after, '5001'), nameOf(after, '5002')]).toEqual([
        'Stoneware clay',
        'Raw glaze',
      ]);
    });

    it('answers with the steps that no longer fit, and changes nothing', async () => {
      const chart = await benchChart(maren, clientId);
      const id = idOf(chart, '5001');
      await adopt(tobias, 1, rename(id, 'Stoneware clay'));
      const answer = await adopt(maren, 1, rename(id, 'Porcelain'));
      expect(answer).toMatchObject({
        status: 409,
        body: {
          code: 'staleRevision',
          revision: 2,
          conflicts: [{ landed: { value: 'Stoneware clay' } }],
        },
      });
      expect(nameOf(await benchChart(maren, clientId), '5001')).toBe('Stoneware clay');
    });

    it('keeps both when two adopt at the very same time', async () => {
      const chart = await benchChart(maren, clientId);
      const answers = await Promise.all([
        adopt(maren, 1, rename(idOf(chart, '5001'), 'Stoneware clay')),
        adopt(tobias, 1, rename(idOf(chart, '5002'), 'Raw glaze')),
      ]);
      expect(answers.map(({ body }) => body)).toEqual(
        expect.arrayContaining([
          { revision: 2, posted: 0 },
          { revision: 3, posted: 0 },
        ]),
      );
      const after = await benchChart(maren, clientId);
      expect([nameOf(after, '5001'), nameOf(after, '5002')]).toEqual([
        'Stoneware clay',
        'Raw glaze',
      ]);
    });
  });

  describe('taking a revision back', () => {
    const same = (a: BenchChart, b: BenchChart) => expect(a.accounts).toEqual(b.accounts);

    it('gives operations that bring the chart back as it was', async () => {
      const before = await benchChart(maren, clientId);
      await adopt(
        maren,
        1,
        {
          type: 'moveNode',
          id: idOf(before, '5001'),
          parentId: idOf(before, '5000'),
          afterId: null,
        },
        rename(idOf(before, '5001'), 'Stoneware clay'),
        { type: 'deleteAccount', id: idOf(before, '6013') },
      );
      const { operations, conflicts } = await undo(2);
      expect(conflicts).toEqual([]);
      expect((await adopt(maren, 2, ...operations)).body).toEqual({ revision: 3, posted: 0 });
      same(await benchChart(maren, clientId), before);
    });

    it('leaves alone what later revisions did elsewhere', async () => {
      const before = await benchChart(maren, clientId);
      await adopt(maren, 1, rename(idOf(before, '5001'), 'Stoneware clay'));
      await adopt(maren, 2, rename(idOf(before, '5002'), 'Raw glaze'));
      await adopt(maren, 3, ...(await undo(2)).operations);
      const after = await benchChart(maren, clientId);
      expect([nameOf(after, '5001'), nameOf(after, '5002')]).toEqual(['Clays', 'Raw glaze']);
    });

    it('says what later revisions stand on', async () => {
      const id = idOf(await benchChart(maren, clientId), '5001');
      await adopt(maren, 1, rename(id, 'Stoneware clay'));
      await adopt(maren, 2, rename(id, 'Porcelain'));
      const { operations, conflicts } = await undo(2);
      expect([operations, conflicts]).toMatchObject([[], [{ landed: { value: 'Porcelain' } }]]);
    });

    it('is not found for a revision that never was', async () => {
      expect((await maren.ask('GET', `/clients/${clientId}/revisions/99/undo`)).status).toBe(404);
    });
  });
});
