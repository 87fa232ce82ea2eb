import type {
  EntryAnswer,
  JournalAnswer,
  PostEntryRequest,
  RegisterAnswer,
  RegisterRequest,
} from '@iunctus/contract';
import { randomUUID } from 'node:crypto';
import { maybeChart } from '../src/charts/charts.queries';
import { manyWrongTotals } from '../src/postings/balances.queries';
import {
  adoptAs,
  benchChart,
  clientNamed,
  idOf,
  MAREN,
  serveDemo,
  somebodyIn,
  TOBIAS,
  type Answer,
  type Caller,
  type Running,
} from './harness';

interface Books {
  readonly server: Running;
  readonly maren: Caller;
  readonly base: string;
  id(number: string): string;
}

const openBooks = async (): Promise<Books> => {
  const server = await serveDemo();
  const maren = await server.signedIn(MAREN);
  const { id: clientId } = await clientNamed(maren, 'Kestrel Lane Cider Works');
  const bench = await benchChart(maren, clientId);
  return { server, maren, base: `/clients/${clientId}`, id: (number) => idOf(bench, number) };
};

type Refused = {
  code: string;
  by?: string;
  faults?: { line: number | null; fault: { code: string } }[];
};

const entryOf = (
  lines: readonly (readonly [accountId: string, amount: number])[],
  more: Partial<PostEntryRequest> = {},
): PostEntryRequest => ({
  id: randomUUID(),
  date: new Date().toISOString().slice(0, 10),
  source: 'journal',
  comment: 'Typed',
  corrects: null,
  standing: null,
  draftId: null,
  lines: lines.map(([accountId, amount]) => ({
    accountId,
    amount,
    values: {},
    comment: '',
    foreign: null,
  })),
  ...more,
});

const ANYTHING = { first: null, last: null, source: null, text: '' };

