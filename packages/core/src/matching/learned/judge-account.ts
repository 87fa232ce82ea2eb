import type { AccountId } from '../../chart/account';
import type { Chart, ChartNode } from '../../chart/chart';
import { childrenOf, nodeOf, parentIdOf } from '../../chart/queries';
import type { Element } from '../../kinds/element';
import { kindsOfNumber, type NumberPlan } from '../../plan/number-plan';
import type { Guess } from '../infer-kind';
import { judgeLines, type NamedLine } from './judge-lines';
import type { Learned } from './model';

/** An account that is about to be, and where in the chart. */
export interface AccountAsked {
  readonly name: string;
  readonly number: string | null;
  readonly parentId: AccountId | null;
  /** After which of its siblings; `null` for the first. */
  readonly afterId: AccountId | null;
  /** `null` where any element will do. */
  readonly element: Element | null;
  /** The account itself, where it is there already: what it is is not heard. */
  readonly besidesId?: AccountId;
}

/** So many accounts on either side are heard. */
const HEARD = 6;

const lineOf = ({ account }: ChartNode, parent: number | null): NamedLine => ({
  name: account.name,
  number: account.number,
  parent,
  kind: account.kind,
});

/** The accounts above, the main account first. */
const pathTo = (chart: Chart, parentId: AccountId | null): readonly ChartNode[] => {
  const path: ChartNode[] = [];
  for (let id = parentId; id !== null; id = parentIdOf(chart, id)) {
    const node = nodeOf(chart, id);
    if (node === undefined) break;
    path.unshift(node);
  }
  return path;
};

/** An account among those above and beside it, and its place there. */
export interface AskedLines {
  readonly lines: readonly NamedLine[];
  readonly at: number;
}

/** What is heard of an account: the accounts above it, and some on either side. */
export const linesAround = (chart: Chart, asked: AccountAsked): AskedLines => {
  const path = pathTo(chart, asked.parentId);
  const above = path.map((node, at) => lineOf(node, at === 0 ? null : at - 1));
  const parent = path.length === 0 ? null : path.length - 1;
  const siblings = childrenOf(chart, asked.parentId).filter(
    ({ account }) => account.id !== asked.besidesId,
  );
  const after = siblings.findIndex(({ account }) => account.id === asked.afterId) + 1;
  const before = siblings.slice(Math.max(0, after - HEARD), after);
  const lines: readonly NamedLine[] = [
    ...above,
    ...before.map((node) => lineOf(node, parent)),
    { name: asked.name, number: asked.number, parent, kind: null },
    ...siblings.slice(after, after + HEARD).map((node) => lineOf(node, parent)),
  ];
  return { lines, at: above.length + before.length };
};

/** Accounts that lead others which are about to be: those above them, and the last of those that stand there. */
export const linesLeading = (
  chart: Chart,
  parentId: AccountId | null,
): { readonly lines: readonly NamedLine[]; readonly parent: number | null } => {
  const path = pathTo(chart, parentId);
  const parent = path.length === 0 ? null : path.length - 1;
  const above = path.map((node, at) => lineOf(node, at === 0 ? null : at - 1));
  const there = parent === null ? [] : childrenOf(chart, parentId).slice(-HEARD);
  return { lines: [...above, ...there.map((node) => lineOf(node, parent))], parent };
};

/** Judges an account among those around it; `plan` keeps ranges for kinds. */
export const judgeAmong = (
  { lines, at }: AskedLines,
  {
    plan,
    element,
    learned,
  }: {
    readonly plan: NumberPlan;
    readonly element: Element | null;
    readonly learned?: Learned | undefined;
  },
): readonly Guess[] => {
  const ranged = (number: string) => kindsOfNumber(plan, number);
  return judgeLines(lines, { ranged, ...(learned === undefined ? {} : { learned }) })(at, element);
};

/**
 * The kinds that an account may be, the likeliest first, at most three: by its name, the accounts above and
 * beside it in the chart, and the range of its number.
 */
export const judgeAccount = (
  chart: Chart,
  asked: AccountAsked,
  learned?: Learned,
): readonly Guess[] =>
  judgeAmong(linesAround(chart, asked), {
    plan: chart.settings.plan,
    element: asked.element,
    learned,
  });
