import type { ChartNode } from '../chart/chart';
import { CAPTIONS, type CaptionCode } from '../kinds/caption';
import { isContra, KINDS } from '../kinds/kinds';
import type { RollUp } from '../ledger/amounts';

/** Whether anything in a branch leads to the section. */
export const leadsTo = <S extends string>(
  node: ChartNode,
  section: S,
  rollUp: RollUp<S>,
): boolean => rollUp.shares(node).has(section);

/** Whether the account itself, not only what is below it, leads to the section. */
export const standsIn = <S extends string>(
  node: ChartNode,
  section: S,
  rollUp: RollUp<S>,
): boolean => rollUp.ownShares(node).has(section);

const CAPTION_ORDER = new Map(
  (Object.keys(CAPTIONS) as CaptionCode[]).map((code, index) => [code, index]),
);

const orderOf = (node: ChartNode): number => {
  const { caption } = KINDS[node.account.kind];
  const place = caption === null ? 0 : (CAPTION_ORDER.get(caption) ?? 0);
  return place * 2 + (isContra(node.account.kind) ? 1 : 0);
};

/** Main lines by the order of the standard captions, contras last in theirs; otherwise as in the chart. */
const inCaptionOrder = (nodes: readonly ChartNode[]): readonly ChartNode[] =>
  [...nodes].sort((a, b) => orderOf(a) - orderOf(b));

/** The nodes with which a section begins, and how deep they stand in the chart. */
export interface SectionRoots {
  readonly nodes: readonly ChartNode[];
  readonly level: number;
}

/**
 * The main lines of a section. A heading that alone holds the whole section takes the
 * section's place, so that its name does not stand twice over the same lines.
 */
export const sectionRoots = <S extends string>(
  roots: readonly ChartNode[],
  section: S,
  rollUp: RollUp<S>,
): SectionRoots => {
  let nodes = roots.filter((node) => leadsTo(node, section, rollUp));
  let level = 1;
  for (;;) {
    const [only, ...others] = nodes;
    if (only === undefined || others.length > 0 || standsIn(only, section, rollUp)) break;
    nodes = only.children.filter((node) => leadsTo(node, section, rollUp));
    level += 1;
  }
  return { nodes: level === 1 ? inCaptionOrder(nodes) : nodes, level };
};
