import { COLUMN_USES, type ColumnReading, type ColumnUse } from '@iunctus/core';

const KEY = 'iunctus.columns';
/** Lists whose columns are remembered; the one that was not used for longest is forgotten first. */
const MOST = 40;

type Uses = readonly (ColumnUse | null)[];
type Remembered = readonly (readonly [string, Uses])[];

const headingsOf = ({ headings }: ColumnReading): string => headings.join('\u001f').toLowerCase();

const isUses = (value: unknown): value is Uses =>
  Array.isArray(value) &&
  value.every((use) => use === null || COLUMN_USES.includes(use as ColumnUse));

/** What the browser kept; anybody may have written there. */
const kept = (): unknown => {
  try {
    return JSON.parse(localStorage.getItem(KEY) ?? '[]');
  } catch {
    return [];
  }
};

const remembered = (): Remembered => {
  const data = kept();
  if (!Array.isArray(data)) return [];
  return data.filter(
    (one: unknown): one is readonly [string, Uses] =>
      Array.isArray(one) && typeof one[0] === 'string' && isUses(one[1]),
  );
};

/** The uses that were chosen for columns with the same headings, else those that were recognized. */
export const withRemembered = (reading: ColumnReading): ColumnReading => {
  if (reading.headingLine === null) return reading;
  const found = remembered().find(([headings]) => headings === headingsOf(reading));
  const fits = found !== undefined && found[1].length === reading.uses.length;
  return fits ? { ...reading, uses: found[1] } : reading;
};

/** Remembers the uses that were chosen for these headings. */
export const rememberColumns = (reading: ColumnReading): void => {
  if (reading.headingLine === null) return;
  const headings = headingsOf(reading);
  const others = remembered().filter(([one]) => one !== headings);
  localStorage.setItem(KEY, JSON.stringify([[headings, reading.uses], ...others].slice(0, MOST)));
};
