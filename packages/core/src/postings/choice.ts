import { nameKey } from '../text/name-key';
import { isCalendarDate, type CalendarDate } from '../dates/calendar-date';
import type { EntrySource, Posting } from './posting';

/**
 * Which postings of an account are meant. Every part narrows the choice; an empty one does not.
 * Dates are inclusive. Nothing that was posted after entry `upTo` is meant, so that a choice means
 * the same postings for good.
 */
export interface PostingChoice {
  readonly first: CalendarDate | null;
  readonly last: CalendarDate | null;
  readonly sources: readonly EntrySource[];
  /** Words that the comment must hold, in any order and whatever their case. */
  readonly words: string;
  /** The value that the posting carries in a dimension; `null` for those that carry none there. */
  readonly value: { readonly dimensionId: string; readonly valueId: string | null } | null;
  readonly upTo: number;
}

/** Longest text of words to choose by, in characters. */
export const CHOICE_WORDS_LIMIT = 120;

const holdsWords = (comment: string, words: string): boolean => {
  const text = nameKey(comment);
  return nameKey(words)
    .split(' ')
    .every((word) => text.includes(word));
};

/** Whether a posting is meant by a choice. */
export const isChosen = (posting: Posting, choice: PostingChoice): boolean =>
  posting.sequence <= choice.upTo &&
  (choice.first === null || posting.date >= choice.first) &&
  (choice.last === null || posting.date <= choice.last) &&
  (choice.sources.length === 0 || choice.sources.includes(posting.source)) &&
  holdsWords(posting.comment, choice.words) &&
  (choice.value === null ||
    (posting.values[choice.value.dimensionId] ?? null) === choice.value.valueId);

/** What keeps a choice of postings from being usable. */
export const CHOICE_PROBLEMS = [
  'dateMalformed',
  'endsBeforeItBegins',
  'wordsTooLong',
  'upToMalformed',
] as const;
export type ChoiceProblem = (typeof CHOICE_PROBLEMS)[number];

/** What is wrong with a choice of postings; `null` for nothing. */
export const choiceProblem = ({
  first,
  last,
  words,
  upTo,
}: PostingChoice): ChoiceProblem | null => {
  const dates = [first, last].filter((date) => date !== null);
  if (!dates.every(isCalendarDate)) return 'dateMalformed';
  if (first !== null && last !== null && first > last) return 'endsBeforeItBegins';
  if (words.length > CHOICE_WORDS_LIMIT) return 'wordsTooLong';
  return Number.isSafeInteger(upTo) && upTo >= 0 ? null : 'upToMalformed';
};
