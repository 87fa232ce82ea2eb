import type { AccountId } from '../chart/account';
import type { Chart } from '../chart/chart';
import { idByNumber } from '../chart/queries';
import type { NumberGiven } from '../operations/operation';
import type { Refusal } from '../operations/refusal';

/** The new numbers that can be given together, and why the others cannot. */
export interface Renumberings {
  readonly given: readonly NumberGiven[];
  readonly refused: ReadonlyMap<AccountId, Refusal>;
}

/**
 * Of many wished numbers those that can be given in one step: free, or freed by the same step. One that
 * cannot keeps its number, which another may have wished for: until nothing changes.
 */
export const possibleRenumberings = (
  chart: Chart,
  wished: ReadonlyMap<AccountId, string>,
): Renumberings => {
  const open = new Map(wished);
  const refused = new Map<AccountId, Refusal>();
  for (let before = -1; before !== open.size;) {
    before = open.size;
    for (const [id, number] of open) {
      const holder = idByNumber(chart, number);
      if (holder === undefined || holder === id || open.has(holder)) continue;
      refused.set(id, {
        code: 'numberTaken',
        accountId: id,
        field: 'number',
        value: number,
        otherId: holder,
      });
      open.delete(id);
    }
  }
  return { given: [...open].map(([id, number]) => ({ id, number })), refused };
};
