import type { FindingNotesAnswer } from '@iunctus/contract';
import type { FindingNote } from '@iunctus/core';
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

describe('findings that were put off or set aside', () => {
  let server: Running;
  let maren: Caller;
  let tobias: Caller;
  let clientId: string;
  let rent: string;
  beforeAll(async () => {
    server = await serveDemo();
    [maren, tobias] = [await server.signedIn(MAREN), await server.signedIn(TOBIAS)];
    clientId = (await clientNamed(maren, 'Kestrel Lane Cider Works')).id;
    rent = idOf(await benchChart(maren, clientId), '6110');
  });
  afterAll(() => server.stop());

  const base = () => `/clients/${clientId}/finding-notes`;
  const noted = (more: Partial<FindingNote> = {}): FindingNote => ({
    key: `neverUsed ${rent}`,
    print: '{}',
    until: null,
    reason: 'Kept for the summer',
    ...more,
  });
  const note = (of: FindingNote, who = maren) => who.ask<{ code?: string }>('PUT', base(), of);
  const notes = async (who = maren) => (await who.ask<FindingNotesAnswer>('GET', base())).body;

  it('are noted with who did it and why, changed, and brought back', async () => {
    expect((await note(noted())).status).toBe(200);
    await note(noted({ until: '2026-12-31' }), tobias);
    const [only, ...others] = await notes();
    expect(others).toEqual([]);
    expect(only).toMatchObject({
      key: `neverUsed ${rent}`,
      until: '2026-12-31',
      author: 'Tobias Fenn',
    });
    expect((await maren.ask('DELETE', `${base()}/${only?.id ?? ''}`)).status).toBe(200);
    expect(await notes(tobias)).toEqual([]);
  });

  it('are one for each finding, also when two people note it at once', async () => {
    const answers = await Promise.all([maren, tobias, maren].map((who) => note(noted(), who)));
    expect(answers.map(({ status }) => status)).toEqual([200, 200, 200]);
    expect(await notes()).toHaveLength(1);
  });

  it('refuse days that are none, and keys without end, naming the field', async () => {
    expect((await note(noted({ until: '2026-02-30' }))).body).toMatchObject({ code: 'badRequest' });
    expect((await note(noted({ key: 'x'.repeat(401) }))).status).toBe(400);
    expect((await note(noted({ reason: 'x'.repeat(301) }))).status).toBe(400);
  });

  it('are noted by nobody who only reviews', async () => {
    expect((await note(noted(), await somebodyIn(server, 'reviewer'))).status).toBe(403);
    expect((await maren.ask('GET', `/clients/${randomUUID()}/finding-notes`)).status).toBe(404);
  });

  it('do not tell of accounts that are hidden', async () => {
    const { body: people } = await maren.ask<{ id: string; name: string }[]>('GET', '/people');
    const self = people.find(({ name }) => name === 'Maren Oake')?.id ?? '';
    await note(noted());
    await adoptAs(maren, clientId, {
      type: 'changeSetting',
      id: rent,
      setting: 'restrictedTo',
      value: [self],
    });
    expect(await notes(tobias)).toEqual([]);
    expect((await note(noted(), tobias)).status).toBe(400);
    expect(await notes()).toHaveLength(1);
  });

  it('hold no more than they should, whoever asks the database', async () => {
    expect(await brokenRule(server.pool, `UPDATE finding_note SET reason = repeat('x', 301)`)).toBe(
      'finding_note_reason_check',
    );
  });
});
