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
import { manyAmounts } from '../postings/balances.queries';
import type { ChartHead } from '../charts/charts.queries';
import type { Transaction } from '../database/transaction';
import { postEntries } from '../postings/entries.queries';
import { problem } from '../problems/problem';
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

/** Where opening balances are posted: the chart as it is now, whose fiscal year begins in month `startsIn`. */
export interface Books {
  readonly head: ChartHead;
  readonly chart: Chart;
  readonly startsIn: number;
}

/**
 * Posts the entry that brings accounts to their opening balances at the end of a month, and gives how
 * many got another balance. Only what differs is posted; what that leaves open goes to the account for
 * opening balances. Refuses accounts that take no postings, and a difference that has nowhere to go.
 */
export const postOpening = async (
  on: Transaction,
  { head, chart, startsIn }: Books,
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
  await postEntries(on, head, [
    {
      id: randomUUID(),
      date: lastDayOf(last),
      source: 'opening',
      comment: `Opening balances from ${list}`,
      lines: entryOf(plan),
    },
  ]);
  return plan.lines.length;
};
