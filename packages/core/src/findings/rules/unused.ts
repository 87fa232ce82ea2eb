import { hasPostings } from '../../chart/queries';
import type { ChartNode } from '../../chart/chart';
import { lastDayOf } from '../../dates/calendar-date';
import { monthsBetween } from '../../dates/month';
import { openAccounts } from '../accounts';
import type { FindingRule, LookedAt } from '../finding';

/** What the system or somebody needs, used or not. */
const isNeeded = ({ account, children }: ChartNode, routed: LookedAt['routed']): boolean =>
  account.systemUse !== null ||
  account.settings.pinned === true ||
  children.length > 0 ||
  routed.has(account.id);

/** Accounts to which nothing was ever posted. */
export const neverUsed: FindingRule<'neverUsed'> = ({ chart, use, routed }) =>
  use === null
    ? []
    : openAccounts(chart)
        .filter((node) => !hasPostings(chart, node) && !isNeeded(node, routed))
        .filter((node) => use.of(node).last === null)
        .map(({ account: { id } }) => ({
          code: 'neverUsed',
          severity: 'couldBeNeater',
          accountIds: [id],
          amount: 0,
          facts: {},
          fixes: [{ says: { does: 'remove' }, operations: [{ type: 'deleteAccount', id }] }],
        }));

/** Accounts at zero to which nothing was posted for long: they can be retired, and keep their history. */
export const longUnused: FindingRule<'longUnused'> = ({ chart, use, limits, routed }) =>
  use === null
    ? []
    : openAccounts(chart).flatMap((node) => {
        const { balance, last } = use.of(node);
        if (last === null || balance !== 0 || isNeeded(node, routed)) return [];
        const months = monthsBetween(last, use.through) - 1;
        if (months < limits.unusedMonths) return [];
        const { id } = node.account;
        const on = lastDayOf(use.through);
        return [
          {
            code: 'longUnused',
            severity: 'couldBeNeater',
            accountIds: [id],
            amount: 0,
            facts: { months },
            fixes: [{ says: { does: 'retire' }, operations: [{ type: 'retire', id, on }] }],
          },
        ];
      });
