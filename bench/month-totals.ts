// A statement's amounts from the kept month totals, over a million entry lines.
// Baseline: the same amounts summed from the lines in SQL, in the same run.
import { manyAmounts } from '../apps/server/src/postings/balances.queries';
import { addChart, openDatabase } from './support/database';
import { postMany } from './support/post-many';
import { largeChart } from './support/large-chart';
import { compare, median, say } from './support/report';

const ENTRIES = 500_000;
const ASKED = { first: '2026-01', last: '2026-10', fiscalYearStart: 1 };

interface LineRow {
  readonly account_id: string;
  readonly balance: string;
  readonly change: string;
  readonly year_change: string;
}

const SUM_OF_LINES = `
  SELECT line.account_id, sum(line.amount)::int8 AS balance,
         coalesce(sum(line.amount) FILTER (WHERE entry.entry_date >= $3), 0)::int8 AS change,
         coalesce(sum(line.amount) FILTER (WHERE entry.entry_date >= $3), 0)::int8 AS year_change
  FROM entry_line AS line
  JOIN entry ON entry.id = line.entry_id
  JOIN chart ON chart.id = entry.chart_id
  WHERE chart.practice_id = $1 AND chart.id = $2 AND entry.entry_date < $4
  GROUP BY line.account_id`;

const timed = async (work: () => Promise<unknown>, rounds: number): Promise<number> => {
  await work();
  const times: number[] = [];
  for (let round = 0; round < rounds; round += 1) {
    const started = performance.now();
    await work();
    times.push(performance.now() - started);
  }
  return median(times);
};

const database = await openDatabase();
const { pool, viewer } = database;
const records = largeChart(120);
const { head } = await addChart(database, 'A million lines', records);
const ids = records.map(({ id }) => id);

say(`Posting ${ENTRIES * 2} lines to ${ids.length} accounts over 16 months …`);
await postMany(database, head, {
  entries: ENTRIES,
  day: "date '2025-07-01' + (n % 488)",
  account: `($2::uuid[])[1 + (n * (6 * side + 1) + side) % cardinality($2)]`,
  ids,
});
await pool.query('VACUUM ANALYZE');

const fromLines = () =>
  pool.query<LineRow>(SUM_OF_LINES, [viewer.practiceId, head.id, '2026-01-01', '2026-11-01']);
const fromTotals = () => manyAmounts(pool, head, ASKED);

const truth = new Map(
  (await fromLines()).rows.map((row) => [
    row.account_id,
    [row.balance, row.change, row.year_change].map(Number),
  ]),
);
for (const [id, ...amounts] of await fromTotals())
  if (JSON.stringify(truth.get(id)) !== JSON.stringify(amounts)) throw new Error(`${id} differs`);
say('Both give the same amounts.');

const [lines, totals] = [await timed(fromLines, 5), await timed(fromTotals, 30)];
compare({
  what: 'amounts from month totals, a million lines, against summing the lines',
  value: totals,
  baseline: lines,
  unit: 'ms',
  aim: { atLeast: 50 },
});
await pool.end();
