import type { CalendarDate } from '../dates/calendar-date';
import type { Finding } from './finding';

/** So many accounts are named in a key; of more there is one key for each count. */
const NAMED = 6;

/** So many letters of the words that a finding is about are in its key. */
const WORDS = 60;

/** The words that a finding is about, where there may be several of one rule about one account; empty for none. */
const wordsOf = (finding: Finding): string => {
  switch (finding.code) {
    case 'sortApart':
      return ` ${finding.facts.words.slice(0, WORDS)}`;
    case 'misspelled':
    case 'twoWords':
      return ` ${finding.facts.word.slice(0, WORDS)}`;
    default:
      return '';
  }
};

/** What a finding is known by: its rule, its accounts, and the words that it is about. */
export const findingKey = (finding: Finding): string => {
  const ids = [...finding.accountIds].sort();
  const more = ids.length > NAMED ? ` +${ids.length - NAMED}` : '';
  return `${finding.code} ${ids.slice(0, NAMED).join(' ')}${more}${wordsOf(finding)}`;
};

/** What is told beside a finding, and changes with every posting. */
const BESIDE = 'holds';

/** Numbers change every month; what counts is that one has doubled. */
const coarse = (key: string, value: unknown): unknown => {
  if (key === BESIDE) return undefined;
  return typeof value === 'number' ? Math.round(Math.log2(Math.abs(value) + 1)) : value;
};

/** What was found, so far as a change of it is worth another look; of much, as much as a note holds. */
export const findingPrint = ({ facts }: Finding): string =>
  JSON.stringify(facts, coarse).slice(0, NOTE_LIMITS.print);

/** That a finding was put off until a day, or set aside for good, with a reason. */
export interface FindingNote {
  readonly key: string;
  readonly print: string;
  /** The first day on which it is to be seen again; `null` for a finding that was set aside. */
  readonly until: CalendarDate | null;
  readonly reason: string;
}

/** What a note may hold. */
export const NOTE_LIMITS = { notes: 5000, key: 400, print: 400, reason: 300 } as const;

/** The note that keeps a finding out of sight; `null` where it is to be seen: its day has come, or its facts changed. */
export const noteOf = <N extends FindingNote>(
  finding: Finding,
  notes: ReadonlyMap<string, N>,
  today: CalendarDate,
): N | null => {
  const note = notes.get(findingKey(finding));
  if (note?.print !== findingPrint(finding)) return null;
  return note.until !== null && note.until <= today ? null : note;
};
