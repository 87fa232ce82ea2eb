import type { Chart } from '../chart/chart';
import type { CalendarDate } from '../dates/calendar-date';
import type { Month } from '../dates/month';
import { allFindings } from './all-rules';
import type { Finding, Severity } from './finding';
import { findingKey, noteOf, type FindingNote } from './finding-notes';
import { lookAtBooks, type KnownBooks } from './look-at-books';
import { tidyScore, type TidyScore } from './score';

/** Notes on findings by what they are about. */
export type FindingNotes<N extends FindingNote = FindingNote> = ReadonlyMap<string, N>;

/** The findings that are to be seen, and those that were put off or set aside. */
export interface SortedFindings {
  readonly open: readonly Finding[];
  readonly noted: readonly Finding[];
}

/** Tells what was put off until later than `today`, or set aside, from what is open. */
export const sortFindings = (
  findings: readonly Finding[],
  notes: FindingNotes,
  today: CalendarDate,
): SortedFindings => {
  const isNoted = (finding: Finding): boolean => noteOf(finding, notes, today) !== null;
  return {
    open: findings.filter((finding) => !isNoted(finding)),
    noted: findings.filter(isNoted),
  };
};

/** How many findings there are of each severity. */
export type FindingCounts = Readonly<Record<Severity, number>>;

export const countFindings = (findings: readonly Finding[]): FindingCounts => {
  const counts = { wrong: 0, doubtful: 0, couldBeNeater: 0 };
  for (const { severity } of findings) counts[severity] += 1;
  return counts;
};

/** A chart as it was when it was looked through. */
export interface TidyCheck {
  readonly findings: readonly Finding[];
  readonly counts: FindingCounts;
  readonly score: TidyScore | null;
}

/** By what a chart is checked: what is known of its client, what is put off, and the day on which somebody looks. */
export interface CheckedBy {
  readonly books: KnownBooks;
  readonly notes: FindingNotes;
  readonly today: CalendarDate;
}

/** Looks a chart through with its books as they stood at the end of a month; what was put off or set aside is left out. */
export const checkChart = (chart: Chart, by: CheckedBy, through: Month): TidyCheck => {
  const lookedAt = lookAtBooks(chart, by.books, through);
  const findings = allFindings(lookedAt);
  const { open } = sortFindings(findings, by.notes, by.today);
  return { findings: open, counts: countFindings(open), score: tidyScore(lookedAt, findings) };
};

/** What came and went between two checks. */
export interface CheckChange {
  readonly came: readonly Finding[];
  readonly went: readonly Finding[];
}

/** What a check found that the one before had not, and what it no longer found. */
export const changeBetween = (before: TidyCheck, after: TidyCheck): CheckChange => {
  const keys = (check: TidyCheck): ReadonlySet<string> => new Set(check.findings.map(findingKey));
  const [then, now] = [keys(before), keys(after)];
  return {
    came: after.findings.filter((finding) => !then.has(findingKey(finding))),
    went: before.findings.filter((finding) => !now.has(findingKey(finding))),
  };
};
