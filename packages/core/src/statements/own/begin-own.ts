import type { Chart } from '../../chart/chart';
import type { SectionCode, StatementCode } from '../../kinds/caption';
import { ledgerOf, rollUpOver } from '../../ledger/amounts';
import { STANDARD_LAYOUTS } from '../definitions/all-statements';
import type { LayoutPart } from '../layout';
import type { StatementTerms } from '../terms/statement-terms';
import { STANDARD_TERMS } from '../terms/terms';
import { sectionRoots } from '../section-lines';
import { OWN_LIMITS, type OwnLayout, type OwnRow, type OwnRowId } from './own-layout';

/** What a section's rest is called: what its lines do not name. */
export const REST_NAMES: Readonly<Record<SectionCode, string>> = {
  currentAssets: 'Other current assets',
  nonCurrentAssets: 'Other non-current assets',
  currentLiabilities: 'Other current liabilities',
  nonCurrentLiabilities: 'Other non-current liabilities',
  equity: 'Other equity',
  revenue: 'Other revenue',
  costOfSales: 'Other cost of sales',
  operatingExpenses: 'Other operating expenses',
  otherIncomeAndCosts: 'Other income and costs, the rest',
  incomeTax: 'Other income tax',
};

type SectionPart = Extract<LayoutPart, { type: 'section' }>;

interface Begun {
  readonly terms: StatementTerms;
  readonly rows: OwnRow[];
  readonly sums: Map<SectionCode, OwnRowId>;
  readonly next: () => OwnRowId;
}

const pushSection = (chart: Chart, part: SectionPart, level: number, begun: Begun): void => {
  const { rows, sums, next, terms } = begun;
  const { code: section, shows } = part;
  const heading = next();
  rows.push({ type: 'heading', id: heading, level, words: terms.sections[section] });
  const inside = { level: level + 1, shows, hideZero: true };
  const { nodes } = sectionRoots(chart.roots, section, rollUpOver(ledgerOf([])));
  // Beyond what a layout takes, accounts stand in the rest.
  for (const { account } of nodes.slice(0, OWN_LIMITS.rows / 20))
    rows.push({
      type: 'line',
      id: next(),
      words: '',
      accounts: [account.id],
      section,
      ...inside,
    });
  rows.push({ type: 'rest', id: next(), words: REST_NAMES[section], section, ...inside });
  if (section === 'equity')
    rows.push({ type: 'result', id: next(), level: level + 1, words: terms.results.allYears });
  const sum = next();
  sums.set(section, sum);
  const words = terms.sectionTotals[section];
  rows.push({ type: 'sum', id: sum, level, words, of: [heading], shows, final: false });
};

/** A layout of the client's own as it begins: a standard statement in the client's words, row by row, that can be changed. */
export const beginOwn = (
  chart: Chart,
  statement: StatementCode,
  terms: StatementTerms = STANDARD_TERMS,
): OwnLayout => {
  let last = 0;
  const next = (): OwnRowId => `r${(last += 1)}`;
  const rows: OwnRow[] = [];
  const begun: Begun = { rows, sums: new Map(), next, terms };
  let level = 0;
  for (const part of STANDARD_LAYOUTS[statement]) {
    if (part.type === 'group') {
      rows.push({ type: 'heading', id: next(), level: 0, words: terms.groups[part.code] });
      level = 1;
    } else if (part.type === 'section') pushSection(chart, part, level, begun);
    else {
      const of = part.of.flatMap((section) => begun.sums.get(section) ?? []);
      const { shows, final = false } = part;
      const words = terms.totals[part.code];
      rows.push({ type: 'sum', id: next(), level: 0, words, of, shows, final });
      level = 0;
    }
  }
  return { name: terms.sheets[statement], statement, rows, columns: 'plain', complete: false };
};
