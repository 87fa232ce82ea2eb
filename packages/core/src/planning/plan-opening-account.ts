import { plainAccount, type AccountId } from '../chart/account';
import type { Chart } from '../chart/chart';
import type { Place } from '../chart/edit';
import { eachNode } from '../chart/queries';
import { elementOf, KINDS } from '../kinds/kinds';
import type { Operation } from '../operations/operation';
import { nameKey } from '../text/name-key';
import { planAdding } from './adding';
import { lastBeforeContra, planMain } from './plan-add';

const KIND = 'openingBalanceEquity';

/** The kind's name, or the first with a count behind it that nobody bears. */
const freeName = (chart: Chart): string => {
  const taken = new Set([...eachNode(chart.roots)].map(({ account }) => nameKey(account.name)));
  const { name } = KINDS[KIND];
  for (let count = 1; ; count += 1) {
    const candidate = count === 1 ? name : `${name} ${count}`;
    if (!taken.has(nameKey(candidate))) return candidate;
  }
};

/** Last in the chart's last heading for equity, or a main account after the others. */
const placeIn = (chart: Chart): Place => {
  const last = chart.roots.findLast(({ account }) => elementOf(account.kind) === 'equity');
  if (last === undefined || last.account.role === 'posting') {
    const { parentId, afterId } = planMain(chart, 'equity');
    return { parentId, afterId };
  }
  return { parentId: last.account.id, afterId: lastBeforeContra(last.children) };
};

/** The operations that add an account to take what opening balances leave open. */
export const planOpeningAccount = (chart: Chart, id: AccountId): readonly Operation[] => {
  const account = plainAccount(
    { id, number: null, name: freeName(chart), kind: KIND },
    { guidance: KINDS[KIND].sentence },
  );
  return planAdding(chart, account, placeIn(chart));
};
