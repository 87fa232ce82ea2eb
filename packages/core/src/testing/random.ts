import type { MonthlyAmounts } from '../ledger/monthly';
import fc from 'fast-check';
import { plainAccount, type Account, type AccountId } from '../chart/account';
import { emptyChart } from '../chart/build';
import type { Chart } from '../chart/chart';
import { childrenOf, recordsOf, splitsOf } from '../chart/queries';
import { KIND_CODES } from '../kinds/kinds';
import { apply } from '../operations/apply';
import { usualPlan } from '../plan/number-plan';
import type { NumberGiven, Operation } from '../operations/operation';
import type { AccountAmounts, Ledger } from '../ledger/amounts';

/** A recipe from which an operation is made for whatever chart is at hand. */
export interface Draw {
  readonly type: number;
  readonly a: number;
  readonly b: number;
  readonly c: number;
}

/** Random recipes; the operations they give may well be refused. */
export const draws = (max: number): fc.Arbitrary<Draw[]> =>
  fc.array(fc.record({ type: fc.nat(22), a: fc.nat(9999), b: fc.nat(9999), c: fc.nat(9999) }), {
    minLength: 1,
    maxLength: max,
  });

/** One random recipe about few accounts, so that two of them often concern the same. */
export const closeDraw: fc.Arbitrary<Draw> = fc.record({
  type: fc.nat(22),
  a: fc.nat(4),
  b: fc.nat(4),
  c: fc.nat(4),
});

const pick = <T>(list: readonly T[], at: number): T | undefined => list[at % list.length];

const drawnAccount = ({ a, b, c }: Draw, id: AccountId): Account =>
  plainAccount(
    {
      id,
      number: String(1000 + (a % 9000)),
      name: `Account ${b}`,
      kind: pick(KIND_CODES, c) ?? 'bank',
    },
    { role: c % 4 === 0 ? 'heading' : 'posting' },
  );

const drawnPlace = (chart: Chart, draw: Draw, ids: readonly AccountId[]) => {
  const parentId = draw.b % 3 === 0 ? null : (pick(ids, draw.b) ?? null);
  const siblings = childrenOf(chart, parentId);
  const afterId = draw.c % 4 === 0 ? null : (pick(siblings, draw.c)?.account.id ?? null);
  return { parentId, afterId };
};

/** Some accounts pass their numbers on in a circle, as a swap does; now and then one gets a number of its own. */
const drawnNumbers = (ids: readonly AccountId[], { a, b, c }: Draw): readonly NumberGiven[] => {
  const chosen = [...new Set([a, a + b, a + c, b].map((at) => pick(ids, at) ?? ''))];
  return chosen.map((id, index) => ({
    id,
    number: String(1000 + ((a + b * ((index + 1) % chosen.length)) % 9000)),
  }));
};

const ALL_POSTINGS = {
  first: null,
  last: null,
  sources: [],
  words: '',
  value: null,
  upTo: 9,
} as const;

/** A split of one account, or the taking back of one that stands. */
const drawnSplit = (
  chart: Chart,
  { b, c }: Draw,
  { id, into, fresh }: { id: AccountId; into: AccountId; fresh: string },
): Operation => {
  const standing = pick(splitsOf(chart), b);
  if (c % 3 === 0 && standing !== undefined) return { type: 'unsplit', split: standing };
  const choice = c % 2 === 0 ? ALL_POSTINGS : { ...ALL_POSTINGS, words: `word ${b}` };
  return { type: 'split', split: { id: `split-${fresh}`, from: id, into, choice } };
};

const drawnSetting = (chart: Chart, { b, c }: Draw, id: AccountId): Operation => {
  const dimension = pick(chart.settings.dimensions, b);
  if (c % 4 === 0) return { type: 'changeSetting', id, setting: 'openItems', value: b % 2 === 0 };
  if (c % 4 === 1) return { type: 'changeSetting', id, setting: 'cashFlow', value: null };
  if (c % 4 === 2 || dimension === undefined)
    return { type: 'changeSetting', id, setting: 'pinned', value: b % 2 === 0 ? true : null };
  const valueId = pick(dimension.values, b)?.id ?? null;
  const value = [{ dimensionId: dimension.id, valueId, demanded: b % 2 === 0 }];
  return { type: 'changeSetting', id, setting: 'dimensions', value };
};

/** A new dimension, or one of those that are there with other values or none at all. */
const drawnDimension = (chart: Chart, { a, b, c }: Draw, fresh: string): Operation => {
  const known = pick(chart.settings.dimensions, a);
  const afterId = pick(chart.settings.dimensions, b)?.id ?? null;
  if (known !== undefined && c % 4 === 0)
    return { type: 'setDimension', id: known.id, dimension: null, afterId };
  const id = known !== undefined && c % 2 === 0 ? known.id : `dimension-${fresh}`;
  const values = Array.from({ length: b % 4 }, (_value, index) => ({
    id: `${id}-${index}`,
    name: `Value ${index + (c % 3)}`,
  }));
  return { type: 'setDimension', id, dimension: { id, name: `Dimension ${a}`, values }, afterId };
};

