import { plainAccount, type Account, type AccountId } from '../../chart/account';
import type { Chart, ChartNode } from '../../chart/chart';
import {
  accountOf,
  childrenOf,
  eachNode,
  hasPostings,
  nodeOf,
  parentIdOf,
} from '../../chart/queries';
import { elementOf } from '../../kinds/kinds';
import type { Minor } from '../../money/minor';
import { thingsSaid } from '../../matching/trade-words';
import { crosswalkTo, numbersOf } from '../../numbering/crosswalk';
import { suggestNumber } from '../../numbering/suggest';
import { applyAll } from '../../operations/apply';
import type { Operation } from '../../operations/operation';
import { nameKey } from '../../text/name-key';
import { planMerge } from '../plan-merge';
import { matchShape, standsAlone, type ShapeMatch } from './match-shape';

/** The steps from one chart to the shape of another, in their order. */
export const SHAPE_STEPS = ['merge', 'remove', 'group', 'rename', 'renumber'] as const;
export type ShapeStepCode = (typeof SHAPE_STEPS)[number];

/** One thing that a step does to an account. */
export type ShapeDoes =
  | { readonly does: 'merge'; readonly into: AccountId }
  | { readonly does: 'moveUnder'; readonly heading: string }
  | { readonly does: 'rename'; readonly to: string }
  | { readonly does: 'remove' }
  | { readonly does: 'renumber'; readonly to: string };

/** An account that a step changes, what it is called before it, and what is done. */
export interface ShapeRow {
  readonly id: AccountId;
  readonly account: Account;
  readonly says: ShapeDoes;
}

/** A step that can be taken by itself, after those before it. */
export interface ShapeStep {
  readonly code: ShapeStepCode;
  readonly rows: readonly ShapeRow[];
  readonly operations: readonly Operation[];
}

/** What is aimed at, and what of the way there is wanted. */
export interface ShapeWish {
  /** The chart whose shape is aimed at. */
  readonly target: Chart;
  /** Steps that are not taken. */
  readonly skipped: ReadonlySet<ShapeStepCode>;
  /** Accounts that a step leaves alone, by step and account. */
  readonly struck: ReadonlySet<string>;
  /** Accounts that something outside the chart names, such as a route: they are merged, and never taken out. */
  readonly named: ReadonlySet<AccountId>;
  /** What an account holds or took, as a plain amount: the one with most takes the others in. */
  stake(id: AccountId): Minor;
  newId(index: number): AccountId;
}

/** The way from a chart to the shape of another. Law: no total of any statement moves. */
export interface ShapePlan {
  readonly steps: readonly ShapeStep[];
  /** The chart after all of them. */
  readonly chart: Chart;
}

/** How what a step leaves alone is written down. */
export const shapeKey = (code: ShapeStepCode, id: AccountId): string => `${code} ${id}`;

/** A chart in work: operations are taken one by one, and one that is refused is left out with its row. */
class Way {
  readonly steps: ShapeStep[] = [];

  constructor(
    public chart: Chart,
    readonly wish: ShapeWish,
  ) {}

  /** Takes a step: what it does is made row by row, on the chart as the rows before it left it. */
  step(code: ShapeStepCode, make: (take: Take) => void): void {
    if (this.wish.skipped.has(code)) return;
    const rows: ShapeRow[] = [];
    const operations: Operation[] = [];
    make((work, ...done) => {
      const kept = done.filter(({ id }) => !this.wish.struck.has(shapeKey(code, id)));
      const outcome = applyAll(this.chart, work);
      if (!outcome.ok || work.length === 0 || kept.length < done.length) return false;
      for (const { id, says } of done) {
        const account = accountOf(this.chart, id);
        if (account !== undefined) rows.push({ id, account, says });
      }
      this.chart = outcome.chart;
      operations.push(...work);
      return true;
    });
    if (rows.length > 0) this.steps.push({ code, rows, operations });
    else this.unmake(operations);
  }

