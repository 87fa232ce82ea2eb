import type { RoutesAnswer } from '@iunctus/contract';
import type { RouteContent, WordRule } from '@iunctus/core';
import { randomUUID } from 'node:crypto';
import {
  adoptAs,
  benchChart,
  brokenRule,
  clientNamed,
  idOf,
  MAREN,
  serveDemo,
  somebodyIn,
  TOBIAS,
  type Caller,
  type Running,
} from './harness';

describe('routes of a client', () => {
  let server: Running;
  let maren: Caller;
  let tobias: Caller;
  let clientId: string;
  let id: (number: string) => string;
  beforeAll(async () => {
    server = await serveDemo();
    [maren, tobias] = [await server.signedIn(MAREN), await server.signedIn(TOBIAS)];
    clientId = (await clientNamed(maren, 'Kestrel Lane Cider Works')).id;
    const bench = await benchChart(maren, clientId);
    id = (number) => idOf(bench, number);
  });
  afterAll(() => server.stop());

  const base = () => `/clients/${clientId}`;
  const aRule = (accountId: string, more: Partial<WordRule> = {}): RouteContent => ({
    type: 'rule',
    place: 1,
    how: 'contains',
    words: 'Hollow Lane',
    sign: 'out',
    least: null,
    most: null,
    source: null,
    accountId,
    taxCodeId: null,
    ...more,
  });
  const keep = (content: RouteContent, at: { id?: string; version?: number; who?: Caller } = {}) =>
    (at.who ?? maren).ask<{ version?: number; code?: string; by?: string }>(
      'PUT',
      `${base()}/routes/${at.id ?? randomUUID()}`,
      { version: at.version ?? 0, content },
    );
  const routes = async (who = maren) =>
    (await who.ask<RoutesAnswer>('GET', `${base()}/routes`)).body;
  const drop = (itemId: string) => maren.ask('DELETE', `${base()}/routes/${itemId}`);

  it('are kept, read by colleagues with who changed them, and dropped', async () => {
    const itemId = randomUUID();
    expect((await keep(aRule(id('6110')), { id: itemId })).body).toEqual({ version: 1 });
    expect((await routes(tobias)).find((item) => item.id === itemId)).toMatchObject({
      version: 1,
      author: 'Maren Oake',
      content: { words: 'Hollow Lane' },
    });
    expect((await drop(itemId)).status).toBe(200);
    expect((await routes()).some((item) => item.id === itemId)).toBe(false);
  });

  it('are not overwritten unseen by a colleague', async () => {
    const itemId = randomUUID();
    await keep(aRule(id('6110')), { id: itemId });
    await keep(aRule(id('6210')), { id: itemId, version: 1, who: tobias });
    const late = await keep(aRule(id('6110')), { id: itemId, version: 1 });
    expect([late.status, late.body]).toMatchObject([409, { code: 'overtaken', by: 'route' }]);
    await drop(itemId);
  });

  it('have one default account for a purpose, also when two people choose at once', async () => {
    for (const item of await routes()) if (item.content.type === 'default') await drop(item.id);
    const answers = await Promise.all(
      ['1010', '1020', '1010', '1020'].map((number, at) =>
        keep(
          { type: 'default', purpose: 'bank', accountId: id(number) },
          { who: at % 2 === 0 ? maren : tobias },
        ),
      ),
    );
    expect(answers.filter(({ status }) => status === 200)).toHaveLength(1);
    expect(answers.filter(({ body }) => body.by === 'route')).toHaveLength(3);
  });

  it('lead to no heading, and to no account of somebody else', async () => {
    expect((await keep(aRule(id('6100')))).status).toBe(400);
    expect((await keep(aRule(randomUUID()))).status).toBe(400);
    const other = await benchChart(maren, (await clientNamed(maren, 'Tern Street Ceramics')).id);
    expect((await keep(aRule(idOf(other, '5001')))).status).toBe(400);
  });

  it('refuse rates, bounds and words that cannot be, naming the field', async () => {
    const tax = (rate: string): RouteContent => ({
      type: 'taxCode',
      name: 'A',
      rate,
      reclaims: true,
    });
    expect((await keep(tax('0'))).status).toBe(400);
    expect((await keep(tax('101'))).status).toBe(400);
    expect((await keep(aRule(id('6110'), { words: ' ' }))).status).toBe(400);
    expect((await keep(aRule(id('6110'), { least: -1 }))).body).toMatchObject({
      code: 'badRequest',
    });
  });

  it('are changed by nobody who only reviews', async () => {
    const reviewer = await somebodyIn(server, 'reviewer');
    expect((await keep(aRule(id('6110')), { who: reviewer })).status).toBe(403);
  });

  it('remember which lines are not to be posted', async () => {
    const lineId = randomUUID();
    const aside = async () =>
      (await tobias.ask<string[]>('GET', `${base()}/lines-set-aside`)).body.includes(lineId);
    const path = `${base()}/lines-set-aside/${lineId}`;
    await Promise.all([maren.ask('PUT', path), tobias.ask('PUT', path)]);
    expect(await aside()).toBe(true);
    await maren.ask('DELETE', path);
    expect(await aside()).toBe(false);
  });

  it('are of one type for good, and hold nothing else, whoever asks the database', async () => {
    const itemId = randomUUID();
    await keep(aRule(id('6110')), { id: itemId });
    expect(
      (await keep({ type: 'gate', blocks: true }, { id: itemId, version: 1 })).body,
    ).toMatchObject({ code: 'overtaken' });
    expect(
      await brokenRule(server.pool, `UPDATE route_item SET type = 'gate' WHERE id = $1`, [itemId]),
    ).toBe('route_item_check');
    await drop(itemId);
  });
});

