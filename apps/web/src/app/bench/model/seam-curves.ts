import type { RowKey } from '@iunctus/core';

/** One end of the join: a chart row that is in sight. */
export interface ChartEnd {
  readonly key: string;
  /** Middle of the row, from the top of the seam, in pixels. */
  readonly y: number;
  readonly landing: readonly RowKey[];
  readonly selected: boolean;
  readonly changed: boolean;
}

/** Where the statement's rows stand. */
export interface StatementEnds {
  readonly indexOf: ReadonlyMap<RowKey, number>;
  readonly rowHeight: number;
  /** Top of the rows' viewport from the top of the seam, its height, and how far it is scrolled. */
  readonly top: number;
  readonly height: number;
  readonly scrolled: number;
}

/** A curve to draw. */
export interface SeamCurve {
  readonly key: string;
  readonly path: string;
  readonly y1: number;
  readonly y2: number;
  readonly selected: boolean;
  readonly changed: boolean;
  /** The statement row lies outside its viewport: the curve ends at the edge. */
  readonly beyond: boolean;
}

const pathBetween = (y1: number, y2: number, width: number): string =>
  `M0 ${y1}C${width / 2} ${y1} ${width / 2} ${y2} ${width} ${y2}`;

/** The curves between chart rows in sight and the statement rows that they land on. */
export const seamCurves = (
  rows: readonly ChartEnd[],
  ends: StatementEnds,
  width: number,
): readonly SeamCurve[] =>
  rows.flatMap((row) =>
    row.landing.flatMap((target) => {
      const index = ends.indexOf.get(target);
      if (index === undefined) return [];
      const y = ends.top + (index + 0.5) * ends.rowHeight - ends.scrolled;
      const y2 = Math.min(Math.max(y, ends.top), ends.top + ends.height);
      return {
        key: `${row.key}>${target}`,
        path: pathBetween(row.y, y2, width),
        y1: row.y,
        y2,
        selected: row.selected,
        changed: row.changed,
        beyond: y !== y2,
      };
    }),
  );