  /** Nothing that a step only prepared stays without the step. */
  private unmake(operations: readonly Operation[]): void {
    for (const operation of [...operations].reverse())
      if (operation.type === 'addAccount') {
        const outcome = applyAll(this.chart, [{ type: 'deleteAccount', id: operation.account.id }]);
        if (outcome.ok) this.chart = outcome.chart;
      }
  }
}

/** Does something to accounts, or only prepares it; gives whether the chart took it. */
type Take = (
  operations: readonly Operation[],
  ...done: readonly { readonly id: AccountId; readonly says: ShapeDoes }[]
) => boolean;

const openIn = (chart: Chart): readonly ChartNode[] =>
  [...eachNode(chart.roots)].filter(
    ({ account: { role, retiredOn } }) => role === 'posting' && retiredOn === null,
  );

/** Whether an account may go without a trace: nothing was posted to it, nothing stands below it or names it. */
const isBare = ({ chart, wish }: Way, node: ChartNode): boolean =>
  node.children.length === 0 &&
  node.account.systemUse === null &&
  node.account.settings.pinned !== true &&
  node.account.settings.budget === undefined &&
  !wish.named.has(node.account.id) &&
  !hasPostings(chart, node);

/** What stands for one and the same account becomes one: the one that has most, or has its very name. */
const merge = (way: Way, { standsFor }: ShapeMatch, take: Take): void => {
  const { target, stake } = way.wish;
  const groups = new Map<AccountId, AccountId[]>();
  for (const [id, other] of standsFor) groups.set(other, [...(groups.get(other) ?? []), id]);
  for (const [other, ids] of groups) {
    const name = nameKey(accountOf(target, other)?.name ?? '');
    const worth = (id: AccountId): number =>
      nameKey(accountOf(way.chart, id)?.name ?? '') === name ? Infinity : stake(id);
    const [into, ...rest] = [...ids].sort((a, b) => worth(b) - worth(a));
    if (into === undefined) continue;
    for (const id of rest) {
      const node = nodeOf(way.chart, id);
      if (node !== undefined && isBare(way, node))
        take([{ type: 'deleteAccount', id }], { id, says: { does: 'remove' } });
      else
        take(planMerge(way.chart, id, { into, acrossKinds: false }), {
          id,
          says: { does: 'merge', into },
        });
    }
  }
};

const headingNamed = (chart: Chart, name: string, kind: Account['kind']): AccountId | null =>
  [...eachNode(chart.roots)].find(
    ({ account }) =>
      account.role === 'heading' &&
      nameKey(account.name) === nameKey(name) &&
      elementOf(account.kind) === elementOf(kind),
  )?.account.id ?? null;

const madeHeading = (way: Way, like: Account, index: number): Account => {
  const afterId = way.chart.roots.at(-1)?.account.id ?? null;
  const suggested = suggestNumber(way.chart, { parentId: null, afterId, kind: like.kind });
  const number = way.chart.settings.numbered && suggested.ok ? suggested.number : null;
  const id = way.wish.newId(index);
  return plainAccount(
    { id, number, name: like.name, kind: like.kind },
    { role: 'heading', guidance: like.guidance },
  );
};

/** Accounts go under the headings of the chart that is aimed at, in its order; those that it does not have come last. */
const group = (way: Way, match: ShapeMatch, take: Take): void => {
  const { target } = way.wish;
  const order = new Map([...eachNode(target.roots)].map(({ account }, at) => [account.id, at]));
  const place = (id: AccountId): number =>
    order.get(match.standsFor.get(id) ?? '') ?? Number.POSITIVE_INFINITY;
  for (const [index, { account: heading }] of target.roots.entries()) {
    if (heading.role !== 'heading') continue;
    const belonging = openIn(way.chart)
      .filter(
        (node) =>
          match.headingOf(node) === heading.id &&
          standsAlone(way.chart, node.account.id) &&
          elementOf(node.account.kind) === elementOf(heading.kind),
      )
      .sort((a, b) => place(a.account.id) - place(b.account.id));
    const wanted = belonging.filter(
      ({ account }) => !way.wish.struck.has(shapeKey('group', account.id)),
    );
    if (wanted.length === 0) continue;
    const there = headingNamed(way.chart, heading.name, heading.kind);
    const made = there === null ? madeHeading(way, heading, index) : null;
    const parentId = there ?? made?.id ?? '';
    if (made !== null) {
      const afterId = way.chart.roots.at(-1)?.account.id ?? null;
      const add: Operation = { type: 'addAccount', account: made, parentId: null, afterId };
      if (!take([add])) continue;
    }
    for (const { account } of wanted) {
      if (parentIdOf(way.chart, account.id) === parentId) continue;
      const afterId = childrenOf(way.chart, parentId).at(-1)?.account.id ?? null;
      const move: Operation = { type: 'moveNode', id: account.id, parentId, afterId };
      take([move], { id: account.id, says: { does: 'moveUnder', heading: heading.name } });
    }
  }
};

