import { ELEMENTS, type Element } from '../kinds/element';
import { elementOf, KIND_CODES, KINDS, type KindCode } from '../kinds/kinds';
import { parseNumber, type NumberPlan } from '../plan/number-plan';
import { SIGNS, TOPICS, type Sign, type Topic } from './kind-words';
import { plainKind } from './plain-names';
import { mainPart, placeOfPhrase, wordingOf, wordsOf, type Wording } from './words';

/** What is known of an account whose kind is wanted. */
export interface Clues {
  readonly name: string;
  /** The kind of the account above it, where it is known: both share their element. */
  readonly parentKind?: KindCode | null;
  readonly parentName?: string;
  /** The element, where it is known otherwise. */
  readonly element?: Element | null;
  readonly number?: string | null;
  /** The plan whose ranges the number is held against. */
  readonly plan?: NumberPlan;
}

/** Why a kind was guessed. */
export type Reason =
  | { readonly type: 'words'; readonly words: string }
  | { readonly type: 'parent' }
  | { readonly type: 'range'; readonly range: string }
  /** What the list calls its type. */
  | { readonly type: 'listed'; readonly text: string }
  /** The rows around it, and those that belong with it. */
  | { readonly type: 'around' }
  | { readonly type: 'none' };

/** A guessed kind, how sure the guess is (0 to 1), and why. */
export interface Guess {
  readonly kind: KindCode;
  readonly confidence: number;
  readonly reason: Reason;
}

interface Heard<T> {
  readonly rule: T;
  readonly phrase: string;
  /** Words of the phrase: longer ones say more. */
  readonly length: number;
  readonly start: number;
  readonly end: number;
}

const phraseWords = new Map<string, readonly string[]>();

const wordsOfPhrase = (phrase: string): readonly string[] => {
  const known = phraseWords.get(phrase);
  if (known !== undefined) return known;
  const words = wordsOf(phrase);
  phraseWords.set(phrase, words);
  return words;
};

/** Words in order with others between still count, for less: “allowance for doubtful debts”. */
const heardIn = (
  words: readonly string[],
  phrase: string,
): { start: number; end: number; near: boolean } | null => {
  const parts = wordsOfPhrase(phrase);
  const place = placeOfPhrase(words, parts);
  if (place >= 0) return { start: place, end: place + parts.length, near: true };
  if (parts.length < 2) return null;
  let at = -1;
  for (const part of parts) {
    at = words.indexOf(part, at + 1);
    if (at < 0) return null;
  }
  return { start: words.indexOf(parts[0] ?? ''), end: at + 1, near: false };
};

interface Entry<T> {
  readonly rule: T;
  readonly phrase: string;
}

/** Phrases by their first word, so that a name is held against few of them. */
const indexOf = <T extends Sign | Topic>(rules: readonly T[]): ReadonlyMap<string, Entry<T>[]> => {
  const index = new Map<string, Entry<T>[]>();
  for (const rule of rules)
    for (const phrase of rule.phrases) {
      const [first = ''] = wordsOfPhrase(phrase);
      index.set(first, [...(index.get(first) ?? []), { rule, phrase }]);
    }
  return index;
};

const SIGN_INDEX = indexOf(SIGNS);
const TOPIC_INDEX = indexOf(TOPICS);

const heardAs = <T>(words: readonly string[], { rule, phrase }: Entry<T>): Heard<T> | null => {
  const heard = heardIn(words, phrase);
  if (heard === null) return null;
  const length = wordsOfPhrase(phrase).length - (heard.near ? 0 : 0.5);
  return { rule, phrase, length, start: heard.start, end: heard.end };
};

/** The phrases that a name holds: of each rule the longest. */
const hear = <T>(
  words: readonly string[],
  index: ReadonlyMap<string, readonly Entry<T>[]>,
): readonly Heard<T>[] => {
  const best = new Map<T, Heard<T>>();
  for (const entry of new Set(words.flatMap((word) => index.get(word) ?? []))) {
    const heard = heardAs(words, entry);
    if (heard === null) continue;
    const former = best.get(heard.rule);
    const longer =
      former === undefined ||
      heard.length > former.length ||
      (heard.length === former.length && heard.end > former.end);
    if (longer) best.set(heard.rule, heard);
  }
  return [...best.values()];
};

