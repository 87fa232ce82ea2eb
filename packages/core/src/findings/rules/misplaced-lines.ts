import { returnSheet, type Misplaced } from '../../returns/return-sheet';
import type { FindingRule, Fix } from '../finding';

/** An account of another form, or one that goes elsewhere than the account above, may go where its kind usually does. */
const fixesOf = ({ id, why }: Misplaced): readonly Fix[] =>
  why === 'noLine'
    ? []
    : [{ operations: [{ type: 'changeSetting', id, setting: 'returnLine', value: null }] }];

/** Accounts with amounts that are not where the client's tax return wants them. */
export const misplacedLines: FindingRule<'misplacedLine'> = ({ chart, year }) => {
  const sheet = year === null ? null : returnSheet(chart, year.rollUp, year.filer);
  return (sheet?.misplaced ?? []).map((one) => ({
    code: 'misplacedLine',
    severity: one.why === 'twice' ? 'doubtful' : 'wrong',
    accountIds: [one.id],
    facts: { why: one.why, amount: one.amount },
    fixes: fixesOf(one),
  }));
};
