import type { LayoutsAnswer } from '@iunctus/contract';
import { beginOwn, chartOf, editOwn, type OwnLayout } from '@iunctus/core';
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

describe('layouts of a client', () => {
  let server: Running;
  let maren: Caller;
  let tobias: Caller;
  let clientId: string;
  let begun: OwnLayout;
  let id: (number: string) => string;
  beforeAll(async () => {
    server = await serveDemo();
    [maren, tobias] = [await server.signedIn(MAREN), await server.signedIn(TOBIAS)];
    clientId = (await clientNamed(maren, 'Kestrel Lane Cider Works')).id;
    const bench = await benchChart(maren, clientId);
    id = (number) => idOf(bench, number);
    begun = { ...beginOwn(chartOf(bench), 'profitAndLoss'), name: 'For the bank' };
  });
  afterAll(() => server.stop());

  const base = () => `/clients/${clientId}/layouts`;
  const keep = (layout: unknown, at: { id?: string; version?: number; who?: Caller } = {}) =>
    (at.who ?? maren).ask<{ version?: number; code?: string; by?: string }>(
      'PUT',
      `${base()}/${at.id ?? randomUUID()}`,
      { version: at.version ?? 0, layout },
    );
  const layouts = async (who = maren) => (await who.ask<LayoutsAnswer>('GET', base())).body;
  const lineOf = (number: string) =>
    begun.rows.find((row) => row.type === 'line' && row.accounts.includes(id(number)))?.id ?? '';

  it('are kept, read by colleagues with who changed them, and dropped', async () => {
    const layoutId = randomUUID();
    expect((await keep(begun, { id: layoutId })).body).toEqual({ version: 1 });
    expect((await layouts(tobias)).find((one) => one.id === layoutId)).toMatchObject({
      version: 1,
      author: 'Maren Oake',
      layout: begun,
      partly: false,
    });
    expect((await maren.ask('DELETE', `${base()}/${layoutId}`)).status).toBe(200);
    expect((await layouts()).some((one) => one.id === layoutId)).toBe(false);
  });

  it('are not overwritten unseen, also when two people change one at once', async () => {
    const layoutId = randomUUID();
    await keep(begun, { id: layoutId });
    const answers = await Promise.all(
      [maren, tobias, maren, tobias].map((who) => keep(begun, { id: layoutId, version: 1, who })),
    );
    expect(answers.filter(({ status }) => status === 200)).toHaveLength(1);
    expect(answers.filter(({ body }) => body.by === 'layout')).toHaveLength(3);
    await maren.ask('DELETE', `${base()}/${layoutId}`);
  });

  it('are complete only with every account of the statement, once', async () => {
    const complete = { ...begun, complete: true };
    expect((await keep(complete)).status).toBe(200);
    const rest = begun.rows.find((row) => row.type === 'rest' && row.section === 'revenue');
    const without = [lineOf('4010'), rest?.id ?? ''].reduce<OwnLayout>(
      (so, row) => editOwn(so, { does: 'remove', id: row }),
      complete,
    );
    expect((await keep(without)).body).toMatchObject({
      code: 'badRequest',
      issues: [{ field: 'complete', rule: 'misses accounts' }],
    });
  });

  it('refuse rows that cannot be, naming the rule', async () => {
    const sum = {
      type: 'sum',
      id: 'r1',
      level: 0,
      words: 'A',
      of: ['r1'],
      shows: 'debit',
      final: false,
    };
    const issues = async (change: Partial<Record<keyof OwnLayout, unknown>>) =>
      JSON.stringify((await keep({ ...begun, ...change })).body);
    expect(await issues({ rows: [sum] })).toContain('has a sum that sums up itself');
    expect(await issues({ rows: [{ ...sum, of: ['r9'] }] })).toContain(
      'refers to a row that is not there',
    );
    expect(await issues({ columns: 'difference 4 5' })).toContain(
      'has columns that refer to none before them',
    );
    expect(await issues({ name: ' ' })).toContain('name');
  });

  it('are changed by nobody who only reviews, nor from another practice’s client', async () => {
    const reviewer = await somebodyIn(server, 'reviewer');
    expect((await keep(begun, { who: reviewer })).status).toBe(403);
    const strange = `/clients/${randomUUID()}/layouts`;
    expect((await maren.ask('GET', strange)).status).toBe(404);
  });

  it('do not tell of accounts that are hidden, and are not changed by those who do not see all of them', async () => {
    const { body: people } = await maren.ask<{ id: string; name: string }[]>('GET', '/people');
    const self = people.find(({ name }) => name === 'Maren Oake')?.id ?? '';
    const layoutId = randomUUID();
    const secret = begun.rows.map((row) =>
      row.id === lineOf('4010') && row.type === 'line' ? { ...row, words: 'Hush money' } : row,
    );
    await keep({ ...begun, rows: secret }, { id: layoutId });
    await adoptAs(maren, clientId, {
      type: 'changeSetting',
      id: id('4010'),
      setting: 'restrictedTo',
      value: [self],
    });
    const seen = (await layouts(tobias)).find((one) => one.id === layoutId);
    expect(seen?.partly).toBe(true);
    expect(JSON.stringify(seen)).not.toMatch(new RegExp(`Hush money|${id('4010')}`));
    const layout = seen?.layout ?? begun;
    expect((await keep(layout, { id: layoutId, version: 1, who: tobias })).status).toBe(400);
    await tobias.ask('DELETE', `${base()}/${layoutId}`);
    expect((await layouts()).some((one) => one.id === layoutId)).toBe(true);
    expect((await keep(begun, { who: tobias })).status).toBe(400);
  });

  it('are printed under their name, as drafts where they miss something', async () => {
    const layoutId = randomUUID();
    const margin = {
      type: 'text',
      id: 'r900',
      level: 0,
      words: 'As agreed with the bank',
    } as const;
    await keep(editOwn(begun, { does: 'insert', behind: null, row: margin }), { id: layoutId });
    const take = async (format: string, more = '') => {
      const path = `/clients/${clientId}/exports/${format}?first=2026-07&last=2026-10${more}`;
      const headers = { cookie: maren.cookie };
      return (await fetch(`${server.base}/api${path}`, { headers })).text();
    };
    expect(await take('statement-csv', `&layout=${layoutId}`)).toContain('As agreed with the bank');
    expect(await take('packet-pdf', `&sheets=${layoutId},balanceSheet`)).toMatch(/^%PDF/);
    expect(await take('statement-csv', `&layout=${randomUUID()}`)).toContain('notFound');
  });

  it('hold no other statement, whoever asks the database', async () => {
    expect(
      await brokenRule(
        server.pool,
        `INSERT INTO layout (practice_id, chart_id, id, version, content, author_id)
         SELECT practice_id, chart_id, gen_random_uuid(), 1, jsonb_set(content, '{statement}', '"cashFlow"'), author_id
         FROM layout LIMIT 1`,
      ),
    ).toBe('layout_content_check');
  });
});
