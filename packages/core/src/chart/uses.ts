import type { AccountId } from './account';
import type { Chart } from './chart';
import { nodeOf, splitsOf } from './queries';

/** Something that hangs on an account, and the account that it leads to. */
export interface AccountUse {
  readonly type: 'child' | 'merged' | 'splitInto' | 'splitFrom' | 'postings' | 'system';
  readonly otherId: AccountId | null;
}

/**
 * Whatever uses an account and so keeps it from being deleted: accounts below it, accounts merged
 * into it, splits from it and into it, its own postings, and the system.
 */
export const usesOf = (chart: Chart, id: AccountId): readonly AccountUse[] => {
  const node = nodeOf(chart, id);
  if (node === undefined) return [];
  const use = (type: AccountUse['type'], otherId: AccountId | null = null): AccountUse => ({
    type,
    otherId,
  });
  const splits = splitsOf(chart).flatMap(({ from, into }): AccountUse[] => [
    ...(from === id ? [use('splitInto', into)] : []),
    ...(into === id ? [use('splitFrom', from)] : []),
  ]);
  return [
    ...(node.account.systemUse === null ? [] : [use('system')]),
    ...(chart.posted.has(id) ? [use('postings')] : []),
    ...node.children.map(({ account }) => use('child', account.id)),
    ...node.absorbed.map((one) => use('merged', one)),
    ...splits,
  ];
};
