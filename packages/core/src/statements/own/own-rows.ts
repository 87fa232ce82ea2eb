import type { AccountId } from '../../chart/account';
import type { Chart, ChartNode } from '../../chart/chart';
import { eachNode, nodeOf, pathTo } from '../../chart/queries';
import { chartResults, type RollUp } from '../../ledger/amounts';
import { dividedHalfAway } from '../../money/decimal';
import { add, negate, type Minor } from '../../money/minor';
import type { RowKey, StatementOptions } from '../statement';
import {
  isLeaf,
  leavesOf,
  ownKey,
  type OwnLayout,
  type OwnLeaf,
  type OwnRow,
  type OwnRowId,
  type ShownSide,
} from './own-layout';
import type { OwnPlaces } from './own-places';

/** A row of a statement that is laid out by its client. Amounts are signed as the row shows them. */
export type OwnSheetRow =
  | {
      readonly type: 'ownHeading' | 'ownText';
      readonly key: RowKey;
      readonly words: string;
      readonly level: number;
    }
  | { readonly type: 'pageBreak'; readonly key: RowKey; readonly level: 0 }
  | {
      readonly type: 'ownLine';
      readonly key: RowKey;
      readonly words: string;
      readonly level: number;
      readonly shows: ShownSide;
      /** The account of the line; `null` where it has several, or none by name. */
      readonly accountId: AccountId | null;
      /** Whether what it consists of stands under it. */
      readonly open: boolean;
      /** `null` on an open line: the amount stands in the sum that closes it. */
      readonly amount: Minor | null;
    }
  | {
      readonly type: 'ownSum';
      readonly key: RowKey;
      readonly words: string;
      readonly level: number;
      readonly shows: ShownSide;
      readonly amount: Minor;
      readonly final: boolean;
    }
  | {
      readonly type: 'ratio';
      readonly key: RowKey;
      readonly words: string;
      readonly level: number;
      /** Tenths of a per cent, rounded once, halves away from zero; `null` where there is nothing to be a part of. */
      readonly amount: number | null;
    };

/** What rows of a layout are filled from. */
export interface OwnSource {
  readonly chart: Chart;
  readonly layout: OwnLayout;
  readonly places: OwnPlaces;
  readonly options: StatementOptions;
  /** The books of all columns: what stands in any of them has its row. */
  readonly rollUps: readonly RollUp[];
}

/** What a column comes to, row by row; debit-positive. */
type Amounts = ReadonlyMap<OwnRowId, Minor>;

const signed = (amount: Minor, shows: ShownSide): Minor =>
  shows === 'debit' ? amount : negate(amount);

const shownSide = (row: OwnLeaf): ShownSide => (row.type === 'result' ? 'credit' : row.shows);

const unclosed = (chart: Chart, rollUp: RollUp): Minor => {
  const { earlierYears, thisYear } = chartResults(chart, rollUp);
  return negate(add(earlierYears, thisYear));
};

/** What each line comes to, debit-positive. */
const leafAmounts = ({ chart, layout, places }: OwnSource, rollUp: RollUp): Amounts => {
  const amounts = new Map<OwnRowId, Minor>();
  for (const node of eachNode(chart.roots))
    for (const id of places.rowsOf.get(node.account.id) ?? [])
      amounts.set(id, add(amounts.get(id) ?? 0, rollUp.own(node)));
  for (const row of layout.rows)
    if (row.type === 'result') amounts.set(row.id, unclosed(chart, rollUp));
  return amounts;
};

const sumOf = (rows: readonly OwnRow[], id: OwnRowId, amounts: Amounts): Minor =>
  leavesOf(rows, id).reduce((so, leaf) => add(so, amounts.get(leaf) ?? 0), 0);

const shownOf = (rows: readonly OwnRow[], id: OwnRowId, amounts: Amounts): Minor | null => {
  const row = rows.find((one) => one.id === id);
  if (row === undefined) return null;
  if (isLeaf(row)) return signed(amounts.get(id) ?? 0, shownSide(row));
  return row.type === 'sum' ? signed(sumOf(rows, id, amounts), row.shows) : null;
};

const tenths = (of: Minor | null, to: Minor | null): number | null =>
  of === null || to === null || to === 0
    ? null
    : Number(dividedHalfAway(BigInt(of) * 1000n, BigInt(Math.abs(to))));