describe('the books of a client', () => {
  let books: Books;
  let rent: (more?: Partial<PostEntryRequest>) => PostEntryRequest;
  beforeAll(async () => {
    books = await openBooks();
    rent = (more = {}) =>
      entryOf(
        [
          [books.id('6110'), 900_00],
          [books.id('1010'), -900_00],
        ],
        more,
      );
  });
  afterAll(() => books.server.stop());

  const post = <T = { number: number }>(request: PostEntryRequest, who = books.maren) =>
    who.ask<T>('POST', `${books.base}/entries`, request);
  const refused = async (request: PostEntryRequest) =>
    (await post<Refused>(request)).body.faults?.map(({ line, fault }) => [line, fault.code]);
  const journal = async (more: object = {}): Promise<EntryAnswer[]> => {
    const asked = { ...ANYTHING, before: null, ...more };
    const { body } = await books.maren.ask<JournalAnswer>('POST', `${books.base}/journal`, asked);
    return body.entries;
  };
  const wholeEntry = async (id: string): Promise<EntryAnswer> =>
    (await books.maren.ask<EntryAnswer>('GET', `${books.base}/entries/${id}`)).body;
  const reverse = <T = { number: number }>(
    id: string,
    more: object = {},
    who = books.maren,
  ): Promise<Answer<T>> =>
    who.ask<T>('POST', `${books.base}/entries/${id}/reversal`, {
      id: randomUUID(),
      date: new Date().toISOString().slice(0, 10),
      comment: 'Taken back',
      ...more,
    });
  const lock = <T = Refused>(was: string | null, through: string | null, who = books.maren) =>
    who.ask<T>('POST', `${books.base}/locks`, { was, through, note: 'sent to the bank' });
  const chartId = async (): Promise<string> => {
    const { rows } = await books.server.pool.query('SELECT id FROM chart WHERE client_id = $1', [
      books.base.split('/')[2],
    ]);
    return rows[0].id;
  };
  const wrongTotals = async () => {
    const viewer = await books.server.pool.query(
      'SELECT app_user.id AS "userId", practice_id AS "practiceId" FROM app_user WHERE email = $1',
      [MAREN],
    );
    const head = await maybeChart(
      books.server.pool,
      viewer.rows[0],
      books.base.split('/')[2] ?? '',
    );
    return head === undefined ? null : manyWrongTotals(books.server.pool, head);
  };

  it('take an entry that is typed, and number it after the newest', async () => {
    const before = Math.max(...(await journal()).map(({ number }) => number));
    const request = rent({ comment: 'Rent of the press house' });
    const { status, body } = await post(request);
    expect(status).toBe(200);
    expect(body.number).toBeGreaterThan(before);
    expect(await wholeEntry(request.id)).toMatchObject({
      number: body.number,
      comment: 'Rent of the press house',
      author: 'Maren Oake',
      reversedBy: null,
    });
    expect(await wrongTotals()).toEqual([]);
  });

  it('post it once, however often it is asked for under one id', async () => {
    const request = rent();
    const answers = await Promise.all([post(request), post(request), post(request)]);
    expect(answers.map(({ status }) => status)).toEqual([200, 200, 200]);
    expect(new Set(answers.map(({ body }) => body.number)).size).toBe(1);
    const { rows } = await books.server.pool.query('SELECT 1 FROM entry WHERE id = $1', [
      request.id,
    ]);
    expect(rows).toHaveLength(1);
  });

  it('refuse what is unbalanced, on a heading, on nothing, by line; nothing of it is kept', async () => {
    const odd = entryOf([
      [books.id('6110'), 900_00],
      [books.id('1000'), -800_00],
      [randomUUID(), -50_00],
    ]);
    expect(await refused(odd)).toEqual([
      [null, 'unbalanced'],
      [1, 'heading'],
      [2, 'gone'],
    ]);
    expect((await books.maren.ask('GET', `${books.base}/entries/${odd.id}`)).status).toBe(404);
  });

  it('are closed to reviewers, and do not know the accounts of another client', async () => {
    const { rows } = await books.server.pool.query('SELECT client_id FROM chart');
    const other = rows.find(({ client_id }) => !books.base.endsWith(client_id))?.client_id;
    const reviewer = await somebodyIn(books.server, 'reviewer');
    expect((await post(rent(), reviewer)).status).toBe(403);
    const elsewhere = await books.maren.ask<Refused>(
      'POST',
      `/clients/${other}/entries`,
      rent({ id: randomUUID() }),
    );
    expect(elsewhere.status).toBe(422);
    expect(elsewhere.body.faults?.map(({ fault }) => fault.code)).toEqual(['gone', 'gone']);
  });

  it('take an entry back by its opposite, once, tied to one another', async () => {
    const request = rent({ comment: 'Twice by mistake' });
    await post(request);
    const races = await Promise.all([reverse(request.id), reverse(request.id)]);
    expect(races.map(({ status }) => status).sort()).toEqual([200, 409]);
    const back = (await wholeEntry(request.id)).reversedBy;
    const taken = await wholeEntry(back?.id ?? '');
    expect(taken.reverses?.id).toBe(request.id);
    expect(taken.lines.map(({ amount }) => amount)).toEqual([-900_00, 900_00]);
    expect(await wrongTotals()).toEqual([]);
  });

  it('take a correction only for what is taken back, and one for each', async () => {
    const request = rent();
    await post(request);
    expect((await post(rent({ corrects: request.id }))).status).toBe(400);
    await reverse(request.id);
    const right = rent({ corrects: request.id });
    expect((await post(right)).status).toBe(200);
    expect((await wholeEntry(request.id)).correctedBy?.id).toBe(right.id);
    expect((await post<Refused>(rent({ corrects: request.id }))).body).toEqual({
      code: 'overtaken',
      by: 'correction',
    });
  });

  it('are locked through a day: nothing is posted there, nor taken back there, until they are opened', async () => {
    const request = rent({ date: '2026-10-15' });
    await post(request);
    expect((await lock(null, '2026-10-31')).status).toBe(200);
    expect(await refused(rent({ date: '2026-10-31' }))).toEqual([[null, 'locked']]);
    expect((await reverse<Refused>(request.id, { date: '2026-10-15' })).body.code).toBe(
      'entryRefused',
    );
    expect((await reverse(request.id, { date: '2026-11-01' })).status).toBe(200);
    const tobias = await books.server.signedIn(TOBIAS);
    expect((await lock(null, '2026-09-30', tobias)).body).toEqual({
      code: 'overtaken',
      by: 'lock',
    });
    expect((await lock('2026-10-31', null)).body).toMatchObject({
      lockedThrough: null,
      locks: [
        { through: null, author: 'Maren Oake' },
        { through: '2026-10-31', note: 'sent to the bank' },
      ],
    });
    expect((await lock(null, '2999-12-31')).status).toBe(400);
  });

  it('keep a race between posting and locking apart: what is posted was open', async () => {
    for (let round = 0; round < 6; round += 1) {
      const request = rent({ date: '2026-09-20' });
      const [posted, locked] = await Promise.all([post(request), lock(null, '2026-09-30')]);
      expect(locked.status).toBe(200);
      expect([200, 422]).toContain(posted.status);
      const { rows } = await books.server.pool.query('SELECT 1 FROM entry WHERE id = $1', [
        request.id,
      ]);
      expect(rows.length).toBe(posted.status === 200 ? 1 : 0);
      await lock('2026-09-30', null);
    }
  });

  it('count every entry of many people once, without a gap in the numbers', async () => {
    const tobias = await books.server.signedIn(TOBIAS);
    const many = Array.from({ length: 24 }, (_one, at) =>
      post(rent({ comment: `race ${at}` }), at % 2 === 0 ? tobias : books.maren),
    );
    const numbers = (await Promise.all(many)).map(({ body }) => body.number);
    expect(new Set(numbers).size).toBe(24);
    const { rows } = await books.server.pool.query(
      `SELECT chart.entries::int, count(*)::int AS there, max(entry.number)::int AS newest
       FROM chart JOIN entry ON entry.chart_id = chart.id WHERE chart.id = $1 GROUP BY 1`,
      [await chartId()],
    );
    expect([rows[0].there, rows[0].newest]).toEqual([rows[0].entries, rows[0].entries]);
    expect(await wrongTotals()).toEqual([]);
  });

  it('give a line in another currency back as it was typed', async () => {
    const request = entryOf([
      [books.id('1010'), 108_45],
      [books.id('6110'), -108_45],
    ]);
    const foreign = { currency: 'EUR', amount: 100_00, rate: '1.0845' };
    const lines = request.lines.map((line, at) => (at === 0 ? { ...line, foreign } : line));
    expect((await post({ ...request, lines })).status).toBe(200);
    expect((await wholeEntry(request.id)).lines[0]?.foreign).toEqual(foreign);
    const wrong = { ...request, id: randomUUID(), lines: lines.map((line) => ({ ...line, amount: line.amount * 2 })) }; // prettier-ignore
    expect(await refused(wrong)).toEqual([[0, 'wrongConversion']]);
  });

  it('are found by words, amount, number, source and day', async () => {
    const request = rent({ comment: 'Café 100% _deposit_', date: '2026-10-20' });
    const { body } = await post(request);
    const found = async (more: object) =>
      (await journal(more)).filter(({ id }) => id === request.id).length;
    expect(await found({ text: '100% _dep' })).toBe(1);
    expect(await found({ text: '100% xdep' })).toBe(0);
    expect(await found({ text: '900.00' })).toBe(1);
    expect(await found({ text: String(body.number) })).toBe(1);
    expect(await found({ source: 'bank' })).toBe(0);
    expect(await found({ first: '2026-10-20', last: '2026-10-20' })).toBe(1);
    expect(await found({ first: '2026-10-21' })).toBe(0);
  });

  it('are read to the first entry, page by page, none twice', async () => {
    const seen: string[] = [];
    let before: object | null = null;
    for (let more = true; more;) {
      const asked: object = { ...ANYTHING, before };
      const { body }: Answer<JournalAnswer> = await books.maren.ask<JournalAnswer>(
        'POST',
        `${books.base}/journal`,
        asked,
      );
      seen.push(...body.entries.map(({ id }) => id));
      const last = body.entries.at(-1);
      before = last === undefined ? null : { date: last.date, sequence: last.sequence };
      more = body.more;
    }
    const { rows } = await books.server.pool.query(
      'SELECT id FROM entry WHERE chart_id = $1 ORDER BY entry_date DESC, sequence DESC',
      [await chartId()],
    );
    expect(seen).toEqual(rows.map(({ id }) => id));
  });
});

