import type { Chart, ChartNode } from '../chart/chart';
import type { StatementCode } from '../kinds/caption';
import { add, negate, type Minor } from '../money/minor';
import { resolvedSettings } from '../settings/rules';
import { chartResults, sectionAmounts, type Results, type RollUp } from '../ledger/amounts';
import { STANDARD_LAYOUTS } from './definitions/all-statements';
import type { Codes, LayoutPart, StandardCodes } from './layout';
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
  /** Roll-ups of other periods beside it: what stands in any of them has its row. */
  readonly beside?: readonly RollUp[];
}

/** What any statement is laid out from. */
export interface LaidOutSource<C extends Codes> {
  readonly chart: Chart;
  readonly rollUp: RollUp<C['section']>;
  /** What each section comes to, debit-positive. */
  readonly amounts: ReadonlyMap<C['section'], Minor>;
  /** Whether anything stands in a branch, in a section; also where it cancels out. */
  readonly holds: (node: ChartNode, section: C['section']) => boolean;
  /** The results that stand in a section, and which of them have a row. */
  readonly results?: {
    readonly section: C['section'];
    readonly of: Results;
    readonly shown: readonly (keyof Results | 'allYears')[];
  };
}

interface SectionContext<C extends Codes> {
  readonly section: C['section'];
  readonly source: LaidOutSource<C>;
  readonly options: StatementOptions;
  readonly signed: (debitPositive: Minor) => Minor;
  readonly rows: StatementRow<C>[];
}

const signedBy =
  (shows: 'debit' | 'credit') =>
  (amount: Minor): Minor =>
    shows === 'debit' ? amount : negate(amount);

const amountIn = <C extends Codes>(node: ChartNode, context: SectionContext<C>): Minor =>
  context.signed(context.source.rollUp.shares(node).get(context.section)?.amount ?? 0);

const ownAmountIn = <C extends Codes>(node: ChartNode, context: SectionContext<C>): Minor =>
  context.signed(context.source.rollUp.ownShares(node).get(context.section)?.amount ?? 0);

/** Whether anything stands in a branch in any of some roll-ups, also where it cancels out; kept by branch. */
export const holdsIn = <S extends string>(
  rollUps: readonly RollUp<S>[],
): ((node: ChartNode, section: S) => boolean) => {
  const kept = new Map<S, WeakMap<ChartNode, boolean>>();
  const holds = (node: ChartNode, section: S): boolean => {
    const known = kept.get(section) ?? new WeakMap<ChartNode, boolean>();
    kept.set(section, known);
    const before = known.get(node);
    if (before !== undefined) return before;
    const value =
      rollUps.some((rollUp) => (rollUp.shares(node).get(section)?.amount ?? 0) !== 0) ||
      node.children.some((child) => holds(child, section));
    known.set(node, value);
    return value;
  };
  return holds;
};

const isLeftOut = <C extends Codes>(node: ChartNode, context: SectionContext<C>): boolean => {
  const { source, section, options } = context;
  if (!leadsTo(node, section, source.rollUp)) return true;
  if (source.holds(node, section)) return false;
  return !options.zeroLines || node.account.retiredOn !== null;
};

interface LineAt {
  readonly node: ChartNode;
  readonly chartLevel: number;
  readonly level: number;
}

const pushRow = <C extends Codes>(
  type: 'line' | 'itself' | 'subtotal',
  { node, level }: LineAt,
  context: SectionContext<C>,
  shown: { amount: Minor | null; open: boolean },
): void => {
  const { section } = context;
  const { id: accountId, name } = node.account;
  const key =
    type === 'line' ? lineKey(section, accountId) : `${lineKey(section, accountId)}/${type}`;
  context.rows.push({ type, key, section, accountId, name, level, ...shown });
};

/** Whether anything was posted to an account itself, not only to what stands below it. */
const holdsItself = <C extends Codes>(node: ChartNode, context: SectionContext<C>): boolean => {
  const { source, section } = context;
  if (!standsIn(node, section, source.rollUp)) return false;
  return source.holds({ ...node, children: [] }, section);
};

const pushOpenLine = <C extends Codes>(at: LineAt, context: SectionContext<C>): void => {
  const { node, level, chartLevel } = at;
  pushRow('line', at, context, { amount: null, open: true });
  if (holdsItself(node, context)) {
    const amount = ownAmountIn(node, context);
    pushRow('itself', { ...at, level: level + 1 }, context, { amount, open: false });
  }
  for (const child of node.children)
    pushLine({ node: child, level: level + 1, chartLevel: chartLevel + 1 }, context);
  if (resolvedSettings(node.account).subtotal)
    pushRow('subtotal', at, context, { amount: amountIn(node, context), open: false });
};