/** The operation that a recipe gives on a chart. `fresh` is the id of an account it may add. */
export const drawnOperation = (chart: Chart, draw: Draw, fresh: AccountId): Operation => {
  const ids = recordsOf(chart).map((record) => record.id);
  const id = pick(ids, draw.a);
  const place = drawnPlace(chart, draw, ids);
  const add: Operation = { type: 'addAccount', account: drawnAccount(draw, fresh), ...place };
  if (id === undefined) return add;
  switch (draw.type) {
    case 0:
      return { type: 'deleteAccount', id };
    case 1:
      return { type: 'editField', id, field: 'name', value: `Name ${draw.b}` };
    case 2:
      return { type: 'editField', id, field: 'guidance', value: `Guidance ${draw.b}` };
    case 3:
      return { type: 'renumber', id, number: String(1000 + (draw.b % 9000)) };
    case 4:
    case 5:
    case 6:
      return { type: 'moveNode', id, ...place };
    case 7:
      return { type: 'changeKind', id, kind: pick(KIND_CODES, draw.b) ?? 'bank' };
    case 8:
      return { type: 'changeRole', id, role: draw.b % 2 === 0 ? 'heading' : 'posting' };
    case 9:
      return { type: 'retire', id, on: '2026-06-30' };
    case 10:
      return { type: 'restore', id };
    case 11:
      return { type: 'renumberMany', numbers: drawnNumbers(ids, draw) };
    case 12:
      return { type: 'setPlan', plan: usualPlan(3 + (draw.b % 4)), numbered: draw.c % 2 === 0 };
    case 13:
    case 14:
      return { type: 'merge', id, into: pick(ids, draw.b) ?? id, acrossKinds: draw.c % 3 !== 0 };
    case 15:
    case 16:
      return drawnSplit(chart, draw, { id, into: pick(ids, draw.b) ?? id, fresh });
    case 17:
    case 18:
      return drawnSetting(chart, draw, id);
    case 19:
      return drawnDimension(chart, draw, fresh);
    default:
      return add;
  }
};

/** An operation that was accepted, with the charts around it. */
export interface Applied {
  readonly operation: Operation;
  readonly before: Chart;
  readonly after: Chart;
}

/** Runs recipes one after the other, keeping what was accepted. */
export const runDraws = (start: Chart, recipes: readonly Draw[], prefix: string): Applied[] => {
  const applied: Applied[] = [];
  let chart = start;
  for (const [index, draw] of recipes.entries()) {
    const operation = drawnOperation(chart, draw, `${prefix}${index}`);
    const outcome = apply(chart, operation);
    if (!outcome.ok) continue;
    applied.push({ operation, before: chart, after: outcome.chart });
    chart = outcome.chart;
  }
  return applied;
};

/** A chart grown from nothing by random operations. */
export const randomChart = (max: number): fc.Arbitrary<Chart> =>
  draws(max).map(
    (recipes) =>
      runDraws(
        emptyChart(),
        recipes.map((draw) => ({
          ...draw,
          type: draw.type < 5 || draw.type === 13 ? 22 : draw.type,
        })),
        'base',
      ).at(-1)?.after ?? emptyChart(),
  );

/** A ledger that balances over the posting accounts of a chart that reach a statement; posted accounts are marked. */
export const balancedLedger = (
  chart: Chart,
  seed: readonly number[],
): { chart: Chart; ledger: Ledger } => {
  const ids = recordsOf(chart)
    .filter(({ role, kind }) => role === 'posting' && kind !== 'memorandum')
    .map((record) => record.id);
  const ledger = new Map<AccountId, AccountAmounts>();
  const post = (id: AccountId, amount: number, when: number): void => {
    const { balance, change, yearChange } = ledger.get(id) ?? {
      balance: 0,
      change: 0,
      yearChange: 0,
    };
    ledger.set(id, {
      balance: balance + amount,
      yearChange: yearChange + (when > 0 ? amount : 0),
      change: change + (when > 1 ? amount : 0),
    });
  };
  for (const [index, amount] of seed.entries()) {
    const debit = pick(ids, index * 7 + Math.abs(amount));
    const credit = pick(ids, index * 3 + 1);
    if (debit === undefined || credit === undefined) continue;
    post(debit, amount, index % 3);
    post(credit, -amount, index % 3);
  }
  return { chart: { ...chart, posted: new Set(ledger.keys()) }, ledger };
};

/** Postings that balance in each month, over the accounts of a chart that reach a statement. */
export const monthlyOver = (
  chart: Chart,
  seed: readonly number[],
  months: number,
): MonthlyAmounts => {
  const ids = recordsOf(chart)
    .filter(({ role, kind }) => role === 'posting' && kind !== 'memorandum')
    .map(({ id }) => id);
  const posted = new Map(ids.map((id) => [id, Array.from({ length: months }, () => 0)]));
  seed.forEach((amount, index) => {
    const month = index % months;
    const sides = [(index * 7 + Math.abs(amount)) % ids.length, (index * 3 + 1) % ids.length];
    sides.forEach((at, side) => {
      const row = posted.get(ids[at] ?? '');
      if (row !== undefined) row[month] = (row[month] ?? 0) + (side === 0 ? amount : -amount);
    });
  });
  return { first: '2024-01', rows: [...posted].map(([id, row]) => [id, ...row] as const) };
};
