import type {
  BenchChart,
  ClientAnswer,
  Person,
  Remark,
  ReviewAnswer,
  RevisionAnswer,
} from '@iunctus/contract';
import type { ProposalStep } from '@iunctus/core';
import {
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

describe('handing a proposal to a colleague', () => {
  let server: Running;
  let maren: Caller;
  let tobias: Caller;
  let people: Person[];
  let clientId: string;
  let chart: BenchChart;
  let step: ProposalStep;
  beforeEach(async () => {
    server = await serveDemo();
    maren = await server.signedIn(MAREN);
    tobias = await server.signedIn(TOBIAS);
    people = (await maren.ask<Person[]>('GET', '/people')).body;
    clientId = (await clientNamed(maren, 'Kestrel Lane Cider Works')).id;
    chart = await benchChart(tobias, clientId);
    step = aStep(rename(idOf(chart, '6110'), 'Rent of the yard'));
  });
  afterEach(() => server.stop());

  const idOfPerson = (name: string): string => people.find((one) => one.name === name)?.id ?? '';
  const base = () => `/clients/${clientId}`;
  const save = async (version: number, steps: readonly ProposalStep[]) => {
    const first = (await mine()).version;
    const request = {
      version: version === 0 ? first : version,
      baseRevision: chart.revision,
      steps,
      conflicts: [],
      name: 'Rent',
      comment: 'The barn has gone.',
    };
    return (await tobias.ask<{ version: number }>('PUT', `${base()}/proposal`, request)).body;
  };
  const handOver = async (version: number, reviewer = 'Maren Oake') =>
    tobias.ask('POST', `${base()}/proposal/hand-over`, {
      reviewerId: idOfPerson(reviewer),
      version,
    });
  const review = (by = maren) =>
    by.ask<ReviewAnswer>('GET', `${base()}/reviews/${idOfPerson('Tobias Fenn')}`);
  const judge = (verdict: string, version: number, by = maren) =>
    by.ask('POST', `${base()}/reviews/${idOfPerson('Tobias Fenn')}/verdict`, { verdict, version });
  const mine = async () => (await benchChart(tobias, clientId)).proposal;

  it('knows everybody of the practice, and nobody else', () => {
    expect(people.map(({ name }) => name)).toEqual(['Maren Oake', 'Tobias Fenn']);
  });

  it('shows it to the colleague, on the bench and in the list of clients', async () => {
    const { version } = await save(0, [step]);
    expect((await handOver(version)).status).toBe(200);
    expect((await benchChart(maren, clientId)).waiting).toEqual([
      { author: { id: idOfPerson('Tobias Fenn'), name: 'Tobias Fenn' }, name: 'Rent', changes: 1 },
    ]);
    const { body: clients } = await maren.ask<ClientAnswer[]>('GET', '/clients');
    expect(clients.find(({ id }) => id === clientId)?.toReview).toBe(1);
    expect((await review()).body).toMatchObject({
      author: { name: 'Tobias Fenn' },
      asked: true,
      proposal: { name: 'Rent', comment: 'The barn has gone.', steps: [step] },
    });
  });

  it('shows a draft to nobody', async () => {
    await save(0, [step]);
    expect((await review()).status).toBe(404);
  });

  it('keeps a remark on an operation, for both to read', async () => {
    const { version } = await save(0, [step]);
    await handOver(version);
    const remark = { stepId: step.id, index: 0, words: ' Is it one yard, or two? ' };
    const path = `${base()}/reviews/${idOfPerson('Tobias Fenn')}/remarks`;
    const { body } = await maren.ask<Remark>('POST', path, remark);
    expect(body).toMatchObject({
      words: 'Is it one yard, or two?',
      author: { name: 'Maren Oake' },
    });
    await tobias.ask('POST', path, { ...remark, words: 'One.' });
    expect((await mine()).remarks.map(({ words }) => words)).toEqual([
      'Is it one yard, or two?',
      'One.',
    ]);
    expect((await maren.ask('POST', path, { ...remark, words: '  ' })).status).toBe(400);
  });

  it('is sent back, and a draft again once it is changed', async () => {
    const { version } = await save(0, [step]);
    await handOver(version);
    expect((await judge('sentBack', version)).status).toBe(200);
    expect(await mine()).toMatchObject({ state: 'sentBack', reviewer: { name: 'Maren Oake' } });
    const second = aStep(rename(idOf(chart, '6120'), 'Power'));
    await save(version, [step, second]);
    expect(await mine()).toMatchObject({ state: 'draft', reviewer: null });
  });

  it('stays approved while nothing but its name changes', async () => {
    const { version } = await save(0, [step]);
    await handOver(version);
    await judge('approved', version);
    await save(version, [step]);
    expect((await mine()).state).toBe('approved');
  });

  it('says in the history who approved what was adopted', async () => {
    const { version } = await save(0, [step]);
    await handOver(version);
    await judge('approved', version);
    await tobias.ask('POST', `${base()}/revisions`, { version });
    const { body } = await maren.ask<RevisionAnswer[]>('GET', `${base()}/revisions`);
    expect(body[0]).toMatchObject({ author: 'Tobias Fenn', approvedBy: 'Maren Oake' });
    expect(body[1]?.approvedBy).toBeNull();
  });

  it('says so also where balances come along', async () => {
    const withBalance: ProposalStep = {
      ...step,
      opening: {
        last: '2026-10',
        list: 'balances.csv',
        balances: [{ accountId: idOf(chart, '1010'), amount: 5_00 }],
      },
    };
    const { version } = await save(0, [withBalance]);
    await handOver(version);
    await judge('approved', version);
    expect((await tobias.ask('POST', `${base()}/revisions`, { version })).status).toBe(200);
    const { body } = await maren.ask<RevisionAnswer[]>('GET', `${base()}/revisions`);
    expect(body[0]?.approvedBy).toBe('Maren Oake');
  });

  it('is adopted as it was read and approved, and in no other version', async () => {
    const { version } = await save(0, [step]);
    await handOver(version);
    await judge('approved', version);
    // The same step by its id and length, with another change in it.
    const exchanged = { ...step, operations: [rename(idOf(chart, '6110'), 'Something else')] };
    const next = await save(version, [exchanged]);
    expect((await tobias.ask('POST', `${base()}/revisions`, { version })).status).toBe(409);
    expect(await mine()).toMatchObject({ state: 'draft', reviewer: null });
    await tobias.ask('POST', `${base()}/revisions`, { version: next.version });
    const { body } = await maren.ask<RevisionAnswer[]>('GET', `${base()}/revisions`);
    expect(body[0]?.approvedBy).toBeNull();
  });

  it('is not said to be approved where other steps were adopted', async () => {
    const { version } = await save(0, [step]);
    await handOver(version);
    await judge('approved', version);
    const other = aStep(rename(idOf(chart, '6120'), 'Power'));
    const next = await save(version, [step, other]);
    await tobias.ask('POST', `${base()}/revisions`, { version: next.version });
    const { body } = await maren.ask<RevisionAnswer[]>('GET', `${base()}/revisions`);
    expect(body[0]?.approvedBy).toBeNull();
  });

  it('is not judged by others, nor as it was before', async () => {
    const { version } = await save(0, [step]);
    await handOver(version);
    expect((await judge('approved', version, tobias)).status).toBe(409);
    expect((await judge('approved', version + 1)).status).toBe(409);
    expect((await mine()).state).toBe('handedOver');
  });

  it('is not handed to oneself, to strangers, or empty', async () => {
    const { version } = await save(0, [step]);
    expect((await handOver(version, 'Tobias Fenn')).status).toBe(400);
    expect((await handOver(version + 1)).status).toBe(409);
    await save(version, []);
    expect((await handOver(version + 1)).status).toBe(409);
  });

  it('is taken back before a word is said', async () => {
    const { version } = await save(0, [step]);
    await handOver(version);
    await tobias.ask('POST', `${base()}/proposal/take-back`, {});
    expect((await mine()).state).toBe('draft');
    expect((await benchChart(maren, clientId)).waiting).toEqual([]);
  });
});
