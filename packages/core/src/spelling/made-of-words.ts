const PREFIXES = ['pre', 're', 'non', 'co', 'sub', 'over', 'under', 'un', 'inter', 'multi'];
/** Endings that make a word of another, and what they may have taken from it. */
const ENDINGS = [
  's',
  'es',
  'er',
  'ers',
  'or',
  'ors',
  'able',
  'ables',
  'ry',
  'ery',
  'ing',
  'ings',
  'ship',
  'ships',
];
/** A part of a word that is put together has so many letters. */
const PART = 3;

/**
 * Whether a word is made of words that are known: with a prefix, with an ending, or put together of two. Dictionaries
 * have “price” and “ship”, not each “repricer” and “sponsorships” that a trade makes of them.
 */
export const isMadeOfWords = (word: string, knows: (word: string) => boolean): boolean => {
  const known = (part: string): boolean => part.length >= PART && knows(part);
  const stemmed = (text: string): boolean =>
    ENDINGS.some((ending) => {
      if (!text.endsWith(ending)) return false;
      const stem = text.slice(0, -ending.length);
      return known(stem) || known(`${stem}e`);
    });
  const isPrefixed = PREFIXES.some((prefix) => {
    const rest = word.slice(prefix.length);
    return word.startsWith(prefix) && (known(rest) || stemmed(rest));
  });
  if (isPrefixed || stemmed(word)) return true;
  for (let at = PART; at <= word.length - PART; at += 1)
    if (known(word.slice(0, at)) && known(word.slice(at))) return true;
  return false;
};
