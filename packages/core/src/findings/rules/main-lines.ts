import { SECTION_CODES } from '../../kinds/caption';
import { rollUpOver } from '../../ledger/amounts';
import { sectionRoots } from '../../statements/section-lines';
import type { FindingRule } from '../finding';

/** Which lines a section has follows from the chart alone. */
const STRUCTURE = rollUpOver(new Map());

/** Sections with more main lines than fit a page; groups would hold them. */
export const tooManyMainLines: FindingRule<'tooManyMainLines'> = ({ chart, limits }) =>
  SECTION_CODES.flatMap((section) => {
    const { nodes } = sectionRoots(chart.roots, section, STRUCTURE);
    const count = nodes.length;
    if (count <= limits.mainLines) return [];
    return [
      {
        code: 'tooManyMainLines',
        severity: 'couldBeNeater',
        accountIds: [],
        amount: 0,
        facts: { section, count },
        fixes: [],
      },
    ];
  });