describe('a proof that the practice wishes to hold', () => {
  let server: Running;
  let maren: Caller;
  let clientId: string;
  let id: (number: string) => string;
  beforeEach(async () => {
    server = await serveDemo();
    maren = await server.signedIn(MAREN);
    clientId = (await clientNamed(maren, 'Kestrel Lane Cider Works')).id;
    const bench = await benchChart(maren, clientId);
    id = (number) => idOf(bench, number);
    for (const { id: itemId } of (
      await maren.ask<RoutesAnswer>('GET', `/clients/${clientId}/routes`)
    ).body)
      await maren.ask('DELETE', `/clients/${clientId}/routes/${itemId}`);
    await keep({
      type: 'proof',
      name: 'Rent counts under premises',
      sample: { by: 'account', accountId: id('6110') },
      expected: { section: 'operatingExpenses', underId: id('6100'), returnLine: null },
    });
  });
  afterEach(() => server.stop());

  const keep = (content: RouteContent) =>
    maren.ask('PUT', `/clients/${clientId}/routes/${randomUUID()}`, { version: 0, content });
  const moveAway = () =>
    adoptAs(maren, clientId, { type: 'moveNode', id: id('6110'), parentId: null, afterId: null });

  it('keeps what breaks it from being adopted, and says which it is; nothing is changed then', async () => {
    await keep({ type: 'gate', blocks: true });
    const { revision } = await benchChart(maren, clientId);
    const { status, body } = await moveAway();
    expect([status, body]).toEqual([
      422,
      { code: 'proofsBroken', names: ['Rent counts under premises'] },
    ]);
    expect((await benchChart(maren, clientId)).revision).toBe(revision);
  });

  it('stands in nobody’s way where the practice does not wish so, nor when it was broken before', async () => {
    expect((await moveAway()).status).toBe(200);
    await keep({ type: 'gate', blocks: true });
    const again = await adoptAs(maren, clientId, {
      type: 'editField',
      id: id('6110'),
      field: 'name',
      value: 'Rent of the barn',
    });
    expect(again.status).toBe(200);
  });
});
