import type { AccountId } from '../chart/account';
import type { Chart, ChartNode } from '../chart/chart';
import { mapped, type IdMap } from './mapped-settings';
import type { Operation } from '../operations/operation';

/** Whose chart it is: another client's, or the client's own, taken out whole and brought in again. */
export type Copied = 'structure' | 'whole';

/**
 * The operations that make a chart like another one: its plan, its dimensions, and every account that is
 * in use, with numbers, kinds, texts and settings under fresh ids. Nothing of the books comes along: no
 * balance, no posting, no bank number, holding or budget, and nobody's restriction; the `whole` chart of the
 * same client keeps all settings but restrictions, and what is retired. `newId` gives a fresh id at each call;
 * `note` is told which id stands for which.
 */
export const copyStructure = (
  chart: Chart,
  newId: () => string,
  copied: Copied = 'structure',
  note: (id: string, copy: string) => void = () => undefined,
): readonly Operation[] => {
  const ids: IdMap = new Map();
  const fresh = (id: string): string => {
    const known = ids.get(id) ?? newId();
    ids.set(id, known);
    note(id, known);
    return known;
  };
  const { plan, numbered, dimensions } = chart.settings;
  const operations: Operation[] = [{ type: 'setPlan', plan, numbered }];
  let lastDimension: string | null = null;
  for (const { id, name, values } of dimensions) {
    const own = {
      id: fresh(id),
      name,
      values: values.map((one) => ({ ...one, id: fresh(one.id) })),
    };
    operations.push({ type: 'setDimension', id: own.id, dimension: own, afterId: lastDimension });
    lastDimension = own.id;
  }
  const addAll = (nodes: readonly ChartNode[], parentId: AccountId | null): void => {
    let afterId: AccountId | null = null;
    for (const { account, children } of nodes) {
      if (account.retiredOn !== null && copied === 'structure') continue;
      const copy = {
        ...account,
        id: fresh(account.id),
        settings: mapped(account.settings, fresh, copied),
      };
      operations.push({ type: 'addAccount', account: copy, parentId, afterId });
      afterId = copy.id;
      addAll(children, copy.id);
    }
  };
  addAll(chart.roots, null);
  return operations;
};
