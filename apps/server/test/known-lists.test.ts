import type { KnownListsAnswer } from '@iunctus/contract';
import { randomUUID } from 'node:crypto';
import { clientNamed, MAREN, serveDemo, TOBIAS, type Caller, type Running } from './harness';

const LIST = {
  clientId: '',
  headings: ['Code', 'Text', 'Art'],
  uses: ['number', 'name', 'type'],
  types: { Kasse: 'cashOnHand' },
};

describe('what columns and types of lists mean', () => {
  let server: Running;
  let maren: Caller;
  let own: { clientId: string };
  beforeAll(async () => {
    server = await serveDemo();
    maren = await server.signedIn(MAREN);
    own = { clientId: (await clientNamed(maren, 'Tern Street Ceramics')).id };
  });
  afterAll(() => server.stop());

  const keep = (list: object) => maren.ask('PUT', '/known-lists', { ...list, ...own });
  const known = async (who: Caller) =>
    (await who.ask<KnownListsAnswer>('GET', '/known-lists')).body;

  it('is known to everybody of the practice, the newest list first', async () => {
    await keep(LIST);
    await keep({ ...LIST, headings: ['No', 'Text', 'Art'] });
    const lists = await known(await server.signedIn(TOBIAS));
    expect(lists.map(({ headings }) => headings[0])).toEqual(['No', 'Code']);
    expect(lists[1]).toEqual({ ...LIST, ...own });
  });

  it('is kept once for the same headings, as it was said last', async () => {
    await keep({ ...LIST, headings: ['CODE', 'Text', 'Art'], types: { Kasse: 'bank' } });
    const lists = await known(maren);
    expect(lists).toHaveLength(2);
    expect(lists[0]).toMatchObject({ headings: ['CODE', 'Text', 'Art'], types: { Kasse: 'bank' } });
  });

  it('has a use or none for each heading, and kinds that there are', async () => {
    expect((await keep({ ...LIST, uses: ['number'] })).status).toBe(400);
    expect((await keep({ ...LIST, uses: ['number', 'name', 'wings'] })).status).toBe(400);
    expect((await keep({ ...LIST, types: { Kasse: 'till' } })).status).toBe(400);
    const strange = { ...LIST, clientId: randomUUID() };
    expect((await maren.ask('PUT', '/known-lists', strange)).status).toBe(404);
    expect((await server.anybody().ask('GET', '/known-lists')).status).toBe(401);
  });
});
