import { randomUUID } from 'node:crypto';
import { MAREN, serveDemo, type Caller, type Running } from './harness';

const NEW = {
  name: 'Larch Row Joinery',
  legalForm: 'soleOwner',
  industry: 'buildingTrade',
  country: 'US',
  currency: 'USD',
  fiscalYearStart: 4,
};

describe('clients', () => {
  let server: Running;
  let maren: Caller;
  beforeAll(async () => {
    server = await serveDemo();
    maren = await server.signedIn(MAREN);
  });
  afterAll(() => server.stop());

  it('are listed by name with what their charts have come to', async () => {
    const { body } = await maren.ask('GET', '/clients');
    expect(body).toMatchObject([
      { name: 'Heron Reach Rowing Club', chart: null, pending: 0, latestMonth: null },
      {
        name: 'Kestrel Lane Cider Works',
        chart: { revision: 3, adoptedBy: 'Maren Oake' },
        pending: 3,
        latestMonth: '2026-10',
      },
      { name: 'Tern Street Ceramics', chart: { accounts: 95, revision: 1 }, pending: 0 },
    ]);
  });

  describe('are changed', () => {
    const { currency, ...DETAILS } = { ...NEW, name: 'Alder Quay Sails' };
    let id: string;
    beforeAll(async () => {
      id = (await maren.ask<{ id: string }>('POST', '/clients', { ...DETAILS, currency })).body.id;
    });
    const change = (more: object) => maren.ask('PUT', `/clients/${id}`, { ...DETAILS, ...more });

    it('in name, form, trade, country and year; the currency of the books stays', async () => {
      const wanted = {
        name: 'Alder Quay',
        legalForm: 'partnership',
        industry: null,
        country: 'GB',
        fiscalYearStart: 4,
      };
      expect(await change(wanted)).toMatchObject({
        status: 200,
        body: { ...wanted, currency: 'USD' },
      });
      expect((await change({ currency: 'GBP' })).status).toBe(400);
    });

    it('but for a name that another client bears', async () => {
      const answer = await change({ name: 'Tern Street Ceramics' });
      expect([answer.status, answer.body]).toEqual([422, { code: 'nameTaken' }]);
    });

    it('by being put away and brought back, and keep everything meanwhile', async () => {
      const away = await maren.ask<{ putAwayAt: string }>('POST', `/clients/${id}/put-away`, {});
      expect(Date.parse(away.body.putAwayAt)).toBeGreaterThan(0);
      expect((await maren.ask('POST', `/clients/${id}/put-away`, {})).body).toEqual(away.body);
      expect((await maren.ask('GET', `/clients/${id}/bench`)).status).toBe(200);
      const back = await maren.ask('POST', `/clients/${id}/bring-back`, {});
      expect(back.body).toMatchObject({ putAwayAt: null });
    });
  });

  it('are added without a chart, which is no error', async () => {
    const { status, body } = await maren.ask<{ id: string }>('POST', '/clients', NEW);
    expect([status, body]).toMatchObject([200, { ...NEW, chart: null }]);
    const bench = await maren.ask('GET', `/clients/${body.id}/bench`);
    expect([bench.status, bench.body]).toMatchObject([200, { chart: null }]);
  });

  it('bear names that differ', async () => {
    const answer = await maren.ask('POST', '/clients', { ...NEW, name: 'Tern Street Ceramics' });
    expect([answer.status, answer.body]).toEqual([422, { code: 'nameTaken' }]);
  });

  it('are refused field by field, each with its rule', async () => {
    const answer = await maren.ask('POST', '/clients', { ...NEW, name: ' ', fiscalYearStart: 13 });
    expect(answer).toMatchObject({
      status: 400,
      body: { code: 'badRequest', issues: [{ field: 'name' }, { field: 'fiscalYearStart' }] },
    });
  });

  it('take no field that nobody knows', async () => {
    const answer = await maren.ask('POST', '/clients', { ...NEW, practiceId: 'mine' });
    expect(answer).toMatchObject({ status: 400, body: { issues: [{ field: 'practiceId' }] } });
  });

  it('are kept as what they turn out to be, and another practice’s are not found', async () => {
    const { body } = await maren.ask<{ id: string }>('POST', '/clients', {
      ...NEW,
      name: 'Larch Two',
    });
    const nature = { legalForm: 'corporation', industry: 'restaurant', country: 'CA' };
    const changed = await maren.ask('PUT', `/clients/${body.id}/nature`, nature);
    expect(changed).toMatchObject({ status: 200, body: { ...nature, name: 'Larch Two' } });
    const strange = await maren.ask('PUT', `/clients/${randomUUID()}/nature`, nature);
    const broken = await maren.ask('PUT', `/clients/${body.id}/nature`, {
      ...nature,
      country: 'Canada',
    });
    expect([strange.status, broken.status]).toEqual([404, 400]);
  });
});

describe('the API', () => {
  let server: Running;
  beforeAll(async () => {
    server = await serveDemo();
  });
  afterAll(() => server.stop());

  it('describes itself from the contract', async () => {
    const maren = await server.signedIn(MAREN);
    const { body } = await maren.ask<{ paths: object }>('GET', '/openapi.json');
    expect(Object.keys(body.paths)).toEqual(
      expect.arrayContaining([
        '/api/sign-in',
        '/api/clients/{clientId}/bench',
        '/api/clients/{clientId}/revisions',
      ]),
    );
  });

  it('answers what is nowhere, or no id, with not found', async () => {
    const maren = await server.signedIn(MAREN);
    expect((await maren.ask('GET', '/nowhere')).status).toBe(404);
    expect((await maren.ask('GET', '/clients/not-an-id')).status).toBe(404);
  });

  it('answers a body that is no JSON with what is wrong', async () => {
    const maren = await server.signedIn(MAREN);
    const answer = await maren.ask('POST', '/clients', undefined);
    expect(answer.status).toBe(400);
  });

  it('logs its own failures once, and tells the user only their number', async () => {
    const pool = server.pool;
    const maren = await server.signedIn(MAREN);
    await pool.query('ALTER TABLE client RENAME COLUMN country TO land');
    const answer = await maren.ask<{ code: string; id: string }>('GET', '/clients');
    await pool.query('ALTER TABLE client RENAME COLUMN land TO country');
    expect([answer.status, answer.body.code]).toEqual([500, 'failed']);
    expect(
      server.logged.filter((line) => line.includes(answer.body.id) && line.includes('"fault"')),
    ).toHaveLength(1);
  });
});
