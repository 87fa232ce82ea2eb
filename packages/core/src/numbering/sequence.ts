import { countBelow } from './count-below';
import { prefixBest } from './prefix-best';

/** A place that an item may take without changing what stands there, and what that is worth. */
export interface Point {
  readonly at: number;
  readonly worth: number;
}

/**
 * Neighbours to be numbered, in order: a single number, or a whole block for an account with
 * sub-accounts, of which `at` is the first number.
 */
export interface Item {
  readonly size: 'number' | 'block';
  readonly points: readonly Point[];
}

/** Where neighbours may be numbered, both ends included. */
export interface Stretch {
  readonly first: number;
  readonly last: number;
  /** Numbers that a block holds: a power of ten. */
  readonly block: number;
  /** Whether somebody outside holds the number. */
  taken(number: number): boolean;
  /** Whether somebody else than the item stands in the block that begins at `start`. */
  blocked(start: number, item: number): boolean;
}

interface Reached {
  readonly item: number;
  readonly point: Point;
  readonly worth: number;
  readonly before: Reached | null;
}

const nextNumber = (stretch: Stretch, from: number): number => {
  let at = from;
  while (at <= stretch.last && stretch.taken(at)) at += 1;
  return at;
};

const nextBlock = (stretch: Stretch, from: number, item: number): number => {
  const { block } = stretch;
  let at = Math.ceil(from / block) * block;
  while (at + block - 1 <= stretch.last && stretch.blocked(at, item)) at += block;
  return at + block - 1 <= stretch.last ? at : stretch.last + 1;
};

/** The first place from `from` on that an item can take, or one past the end of the stretch. */
const firstPlace = (stretch: Stretch, { size }: Item, index: number, from: number): number =>
  size === 'number' ? nextNumber(stretch, from) : nextBlock(stretch, from, index);

/** The first number after an item that stands at `at`. */
export const afterItem = (stretch: Stretch, { size }: Item, at: number): number =>
  size === 'number' ? at + 1 : at + stretch.block;

const better = (a: Reached | null, b: Reached | null): Reached | null => {
  if (a === null || b === null) return a ?? b;
  return b.worth > a.worth ? b : a;
};

const usable = (item: Item, index: number, stretch: Stretch): readonly Point[] =>
  item.points.filter(
    ({ at }) =>
      at >= stretch.first &&
      at <= stretch.last &&
      (item.size === 'number' ||
        (at + stretch.block - 1 <= stretch.last && !stretch.blocked(at, index))),
  );

/** The most worth for neighbours of both sizes: tries every pair of points; quadratic. */
const solveMixed = (items: readonly Item[], stretch: Stretch): Reached | null | undefined => {
  const points = items.map((item, index) => usable(item, index, stretch));
  const reached = points.map((own) => own.map((): Reached | null => null));
  let ending: Reached | null | undefined;

  const spread = (from: Reached | null, start: number, cursor: number): void => {
    let free = cursor;
    for (let index = start; index < items.length; index += 1) {
      const item = items[index];
      if (item === undefined) return;
      for (const [place, point] of (points[index] ?? []).entries()) {
        if (point.at < free) continue;
        const worth = (from?.worth ?? 0) + point.worth;
        const own = reached[index];
        if (own !== undefined)
          own[place] = better(own[place] ?? null, { item: index, point, worth, before: from });
      }
      const at = firstPlace(stretch, item, index, free);
      if (at > stretch.last) return;
      free = afterItem(stretch, item, at);
    }
    ending = ending === undefined ? from : better(ending, from);
  };

  spread(null, 0, stretch.first);
  for (const [index, own] of reached.entries())
    for (const entry of own) {
      const item = items[index];
      if (entry !== null && item !== undefined)
        spread(entry, index + 1, afterItem(stretch, item, entry.point.at));
    }
  return ending;
};

interface Ranks {
  /** Free places before `at`. */
  before(at: number): number;
  /** Free places up to and including `at`. */
  upTo(at: number): number;
  readonly total: number;
}

const ranksOf = (stretch: Stretch, held: readonly number[], unit: number): Ranks => {
  const first = Math.ceil(stretch.first / unit);
  const last = Math.floor((stretch.last + 1) / unit) - 1;
  const slots = [...new Set(held.map((number) => Math.floor(number / unit)))]
    .filter((slot) => slot >= first && slot <= last)
    .sort((a, b) => a - b);
  const before = (at: number): number => {
    const slot = Math.floor(at / unit);
    return slot - first - countBelow(slots, slot);
  };
  const upTo = (at: number): number => before(at + unit);
  return { before, upTo, total: Math.max(last - first + 1, 0) - slots.length };
};

/** The most worth for neighbours of one size: the longest run with room between, in n log n. */
const solveUniform = (
  items: readonly Item[],
  stretch: Stretch,
  ranks: Ranks,
): Reached | null | undefined => {
  const points = items.map((item, index) => usable(item, index, stretch));
  const key = (point: Point, index: number): number => ranks.upTo(point.at) - index;
  const best = prefixBest<Reached>(
    points.flatMap((own, index) => own.map((point) => key(point, index))),
    ({ worth }) => worth,
  );
  let previous: readonly Reached[] = [];
  let ending: Reached | null | undefined = ranks.total >= items.length ? null : undefined;
  for (const [index, own] of points.entries()) {
    const room = own.map((point) => ranks.before(point.at));
    const entries = own.flatMap((point, place): Reached[] => {
      const space = room[place] ?? 0;
      const neighbour = previous.reduce<Reached | null>((so, entry) => {
        const fits = entry.point.at < point.at && ranks.upTo(entry.point.at) <= space;
        return fits ? better(so, entry) : so;
      }, null);
      const before = better(best.upTo(space - index + 1), neighbour);
      if (before === null && space < index) return [];
      return [{ item: index, point, worth: (before?.worth ?? 0) + point.worth, before }];
    });
    for (const entry of previous) best.add(key(entry.point, entry.item), entry);
    previous = entries;
    for (const entry of entries)
      if (ranks.total - ranks.upTo(entry.point.at) >= items.length - 1 - index)
        ending = ending === undefined ? entry : better(ending, entry);
  }
  return ending;
};

/**
 * Which items keep one of their points, so that the order stands, every other item finds a place
 * between, and what is kept is worth most. `held` are the numbers of which `taken` and `blocked`
 * speak. Gives a point or `null` for each item; `null` in all when even a fresh start has no room.
 */
export const keepMost = (
  items: readonly Item[],
  stretch: Stretch,
  held: readonly number[],
): readonly (Point | null)[] | null => {
  const sizes = new Set(items.map(({ size }) => size));
  const plain = held.length === 0 || !sizes.has('block');
  const unit = sizes.has('block') ? stretch.block : 1;
  const last =
    sizes.size < 2 && plain
      ? solveUniform(items, stretch, ranksOf(stretch, held, unit))
      : solveMixed(items, stretch);
  if (last === undefined) return null;
  const kept: (Point | null)[] = items.map(() => null);
  for (let entry = last; entry !== null; entry = entry.before) kept[entry.item] = entry.point;
  return kept;
};
