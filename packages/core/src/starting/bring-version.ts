import type { Account, AccountId } from '../chart/account';
import type { Chart } from '../chart/chart';
import { differencesBetween, type Former } from '../chart/compare';
import { accountOf, hasAccount, idByNumber, parentIdOf, previousIdOf } from '../chart/queries';
import { apply, applyAll } from '../operations/apply';
import type { ChangeSetting, Operation } from '../operations/operation';
import { planAdding } from '../planning/adding';
import { chartOfKept, type KeptChart, type Origin } from './kept-chart';

/** What a newer version of a kept chart brings to a client that began from an older one. */
export interface Brought {
  readonly operations: readonly Operation[];
  readonly origin: Origin;
  /** Changes that are not brought, for the client has it its own way or a rule says no. */
  readonly left: number;
}

const TEXTS = ['name', 'shortLabel', 'guidance', 'notes'] as const;

/** What is to change about an account, as far as the client still has it as the older version did. */
const changesOf = (
  was: Account,
  wanted: Account,
  own: Account,
  former: Former,
): readonly Operation[] => {
  const { id } = own;
  const still = <K extends keyof Account>(field: K): boolean =>
    was[field] !== wanted[field] && JSON.stringify(own[field]) === JSON.stringify(was[field]);
  const settings = (former.settings ?? []).filter(
    (setting) => JSON.stringify(own.settings[setting]) === JSON.stringify(was.settings[setting]),
  );
  return [
    ...TEXTS.filter(still).map((field): Operation => ({
      type: 'editField',
      id,
      field,
      value: wanted[field],
    })),
    ...(still('number') ? [{ type: 'renumber', id, number: wanted.number } as const] : []),
    ...(still('kind') ? [{ type: 'changeKind', id, kind: wanted.kind } as const] : []),
    ...(still('role') ? [{ type: 'changeRole', id, role: wanted.role } as const] : []),
    // The value was read by the name that stands beside it.
    ...settings.map(
      (setting) =>
        ({
          type: 'changeSetting',
          id,
          setting,
          value: wanted.settings[setting] ?? null,
        }) as ChangeSetting,
    ),
  ];
};

const wishedCount = (former: Former): number =>
  Object.keys(former).filter((key) => key !== 'place').length;

class Bringer {
  readonly operations: Operation[] = [];
  left = 0;

  constructor(
    private current: Chart,
    private readonly older: Chart,
    private readonly newer: Chart,
  ) {}

  private try(operations: readonly Operation[]): boolean {
    const outcome = applyAll(this.current, operations);
    if (!outcome.ok) return false;
    this.current = outcome.chart;
    this.operations.push(...operations);
    return true;
  }

  add(id: AccountId): void {
    const account = accountOf(this.newer, id);
    const parentId = parentIdOf(this.newer, id);
    if (account === undefined || (parentId !== null && !hasAccount(this.current, parentId))) {
      this.left += 1;
      return;
    }
    const before = previousIdOf(this.newer, id);
    const beside =
      before !== null &&
      hasAccount(this.current, before) &&
      parentIdOf(this.current, before) === parentId;
    const free = account.number === null || idByNumber(this.current, account.number) === undefined;
    const placed = { ...account, number: free ? account.number : null, systemUse: null };
    const place = { parentId, afterId: beside ? before : null };
    if (!this.try(planAdding(this.current, placed, place))) this.left += 1;
  }

  change(id: AccountId, former: Former): void {
    const [was, wanted, own] = [
      accountOf(this.older, id),
      accountOf(this.newer, id),
      accountOf(this.current, id),
    ];
    if (was === undefined || wanted === undefined || own === undefined) {
      this.left += wishedCount(former);
      return;
    }
    const operations = changesOf(was, wanted, own, former);
    const done = operations.filter((operation) => this.try([operation])).length;
    const moved = former.parentId !== undefined && this.move(id) ? 1 : 0;
    this.left += Math.max(0, wishedCount(former) - done - moved);
  }

  /** Moves an account that the client left where the older version had it. */
  private move(id: AccountId): boolean {
    const parentId = parentIdOf(this.newer, id);
    if (parentIdOf(this.current, id) !== parentIdOf(this.older, id)) return false;
    const there = parentId === null || hasAccount(this.current, parentId);
    return there && this.try([{ type: 'moveNode', id, parentId, afterId: null }]);
  }

  /** What the newer version does without goes, where nothing hangs on it. */
  remove(id: AccountId): void {
    if (!hasAccount(this.current, id)) return;
    const gone = apply(this.current, { type: 'deleteAccount', id }).ok;
    if (gone) this.try([{ type: 'deleteAccount', id }]);
    else this.left += 1;
  }
}

/**
 * Brings what changed between two versions of a kept chart to a client's chart that began from the older
 * one. What the client has changed itself stays its own; what rules refuse is left, and counted. `newId`
 * gives a fresh id at each call.
 */
export const bringVersion = (
  chart: Chart,
  versions: { readonly older: KeptChart; readonly newer: KeptChart },
  { origin, newId }: { readonly origin: Origin; newId(): string },
): Brought => {
  const ids: Record<string, string> = { ...origin };
  const { newer } = versions;
  for (const { id } of newer.accounts) ids[id] ??= newId();
  const [before, after] = [chartOfKept(versions.older, ids), chartOfKept(newer, ids)];
  const bringer = new Bringer(chart, before, after);
  const differences = differencesBetween(before, after);
  for (const one of differences) if (one.type === 'new') bringer.add(one.id);
  for (const one of differences) if (one.type === 'changed') bringer.change(one.id, one.was);
  for (const one of [...differences].reverse()) if (one.type === 'gone') bringer.remove(one.id);
  return { operations: bringer.operations, origin: ids, left: bringer.left };
};