type Scores = Map<KindCode, { score: number; reason: Reason; strongest: number }>;

const give = (scores: Scores, kind: KindCode, points: number, reason: Reason): void => {
  const former = scores.get(kind);
  if (former === undefined) scores.set(kind, { score: points, reason, strongest: points });
  else {
    const stronger = points > former.strongest;
    scores.set(kind, {
      // The strongest voice counts whole, the others a quarter: many weak words are no proof.
      score: stronger ? points + former.score / 4 : former.score + points / 4,
      reason: stronger ? reason : former.reason,
      strongest: Math.max(points, former.strongest),
    });
  }
};

/**
 * Where in a name something says most: at the end of what stands before the first link (“bank loan
 * *interest*”, “*interest* on a bank loan”). What follows a link only describes.
 */
const placeVoice = (
  { head }: Wording,
  { start, end }: Heard<unknown>,
  headSpeaks = false,
): number => {
  if (start >= head) return headSpeaks ? 0.35 : 0.7;
  return end >= head ? 1.3 : 1;
};

/** Signs that turn whatever follows them: unearned revenue, prepaid rent, accrued wages. */
const turns = ({ rule, start }: Heard<Sign>): boolean =>
  start === 0 &&
  rule.weight >= 2 &&
  rule.element !== 'expense' &&
  rule.element !== 'revenue' &&
  rule.element !== 'equity';

/** How much each sign of an element says. */
const elementsIn = (wording: Wording): ReadonlyMap<Element, number> => {
  const elements = new Map<Element, number>();
  for (const heard of hear(wording.words, SIGN_INDEX)) {
    const voice = turns(heard) ? 2.2 : placeVoice(wording, heard);
    const points = heard.rule.weight * voice * heard.length ** 0.5;
    const { element } = heard.rule;
    elements.set(element, Math.max(elements.get(element) ?? 0, points));
  }
  return elements;
};

const hearTopics = (scores: Scores, wording: Wording, share: number): void => {
  const elements = elementsIn(wording);
  const strongest = Math.max(0, ...elements.values());
  const signs = hear(wording.words, SIGN_INDEX);
  const firm = new Set(signs.flatMap(({ rule }) => (rule.firm ? [rule.element] : [])));
  const topics = hear(wording.words, TOPIC_INDEX);
  const headSpeaks = topics.some(({ start, rule }) => start < wording.head && rule.weight > 1);
  for (const heard of topics) {
    const { rule, phrase, length } = heard;
    const said: Reason = { type: 'words', words: phrase };
    const points = rule.weight * length ** 1.5 * placeVoice(wording, heard, headSpeaks) * share;
    for (const element of ELEMENTS) {
      const kind = rule.as[element] ?? (elementOf(rule.usual) === element ? rule.usual : undefined);
      if (kind === undefined) continue;
      const signed = elements.get(element) ?? 0;
      const against = strongest > 0 && signed < strongest ? 0.45 : 1;
      const turned = signed > 0 ? (firm.has(element) ? 0.3 : 0.95) : 0.15;
      const usual = kind === rule.usual ? 1 : turned;
      give(scores, kind, (points * usual + signed * share) * against, said);
    }
  }
  for (const heard of signs) {
    const signed = elements.get(heard.rule.element) ?? 0;
    const voice = heard.rule.firm ? 1.2 : 0.6;
    give(scores, heard.rule.usual, signed * voice * share, { type: 'words', words: heard.phrase });
  }
};

/** The main part of a name speaks whole; what follows a colon describes. */
const hearName = (scores: Scores, name: string, share: number): void => {
  const [first = '', ...rest] = mainPart(name).split(':');
  hearTopics(scores, wordingOf(first), share);
  if (rest.length > 0) hearTopics(scores, wordingOf(rest.join(' ')), share * 0.4);
};

