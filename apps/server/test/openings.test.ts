import type { AdoptAnswer } from '@iunctus/contract';
import { plainAccount, type ProposalStep } from '@iunctus/core';
import { randomUUID } from 'node:crypto';
import { manyWrongTotals } from '../src/postings/balances.queries';
import { maybeChart } from '../src/charts/charts.queries';
import {
  adoptSteps,
  aStep,
  benchChart,
  clientNamed,
  MAREN,
  rename,
  serveDemo,
  TOBIAS,
  type Caller,
  type Running,
} from './harness';

type Balance = { accountId: string; amount: number };

describe('opening balances from a list', () => {
  let server: Running;
  let maren: Caller;
  let clientId: string;
  let idOf: (number: string) => string;
  beforeAll(async () => {
    server = await serveDemo();
    maren = await server.signedIn(MAREN);
    clientId = (await clientNamed(maren, 'Kestrel Lane Cider Works')).id;
    const { accounts } = await benchChart(maren, clientId);
    idOf = (number) => accounts.find((account) => account.number === number)?.id ?? '';
  });
  afterAll(() => server.stop());

  const opening = (balances: Balance[], last = '2026-10') => ({
    last,
    list: 'balances.csv',
    balances,
  });

  const adopt = async (steps: ProposalStep[], who = maren) => {
    const { revision: baseRevision } = await benchChart(who, clientId);
    return adoptSteps<AdoptAnswer>(who, clientId, { baseRevision, steps });
  };
  const bring = (balances: Balance[]) =>
    adopt([{ id: randomUUID(), operations: [], opening: opening(balances) }]);

  const balanceOf = async (accountId: string): Promise<number> => {
    const path = `/clients/${clientId}/balances?first=2026-10&last=2026-10`;
    const { body } = await maren.ask<{ amounts: [string, number][] }>('GET', path);
    return body.amounts.find(([id]) => id === accountId)?.[1] ?? 0;
  };
  const wrongTotals = async () => {
    const viewer = await server.pool.query(
      'SELECT app_user.id AS "userId", practice_id AS "practiceId" FROM app_user WHERE email = $1',
      [MAREN],
    );
    const head = await maybeChart(server.pool, viewer.rows[0], clientId);
    return head === undefined ? null : manyWrongTotals(server.pool, head);
  };

  it('are posted with their proposal as one balanced entry of what differs; totals agree', async () => {
    const [bank, payable] = [idOf('1010'), idOf('2000')];
    const [was, owed] = [await balanceOf(bank), await balanceOf(payable)];
    const { body } = await bring([
      { accountId: bank, amount: was + 500 },
      { accountId: payable, amount: owed - 500 },
    ]);
    expect(body.posted).toBe(2);
    expect([await balanceOf(bank), await balanceOf(payable)]).toEqual([was + 500, owed - 500]);
    expect(await wrongTotals()).toEqual([]);
  });

  it('are refused in a locked period, and it is said which', async () => {
    const lock = (was: string | null, through: string | null) =>
      maren.ask('POST', `/clients/${clientId}/locks`, { was, through, note: '' });
    await lock(null, '2026-10-31');
    const { status, body } = await adopt([
      {
        id: randomUUID(),
        operations: [],
        opening: opening([{ accountId: idOf('1010'), amount: 1 }]),
      },
    ]);
    expect(status).toBe(400);
    expect(JSON.stringify(body)).toContain('locked through 2026-10-31');
    await lock('2026-10-31', null);
  });

  it('alone make no revision, and brought a second time post nothing', async () => {
    const bank = idOf('1010');
    const { body } = await bring([{ accountId: bank, amount: await balanceOf(bank) }]);
    expect(body).toEqual({ revision: null, posted: 0 });
  });

  it('come along with the accounts that the same proposal adds', async () => {
    const id = randomUUID();
    const step = {
      ...aStep({
        type: 'addAccount',
        account: plainAccount({ id, number: '1019', name: 'New till', kind: 'cashOnHand' }),
        parentId: idOf('1000'),
        afterId: null,
      }),
      opening: opening([
        { accountId: id, amount: 75_00 },
        { accountId: idOf('2000'), amount: (await balanceOf(idOf('2000'))) - 75_00 },
      ]),
    };
    const { revision } = await benchChart(maren, clientId);
    expect((await adopt([step])).body).toEqual({ revision: revision + 1, posted: 2 });
    expect(await balanceOf(id)).toBe(75_00);
  });

  it('with an account that takes no postings refuse the whole proposal, and it is named', async () => {
    const [bank, heading] = [idOf('1010'), idOf('1000')];
    const was = await balanceOf(bank);
    const { revision } = await benchChart(maren, clientId);
    const balances = [
      { accountId: bank, amount: was + 1 },
      { accountId: heading, amount: 1 },
    ];
    const step = { ...aStep(rename(bank, 'Till')), opening: opening(balances) };
    const refused = await adopt([step]);
    expect(refused.status).toBe(400);
    expect(JSON.stringify(refused.body)).toContain('is a heading and takes no postings');
    expect(await balanceOf(bank)).toBe(was);
    expect((await benchChart(maren, clientId)).revision).toBe(revision);
  });

  it('leave what is open to the account for opening balances, and are refused while there is none', async () => {
    const { accounts } = await benchChart(maren, clientId);
    const taker = accounts.find(({ kind }) => kind === 'openingBalanceEquity')?.id ?? '';
    const [bank, before] = [idOf('1010'), await balanceOf(taker)];
    await bring([{ accountId: bank, amount: (await balanceOf(bank)) + 7 }]);
    expect(await balanceOf(taker)).toBe(before - 7);
    await adopt([aStep({ type: 'retire', id: taker, on: '2026-11-01' })]);
    const refused = await bring([{ accountId: bank, amount: (await balanceOf(bank)) + 1 }]);
    expect(refused.status).toBe(400);
    expect(JSON.stringify(refused.body)).toContain('Opening balance equity');
  });

  it('are kept with the proposal until it is adopted', async () => {
    const { revision: baseRevision, proposal } = await benchChart(maren, clientId);
    const step = {
      id: randomUUID(),
      operations: [],
      opening: opening([{ accountId: idOf('1010'), amount: 1 }]),
    };
    const request = {
      version: proposal.version,
      baseRevision,
      steps: [step],
      conflicts: [],
      name: '',
      comment: '',
    };
    await maren.ask('PUT', `/clients/${clientId}/proposal`, request);
    expect((await benchChart(maren, clientId)).proposal.steps).toEqual([step]);
  });

  it('of an account that is hidden from its author are refused', async () => {
    const bank = idOf('1010');
    const { revision } = await benchChart(maren, clientId);
    const { rows } = await server.pool.query('SELECT id FROM app_user WHERE email = $1', [MAREN]);
    const restrictedTo = [rows[0].id as string];
    await adopt([
      aStep({ type: 'changeSetting', id: bank, setting: 'restrictedTo', value: restrictedTo }),
    ]);
    expect((await benchChart(maren, clientId)).revision).toBe(revision + 1);
    const tobias = await server.signedIn(TOBIAS);
    const step = {
      id: randomUUID(),
      operations: [],
      opening: opening([{ accountId: bank, amount: 1 }]),
    };
    const refused = await adopt([step], tobias);
    expect(refused.body).toMatchObject({ refusal: { code: 'restrictedAccount' } });
  });

  it('are refused from a broken request, or with nothing in the step at all', async () => {
    expect((await bring([{ accountId: idOf('1010'), amount: 0.5 }])).status).toBe(400);
    expect((await adopt([{ id: randomUUID(), operations: [] }])).status).toBe(400);
  });
});
