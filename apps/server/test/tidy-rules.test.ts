import type { FindingRulesAnswer, PostedWordsAnswer, TidyCheckAnswer } from '@iunctus/contract';
import { NO_WISHES, type RuleWishes } from '@iunctus/core';
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

const wishes = (more: Partial<RuleWishes> = {}): RuleWishes => ({ ...NO_WISHES, ...more });

describe('what practice and client want of the rules of Tidy', () => {
  let server: Running;
  let maren: Caller;
  let tobias: Caller;
  let studio: string;
  let cider: string;
  beforeAll(async () => {
    server = await serveDemo();
    [maren, tobias] = [await server.signedIn(MAREN), await server.signedIn(TOBIAS)];
    studio = (await clientNamed(maren, 'Tern Street Ceramics')).id;
    cider = (await clientNamed(maren, 'Kestrel Lane Cider Works')).id;
  });
  afterAll(() => server.stop());

  const rulesOf = async (clientId: string) =>
    (await maren.ask<FindingRulesAnswer>('GET', `/clients/${clientId}/finding-rules`)).body;
  const keep = (path: string, version: number, of: unknown, who = maren) =>
    who.ask<{ code?: string; version?: number }>('PUT', `${path}/finding-rules`, {
      version,
      wishes: of,
    });
  const checkOf = async (clientId: string, who = maren) =>
    (await who.ask<TidyCheckAnswer>('GET', `/clients/${clientId}/tidy-check`)).body;

  it('is nothing at first', async () => {
    const none = { version: 0, wishes: NO_WISHES };
    expect(await rulesOf(studio)).toEqual({ practice: none, client: none });
  });

  it('is kept for all clients, and for one of them alone', async () => {
    const practice = wishes({ limits: { levels: 6 }, words: ['bisque'] });
    const client = wishes({ severities: { nameCapitals: 'off' } });
    expect((await keep('', 0, practice)).body).toEqual({ version: 1 });
    expect((await keep(`/clients/${studio}`, 0, client)).body).toEqual({ version: 1 });
    expect(await rulesOf(studio)).toEqual({
      practice: { version: 1, wishes: practice },
      client: { version: 1, wishes: client },
    });
    expect((await rulesOf(cider)).client.version).toBe(0);
  });

  it('is overwritten by nobody who has not seen it', async () => {
    const [{ practice, client }] = [await rulesOf(studio)];
    const both = await Promise.all(
      [maren, tobias].map((who) => keep(`/clients/${studio}`, client.version, wishes(), who)),
    );
    expect(both.map(({ status }) => status).sort()).toEqual([200, 409]);
    expect((await keep('', 0, wishes())).body).toMatchObject({ code: 'overtaken', by: 'rules' });
    expect((await rulesOf(studio)).practice).toEqual(practice);
    expect((await keep(`/clients/${cider}`, 3, wishes())).status).toBe(409);
  });

  it.each<[string, unknown]>([
    ['a limit out of its bounds', { ...NO_WISHES, limits: { levels: 1 } }],
    ['a limit that is no whole number', { ...NO_WISHES, limits: { levels: 2.5 } }],
    ['a limit that cannot be set', { ...NO_WISHES, limits: { kindByName: 10 } }],
    ['a rule that there is none of', { ...NO_WISHES, severities: { hasty: 'wrong' } }],
    ['a severity that there is none of', { ...NO_WISHES, severities: { tooDeep: 'awful' } }],
    ['words that are several', { ...NO_WISHES, words: ['two words'] }],
    ['words with capitals', { ...NO_WISHES, words: ['Bisque'] }],
  ])('is refused where it is %s, naming the field', async (_what, of) => {
    const { status, body } = await keep('', (await rulesOf(studio)).practice.version, of);
    expect([status, body.code]).toEqual([400, 'badRequest']);
  });

  it('is said by those who may change charts, and by nobody of elsewhere', async () => {
    const reviewer = await somebodyIn(server, 'reviewer');
    expect((await keep('', 0, wishes(), reviewer)).status).toBe(403);
    expect((await keep(`/clients/${studio}`, 0, wishes(), reviewer)).status).toBe(403);
    expect((await keep(`/clients/${randomUUID()}`, 0, wishes())).status).toBe(404);
  });

  it('counts in how tidy a chart is found to be', async () => {
    const before = await checkOf(studio);
    const { client } = await rulesOf(studio);
    const off = wishes({ severities: { kindDoubt: 'off' } });
    await keep(`/clients/${studio}`, client.version, off);
    const without = await checkOf(studio);
    expect(without?.score).toBeGreaterThan(before?.score ?? 1000);
    const spelled = wishes({ severities: { kindDoubt: 'off', misspelled: 'wrong' } });
    await keep(`/clients/${studio}`, client.version + 1, spelled);
    const after = await checkOf(studio);
    // “1450 Website” is kept as an expense there, among the assets by its number.
    expect([before, without, after].map((check) => check?.wrong)).toEqual([1, 0, 1]);
    await keep(`/clients/${studio}`, client.version + 2, wishes());
    expect(await checkOf(studio)).toEqual(before);
  });

  it('is kept whole by the database, whoever asks it', async () => {
    const broken = `UPDATE practice_rule_wishes SET content = '{"limits": {}, "words": []}'`;
    expect(await brokenRule(server.pool, broken)).toBe('practice_rule_wishes_content_check');
  });

  describe('how tidy a chart is', () => {
    it('is not said of a client without books', async () => {
      const { id } = await clientNamed(maren, 'Heron Reach Rowing Club');
      expect(await checkOf(id)).toBeNull();
    });

    it('leaves out what was put off or set aside', async () => {
      const chart = await benchChart(maren, studio);
      const key = `nameCapitals ${idOf(chart, '6021')}`;
      const before = await checkOf(studio);
      const note = {
        key,
        print: '{"to":"Studio insurance"}',
        until: null,
        reason: 'On the policy',
      };
      await maren.ask('PUT', `/clients/${studio}/finding-notes`, note);
      const after = await checkOf(studio);
      expect((before?.couldBeNeater ?? 0) - (after?.couldBeNeater ?? 0)).toBe(1);
    });
  });

  describe('what was said of postings', () => {
    const saidIn = async (clientId: string, who = maren) =>
      (await who.ask<PostedWordsAnswer>('GET', `/clients/${clientId}/posted-words`)).body;

    it('is told by account, without digits and marks, how often and of how much', async () => {
      const { accounts, upTo } = await saidIn(studio);
      const misc = idOf(await benchChart(maren, studio), '6500');
      const said = accounts.find(({ id }) => id === misc)?.said ?? [];
      expect(said.map(({ words, count }) => [words, count])).toEqual([
        ['kiln repair', 7],
        ['van hire for the fair', 3],
      ]);
      expect(said[0]?.amount).toBeGreaterThan(0);
      expect(upTo).toBeGreaterThan(0);
    });

    it('is not told of entries that touch what somebody may not see', async () => {
      const { body: people } = await maren.ask<{ id: string; name: string }[]>('GET', '/people');
      const self = people.find(({ name }) => name === 'Maren Oake')?.id ?? '';
      const chart = await benchChart(maren, studio);
      const rent = idOf(chart, '6001');
      await adoptAs(maren, studio, {
        type: 'changeSetting',
        id: rent,
        setting: 'restrictedTo',
        value: [self],
      });
      expect(JSON.stringify(await saidIn(studio))).toContain('tern street estates rent');
      const seen = await saidIn(studio, tobias);
      expect(JSON.stringify(seen)).not.toContain('estates');
      expect(seen.accounts.map(({ id }) => id)).not.toContain(rent);
    });
  });
});
