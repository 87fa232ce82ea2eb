const LETTERS = [...'abcdefghijklmnopqrstuvwxyz'];

/** How a word came from another: two letters swapped, one written twice or once, one left out, added, or another. */
const SLIPS = ['swapped', 'doubled', 'left out', 'added', 'other'] as const;
type Slip = (typeof SLIPS)[number];

/** A word from which another may have come by one slip of the hand. */
export interface Meant {
  readonly word: string;
  readonly slip: Slip;
}

const swapped = (word: string): readonly Meant[] =>
  Array.from({ length: word.length - 1 }, (_, at) => ({
    word: `${word.slice(0, at)}${word[at + 1]}${word[at]}${word.slice(at + 2)}`,
    slip: 'swapped',
  }));

const shorter = (word: string): readonly Meant[] =>
  [...word].map((letter, at) => ({
    word: word.slice(0, at) + word.slice(at + 1),
    slip: word[at - 1] === letter ? 'doubled' : 'added',
  }));

const longer = (word: string): readonly Meant[] =>
  Array.from({ length: word.length + 1 }, (_, at) => at).flatMap((at) =>
    LETTERS.map((letter): Meant => ({
      word: word.slice(0, at) + letter + word.slice(at),
      slip: word[at] === letter || word[at - 1] === letter ? 'doubled' : 'left out',
    })),
  );

const changed = (word: string): readonly Meant[] =>
  [...word].flatMap((_, at) =>
    LETTERS.map((letter): Meant => ({
      word: word.slice(0, at) + letter + word.slice(at + 1),
      slip: 'other',
    })),
  );

/** All that a word may have been meant to be, one slip away, the likeliest sort of slip first; each once. */
export const oneSlipFrom = (word: string): readonly Meant[] => {
  const all = [...swapped(word), ...shorter(word), ...longer(word), ...changed(word)];
  const best = new Map<string, Meant>();
  for (const meant of all) {
    const before = best.get(meant.word);
    if (
      meant.word !== word &&
      (before === undefined || SLIPS.indexOf(meant.slip) < SLIPS.indexOf(before.slip))
    )
      best.set(meant.word, meant);
  }
  return [...best.values()].sort((a, b) => SLIPS.indexOf(a.slip) - SLIPS.indexOf(b.slip));
};
