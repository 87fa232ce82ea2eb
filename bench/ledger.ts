// Registers and lists of entries over a million lines, two thousand accounts and five years.
// Baselines: a register of a thousand lines; a plain COPY of the same rows into tables that
// hold the same million lines and have the same indexes.
import { randomUUID } from 'node:crypto';
import { registerOf } from '../apps/server/src/ledger/register.service';
import { postList } from '../apps/server/src/ledger/posting.service';
import { addChart, openDatabase } from './support/database';
import { largeChart } from './support/large-chart';
import { postMany } from './support/post-many';
import { compare, median, say } from './support/report';

const ENTRIES = 500_000;
const LISTED = 50_000;
const AT_ONCE = 5000;

const database = await openDatabase();
const { pool, viewer } = database;
const records = largeChart(2000);
const { head, clientId } = await addChart(database, 'A million lines', records);
const ids = records.filter(({ role }) => role === 'posting').map(({ id }) => id);
const [busy = '', quiet = '', ...others] = ids;

say(`Posting ${ENTRIES * 2} lines to ${ids.length} accounts over five years …`);
await postMany(database, head, {
  entries: ENTRIES,
  day: "date '2021-11-01' + (n % 1826)",
  // The first account gets 200,000 lines, the second 1,000, the others the rest.
  account: `($2::uuid[])[CASE WHEN side = 1 AND n % 5 < 2 THEN 1 WHEN side = 1 AND n % 500 = 499 THEN 2
    ELSE 3 + (n * (6 * side + 1) + side) % (cardinality($2) - 2) END]`,
  ids: [busy, quiet, ...others],
});
await pool.query('VACUUM ANALYZE');

const counts = await pool.query<{ lines: number }>(
  'SELECT account_id, count(*)::int AS lines FROM entry_line WHERE account_id = ANY ($1) GROUP BY 1 ORDER BY 2 DESC',
  [[busy, quiet]],
);
say(`Registers of ${counts.rows.map(({ lines }) => lines).join(' and ')} lines.`);

const opening = (accounts: string[], more: object = {}) =>
  registerOf(pool, viewer, {
    clientId,
    request: { accounts, first: null, last: null, source: null, text: '', fresh: false, before: null, ...more },
  }); // prettier-ignore

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

const [large, small] = [
  await timed(() => opening([busy]), 20),
  await timed(() => opening([quiet]), 20),
];
compare({
  what: 'a register of 200,000 lines opens on its newest page, against one of 1,000',
  value: large,
  baseline: small,
  unit: 'ms',
  aim: { atMost: 3 },
});
compare({
  what: 'a parent’s register over all accounts, against one of 1,000 lines',
  value: await timed(() => opening(ids), 10),
  baseline: small,
  unit: 'ms',
  aim: { atMost: 20 },
});
compare({
  what: 'words looked for in 200,000 lines, against opening them',
  value: await timed(() => opening([busy], { text: 'bench 4999' }), 5),
  baseline: large,
  unit: 'ms',
  aim: { atMost: 100 },
});

const entries = Array.from({ length: LISTED }, (_one, n) => ({
  id: randomUUID(),
  date: `2026-${String(1 + (n % 10)).padStart(2, '0')}-${String(1 + (n % 28)).padStart(2, '0')}`,
  source: 'bank' as const,
  comment: `A line of a list ${n}`,
  lines: [1, 2].map((side) => ({
    accountId: others[(n * side) % others.length] ?? '',
    amount: side === 1 ? n + 1 : -n - 1,
    values: {},
    comment: '',
    foreign: null,
  })),
}));

say(`Bringing ${LISTED * 2} lines in …`);
await pool.query('CHECKPOINT');
const startedList = performance.now();
for (let from = 0; from < LISTED; from += AT_ONCE)
  await postList(pool, {
    viewer,
    clientId,
    today: '2026-11-26',
    request: { entries: entries.slice(from, from + AT_ONCE) },
  });
const listed = performance.now() - startedList;

await pool.query('DROP TABLE IF EXISTS plain_entry, plain_line');
await pool.query('CREATE TABLE plain_entry (LIKE entry INCLUDING ALL EXCLUDING IDENTITY)');
await pool.query('CREATE TABLE plain_line (LIKE entry_line INCLUDING ALL)');
// COPY from a file that the same rows were written to before: the plainest way in.
const found = await pool.query<{ folder: string; since: string }>(
  "SELECT current_setting('data_directory') AS folder, max(sequence) - $1 AS since FROM entry",
  [LISTED],
);
const { folder, since } = found.rows[0] ?? { folder: '', since: '0' };
// The plain tables hold what the books held before, so that their indexes are as deep.
await pool.query(`INSERT INTO plain_entry SELECT * FROM entry WHERE sequence <= ${since}`);
await pool.query(`INSERT INTO plain_line SELECT * FROM entry_line WHERE sequence <= ${since}`);
await pool.query('CHECKPOINT');
await pool.query(
  `COPY (SELECT * FROM entry WHERE sequence > ${since}) TO '${folder}/bench-entries' (FORMAT csv)`,
);
await pool.query(
  `COPY (SELECT * FROM entry_line WHERE sequence > ${since}) TO '${folder}/bench-lines' (FORMAT csv)`,
);
const startedCopy = performance.now();
await pool.query(`COPY plain_entry FROM '${folder}/bench-entries' (FORMAT csv)`);
await pool.query(`COPY plain_line FROM '${folder}/bench-lines' (FORMAT csv)`);
const copied = performance.now() - startedCopy;
compare({
  what: '100,000 lines of a list posted, checked and counted, against a plain COPY of the same rows',
  value: listed,
  baseline: copied,
  unit: 'ms',
  aim: { atMost: 4 },
});
await pool.end();
