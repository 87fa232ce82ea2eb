import {
  addMonths,
  closingLines,
  fiscalYearStart,
  lastDayOf,
  type Month,
  type Period,
} from '@iunctus/core';
import type { JournalFileEntry } from '@iunctus/exchange';
import { rollUpOf, type Taken } from './export-source';

/** The last months of the fiscal years that end within a period and are over today. */
const yearEndsIn = (
  { first, last }: Period,
  { startsIn, today }: { readonly startsIn: number; readonly today: string },
): readonly Month[] => {
  const ends: Month[] = [];
  let end = addMonths(fiscalYearStart(first, startsIn), 11);
  for (; end <= last && lastDayOf(end) < today; end = addMonths(end, 12)) ends.push(end);
  return ends;
};

/** The entries that close the fiscal years of a period, for programs that want them; none of them is in the books. */
export const closingsOf = async (
  taken: Taken,
  period: Period,
  today: string,
): Promise<readonly JournalFileEntry[]> => {
  const { chart, client } = taken;
  const closings: JournalFileEntry[] = [];
  for (const last of yearEndsIn(period, { startsIn: client.fiscalYearStart, today })) {
    const first = addMonths(last, -11);
    const lines = closingLines(chart, await rollUpOf(taken, { first, last }));
    if (lines.length === 0) continue;
    closings.push({
      number: null,
      date: lastDayOf(last),
      source: 'closing',
      comment: `Closing of the year to ${lastDayOf(last)}`,
      lines: lines.map((line) => ({ ...line, values: {}, comment: '', foreign: null })),
    });
  }
  return closings;
};