/** Headings of the chart as it was under which nothing is left. */
const dropEmptied = (way: Way, before: Chart, take: Take): void => {
  for (const { account, children } of [...eachNode(before.roots)].reverse()) {
    const { id } = account;
    const isEmptied = account.role === 'heading' && children.length > 0;
    if (isEmptied && childrenOf(way.chart, id).length === 0 && nodeOf(way.chart, id) !== undefined)
      take([{ type: 'deleteAccount', id }], { id, says: { does: 'remove' } });
  }
};

/** Names become those of the chart that is aimed at, but where one says more than the trade's words. */
const rename = (way: Way, { standsFor }: ShapeMatch, take: Take): void => {
  for (const [id, other] of standsFor) {
    const [own, to] = [accountOf(way.chart, id), accountOf(way.wish.target, other)?.name];
    if (own === undefined || to === undefined || own.name === to) continue;
    const saysMore = thingsSaid(own.name).some(({ known }) => !known);
    if (saysMore && nameKey(own.name) !== nameKey(to)) continue;
    const edit: Operation = { type: 'editField', id, field: 'name', value: to };
    take([edit], { id, says: { does: 'rename', to } });
  }
};

/** What was never posted to and has no place there goes, and headings that are left empty. */
const remove = (way: Way, { standsFor }: ShapeMatch, take: Take): void => {
  const isFree = (node: ChartNode): boolean => isBare(way, node) && !standsFor.has(node.account.id);
  for (let gone = true; gone;) {
    gone = false;
    for (const node of [...eachNode(way.chart.roots)]) {
      const { id } = node.account;
      const now = nodeOf(way.chart, id);
      if (now === undefined || !isFree(now)) continue;
      if (take([{ type: 'deleteAccount', id }], { id, says: { does: 'remove' } })) gone = true;
    }
  }
};

/** Numbers follow the plan of the chart that is aimed at; as many as can be stay. */
const renumber = (way: Way, take: Take): void => {
  const { plan } = way.wish.target.settings;
  const { rows } = crosswalkTo(way.chart, { plan, movable: null, keep: true });
  const kept = rows.filter(({ id }) => !way.wish.struck.has(shapeKey('renumber', id)));
  if (kept.length === 0) return;
  take(
    [
      { type: 'renumberMany', numbers: numbersOf(kept) },
      { type: 'setPlan', plan, numbered: true },
    ],
    ...kept.flatMap(({ id, to }) =>
      to === null ? [] : [{ id, says: { does: 'renumber', to } as const }],
    ),
  );
};

/**
 * The whole way from a chart to the shape of another, in steps that can be taken singly: what stands for one thing there
 * is merged, accounts go under its headings, take its names and numbers, and what was never used goes. No account gets
 * another kind, so that no total of a statement moves. `match` may be kept while only the wish changes.
 */
export const planShape = (
  chart: Chart,
  wish: ShapeWish,
  match: ShapeMatch = matchShape(chart, wish.target),
): ShapePlan => {
  const way = new Way(chart, wish);
  way.step('merge', (take) => merge(way, match, take));
  way.step('remove', (take) => remove(way, match, take));
  way.step('group', (take) => {
    group(way, match, take);
    dropEmptied(way, chart, take);
  });
  way.step('rename', (take) => rename(way, match, take));
  way.step('renumber', (take) => renumber(way, take));
  return { steps: way.steps, chart: way.chart };
};
