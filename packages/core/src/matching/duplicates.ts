import { likeness } from './likeness';
import { thingsIn, wordsIn } from './same-things';
import { wordsOf } from './words';

/** An account that may be another one once more. */
export interface Lookalike {
  /** Its name, perhaps with those above it: `Office:Telephone`. */
  readonly name: string;
  /** What must be the same in both: kind or element, as far as it is known. */
  readonly sort: string;
}

/** That one account of a list says the same as an earlier one, by their places, and how surely from 0 to 1. */
export interface Duplicate {
  readonly at: number;
  readonly of: number;
  readonly likeness: number;
}

/** Words at least so alike are the same word, misspelt. */
const SAME_WORD = 0.92;
/** Shorter words than this are the same only letter by letter. */
const LONG_WORD = 5;
/** A word that is cut short lacks so many letters at least: “office” is no “officer”. */
const CUT_SHORT = 3;
/** From this likeness on two names say the same. */
const ALIKE = 0.66;
/** How alike two names are of which one says a word more. */
const WITHIN = 0.66;
/** A word more that makes another thing of it: the office, and the wages paid there. */
const OTHER_THING = new Set(
  wordsOf('wages staff payroll insurance depreciation tax interest deposit rent repairs loan'),
);
/** What is said in so many names tells no two of them from all others. */
const EVERYWHERE = 24;
/** Of two that are alike, so much more if they say it in the same words. */
const SAME_WORDS = 0.01;

const isSameWord = (a: string, b: string): boolean => {
  if (a === b) return true;
  const [short, long] = a.length < b.length ? [a, b] : [b, a];
  if (short.length < LONG_WORD) return false;
  if (long.startsWith(short)) return long.length - short.length >= CUT_SHORT;
  return likeness(a, b) >= SAME_WORD;
};

/** Digits and single capitals, which tell partners, cards and vans apart. */
const marksOf = (name: string): string =>
  (name.match(/\d+|(?<![\p{L}&])\p{Lu}(?![\p{L}&'’])/gu) ?? []).join(' ');

/** What a name says: with the names above it, and by itself. */
interface Said {
  readonly marks: string;
  readonly path: string;
  readonly words: readonly string[];
  readonly whole: readonly string[];
  readonly end: readonly string[];
  /** The same with idle words. */
  readonly all: readonly string[];
}

const saidBy = ({ name }: Lookalike): Said => {
  const cut = name.lastIndexOf(':') + 1;
  const end = name.slice(cut);
  return {
    marks: marksOf(name),
    path: name.slice(0, cut),
    words: wordsOf(end),
    whole: thingsIn(name),
    end: thingsIn(end),
    all: wordsIn(end),
  };
};

class Names {
  private readonly said: readonly Said[];
  private readonly counts = new Map<string, number>();

  constructor(accounts: readonly Lookalike[]) {
    this.said = accounts.map(saidBy);
    for (const { end } of this.said)
      for (const thing of end) this.counts.set(thing, (this.counts.get(thing) ?? 0) + 1);
  }

  /** Places of accounts by the beginnings of what they speak of. */
  byThing(): Iterable<readonly number[]> {
    const places = new Map<string, number[]>();
    this.said.forEach(({ end }, at) => {
      for (const thing of end) {
        const key = thing.slice(0, LONG_WORD - 1);
        const known = places.get(key) ?? [];
        if (known.at(-1) !== at) known.push(at);
        places.set(key, known);
      }
    });
    return places.values();
  }

  /** What many names say tells little. */
  private weight(things: readonly string[]): number {
    return things.reduce((so, thing) => so + 1 / (1 + Math.log(this.counts.get(thing) ?? 1)), 0);
  }

  /** How much of what two names say is the same, by its weight, from 0 to 1. */
  likeness(a: number, b: number): number {
    const [one, other] = [this.said[a], this.said[b]];
    if (one === undefined || other === undefined || one.marks !== other.marks) return 0;
    // Two that stand below different accounts are told apart by these.
    const paths = one.path !== '' && other.path !== '' && one.path !== other.path;
    const [ofOne, ofOther] = paths ? [one.whole, other.whole] : [one.end, other.end];
    const shared = ofOne.filter((thing) => ofOther.some((two) => isSameWord(thing, two)));
    const left = ofOther.filter((thing) => !ofOne.some((two) => isSameWord(thing, two)));
    const all = this.weight(ofOne) + this.weight(left);
    const same = all === 0 ? 0 : this.weight(shared) / all;
    const inWords = shared.filter(
      (thing) => one.words.includes(thing) && other.words.includes(thing),
    );
    const least = !paths && this.isWithin(one.all, other.all) ? WITHIN : 0;
    return Math.max(same, least) + SAME_WORDS * Math.min(inWords.length, 3);
  }

  /** Whether one says what the other says and a word more, and nobody else in the list speaks of it. */
  private isWithin(one: readonly string[], other: readonly string[]): boolean {
    const [short, long] = one.length < other.length ? [one, other] : [other, one];
    const rare = short.some((thing) => this.counts.get(thing) === 2);
    const more = long.filter((thing) => !short.includes(thing));
    if (more.some((thing) => OTHER_THING.has(thing))) return false;
    return rare && long.length - short.length <= 1 && short.every((thing) => long.includes(thing));
  }
}

/**
 * The accounts of a list that say the same as an earlier one: same or near names, other spellings and word
 * order, short forms, and words of the trade that mean the same (phone and telephone). Accounts of different
 * sorts are never alike, and numbers in names tell them apart.
 */
export const duplicatesAmong = (accounts: readonly Lookalike[]): readonly Duplicate[] => {
  const names = new Names(accounts);
  const best = new Map<number, Duplicate>();
  for (const places of names.byThing()) {
    if (places.length > EVERYWHERE) continue;
    for (const at of places)
      for (const of of places) {
        if (of >= at || accounts[of]?.sort !== accounts[at]?.sort) continue;
        const found = names.likeness(at, of);
        if (found >= ALIKE && found > (best.get(at)?.likeness ?? 0))
          best.set(at, { at, of, likeness: Math.min(1, found) });
      }
  }
  return [...best.values()].sort((a, b) => a.at - b.at);
};
