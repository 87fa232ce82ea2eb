import { join } from 'node:path';
import { readFileSync } from 'node:fs';
import type { BenchChart, RevisionAnswer } from '@iunctus/contract';
import { usualPlan, type NumberPlan, type Operation } from '@iunctus/core';
import {
  adoptAs,
  benchChart,
  clientNamed,
  freshDatabase,
  idOf,
  MAREN,
  serveDemo,
  type Caller,
  type Running,
} from './harness';

describe('renumbering a chart', () => {
  let server: Running;
  let maren: Caller;
  let clientId: string;
  let chart: BenchChart;
  beforeEach(async () => {
    server = await serveDemo();
    maren = await server.signedIn(MAREN);
    clientId = (await clientNamed(maren, 'Tern Street Ceramics')).id;
    chart = await benchChart(maren, clientId);
  });
  afterEach(() => server.stop());

  const adopt = (...operations: Operation[]) => adoptAs(maren, clientId, ...operations);
  const swap = (): Operation => ({
    type: 'renumberMany',
    numbers: [
      { id: idOf(chart, '6000'), number: '6001' },
      { id: idOf(chart, '6001'), number: '6000' },
    ],
  });

  it('lets two accounts swap numbers', async () => {
    expect((await adopt(swap())).status).toBe(200);
    const after = await benchChart(maren, clientId);
    expect(idOf(after, '6000')).toBe(idOf(chart, '6001'));
  });

  it('keeps the crosswalk with the revision', async () => {
    await adopt(swap());
    const { body } = await maren.ask<RevisionAnswer[]>('GET', `/clients/${clientId}/revisions`);
    expect(body[0]?.crosswalk).toEqual([
      { id: idOf(chart, '6000'), from: '6000', to: '6001' },
      { id: idOf(chart, '6001'), from: '6001', to: '6000' },
    ]);
    expect(body[1]?.crosswalk).toEqual([]);
  });

  it('remembers the numbers and names that accounts bore', async () => {
    const id = idOf(chart, '6110');
    await adopt({ type: 'renumber', id, number: '6115' });
    await adopt({ type: 'editField', id, field: 'name', value: 'Meals away' });
    const { former } = await benchChart(maren, clientId);
    expect(former).toEqual([
      { accountId: id, number: '6115', name: 'Meals', untilRevision: 3 },
      { accountId: id, number: '6110', name: 'Meals', untilRevision: 2 },
    ]);
  });

  it('keeps the number plan, and takes it back with the revision', async () => {
    const plan = { ...usualPlan(5), step: 50 };
    await adopt({ type: 'setPlan', plan, numbered: false });
    const { settings } = await benchChart(maren, clientId);
    expect([settings.plan, settings.numbered]).toEqual([plan, false]);
    const undo = await maren.ask<{ operations: Operation[] }>(
      'GET',
      `/clients/${clientId}/revisions/2/undo`,
    );
    expect(undo.body.operations).toEqual([
      { type: 'setPlan', plan: chart.settings.plan, numbered: true },
    ]);
  });

  it('refuses a plan that contradicts itself, and changes nothing', async () => {
    const plan = { ...usualPlan(4), levels: [1, 1] };
    expect(await adopt({ type: 'setPlan', plan, numbered: true })).toMatchObject({
      status: 422,
      body: { code: 'refused', refusal: { code: 'planWrong', value: 'levelsDoNotAddUp' } },
    });
    expect((await benchChart(maren, clientId)).settings).toEqual(chart.settings);
  });
});

describe('charts from before there were number plans', () => {
  it('are given the usual plan of their digits', async () => {
    const pool = await freshDatabase();
    const sql = readFileSync(join(__dirname, '../migrations/0004_number_plan.sql'), 'utf8');
    const practice = '00000000-0000-4000-8000-000000000001';
    await pool.query('DROP TABLE account_former; ALTER TABLE chart DROP COLUMN plan;');
    await pool.query('ALTER TABLE chart ADD COLUMN digits smallint NOT NULL');
    await pool.query('INSERT INTO practice VALUES ($1, $2)', [practice, 'Practice']);
    for (const digits of [2, 3, 4, 5, 6]) {
      const id = `00000000-0000-4000-8000-00000000001${digits}`;
      await pool.query(
        `INSERT INTO client VALUES ($1, $2, $3, 'soleOwner', NULL, 'US', 'USD', 1)`,
        [id, practice, `Client ${digits}`],
      );
      await pool.query(
        `INSERT INTO chart (id, practice_id, client_id, digits, numbered, unique_names)
         VALUES ($1, $2, $1, $3, true, 'chart')`,
        [id, practice, digits],
      );
    }
    await pool.query(sql);
    const later = readFileSync(
      join(__dirname, '../migrations/0018_kinds_and_one_member.sql'),
      'utf8',
    );
    await pool.query(later.slice(later.indexOf('UPDATE chart')));
    const { rows } = await pool.query<{ plan: NumberPlan }>(
      "SELECT plan FROM chart ORDER BY (plan->>'digits')::int",
    );
    const inOrder = ({ ranges, ...plan }: NumberPlan): NumberPlan => ({
      ...plan,
      ranges: ranges.map((range) => ({ ...range, kinds: [...range.kinds].sort() })),
    });
    expect(rows.map(({ plan }) => inOrder(plan))).toEqual(
      [2, 3, 4, 5, 6].map((digits) => inOrder(usualPlan(digits))),
    );
    await pool.end();
  });
});
