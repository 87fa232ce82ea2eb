import { randomUUID } from 'node:crypto';
import {
  entryOf,
  fiscalYearStart,
  knownAccount,
  lastDayOf,
  planOpening,
  titleOf,
  type Chart,
  type OpeningBalances,
  type OpeningPlan,
} from '@iunctus/core';
import type pg from 'pg';
import type { Viewer } from '../access/viewer';
import { loadChart } from '../charts/chart-store';
import { inLockedChart } from '../charts/in-chart';
import { bearsNoAccount, refuseHidden } from '../charts/veil';
import type { Veiled } from '../charts/veiled';
import { clientOf } from '../clients/clients.service';
import { inTransactionOn } from '../database/transaction';
import { manyAmounts } from '../postings/balances.queries';
import type { ChartHead } from '../charts/charts.queries';
import type { Transaction } from '../database/transaction';
import { postEntries } from '../postings/entries.queries';
import { badRequest, problem } from '../problems/problem';
import { manySplitAmounts } from '../postings/splits.queries';

const RULES: Readonly<Record<OpeningPlan['refused'][number]['why'], string>> = {
  gone: 'is not in the chart and takes no opening balance',
  heading: 'is a heading and takes no postings',
  retired: 'is retired and takes no postings',
  wantsDimension: 'demands a dimension value and has none by default',
};

/** Accounts that are named in an answer that refuses; there may be thousands. */
const NAMED = 20;

const refuseWhatCannotBe = (plan: OpeningPlan, chart: Chart): void => {
  const issues = plan.refused.slice(0, NAMED).map(({ accountId, why }) => {
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

/** Where opening balances are posted: the chart as it is now, whose fiscal year begins in month `startsIn`, and by whom. */
export interface Books {
  readonly head: ChartHead;
  readonly chart: Chart;
  readonly startsIn: number;
  readonly authorId: string;
}

/**
 * Posts the entry that brings accounts to their opening balances at the end of a month, and gives how
 * many got another balance. Only what differs is posted; what that leaves open goes to the account for
 * opening balances. Refuses accounts that take no postings, and a difference that has nowhere to go.
 */
export const postOpening = async (
  on: Transaction,
  { head, chart, startsIn, authorId }: Books,
  { last, list, balances }: OpeningBalances,
): Promise<number> => {
  const period = { first: fiscalYearStart(last, startsIn), last, fiscalYearStart: startsIn };
  const books = [
    ...(await manyAmounts(on, head, period)),
    ...(await manySplitAmounts(on, head, period)),
  ];
  const plan = planOpening(chart, books, balances);
  refuseWhatCannotBe(plan, chart);
  if (plan.lines.length === 0) return 0;
  const { lockedThrough } = head;
  if (lockedThrough !== null && lastDayOf(last) <= lockedThrough)
    badRequest(
      'balances',
      `stand in a period that is locked through ${lockedThrough}: open it first`,
    );
  await postEntries(on, head, [
    {
      id: randomUUID(),
      date: lastDayOf(last),
      source: 'opening',
      comment: list === '' ? 'Opening balances' : `Opening balances from ${list}`,
      lines: entryOf(plan),
      authorId,
    },
  ]);
  return plan.lines.length;
};

/** Posts opening balances that were typed, on the chart as it is adopted. */
export const postOpeningOf = (
  pool: pg.Pool,
  viewer: Viewer,
  { clientId, opening }: { readonly clientId: string; readonly opening: OpeningBalances },
): Promise<Veiled<{ posted: number }>> =>
  inTransactionOn(pool, async (on) => {
    const { fiscalYearStart: startsIn } = await clientOf(on, viewer, clientId);
    return inLockedChart(on, { viewer, clientId }, async ({ head, personal }) => {
      refuseHidden([{ operations: [], opening }], personal);
      const chart = await loadChart(on, head);
      const books = { head, chart, startsIn, authorId: viewer.userId };
      return bearsNoAccount({ posted: await postOpening(on, books, opening) });
    });
  });