describe('the register of accounts', () => {
  let books: Books;
  beforeEach(async () => {
    books = await openBooks();
  });
  afterEach(() => books.server.stop());

  const register = async (
    accounts: readonly string[],
    more: Partial<RegisterRequest> = {},
  ): Promise<RegisterAnswer> => {
    const asked = { ...ANYTHING, accounts, fresh: false, before: null, ...more };
    const { body } = await books.maren.ask<RegisterAnswer>('POST', `${books.base}/register`, asked);
    return body;
  };
  const allLines = async (accounts: readonly string[], more: Partial<RegisterRequest> = {}) => {
    const lines: RegisterAnswer['lines'] = [];
    for (let page = await register(accounts, more); ;) {
      lines.push(...page.lines);
      const last = page.lines.at(-1);
      if (!page.more || last === undefined) return lines;
      page = await register(accounts, {
        ...more,
        before: {
          date: last.date,
          sequence: last.sequence,
          lineNumber: last.lineNumber,
          balance: last.balance - last.amount,
        },
      });
    }
  };
  const balances = async () => {
    const path = `${books.base}/balances?first=2026-07&last=2026-12`;
    const { body } = await books.maren.ask<{ amounts: [string, number, number, number][] }>(
      'GET',
      path,
    );
    return new Map(body.amounts.map(([id, balance]) => [id, balance]));
  };

  it('shows every line with what the account comes to, down from its balance to nothing', async () => {
    const bank = books.id('1010');
    const lines = await allLines([bank]);
    expect(lines.length).toBeGreaterThan(50);
    expect(lines[0]?.balance).toBe((await balances()).get(bank));
    for (const [at, line] of lines.entries())
      expect(line.balance - line.amount).toBe(lines[at + 1]?.balance ?? 0);
  });

  it('narrowed down to words or a source keeps the balances of all lines', async () => {
    const bank = books.id('1010');
    const whole = new Map((await allLines([bank])).map((line) => [`${line.entryId}/${line.lineNumber}`, line.balance])); // prettier-ignore
    const some = await allLines([bank], { source: 'payroll' });
    expect(some.length).toBeGreaterThan(0);
    expect(some.length).toBeLessThan(whole.size);
    for (const line of some)
      expect(line.balance).toBe(whole.get(`${line.entryId}/${line.lineNumber}`));
  });

  it('of a period begins with what there was, or anew with nothing', async () => {
    const accounts = [books.id('1010'), books.id('6010')];
    const [first, last] = ['2026-08-05', '2026-09-20'];
    const carried = await register(accounts, { first, last });
    const fresh = await register(accounts, { first, last, fresh: true });
    const lines = await allLines(accounts, { first, last });
    const moved = lines.reduce((sum, { amount }) => sum + amount, 0);
    expect(carried.after - carried.before).toBe(moved);
    expect([fresh.before, fresh.after]).toEqual([0, moved]);
    const earlier = (await allLines(accounts)).filter(({ date }) => date < first);
    expect(carried.before).toBe(earlier.reduce((sum, { amount }) => sum + amount, 0));
    expect(carried.lines[0]?.balance).toBe(carried.after);
  });

  it('follows postings that a split moved', async () => {
    const [from, into] = [books.id('6110'), books.id('6220')];
    const clientId = books.base.split('/')[2] ?? '';
    const before = await allLines([from]);
    const split = {
      id: randomUUID(),
      from,
      into,
      choice: { first: null, last: '2026-09-30', sources: [], words: '', value: null, upTo: 999_999 }, // prettier-ignore
    };
    const done = await adoptAs(books.maren, clientId, { type: 'split', split });
    expect(done.status).toBe(200);
    const early = before.filter(({ date }) => date <= '2026-09-30');
    expect(early.length).toBeGreaterThan(0);
    expect(await allLines([from])).toHaveLength(before.length - early.length);
    const there = await allLines([into]);
    for (const { entryId } of early)
      expect(there.some((line) => line.entryId === entryId && line.accountId === into)).toBe(true);
    const sum = (lines: RegisterAnswer['lines']) =>
      lines.reduce((so, { amount }) => so + amount, 0);
    expect((await register([from])).after).toBe(sum(await allLines([from])));
    expect((await register([from, into])).after).toBe(sum(await allLines([from, into])));
  });

  it('asks for one account at least', async () => {
    const { status } = await books.maren.ask('POST', `${books.base}/register`, {
      ...ANYTHING,
      accounts: [],
      fresh: false,
      before: null,
    });
    expect(status).toBe(400);
  });
});
