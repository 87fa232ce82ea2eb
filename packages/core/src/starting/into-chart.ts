import { plainAccount, type Account, type AccountId } from '../chart/account';
import type { Chart } from '../chart/chart';
import { accountOf, childrenOf, eachNode, parentIdOf } from '../chart/queries';
import { elementOf } from '../kinds/kinds';
import { applyAll } from '../operations/apply';
import type { Operation } from '../operations/operation';
import type { Refusal } from '../operations/refusal';
import { planAdding } from '../planning/adding';
import { lastBeforeContra } from '../planning/plan-add';
import { nameKey } from '../text/name-key';
import type { StartingGroup, StartingLine } from './compose';

/** The accounts of a chart by name, retired ones included. */
const byName = (chart: Chart): ReadonlyMap<string, AccountId> =>
  new Map([...eachNode(chart.roots)].map(({ account }) => [nameKey(account.name), account.id]));

/** The names of a starting chart that a living chart has already. */
export const namesThere = (chart: Chart, groups: readonly StartingGroup[]): ReadonlySet<string> => {
  const names = byName(chart);
  const lines = groups.flatMap(({ accounts }) => accounts.flatMap((line) => [line, ...line.below]));
  return new Set(lines.map(({ name }) => name).filter((name) => names.has(nameKey(name))));
};

/** What is added to a living chart, or the first rule that says no. */
export type IntoChart =
  | { readonly ok: true; readonly operations: readonly Operation[] }
  | { readonly ok: false; readonly refusal: Refusal };

class Adder {
  readonly operations: Operation[] = [];
  refusal: Refusal | null = null;

  constructor(
    private current: Chart,
    private readonly newId: () => AccountId,
  ) {}

  /** The account of that name, or a new one below `parentId`; `null` once something was refused. */
  give(line: StartingLine, parentId: AccountId | null, role: Account['role']): AccountId | null {
    const there = byName(this.current).get(nameKey(line.name));
    if (there !== undefined || this.refusal !== null) return there ?? null;
    const { name, kind, guidance, settings } = line;
    const id = this.newId();
    const systemUse = this.hasSystemAccount() ? null : line.systemUse;
    const account = plainAccount(
      { id, number: null, name, kind },
      { role, guidance, settings, systemUse },
    );
    const afterId = this.lastIn(parentId, account);
    const own = planAdding(this.current, account, { parentId, afterId });
    const outcome = applyAll(this.current, own);
    if (!outcome.ok) {
      this.refusal = outcome.refusal;
      return null;
    }
    this.current = outcome.chart;
    this.operations.push(...own);
    return id;
  }

  /** The chart keeps the account to which the system posts; one without any gets the starting chart's. */
  private hasSystemAccount(): boolean {
    return [...eachNode(this.current.roots)].some(({ account }) => account.systemUse !== null);
  }

  private lastIn(parentId: AccountId | null, { kind }: Account): AccountId | null {
    const siblings = childrenOf(this.current, parentId);
    if (parentId !== null) return lastBeforeContra(siblings);
    const own = siblings.filter(({ account }) => elementOf(account.kind) === elementOf(kind));
    return own.at(-1)?.account.id ?? siblings.at(-1)?.account.id ?? null;
  }

  /** Where the accounts of a group stand: below its heading, or where their like stands, or a new heading. */
  parentFor(group: StartingGroup, wanted: StartingLine): AccountId | null {
    const { current } = this;
    const named = byName(current).get(nameKey(group.name));
    const like = [...eachNode(current.roots)].find(
      ({ account }) => account.kind === wanted.kind && parentIdOf(current, account.id) !== null,
    );
    const found = named ?? (like === undefined ? null : parentIdOf(current, like.account.id));
    const kind = found === null ? undefined : accountOf(current, found)?.kind;
    if (kind !== undefined && elementOf(kind) === elementOf(wanted.kind)) return found;
    return this.give({ ...group, kind: wanted.kind }, null, 'heading');
  }
}

/**
 * The operations that add accounts of a starting chart to a living one, and touch nothing else: what is
 * there by name stays as it is; what is new goes below its group's heading, or beside its like, with the
 * next number there. `newId` gives a fresh id at each call.
 */
export const planStartingInto = (
  chart: Chart,
  groups: readonly StartingGroup[],
  newId: () => AccountId,
): IntoChart => {
  const adder = new Adder(chart, newId);
  const there = namesThere(chart, groups);
  for (const group of groups)
    for (const line of group.accounts) {
      const known = there.has(line.name);
      const parentId = known ? null : adder.parentFor(group, line);
      const id = adder.give(line, parentId, 'posting');
      for (const below of line.below) adder.give(below, id, 'posting');
    }
  return adder.refusal === null
    ? { ok: true, operations: adder.operations }
    : { ok: false, refusal: adder.refusal };
};

/** A starting chart without the accounts that were struck out, and without headings that are then empty. */
export const withoutStruck = (
  groups: readonly StartingGroup[],
  struck: ReadonlySet<string>,
): readonly StartingGroup[] =>
  groups.flatMap((group) => {
    const accounts = group.accounts.filter(({ name }) => !struck.has(name));
    return accounts.length === 0 ? [] : [{ ...group, accounts }];
  });
