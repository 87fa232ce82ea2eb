import type { AccountId } from '../chart/account';
import type { Chart } from '../chart/chart';
import { recordsOf } from '../chart/queries';
import { countBelow } from './count-below';
import {
  blockWidth,
  formatNumber,
  parseNumber,
  rangeOfKind,
  type NumberPlan,
  type NumberRange,
} from '../plan/number-plan';
import { eachPlaced, placedRoots, pruned, type Placed, type Unplaced } from './place-tree';
import { keepMost, type Item, type Point, type Stretch } from './sequence';
import { spread } from './spread';

/** What is to be numbered, and how. */
export interface FitRequest {
  readonly plan: NumberPlan;
  /** The accounts whose numbers may change; `null` for all. */
  readonly movable: ReadonlySet<AccountId> | null;
  /** Whether to keep as many numbers as can be kept, or to number afresh. */
  readonly keep: boolean;
}

/** Numbers by account id, and the accounts for which there is none. */
export interface Fit {
  readonly numbers: ReadonlyMap<AccountId, string>;
  readonly unplaced: readonly Unplaced[];
}

/** Worth more than all the numbers that could be kept instead of one that must not change. */
const MUST = 1_000_000;

/** Worth of an own part that stays in a number that changes all the same: less than any that is kept. */
const LIKE = 0.000_001;

interface Held {
  readonly values: readonly number[];
  readonly orders: readonly number[];
}

/** Siblings that share one own part (5010-01, 5010-02) stand and move together. */
interface Family {
  readonly members: readonly Placed[];
  readonly head: Placed;
  readonly block: boolean;
}

interface Choice extends Point {
  readonly number: number;
}

class Fitter {
  private readonly numbers = new Map<AccountId, string>();
  private readonly worths = new Map<string, number | null>();

  constructor(
    private readonly request: FitRequest,
    private readonly held: Held,
  ) {}

  /** Numbers accounts in order between two bounds; false when there is no room. */
  number(siblings: readonly Placed[], first: number, last: number): boolean {
    const families = this.familiesOf(siblings);
    const stretch = this.stretchOf(families, first, last);
    const items = families.map((family) => this.itemOf(family, first, last));
    const kept = keepMost(items, stretch, this.held.values);
    if (kept === null) return false;
    const places = spread({
      items,
      kept,
      stretch,
      step: this.request.plan.step,
      contras: families.map(({ head }) => head.contra),
      main: siblings[0]?.level === 1,
    });
    for (const [index, family] of families.entries())
      this.settle(family, places[index] ?? first, (kept[index] ?? null) as Choice | null);
    return true;
  }

  get result(): ReadonlyMap<AccountId, string> {
    return this.numbers;
  }

  private settle({ members, head, block }: Family, at: number, kept: Choice | null): void {
    const value = kept?.number ?? (block ? this.ownNumber(at, this.widthOf(head)) : at);
    for (const member of members)
      this.numbers.set(member.id, formatNumber(this.request.plan, value, member.suffix));
    if (block) this.number(head.children, value + 1, at + this.widthOf(head) - 1);
  }

  /** The first number of a block that nothing keeps which stands there and must not change. */
  private ownNumber(start: number, width: number): number {
    const { values } = this.held;
    let number = start;
    for (let at = countBelow(values, start); values[at] === number; at += 1) number += 1;
    return number < start + width ? number : start;
  }

  private widthOf({ level }: Placed): number {
    return blockWidth(this.request.plan, level);
  }

  private familiesOf(siblings: readonly Placed[]): readonly Family[] {
    const { plan } = this.request;
    if (!plan.underParent)
      return [...eachPlaced(siblings)].map((head) => ({ members: [head], head, block: false }));
    const families: { members: Placed[]; head: Placed; block: boolean }[] = [];
    const byValue = new Map<number, { members: Placed[] }>();
    for (const head of siblings) {
      const block = head.children.length > 0;
      const shared = head.value === null || block ? undefined : byValue.get(head.value);
      if (shared !== undefined) {
        shared.members.push(head);
        continue;
      }
      const family = { members: [head], head, block };
      families.push(family);
      if (head.value !== null && !block && plan.segments.length > 0)
        byValue.set(head.value, family);
    }
    return families;
  }

