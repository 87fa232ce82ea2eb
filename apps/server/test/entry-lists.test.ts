import type { PostListAnswer, PostListRequest } from '@iunctus/contract';
import {
  chartOf,
  groupEntries,
  readJournal,
  recognizeJournal,
  accountFinder,
  type BookedChartRecord,
} from '@iunctus/core';
import { readFile } from '@iunctus/exchange/reading';
import { parse } from 'csv-parse/sync';
import { randomUUID } from 'node:crypto';
import {
  benchChart,
  clientNamed,
  idOf,
  MAREN,
  serveDemo,
  type Caller,
  type Running,
} from './harness';

describe('lists of entries', () => {
  let server: Running;
  let maren: Caller;
  let base: string;
  let chart: BookedChartRecord;
  let id: (number: string) => string;
  beforeAll(async () => {
    server = await serveDemo();
    maren = await server.signedIn(MAREN);
    const client = await clientNamed(maren, 'Kestrel Lane Cider Works');
    const bench = await benchChart(maren, client.id);
    [base, chart] = [`/clients/${client.id}`, bench];
    id = (number) => idOf(bench, number);
  });
  afterAll(() => server.stop());

  type Entry = PostListRequest['entries'][number];
  const entry = (more: Partial<Entry> = {}, account = id('6110')): Entry => ({
    id: randomUUID(),
    date: '2026-10-13',
    source: 'bank',
    comment: 'From a list',
    lines: [account, id('1010')].map((accountId, at) => ({
      accountId,
      amount: at === 0 ? 5_00 : -5_00,
      values: {},
      comment: '',
      foreign: null,
    })),
    ...more,
  });
  const post = async (entries: Entry[]) =>
    (await maren.ask<PostListAnswer>('POST', `${base}/entry-lists`, { entries })).body;
  const count = async () =>
    Number((await server.pool.query('SELECT count(*) AS all FROM entry')).rows[0].all);

  it('post what is new, pass over what is there, and name what is refused', async () => {
    const [first, second, heading] = [entry(), entry(), entry({}, id('6100'))];
    await post([first]);
    const before = await count();
    expect(await post([first, second, heading])).toMatchObject({
      posted: 1,
      known: 1,
      refused: [{ id: heading.id, faults: [{ line: 0, fault: { code: 'heading' } }] }],
    });
    expect(await count()).toBe(before + 1);
  });

  it('brought in by two people at once are posted once', async () => {
    const entries = Array.from({ length: 40 }, () => entry());
    const before = await count();
    const answers = await Promise.all([post(entries), post(entries)]);
    expect(answers.map(({ posted }) => posted).sort((a, b) => a - b)).toEqual([0, 40]);
    expect(await count()).toBe(before + 40);
  });

  it('are taken onto stock, which nobody types to', async () => {
    expect(await post([entry({}, id('1320'))])).toMatchObject({ posted: 1 });
  });

  it('say which of them are in the books', async () => {
    const known = entry();
    await post([known]);
    const { body } = await maren.ask<{ id: string }[]>('POST', `${base}/known-entries`, {
      ids: [known.id, randomUUID()],
    });
    expect(body.map((one) => one.id)).toEqual([known.id]);
  });

  it('taken out with what closes the year: its income and costs come to nothing, and stay so in the books', async () => {
    const journalAt = async (format: string) => {
      const query = 'first=2025-07&last=2026-06';
      const address = `${server.base}/api${base}/exports/${format}?${query}`;
      const response = await fetch(address, { headers: { cookie: maren.cookie } });
      return parse<Record<string, string>>(Buffer.from(await response.arrayBuffer()), {
        bom: true,
        columns: true,
      });
    };
    const closed = await journalAt('journal-closed');
    const ofYear = new Map<string, number>();
    for (const row of closed) {
      const amount = Math.round((Number(row['Debit']) - Number(row['Credit'])) * 100);
      const account = row['Account'] ?? '';
      if (/^[4-7]/.test(account)) ofYear.set(account, (ofYear.get(account) ?? 0) + amount);
    }
    expect(ofYear.size).toBeGreaterThan(10);
    expect([...ofYear.values()].filter((amount) => amount !== 0)).toEqual([]);
    const added = closed.filter((row) => row['Source'] === 'closing');
    expect(added.at(-1)).toMatchObject({ Account: '3050', Date: '2026-06-30' });
    expect(await journalAt('journal')).toHaveLength(closed.length - added.length);
  });

  it('taken out as a journal are read back as they stand in the books, entry by entry', async () => {
    const response = await fetch(`${server.base}/api${base}/exports/journal`, {
      headers: { cookie: maren.cookie },
    });
    const reading = await readFile(new Uint8Array(await response.arrayBuffer()));
    if (!reading.ok) throw new Error(reading.problem.code);
    const rows = reading.file.sheets[0]?.rows ?? [];
    const whole = chartOf(chart);
    const find = accountFinder(whole);
    const { dimensions } = whole.settings;
    const columns = recognizeJournal(rows, {
      dimensions,
      isAccount: (text) => find(text, '') !== null,
    });
    const read = readJournal({
      rows,
      columns,
      chart: whole,
      currency: 'USD',
      usualOrder: 'monthFirst',
      order: null,
      accounts: new Map(),
      mended: new Map(),
    });
    const books = { currency: 'USD', fiscalYearStart: 7, lockedThrough: null, today: '2026-11-26' };
    const entries = groupEntries(read.lines, { chart: whole, books, source: 'journal' });
    expect(entries.filter(({ hasProblems, faults }) => hasProblems || faults.length > 0)).toEqual(
      [],
    );
    const { rows: there } = await server.pool.query(
      `SELECT entry.entry_date::text AS date, entry.comment, array_agg(line.amount::text ORDER BY line.line_number) AS amounts
       FROM entry JOIN entry_line AS line ON line.chart_id = entry.chart_id AND line.entry_id = entry.id
       JOIN chart ON chart.id = entry.chart_id WHERE chart.client_id = $1
       GROUP BY entry.id, entry.entry_date, entry.comment, entry.sequence ORDER BY entry.entry_date, entry.sequence`,
      [base.split('/')[2]],
    );
    expect(
      entries.map(({ entry: { date, comment, lines } }) => ({
        date,
        comment,
        amounts: lines.map(({ amount }) => String(amount)),
      })),
    ).toEqual(there);
  });
});
