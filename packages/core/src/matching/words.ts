/** Words that say nothing about what an account is for. */
const EMPTY_WORDS = new Set('a an and or the than our etc'.split(' '));

/** Words after which a name says more closely what it meant before. */
export const LINKS: ReadonlySet<string> = new Set('of for on at with to from by in'.split(' '));

/** Links that tell one account from another: a loan to or from an owner. */
const TELLING_LINKS = new Set('to from by in'.split(' '));

/** Spellings of one word, the first of each line being the one that rules use. */
const SPELLINGS: ReadonlyMap<string, string> = new Map(
  [
    ['labor', 'labour'],
    ['license', 'licence'],
    ['amortization', 'amortisation'],
    ['check', 'cheque'],
    ['program', 'programme'],
    ['organization', 'organisation'],
    ['center', 'centre'],
    ['catalog', 'catalogue'],
    ['jewelry', 'jewellery'],
    ['tire', 'tyre'],
    ['depreciation', 'depr', 'deprec', 'depn'],
    ['accumulated', 'accum', 'acc'],
    ['receivable', 'rec', 'recv', 'receivables'],
    ['payable', 'payables'],
    ['expense', 'exp', 'expenses'],
    ['account', 'acct', 'a/c', 'ac'],
    ['advertising', 'advertisement', 'advert'],
    ['telephone', 'phone', 'cellphone', 'mobile'],
    ['vehicle', 'car', 'automobile', 'auto', 'truck', 'van', 'lorry', 'motor', 'fleet'],
    ['attorney', 'lawyer', 'solicitor'],
  ].flatMap(([usual = '', ...others]) => others.map((other) => [other, usual] as const)),
);

/** Plurals that mean something else than their singular. */
const PLURALS = new Set(['securities', 'earnings', 'goods', 'notes', 'takings', 'savings']);

const singular = (word: string): string => {
  if (PLURALS.has(word)) return word;
  if (/[^aeiou]ies$/.test(word)) return `${word.slice(0, -3)}y`;
  if (/(ss|us|is|ous)$/.test(word) || word.length < 4) return word;
  if (/(ch|sh|x|ss)es$/.test(word)) return word.slice(0, -2);
  return word.endsWith('s') ? word.slice(0, -1) : word;
};

const usualSpelling = (word: string): string => {
  const found = SPELLINGS.get(word) ?? SPELLINGS.get(singular(word));
  return found ?? singular(word);
};

const PLAIN = /^[ -~]*$/;

/** A name in plain letters: without accents and the like. */
const plainOf = (name: string): string =>
  PLAIN.test(name) ? name : name.normalize('NFKD').replace(/\p{M}/gu, '');

const partsOf = (name: string): readonly string[] =>
  plainOf(name)
    .toLowerCase()
    .replace(/[’']s\b/g, '')
    .replace(/[’']/g, '')
    .replace(/\bnon[ -](?=[a-z])/g, 'non')
    .replace(/\ba\/r\b/g, 'account receivable')
    .replace(/\ba\/p\b/g, 'account payable')
    .split(/[^\p{L}\p{N}]+/u)
    .filter((word) => word !== '' && !EMPTY_WORDS.has(word));

/** A name's words, and how many of them stand before the first link: “interest | on bank loans”. */
export interface Wording {
  readonly words: readonly string[];
  readonly head: number;
}

/**
 * The words of an account's name in the form in which rules know them: lower case, plain letters,
 * singular, American spelling, without words that say nothing.
 */
export const wordingOf = (name: string): Wording => {
  const parts = partsOf(name);
  const link = parts.findIndex((part, index) => index > 0 && LINKS.has(part));
  const telling = (part: string): boolean => !LINKS.has(part) || TELLING_LINKS.has(part);
  const before = parts.slice(0, link < 0 ? parts.length : link).filter(telling);
  return { words: parts.filter(telling).map(usualSpelling), head: before.length };
};

/** The words alone. */
export const wordsOf = (name: string): readonly string[] => wordingOf(name).words;

/** A name without what it leaves out or adds in passing: “Sales, less returns”, “Land (net of …)”. */
export const mainPart = (name: string): string => {
  const bare = name.replace(/\([^)]*\)/g, ' ');
  const [main = ''] = bare.split(
    /(?<=\p{L}.*)\b(?:less(?! than)|net of|other than|excluding|including|not)\b/iu,
  );
  return main.trim() === '' ? name : main;
};

/** Where `phrase` begins among `words`, its words one after the other; -1 when it does not occur. */
export const placeOfPhrase = (words: readonly string[], phrase: readonly string[]): number =>
  words.findIndex((_word, start) => phrase.every((part, index) => words[start + index] === part));
