import { titleOf, type AccountId } from '../chart/account';
import type { Chart, ChartNode } from '../chart/chart';
import { eachNode, nodeOf } from '../chart/queries';
import { sectionOf, statementOf } from '../kinds/kinds';
import type { RowKey } from './statement';
import { sectionAndAccountOf } from './trace';

/** The accounts that a register is of. */
export interface RegisterAccounts {
  readonly accounts: readonly AccountId[];
  readonly title: string;
  /** Whether all of them belong to the profit and loss, whose balances begin anew each year. */
  readonly isOfYear: boolean;
  /** Whether postings of several accounts stand in it. */
  readonly isMany: boolean;
}

const idsOf = (nodes: readonly ChartNode[]): readonly AccountId[] =>
  nodes.flatMap(({ account, absorbed }) => [account.id, ...absorbed]);

/**
 * What a register is of: an account with all below it, or a line of a statement (by the key of its row), which takes of
 * them those that lead to its section. `null` where nothing of the chart is meant.
 */
export const registerAccounts = (chart: Chart, of: AccountId | RowKey): RegisterAccounts | null => {
  const row = sectionAndAccountOf(of);
  const top = nodeOf(chart, row?.accountId ?? of);
  if (top === undefined && row?.accountId !== null) return null;
  const below = [...eachNode(top === undefined ? chart.roots : [top])];
  const section = row?.section ?? null;
  const nodes =
    section === null ? below : below.filter(({ account }) => sectionOf(account.kind) === section);
  if (nodes.length === 0) return null;
  return {
    accounts: idsOf(nodes),
    title: top === undefined ? '' : titleOf(top.account),
    isOfYear: nodes.every(({ account }) => statementOf(account.kind) === 'profitAndLoss'),
    isMany: nodes.filter(({ account }) => account.role === 'posting').length > 1,
  };
};
