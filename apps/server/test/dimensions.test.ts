import { randomUUID } from 'node:crypto';
import type { BenchChart } from '@iunctus/contract';
import type { Operation } from '@iunctus/core';
import {
  adoptAs,
  benchChart,
  clientNamed,
  idOf,
  MAREN,
  serveDemo,
  type Caller,
  type Running,
} from './harness';

describe('dimensions and settings', () => {
  let server: Running;
  let maren: Caller;
  let clientId: string;
  let chart: BenchChart;
  beforeEach(async () => {
    server = await serveDemo();
    maren = await server.signedIn(MAREN);
    clientId = (await clientNamed(maren, 'Kestrel Lane Cider Works')).id;
    chart = await benchChart(maren, clientId);
  });
  afterEach(() => server.stop());

  const adopt = (...operations: Operation[]) => adoptAs(maren, clientId, ...operations);
  const sell = (values: object) =>
    server.pool.query(
      `WITH entry AS (
         INSERT INTO entry (id, practice_id, chart_id, entry_date, source, comment)
         SELECT $1, practice_id, id, '2026-10-01', 'journal', '' FROM chart WHERE client_id = $2
         RETURNING id, chart_id
       )
       INSERT INTO entry_line (chart_id, entry_id, line_number, account_id, amount, dimension_values)
       SELECT entry.chart_id, entry.id, line.number, line.account, line.amount, line.carried
       FROM entry, (VALUES (1, $3::uuid, 500::bigint, '{}'::jsonb), (2, $4::uuid, -500, $5::jsonb))
         AS line (number, account, amount, carried)`,
      [randomUUID(), clientId, idOf(chart, '1010'), idOf(chart, '4020'), JSON.stringify(values)],
    );

  it('come with the chart, and with the values that postings carry', () => {
    const [market] = chart.settings.dimensions;
    expect(market?.values.map(({ name }) => name)).toEqual(['Town', 'Valley', 'Coast']);
    expect(new Set(chart.usedValues)).toEqual(new Set(market?.values.map(({ id }) => id)));
  });

  it('refuse to lose a value that postings carry', async () => {
    const [market] = chart.settings.dimensions;
    if (market === undefined) throw new Error('no dimension');
    const dimension = { ...market, values: market.values.slice(1) };
    const { status, body } = await adopt({
      type: 'setDimension',
      id: market.id,
      dimension,
      afterId: null,
    });
    expect([status, body.refusal?.code]).toEqual([422, 'valueInUse']);
  });

  it('gain a value, and keep it', async () => {
    const [market] = chart.settings.dimensions;
    if (market === undefined) throw new Error('no dimension');
    const dimension = {
      ...market,
      values: [...market.values, { id: randomUUID(), name: 'Online' }],
    };
    await adopt({ type: 'setDimension', id: market.id, dimension, afterId: null });
    expect((await benchChart(maren, clientId)).settings.dimensions).toEqual([dimension]);
  });

  it('tell what is restricted from the rest on a statement, once a value is', async () => {
    const [market] = chart.settings.dimensions;
    if (market === undefined) throw new Error('no dimension');
    const [town, ...others] = market.values;
    if (town === undefined) throw new Error('no value');
    const dimension = { ...market, values: [{ ...town, restricted: true as const }, ...others] };
    await adopt({ type: 'setDimension', id: market.id, dimension, afterId: null });
    expect((await benchChart(maren, clientId)).settings.dimensions).toEqual([dimension]);
    const sheet = async (columns: string): Promise<readonly string[]> => {
      const query = new URLSearchParams({ sheet: 'profitAndLoss', first: '2026-07', last: '2026-10', columns }); // prettier-ignore
      const path = `/api/clients/${clientId}/exports/statement-csv?${query.toString()}`;
      const file = await fetch(`${server.base}${path}`, { headers: { cookie: maren.cookie } });
      return (await file.text()).split('\r\n');
    };
    const [head, ...rows] = await sheet('restrictions');
    expect(head).toContain('Without restrictions,With restrictions');
    const revenue = (lines: readonly string[]) =>
      lines
        .find((line) => line.startsWith('Net revenue'))
        ?.split(',')
        .slice(1)
        .map(Number) ?? [];
    const [without = 0, restricted = 0, whole = 0] = revenue(rows);
    expect(revenue(await sheet(`by ${market.id}`))[0]).toBe(restricted);
    expect(restricted).toBeGreaterThan(0);
    expect(Math.round(100 * (without + restricted))).toBe(Math.round(100 * whole));
  });

  it('are demanded of postings by the database as well', async () => {
    await expect(sell({})).rejects.toMatchObject({ constraint: 'entry_line_value_demanded' });
    const [market] = chart.settings.dimensions;
    const unknown = { [market?.id ?? '']: randomUUID() };
    await expect(sell(unknown)).rejects.toMatchObject({ constraint: 'entry_line_value_known' });
    const known = { [market?.id ?? '']: market?.values[0]?.id };
    await expect(sell(known)).resolves.toMatchObject({ rowCount: 2 });
  });

  it('keep every setting of an account, and give it back to the kind', async () => {
    const id = idOf(chart, '1010');
    const bank = {
      institution: 'Quay Bank',
      routing: '021000089',
      accountNumber: '00042',
      nextCheque: '118',
      nextDeposit: '7',
    };
    await adopt(
      { type: 'changeSetting', id, setting: 'bank', value: bank },
      { type: 'changeSetting', id, setting: 'currency', value: 'USD' },
    );
    const settings = async () =>
      (await benchChart(maren, clientId)).accounts.find((account) => account.id === id)?.settings;
    expect(await settings()).toEqual({ bank, currency: 'USD' });
    await adopt({ type: 'changeSetting', id, setting: 'bank', value: null });
    expect(await settings()).toEqual({ currency: 'USD' });
  });

  it('name the setting that a kind does not offer', async () => {
    const wrong: Operation = {
      type: 'changeSetting',
      id: idOf(chart, '4010'),
      setting: 'openItems',
      value: true,
    };
    const { status, body } = await adopt(wrong);
    expect(status).toBe(422);
    expect(body.refusal).toMatchObject({ code: 'settingNotOffered', setting: 'openItems' });
  });

  it('find operations from before they existed completed by the migration', async () => {
    const { rows } = await server.pool.query<{ bare: string }>(
      `SELECT count(*) AS bare FROM revision, jsonb_array_elements(operations) AS operation
       WHERE operation ? 'account' AND NOT operation -> 'account' ? 'settings'`,
    );
    expect(rows[0]?.bare).toBe('0');
  });
});
