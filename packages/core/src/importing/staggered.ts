import { useOfHeading } from './column-words';
import { recognizeColumns } from './columns';
import type { SourceRow } from './source';

/** How many rows are looked at to tell whether names stand in steps. */
const SAMPLE = 400;
/** The share of rows that must have exactly one cell in the columns of the steps. */
const NEARLY_ALL = 0.97;
/** By how much a name is indented for each column that it stands further right. */
const STEP = '    ';

const textAt = ({ cells }: SourceRow, column: number): string => (cells[column] ?? '').trim();

const isWordy = (body: readonly SourceRow[], column: number): boolean => {
  const texts = body.map((row) => textAt(row, column)).filter((text) => text !== '');
  return (
    texts.length > 0 && texts.filter((text) => /\p{L}{2}/u.test(text)).length >= texts.length * 0.8
  );
};

/** Whether a heading may stand over a step of names: it is for nothing else. */
const mayHead = (heading: string): boolean => {
  const use = useOfHeading(heading)?.use ?? 'name';
  return ['name', 'numberAndName', 'level'].includes(use);
};

const filledIn = (row: SourceRow, first: number, last: number): number => {
  let filled = 0;
  for (let column = first; column <= last; column += 1) if (textAt(row, column) !== '') filled += 1;
  return filled;
};

/** Neighbouring columns of which each row has one: each step to the right is a level deeper. */
const stepsIn = (
  body: readonly SourceRow[],
  headings: readonly string[],
): readonly [first: number, last: number] | null => {
  const width = body.reduce((most, { cells }) => Math.max(most, cells.length), 0);
  const isStep = (column: number): boolean =>
    mayHead(headings[column] ?? '') && isWordy(body, column);
  for (let first = 0; first + 1 < width; first += 1) {
    let last = first;
    const alone = (until: number): boolean =>
      body.filter((row) => filledIn(row, first, until) <= 1).length >= body.length * NEARLY_ALL;
    while (last + 1 < width && isStep(last) && isStep(last + 1) && alone(last + 1)) last += 1;
    const covered = body.filter((row) => filledIn(row, first, last) === 1).length;
    if (last > first && covered >= body.length * NEARLY_ALL) return [first, last];
  }
  return null;
};

const joined = (row: SourceRow, first: number, last: number): SourceRow => {
  const steps = row.cells.slice(first, last + 1);
  const at = steps.findIndex((text) => text.trim() !== '');
  const others = steps.filter((text, step) => step !== at && text.trim() !== '');
  const text = [`${STEP.repeat(Math.max(at, 0))}${steps[at] ?? ''}`, ...others].join(' ');
  return {
    line: row.line,
    cells: [...row.cells.slice(0, first), text, ...row.cells.slice(last + 1)],
  };
};

/**
 * Rows whose names stand in steps, each level in a column of its own, with those columns made one in
 * which the names are indented; any other rows as they are. Common practice, no source.
 */
export const joinStaggered = (rows: readonly SourceRow[]): readonly SourceRow[] => {
  const begin = rows.slice(0, SAMPLE);
  const { headingLine, headings } = recognizeColumns(begin);
  const sample = begin.filter(
    ({ line, cells }) =>
      (headingLine === null || line > headingLine) && cells.some((cell) => cell.trim() !== ''),
  );
  const steps = sample.length < 3 ? null : stepsIn(sample, headings);
  if (steps === null) return rows;
  return rows.map((row) => {
    if (headingLine === null || row.line > headingLine) return joined(row, ...steps);
    const [first, last] = steps;
    const heading = row.cells.slice(first, last + 1).find((text) => text.trim() !== '') ?? '';
    return {
      line: row.line,
      cells: [...row.cells.slice(0, first), heading, ...row.cells.slice(last + 1)],
    };
  });
};
