import { nameKey } from '../text/name-key';
import type { HeadedColumn } from './amount-columns';
import { areAmounts, likelyUses, share, type Seen } from './column-contents';
import { useOfHeading } from './column-words';
import { headingRow } from './heading-row';
import { CURRENCY, periodHeading } from './period-headings';
import { setInColumns } from './set-in-columns';
import { sidedColumns } from './sided-columns';
import { totalColumn } from './total-column';
import type { ColumnReading, ColumnUse, SourceRow } from './source';

/** How many rows are looked at to see what a column holds. */
const SAMPLE = 400;

interface Candidate {
  readonly column: number;
  readonly use: ColumnUse;
  readonly score: number;
}

/** Where fewer of its texts differ than this a column names groups; from the other on it names each. */
const GROUPS = 0.85;
const SINGLE = 0.95;

/** The least that content alone must say for a column to be used. */
const SURE_ENOUGH = 0.45;

/** What stands over lines that are only counted through. */
const COUNTED =
  /^(?:line|row|lfd|seq|sort|sort order|sequence|s\/?n|sr)(?:\.? ?(?:no|nr|number|#))?\.?$/i;

/** What a heading names; of several periods only the latest, whose rank is `latest`, has the amounts. */
const namedUse = (heading: string, latest: number): ReturnType<typeof useOfHeading> | 'none' => {
  if (COUNTED.test(heading.trim())) return 'none';
  const named = useOfHeading(heading);
  const period = named === null ? periodHeading(heading) : null;
  if (period === null) return named;
  return period.rank < latest ? 'none' : { use: 'balance', sure: 0.6 };
};

/** A note of a printed statement is a reference: “4”, “12a”. */
const refersToNotes = ({ texts }: Seen): boolean =>
  texts.length > 0 && share(texts, (text) => /^\d{1,2}[a-z]?$/i.test(text)) === 1;

const candidatesOf = (
  column: number,
  heading: string,
  seen: Seen & { readonly numbers: ReadonlySet<string>; readonly latest: number },
): readonly Candidate[] => {
  const likely = likelyUses(seen, seen.numbers);
  const named = namedUse(heading, seen.latest);
  if (named === 'none' || (named?.use === 'notes' && refersToNotes(seen))) return [];
  const byContent = likely.flatMap(([use, score]) =>
    score >= SURE_ENOUGH && named === null ? [{ column, use, score }] : [],
  );
  if (named === null) return byContent;
  const said = likely.find(([use]) => use === named.use)?.[1] ?? 0.4;
  const own: Candidate[] = [{ column, use: named.use, score: named.sure + said }];
  const both = likely.find(([use]) => use === 'numberAndName')?.[1] ?? 0;
  const combined = ['name', 'number'].includes(named.use) && both > 0.7;
  return combined ? [{ column, use: 'numberAndName', score: 2 + both }, ...own] : own;
};

/** The best use for each column, each use once: the surest first. */
const assigned = (
  candidates: readonly Candidate[],
  width: number,
): readonly (ColumnUse | null)[] => {
  const uses: (ColumnUse | null)[] = Array.from({ length: width }, () => null);
  const sorted = [...candidates].sort((a, b) => b.score - a.score || a.column - b.column);
  const taken = new Set<ColumnUse>();
  for (const { column, use } of sorted) {
    if (uses[column] !== null || taken.has(use)) continue;
    if (use === 'balance' && (taken.has('debit') || taken.has('credit'))) continue;
    uses[column] = use;
    taken.add(use);
  }
  return uses;
};

const known = (column: number, use: ColumnUse): Candidate => ({ column, use, score: Infinity });

/** Beside what was at the beginning and what moved, what is left has the balances. */
const CLOSING = /^(?:closing|ending)$|^(?:closing|ending|end)\b.*\bbal(?:ance)?\b/i;

const OF_BALANCES: readonly ColumnUse[] = ['balance', 'debit', 'credit'];

/** Movements are no balances where a column has what they leave. */
const closingAlone = (
  candidates: readonly Candidate[],
  headings: readonly string[],
): readonly Candidate[] => {
  const closing = headings.findIndex((heading) => CLOSING.test(heading));
  if (closing < 0) return candidates;
  return [known(closing, 'balance'), ...candidates.filter(({ use }) => !OF_BALANCES.includes(use))];
};

/** What the amounts of columns say by their sums: which is for what, and what else may be so. */
interface BySums {
  readonly known: readonly Candidate[];
  readonly others: (candidate: Candidate) => boolean;
}

/**
 * Columns of which one has what those before it come to, two of which the outer one has what the inner one comes to, or
 * debits and credits that come to the same.
 */
const usesBySums = (columns: readonly HeadedColumn[]): BySums => {
  const summed = totalColumn(columns);
  // What stands further right is of another year.
  if (summed !== null)
    return {
      known: [known(summed.total, 'balance')],
      others: ({ column, use }) =>
        column < summed.first || (column > summed.total && !OF_BALANCES.includes(use)),
    };
  const setIn = setInColumns(columns);
  if (setIn !== null)
    return {
      known: [known(setIn.inner, 'innerBalance'), known(setIn.outer, 'balance')],
      others: ({ column }) => column < setIn.inner,
    };
  const sides = sidedColumns(columns);
  return {
    known: sides === null ? [] : [known(sides.debit, 'debit'), known(sides.credit, 'credit')],
    others: () => true,
  };
};

/** A column that says a name again and again names groups; the names are in the one that says each once. */
const namesApart = (
  uses: readonly (ColumnUse | null)[],
  seen: readonly Seen[],
): readonly (ColumnUse | null)[] => {
  const spread = (column: number): number =>
    (seen[column]?.distinct ?? 0) / Math.max(1, seen[column]?.texts.length ?? 0);
  const [name, finer] = [uses.indexOf('name'), uses.indexOf('finerType')];
  const swaps = name >= 0 && finer >= 0 && spread(name) < GROUPS && spread(finer) > SINGLE;
  if (!swaps || (seen[finer]?.texts.length ?? 0) < (seen[name]?.texts.length ?? 0)) return uses;
  return uses.map((use, at) => (at === name ? 'finerType' : at === finer ? 'name' : use));
};

/** A number and a name in one column need no further column for either. */
const settled = (uses: readonly (ColumnUse | null)[]): readonly (ColumnUse | null)[] => {
  const has = (use: ColumnUse): boolean => uses.includes(use);
  if (has('numberAndName') && has('number') && has('name'))
    return uses.map((use) => (use === 'numberAndName' ? null : use));
  if (has('name') || has('numberAndName')) return uses;
  const spare = uses.indexOf(null);
  return spare < 0 ? uses : uses.map((use, column) => (column === spare ? 'name' : use));
};

/**
 * Finds the headings of a list and what each column is for: by its heading, by what it holds, or by
 * both. Rows before the headings are a title. Each use is given once.
 */
export const recognizeColumns = (rows: readonly SourceRow[]): ColumnReading => {
  const head = headingRow(rows);
  const body = rows.filter(({ line }) => head === null || line > head.line).slice(0, SAMPLE);
  const width = body.reduce(
    (most, { cells }) => Math.max(most, cells.length),
    head?.cells.length ?? 0,
  );
  const headings = Array.from({ length: width }, (_, column) => (head?.cells[column] ?? '').trim());
  const columns = headings.map((heading, column) => ({
    heading,
    cells: body.map(({ cells }) => (cells[column] ?? '').trim()),
  }));
  const bySums = usesBySums(columns);
  const seen = columns.map(({ cells }): Seen => {
    const texts = cells.filter((text) => text !== '' && !CURRENCY.test(text));
    return { texts, distinct: new Set(texts).size };
  });
  const numbers = new Set(
    seen.flatMap(({ texts, distinct }) =>
      distinct > 0.8 * texts.length && !areAmounts(texts) ? texts.map(nameKey) : [],
    ),
  );
  const latest = Math.max(0, ...headings.map((heading) => periodHeading(heading)?.rank ?? 0));
  const candidates = seen.flatMap((own, column) =>
    candidatesOf(column, headings[column] ?? '', { ...own, numbers, latest }),
  );
  const held = [...bySums.known, ...candidates.filter(bySums.others)];
  const uses = assigned(closingAlone(held, headings), width);
  return { headingLine: head?.line ?? null, headings, uses: settled(namesApart(uses, seen)) };
};
