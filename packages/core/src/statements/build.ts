import type { Chart, ChartNode } from '../chart/chart';
import type { SectionCode, StatementCode } from '../kinds/caption';
import { add, negate, type Minor } from '../money/minor';
import { resolvedSettings } from '../settings/rules';
import { chartResults, sectionAmounts, type RollUp } from '../ledger/amounts';
import { STANDARD_LAYOUTS } from './definitions/all-statements';
import type { LayoutPart } from './layout';
import { leadsTo, sectionRoots, standsIn } from './section-lines';
import {
  lineKey,
  sectionTotalKey,
  totalKey,
  type Statement,
  type StatementOptions,
  type StatementRow,
} from './statement';

/** What a statement is built from. */
export interface StatementSource {
  readonly chart: Chart;
  readonly rollUp: RollUp;
}

interface SectionContext {
  readonly section: SectionCode;
  readonly rollUp: RollUp;
  readonly options: StatementOptions;
  readonly signed: (debitPositive: Minor) => Minor;
  readonly rows: StatementRow[];
}

const signedBy =
  (shows: 'debit' | 'credit') =>
  (amount: Minor): Minor =>
    shows === 'debit' ? amount : negate(amount);

const amountIn = (node: ChartNode, context: SectionContext): Minor =>
  context.signed(context.rollUp.shares(node).get(context.section)?.amount ?? 0);

/** Whether anything stands in a branch, also where it cancels out. */
const holdsAny = (node: ChartNode, context: SectionContext): boolean => {
  const share = context.rollUp.shares(node).get(context.section);
  if (share === undefined) return false;
  return share.amount !== 0 || node.children.some((child) => holdsAny(child, context));
};

const isLeftOut = (node: ChartNode, context: SectionContext): boolean => {
  const share = context.rollUp.shares(node).get(context.section);
  if (share === undefined) return true;
  if (holdsAny(node, context)) return false;
  return !context.options.zeroLines || node.account.retiredOn !== null;
};

interface LineAt {
  readonly node: ChartNode;
  readonly chartLevel: number;
  readonly level: number;
}

const pushRow = (
  type: 'line' | 'itself' | 'subtotal',
  { node, level }: LineAt,
  context: SectionContext,
  shown: { amount: Minor | null; open: boolean },
): void => {
  const { section } = context;
  const { id: accountId, name } = node.account;
  const key =
    type === 'line' ? lineKey(section, accountId) : `${lineKey(section, accountId)}/${type}`;
  context.rows.push({ type, key, section, accountId, name, level, ...shown });
};

const pushOpenLine = (at: LineAt, context: SectionContext): void => {
  const { node, level, chartLevel } = at;
  pushRow('line', at, context, { amount: null, open: true });
  if (standsIn(node, context.section)) {
    const amount = context.signed(context.rollUp.own(node));
    if (amount !== 0)
      pushRow('itself', { ...at, level: level + 1 }, context, { amount, open: false });
  }
  for (const child of node.children)
    pushLine({ node: child, level: level + 1, chartLevel: chartLevel + 1 }, context);
  if (resolvedSettings(node.account).subtotal)
    pushRow('subtotal', at, context, { amount: amountIn(node, context), open: false });
};

const pushLine = (at: LineAt, context: SectionContext): void => {
  const { node, chartLevel } = at;
  if (isLeftOut(node, context)) return;
  const opens =
    chartLevel < context.options.depth &&
    node.children.some((child) => leadsTo(child, context.section, context.rollUp));
  if (opens) pushOpenLine(at, context);
  else pushRow('line', at, context, { amount: amountIn(node, context), open: false });
};

type SectionPart = Extract<LayoutPart, { type: 'section' }>;

const pushResults = (source: StatementSource, context: SectionContext): Minor => {
  const results = chartResults(source.chart, source.rollUp);
  for (const code of ['earlierYears', 'thisYear'] as const) {
    if (results[code] === 0 && code === 'earlierYears') continue;
    context.rows.push({ type: 'result', key: `result/${code}`, code, amount: results[code] });
  }
  return add(results.earlierYears, results.thisYear);
};

const pushSection = (
  part: SectionPart,
  source: StatementSource,
  options: StatementOptions,
): readonly StatementRow[] => {
  const { code: section } = part;
  const context: SectionContext = {
    section,
    options,
    rollUp: source.rollUp,
    signed: signedBy(part.shows),
    rows: [],
  };
  const { nodes, level } = sectionRoots(source.chart.roots, section, source.rollUp);
  if (level <= options.depth)
    for (const node of nodes) pushLine({ node, level: 1, chartLevel: level }, context);
  const results = section === 'equity' ? pushResults(source, context) : 0;
  const lines = nodes.reduce((sum, node) => add(sum, amountIn(node, context)), 0);
  const amount = add(lines, results);
  if (context.rows.length === 0 && nodes.every((node) => isLeftOut(node, context))) return [];
  const total: StatementRow = {
    type: 'sectionTotal',
    key: sectionTotalKey(section),
    code: section,
    amount,
    alone: context.rows.length === 0,
  };
  if (total.alone) return [total];
  return [{ type: 'section', key: `title/${section}`, code: section }, ...context.rows, total];
};

/** The total parts of a layout. */
export type TotalPart = Extract<LayoutPart, { type: 'total' }>;

/** What a layout's total comes to, signed as it is shown. */
export const totalOf = (part: TotalPart, amounts: ReadonlyMap<SectionCode, Minor>): Minor => {
  const debit = part.of.reduce((so, section) => add(so, amounts.get(section) ?? 0), 0);
  return signedBy(part.shows)(debit);
};

/**
 * A statement as the chart gives it: headings, indents and subtotals come from the tree, sections
 * and totals from the kinds.
 * Law: every posting account that is not memorandum counts in exactly one section of one
 * statement; with a ledger that balances, total assets = total liabilities and equity.
 */
export const buildStatement = (
  code: StatementCode,
  source: StatementSource,
  options: StatementOptions,
): Statement => {
  const rows: StatementRow[] = [];
  const amounts = sectionAmounts(source.chart, source.rollUp);
  let sinceTotal = 0;
  for (const part of STANDARD_LAYOUTS[code]) {
    if (part.type === 'group')
      rows.push({ type: 'group', key: `group/${part.code}`, code: part.code });
    else if (part.type === 'section') {
      const section = pushSection(part, source, options);
      for (const row of section) rows.push(row);
      sinceTotal += section.length;
    } else if (!(part.optional === true && sinceTotal === 0)) {
      const amount = totalOf(part, amounts);
      rows.push({
        type: 'total',
        key: totalKey(part.code),
        code: part.code,
        amount,
        final: part.final === true,
      });
      sinceTotal = 0;
    }
  }
  return { code, rows };
};
