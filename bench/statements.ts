// A profit and loss with 24 monthly columns, 2,000 accounts, five years, a million lines.
// Baselines: the bare SQL read of the monthly totals that it needs; after an edit, the same statement with one column.
import {
  applyAll,
  buildTable,
  chartFrom,
  columnsFromText,
  tableBooks,
  type Chart,
  type ColumnSpec,
} from '@iunctus/core';
import { monthlyOf } from '../apps/server/src/balances/monthly.service';
import { addChart, openDatabase } from './support/database';
import { largeChart } from './support/large-chart';
import { postMany } from './support/post-many';
import { compare, median, say } from './support/report';

const ENTRIES = 500_000;
const COLUMNS = 24;
const CONTEXT = { main: { first: '2024-11', last: '2026-10' }, startsIn: 1, now: '2026-11' };
const OPTIONS = { depth: Infinity, zeroLines: false };

const database = await openDatabase();
const { pool, viewer } = database;
const records = largeChart(2000);
const { head, clientId } = await addChart(database, 'A million lines', records);
const ids = records.filter(({ role }) => role === 'posting').map(({ id }) => id);
say(`Posting ${ENTRIES * 2} lines to ${ids.length} accounts over five years …`);
await postMany(database, head, {
  entries: ENTRIES,
  day: "date '2021-11-01' + (n % 1826)",
  account: '($2::uuid[])[1 + (n * (6 * side + 1) + side) % cardinality($2)]',
  ids,
});
await pool.query('VACUUM ANALYZE');

const timed = async (work: () => unknown, rounds: number): Promise<number> => {
  await work();
  const times: number[] = [];
  for (let round = 0; round < rounds; round += 1) {
    const started = performance.now();
    await work();
    times.push(performance.now() - started);
  }
  return median(times);
};

const months = (count: number): readonly ColumnSpec[] => {
  const text = Array.from({ length: count }, (_one, at) => `${at + 1} months before`).join('; ');
  const specs = columnsFromText(text);
  return specs !== null && typeof specs !== 'string' && !('by' in specs) ? specs : [];
};

const chart = chartFrom(records);
const booksNow = async () => {
  const { first, amounts, splits } = await monthlyOf(pool, viewer, {
    clientId,
    today: '2026-11-01',
  });
  return tableBooks({ first, rows: [...amounts, ...splits] }, CONTEXT.startsIn);
};
const tableOf = (
  of: Chart,
  books: Awaited<ReturnType<typeof booksNow>>,
  columns: readonly ColumnSpec[],
) =>
  buildTable(
    { chart: of, books, options: OPTIONS },
    { sheet: 'profitAndLoss', columns, context: CONTEXT },
  );

const bare = () =>
  pool.query(
    'SELECT account_id, month, amount FROM account_month_total WHERE chart_id = $1 AND month <= $2',
    [head.id, '2026-10-01'],
  );
const specs = months(COLUMNS);
const built = tableOf(chart, await booksNow(), specs);
say(
  `${built.rows.length} lines, ${built.columns.length} columns; they ${built.agrees ? '' : 'do not '}agree with the trial balance.`,
);
compare({
  what: 'a statement with 24 monthly columns, read and built, against the bare read of its monthly totals',
  value: await timed(async () => tableOf(chart, await booksNow(), specs), 9),
  baseline: await timed(bare, 9),
  unit: 'ms',
  aim: { atMost: 3 },
});

const books = await booksNow();
const leaf = ids.at(-1) ?? '';
const edited = [
  chart,
  ...['otherExpense', 'financeCost'].flatMap((kind) => {
    const outcome = applyAll(chart, [
      { type: 'changeKind', id: leaf, kind: kind as 'otherExpense' },
    ]);
    return outcome.ok ? outcome.chart : [];
  }),
];
let turn = 0;
const afterEdit = (columns: readonly ColumnSpec[]) => () => {
  turn += 1;
  return tableOf(edited[turn % edited.length] ?? chart, books, columns);
};
compare({
  what: 'an edit redraws 24 columns, against one column 24 times',
  value: await timed(afterEdit(specs), 30),
  baseline: (await timed(afterEdit(months(1)), 30)) * COLUMNS,
  unit: 'ms',
  aim: { atMost: 2 },
});
await pool.end();