  private stretchOf(families: readonly Family[], first: number, last: number): Stretch {
    const head = families[0]?.head;
    const block = head === undefined ? 1 : this.widthOf(head);
    const { values, orders } = this.held;
    const from = (number: number): number => countBelow(values, number);
    return {
      first,
      last,
      block,
      taken: (number) => values[from(number)] === number,
      blocked: (start, index) => {
        const own = families[index]?.head;
        for (let at = from(start); (values[at] ?? Infinity) < start + block; at += 1) {
          const order = orders[at] ?? -1;
          if (own === undefined || order < own.order || order > own.lastBelow) return true;
        }
        return false;
      },
    };
  }

  private worthOf(members: readonly Placed[]): number {
    const { movable, keep } = this.request;
    return members.reduce((sum, { id, changes }) => {
      if (movable !== null && !movable.has(id)) return sum + MUST;
      if (changes) return sum + (keep ? LIKE : 0);
      return sum + (keep ? 1 : 0);
    }, 0);
  }

  private itemOf({ members, head, block }: Family, first: number, last: number): Item {
    if (block) return { size: 'block', points: this.blockPoints(head, first, last) };
    const worth = this.worthOf(members);
    const points: Choice[] =
      head.value === null || worth === 0 ? [] : [{ at: head.value, number: head.value, worth }];
    return { size: 'number', points };
  }

  /** The blocks in which an account with sub-accounts, or some of them, keep their numbers. */
  private blockPoints(head: Placed, first: number, last: number): readonly Choice[] {
    const width = this.widthOf(head);
    const starts = new Set<number>();
    for (const { value } of eachPlaced([head]))
      if (value !== null && value >= first && value <= last)
        starts.add(Math.floor(value / width) * width);
    return [...starts].flatMap((start) => this.blockChoice(head, start, width));
  }

  private blockChoice(head: Placed, start: number, width: number): readonly Choice[] {
    const { value } = head;
    const within = value !== null && value >= start && value < start + width;
    const number = this.ownNumber(start, width);
    const fresh = this.worthBelow(head, number, start + width - 1);
    const choices: Choice[] = fresh === null ? [] : [{ at: start, number, worth: fresh }];
    if (within) {
      const below = this.worthBelow(head, value, start + width - 1);
      const own = this.worthOf([head]);
      if (below !== null) choices.push({ at: start, number: value, worth: own + below });
    }
    const best = choices.reduce<Choice | null>(
      (so, choice) => (so === null || choice.worth > so.worth ? choice : so),
      null,
    );
    return best === null || best.worth === 0 ? [] : [best];
  }

  /** What the accounts below one keep when it bears `number`; `null` when they have no room. */
  private worthBelow(head: Placed, number: number, last: number): number | null {
    const key = `${head.id} ${number}`;
    const known = this.worths.get(key);
    if (known !== undefined) return known;
    const families = this.familiesOf(head.children);
    const stretch = this.stretchOf(families, number + 1, last);
    const items = families.map((family) => this.itemOf(family, number + 1, last));
    const kept = keepMost(items, stretch, this.held.values);
    const worth = kept?.reduce((sum, point) => sum + (point?.worth ?? 0), 0) ?? null;
    this.worths.set(key, worth);
    return worth;
  }
}

