import { ownPlaces } from '../../statements/own/own-places';
import type { FindingRule } from '../finding';

/** Layouts of the client's own that miss accounts, or have them twice. */
export const layoutsMiss: FindingRule<'layoutMisses'> = ({ chart, layouts }) =>
  layouts.flatMap((layout) => {
    const { faults } = ownPlaces(chart, layout);
    if (faults.length === 0) return [];
    return [
      {
        code: 'layoutMisses',
        severity: 'wrong',
        accountIds: [
          ...new Set(faults.flatMap((one) => ('accountId' in one ? one.accountId : []))),
        ],
        amount: 0,
        facts: { layout: layout.name },
        fixes: [],
      },
    ];
  });
