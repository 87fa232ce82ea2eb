import { accountOf, standsFor } from '../../chart/queries';
import type { FindingRule } from '../finding';

/** Retired accounts to which routes still send money: what comes next finds no place. */
export const retiredInRoutes: FindingRule<'retiredInRoute'> = ({ chart, routed }) =>
  [...new Set([...routed].map((id) => standsFor(chart, id) ?? id))].flatMap((id) => {
    const account = accountOf(chart, id);
    if (account === undefined || account.retiredOn === null) return [];
    return [
      {
        code: 'retiredInRoute',
        severity: 'wrong',
        accountIds: [id],
        amount: 0,
        facts: {},
        fixes: [{ says: { does: 'restore' }, operations: [{ type: 'restore', id }] }],
      },
    ];
  });