const heldBy = (
  chart: Chart,
  roots: readonly Placed[],
  { plan, movable }: FitRequest,
  fixed: ReadonlySet<AccountId>,
): Held => {
  const orders = new Map([...eachPlaced(roots)].map(({ id, order }) => [id, order]));
  const held = recordsOf(chart).flatMap(({ id, number }) => {
    const stays = fixed.has(id) || (movable !== null && !movable.has(id));
    const value = parseNumber(plan, number)?.value;
    return stays && value !== undefined ? [{ value, order: orders.get(id) ?? -1 }] : [];
  });
  held.sort((a, b) => a.value - b.value);
  return { values: held.map(({ value }) => value), orders: held.map(({ order }) => order) };
};

interface Group {
  readonly range: NumberRange;
  readonly roots: readonly Placed[];
}

const groupsOf = (roots: readonly Placed[], plan: NumberPlan): readonly Group[] => {
  const groups = new Map<NumberRange, Placed[]>();
  for (const root of roots) {
    const range = rangeOfKind(plan, root.node.account.kind);
    if (range === undefined) continue;
    groups.set(range, [...(groups.get(range) ?? []), root]);
  }
  return [...groups].map(([range, own]) => ({ range, roots: own }));
};

const withoutRange = (roots: readonly Placed[], plan: NumberPlan): readonly Unplaced[] =>
  roots
    .filter(({ node }) => rangeOfKind(plan, node.account.kind) === undefined)
    .flatMap((root) => [...eachPlaced([root])].map(({ id }) => ({ id, why: 'noRange' as const })));

/** Numbers every group; groups without room are told, and their accounts keep their numbers. */
const attempt = (
  chart: Chart,
  request: FitRequest,
  fixed: ReadonlySet<AccountId>,
): {
  readonly fitter: Fitter;
  readonly crowded: readonly Placed[];
  readonly unplaced: readonly Unplaced[];
} => {
  const { plan } = request;
  const roots = placedRoots(chart, plan);
  const trimmed = roots.map((root) =>
    plan.underParent ? pruned(plan, root) : { placed: root, unplaced: [] },
  );
  const fitter = new Fitter(request, heldBy(chart, roots, request, fixed));
  const crowded: Placed[] = [];
  const open = trimmed.map(({ placed }) => placed).filter(({ id }) => !fixed.has(id));
  for (const group of groupsOf(open, plan))
    if (!fitter.number(group.roots, group.range.first, group.range.last))
      crowded.push(...group.roots);
  const unplaced = [...trimmed.flatMap((one) => one.unplaced), ...withoutRange(roots, plan)];
  return { fitter, crowded, unplaced };
};

/**
 * Numbers that fit a plan: each main account in the range of its kind, numbers rising in chart
 * order, each sub-account within its parent's leading digits, no two alike. With `keep`, the
 * fewest numbers change: per group of neighbours, the longest run that can stand with room
 * between for the rest. Numbers of accounts that are not movable stay as they are.
 * Time: n log n for neighbours all with, or all without, sub-accounts; quadratic in the number
 * of neighbours where they are mixed.
 */
export const fitNumbers = (chart: Chart, request: FitRequest): Fit => {
  let fixed: ReadonlySet<AccountId> = new Set();
  for (;;) {
    const { fitter, crowded, unplaced } = attempt(chart, request, fixed);
    const overflow = crowded.flatMap((root) =>
      [...eachPlaced([root])].map(({ id }) => ({ id, why: 'noRoom' as const })),
    );
    const all = [...unplaced, ...overflow];
    const next = new Set([...fixed, ...all.map(({ id }) => id)]);
    if (next.size === fixed.size)
      return { numbers: fitter.result, unplaced: keptAside(all, fixed, chart) };
    fixed = next;
  }
};

const keptAside = (
  found: readonly Unplaced[],
  fixed: ReadonlySet<AccountId>,
  chart: Chart,
): readonly Unplaced[] => {
  const why = new Map(found.map((one) => [one.id, one.why]));
  return recordsOf(chart)
    .filter(({ id }) => fixed.has(id))
    .map(({ id }) => ({ id, why: why.get(id) ?? 'noRoom' }));
};
