// Bringing in a list of 20,000 rows. Baselines: the bare reading of the same workbook by its library,
// and a quarter of the rows.
import {
  applyAll,
  emptyChart,
  joinStaggered,
  planImport,
  recognizeColumns,
  type Chart,
} from '@iunctus/core';
import { writeWorkbook } from '@iunctus/exchange';
import { readFile } from '@iunctus/exchange/reading';
import readXlsxFile from 'read-excel-file/universal';
import { compare, median } from './support/report';

const WORDS =
  'fuel rent wages insurance repairs office travel software hosting packaging fruit labels'.split(
    ' ',
  );
const SUBS = 50;
const ROUNDS = 5;

interface Listed {
  readonly number: string;
  readonly name: string;
  readonly parent: string;
}

const listed = (count: number): readonly Listed[] =>
  Array.from({ length: count }, (_, at) => {
    const head = at - (at % SUBS);
    const name = `${WORDS[at % 12] ?? ''} ${WORDS[(at * 7) % 11] ?? ''} ${at}`;
    return {
      number: String(100_000 + at),
      name,
      parent: at === head ? '' : String(100_000 + head),
    };
  });

/** `kind` is what the list says of every account; empty for nothing, so that each must be judged. */
const workbookOf = (count: number, kind = 'Operating expense'): Promise<Uint8Array> =>
  writeWorkbook({
    author: '',
    paper: 'a4',
    client: 'Long list',
    currency: 'USD',
    amounts: null,
    crosswalk: [],
    rows: listed(count).map((one) => ({
      ...one,
      level: one.parent === '' ? 1 : 2,
      role: 'posting',
      kind,
      element: 'expense',
      landing: 'Operating expenses',
      shortLabel: '',
      guidance: '',
      notes: '',
      retiredOn: '',
      amount: null,
    })),
  });

const rowsFrom = async (bytes: Uint8Array) => {
  const reading = await readFile(bytes);
  if (!reading.ok) throw new Error(reading.problem.code);
  return reading.file.sheets[0]?.rows ?? [];
};

const planFor = (chart: Chart, rows: Awaited<ReturnType<typeof rowsFrom>>) =>
  planImport(chart, {
    rows,
    columns: recognizeColumns(rows),
    treeSource: null,
    currency: 'USD',
    today: '2026-11-25',
    mended: new Map(),
    types: new Map(),
    answers: new Map(),
    fates: new Map(),
    clashes: null,
    former: [],
    newId: (index) => `new-${index}`,
  });

const timed = async (work: () => unknown): Promise<number> => {
  const started = performance.now();
  await work();
  return performance.now() - started;
};

const thrice = async (work: () => unknown): Promise<number> =>
  median([await timed(work), await timed(work), await timed(work)]);

/** One after the other, so that whatever else the machine does strikes both alike. */
const againstReading = async (what: string, bytes: Uint8Array): Promise<void> => {
  const rounds = [];
  for (let round = 0; round < ROUNDS; round += 1) {
    const bare = await timed(() => readXlsxFile(bytes.buffer as ArrayBuffer));
    const whole = await timed(async () =>
      planFor(emptyChart(), joinStaggered(await rowsFrom(bytes))),
    );
    rounds.push({ bare, whole });
  }
  compare({
    what: `a workbook of 20,000 rows read, understood and planned, against its bare reading; ${what}`,
    value: median(rounds.map(({ whole }) => whole)),
    baseline: median(rounds.map(({ bare }) => bare)),
    unit: 'ms',
    aim: { atMost: 2 },
  });
};
await againstReading('kinds named', await workbookOf(20_000));
await againstReading('every kind judged', await workbookOf(20_000, ''));

/** Milliseconds to line a list up with the chart that it made, every third name changed. */
const liningUp = async (count: number): Promise<number> => {
  const rows = await rowsFrom(await workbookOf(count));
  const made = applyAll(emptyChart(), planFor(emptyChart(), rows).operations);
  if (!made.ok) throw new Error(made.refusal.code);
  const changed = rows.map((row, at) =>
    at > 0 && at % 3 === 0
      ? { ...row, cells: row.cells.map((cell, column) => (column === 1 ? `${cell} anew` : cell)) }
      : row,
  );
  return thrice(() => planFor(made.chart, changed));
};

const [small, large] = [await liningUp(5000), await liningUp(20_000)];
compare({
  what: 'lining up 20,000 rows with 20,000 accounts, against 5,000 with 5,000',
  value: large,
  baseline: small,
  unit: 'ms',
  aim: { atMost: 6 },
});
