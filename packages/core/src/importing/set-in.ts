import type { Minor } from '../money/minor';

/** A line of a print that has its details in an inner column of amounts, and what they come to in an outer one. */
export interface PrintLine {
  readonly name: string;
  readonly inner: Minor | null;
  readonly outer: Minor | null;
}

/** What the two columns of a print say of its lines, by their places. */
export interface SetIn {
  /** Lines that only have what the details above them come to. */
  readonly totals: ReadonlySet<number>;
  /** Lines that are taken off the others though they have no minus: “Less closing stock”. */
  readonly takenOff: ReadonlySet<number>;
  /** How often the outer amount is what several details above it come to, and how often it is something else. */
  readonly agreed: number;
  readonly apart: number;
}

const LESS = /^less\b/i;

/**
 * Details since the last outer amount: what they come to as printed, and where those called “less” are taken off. The
 * sums are only compared, so that what is beyond exact counting does no harm.
 */
interface Run {
  readonly lines: number;
  readonly printed: number;
  readonly reduced: number;
  readonly less: readonly number[];
}

const NOTHING: Run = { lines: 0, printed: 0, reduced: 0, less: [] };

const withDetail = (run: Run, { name, inner }: PrintLine, at: number): Run => {
  const amount = inner ?? 0;
  const less = LESS.test(name.trim()) && amount > 0;
  return {
    lines: run.lines + 1,
    printed: run.printed + amount,
    reduced: run.reduced + (less ? -amount : amount),
    less: less ? [...run.less, at] : run.less,
  };
};

const sameSize = (a: number, b: number): boolean => Math.abs(a) === Math.abs(b);

/**
 * Follows a print line by line. Its details stand set in; the amount outside, on the line of the last detail or on one of
 * its own, is what they come to. Common practice, no source.
 */
export const readSetIn = (lines: readonly PrintLine[]): SetIn => {
  const [totals, takenOff] = [new Set<number>(), new Set<number>()];
  let [run, agreed, apart] = [NOTHING, 0, 0];
  lines.forEach((line, at) => {
    const { name, inner, outer } = line;
    const repeats = name.trim() === '' && inner !== null && outer === null && run.lines > 1;
    if (repeats && (inner === run.printed || inner === run.reduced)) {
      totals.add(at);
      return;
    }
    if (inner !== null) run = withDetail(run, line, at);
    if (outer === null || run.lines === 0) return;
    const reduced = sameSize(outer, run.reduced);
    const known = reduced || sameSize(outer, run.printed);
    if (known && inner === null) totals.add(at);
    if (known && run.lines > 1) agreed += 1;
    if (!known) apart += 1;
    if (reduced) run.less.forEach((place) => takenOff.add(place));
    run = NOTHING;
  });
  return { totals, takenOff, agreed, apart };
};

/** Whether two columns are the inner and the outer one of a print: what stands outside is mostly what stands set in above it. */
export const isSetIn = ({ agreed, apart }: SetIn): boolean => agreed > 0 && agreed >= 2 * apart;
