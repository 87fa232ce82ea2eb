import { randomUUID } from 'node:crypto';
import { ENDPOINTS, type Endpoint, type EndpointName, type Person } from '@iunctus/contract';
import { SHEET_CODES, type Account, type Operation, type Split } from '@iunctus/core';
import { EXPORT_FORMATS } from '../src/exports/exports.service';
import { postEntries } from '../src/postings/entries.queries';
import { maybeChart } from '../src/charts/charts.queries';
import { inTransactionOn } from '../src/database/transaction';
import {
  adoptAs,
  aStep,
  benchChart,
  clientNamed,
  idOf,
  keepProposal,
  MAREN,
  rename,
  serveDemo,
  somebodyIn,
  type Caller,
  type Running,
} from './harness';
import { IDS, MARKS, marksAt, NAMES, textsIn } from './marks';

/** Slow to make and to read: one colleague has them printed for all, and each has what they are printed from. */
const PRINTED = /\/exports\/[\w-]*pdf\?/;
const PERIOD = 'first=2026-07&last=2026-10';

/** Walks every endpoint as a colleague, in every state in which restricted accounts may be, and looks for their marks. */
// Everything that can be asked is asked, in each state: long on a slow machine.
jest.setTimeout(120_000);

describe('restricted accounts, looked for by a colleague', () => {
  let server: Running;
  let maren: Caller;
  let clientId: string;
  let people: Person[];
  let hidden: { readonly a: string; readonly b: string };
  let seen: { readonly bank: string; readonly fuel: string };
  const colleagues = new Map<string, Caller>();

  const adopt = async (...operations: Operation[]): Promise<void> => {
    const { status, body } = await adoptAs(maren, clientId, ...operations);
    expect([status, body.refusal]).toEqual([200, undefined]);
  };
  const marked = (number: string, name: string, more: Partial<Account> = {}): Account => ({
    id: randomUUID(),
    number,
    name: `Zebra ${name}`,
    shortLabel: 'Zebra',
    guidance: 'Zebra',
    notes: 'Zebra',
    role: 'posting',
    kind: 'operatingExpense',
    retiredOn: null,
    systemUse: null,
    settings: { restrictedTo: [own()] },
    ...more,
  });
  const own = (): string => people.find(({ name }) => name === 'Maren Oake')?.id ?? '';
  const add = (account: Account): Operation => ({
    type: 'addAccount',
    account,
    parentId: null,
    afterId: null,
  });
  const post = async (debit: string, credit: string, amount: number): Promise<void> => {
    const viewer = {
      practiceId: '5f0c9a52-6b1e-4f7a-9d5c-3f0a8b1c2d01',
      userId: '',
      role: 'administrator',
      clientId: null,
    } as const;
    const head = await maybeChart(server.pool, viewer, clientId);
    if (head === undefined) throw new Error('no chart');
    const lines = [
      { accountId: debit, amount },
      { accountId: credit, amount: -amount },
    ];
    const entry = {
      id: randomUUID(),
      date: '2026-09-14',
      source: 'journal',
      comment: '',
      lines,
    } as const;
    await inTransactionOn(server.pool, (on) => postEntries(on, head, [entry]));
  };

  beforeAll(async () => {
    server = await serveDemo();
    maren = await server.signedIn(MAREN);
    clientId = (await clientNamed(maren, 'Kestrel Lane Cider Works')).id;
    for (const role of ['administrator', 'bookkeeper', 'reviewer'] as const)
      colleagues.set(role, await somebodyIn(server, role));
    colleagues.set('onlooker', await somebodyIn(server, 'onlooker', clientId));
    people = (await maren.ask<Person[]>('GET', '/people')).body;
    const chart = await benchChart(maren, clientId);
    seen = { bank: idOf(chart, '1010'), fuel: idOf(chart, '6210') };
    const [a, b] = [marked('7771', 'pay'), marked('7772', 'bonus')];
    hidden = { a: a.id, b: b.id };
    await adopt(add(a), add(b));
    // Two of one kind: what stands for them shows their sum, and neither amount.
    await post(a.id, seen.bank, 8_675_309);
    await post(b.id, seen.bank, 4_242_171);
    const rule = {
      type: 'rule',
      place: 1,
      how: 'contains',
      words: 'Zebra wages',
      sign: null,
      least: null,
      most: null,
      source: null,
      accountId: a.id,
      taxCodeId: null,
    };
    const proof = {
      type: 'proof',
      name: 'Zebra pay',
      sample: { by: 'account', accountId: b.id },
      expected: { section: 'operatingExpenses', underId: null, returnLine: null },
    };
    const layout = {
      name: 'For the bank',
      statement: 'profitAndLoss',
      rows: [
        {
          type: 'line',
          id: 'r1',
          level: 0,
          words: 'Zebra line',
          accounts: [a.id, b.id],
          section: null,
          shows: 'debit',
          hideZero: false,
        },
      ],
      columns: 'plain',
      complete: false,
    };
    const noted = { key: `neverUsed ${a.id}`, print: '{}', until: null, reason: 'Zebra' };
    for (const [path, body] of [
      [`layouts/${randomUUID()}`, { version: 0, layout }],
      ['finding-notes', noted],
    ] as const)
      expect((await maren.ask('PUT', `/clients/${clientId}/${path}`, body)).status).toBe(200);
    for (const content of [rule, proof]) {
      const path = `/clients/${clientId}/routes/${randomUUID()}`;
      expect((await maren.ask('PUT', path, { version: 0, content })).status).toBe(200);
    }
  });
  afterAll(() => server.stop());

  const asked = async (
    who: Caller,
    method: string,
    path: string,
    body?: unknown,
  ): Promise<string> => {
    const response = await fetch(`${server.base}/api${path}`, {
      method,
      headers: { cookie: who.cookie, 'content-type': 'application/json' },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
    const text = await textsIn(Buffer.from(await response.arrayBuffer()));
    expect(response.status).toBeLessThan(500);
    return text;
  };

  /** With what an endpoint can be asked at a path. */
  const queriesOf = (name: EndpointName, path: string, dimensions: readonly string[]): string[] => {
    if (name === 'balances') return [`?${PERIOD}`];
    if (name === 'findAccounts') return ['?words=zebra', '?words=777', '?words=pay'];
    if (name === 'monthlyByValue') return dimensions.map((id) => `?dimension=${id}`);
    if (name !== 'exportChart') return [''];
    const shown = `${PERIOD}&depth=all&zero=yes`;
    if (path.includes('/packet-')) return [`?${shown}&sheets=trialBalance`];
    if (!path.includes('/statement-')) return [`?${PERIOD}`];
    // All of them hold the same table; CSV is the quickest to be had.
    if (!path.endsWith('csv')) return [`?${shown}&sheet=cashFlow`];
    const by = dimensions.map((id) => `profitAndLoss&columns=${encodeURIComponent(`by ${id}`)}`);
    return [...SHEET_CODES, ...by].map((sheet) => `?${shown}&sheet=${sheet}`);
  };

  /** What paths are made of, as it stands now. */
  const standing = async () => {
    const { revision, settings } = await benchChart(maren, clientId);
    const { body: kept } = await maren.ask<{ id: string; versions: { number: number }[] }[]>(
      'GET',
      '/kept-charts',
    );
    return { revision, kept, dimensions: settings.dimensions.map(({ id }) => id) };
  };

  /** Every way in which a reading endpoint can be asked here. */
  const pathsOf = (
    name: EndpointName,
    path: string,
    { revision, kept, dimensions }: Awaited<ReturnType<typeof standing>>,
  ): string[] => {
    const parts: Readonly<Record<string, readonly string[]>> = {
      clientId: [clientId],
      number:
        name === 'keptVersion'
          ? kept.flatMap(({ versions }) => versions.map(({ number }) => String(number)))
          : Array.from({ length: revision + 1 }, (_, at) => String(at)),
      authorId: people.map(({ id }) => id),
      format: [...EXPORT_FORMATS],
      keptChartId: kept.map(({ id }) => id),
    };
    const names = [...path.matchAll(/:(\w+)/g)].map(([, found = '']) => found);
    const all = names.reduce<string[]>(
      (so, part) =>
        so.flatMap((one) =>
          (parts[part] ?? [randomUUID()]).map((value) => one.replace(`:${part}`, value)),
        ),
      [path],
    );
    return all.flatMap((one) => queriesOf(name, one, dimensions).map((query) => `${one}${query}`));
  };

  /** Questions that name hidden accounts outright. */
  const forged = (): (readonly [string, string, unknown])[] => {
    const split = (from: string, into: string): Split => ({
      id: randomUUID(),
      from,
      into,
      choice: { first: null, last: null, sources: [], words: '', value: null, upTo: 99_999 },
    });
    const [first, last] = ['2026-07', '2026-10'];
    const whatever = { first: null, last: null, source: null, text: '' };
    return [
      ['POST', `/clients/${clientId}/postings`, { accounts: [hidden.a] }],
      ['POST', `/clients/${clientId}/postings`, { accounts: [seen.bank, hidden.b] }],
      ['POST', `/clients/${clientId}/journal`, { ...whatever, before: null }],
      ...[[hidden.a], [seen.bank, hidden.b], [seen.bank]].map(
        (accounts) =>
          [
            'POST',
            `/clients/${clientId}/register`,
            { ...whatever, accounts, fresh: false, before: null },
          ] as const,
      ),
      [
        'POST',
        `/clients/${clientId}/splits`,
        { first, last, splits: [split(hidden.a, seen.fuel)], without: [] },
      ],
      [
        'POST',
        `/clients/${clientId}/splits`,
        { first, last, splits: [split(seen.fuel, hidden.a)], without: [] },
      ],
      [
        'POST',
        `/clients/${clientId}/kept-chart`,
        { keptChartId: null, name: randomUUID(), note: '' },
      ],
    ];
  };

  const findNoMark = async (): Promise<void> => {
    const now = await standing();
    const paths = (Object.entries(ENDPOINTS) as [EndpointName, Endpoint][]).flatMap(
      ([name, { method, path }]) => (method === 'get' ? pathsOf(name, path, now) : []),
    );
    const found: string[] = [];
    for (const [role, who] of colleagues) {
      const look = async (method: string, path: string, body?: unknown): Promise<void> => {
        const text = (await asked(who, method, path, body)).replace(IDS, '');
        for (const mark of marksAt(path))
          if (mark.test(text))
            found.push(
              `${role} ${method} ${path}: ${mark.source} in ${text.slice(Math.max(0, text.search(mark) - 60), text.search(mark) + 60)}`,
            );
      };
      for (const path of paths)
        if (role === 'bookkeeper' || !PRINTED.test(path)) await look('GET', path);
      if (role !== 'onlooker')
        for (const [method, path, body] of forged()) await look(method, path, body);
    }
    expect(found).toEqual([]);
  };

  it('are not found by words of theirs: nobody learns by asking what a hidden entry says', async () => {
    await server.pool.query(
      `WITH posted AS (
         INSERT INTO entry (id, practice_id, chart_id, entry_date, source, comment)
         SELECT $1, practice_id, id, '2026-10-09', 'payroll', 'Quagga bonus' FROM chart WHERE client_id = $2 RETURNING id, chart_id
       )
       INSERT INTO entry_line (chart_id, entry_id, line_number, account_id, amount)
       SELECT chart_id, id, number, account, amount
       FROM posted, (VALUES (1, $3::uuid, 77123), (2, $4::uuid, -77123), (3, $3, -77123), (4, $4, 77123)) AS line (number, account, amount)`,
      [randomUUID(), clientId, hidden.a, seen.bank],
    );
    const found = async (who: Caller, path: string, more: object, text: string) => {
      const asked = { first: null, last: null, source: null, text, before: null, ...more };
      const { body } = await who.ask<Record<string, unknown[]>>(
        'POST',
        `/clients/${clientId}/${path}`,
        asked,
      );
      return (body['entries'] ?? body['lines'] ?? []).length;
    };
    const bookkeeper = colleagues.get('bookkeeper') as Caller;
    const register = { accounts: [seen.bank], fresh: false };
    expect(await found(maren, 'journal', {}, 'quagga')).toBe(1);
    expect(await found(maren, 'register', register, 'quagga')).toBe(2);
    expect(await found(bookkeeper, 'journal', {}, 'quagga')).toBe(0);
    expect(await found(bookkeeper, 'journal', {}, '771.23')).toBe(0);
    expect(await found(bookkeeper, 'register', register, 'quagga')).toBe(0);
  });

  const withdraw = (who: Caller) => keepProposal(who, clientId, { baseRevision: 0, steps: [] });

  it('are found by the one who sees them, or this test could not fail', async () => {
    const text = await asked(maren, 'GET', `/clients/${clientId}/bench`);
    const amounts = await asked(maren, 'GET', `/clients/${clientId}/balances?${PERIOD}`);
    expect(MARKS.filter((mark) => mark.test(text + amounts))).toHaveLength(4);
    for (const format of ['pdf', 'xlsx', 'audit-file']) {
      const file = await asked(maren, 'GET', `/clients/${clientId}/exports/${format}?${PERIOD}`);
      expect(NAMES.filter((mark) => mark.test(file))).toHaveLength(2);
    }
  });

  it('are not found as they stand', findNoMark);

  it('are not found once they were renamed, renumbered, and given a return line', async () => {
    await adopt(rename(hidden.a, 'Zebra salary'), {
      type: 'renumber',
      id: hidden.a,
      number: '7773',
    });
    await adopt({
      type: 'renumberMany',
      numbers: [
        { id: hidden.b, number: '7774' },
        { id: seen.fuel, number: '6219' },
      ],
    });
    await findNoMark();
  });

  it('are not found in what a colleague proposes against them, honestly or not', async () => {
    const bookkeeper = colleagues.get('bookkeeper') as Caller;
    const { revision } = await benchChart(bookkeeper, clientId);
    // The number is taken by an account that is not to be seen; the answer does not say by which.
    const taken: Operation = { type: 'renumber', id: seen.fuel, number: '7773' };
    await keepProposal(bookkeeper, clientId, { baseRevision: revision, steps: [aStep(taken)] });
    const { version } = (await benchChart(bookkeeper, clientId)).proposal;
    const answer = await bookkeeper.ask('POST', `/clients/${clientId}/revisions`, { version });
    expect(answer).toMatchObject({ status: 422, body: { refusal: { code: 'numberTaken' } } });
    expect(JSON.stringify(answer.body)).not.toContain(hidden.a);
    // A step on an older revision that meets what was done to a hidden account is refused as a whole.
    const steps = [aStep(rename(hidden.a, 'Mine'))];
    expect((await keepProposal(bookkeeper, clientId, { baseRevision: 0, steps })).status).toBe(422);
    await withdraw(bookkeeper);
  });

  it('are not found in a proposal of those who see them that waits for a colleague', async () => {
    const { revision } = await benchChart(maren, clientId);
    const secret = marked('7768', 'car');
    const steps = [aStep(add(secret), rename(hidden.a, 'Zebra wages'))];
    const { body } = await keepProposal(maren, clientId, {
      baseRevision: revision,
      steps,
      name: 'Pay',
    });
    const reviewer = people.find(({ name }) => name === 'Some reviewer')?.id ?? '';
    const handed = await maren.ask('POST', `/clients/${clientId}/proposal/hand-over`, {
      reviewerId: reviewer,
      version: body.version,
    });
    expect(handed.status).toBe(200);
    await findNoMark();
    await withdraw(maren);
  });

  it('are not found among splits between them and others', async () => {
    const choice = { first: null, last: null, sources: [], words: '', value: null, upTo: 99_999 };
    const split = (from: string, into: string): Operation => ({
      type: 'split',
      split: { id: randomUUID(), from, into, choice },
    });
    const part = marked('7775', 'part');
    await adopt(add(part), split(hidden.a, part.id));
    await findNoMark();
    const { revision } = await benchChart(maren, clientId);
    const { body } = await maren.ask<{ operations: Operation[] }>(
      'GET',
      `/clients/${clientId}/revisions/${revision}/undo`,
    );
    await adopt(...body.operations);
    await findNoMark();
  });

  it('are not found merged into one another, into an open one, or with an open one in them', async () => {
    const [gone, open] = [
      marked('7776', 'gift'),
      marked('6998', 'open', {
        settings: {},
        name: 'Sundries of the yard',
        shortLabel: '',
        guidance: '',
        notes: '',
      }),
    ];
    await adopt(add(gone), add(open));
    await adopt({ type: 'merge', id: gone.id, into: seen.fuel, acrossKinds: false });
    await adopt({ type: 'merge', id: open.id, into: hidden.b, acrossKinds: false });
    await adopt({ type: 'merge', id: hidden.b, into: hidden.a, acrossKinds: false });
    await findNoMark();
  });

  it('are not found below one that was restricted, once they are gone', async () => {
    const [above, below] = [
      marked('7777', 'heading', { role: 'heading' }),
      marked('7778', 'below', { settings: {} }),
    ];
    await adopt(add(above), {
      type: 'addAccount',
      account: below,
      parentId: above.id,
      afterId: null,
    });
    await findNoMark();
    await adopt({ type: 'deleteAccount', id: below.id }, { type: 'deleteAccount', id: above.id });
    await findNoMark();
  });

  it('are not kept with the chart that the practice begins others from', async () => {
    const kept = await maren.ask('POST', `/clients/${clientId}/kept-chart`, {
      keptChartId: null,
      name: 'Ours',
      note: '',
    });
    expect(kept.status).toBe(200);
    await findNoMark();
  });

  it('leave in no backup that a colleague takes', async () => {
    const administrator = colleagues.get('administrator') as Caller;
    for (const path of ['/backup', `/clients/${clientId}/backup`])
      expect((await administrator.ask('GET', path)).status).toBe(422);
  });
});
