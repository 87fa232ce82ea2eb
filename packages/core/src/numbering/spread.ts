import { afterItem, type Item, type Point, type Stretch } from './sequence';

/** Neighbours of which some keep their places, and where the others may go. */
export interface Spread {
  readonly items: readonly Item[];
  readonly kept: readonly (Point | null)[];
  readonly stretch: Stretch;
  readonly step: number;
  /** Whether each item is a contra account. */
  readonly contras: readonly boolean[];
  /** Whether these are main accounts. */
  readonly main: boolean;
}

/** Steps to try, the roundest first. */
const stepsFrom = (step: number): readonly number[] => {
  const steps: number[] = [];
  for (let unit = step; unit >= 1; unit /= 10)
    steps.push(...[unit, unit / 2, unit / 5].filter((one) => Number.isInteger(one) && one >= 1));
  return [...new Set([...steps, 1])];
};

interface Run {
  readonly begin: number;
  readonly end: number;
  /** First free number, and the first that is no longer free. */
  readonly from: number;
  readonly limit: number;
}

const nextMultiple = (from: number, unit: number, refused: (at: number) => boolean): number => {
  let at = Math.ceil(from / unit) * unit;
  while (refused(at)) at += unit;
  return at;
};

const placeRun = ({ items, stretch }: Spread, run: Run, step: number): number[] | null => {
  const places: number[] = [];
  let cursor = run.from;
  for (let index = run.begin; index < run.end; index += 1) {
    const item = items[index];
    if (item === undefined) return null;
    const unit = item.size === 'number' ? step : Math.ceil(step / stretch.block) * stretch.block;
    const at = nextMultiple(
      cursor,
      unit,
      (number) =>
        number < run.limit &&
        (item.size === 'number' ? stretch.taken(number) : stretch.blocked(number, index)),
    );
    cursor = afterItem(stretch, item, at);
    if (cursor > run.limit) return null;
    places.push(at);
  }
  return places;
};

/** Contras that stand last take the last round numbers of the stretch. */
const atTheEnd = (spread: Spread, run: Run): number[] | null => {
  const { items, contras, stretch, step, main } = spread;
  const tail = contras.slice(run.begin, run.end).lastIndexOf(false) + 1 + run.begin;
  const count = run.end - tail;
  const plain = items.slice(tail, run.end).every(({ size }) => size === 'number');
  if (main || count === 0 || !plain || run.end < items.length) return null;
  const before = placeRun(spread, { ...run, end: tail }, step);
  const last = items[tail - 1];
  if (before === null) return null;
  const free =
    before.length > 0 && last !== undefined
      ? afterItem(stretch, last, before.at(-1) ?? run.from)
      : run.from;
  const end = Math.floor((run.limit - 1) / step) * step;
  const places = Array.from({ length: count }, (_, index) => end - step * (count - 1 - index));
  const usable = places.every((at) => at >= free && !stretch.taken(at));
  return usable ? [...before, ...places] : null;
};

const spreadRun = (spread: Spread, run: Run): readonly number[] => {
  const tail = atTheEnd(spread, run);
  if (tail !== null) return tail;
  const skipsFirst =
    spread.main && run.begin === 0 && spread.items.every(({ size }) => size === 'number');
  for (const from of skipsFirst ? [run.from + 1, run.from] : [run.from])
    for (const step of stepsFrom(spread.step)) {
      const places = placeRun(spread, { ...run, from }, step);
      if (places !== null) return places;
    }
  throw new RangeError('no room where room was promised');
};

/**
 * A place for every item: the kept ones where they are, the others between them at the roundest
 * numbers that fit, contras at the end. There must be room, as `keepMost` has made sure.
 */
export const spread = (what: Spread): readonly number[] => {
  const { items, kept, stretch } = what;
  const places: number[] = [];
  let begin = 0;
  let from = stretch.first;
  for (const [index, item] of items.entries()) {
    const point = kept[index];
    if (point === null || point === undefined) continue;
    places.push(...spreadRun(what, { begin, end: index, from, limit: point.at }), point.at);
    from = afterItem(stretch, item, point.at);
    begin = index + 1;
  }
  const rest = { begin, end: items.length, from, limit: stretch.last + 1 };
  return [...places, ...(begin < items.length ? spreadRun(what, rest) : [])];
};
