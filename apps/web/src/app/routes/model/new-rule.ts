import type { WordRule } from '@iunctus/core';

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
