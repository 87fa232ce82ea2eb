import type { AccountId } from '../chart/account';
import type { Chart, ChartNode } from '../chart/chart';
import { eachNode, hasPostings, nodeOf, parentIdOf, siblingsOf } from '../chart/queries';
import type { SectionCode } from '../kinds/caption';
import { elementOf, isContra, type KindCode } from '../kinds/kinds';
import { rollUpOver } from '../ledger/amounts';
import { apply } from '../operations/apply';
import type { Operation } from '../operations/operation';
import { leadsTo, sectionRoots, standsIn } from '../statements/section-lines';

/** A line of a statement: an account with all below it, in a section. */
export interface StatementLine {
  readonly section: SectionCode;
  readonly accountId: AccountId;
}

/**
 * Why a line stays where it is: it is the first or last of its group; lines stand as their kinds order them (main lines
 * by the standard captions, a contra last); or nothing of it stands in the section.
 */
export type LineStays = 'edge' | 'orderOfKinds' | 'nothing';

/** What a gesture on a line does to the chart, or why it does nothing. */
export type LinePlan =
  | { readonly ok: true; readonly operations: readonly Operation[] }
  | { readonly ok: false; readonly why: LineStays };

/** Which lines a section has follows from the chart alone. */
const STRUCTURE = rollUpOver(new Map());

const idsOf = (nodes: readonly ChartNode[]): readonly AccountId[] =>
  nodes.map(({ account }) => account.id);

/** Whether a line can be in sight: a retired account is there only with what was posted to it or below it. */
const isInSight = (chart: Chart, node: ChartNode): boolean =>
  node.account.retiredOn === null || [...eachNode([node])].some((one) => hasPostings(chart, one));

/** The lines beside a line, itself included, in the order of the statement. */
export const peersOf = (
  chart: Chart,
  { section, accountId }: StatementLine,
): readonly AccountId[] => {
  const seen = (nodes: readonly ChartNode[]): readonly AccountId[] =>
    idsOf(nodes.filter((node) => isInSight(chart, node)));
  const main = seen(sectionRoots(chart.roots, section, STRUCTURE).nodes);
  if (main.includes(accountId)) return main;
  const parent = nodeOf(chart, parentIdOf(chart, accountId) ?? '');
  return seen((parent?.children ?? []).filter((node) => leadsTo(node, section, STRUCTURE)));
};

const swapped = (ids: readonly AccountId[], at: number, other: number): readonly AccountId[] =>
  ids.map((id, index) => (index === at ? ids[other] : index === other ? ids[at] : id) ?? id);

/**
 * Moves a line one place up or down among the lines beside it: its account moves on the chart.
 * Law: the lines then stand as was asked for, and a step back gives the statement of before.
 */
export const planLineStep = (
  chart: Chart,
  line: StatementLine,
  direction: 'up' | 'down',
): LinePlan => {
  const { accountId: id } = line;
  const peers = peersOf(chart, line);
  const at = peers.indexOf(id);
  const to = at + (direction === 'up' ? -1 : 1);
  const other = peers[to];
  if (at < 0 || other === undefined) return { ok: false, why: 'edge' };
  const rest = idsOf(siblingsOf(chart, id)).filter((one) => one !== id);
  const afterId = direction === 'up' ? (rest[rest.indexOf(other) - 1] ?? null) : other;
  const parentId = parentIdOf(chart, id);
  const operation: Operation = { type: 'moveNode', id, parentId, afterId };
  const outcome = apply(chart, operation);
  const asked = swapped(peers, at, to).join();
  return outcome.ok && peersOf(outcome.chart, line).join() === asked
    ? { ok: true, operations: [operation] }
    : { ok: false, why: 'orderOfKinds' };
};

/** The accounts of a line that stand in its section themselves, contras apart: what another kind is for. */
const standing = (chart: Chart, { section, accountId }: StatementLine): readonly ChartNode[] => {
  const top = nodeOf(chart, accountId);
  return [...eachNode(top === undefined ? [] : [top])].filter(
    (node) => standsIn(node, section, STRUCTURE) && !isContra(node.account.kind),
  );
};

/**
 * Gives all that a line stands for in its section another kind, so that it stands where that kind leads. An account on
 * its own that crosses to another element leaves its parent for the main accounts first.
 */
export const planLineKind = (chart: Chart, line: StatementLine, kind: KindCode): LinePlan => {
  const moved = standing(chart, line).filter(({ account }) => account.kind !== kind);
  if (moved.length === 0) return { ok: false, why: 'nothing' };
  const top = nodeOf(chart, line.accountId)?.account;
  const crosses = top !== undefined && elementOf(top.kind) !== elementOf(kind);
  const last = chart.roots.at(-1)?.account.id ?? null;
  const leaves = crosses && parentIdOf(chart, line.accountId) !== null;
  const { accountId: id } = line;
  return {
    ok: true,
    operations: [
      ...(leaves ? [{ type: 'moveNode', id, parentId: null, afterId: last } as const] : []),
      ...moved.map(({ account }) => ({ type: 'changeKind', id: account.id, kind }) as const),
    ],
  };
};
