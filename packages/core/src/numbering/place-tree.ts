import { isVeiled } from '../chart/veil';
import type { AccountId } from '../chart/account';
import type { Chart, ChartNode } from '../chart/chart';
import { isContra } from '../kinds/kinds';
import {
  blockWidth,
  ownPart,
  parseNumber,
  usualSuffix,
  type NumberPlan,
} from '../plan/number-plan';

/** An account as the numbering sees it. */
export interface Placed {
  readonly id: AccountId;
  readonly node: ChartNode;
  readonly level: number;
  /** Its own part of the number; `null` when it has none of the plan's digits. */
  readonly value: number | null;
  /** Whether what stands behind the own part is not as the plan has it, so that the number changes anyway. */
  readonly changes: boolean;
  readonly suffix: string;
  readonly contra: boolean;
  readonly children: readonly Placed[];
  /** Place in the chart's order, and that of the last account below it. */
  readonly order: number;
  readonly lastBelow: number;
}

/** An account that a plan has no number for. */
export interface Unplaced {
  readonly id: AccountId;
  readonly why: 'tooDeep' | 'noRoom' | 'noRange';
}

const contrasLast = (nodes: readonly ChartNode[]): readonly ChartNode[] => [
  ...nodes.filter(({ account }) => !isContra(account.kind)),
  ...nodes.filter(({ account }) => isContra(account.kind)),
];

/** Siblings in the order in which their numbers rise. */
export const risingOrder = (plan: NumberPlan, nodes: readonly ChartNode[]): readonly ChartNode[] =>
  (plan.contraLast ? contrasLast(nodes) : nodes).filter(({ account }) => !isVeiled(account));

/** The chart's accounts, each with its number taken apart, in rising order. */
export const placedRoots = (chart: Chart, plan: NumberPlan): readonly Placed[] => {
  const suffix = usualSuffix(plan);
  let order = 0;
  const visit = (node: ChartNode, level: number): Placed => {
    const own = order;
    order += 1;
    const parsed = parseNumber(plan, node.account.number);
    const children = risingOrder(plan, node.children).map((child) => visit(child, level + 1));
    return {
      id: node.account.id,
      node,
      level,
      value: parsed?.value ?? ownPart(plan, node.account.number),
      changes: parsed === null,
      suffix: parsed?.suffix ?? suffix,
      contra: isContra(node.account.kind),
      children,
      order: own,
      lastBelow: order - 1,
    };
  };
  return risingOrder(plan, chart.roots).map((node) => visit(node, 1));
};

/** Every account at and below the given ones. */
export function* eachPlaced(nodes: readonly Placed[]): Generator<Placed> {
  for (const node of nodes) {
    yield node;
    yield* eachPlaced(node.children);
  }
}

const fits = (plan: NumberPlan, children: readonly Placed[], width: number): boolean => {
  const inner = blockWidth(plan, children[0]?.level ?? 1);
  let cursor = 1;
  for (const child of children) {
    if (child.children.length === 0) cursor += 1;
    else cursor = Math.ceil(cursor / inner) * inner + inner;
  }
  return cursor <= width;
};

const without = (placed: Placed): Placed => ({ ...placed, children: [] });

const unplacedBelow = (placed: Placed, why: Unplaced['why']): readonly Unplaced[] =>
  [...eachPlaced(placed.children)].map(({ id }) => ({ id, why }));

/** Takes out the sub-accounts for which there is no number below their parent. */
export const pruned = (
  plan: NumberPlan,
  placed: Placed,
): { readonly placed: Placed; readonly unplaced: readonly Unplaced[] } => {
  if (placed.children.length === 0) return { placed, unplaced: [] };
  const width = blockWidth(plan, placed.level);
  if (width === 1) return { placed: without(placed), unplaced: unplacedBelow(placed, 'tooDeep') };
  const below = placed.children.map((child) => pruned(plan, child));
  const children = below.map((child) => child.placed);
  const unplaced = below.flatMap((child) => child.unplaced);
  if (!fits(plan, children, width))
    return { placed: without(placed), unplaced: unplacedBelow(placed, 'noRoom') };
  return { placed: { ...placed, children }, unplaced };
};
