import { randomUUID } from 'node:crypto';
import { benchChart, clientNamed, idOf, MAREN, serveDemo, type Running } from './harness';

describe('the database backs the rules of the chart', () => {
  let server: Running;
  let chartId: string;
  let id: (number: string) => string;
  beforeAll(async () => {
    server = await serveDemo();
    const maren = await server.signedIn(MAREN);
    const client = await clientNamed(maren, 'Kestrel Lane Cider Works');
    const chart = await benchChart(maren, client.id);
    id = (number) => idOf(chart, number);
    const { rows } = await server.pool.query('SELECT id FROM chart WHERE client_id = $1', [
      client.id,
    ]);
    chartId = rows[0].id;
  });
  afterAll(() => server.stop());

  const broken = async (text: string, values: unknown[] = []): Promise<string> => {
    const error = await server.pool.query(text, values).then(
      () => undefined,
      (reason: { constraint?: string; message: string }) => reason,
    );
    return error?.constraint ?? error?.message ?? 'nothing';
  };

  const post = async (
    date: string,
    lines: readonly (readonly [string, number])[],
  ): Promise<string> => {
    const entryId = randomUUID();
    return broken(
      `WITH posted AS (
         INSERT INTO entry (id, practice_id, chart_id, entry_date, source, comment)
         SELECT $2, practice_id, id, $5, 'journal', '' FROM chart WHERE id = $1 RETURNING id
       )
       INSERT INTO entry_line (chart_id, entry_id, line_number, account_id, amount)
       SELECT $1, posted.id, number, account, amount
       FROM posted, unnest($3::uuid[], $4::bigint[]) WITH ORDINALITY AS line (account, amount, number)`,
      [
        chartId,
        entryId,
        lines.map(([account]) => account),
        lines.map(([, amount]) => amount),
        date,
      ],
    );
  };

  it('keeps numbers unique in a chart', async () => {
    expect(await broken('UPDATE account SET number = $1 WHERE id = $2', ['1010', id('1020')])).toBe(
      'account_number_unique',
    );
  });

  it('keeps names unique among siblings, whatever their case', async () => {
    expect(
      await broken('UPDATE account SET name = $1 WHERE id = $2', ['OPERATING account', id('1020')]),
    ).toBe('account_name_unique_among_siblings');
  });

  it('keeps a parent within the chart', async () => {
    expect(
      await broken('UPDATE account SET parent_id = $1 WHERE id = $2', [randomUUID(), id('1020')]),
    ).toBe('account_parent_in_chart');
  });

  it('keeps the account for results of closed years open', async () => {
    expect(
      await broken(`UPDATE account SET retired_on = '2026-11-01' WHERE id = $1`, [id('3050')]),
    ).toBe('account_system_use_is_open');
  });

  it('posts entries that balance', async () => {
    expect(
      await post('2026-11-02', [
        [id('1010'), 500],
        [id('4010'), -500],
      ]),
    ).toBe('nothing');
  });

  it('posts no entry that does not balance', async () => {
    expect(
      await post('2026-11-02', [
        [id('1010'), 500],
        [id('4010'), -499],
      ]),
    ).toBe('entry_balances');
  });

  it('posts nothing to a heading', async () => {
    expect(
      await post('2026-11-02', [
        [id('1000'), 500],
        [id('4010'), -500],
      ]),
    ).toBe('entry_line_not_on_heading');
  });

  it('posts nothing new to a retired account, and lets what is older stand', async () => {
    await server.pool.query(`UPDATE account SET retired_on = '2026-11-01' WHERE id = $1`, [
      id('6350'),
    ]);
    expect(
      await post('2026-11-01', [
        [id('6350'), 500],
        [id('1010'), -500],
      ]),
    ).toBe('entry_line_not_on_retired');
    expect(
      await post('2026-10-31', [
        [id('6350'), 500],
        [id('1010'), -500],
      ]),
    ).toBe('nothing');
  });

  it('makes no heading of an account that has postings', async () => {
    expect(await broken(`UPDATE account SET role = 'heading' WHERE id = $1`, [id('4010')])).toBe(
      'account_heading_without_postings',
    );
  });

  it('deletes no account that has postings', async () => {
    expect(await broken('DELETE FROM account WHERE id = $1', [id('4010')])).toMatch(/account/);
  });

  it('changes and removes no posted line', async () => {
    expect(await broken('UPDATE entry_line SET amount = 1')).toBe('entry_line_immutable');
    expect(await broken('DELETE FROM entry_line')).toBe('entry_line_immutable');
  });
});
