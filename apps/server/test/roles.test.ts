import { randomUUID } from 'node:crypto';
import { ENDPOINTS, type Endpoint, type EndpointName } from '@iunctus/contract';
import { may, ROLES, type PersonRole } from '@iunctus/core';
import { clientNamed, MAREN, serveDemo, somebodyIn, type Caller, type Running } from './harness';

const ALL = Object.entries(ENDPOINTS) as [EndpointName, Endpoint][];

describe('what people of each role may do', () => {
  let server: Running;
  let cider: string;
  let others: string;
  const people = new Map<PersonRole, Caller>();
  beforeAll(async () => {
    server = await serveDemo();
    const maren = await server.signedIn(MAREN);
    cider = (await clientNamed(maren, 'Kestrel Lane Cider Works')).id;
    others = (await clientNamed(maren, 'Tern Street Ceramics')).id;
    for (const role of ROLES)
      people.set(role, await somebodyIn(server, role, role === 'onlooker' ? cider : null));
  });
  afterAll(() => server.stop());

  /** The path of an endpoint at a client, with ids that nobody has for the rest: nothing is changed by walking. */
  const pathOf = ({ path }: Endpoint, clientId: string): string =>
    path
      .replace(':clientId', clientId)
      .replace(/:number/g, '99999')
      .replace(/:format/g, 'none')
      .replace(/:\w+/g, () => randomUUID());
  const bodyOf = ({ method }: Endpoint): object | undefined => (method === 'get' ? undefined : {});
  const walk = async (who: Caller, endpoint: Endpoint): Promise<number> => {
    const response = await fetch(`${server.base}/api${pathOf(endpoint, cider)}`, {
      method: endpoint.method.toUpperCase(),
      headers: { cookie: who.cookie, 'content-type': 'application/json' },
      ...(bodyOf(endpoint) === undefined ? {} : { body: '{}' }),
    });
    await response.arrayBuffer();
    return response.status;
  };

  // Signing out ends what the others need; it is walked by its own test.
  const walked = ALL.filter(([name]) => name !== 'signOut');

  it.each(walked)('is held at %s', async (_name, endpoint) => {
    for (const role of ROLES) {
      const status = await walk(people.get(role) as Caller, endpoint);
      const allowed = endpoint.may === 'anybody' || may(role, endpoint.may);
      expect([role, status === 403]).toEqual([role, !allowed]);
      expect(status).toBeLessThan(500);
    }
    const stranger = await walk(server.anybody(), endpoint);
    expect(stranger === 401).toBe(endpoint.may !== 'anybody');
  });

  it('leaves no endpoint open to strangers but those of signing in', () => {
    const open = ALL.filter(([, { may: needed }]) => needed === 'anybody').map(([name]) => name);
    expect(open).toEqual([
      'signIn',
      'signOut',
      'session',
      'entrance',
      'lookAtInvitation',
      'takeUpInvitation',
    ]);
  });

  describe('an onlooker', () => {
    it('sees one client, and finds no other', async () => {
      const onlooker = people.get('onlooker') as Caller;
      const { body } = await onlooker.ask<{ id: string }[]>('GET', '/clients');
      expect(body.map(({ id }) => id)).toEqual([cider]);
      for (const path of ['', '/overview', '/balances?first=2026-07&last=2026-10'])
        expect((await onlooker.ask('GET', `/clients/${others}${path}`)).status).toBe(404);
    });

    it('sees no note and no setting of an account', async () => {
      await server.pool.query(
        `UPDATE account SET notes = 'ask the owner', settings = '{"bank": {"institution": "Elm", "routing": "", "accountNumber": "Q99-1", "nextCheque": "", "nextDeposit": ""}}' WHERE number = '1010'`,
      );
      const { body } = await (people.get('onlooker') as Caller).ask(
        'GET',
        `/clients/${cider}/overview`,
      );
      expect(body).toMatchObject({ client: { id: cider }, chart: { revision: 3 } });
      expect(JSON.stringify(body)).not.toMatch(/ask the owner|Elm|Q99-1/);
    });
  });

  it('lets a bookkeeper remove only the kept charts that are their own; an administrator any', async () => {
    const [administrator, bookkeeper] = [people.get('administrator'), people.get('bookkeeper')] as [
      Caller,
      Caller,
    ];
    const keep = (who: Caller, name: string) =>
      who.ask<{ id: string }>('POST', `/clients/${cider}/kept-chart`, {
        keptChartId: null,
        name,
        note: '',
      });
    const [theirs, own] = [await keep(administrator, 'Drinks'), await keep(bookkeeper, 'Orchards')];
    const remove = (who: Caller, id: string) => who.ask('DELETE', `/kept-charts/${id}`);
    expect((await remove(bookkeeper, theirs.body.id)).status).toBe(403);
    expect((await remove(bookkeeper, own.body.id)).status).toBe(200);
    expect((await remove(administrator, theirs.body.id)).status).toBe(200);
  });
});
