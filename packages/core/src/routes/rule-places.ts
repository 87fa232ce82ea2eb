import type { WordRule } from './route-item';
import type { Routes } from './routes';

type Rules = Routes['rules'];

/** The place behind all rules. */
export const lastPlace = (rules: Rules): number => (rules.at(-1)?.content.place ?? 0) + 1;

/**
 * A rule moved one up (−1) or down (1) among the others: its place is between its new neighbours, which keep theirs.
 * `null` where it cannot go further.
 */
export const movedRule = (rules: Rules, at: number, by: -1 | 1): WordRule | null => {
  const [own, near, far] = [rules[at], rules[at + by], rules[at + 2 * by]];
  if (own === undefined || near === undefined) return null;
  const beyond = far?.content.place ?? near.content.place + 2 * by;
  return { ...own.content, place: (near.content.place + beyond) / 2 };
};

/** A rule with nothing in it, at a place. */
export const newRule = (place: number, more: Partial<WordRule> = {}): WordRule => ({
  type: 'rule',
  place,
  how: 'contains',
  words: '',
  sign: null,
  least: null,
  most: null,
  source: null,
  accountId: '',
  taxCodeId: null,
  ...more,
});
