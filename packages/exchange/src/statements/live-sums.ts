import { layoutOf, type SheetRow, type StatementTable } from '@iunctus/core';

/** Column and row of a cell as spreadsheets write them. */
export type CellName = (column: number, row: number) => string;

/** Where each row stands, by its key. */
type Places = ReadonlyMap<string, number>;

const KEYS: Readonly<Record<string, string>> = {
  result: 'total/netProfitOfPeriod',
  cashAtStart: 'total/cashAtStart',
};

/** The row from which a closing row sums up: behind its heading, or behind the head of its section. */
const opening = (rows: readonly SheetRow[], at: number): number => {
  const row = rows[at];
  if (row?.type === 'subtotal') {
    const key = row.key.replace(/\/subtotal$/, '');
    return rows.findIndex((one) => one.key === key) + 1;
  }
  if (row?.type === 'sectionTotal' && !row.alone)
    return rows.findIndex(({ key }) => key === `title/${row.code}`) + 1;
  return at;
};

/** What a total is made of: the totals of sections, each with its sign. */
const totalFormula = (
  table: StatementTable,
  at: number,
  { name, places }: { readonly name: (row: number) => string; readonly places: Places },
): string | null => {
  const row = table.rows[at]?.row;
  const layout = layoutOf(table.sheet);
  const part = layout.find((one) => one.type === 'total' && row?.key === `total/${one.code}`);
  if (part?.type !== 'total') return null;
  const terms = part.of.flatMap((section) => {
    const place = places.get(KEYS[section] ?? `sum/${section}`);
    if (place === undefined || place === at) return [];
    const own = layout.find((one) => one.type === 'section' && one.code === section);
    const sign = own?.type === 'section' && own.shows !== part.shows ? '-' : '+';
    return [`${sign}${name(place)}`];
  });
  return terms.length === 0 ? null : terms.join('').replace(/^\+/, '');
};

/**
 * The formula of a cell that sums up others of its column; `null` for one that is posted. Sums of sums leave out what
 * is summed already (SUBTOTAL does), so that each line counts once.
 */
export const sumFormula = (
  table: StatementTable,
  { at, column }: { readonly at: number; readonly column: number },
  cell: CellName,
): string | null => {
  const rows = table.rows.map(({ row }) => row);
  const row = rows[at];
  if (row === undefined) return null;
  const name = (place: number): string => cell(column, place);
  if (row.key === 'total/allBalances') return at === 0 ? null : `SUM(${name(0)}:${name(at - 1)})`;
  if (row.type === 'total') {
    const places = new Map(rows.map(({ key }, place) => [key, place]));
    return totalFormula(table, at, { name, places });
  }
  const from = opening(rows, at);
  return from < at ? `SUBTOTAL(9,${name(from)}:${name(at - 1)})` : null;
};
