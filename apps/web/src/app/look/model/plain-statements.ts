import {
  buildStatement,
  chartOf,
  KINDS,
  ledgerOf,
  rollUpOver,
  shownAmount,
  type AccountRecord,
  type Chart,
  type RollUp,
  type StatementCode,
  type StatementRow,
} from '@iunctus/core';
import type { BalancesAnswer, OverviewAnswer } from '@iunctus/contract';

/** A client's chart with the amounts of a period. */
export interface Looked {
  readonly chart: Chart;
  readonly rollUp: RollUp;
}

/** Joins a chart with amounts; `null` where the client has no chart. */
export const lookedAt = ({ chart }: OverviewAnswer, balances: BalancesAnswer): Looked | null => {
  if (chart === null) return null;
  return {
    chart: chartOf(chart),
    rollUp: rollUpOver(ledgerOf([...balances.amounts, ...balances.splits])),
  };
};

/** A statement of main accounts and the level below them; lines without an amount are left out. */
export const plainStatement = (looked: Looked, code: StatementCode): readonly StatementRow[] =>
  buildStatement(code, looked, { depth: 2, zeroLines: false }).rows;

/** An account that stands among the others, with what belongs there and what it comes to. */
export interface PlainAccount {
  readonly id: string;
  readonly name: string;
  readonly level: number;
  readonly belongs: string;
  readonly amount: number;
}

const belongsIn = ({ guidance, kind }: AccountRecord): string =>
  guidance === '' ? KINDS[kind].sentence : guidance;

/** The accounts in their order, with what belongs in each. */
export const plainAccounts = (looked: Looked): readonly PlainAccount[] => {
  const rows: PlainAccount[] = [];
  const visit = (nodes: Chart['roots'], level: number): void => {
    for (const node of nodes) {
      const { account } = node;
      const { id, name, kind } = account;
      const amount = shownAmount(kind, looked.rollUp.total(node));
      if (account.retiredOn === null || amount !== 0)
        rows.push({ id, name, level, belongs: belongsIn({ ...account, parentId: null }), amount });
      visit(node.children, level + 1);
    }
  };
  visit(looked.chart.roots, 1);
  return rows;
};
