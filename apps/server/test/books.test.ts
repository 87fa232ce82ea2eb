import type { DraftRequest, DraftsAnswer, StandingEntryAnswer } from '@iunctus/contract';
import { EMPTY_LINE, type TypedEntry } from '@iunctus/core';
import { randomUUID } from 'node:crypto';
import {
  benchChart,
  brokenRule,
  clientNamed,
  idOf,
  MAREN,
  serveDemo,
  TOBIAS,
  type Answer,
  type Caller,
  type Running,
} from './harness';

describe('what is not posted yet, and what comes again', () => {
  let server: Running;
  let maren: Caller;
  let tobias: Caller;
  let base: string;
  let rent: TypedEntry;
  let id: (number: string) => string;
  beforeAll(async () => {
    server = await serveDemo();
    [maren, tobias] = [await server.signedIn(MAREN), await server.signedIn(TOBIAS)];
    const client = await clientNamed(maren, 'Kestrel Lane Cider Works');
    const bench = await benchChart(maren, client.id);
    base = `/clients/${client.id}`;
    id = (number) => idOf(bench, number);
    rent = {
      date: '2026-11-01',
      source: 'journal',
      comment: 'Rent',
      lines: [
        { ...EMPTY_LINE, accountId: id('6110'), debit: '900' },
        { ...EMPTY_LINE, accountId: id('1010'), credit: '900' },
      ],
    };
  });
  afterAll(() => server.stop());

  const draft = (more: Partial<DraftRequest> = {}): DraftRequest => ({
    version: 0,
    entry: rent,
    corrects: null,
    standing: null,
    ...more,
  });
  const keep = <T = { version: number }>(
    draftId: string,
    request: DraftRequest,
    who = maren,
  ): Promise<Answer<T>> => who.ask<T>('PUT', `${base}/entry-drafts/${draftId}`, request);
  const draftsOf = async (who: Caller) =>
    (await who.ask<DraftsAnswer>('GET', `${base}/entry-drafts`)).body;
  const posting = (more: object = {}) => ({
    id: randomUUID(),
    date: '2026-11-01',
    source: 'journal',
    comment: 'Rent',
    corrects: null,
    standing: null,
    draftId: null,
    lines: [
      { accountId: id('6110'), amount: 900_00, values: {}, comment: '', foreign: null },
      { accountId: id('1010'), amount: -900_00, values: {}, comment: '', foreign: null },
    ],
    ...more,
  });

  describe('a draft', () => {
    it('is kept as it is typed, half of it or wrong, for its author alone', async () => {
      const draftId = randomUUID();
      const odd = { ...rent, date: '' as const, lines: [{ ...EMPTY_LINE, debit: 'ninety' }] };
      expect((await keep(draftId, draft({ entry: odd }))).body).toEqual({
        version: 1,
      });
      expect((await draftsOf(maren)).find((one) => one.id === draftId)?.entry).toEqual(odd);
      expect((await draftsOf(tobias)).some((one) => one.id === draftId)).toBe(false);
      expect((await keep(draftId, draft({ version: 1 }), tobias)).status).toBe(409);
    });

    it('is not overwritten unseen by another window, nor by a colleague who drops it', async () => {
      const draftId = randomUUID();
      await keep(draftId, draft());
      expect((await keep(draftId, draft({ version: 1 }))).body).toEqual({ version: 2 });
      expect((await keep(draftId, draft({ version: 1 }))).body).toEqual({
        code: 'overtaken',
        by: 'draft',
      });
      expect((await keep(randomUUID(), draft({ version: 3 }))).status).toBe(409);
      await tobias.ask('DELETE', `${base}/entry-drafts/${draftId}`);
      expect((await draftsOf(maren)).some((one) => one.id === draftId)).toBe(true);
    });

    it('ends with the entry that it becomes, and with it alone', async () => {
      const draftId = randomUUID();
      await keep(draftId, draft());
      const wrong = posting({ draftId, date: '1999-13-01' });
      expect((await maren.ask('POST', `${base}/entries`, wrong)).status).toBe(400);
      expect((await draftsOf(maren)).some((one) => one.id === draftId)).toBe(true);
      expect((await maren.ask('POST', `${base}/entries`, posting({ draftId }))).status).toBe(200);
      expect((await draftsOf(maren)).some((one) => one.id === draftId)).toBe(false);
    });
  });

  describe('a standing entry', () => {
    const standingId = randomUUID();
    const recurrence = { frequency: 'monthly', first: '2026-09-01', last: null, times: null };
    const all = async () =>
      (await maren.ask<StandingEntryAnswer[]>('GET', `${base}/standing-entries`)).body;
    const skip = (due: string, skipped: boolean) =>
      maren.ask('POST', `${base}/standing-entries/${standingId}/days`, { due, skipped });

    it('is kept with what it posts and when, for everybody of the practice', async () => {
      const path = `${base}/standing-entries/${standingId}`;
      await maren.ask('PUT', path, { name: 'Rent', recurrence, entry: rent });
      await tobias.ask('PUT', path, { name: 'Rent of the barn', recurrence, entry: rent });
      expect(await all()).toEqual([
        { id: standingId, name: 'Rent of the barn', recurrence, entry: rent, author: 'Maren Oake', days: [] }, // prettier-ignore
      ]);
      const backwards = { ...recurrence, last: '2026-08-31' };
      const { status } = await maren.ask('PUT', path, { name: 'Rent', recurrence: backwards, entry: rent }); // prettier-ignore
      expect(status).toBe(400);
    });

    it('is posted once for a day, whoever is first', async () => {
      const one = () => posting({ standing: { standingId, due: '2026-09-01' } });
      const races: Answer<{ number: number }>[] = await Promise.all([
        maren.ask<{ number: number }>('POST', `${base}/entries`, one()),
        tobias.ask<{ number: number }>('POST', `${base}/entries`, one()),
      ]);
      expect(races.map(({ status }) => status).sort()).toEqual([200, 409]);
      const number = races.find(({ status }) => status === 200)?.body.number;
      expect((await all())[0]?.days).toMatchObject([{ due: '2026-09-01', entry: { number } }]);
    });

    it('that ended meanwhile takes nothing', async () => {
      const gone = posting({ standing: { standingId: randomUUID(), due: '2026-09-01' } });
      expect((await maren.ask('POST', `${base}/entries`, gone)).status).toBe(409);
      const { rows } = await server.pool.query('SELECT 1 FROM entry WHERE id = $1', [gone.id]);
      expect(rows).toEqual([]);
    });

    it('remembers a day that is skipped, until it is offered again; never one that was posted', async () => {
      await skip('2026-10-01', true);
      expect((await skip('2026-10-01', true)).status).toBe(409);
      expect((await all())[0]?.days[1]).toEqual({ due: '2026-10-01', entry: null });
      await skip('2026-10-01', false);
      await skip('2026-09-01', false);
      expect((await all())[0]?.days.map(({ due }) => due)).toEqual(['2026-09-01']);
    });

    it('ends, and what it posted stays', async () => {
      const path = `${base}/standing-entries/${standingId}`;
      const before = await server.pool.query('SELECT count(*)::int AS all FROM entry');
      expect((await maren.ask('DELETE', path)).status).toBe(200);
      expect(await all()).toEqual([]);
      expect((await maren.ask('DELETE', path)).status).toBe(404);
      const after = await server.pool.query('SELECT count(*)::int AS all FROM entry');
      expect(after.rows).toEqual(before.rows);
    });
  });

  describe('the database refuses, whoever asks it,', () => {
    const insert = (columns: string, values: string): string =>
      `INSERT INTO entry (id, practice_id, chart_id, entry_date, source, comment, ${columns})
       SELECT gen_random_uuid(), practice_id, id, '2026-11-02', 'journal', '', ${values} FROM chart WHERE id = $1`;
    let chart: string;
    beforeAll(async () => {
      const clientId = base.split('/')[2];
      const { rows } = await server.pool.query('SELECT id FROM chart WHERE client_id = $1', [
        clientId,
      ]);
      chart = rows[0].id;
    });

    const lines = (entry: string, amounts: readonly number[], more = ''): string => `
      WITH posted AS (${entry} RETURNING id, chart_id)
      INSERT INTO entry_line (chart_id, entry_id, line_number, account_id, amount${more === '' ? '' : ', entry_date, sequence'})
      SELECT posted.chart_id, posted.id, number, $2, amount${more}
      FROM posted, unnest(ARRAY[${amounts.join(',')}]::bigint[]) WITH ORDINALITY AS line (amount, number)`;
    const someEntry =
      '(SELECT id FROM entry WHERE chart_id = $1 AND reverses IS NULL ORDER BY sequence LIMIT 1)';

    it.each([
      ['a number beyond the newest', (): string => insert('number', 'chart.entries + 1'), 'entry_numbers_follow'],
      ['a number that another entry bears', (): string => insert('number', 'chart.entries'), 'entry_numbered_once'],
      ['what is typed by nobody', (): string => insert('by_hand', 'true'), 'entry_by_hand_has_author'],
      ['an author of another practice', (): string => insert('author_id', 'gen_random_uuid()'), 'entry_by_one_of_the_practice'],
      ['what takes an entry back and is not its opposite', (): string => lines(insert('reverses', someEntry), [1, -1]), 'entry_reverses_whole'],
      ['a line on another day than its entry', (): string => lines(insert('number', 'NULL'), [5, -5], `, date '2026-11-03', 1`), 'entry_line_stands_with_entry'],
      ['a lock that is changed', (): string => 'UPDATE period_lock SET through = NULL', 'period_lock_stays'],
      ['books that are opened by hand', (): string => 'UPDATE chart SET locked_through = NULL', 'chart_is_counted'],
    ] as const)('%s', async (_what, text, rule) => {
      const values = [chart, id('1010')].slice(0, ['$1', '$2'].filter((place) => text().includes(place)).length);
      expect(await brokenRule(server.pool, text(), values)).toBe(rule);
    }); // prettier-ignore

    it('what is typed onto stock, and takes what comes from elsewhere', async () => {
      const by = `(SELECT id FROM app_user WHERE email = '${MAREN}')`;
      const stock = [chart, id('1320')];
      const typed = lines(insert('by_hand, author_id', `true, ${by}`), [5, -5]);
      const brought = lines(insert('author_id', by), [5, -5]);
      expect(await brokenRule(server.pool, typed, stock)).toBe('entry_line_not_on_system_only');
      expect(await brokenRule(server.pool, brought, stock)).toBe('nothing');
    });

    it('anything on a day that is locked', async () => {
      const lock = `INSERT INTO period_lock (practice_id, chart_id, number, through, author_id, note)
                    SELECT practice_id, id, 1, '2026-11-02', (SELECT id FROM app_user WHERE email = '${MAREN}'), ''
                    FROM chart WHERE id = $1`;
      expect(await brokenRule(server.pool, lock, [chart])).toBe('nothing');
      const late = lines(insert('number', 'NULL'), [5, -5]);
      expect(await brokenRule(server.pool, late, [chart, id('1010')])).toBe('entry_in_open_period');
    });
  });
});
