import { rangeOfKind } from '../plan/number-plan';
import type { AccountId } from '../chart/account';
import type { Chart, ChartNode } from '../chart/chart';
import type { Place } from '../chart/edit';
import { elementOf, type KindCode } from '../kinds/kinds';
import { childrenOf, idByNumber, nodeOf, nodesTo, parentIdOf } from '../chart/queries';

/** A number for a place, or why there is none. */
export type Suggestion =
  | { readonly ok: true; readonly number: string }
  | { readonly ok: false; readonly reason: 'noRoom' | 'notDigits' };

/** A place, and the kind of account whose number is wanted there. */
export interface NumberPlace extends Place {
  readonly kind: KindCode;
}

const asValue = (number: string | null | undefined): number | null =>
  number !== null && number !== undefined && /^\d{1,15}$/.test(number) ? Number(number) : null;

/** How far a number's own block reaches: 6100 holds 6100–6199, 5000 holds 5000–5999, 5011 itself. */
const blockOf = (value: number): number => {
  let block = 1;
  while (value !== 0 && value % (block * 10) === 0) block *= 10;
  return block;
};

const highestIn = (node: ChartNode): number | null =>
  node.children.reduce<number | null>((highest, child) => {
    const below = highestIn(child);
    return below === null ? highest : Math.max(highest ?? below, below);
  }, asValue(node.account.number));

/** The first number in chart order after the branch of `id`: a later sibling's, or one of those above. */
const nextAfter = (chart: Chart, id: AccountId): number | null => {
  for (let at: AccountId | null = id; at !== null; at = parentIdOf(chart, at)) {
    const siblings = childrenOf(chart, parentIdOf(chart, at));
    const index = siblings.findIndex((node) => node.account.id === at);
    const numbered = siblings.slice(index + 1).map(({ account }) => asValue(account.number));
    const next = numbered.find((value) => value !== null);
    if (next !== null && next !== undefined) return next;
  }
  return null;
};

interface Room {
  /** The last number before the place; the place's number lies above it. */
  readonly above: number;
  /** The first number after the place, or the end of the parent's block; the place's number lies below it. */
  readonly below: number;
  /** Whether `below` is a sibling's number, not the end of a block. */
  readonly bounded: boolean;
}

const smallest = (...values: readonly (number | null)[]): number =>
  Math.min(...values.filter((value) => value !== null));

/** Siblings whose numbers bear on the place: for a main account those of its element. */
const siblingsAt = (chart: Chart, { parentId, kind }: NumberPlace): readonly ChartNode[] =>
  childrenOf(chart, parentId).filter(({ account }) => elementOf(account.kind) === elementOf(kind));

const rangeStart = ({ settings: { plan } }: Chart, kind: KindCode): number =>
  rangeOfKind(plan, kind)?.first ?? 1;

const roomAt = (chart: Chart, place: NumberPlace): Room | null => {
  const siblings = siblingsAt(chart, place);
  const index = siblings.findIndex(({ account }) => account.id === place.afterId);
  const parent = place.parentId === null ? undefined : nodeOf(chart, place.parentId);
  const parentValue = asValue(parent?.account.number);
  const previous = siblings[index];
  const start = place.parentId === null ? rangeStart(chart, place.kind) - 1 : parentValue;
  const above = previous === undefined ? start : highestIn(previous);
  const next = asValue(siblings[index + 1]?.account.number);
  if (next !== null && next > (above ?? 0))
    return { above: above ?? 0, below: next, bounded: true };
  if (above === null) return null;
  const blockEnd =
    parentValue === null || blockOf(parentValue) === 1 ? null : parentValue + blockOf(parentValue);
  const after = nextAfter(chart, previous?.account.id ?? place.parentId ?? '');
  const limit = 10 ** String(above).length;
  const usable = after !== null && after > above ? after : null;
  return { above, below: smallest(blockEnd, usable, limit), bounded: false };
};

const powerBelow = (value: number): number => 10 ** Math.floor(Math.log10(Math.max(value, 1)));

/** The step that siblings keep: a power of ten no larger than the smallest gap between two of them. */
const usualStep = (chart: Chart, place: NumberPlace): number => {
  const values = siblingsAt(chart, place).flatMap(({ account }) => asValue(account.number) ?? []);
  const gaps = values.slice(1).map((value, index) => value - (values[index] ?? value));
  const upward = gaps.filter((gap) => gap > 0);
  if (upward.length > 0) return powerBelow(Math.min(...upward));
  const parent = place.parentId === null ? undefined : nodeOf(chart, place.parentId);
  if (parent === undefined) return 10 ** (chart.settings.plan.digits - 2);
  const block = blockOf(asValue(parent.account.number) ?? 0);
  return Math.max(1, Math.min(block / 10, 10 ** (chart.settings.plan.digits - 3)));
};

const isFree = (chart: Chart, value: number, length: number): boolean =>
  idByNumber(chart, String(value).padStart(length, '0')) === undefined;

/** The multiples of `step` strictly inside the room, at most a thousand, nearest to `target` first. */
const candidates = (room: Room, step: number, target: number): readonly number[] => {
  const first = (Math.floor(room.above / step) + 1) * step;
  const found: number[] = [];
  for (let value = first; value < room.below && found.length < 1000; value += step)
    found.push(value);
  return found.sort((a, b) => Math.abs(a - target) - Math.abs(b - target) || a - b);
};

const lengthAt = (chart: Chart, place: NumberPlace): number => {
  const near = place.afterId ?? place.parentId ?? chart.roots[0]?.account.id;
  const path = near === undefined ? [] : nodesTo(chart, near);
  return path.at(-1)?.account.number?.length ?? chart.settings.plan.digits;
};

/**
 * The number to offer for a new account at a place: above its elder sibling (and all below that
 * one) or its parent, below whatever comes next, within the parent's leading digits, as round as
 * fits. Between two siblings it leaves room on both sides; at the end it keeps the siblings' step.
 * `noRoom` when every number there is taken; `notDigits` when the neighbours' numbers are not plain digits.
 * Sub-accounts sharing their parent's leading digits: common practice, no source.
 */
export const suggestNumber = (chart: Chart, place: NumberPlace): Suggestion => {
  const room = roomAt(chart, place);
  if (room === null) return { ok: false, reason: 'notDigits' };
  const length = lengthAt(chart, place);
  const usual = usualStep(chart, place);
  const steps = room.bounded ? [1000, 100, 10, 5, 1] : [usual, usual / 2, usual / 5, usual / 10, 1];
  const target = room.bounded ? (room.above + room.below) / 2 : room.above + 1;
  for (const step of steps.filter((candidate) => Number.isInteger(candidate) && candidate >= 1)) {
    const value = candidates(room, step, target).find((candidate) =>
      isFree(chart, candidate, length),
    );
    if (value !== undefined) return { ok: true, number: String(value).padStart(length, '0') };
  }
  return { ok: false, reason: 'noRoom' };
};
