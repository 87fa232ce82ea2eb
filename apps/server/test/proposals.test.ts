import { randomUUID } from 'node:crypto';
import {
  adoptSteps,
  aStep,
  benchChart,
  clientNamed,
  idOf,
  MAREN,
  rename,
  serveDemo,
  TOBIAS,
  type Caller,
  type Running,
} from './harness';

describe('a proposal', () => {
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

  const save = (version: number, ...steps: ReturnType<typeof aStep>[]) =>
    maren.ask('PUT', `/clients/${clientId}/proposal`, {
      version,
      baseRevision: 1,
      steps,
      conflicts: [],
    });

  it('is kept between visits, for its own user only', async () => {
    const step = aStep(rename(idOf(await benchChart(maren, clientId), '5001'), 'Stoneware clay'));
    expect((await save(0, step)).body).toEqual({ version: 1 });
    expect((await benchChart(maren, clientId)).proposal).toMatchObject({
      version: 1,
      steps: [step],
    });
    const { proposal } = await benchChart(tobias, clientId);
    expect(proposal.steps).not.toContainEqual(step);
  });

  it('is not overwritten unseen by another window', async () => {
    const chart = await benchChart(maren, clientId);
    await save(0, aStep(rename(idOf(chart, '5001'), 'Stoneware clay')));
    const answer = await save(0, aStep(rename(idOf(chart, '5002'), 'Raw glaze')));
    expect([answer.status, answer.body]).toEqual([409, { code: 'staleProposal' }]);
  });

  describe('sent as what changed', () => {
    const put = (body: object) =>
      maren.ask<{ version: number }>('PUT', `/clients/${clientId}/proposal`, {
        baseRevision: 1,
        conflicts: [],
        ...body,
      });
    const stepsNow = async () => (await benchChart(maren, clientId)).proposal.steps;

    it('keeps its first steps and has the others after them', async () => {
      const chart = await benchChart(maren, clientId);
      const [clay, glaze, kiln] = ['5001', '5002', '6001'].map((number, at) =>
        aStep(rename(idOf(chart, number), `Name ${at}`)),
      );
      await put({ version: 0, steps: [clay, glaze] });
      expect((await put({ version: 1, keeps: 2, steps: [kiln] })).status).toBe(200);
      expect(await stepsNow()).toEqual([clay, glaze, kiln]);
      await put({ version: 2, keeps: 1, steps: [] });
      expect(await stepsNow()).toEqual([clay]);
    });

    it('is refused where it follows another version, or keeps more than there is', async () => {
      const step = aStep(rename(idOf(await benchChart(maren, clientId), '5001'), 'Clay'));
      await put({ version: 0, steps: [step] });
      expect((await put({ version: 0, keeps: 1, steps: [] })).body).toEqual({
        code: 'staleProposal',
      });
      expect(await put({ version: 1, keeps: 2, steps: [] })).toMatchObject({
        status: 400,
        body: { issues: [{ field: 'keeps', rule: 'counts more than the 1 that are kept' }] },
      });
      expect(await stepsNow()).toEqual([step]);
    });
  });

  it('leaves what was set aside with its author when the rest is adopted', async () => {
    const chart = await benchChart(maren, clientId);
    const [aside, step] = [
      aStep(rename(idOf(chart, '5001'), 'Clay')),
      aStep(rename(idOf(chart, '5002'), 'Raw glaze')),
    ];
    const conflicts = [{ step: aside, landed: null, refusal: null }];
    await maren.ask('PUT', `/clients/${clientId}/proposal`, {
      version: 0,
      baseRevision: 1,
      steps: [step],
      conflicts,
    });
    await maren.ask('POST', `/clients/${clientId}/revisions`, { version: 1 });
    expect((await benchChart(maren, clientId)).proposal).toMatchObject({ steps: [], conflicts });
  });

  it('is gone once adopted', async () => {
    const step = aStep(rename(idOf(await benchChart(maren, clientId), '5001'), 'Stoneware clay'));
    await save(0, step);
    await maren.ask('POST', `/clients/${clientId}/revisions`, { version: 1 });
    expect((await benchChart(maren, clientId)).proposal).toMatchObject({ version: 2, steps: [] });
  });

  it('comes back as no ghost when a save or an adoption arrives after it was adopted', async () => {
    const step = aStep(rename(idOf(await benchChart(maren, clientId), '5001'), 'Stoneware clay'));
    await save(0, step);
    const adopt = () => maren.ask('POST', `/clients/${clientId}/revisions`, { version: 1 });
    expect((await adopt()).status).toBe(200);
    // The first save, sent again by a network that lost its answer; then the next one; then the adoption.
    expect((await save(0, step)).status).toBe(409);
    expect((await save(1, step)).status).toBe(409);
    expect((await adopt()).status).toBe(409);
    const chart = await benchChart(maren, clientId);
    expect([chart.revision, chart.proposal.steps]).toEqual([2, []]);
  });

  it('is never told a colleague’s revision as its own: where nothing is left, there is none', async () => {
    const clay = idOf(await benchChart(maren, clientId), '5001');
    const proposed = { baseRevision: 1, steps: [aStep(rename(clay, 'Stoneware clay'))] };
    await adoptSteps(tobias, clientId, proposed);
    const answer = await adoptSteps<object>(maren, clientId, {
      ...proposed,
      steps: [aStep(rename(clay, 'Stoneware clay'))],
    });
    expect(answer.body).toEqual({ revision: null, posted: 0 });
    expect((await benchChart(maren, clientId)).revision).toBe(2);
  });

  it('is not kept on a revision that there is not, nor with more than a request may bear', async () => {
    const step = aStep(rename(idOf(await benchChart(maren, clientId), '5001'), 'Clay'));
    const request = { version: 0, baseRevision: 99, steps: [step], conflicts: [] };
    const { body } = await maren.ask('PUT', `/clients/${clientId}/proposal`, request);
    expect(body).toMatchObject({ issues: [{ field: 'baseRevision' }] });
    const many = Array.from({ length: 30_001 }, () => ({
      id: randomUUID(),
      operations: [{ type: 'restore', id: randomUUID() }],
    }));
    const answer = await maren.ask('PUT', `/clients/${clientId}/proposal`, {
      ...request,
      baseRevision: 1,
      steps: many,
    });
    expect(answer.status).toBe(400);
  });

  it('comes back on the newest revision, with what no longer fits set aside', async () => {
    const chart = await benchChart(maren, clientId);
    const [clay, glaze] = [idOf(chart, '5001'), idOf(chart, '5002')];
    const kept = aStep(rename(glaze, 'Raw glaze'));
    await save(0, aStep(rename(clay, 'Porcelain')), kept);
    await adoptSteps(tobias, clientId, {
      baseRevision: 1,
      steps: [aStep(rename(clay, 'Stoneware clay'))],
    });
    expect((await benchChart(maren, clientId)).proposal).toMatchObject({
      baseRevision: 2,
      steps: [kept],
      conflicts: [{ landed: { value: 'Stoneware clay' } }],
    });
  });

  it('must be made of operations that the contract knows', async () => {
    const answer = await save(0, { id: 'x', operations: [] });
    expect(answer).toMatchObject({
      status: 400,
      body: { issues: [{ field: 'steps.0.id' }] },
    });
  });

  it('begins an empty chart for a client that has none, and leaves one that is there', async () => {
    const { id } = await clientNamed(maren, 'Heron Reach Rowing Club');
    await maren.ask('POST', `/clients/${id}/chart`, {});
    await maren.ask('POST', `/clients/${id}/chart`, {});
    expect(await benchChart(maren, id)).toMatchObject({ revision: 0, accounts: [] });
    await maren.ask('POST', `/clients/${clientId}/chart`, {});
    expect((await benchChart(maren, clientId)).accounts).toHaveLength(95);
  });
});
