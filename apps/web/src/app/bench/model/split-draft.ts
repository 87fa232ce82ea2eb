import type { PostingsAnswer } from '@iunctus/contract';
import type { Dimension, EntrySource, PostingChoice, SplitPart } from '@iunctus/core';
import { SOURCE_WORDS } from '../../shared/words/choice-words';

/** A part of a split while it is typed. Empty texts narrow nothing. */
export interface PartDraft {
  readonly key: number;
  readonly name: string;
  readonly words: string;
  readonly first: string;
  readonly last: string;
  readonly source: EntrySource | '';
  /** `dimension/value`; the value is empty for postings that carry none. */
  readonly value: string;
}

/** What stands for a day that cannot be read. */
export const UNREAD = '?';

/** Whether the days of a part can be read, so that it may become one. */
export const hasDays = ({ first, last }: PartDraft): boolean => first !== UNREAD && last !== UNREAD;

/** Something by which all postings can be told apart at once: a dimension, the source, the words. */
export interface Distinction {
  readonly words: string;
  readonly parts: readonly Partial<PartDraft>[];
}

/** A part for which nothing is chosen yet. */
export const emptyPart = (key: number, more: Partial<PartDraft> = {}): PartDraft => ({
  name: '',
  words: '',
  first: '',
  last: '',
  source: '',
  value: '',
  ...more,
  key,
});

const valueOf = (value: string): PostingChoice['value'] => {
  const [dimensionId = '', valueId = ''] = value.split('/');
  return dimensionId === '' ? null : { dimensionId, valueId: valueId === '' ? null : valueId };
};

/** The part as the core takes it; `upTo` is the newest entry that is meant. */
export const partOf = (draft: PartDraft, upTo: number): SplitPart => ({
  name: draft.name,
  choice: {
    first: draft.first === '' || draft.first === UNREAD ? null : draft.first,
    last: draft.last === '' || draft.last === UNREAD ? null : draft.last,
    sources: draft.source === '' ? [] : [draft.source],
    words: draft.words.trim(),
    value: valueOf(draft.value),
    upTo,
  },
});

/** Most parts that one gesture makes. */
const MOST = 12;

const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

const byDimension = (facts: PostingsAnswer, { id, name, values }: Dimension): Distinction[] => {
  const carried = new Set(
    facts.values.filter(({ dimensionId }) => dimensionId === id).map(({ valueId }) => valueId),
  );
  const parts = values
    .filter((value) => carried.has(value.id))
    .map((value) => ({ name: value.name, value: `${id}/${value.id}` }));
  return parts.length < 2 || parts.length > MOST ? [] : [{ words: name.toLowerCase(), parts }];
};

const bySource = ({ sources }: PostingsAnswer): Distinction[] =>
  sources.length < 2
    ? []
    : [
        {
          words: 'source',
          parts: sources.map(({ source }) => ({ name: capital(SOURCE_WORDS[source]), source })),
        },
      ];

const byComment = ({ comments, postings }: PostingsAnswer): Distinction[] => {
  const told = comments.reduce((so, one) => so + one.postings, 0);
  const usable = comments.length >= 2 && comments.length <= MOST && told === postings;
  if (!usable || comments.some(({ comment }) => comment.trim() === '')) return [];
  const parts = comments.map(({ comment }) => ({ name: comment, words: comment }));
  return [{ words: 'comment', parts }];
};

/** By what the postings of an account can be told apart at once. */
export const distinctionsOf = (
  facts: PostingsAnswer,
  dimensions: readonly Dimension[],
): readonly Distinction[] => [
  ...dimensions.flatMap((dimension) => byDimension(facts, dimension)),
  ...bySource(facts),
  ...byComment(facts),
];
