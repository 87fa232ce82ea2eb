import type { FindingCode, LookedAt, Severities } from './finding';
import { USUAL_LIMITS, type Limits } from './limits';

/** What a limit counts. */
export type LimitUnit = 'months' | 'levels' | 'lines' | 'accounts' | 'tenths' | 'perCent';

interface LimitRange {
  /** The rule that it is a limit of. */
  readonly rule: FindingCode;
  readonly unit: LimitUnit;
  /** Both inclusive. */
  readonly least: number;
  readonly most: number;
}

/** The limits that may be set, and within what bounds: a row each. */
export const LIMIT_RANGES = {
  unusualMonths: { rule: 'unusualBalance', unit: 'months', least: 1, most: 24 },
  clearingMonths: { rule: 'leftToClear', unit: 'months', least: 1, most: 24 },
  catchAllPart: { rule: 'catchAll', unit: 'tenths', least: 1, most: 500 },
  catchAllMuch: { rule: 'catchAll', unit: 'tenths', least: 1, most: 1000 },
  kindDoubtful: { rule: 'kindDoubt', unit: 'perCent', least: 30, most: 100 },
  kindWrong: { rule: 'kindDoubt', unit: 'perCent', least: 50, most: 100 },
  mainLines: { rule: 'tooManyMainLines', unit: 'lines', least: 5, most: 200 },
  levels: { rule: 'tooDeep', unit: 'levels', least: 2, most: 10 },
  tinyAccounts: { rule: 'tinyAccounts', unit: 'accounts', least: 2, most: 50 },
  tinyPart: { rule: 'tinyAccounts', unit: 'tenths', least: 1, most: 50 },
  unusedMonths: { rule: 'longUnused', unit: 'months', least: 1, most: 24 },
} as const satisfies Partial<Record<keyof Limits, LimitRange>>;

/** A limit that may be set. */
export type LimitName = keyof typeof LIMIT_RANGES;
export const LIMIT_NAMES = Object.keys(LIMIT_RANGES) as [LimitName, ...LimitName[]];

/** What somebody wants of the rules otherwise than they are: how much they matter, from where on, and words that are right. */
export interface RuleWishes {
  readonly severities: Severities;
  readonly limits: Readonly<Partial<Record<LimitName, number>>>;
  /** Words that are spelled right, whatever a dictionary says; in small letters. */
  readonly words: readonly string[];
}

/** Nothing is wanted otherwise. */
export const NO_WISHES: RuleWishes = { severities: {}, limits: {}, words: [] };

/** How many words somebody may say are right, and how long each may be. */
export const WISHED_WORDS = { count: 2000, length: 40 } as const;

/** What rules are looked by: a client's wishes before its practice's, and those before what is usual. */
export const rulesBy = (
  practice: RuleWishes,
  client: RuleWishes,
): Pick<LookedAt, 'limits' | 'severities'> & { readonly words: readonly string[] } => ({
  limits: { ...USUAL_LIMITS, ...practice.limits, ...client.limits },
  severities: { ...practice.severities, ...client.severities },
  words: [...new Set([...practice.words, ...client.words])],
});
