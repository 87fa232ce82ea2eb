import { BenchAnswer, ENDPOINTS, type Endpoint, type EndpointName } from '@iunctus/contract';
import { applyAll, chartFrom } from '@iunctus/core';
import fc from 'fast-check';
import * as v from 'valibot';
import { MAREN, serveDemo, somebodyIn, type Caller, type Running } from './harness';
import { SchemaArbitraries } from './schema-arbitrary';

/** How many requests are made: some in every run of the tests, many more with `FUZZ_REQUESTS`. */
const REQUESTS = Number(process.env['FUZZ_REQUESTS'] ?? '1500');
/** The same requests each time; another number makes others. */
const SEED = Number(process.env['FUZZ_SEED'] ?? '2026');

/** What would end the fuzzer's own session, or wait on purpose. */
const LEFT_OUT: readonly EndpointName[] = [
  'signIn',
  'signOut',
  'takeUpInvitation',
  'lookAtInvitation',
  'changePassword',
];

/** A request that was made up. */
interface Fuzzed {
  readonly name: EndpointName;
  readonly inTurn: boolean;
  readonly method: string;
  readonly path: string;
  readonly query: string;
  readonly body: unknown;
}

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

describe('whatever is asked', () => {
  let server: Running;
  let clients: readonly { readonly id: string }[];
  let ids: readonly string[];
  let asker: Caller;
  beforeAll(async () => {
    server = await serveDemo();
    const maren = await server.signedIn(MAREN);
    clients = (await maren.ask<{ id: string }[]>('GET', '/clients')).body;
    const { rows } = await server.pool.query<{ id: string }>(
      `(SELECT id FROM account ORDER BY number LIMIT 25) UNION ALL SELECT id FROM app_user
       UNION ALL SELECT id FROM client`,
    );
    ids = rows.map(({ id }) => id);
    asker = await somebodyIn(server, 'administrator');
  });
  afterAll(() => server.stop());

  const endpoints = (Object.entries(ENDPOINTS) as [EndpointName, Endpoint][]).filter(
    ([name]) => !LEFT_OUT.includes(name),
  );

  const partOf = (name: string): fc.Arbitrary<string> => {
    const known: Readonly<Record<string, fc.Arbitrary<string>>> = {
      clientId: fc.constantFrom(...clients.map(({ id }) => id)),
      number: fc.constantFrom('0', '1', '2', '3', '999999999', '-1', '1e3'),
      format: fc.constantFrom(
        'csv',
        'xlsx',
        'json',
        'audit-file',
        'audit-balances',
        'return',
        'return-file',
        'pdf',
        'constructor',
      ),
      // Nobody who is here is let go.
      personId: fc.uuid({ version: 4 }),
    };
    return fc.oneof(
      { weight: 9, arbitrary: known[name] ?? fc.constantFrom(...ids) },
      {
        weight: 1,
        arbitrary: fc.constantFrom('constructor', '%00', '..', '%zz', '%ud800', 'x'.repeat(300)),
      },
    );
  };

  const pathOf = ({ path }: Endpoint): fc.Arbitrary<string> => {
    const names = [...path.matchAll(/:(\w+)/g)].map(([, name = '']) => name);
    return fc
      .tuple(...names.map(partOf))
      .map((parts) =>
        names.reduce((so, name, at) => so.replace(`:${name}`, parts[at] ?? ''), path),
      );
  };

  const queryOf = (query: unknown): string => {
    if (typeof query !== 'object' || query === null) return '';
    const parts = Object.entries(query).flatMap(([key, value]) =>
      value === undefined
        ? []
        : [
            `${encodeURIComponent(key)}=${encodeURIComponent(String(value).replace(/\p{Surrogate}/gu, '?'))}`,
          ],
    );
    return `?${parts.join('&')}`;
  };

  /** Proposals are kept one after the other, so that some of what is made becomes a revision or is refused by a rule. */
  const inTurn = async (request: Fuzzed): Promise<Fuzzed> => {
    const clientId = request.path.split('/')[2] ?? '';
    const versioned =
      ['saveProposal', 'adopt', 'handOver'].includes(request.name) && isRecord(request.body);
    if (!versioned || !request.inTurn || !isKnown(clientId)) return request;
    const { body } = await asker.ask<BenchAnswer>('GET', `/clients/${clientId}/bench`);
    const { proposal, revision } = body.chart ?? { proposal: { version: 0 }, revision: 0 };
    const base = request.name === 'saveProposal' ? { baseRevision: revision, conflicts: [] } : {};
    return { ...request, body: { ...request.body, version: proposal.version, ...base } };
  };
  const isKnown = (id: string): boolean => clients.some((client) => client.id === id);

  const requestTo = ([name, endpoint]: [EndpointName, Endpoint], hostile: boolean) => {
    const values = new SchemaArbitraries(ids, hostile);
    return fc.record({
      name: fc.constant(name),
      inTurn: fc.boolean(),
      method: fc.constant(endpoint.method.toUpperCase()),
      path: pathOf(endpoint),
      query:
        endpoint.query === undefined ? fc.constant('') : values.of(endpoint.query).map(queryOf),
      body: endpoint.request === undefined ? fc.constant(undefined) : values.of(endpoint.request),
    });
  };

  const send = async ({
    method,
    path,
    query,
    body,
  }: {
    method: string;
    path: string;
    query: string;
    body: unknown;
  }) => {
    const response = await fetch(`${server.base}/api${path}${query}`, {
      method,
      headers: { cookie: asker.cookie, 'content-type': 'application/json' },
      ...(body === undefined || method === 'GET' ? {} : { body: JSON.stringify(body) }),
    });
    return { status: response.status, text: await response.text() };
  };

  it('is answered, never by a failure of the server', async () => {
    const statuses = new Map<number, number>();
    await fc.assert(
      fc.asyncProperty(
        fc
          .tuple(fc.constantFrom(...endpoints), fc.boolean())
          .chain(([endpoint, hostile]) => requestTo(endpoint, hostile)),
        async (request) => {
          const { status, text } = await send(await inTurn(request));
          statuses.set(status, (statuses.get(status) ?? 0) + 1);
          expect([status >= 500, text.slice(0, 300)]).toEqual([false, expect.anything()]);
        },
      ),
      { numRuns: REQUESTS, seed: SEED, endOnFailure: true },
    );
    // It reaches what it means to try: some of it is done, some refused by the contract, some by a rule.
    const reached = Object.fromEntries(
      [200, 400, 404, 409, 422].map((status) => [status, (statuses.get(status) ?? 0) > 0]),
    );
    expect(reached).toEqual({ 200: true, 400: true, 404: true, 409: true, 422: true });
  }, 900_000);

  it('leaves no bench that does not open, and no proposal that does not fit', async () => {
    for (const { id } of clients) {
      const { status, text } = await send({
        method: 'GET',
        path: `/clients/${id}/bench`,
        query: '',
        body: undefined,
      });
      expect(status).toBe(200);
      const { chart } = v.parse(BenchAnswer, JSON.parse(text));
      if (chart === null) continue;
      const { accounts, proposal, ...parts } = chart;
      const operations = proposal.steps.flatMap((step) => step.operations);
      expect(() => applyAll(chartFrom(accounts, parts), operations)).not.toThrow();
    }
  });
});
