import type { Chart, ChartNode } from '../chart/chart';
import { eachNode } from '../chart/queries';
import { KIND_CODES, elementOf, type KindCode } from '../kinds/kinds';
import {
  blockWidth,
  parseNumber,
  PLAN_DIGITS,
  usualPlan,
  type NumberPlan,
  type NumberRange,
  type Segment,
} from '../plan/number-plan';

/** The value that occurs most; the earliest among equals; `undefined` of nothing. */
const commonest = <T>(values: readonly T[]): T | undefined => {
  const counts = new Map<T, number>();
  for (const value of values) counts.set(value, (counts.get(value) ?? 0) + 1);
  return [...counts].sort(([, a], [, b]) => b - a)[0]?.[0];
};

interface Shape {
  readonly digits: number;
  readonly separator: string;
  readonly segments: readonly Segment[];
}

const splitOff = (number: string): { own: string; separator: string; parts: string[] } => {
  const separator = /^\d+([.\-/])/.exec(number)?.[1] ?? '';
  const [own = '', ...parts] = separator === '' ? [number] : number.split(separator);
  return { own, separator, parts };
};

/** Segments that nearly all numbers share: as many parts, of the same widths. */
const segmentsOf = (split: readonly ReturnType<typeof splitOff>[]): readonly Segment[] => {
  if (split.every(({ parts }) => parts.length === 0)) return [];
  const widths = commonest(split.map(({ parts }) => parts.map((part) => part.length).join()));
  if (widths === undefined || widths === '') return [];
  const fitting = split.filter(({ parts }) => parts.map((part) => part.length).join() === widths);
  if (fitting.length * 10 < split.length * 8) return [];
  return widths.split(',').map((width, index) => ({
    name: `Segment ${index + 1}`,
    width: Number(width),
    values: [...new Set(fitting.map(({ parts }) => parts[index] ?? ''))].sort(),
  }));
};

const shapeOf = (numbers: readonly string[]): Shape => {
  const split = numbers.map(splitOff);
  const segments = segmentsOf(split);
  const own = split.filter(({ own: digits }) => /^\d+$/.test(digits));
  const digits = commonest(own.map((one) => one.own.length)) ?? 4;
  const separator = commonest(split.flatMap((one) => one.separator || [])) ?? '-';
  const within = Math.min(Math.max(digits, PLAN_DIGITS.least), PLAN_DIGITS.most);
  return { digits: within, segments, separator: segments.length === 0 ? '-' : separator };
};

/** Every way to share digits out over levels, the widest main level first. */
const sharings = (digits: number): readonly (readonly number[])[] => {
  if (digits === 0) return [[]];
  return Array.from(
    { length: Math.min(digits, 3) },
    (_, index) => Math.min(digits, 3) - index,
  ).flatMap((width) => sharings(digits - width).map((rest) => [width, ...rest]));
};

interface Link {
  readonly level: number;
  readonly parent: number;
  readonly child: number;
}

const linksOf = (chart: Chart, plan: NumberPlan): readonly Link[] => {
  const links: Link[] = [];
  const visit = ({ account, children }: ChartNode, level: number): void => {
    const parent = parseNumber(plan, account.number)?.value;
    for (const below of children) {
      const child = parseNumber(plan, below.account.number)?.value;
      if (parent !== undefined && child !== undefined) links.push({ level, parent, child });
      visit(below, level + 1);
    }
  };
  for (const root of chart.roots) visit(root, 1);
  return links;
};

/** How many links keep to levels: those whose ends stand in one block. */
const keptBy = (links: readonly Link[], plan: NumberPlan): number => {
  const widths = plan.levels.map((_digits, index) => blockWidth(plan, index + 1));
  let kept = 0;
  for (const { level, parent, child } of links) {
    const width = widths[level - 1] ?? 1;
    if (width > 1 && Math.floor(parent / width) === Math.floor(child / width)) kept += 1;
  }
  return kept;
};

/** The levels that most sub-accounts keep to; among equals the narrowest blocks, so that few strangers stand in them. */
const levelsOf = (chart: Chart, plan: NumberPlan): { levels: readonly number[]; share: number } => {
  const links = linksOf(chart, plan);
  if (links.length === 0) return { levels: plan.levels, share: 1 };
  const [best = { levels: plan.levels, kept: 0 }] = sharings(plan.digits)
    .map((levels) => ({ levels, kept: keptBy(links, { ...plan, levels }) }))
    .sort((a, b) => b.kept - a.kept);
  return { levels: best.levels, share: best.kept / links.length };
};

