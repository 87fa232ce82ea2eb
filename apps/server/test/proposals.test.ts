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

  it('is gone once adopted', async () => {
    const step = aStep(rename(idOf(await benchChart(maren, clientId), '5001'), 'Stoneware clay'));
    await save(0, step);
    await maren.ask('POST', `/clients/${clientId}/revisions`, { version: 1 });
    expect((await benchChart(maren, clientId)).proposal).toMatchObject({ version: 2, steps: [] });
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