type Held = Pick<OwnSource, 'places' | 'rollUps'>;

const countsIn = (places: OwnPlaces, node: ChartNode, row: OwnRowId): boolean =>
  places.rowsOf.get(node.account.id)?.includes(row) === true;

/** Whether anything stands in a branch on a row, in any column; also where it cancels out. */
const holds = (held: Held, node: ChartNode, row: OwnRowId): boolean =>
  (countsIn(held.places, node, row) && held.rollUps.some((rollUp) => rollUp.own(node) !== 0)) ||
  node.children.some((child) => holds(held, child, row));

/** The rows that have something in any column. */
const heldRows = (source: OwnSource): ReadonlySet<OwnRowId> => {
  const { chart, places, rollUps, layout } = source;
  const held = new Set<OwnRowId>();
  for (const node of eachNode(chart.roots))
    if (rollUps.some((rollUp) => rollUp.own(node) !== 0))
      for (const id of places.rowsOf.get(node.account.id) ?? []) held.add(id);
  if (rollUps.some((rollUp) => unclosed(chart, rollUp) !== 0))
    for (const row of layout.rows) if (row.type === 'result') held.add(row.id);
  return held;
};

/** The rows that are shown: lines as they are set, headings and sums with what stands under them or in them. */
const shownRows = (source: OwnSource): ReadonlySet<OwnRowId> => {
  const { rows } = source.layout;
  const held = heldRows(source);
  const keeps = (row: OwnRow | undefined): boolean =>
    row !== undefined &&
    isLeaf(row) &&
    (source.options.zeroLines || held.has(row.id) || (row.type !== 'result' && !row.hideZero));
  const shown = new Set(rows.flatMap((row) => (keeps(row) ? row.id : [])));
  for (const row of rows) {
    if (isLeaf(row)) continue;
    const goesWith = row.type === 'heading' || (row.type === 'sum' && !row.final);
    const leaves = goesWith ? leavesOf(rows, row.id) : [];
    if (leaves.length === 0 || leaves.some((id) => shown.has(id))) shown.add(row.id);
  }
  return shown;
};

interface Filling {
  readonly source: OwnSource;
  readonly rollUp: RollUp;
  readonly amounts: Amounts;
  readonly rows: OwnSheetRow[];
}

/** What of a branch counts in a row, debit-positive. */
const within = (
  filling: Pick<Filling, 'source' | 'rollUp'>,
  node: ChartNode,
  row: OwnRowId,
): Minor =>
  node.children.reduce(
    (so, child) => add(so, within(filling, child, row)),
    countsIn(filling.source.places, node, row) ? filling.rollUp.own(node) : 0,
  );

/** What a line names, without what stands below another that it names: it is shown there, once. */
const topsOf = (chart: Chart, { id }: OwnLeaf, { named }: OwnPlaces): readonly ChartNode[] => {
  const all = new Set(named.get(id) ?? []);
  return [...all].flatMap((one) => {
    const above = pathTo(chart, one).slice(0, -1);
    return above.some((other) => all.has(other)) ? [] : (nodeOf(chart, one) ?? []);
  });
};

/** The branches that a line consists of. */
const branchesOf = ({ chart, places }: OwnSource, row: OwnLeaf): readonly ChartNode[] => {
  if (row.type === 'line') return topsOf(chart, row, places);
  if (row.type === 'result') return [];
  return [...eachNode(chart.roots)]
    .filter((node) => countsIn(places, node, row.id))
    .map((node) => ({ ...node, children: [] }));
};

/** A line with what it consists of. */
interface LineAt {
  readonly row: OwnLeaf;
  readonly key: RowKey;
  readonly words: string;
  readonly level: number;
  readonly amount: Minor;
  /** The account whose line it is; `null` where it has several, or none by name. */
  readonly node: ChartNode | null;
  readonly parts: readonly ChartNode[];
  /** How many levels of the chart it stands below the layout's line. */
  readonly below: number;
}

const opensAt = ({ options }: OwnSource, { key, below }: LineAt): boolean =>
  options.open?.get(key) ?? below + 1 < options.depth;