const hearNumber = (scores: Scores, { number, plan }: Clues): void => {
  if (number === null || number === undefined || plan === undefined) return;
  const value = parseNumber(plan, number)?.value;
  if (value === undefined) return;
  const range = plan.ranges.find(({ first, last }) => value >= first && value <= last);
  if (range === undefined) return;
  const reason: Reason = { type: 'range', range: range.name };
  const voice = range.kinds.length === 1 ? 1.5 : 0.8;
  for (const kind of range.kinds)
    give(scores, kind, scores.has(kind) ? voice * 2 : voice / range.kinds.length, reason);
};

const hearParent = (scores: Scores, { parentKind, parentName }: Clues): void => {
  if (parentName !== undefined) hearName(scores, parentName, 0.15);
  if (parentKind !== null && parentKind !== undefined && KINDS[parentKind].contra !== true)
    give(scores, parentKind, 1, { type: 'parent' });
};

const ranked = (scores: Scores, element: Element | null): readonly Guess[] => {
  const fitting = [...scores].filter(([kind]) => element === null || elementOf(kind) === element);
  const sorted = fitting.sort(
    ([a, x], [b, y]) => y.score - x.score || KIND_CODES.indexOf(a) - KIND_CODES.indexOf(b),
  );
  const [first, second] = sorted.map(([, { score }]) => score);
  const total = (first ?? 0) + (second ?? 0) + 1;
  return sorted.map(([kind, { score, reason }]) => ({ kind, reason, confidence: score / total }));
};

/** What accounts of an element most often are in a small business's chart, the commonest first. Common practice, no source. */
const COMMON: Readonly<Record<Element, readonly KindCode[]>> = {
  asset: ['otherCurrentAsset', 'propertyAndEquipment', 'inventory', 'longTermInvestment', 'bank'],
  liability: ['otherCurrentLiability', 'accruedExpense', 'longTermBorrowing', 'tradePayable'],
  equity: ['ownersCapital', 'drawings', 'retainedEarnings', 'shareCapital'],
  revenue: ['otherOperatingRevenue', 'saleOfGoods', 'services', 'investmentIncome'],
  expense: ['operatingExpense', 'costOfSales', 'otherExpense', 'financeCost'],
  memorandum: ['memorandum'],
};

/** So many guesses are always offered where an element has as many kinds. */
const OFFERED = 3;

const filledUp = (guesses: readonly Guess[], element: Element): readonly Guess[] => {
  const known = new Set(guesses.map(({ kind }) => kind));
  const more = COMMON[element]
    .filter((kind) => !known.has(kind))
    .slice(0, Math.max(0, OFFERED - guesses.length))
    .map((kind): Guess => ({ kind, confidence: 0, reason: { type: 'none' } }));
  return [...guesses, ...more];
};

/**
 * The kinds that an account may be, the likeliest first, from the words of its name, the account
 * above it, and the range of its number. Never empty: with nothing to go by it is what the parent
 * is, or an operating expense, with no confidence.
 */
export const inferKinds = (clues: Clues): readonly Guess[] => {
  const scores: Scores = new Map();
  hearName(scores, clues.name, 1);
  hearNumber(scores, clues);
  hearParent(scores, clues);
  const parentKind = clues.parentKind ?? null;
  const element = parentKind === null ? (clues.element ?? null) : elementOf(parentKind);
  const guesses = ranked(scores, element);
  const [first] = guesses;
  if (first !== undefined) {
    const plain = { ...first, kind: plainKind(first.kind, clues.name) };
    const others = guesses.filter(({ kind }) => kind !== plain.kind && kind !== first.kind);
    return filledUp([plain, ...others], element ?? elementOf(first.kind));
  }
  const kind = parentKind ?? COMMON[element ?? 'expense'][0] ?? 'operatingExpense';
  return filledUp([{ kind, confidence: 0, reason: { type: 'none' } }], elementOf(kind));
};