const pushLine = <C extends Codes>(at: LineAt, context: SectionContext<C>): void => {
  const { node, chartLevel } = at;
  const { section, source, options } = context;
  if (isLeftOut(node, context)) return;
  const wished = options.open?.get(lineKey(section, node.account.id));
  const opens =
    (wished ?? chartLevel < options.depth) &&
    node.children.some((child) => leadsTo(child, section, source.rollUp));
  if (opens) pushOpenLine(at, context);
  else pushRow('line', at, context, { amount: amountIn(node, context), open: false });
};

type SectionPart<C extends Codes> = Extract<LayoutPart<C>, { type: 'section' }>;

const pushResults = <C extends Codes>({ source, section, rows }: SectionContext<C>): Minor => {
  const { results } = source;
  if (results === undefined || results.section !== section) return 0;
  const allYears = add(results.of.earlierYears, results.of.thisYear);
  for (const code of results.shown) {
    const amount = code === 'allYears' ? allYears : results.of[code];
    rows.push({ type: 'result', key: `result/${code}`, code, amount });
  }
  return allYears;
};

const pushSection = <C extends Codes>(
  part: SectionPart<C>,
  source: LaidOutSource<C>,
  options: StatementOptions,
): readonly StatementRow<C>[] => {
  const section: C['section'] = part.code;
  const rows: StatementRow<C>[] = [];
  const context: SectionContext<C> = {
    section,
    options,
    source,
    signed: signedBy(part.shows),
    rows,
  };
  const { nodes, level } = sectionRoots(source.chart.roots, section, source.rollUp);
  if (level <= options.depth)
    for (const node of nodes) pushLine({ node, level: 1, chartLevel: level }, context);
  const results = pushResults(context);
  const lines = nodes.reduce((sum, node) => add(sum, amountIn(node, context)), 0);
  const amount = add(lines, results);
  if (rows.length === 0 && nodes.every((node) => isLeftOut(node, context))) return [];
  const total: StatementRow<C> = {
    type: 'sectionTotal',
    key: sectionTotalKey(section),
    code: section,
    amount,
    alone: rows.length === 0,
  };
  if (total.alone) return [total];
  return [{ type: 'section', key: `title/${section}`, code: section }, ...rows, total];
};

/** The total parts of a layout. */
export type TotalPart<C extends Codes = StandardCodes> = Extract<LayoutPart<C>, { type: 'total' }>;

/** What a layout's total comes to, signed as it is shown. */
export const totalOf = <C extends Codes>(
  part: TotalPart<C>,
  amounts: ReadonlyMap<C['section'], Minor>,
): Minor => {
  const debit = part.of.reduce((so, section) => add(so, amounts.get(section) ?? 0), 0);
  return signedBy(part.shows)(debit);
};

/** The rows of a layout: headings, indents and subtotals as the chart has them. */
export const layOut = <C extends Codes>(
  layout: readonly LayoutPart<C>[],
  source: LaidOutSource<C>,
  options: StatementOptions,
): readonly StatementRow<C>[] => {
  const rows: StatementRow<C>[] = [];
  let sinceTotal = 0;
  for (const part of layout) {
    if (part.type === 'group')
      rows.push({ type: 'group', key: `group/${part.code}`, code: part.code });
    else if (part.type === 'section') {
      const section = pushSection(part, source, options);
      for (const row of section) rows.push(row);
      sinceTotal += section.length;
    } else if (!(part.optional === true && sinceTotal === 0)) {
      const amount = totalOf(part, source.amounts);
      const final = part.final === true;
      rows.push({ type: 'total', key: totalKey(part.code), code: part.code, amount, final });
      sinceTotal = 0;
    }
  }
  return rows;
};

/** What the balance sheet and the profit and loss are laid out from. */
export const laidOutSource = ({
  chart,
  rollUp,
  beside = [],
}: StatementSource): LaidOutSource<StandardCodes> => {
  const rollUps = [rollUp, ...beside];
  const earlier = rollUps.some((one) => chartResults(chart, one).earlierYears !== 0);
  return {
    chart,
    rollUp,
    amounts: sectionAmounts(chart, rollUp),
    holds: holdsIn(rollUps),
    results: {
      section: 'equity',
      of: chartResults(chart, rollUp),
      shown: earlier ? ['earlierYears', 'thisYear'] : ['thisYear'],
    },
  };
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
): Statement => ({ code, rows: layOut(STANDARD_LAYOUTS[code], laidOutSource(source), options) });
