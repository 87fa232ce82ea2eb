import { crosswalkTo, numbersOf, type CrosswalkRow } from '../../numbering/crosswalk';
import type { Chart } from '../../chart/chart';
import { idByNumber } from '../../chart/queries';
import type { FindingRule, Fix } from '../finding';

const alone = (chart: Chart, { id, to }: CrosswalkRow): readonly Fix[] =>
  to === null || idByNumber(chart, to) !== undefined
    ? []
    : [{ says: { does: 'renumber', to }, operations: [{ type: 'renumber', id, number: to }] }];

/**
 * Numbers that are out of range, out of order, too short or not their parent's: what a renumbering with the fewest
 * changes would change. Each can be renumbered alone where its new number is free, and always with all the others.
 */
export const numberMisfits: FindingRule<'numberMisfit'> = ({ chart, plan }) => {
  if (!chart.settings.numbered) return [];
  const { rows } = crosswalkTo(chart, { plan, movable: null, keep: true });
  const together: Fix = {
    says: { does: 'renumberAll' },
    operations: [{ type: 'renumberMany', numbers: numbersOf(rows) }],
  };
  return rows.map((row) => ({
    code: 'numberMisfit',
    severity: 'couldBeNeater',
    accountIds: [row.id],
    amount: 0,
    facts: { why: row.why, to: row.to },
    fixes: [...alone(chart, row), ...(rows.length > 1 ? [together] : [])],
  }));
};
