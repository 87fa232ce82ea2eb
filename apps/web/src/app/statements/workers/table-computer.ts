import {
  buildTable,
  planOpenings,
  proposedChart,
  subtract,
  tableBooks,
  withMergedValues,
  type Chart,
  type MonthlyAmounts,
  type MonthlyByValue,
  type PendingOpening,
  type PeriodContext,
  type StatementTable,
  type TableBooks,
  type Track,
} from '@iunctus/core';
import { followed, NO_CHART } from '../../workspace/workers/followed-chart';
import type { TableMessage, TableResult, TableWish } from './table-messages';

interface State {
  readonly track: Track;
  readonly monthly: MonthlyAmounts | null;
  readonly byValue: MonthlyByValue;
  readonly openings: readonly PendingOpening[];
  readonly context: PeriodContext | null;
  readonly wish: TableWish | null;
}

const next = (state: State, message: TableMessage): State => {
  switch (message.type) {
    case 'chart':
    case 'steps':
      return { ...state, track: followed(state.track, message) };
    case 'monthly':
      return { ...state, monthly: message.monthly };
    case 'byValue':
      return { ...state, byValue: new Map(message.values) };
    case 'openings':
      return { ...state, openings: message.openings };
    case 'context':
      return { ...state, context: message.context };
    case 'wish':
      return { ...state, wish: message.wish };
  }
};

/** The books with and without the balances that the proposal brings along; kept while nothing of them changes. */
interface Books {
  readonly posted: TableBooks;
  readonly proposed: TableBooks;
}

/** Whether merged accounts are the same, and so what they bring along for values of dimensions. */
const sameMerged = (one: Chart, other: Chart): boolean => one.merged === other.merged;

const booksOf = ({ track, monthly, byValue, openings, context }: State): Books | null => {
  if (monthly === null || context === null) return null;
  const { startsIn } = context;
  const over = (chart: Chart) => ({ byValue: withMergedValues(chart, monthly, byValue) });
  const posted = tableBooks(monthly, startsIn, over(track.base));
  const ids = new Set(
    track.steps.flatMap(({ id, opening }) => (opening === undefined ? [] : [id])),
  );
  const there = openings.filter(({ stepId }) => ids.has(stepId));
  const chart = proposedChart(track);
  const isAlike = byValue.size === 0 || sameMerged(track.base, chart);
  if (there.length === 0 && isAlike) return { posted, proposed: posted };
  const planned = planOpenings(chart, there, startsIn);
  return { posted, proposed: tableBooks(monthly, startsIn, { ...over(chart), planned }) };
};

const movedBetween = (before: StatementTable, after: StatementTable): TableResult['moved'] => {
  const former = new Map(before.rows.map(({ row, cells }) => [row.key, cells[0] ?? 0]));
  return Object.fromEntries(
    after.rows.flatMap(({ row, cells: [cell] }) => {
      if (cell == null) return [];
      const shift = subtract(cell, former.get(row.key) ?? 0);
      return shift === 0 ? [] : [[row.key, shift] as const];
    }),
  );
};

/**
 * What the worker does, apart from being a worker: keeps chart, proposal and books, and answers every message with the
 * table that is wished for. `null` while something for it is not there yet.
 */
export const createTableComputer = (): ((message: TableMessage) => TableResult | null) => {
  let state: State = {
    track: NO_CHART,
    monthly: null,
    byValue: new Map(),
    openings: [],
    context: null,
    wish: null,
  };
  let books = booksOf(state);
  return (message) => {
    const before = state;
    state = next(state, message);
    const { track, context, wish, monthly, byValue, openings } = state;
    const others =
      monthly !== before.monthly ||
      byValue !== before.byValue ||
      context?.startsIn !== before.context?.startsIn ||
      openings !== before.openings ||
      (openings.length > 0 && track !== before.track) ||
      (byValue.size > 0 && !sameMerged(proposedChart(track), proposedChart(before.track)));
    if (others) books = booksOf(state);
    if (books === null || context === null || wish === null) return null;
    const { sheet, columns, depth, zeroLines, open, proposed, layout } = wish;
    const own = layout === undefined ? {} : { layout };
    const options = { depth, zeroLines, open: new Map(open) };
    const tableOver = (chart: Chart, over: TableBooks): StatementTable =>
      buildTable({ chart, books: over, options }, { sheet, columns, context, ...own });
    const adopted = (): StatementTable => tableOver(track.base, (books as Books).posted);
    if (!proposed) return { table: adopted(), moved: {} };
    const table = tableOver(proposedChart(track), books.proposed);
    return { table, moved: track.steps.length === 0 ? {} : movedBetween(adopted(), table) };
  };
};
