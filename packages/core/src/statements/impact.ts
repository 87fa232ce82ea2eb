import type { AccountId } from '../chart/account';
import type { ChartNode } from '../chart/chart';
import { statementOfSection, type SectionCode, type StatementCode } from '../kinds/caption';
import { add, negate, subtract, type Minor } from '../money/minor';
import { chartResults, sectionAmounts, type RollUp } from '../ledger/amounts';
import { totalOf, type StatementSource } from './build';
import { STANDARD_LAYOUTS } from './definitions/all-statements';
import type { TotalCode } from './layout';
import { lineKey, sectionTotalKey, totalKey, type RowKey } from './statement';

/** A section or total whose amount the proposal changes, signed as the statement shows it. */
export interface MovedTotal<Code> {
  readonly code: Code;
  readonly statement: StatementCode;
  readonly before: Minor;
  readonly after: Minor;
}

/** What a proposal does to the statements. */
export interface Impact {
  /** By how much each account line moves, by row key; only lines that move. */
  readonly lines: Readonly<Record<RowKey, Minor>>;
  readonly sections: readonly MovedTotal<SectionCode>[];
  readonly totals: readonly MovedTotal<TotalCode>[];
  /** The accounts whose totals in the chart's list change, with their new debit-positive totals. */
  readonly nodes: Readonly<Record<AccountId, Minor>>;
}

interface Changed {
  readonly before: Map<AccountId, ChartNode>;
  readonly after: Map<AccountId, ChartNode>;
}

const collectAll = (nodes: readonly ChartNode[], into: Map<AccountId, ChartNode>): void => {
  for (const node of nodes) {
    into.set(node.account.id, node);
    collectAll(node.children, into);
  }
};

const isAligned = (before: readonly ChartNode[], after: readonly ChartNode[]): boolean =>
  before.length === after.length &&
  before.every((node, at) => node === after[at] || node.account.id === after[at]?.account.id);

/** Siblings that are the same accounts in the same order, as after most edits. */
const collectAligned = (
  before: readonly ChartNode[],
  after: readonly ChartNode[],
  changed: Changed,
): void => {
  for (const [at, node] of after.entries()) {
    const twin = before[at];
    if (twin === undefined || twin === node) continue;
    changed.before.set(node.account.id, twin);
    changed.after.set(node.account.id, node);
    collectChanged(twin.children, node.children, changed);
  }
};

/** Finds what differs between two lists of siblings; a branch that kept its identity is passed over. */
const collectChanged = (
  before: readonly ChartNode[],
  after: readonly ChartNode[],
  changed: Changed,
): void => {
  if (before === after) return;
  if (isAligned(before, after)) return collectAligned(before, after, changed);
  const former = new Map(before.map((node) => [node.account.id, node]));
  for (const node of after) {
    const { id } = node.account;
    const twin = former.get(id);
    former.delete(id);
    if (twin === node) continue;
    if (twin === undefined) collectAll([node], changed.after);
    else {
      changed.before.set(id, twin);
      changed.after.set(id, node);
      collectChanged(twin.children, node.children, changed);
    }
  }
  collectAll([...former.values()], changed.before);
};

const shownIn = (section: SectionCode): ((debitPositive: Minor) => Minor) => {
  const part = STANDARD_LAYOUTS[statementOfSection(section)].find(
    (candidate) => candidate.type === 'section' && candidate.code === section,
  );
  const asCredit = part?.type === 'section' && part.shows === 'credit';
  return (amount) => (asCredit ? negate(amount) : amount);
};

const tally = (
  lines: Map<RowKey, Minor>,
  nodes: Iterable<ChartNode>,
  rollUp: RollUp,
  sign: 1 | -1,
): void => {
  for (const node of nodes)
    for (const [section, share] of rollUp.shares(node)) {
      const key = lineKey(section, node.account.id);
      const moved = shownIn(section)(sign === 1 ? share.amount : negate(share.amount));
      lines.set(key, add(lines.get(key) ?? 0, moved));
    }
};

