import type { AccountId } from '../chart/account';
import type { Chart, ChartNode } from '../chart/chart';
import { eachNode } from '../chart/queries';
import { fitNumbers } from '../numbering/fit';
import { inferPlan } from '../numbering/infer-plan';
import { planProblems, usualPlan, type NumberPlan } from '../plan/number-plan';
import type { ImportProblem } from './import-plan';

/** Numbers for the accounts that a list gave none, and why some get none. */
export interface NewNumbers {
  readonly plan: NumberPlan;
  readonly numbers: ReadonlyMap<AccountId, string>;
  readonly problems: ReadonlyMap<AccountId, ImportProblem>;
}

/** Digits that are tried, fewest first, where a list has no numbers at all. */
const DIGITS = [4, 5, 6] as const;

/** A chart that a list made keeps the rules that the list's numbers follow, or with none the usual ones. */
const plansFor = (chart: Chart, fresh: boolean): readonly NumberPlan[] => {
  if (!fresh) return [chart.settings.plan];
  const numbered = [...eachNode(chart.roots)].some(({ account }) => account.number !== null);
  if (!numbered) return DIGITS.map(usualPlan);
  const inferred = inferPlan(chart);
  return [planProblems(inferred).length === 0 ? inferred : chart.settings.plan];
};

/** How far below its first sub-account a heading's number is looked for. */
const REACH = 2000;

const firstNumberBelow = ({ children }: ChartNode): string | null => {
  for (const child of children) {
    const number = child.account.number ?? firstNumberBelow(child);
    if (number !== null) return number;
  }
  return null;
};

/** Whether a heading's number stands before those below it, as far as both are plain digits of one length. */
const isBefore = (number: string, node: ChartNode | undefined): boolean => {
  const first = node === undefined ? null : firstNumberBelow(node);
  return first === null || first.length !== number.length || number < first;
};

/** The nearest free number before the first sub-account's, of as many digits; `null` where there is none. */
const numberBefore = (node: ChartNode, taken: ReadonlySet<string>): string | null => {
  const first = firstNumberBelow(node);
  if (first === null || !/^\d+$/.test(first)) return null;
  for (let value = Number(first) - 1; value > 0 && value > Number(first) - REACH; value -= 1) {
    const number = String(value).padStart(first.length, '0');
    if (!taken.has(number)) return number;
  }
  return null;
};

/**
 * The list's own numbers stand, whatever the plan would rather have. Where a heading then has no number of
 * the plan, for its sub-accounts have taken its block, it gets the nearest free one before them.
 */
const fitted = (chart: Chart, plan: NumberPlan, added: readonly AccountId[]): NewNumbers => {
  const nodes = new Map([...eachNode(chart.roots)].map((node) => [node.account.id, node]));
  const movable = new Set(added.filter((id) => nodes.get(id)?.account.number === null));
  if (movable.size === 0) return { plan, numbers: new Map(), problems: new Map() };
  const fit = fitNumbers(chart, { plan, movable, keep: true });
  const why = new Map(fit.unplaced.map((one) => [one.id, one.why]));
  const taken = new Set([...nodes.values()].flatMap(({ account }) => account.number ?? []));
  const numbers = new Map<AccountId, string>();
  const problems = new Map<AccountId, ImportProblem>();
  // From below, so that a heading finds the numbers of the headings under it.
  for (const id of [...movable].reverse()) {
    const planned = fit.numbers.get(id);
    const node = nodes.get(id);
    const fits = planned !== undefined && !taken.has(planned) && isBefore(planned, node);
    const free = fits ? planned : null;
    const number = free ?? (node === undefined ? null : numberBefore(node, taken));
    if (number === null) problems.set(id, { rule: 'noNumber', why: why.get(id) ?? 'noRoom' });
    else numbers.set(id, number);
    if (number !== null) taken.add(number);
  }
  return { plan, numbers, problems };
};

/** Numbers for new accounts, with the plan by which they are given. `fresh` says that the chart had no accounts before. */
export const numberNew = (
  chart: Chart,
  added: readonly AccountId[],
  fresh: boolean,
): NewNumbers => {
  const plans = plansFor(chart, fresh);
  const tries = plans.map((plan) => () => fitted(chart, plan, added));
  let last: NewNumbers = { plan: chart.settings.plan, numbers: new Map(), problems: new Map() };
  for (const attempt of tries) {
    last = attempt();
    if (last.problems.size === 0) return last;
  }
  return last;
};
