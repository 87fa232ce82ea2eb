import type { StandingEntryAnswer } from '@iunctus/contract';
import { dueDays, nextDay, type CalendarDate } from '@iunctus/core';

/** A day of a standing entry that is due. */
export interface DueEntry {
  readonly standing: StandingEntryAnswer;
  readonly due: CalendarDate;
}

const doneOf = ({ days }: StandingEntryAnswer): ReadonlySet<CalendarDate> =>
  new Set(days.map(({ due }) => due));

/** All that is due up to a day (inclusive), the oldest first. */
export const dueEntries = (
  standings: readonly StandingEntryAnswer[],
  through: CalendarDate,
): readonly DueEntry[] =>
  standings
    .flatMap((standing) =>
      dueDays(standing.recurrence, through, doneOf(standing)).map((due) => ({ standing, due })),
    )
    .sort((a, b) => a.due.localeCompare(b.due));

/** The next day on which one comes; `null` when it has ended. */
export const nextOf = (standing: StandingEntryAnswer): CalendarDate | null =>
  nextDay(standing.recurrence, doneOf(standing));