const stepOf = (chart: Chart, plan: NumberPlan): number => {
  const gaps = [...eachNode(chart.roots), { children: chart.roots }].flatMap(({ children }) => {
    const leaves = children
      .filter((node) => node.children.length === 0)
      .flatMap(({ account }) => parseNumber(plan, account.number)?.value ?? []);
    return leaves.slice(1).map((value, index) => value - (leaves[index] ?? value));
  });
  const usual = commonest(gaps.filter((gap) => [1, 2, 5, 10, 20, 50, 100].includes(gap)));
  return usual ?? plan.step;
};

/** The leading digit under which most main accounts of each kind stand. */
const leadingDigits = (chart: Chart, plan: NumberPlan): ReadonlyMap<KindCode, number> => {
  const unit = 10 ** (plan.digits - 1);
  const found = new Map<KindCode, number>();
  for (const kind of KIND_CODES) {
    const digits = chart.roots
      .filter(({ account }) => account.kind === kind)
      .flatMap(({ account }) => parseNumber(plan, account.number)?.value ?? [])
      .map((value) => Math.floor(value / unit));
    const digit = commonest(digits);
    if (digit !== undefined) found.set(kind, digit);
  }
  return found;
};

const usualDigit = (plan: NumberPlan, kind: KindCode): number => {
  const range = usualPlan(plan.digits).ranges.find(({ kinds }) => kinds.includes(kind));
  return Math.floor((range?.first ?? 0) / 10 ** (plan.digits - 1));
};

/** Where kinds without an account belong: with their neighbours of the same usual range, else of their element. */
const digitFor = (
  kind: KindCode,
  known: ReadonlyMap<KindCode, number>,
  plan: NumberPlan,
): number => {
  const peers = (same: (other: KindCode) => boolean): number | undefined =>
    commonest([...known].filter(([other]) => same(other)).map(([, digit]) => digit));
  return (
    known.get(kind) ??
    peers((other) => usualDigit(plan, other) === usualDigit(plan, kind)) ??
    (new Set(known.values()).has(usualDigit(plan, kind))
      ? peers((other) => elementOf(other) === elementOf(kind))
      : undefined) ??
    usualDigit(plan, kind)
  );
};

const rangesOf = (chart: Chart, plan: NumberPlan): readonly NumberRange[] => {
  const unit = 10 ** (plan.digits - 1);
  const known = leadingDigits(chart, plan);
  const byDigit = new Map<number, KindCode[]>();
  for (const kind of KIND_CODES) {
    const digit = digitFor(kind, known, plan);
    byDigit.set(digit, [...(byDigit.get(digit) ?? []), kind]);
  }
  const usual = usualPlan(plan.digits).ranges;
  const digits = [...byDigit.keys()].sort((a, b) => a - b);
  return digits.map((digit) => {
    const kinds = byDigit.get(digit) ?? [];
    const name = commonest(
      kinds.flatMap((kind) => usual.find((range) => range.kinds.includes(kind))?.name ?? []),
    );
    return {
      name: name ?? 'Accounts',
      first: digit * unit,
      last: (digit + 1) * unit - 1,
      kinds,
    };
  });
};

/**
 * The plan that a chart's numbers seem to follow: the commonest length, the segments that nearly
 * all share, the digits that each level adds, the commonest step, and for each kind the thousand
 * (by leading digit) in which most of its main accounts stand.
 */
export const inferPlan = (chart: Chart): NumberPlan => {
  const numbers: string[] = [];
  for (const { account } of eachNode(chart.roots))
    if (account.number !== null) numbers.push(account.number);
  if (numbers.length === 0) return chart.settings.plan;
  const { digits, segments, separator } = shapeOf(numbers);
  const shaped: NumberPlan = { ...usualPlan(digits), segments, separator };
  const { levels, share } = levelsOf(chart, shaped);
  const levelled = { ...shaped, levels, underParent: share >= 0.5 };
  return { ...levelled, step: stepOf(chart, levelled), ranges: rangesOf(chart, levelled) };
};
