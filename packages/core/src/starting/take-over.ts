import { chartFrom, emptyChart } from '../chart/build';
import type { Chart } from '../chart/chart';
import { eachNode, recordsOf } from '../chart/queries';
import { elementOf, type KindCode } from '../kinds/kinds';
import { applyAll } from '../operations/apply';
import type { Operation } from '../operations/operation';
import type { StartingGroup } from './compose';
import { copyStructure } from './copy-structure';
import { planStartingInto } from './into-chart';

/** Whose equity the copy is to have. */
export interface TakeOverRequest {
  /** The starting chart of the new client, for its legal form and country. */
  readonly groups: readonly StartingGroup[];
  /** Whether the two are known to be of different legal forms or countries; `null` where the kinds must tell. */
  readonly differs: boolean | null;
  newId(): string;
  /** Is told which id stands for which. */
  readonly note?: (id: string, copy: string) => void;
}

const equityOf = (groups: readonly StartingGroup[]): readonly StartingGroup[] =>
  groups.filter(({ kind }) => elementOf(kind) === 'equity');

const equityKinds = (groups: readonly StartingGroup[]): ReadonlySet<KindCode> =>
  new Set(
    groups.flatMap(({ accounts }) =>
      accounts.flatMap((line) => [line, ...line.below]).map(({ kind }) => kind),
    ),
  );

const fits = (chart: Chart, kinds: ReadonlySet<KindCode>): boolean =>
  [...eachNode(chart.roots)].every(
    ({ account: { kind, role, retiredOn } }) =>
      elementOf(kind) !== 'equity' || role === 'heading' || retiredOn !== null || kinds.has(kind),
  );

const withoutEquity = (chart: Chart): Chart =>
  chartFrom(
    recordsOf(chart).filter(({ kind }) => elementOf(kind) !== 'equity'),
    { settings: chart.settings },
  );

/**
 * The operations that make a chart like another one for a client of its own legal form and country: all of
 * its structure, but with the equity accounts that the new client's form asks for where the two differ.
 */
export const takeOver = (chart: Chart, request: TakeOverRequest): readonly Operation[] => {
  const { groups, differs, newId, note } = request;
  const copy = (of: Chart) => copyStructure(of, newId, 'structure', note);
  const equity = equityOf(groups);
  const changes = equity.length > 0 && (differs ?? !fits(chart, equityKinds(equity)));
  if (!changes) return copy(chart);
  const rest = copy(withoutEquity(chart));
  const copied = applyAll(emptyChart(), rest);
  const added = copied.ok ? planStartingInto(copied.chart, equity, newId) : null;
  return added?.ok === true ? [...rest, ...added.operations] : copy(chart);
};
