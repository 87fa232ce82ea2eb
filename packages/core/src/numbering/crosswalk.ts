import type { AccountId } from '../chart/account';
import type { Chart } from '../chart/chart';
import { accountOf, childrenOf, eachNode, parentIdOf, siblingsOf } from '../chart/queries';
import type { NumberGiven, Operation } from '../operations/operation';
import type { Landed } from '../operations/rules';
import { fitNumbers, type FitRequest } from './fit';
import { blockWidth, parseNumber, rangeOfKind, type NumberPlan } from '../plan/number-plan';
import { risingOrder, type Unplaced } from './place-tree';

/** Why a number changes. */
export type WhyChanged =
  | 'noNumber'
  | 'malformed'
  | 'outOfRange'
  | 'notUnderParent'
  | 'parentMoves'
  | 'subAccountsElsewhere'
  | 'outOfOrder'
  | 'makesRoom'
  | 'asAsked';

/** One line of a crosswalk: what an account was numbered, and what it becomes. */
export interface CrosswalkRow {
  readonly id: AccountId;
  readonly from: string | null;
  readonly to: string | null;
  readonly why: WhyChanged;
}

/** A renumbering before it is proposed. */
export interface Crosswalk {
  readonly rows: readonly CrosswalkRow[];
  /** Accounts whose numbers stay because the plan has none for them. */
  readonly unplaced: readonly Unplaced[];
  /** How many accounts were looked at. */
  readonly considered: number;
}

interface After {
  readonly chart: Chart;
  readonly plan: NumberPlan;
  readonly numbers: ReadonlyMap<AccountId, string>;
}

const numberAfter = ({ chart, numbers }: After, id: AccountId): string | null =>
  numbers.get(id) ?? accountOf(chart, id)?.number ?? null;

const blockAround = (plan: NumberPlan, number: string | null, level: number): number | null => {
  const value = parseNumber(plan, number)?.value;
  return value === undefined ? null : Math.floor(value / blockWidth(plan, level));
};

const outOfOrder = (after: After, id: AccountId, value: number): boolean => {
  const { chart, plan } = after;
  const siblings = risingOrder(plan, siblingsOf(chart, id));
  const own = siblings.findIndex(({ account }) => account.id === id);
  return siblings.some(({ account }, index) => {
    const kept = account.number !== null && numberAfter(after, account.id) === account.number;
    const other = kept ? parseNumber(plan, account.number)?.value : undefined;
    if (other === undefined) return false;
    return index < own ? other > value : index > own && other < value;
  });
};

const whyBelow = (after: After, id: AccountId, level: number, value: number): WhyChanged | null => {
  const { chart, plan } = after;
  const parentId = parentIdOf(chart, id);
  if (parentId === null || !plan.underParent) return null;
  const width = blockWidth(plan, level - 1);
  const own = Math.floor(value / width);
  const former = accountOf(chart, parentId)?.number ?? null;
  if (blockAround(plan, numberAfter(after, parentId), level - 1) === own) return null;
  return blockAround(plan, former, level - 1) === own ? 'parentMoves' : 'notUnderParent';
};

/** Whether an account gives up its own digits for those under which its sub-accounts stand. */
const leadsElsewhere = (after: After, id: AccountId, level: number, value: number): boolean => {
  const { chart, plan } = after;
  const width = blockWidth(plan, level);
  if (!plan.underParent) return false;
  return childrenOf(chart, id).some(({ account }) => {
    const kept = account.number !== null && numberAfter(after, account.id) === account.number;
    const block = kept ? blockAround(plan, account.number, level) : null;
    return block !== null && block !== Math.floor(value / width);
  });
};

const whyOf = (after: After, id: AccountId, level: number): WhyChanged => {
  const account = accountOf(after.chart, id);
  if (account === undefined || account.number === null) return 'noNumber';
  const value = parseNumber(after.plan, account.number)?.value;
  if (value === undefined) return 'malformed';
  const range = level === 1 ? rangeOfKind(after.plan, account.kind) : undefined;
  if (range !== undefined && (value < range.first || value > range.last)) return 'outOfRange';
  const below = whyBelow(after, id, level, value);
  if (below !== null) return below;
  if (leadsElsewhere(after, id, level, value)) return 'subAccountsElsewhere';
  return outOfOrder(after, id, value) ? 'outOfOrder' : 'makesRoom';
};

