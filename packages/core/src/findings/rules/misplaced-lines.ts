import { accountOf } from '../../chart/queries';
import { usualReturnLine } from '../../settings/return-forms';
import type { FindingRule } from '../finding';

/**
 * Accounts with amounts that are not where the client's tax return wants them. One of another form, or one that goes
 * elsewhere than the account above, may go where its kind usually does, where the form has a line for that.
 */
export const misplacedLines: FindingRule<'misplacedLine'> = ({ chart, returned }) =>
  (returned?.sheet.misplaced ?? []).map(({ id, why, amount }) => {
    const kind = accountOf(chart, id)?.kind;
    const usual =
      kind === undefined || returned === null ? null : usualReturnLine(kind, returned.filer);
    return {
      code: 'misplacedLine',
      severity: why === 'twice' ? 'doubtful' : 'wrong',
      accountIds: [id],
      amount: Math.abs(amount),
      facts: { why, amount },
      fixes:
        why === 'noLine' || usual === null
          ? []
          : [
              {
                says: { does: 'usualLine' },
                operations: [{ type: 'changeSetting', id, setting: 'returnLine', value: null }],
              },
            ],
    };
  });
