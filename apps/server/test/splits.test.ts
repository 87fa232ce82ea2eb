import { randomUUID } from 'node:crypto';
import type { BalancesAnswer, BenchChart, PostingsAnswer, SplitsAnswer } from '@iunctus/contract';
import { plainAccount, type Operation, type PostingChoice, type Split } from '@iunctus/core';
import { maybeChart } from '../src/charts/charts.queries';
import { manyWrongSplitTotals } from '../src/postings/splits.queries';
import {
  adoptAs,
  benchChart,
  clientNamed,
  idOf,
  MAREN,
  serveDemo,
  TOBIAS,
  type Caller,
  type Running,
} from './harness';

const PERIOD = { first: '2025-07', last: '2026-10' };

describe('splitting an account', () => {
  let server: Running;
  let maren: Caller;
  let clientId: string;
  let chart: BenchChart;
  let upTo: number;
  beforeEach(async () => {
    server = await serveDemo();
    maren = await server.signedIn(MAREN);
    clientId = (await clientNamed(maren, 'Kestrel Lane Cider Works')).id;
    chart = await benchChart(maren, clientId);
    ({ upTo } = await postings('4020'));
  });
  afterEach(() => server.stop());

  const postings = async (...numbers: string[]): Promise<PostingsAnswer> => {
    const accounts = numbers.map((number) => idOf(chart, number));
    const { body } = await maren.ask<PostingsAnswer>('POST', `/clients/${clientId}/postings`, {
      accounts,
    });
    return body;
  };
  const choice = (more: Partial<PostingChoice>): PostingChoice => ({
    first: null,
    last: null,
    sources: [],
    words: '',
    value: null,
    upTo,
    ...more,
  });
  const part = (name: string, number: string, more: Partial<PostingChoice>, from = '4020') => {
    const account = plainAccount({ id: randomUUID(), number, name, kind: 'saleOfGoods' });
    const split: Split = {
      id: randomUUID(),
      from: idOf(chart, from),
      into: account.id,
      choice: choice(more),
    };
    const operations: Operation[] = [
      { type: 'addAccount', account, parentId: idOf(chart, from), afterId: null },
      { type: 'split', split },
    ];
    return { account, split, operations };
  };
  const lookAt = async (...splits: Split[]) => {
    const { body } = await maren.ask<SplitsAnswer>('POST', `/clients/${clientId}/splits`, {
      ...PERIOD,
      splits,
      without: [],
    });
    return body;
  };
  const adopt = (...operations: Operation[]) => adoptAs(maren, clientId, ...operations);
  const balances = async (): Promise<BalancesAnswer> => {
    const query = new URLSearchParams(PERIOD).toString();
    return (await maren.ask<BalancesAnswer>('GET', `/clients/${clientId}/balances?${query}`)).body;
  };

  it('says by what the postings of an account can be chosen', async () => {
    const facts = await postings('4020');
    expect(facts).toMatchObject({ postings: 64, first: '2025-07-04', last: '2026-10-22' });
    expect(facts.sources).toEqual([{ source: 'sales', postings: 64 }]);
    expect(facts.comments[0]).toMatchObject({ postings: 16 });
    expect(facts.years.map(({ first, last }) => [first, last])).toEqual([
      ['2026-07', '2027-06'],
      ['2025-07', '2026-06'],
    ]);
    const total = (await balances()).amounts.find(([id]) => id === idOf(chart, '4020'))?.[1];
    expect(facts.years.reduce((so, { amount }) => so + amount, 0)).toBe(total);
    const { dimensions } = (await benchChart(maren, clientId)).settings;
    const counts = new Map(facts.values.map(({ valueId, postings: count }) => [valueId, count]));
    expect(dimensions[0]?.values.map(({ id, name }) => [name, counts.get(id)])).toEqual([
      ['Town', 32],
      ['Valley', 16],
      ['Coast', 16],
    ]);
  });

  it('shows beforehand what moves, the second part without what the first one took', async () => {
    const heron = part('Copper Heron', '4021', { words: 'copper heron' });
    const rest = part('Others', '4022', {});
    const [first, second] = await lookAt(heron.split, rest.split);
    expect([first?.postings, second?.postings]).toEqual([16, 48]);
    const row = (await balances()).amounts.find(([id]) => id === idOf(chart, '4020'));
    expect((first?.total ?? 0) + (second?.total ?? 0)).toBe(row?.[1]);
    expect(first?.newest[0]).toMatchObject({ comment: 'Invoice to The Copper Heron' });
  });

  it('comes to the same amounts once it is adopted, and leaves what was posted alone', async () => {
    const { dimensions } = (await benchChart(maren, clientId)).settings;
    const [dimension] = dimensions;
    const coast = dimension?.values.find(({ name }) => name === 'Coast');
    const value = { dimensionId: dimension?.id ?? '', valueId: coast?.id ?? '' };
    const own = part('Coast', '4021', { value });
    const before = await balances();
    const [seen] = await lookAt(own.split);
    expect(seen?.postings).toBe(16);
    expect((await adopt(...own.operations)).status).toBe(200);
    const after = await balances();
    expect(after.amounts).toEqual(before.amounts);
    expect(after.splits).toEqual([seen?.amounts]);
    expect((await benchChart(maren, clientId)).splits).toEqual([own.split]);
  });

  it('keeps its totals by month as the moved lines come to them', async () => {
    await adopt(...part('Copper Heron', '4021', { words: 'copper' }).operations);
    const viewer = {
      practiceId: '5f0c9a52-6b1e-4f7a-9d5c-3f0a8b1c2d01',
      userId: '',
      role: 'administrator',
      clientId: null,
    } as const;
    const head = await maybeChart(server.pool, viewer, clientId);
    if (head === undefined) throw new Error('no chart');
    expect(await manyWrongSplitTotals(server.pool, head)).toEqual([]);
    await server.pool.query('ALTER TABLE account_split_month_total DISABLE TRIGGER USER');
    await server.pool.query('UPDATE account_split_month_total SET amount = amount + 1');
    expect(await manyWrongSplitTotals(server.pool, head)).toHaveLength(16);
  });

  it('finds again what a split that is to be taken back had moved', async () => {
    const own = part('Copper Heron', '4021', { words: 'heron' });
    await adopt(...own.operations);
    const again = part('All', '4022', {}).split;
    const asked = async (without: readonly string[]) => {
      const request = { ...PERIOD, splits: [again], without };
      const { body } = await maren.ask<SplitsAnswer>(
        'POST',
        `/clients/${clientId}/splits`,
        request,
      );
      return body[0]?.postings;
    };
    expect(await asked([])).toBe(48);
    expect(await asked([own.split.id])).toBe(64);
  });

  it('does not move what is posted afterwards', async () => {
    const own = part('Sold on account', '4021', {});
    await adopt(...own.operations);
    const moved = (await balances()).splits;
    const { dimensions } = (await benchChart(maren, clientId)).settings;
    const values = JSON.stringify({ [dimensions[0]?.id ?? '']: dimensions[0]?.values[0]?.id });
    await server.pool.query(
      `WITH entry AS (
         INSERT INTO entry (id, practice_id, chart_id, entry_date, source, comment)
         SELECT $1, practice_id, id, '2025-08-01', 'journal', '' FROM chart WHERE client_id = $2
         RETURNING id, chart_id
       )
       INSERT INTO entry_line (chart_id, entry_id, line_number, account_id, amount, dimension_values)
       SELECT entry.chart_id, entry.id, line.number, line.account, line.amount, $5::jsonb
       FROM entry, (VALUES (1, $3::uuid, 500::bigint), (2, $4::uuid, -500)) AS line (number, account, amount)`,
      [randomUUID(), clientId, idOf(chart, '1010'), idOf(chart, '4020'), values],
    );
    expect((await balances()).splits).toEqual(moved);
    expect(await postings('4020')).toMatchObject({ postings: 1 });
  });

  it('can be split further, and is taken back from the end', async () => {
    const sold = part('Sold on account', '4021', {});
    await adopt(...sold.operations);
    const into = { ...part('Copper Heron', '4023', { words: 'heron' }).account };
    const further: Split = {
      id: randomUUID(),
      from: sold.account.id,
      into: into.id,
      choice: choice({ words: 'heron' }),
    };
    const place = { parentId: idOf(chart, '4020'), afterId: sold.account.id };
    await adopt({ type: 'addAccount', account: into, ...place }, { type: 'split', split: further });
    expect((await balances()).splits).toHaveLength(2);
    const early = await adopt({ type: 'unsplit', split: sold.split });
    expect(early).toMatchObject({ status: 422, body: { refusal: { code: 'splitFurther' } } });
    await adopt({ type: 'unsplit', split: further }, { type: 'unsplit', split: sold.split });
    expect((await balances()).splits).toEqual([]);
    expect(await postings('4020')).toMatchObject({ postings: 64 });
  });

  it('is undone with its revision, and the new account goes with it', async () => {
    const own = part('Copper Heron', '4021', { words: 'heron' });
    await adopt(...own.operations);
    const { revision } = await benchChart(maren, clientId);
    const { body } = await maren.ask<{ operations: Operation[] }>(
      'GET',
      `/clients/${clientId}/revisions/${revision}/undo`,
    );
    expect(body.operations.map(({ type }) => type)).toEqual(['unsplit', 'deleteAccount']);
    expect((await adopt(...body.operations)).status).toBe(200);
    const after = await benchChart(maren, clientId);
    expect(after.splits).toEqual([]);
    expect(after.accounts).toHaveLength(chart.accounts.length);
  });

  it('is not shown to another practice’s user, nor asked about no account', async () => {
    const elsewhere = { ...PERIOD, splits: [], without: [] };
    const stranger = server.anybody();
    expect((await stranger.ask('POST', `/clients/${clientId}/splits`, elsewhere)).status).toBe(401);
    const none = await maren.ask('POST', `/clients/${clientId}/postings`, { accounts: [] });
    expect(none.status).toBe(400);
    const tobias = await server.signedIn(TOBIAS);
    const missing = await tobias.ask('POST', `/clients/${randomUUID()}/splits`, elsewhere);
    expect(missing.status).toBe(404);
  });
});
