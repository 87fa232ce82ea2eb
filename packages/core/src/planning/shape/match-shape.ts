import type { AccountId } from '../../chart/account';
import type { Chart, ChartNode } from '../../chart/chart';
import { accountOf, eachNode, parentIdOf, pathTo } from '../../chart/queries';
import type { KindCode } from '../../kinds/kinds';
import { likestOf } from '../../matching/duplicates';
import { nameKey } from '../../text/name-key';

/** From this likeness on an account is one of the chart that is aimed at: lower than for duplicates, for each is shown first. */
const ALIKE = 0.45;

/** Which of the accounts of a chart stand for those of another, and under which heading each belongs there. */
export interface ShapeMatch {
  /** The account of the other chart for which each stands. */
  readonly standsFor: ReadonlyMap<AccountId, AccountId>;
  /** The heading of the other chart under which each belongs; none where it has none for its kind. */
  readonly headingOf: (node: ChartNode) => AccountId | null;
}

const postingIn = (chart: Chart): readonly ChartNode[] =>
  [...eachNode(chart.roots)].filter(
    ({ account: { role, retiredOn } }) => role === 'posting' && retiredOn === null,
  );

/** The likest of some accounts of one kind: each is held against them alone, for its own chart may say a thing twice. */
const likestFor = (
  { account: { name } }: ChartNode,
  others: readonly ChartNode[],
): AccountId | null => {
  const names = others.map(({ account }) => account.name);
  const at = likestOf(name, names, ALIKE);
  return at === null ? null : (others[at]?.account.id ?? null);
};

const likest = (
  own: readonly ChartNode[],
  others: readonly ChartNode[],
): ReadonlyMap<AccountId, AccountId> => {
  const byKind = new Map<KindCode, ChartNode[]>();
  for (const node of others)
    byKind.set(node.account.kind, [...(byKind.get(node.account.kind) ?? []), node]);
  return new Map(
    own.flatMap((node) => {
      const of = likestFor(node, byKind.get(node.account.kind) ?? []);
      return of === null ? [] : [[node.account.id, of] as const];
    }),
  );
};

/** The heading right under the chart below which an account stands; `null` where it stands under none. */
const topHeading = (chart: Chart, id: AccountId): AccountId | null => {
  const [top = null] = pathTo(chart, id);
  return top === null || accountOf(chart, top)?.role !== 'heading' ? null : top;
};

const usualHeadings = (target: Chart): ReadonlyMap<KindCode, AccountId> => {
  const counts = new Map<KindCode, Map<AccountId, number>>();
  for (const { account } of postingIn(target)) {
    const heading = topHeading(target, account.id);
    if (heading === null) continue;
    const of = counts.get(account.kind) ?? new Map<AccountId, number>();
    counts.set(account.kind, of.set(heading, (of.get(heading) ?? 0) + 1));
  }
  const most = (of: ReadonlyMap<AccountId, number>): AccountId =>
    [...of].reduce((so, one) => (one[1] > so[1] ? one : so))[0];
  return new Map([...counts].map(([kind, of]) => [kind, most(of)]));
};

/** Matches a chart with one whose shape is aimed at: by name, by what names say, and by kind. */
export const matchShape = (chart: Chart, target: Chart): ShapeMatch => {
  const [own, others] = [postingIn(chart), postingIn(target)];
  const byName = new Map(
    others.map(({ account: { id, name, kind } }) => [`${kind} ${nameKey(name)}`, id] as const),
  );
  const standsFor = new Map(likest(own, others));
  for (const { account } of own) {
    const same = byName.get(`${account.kind} ${nameKey(account.name)}`);
    if (same !== undefined) standsFor.set(account.id, same);
  }
  const usual = usualHeadings(target);
  return {
    standsFor,
    headingOf: ({ account: { id, kind } }) => {
      const other = standsFor.get(id);
      const own = other === undefined ? null : topHeading(target, other);
      return own ?? usual.get(kind) ?? null;
    },
  };
};

/** Whether an account stands by itself: right under the chart, or under a heading. */
export const standsAlone = (chart: Chart, id: AccountId): boolean => {
  const parentId = parentIdOf(chart, id);
  return parentId === null || accountOf(chart, parentId)?.role === 'heading';
};
