import { randomUUID } from 'node:crypto';
import type { OpeningAnswer, OpeningRequest } from '@iunctus/contract';
import {
  fiscalYearStart,
  knownAccount,
  lastDayOf,
  ledgerOf,
  planOpening,
  rollUpOver,
  titleOf,
  trialBalance,
  type Chart,
  type OpeningPlan,
} from '@iunctus/core';
import type pg from 'pg';
import type { Viewer } from '../access/access.service';
import { manyAmounts } from '../balances/balances.queries';
import { loadChart } from '../charts/chart-store';
import { maybeChartLocked, type ChartHead } from '../charts/charts.queries';
import { veilOf } from '../charts/veil';
import { clientOf } from '../clients/clients.service';
import { inTransactionOn, type Transaction } from '../database/transaction';
import { postEntries } from '../entries/entries.queries';
import { problem } from '../http/problem';
import { manySplitAmounts } from '../splits/splits.queries';

const RULES: Readonly<Record<OpeningPlan['refused'][number]['why'], string>> = {
  gone: 'is not in the adopted chart',
  heading: 'is a heading and takes no postings',
  retired: 'is retired and takes no postings',
  wantsDimension: 'demands a dimension value and has none by default',
};

const refuseWhatCannotBe = (plan: OpeningPlan, chart: Chart): void => {
  const issues = plan.refused.slice(0, 20).map(({ accountId, why }) => {
    const account = knownAccount(chart, accountId);
    return { field: account === undefined ? accountId : titleOf(account), rule: RULES[why] };
  });
  if (issues.length > 0) problem({ code: 'badRequest', issues });
  if (plan.difference !== 0 && plan.equityId === null)
    problem({
      code: 'badRequest',
      issues: [
        {
          field: 'balances',
          rule: 'leave a difference, and no account is of the kind Opening balance equity',
        },
      ],
    });
};

const planOn = async (
  on: Transaction,
  head: ChartHead,
  asked: OpeningRequest & { readonly fiscalYearStart: number },
): Promise<{ readonly plan: OpeningPlan; readonly chart: Chart }> => {
  const chart = await loadChart(on, head);
  const { last } = asked;
  const first = fiscalYearStart(last, asked.fiscalYearStart);
  const period = { first, last, fiscalYearStart: asked.fiscalYearStart };
  const rows = [
    ...(await manyAmounts(on, head, period)),
    ...(await manySplitAmounts(on, head, period)),
  ];
  const now = trialBalance(chart, rollUpOver(ledgerOf(rows)), false);
  return { chart, plan: planOpening(chart, now, asked.balances) };
};

/**
 * Posts the entry that brings accounts to their opening balances at the end of a month. Only what differs
 * is posted; what that leaves open goes to the account for opening balances. Refuses accounts that take no
 * postings, and a difference that has nowhere to go; then nothing is posted.
 */
export const bringOpening = (
  pool: pg.Pool,
  viewer: Viewer,
  asked: { readonly clientId: string; readonly request: OpeningRequest },
): Promise<OpeningAnswer> =>
  inTransactionOn(pool, async (transaction) => {
    const { fiscalYearStart: startsIn } = await clientOf(transaction, viewer, asked.clientId);
    const head =
      (await maybeChartLocked(transaction, viewer, asked.clientId)) ??
      problem({ code: 'notFound' });
    const veil = await veilOf(transaction, head, viewer);
    const hidden = asked.request.balances.find(({ accountId }) => veil.hides(accountId));
    if (hidden !== undefined)
      problem({
        code: 'refused',
        refusal: { code: 'restrictedAccount', accountId: hidden.accountId },
      });
    const { plan, chart } = await planOn(transaction, head, {
      ...asked.request,
      fiscalYearStart: startsIn,
    });
    refuseWhatCannotBe(plan, chart);
    if (plan.lines.length === 0) return { posted: 0, difference: 0 };
    const lines = plan.lines.map(({ accountId, change: amount, values }) => ({
      accountId,
      amount,
      values,
    }));
    const open =
      plan.difference === 0 || plan.equityId === null
        ? []
        : [{ accountId: plan.equityId, amount: plan.difference }];
    await postEntries(transaction, head, [
      {
        id: randomUUID(),
        date: lastDayOf(asked.request.last),
        source: 'opening',
        comment: 'Opening balances from a list',
        lines: [...lines, ...open],
      },
    ]);
    return { posted: lines.length, difference: plan.difference };
  });