/** Over one ledger only branches that differ can move; over two, all can. */
const changedBetween = (before: StatementSource, after: StatementSource): Changed => {
  const changed: Changed = { before: new Map(), after: new Map() };
  if (before.rollUp === after.rollUp)
    collectChanged(before.chart.roots, after.chart.roots, changed);
  else {
    collectAll(before.chart.roots, changed.before);
    collectAll(after.chart.roots, changed.after);
  }
  return changed;
};

interface RollUps {
  readonly before: RollUp;
  readonly after: RollUp;
}

const movedLines = (changed: Changed, rollUps: RollUps): Record<RowKey, Minor> => {
  const lines = new Map<RowKey, Minor>();
  tally(lines, changed.before.values(), rollUps.before, -1);
  tally(lines, changed.after.values(), rollUps.after, 1);
  return Object.fromEntries([...lines].filter(([, amount]) => amount !== 0));
};

type Amounts = ReadonlyMap<SectionCode, Minor>;

const isMoved = <Code>(moved: MovedTotal<Code>): boolean => moved.before !== moved.after;

const movedSections = (before: Amounts, after: Amounts): MovedTotal<SectionCode>[] =>
  [...new Set([...before.keys(), ...after.keys()])]
    .map((code) => ({
      code,
      statement: statementOfSection(code),
      before: shownIn(code)(before.get(code) ?? 0),
      after: shownIn(code)(after.get(code) ?? 0),
    }))
    .filter(isMoved);

const STATEMENTS = Object.keys(STANDARD_LAYOUTS) as StatementCode[];

const TOTALS = STATEMENTS.flatMap((statement) =>
  STANDARD_LAYOUTS[statement].flatMap((part) => (part.type === 'total' ? { statement, part } : [])),
);

const movedTotals = (before: Amounts, after: Amounts): MovedTotal<TotalCode>[] =>
  TOTALS.map(({ statement, part }) => ({
    code: part.code,
    statement,
    before: totalOf(part, before),
    after: totalOf(part, after),
  })).filter(isMoved);

const movedResults = (before: StatementSource, after: StatementSource): Record<RowKey, Minor> => {
  const former = chartResults(before.chart, before.rollUp);
  const latter = chartResults(after.chart, after.rollUp);
  const moved = (['earlierYears', 'thisYear'] as const).map(
    (code) => [`result/${code}`, subtract(latter[code], former[code])] as const,
  );
  return Object.fromEntries(moved.filter(([, amount]) => amount !== 0));
};

/**
 * What changes on the statements from one chart and ledger to another. Over the same ledger it costs
 * what changed, not the size of the chart.
 * Law: for every line of either statement, `lines[key]` is its amount after less its amount before.
 */
export const impactOf = (before: StatementSource, after: StatementSource): Impact => {
  const changed = changedBetween(before, after);
  const former = sectionAmounts(before.chart, before.rollUp);
  const latter = sectionAmounts(after.chart, after.rollUp);
  const rollUps = { before: before.rollUp, after: after.rollUp };
  return {
    lines: { ...movedLines(changed, rollUps), ...movedResults(before, after) },
    sections: movedSections(former, latter),
    totals: movedTotals(former, latter),
    nodes: Object.fromEntries(
      [...changed.after].map(([id, node]) => [id, after.rollUp.total(node)]),
    ),
  };
};

/** The amounts by which rows of any sort move, by row key. */
export const movedRows = (impact: Impact): Readonly<Record<RowKey, Minor>> => {
  const shift = ({ before, after }: MovedTotal<unknown>): Minor => subtract(after, before);
  return Object.fromEntries([
    ...Object.entries(impact.lines),
    ...impact.sections.map((moved) => [sectionTotalKey(moved.code), shift(moved)] as const),
    ...impact.totals.map((moved) => [totalKey(moved.code), shift(moved)] as const),
  ]);
};