function* withLevels(
  nodes: Chart['roots'],
  level = 1,
): Generator<{ readonly id: AccountId; readonly number: string | null; readonly level: number }> {
  for (const { account, children } of nodes) {
    yield { id: account.id, number: account.number, level };
    yield* withLevels(children, level + 1);
  }
}

/** The crosswalk that brings numbers to a plan; `keep` for the fewest changes, else afresh. */
export const crosswalkTo = (chart: Chart, request: FitRequest): Crosswalk => {
  const { numbers, unplaced } = fitNumbers(chart, request);
  const after: After = { chart, plan: request.plan, numbers };
  const rows = [...withLevels(chart.roots)].flatMap(({ id, number, level }): CrosswalkRow[] => {
    const to = numbers.get(id);
    const stays = request.movable !== null && !request.movable.has(id);
    if (to === undefined || to === number || stays) return [];
    const why = request.keep ? whyOf(after, id, level) : 'asAsked';
    return [{ id, from: number, to, why }];
  });
  return { rows, unplaced, considered: request.movable?.size ?? chart.parents.size };
};

const asked = (chart: Chart, id: AccountId, to: string | null): readonly CrosswalkRow[] => {
  const from = accountOf(chart, id)?.number ?? null;
  return from === to ? [] : [{ id, from, to, why: 'asAsked' }];
};

/** Adds an amount, which may be negative, to the own part of numbers made of digits; others stay. */
export const shiftNumbers = (
  chart: Chart,
  ids: readonly AccountId[],
  amount: number,
): readonly CrosswalkRow[] =>
  ids.flatMap((id) => {
    const number = accountOf(chart, id)?.number;
    const digits = /^\d{1,15}/.exec(number ?? '')?.[0];
    if (number === null || number === undefined || digits === undefined) return [];
    const value = Number(digits) + amount;
    if (value < 0) return [];
    const own = String(value).padStart(digits.length, '0');
    return asked(chart, id, own + number.slice(digits.length));
  });

/** Replaces the leading characters of numbers that begin with them; others stay. */
export const replaceLeading = (
  chart: Chart,
  ids: readonly AccountId[],
  leading: { readonly from: string; readonly to: string },
): readonly CrosswalkRow[] =>
  ids.flatMap((id) => {
    const number = accountOf(chart, id)?.number;
    if (number === null || number === undefined || !number.startsWith(leading.from)) return [];
    return asked(chart, id, leading.to + number.slice(leading.from.length));
  });

/** The numbers that a crosswalk gives, as the operation takes them. */
export const numbersOf = (rows: readonly CrosswalkRow[]): readonly NumberGiven[] =>
  rows.map(({ id, to }) => ({ id, number: to }));

/** All accounts of branches, the heads included. */
export const idsWithin = (chart: Chart, heads: readonly AccountId[]): readonly AccountId[] => {
  const wanted = new Set(heads);
  const found = new Set<AccountId>();
  for (const node of eachNode(chart.roots))
    if (wanted.has(node.account.id))
      for (const { account } of eachNode([node])) found.add(account.id);
  return [...found];
};

const givenIn = (operation: Operation): readonly NumberGiven[] => {
  if (operation.type === 'renumber') return [{ id: operation.id, number: operation.number }];
  return operation.type === 'renumberMany' ? operation.numbers : [];
};

/** From which number to which landed operations took accounts, in the order in which they were first renumbered. */
export const crosswalkOf = (
  landed: readonly Landed[],
): readonly Pick<CrosswalkRow, 'id' | 'from' | 'to'>[] => {
  const from = new Map<AccountId, string | null>();
  const to = new Map<AccountId, string | null>();
  for (const { operation, inverse } of landed) {
    for (const { id, number } of givenIn(inverse)) if (!from.has(id)) from.set(id, number);
    for (const { id, number } of givenIn(operation)) to.set(id, number);
  }
  return [...to].flatMap(([id, number]) => {
    const former = from.get(id) ?? null;
    return former === number ? [] : [{ id, from: former, to: number }];
  });
};
