import fc from 'fast-check';
import { prefixBest } from './prefix-best';
import { keepMost, type Item, type Point, type Stretch } from './sequence';
import { spread } from './spread';

const stretch = (
  first: number,
  last: number,
  held: readonly number[] = [],
  block = 10,
): Stretch => ({
  first,
  last,
  block,
  taken: (number) => held.includes(number),
  blocked: (start) => held.some((number) => number >= start && number < start + block),
});

const single = (at: number, worth = 1): Item => ({ size: 'number', points: [{ at, worth }] });
const FREE: Item = { size: 'number', points: [] };

const worthOf = (kept: readonly (Point | null)[] | null): number | null =>
  kept === null ? null : kept.reduce((sum, point) => sum + (point?.worth ?? 0), 0);

/** The most worth by trying every choice of points, each time looking whether the rest fits between. */
const byTrying = (items: readonly Item[], where: Stretch): number | null => {
  let best: number | null = null;
  const visit = (index: number, from: number, worth: number): void => {
    const item = items[index];
    if (item === undefined) {
      best = Math.max(best ?? 0, worth);
      return;
    }
    for (const { at, worth: more } of item.points)
      if (at >= from && at <= where.last) visit(index + 1, at + 1, worth + more);
    let free = from;
    while (free <= where.last && where.taken(free)) free += 1;
    if (free <= where.last) visit(index + 1, free + 1, worth);
  };
  visit(0, where.first, 0);
  return best;
};

describe('the best among the keys up to a bound', () => {
  it('is what looking through all of them gives', () => {
    const entries = fc.array(fc.tuple(fc.integer({ min: -20, max: 20 }), fc.nat(50)), {
      maxLength: 30,
    });
    fc.assert(
      fc.property(entries, fc.integer({ min: -25, max: 25 }), (pairs, bound) => {
        const keys = pairs.map(([key]) => key);
        const best = prefixBest<number>(keys, (worth) => worth);
        for (const [key, worth] of pairs) best.add(key, worth);
        const fitting = pairs.filter(([key]) => key <= bound).map(([, worth]) => worth);
        expect(best.upTo(bound)).toBe(fitting.length === 0 ? null : Math.max(...fitting));
      }),
    );
  });
});

describe('keeping the most among neighbours', () => {
  it('keeps a run that rises, and lets the one that is out of order go', () => {
    const kept = keepMost([single(10), single(50), single(20), single(30)], stretch(10, 99), []);
    expect(kept?.map((point) => point?.at ?? null)).toEqual([10, null, 20, 30]);
  });

  it('keeps what is worth more, not what are more', () => {
    const kept = keepMost([single(50, 9), single(20), single(30)], stretch(10, 99), []);
    expect(kept?.map((point) => point?.at ?? null)).toEqual([50, null, null]);
  });

  it('leaves room between for those that have no number', () => {
    const items = [single(10), FREE, single(11), single(12)];
    const kept = keepMost(items, stretch(1, 99), []);
    expect(kept?.map((point) => point?.at ?? null)).toEqual([null, null, 11, 12]);
    expect(worthOf(keepMost(items, stretch(10, 99), []))).toBe(1);
  });

  it('says that there is no room where there are more neighbours than numbers', () => {
    expect(keepMost([FREE, FREE, FREE], stretch(10, 11), [])).toBeNull();
    expect(keepMost([FREE, FREE], stretch(10, 12, [11]), [11])).not.toBeNull();
    expect(keepMost([FREE, FREE], stretch(10, 11, [11]), [11])).toBeNull();
  });

  it('gives an account with sub-accounts its whole block', () => {
    const block: Item = { size: 'block', points: [{ at: 20, worth: 3 }] };
    const kept = keepMost([single(19), block, single(25), single(31)], stretch(10, 99), []);
    expect(kept?.map((point) => point?.at ?? null)).toEqual([19, 20, null, 31]);
  });

  it('keeps as much as trying every choice does', () => {
    const items = fc.array(
      fc.oneof(
        fc.constant(FREE),
        fc
          .tuple(fc.integer({ min: 8, max: 24 }), fc.integer({ min: 1, max: 4 }))
          .map(([at, worth]) => single(at, worth)),
      ),
      { maxLength: 6 },
    );
    fc.assert(
      fc.property(
        items,
        fc.uniqueArray(fc.integer({ min: 10, max: 22 }), { maxLength: 4 }),
        (some, held) => {
          const where = stretch(10, 22, held);
          const open = some.map((item) => ({
            ...item,
            points: item.points.filter(({ at }) => at >= 10 && !held.includes(at)),
          }));
          const sorted = [...held].sort((a, b) => a - b);
          expect(worthOf(keepMost(open, where, sorted))).toBe(byTrying(open, where));
        },
      ),
    );
  });
});

describe('spreading neighbours over a stretch', () => {
  const spreadOver = (items: readonly Item[], where: Stretch, more: object = {}) => {
    const kept = keepMost(items, where, []);
    if (kept === null) throw new Error('there is room');
    const contras = items.map(() => false);
    return spread({ items, kept, stretch: where, step: 10, contras, main: false, ...more });
  };

  it('takes the step that was asked for, and a rounder part of it where room is short', () => {
    expect(spreadOver([FREE, FREE, FREE], stretch(1, 99))).toEqual([10, 20, 30]);
    expect(spreadOver([single(10), FREE, single(20)], stretch(1, 99))).toEqual([10, 15, 20]);
    expect(spreadOver([single(10), FREE, FREE, single(13)], stretch(1, 99))).toEqual([
      10, 11, 12, 13,
    ]);
  });

  it('puts contra accounts at the end', () => {
    expect(spreadOver([FREE, FREE], stretch(1, 99), { contras: [false, true] })).toEqual([10, 90]);
  });

  it('leaves the first number of a range free for main accounts where it can', () => {
    expect(spreadOver([FREE], stretch(4000, 4999), { main: true })).toEqual([4010]);
  });

  it('keeps the order, whatever stays', () => {
    const items = fc.array(
      fc.oneof(
        fc.constant(FREE),
        fc.integer({ min: 1, max: 99 }).map((at) => single(at)),
      ),
      { minLength: 1, maxLength: 12 },
    );
    fc.assert(
      fc.property(items, (some) => {
        const places = spreadOver(some, stretch(1, 99));
        expect(places).toEqual([...new Set(places)].sort((a, b) => a - b));
      }),
    );
  });
});
