import { insertNode, leaf, type Place } from '../chart/edit';
import type { Account } from '../chart/account';
import type { Chart } from '../chart/chart';
import { childrenOf, eachNode } from '../chart/queries';
import { crosswalkTo, type CrosswalkRow } from './crosswalk';
import { fitNumbers } from './fit';

/** A number for a new account, and the numbers that must give way to it. */
export interface Room {
  readonly number: string;
  readonly rows: readonly CrosswalkRow[];
}

/**
 * The smallest renumbering that makes room for a new account at a place where there is none:
 * first among its siblings alone, then in the whole chart. `null` when the plan has no number
 * left there either way. `account` has no number yet.
 */
export const makeRoom = (chart: Chart, account: Account, place: Place): Room | null => {
  const bare = { ...account, number: null };
  const grown = insertNode(chart, leaf(bare), place);
  const siblings = childrenOf(grown, place.parentId);
  const near = new Set([...eachNode(siblings)].map((node) => node.account.id));
  for (const movable of place.parentId === null ? [null] : [near, null]) {
    const request = { plan: chart.settings.plan, movable, keep: true };
    const number = fitNumbers(grown, request).numbers.get(account.id);
    if (number === undefined) continue;
    const { rows } = crosswalkTo(grown, request);
    return { number, rows: rows.filter(({ id }) => id !== account.id) };
  }
  return null;
};
