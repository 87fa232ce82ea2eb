import type { AccountId } from '../chart/account';
import type { Chart } from '../chart/chart';
import { accountOf, childrenOf, isWithin, parentIdOf, previousIdOf } from '../chart/queries';
import { isContra, sectionOf, type KindCode } from '../kinds/kinds';
import { applyAll } from '../operations/apply';
import type { Operation } from '../operations/operation';
import { peersOf, planLineKind, type LinePlan, type StatementLine } from './plan-line';
import { planMoveUnder } from './plan-move';

/** Where a line is put: before or behind another, or into the group that it heads. */
export type LinePlace = 'before' | 'behind' | 'into';

interface Put {
  readonly line: StatementLine;
  readonly target: StatementLine;
  readonly where: LinePlace;
}

const placeFor = (
  chart: Chart,
  { line, target, where }: Put,
): { readonly parentId: AccountId | null; readonly afterId?: AccountId | null } => {
  if (where === 'into') return { parentId: target.accountId };
  const parentId = parentIdOf(chart, target.accountId);
  if (where === 'behind') return { parentId, afterId: target.accountId };
  const before = previousIdOf(chart, target.accountId);
  return { parentId, afterId: before === line.accountId ? previousIdOf(chart, before) : before };
};

/** The kind that leads to a section as the target does; the target's own, unless it is a contra. */
const kindOfTarget = (chart: Chart, { target, where }: Put): KindCode | null => {
  const own = accountOf(chart, target.accountId)?.kind ?? null;
  const below = where === 'into' ? childrenOf(chart, target.accountId) : [];
  const kinds = [...(own === null ? [] : [own]), ...below.map(({ account }) => account.kind)];
  return kinds.find((kind) => !isContra(kind) && sectionOf(kind) === target.section) ?? null;
};

const applied = (chart: Chart, operations: readonly Operation[]): Chart | null => {
  const outcome = applyAll(chart, operations);
  return outcome.ok ? outcome.chart : null;
};

/** Whether the line stands where it was put. */
const stands = (chart: Chart, { line, target, where }: Put): boolean => {
  const put = { section: target.section, accountId: line.accountId };
  if (where === 'into')
    return (
      parentIdOf(chart, line.accountId) === target.accountId &&
      peersOf(chart, put).includes(line.accountId)
    );
  const peers = peersOf(chart, put);
  const [at, other] = [peers.indexOf(line.accountId), peers.indexOf(target.accountId)];
  return at >= 0 && other >= 0 && at - other === (where === 'behind' ? 1 : -1);
};

/**
 * Puts a line beside another, or into the group that another heads, wherever that stands: its account moves there on the
 * chart, takes a number among its new neighbours, and, in another section, the kind that leads there.
 * Law: the line then stands where it was put. What an operation does not allow is refused when it is applied.
 */
export const planLineOnto = (chart: Chart, put: Put): LinePlan => {
  const { line, target } = put;
  const { accountId: id } = line;
  if (isWithin(chart, target.accountId, id)) return { ok: false, why: 'nothing' };
  if (line.section === target.section && stands(chart, put)) return { ok: false, why: 'nothing' };
  const moves = planMoveUnder(chart, id, placeFor(chart, put));
  const moved = applied(chart, moves);
  if (moved === null) return { ok: true, operations: moves };
  if (stands(moved, put)) return { ok: true, operations: moves };
  const kind = kindOfTarget(chart, put);
  const rekinded = kind === null ? null : planLineKind(moved, line, kind);
  if (rekinded?.ok !== true) return { ok: false, why: 'orderOfKinds' };
  const operations = [...moves, ...rekinded.operations];
  const there = applied(chart, operations);
  // What is refused says its rule when it is applied.
  return there === null || stands(there, put)
    ? { ok: true, operations }
    : { ok: false, why: 'orderOfKinds' };
};