const pushItself = (at: LineAt, filling: Filling): void => {
  const { row, node, key, level } = at;
  if (node === null) return;
  const alone = { ...node, children: [] };
  if (!holds(filling.source, alone, row.id)) return;
  const shows = shownSide(row);
  filling.rows.push({
    type: 'ownLine',
    key: `${key}/itself`,
    words: `${node.account.name}, not detailed`,
    level: level + 1,
    shows,
    accountId: node.account.id,
    open: false,
    amount: signed(within(filling, alone, row.id), shows),
  });
};

const pushLine = (at: LineAt, filling: Filling): void => {
  const { row, key, words, level, node, parts, below, amount } = at;
  const { source, rows } = filling;
  const shows = shownSide(row);
  const open = parts.length > (node === null ? 1 : 0) && opensAt(source, at);
  const accountId = node?.account.id ?? null;
  const shown = open ? null : amount;
  rows.push({ type: 'ownLine', key, words, level, shows, accountId, open, amount: shown });
  if (!open) return;
  pushItself(at, filling);
  for (const part of parts)
    pushBranch(part, { ...at, level: level + 1, below: below + 1 }, filling);
  const total = { key: `${key}/subtotal`, words: `Total ${words}`, level, shows, amount };
  rows.push({ type: 'ownSum', ...total, final: false });
};

const heldParts = (source: OwnSource, nodes: readonly ChartNode[], row: OwnLeaf) =>
  nodes.filter((node) => holds(source, node, row.id));

const pushBranch = (node: ChartNode, under: LineAt, filling: Filling): void => {
  const { row } = under;
  pushLine(
    {
      ...under,
      key: `${ownKey(row.id)}/${node.account.id}`,
      words: node.account.name,
      node,
      parts: heldParts(filling.source, node.children, row),
      amount: signed(within(filling, node, row.id), shownSide(row)),
    },
    filling,
  );
};

/** What a line is called: its own words, or those of its accounts. */
export const ownLineWords = (chart: Chart, row: OwnLeaf, places: OwnPlaces): string => {
  if (row.words !== '' || row.type !== 'line') return row.words;
  const names = topsOf(chart, row, places).map(({ account }) => account.name);
  return names.join(', ');
};

const pushLeaf = (row: OwnLeaf, filling: Filling): void => {
  const { source, amounts } = filling;
  const branches = branchesOf(source, row);
  const node = branches.length === 1 ? (branches[0] ?? null) : null;
  pushLine(
    {
      row,
      key: ownKey(row.id),
      words: ownLineWords(source.chart, row, source.places),
      level: row.level,
      amount: signed(amounts.get(row.id) ?? 0, shownSide(row)),
      node,
      parts: heldParts(source, node === null ? branches : node.children, row),
      below: 0,
    },
    filling,
  );
};

const pushRow = (row: OwnRow, filling: Filling): void => {
  const { source, rows, amounts } = filling;
  const all = source.layout.rows;
  const key = ownKey(row.id);
  switch (row.type) {
    case 'heading':
    case 'text': {
      const type = row.type === 'heading' ? 'ownHeading' : 'ownText';
      rows.push({ type, key, words: row.words, level: row.level });
      return;
    }
    case 'pageBreak':
      rows.push({ type: 'pageBreak', key, level: 0 });
      return;
    case 'sum': {
      const { words, level, shows, final } = row;
      const amount = signed(sumOf(all, row.id, amounts), shows);
      rows.push({ type: 'ownSum', key, words, level, shows, amount, final });
      return;
    }
    case 'ratio': {
      const { words, level, of, to } = row;
      const amount = tenths(shownOf(all, of, amounts), shownOf(all, to, amounts));
      rows.push({ type: 'ratio', key, words, level, amount });
      return;
    }
    default:
      pushLeaf(row, filling);
  }
};

/** A layout's rows in one column, and whether its lines together come to what the books hold. */
export interface OwnFilled {
  readonly rows: readonly OwnSheetRow[];
  /** What all lines come to, debit-positive. */
  readonly whole: Minor;
}

/** The rows of a layout for each of some books: the same rows in each. */
export const fillOwnRows = (source: OwnSource): readonly OwnFilled[] => {
  const shown = shownRows(source);
  return source.rollUps.map((rollUp) => {
    const amounts = leafAmounts(source, rollUp);
    const filling: Filling = { source, rollUp, amounts, rows: [] };
    for (const row of source.layout.rows) if (shown.has(row.id)) pushRow(row, filling);
    const whole = [...amounts.values()].reduce(add, 0);
    return { rows: filling.rows, whole };
  });
};
