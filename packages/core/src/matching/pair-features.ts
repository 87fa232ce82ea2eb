import { likeness } from './likeness';
import {
  isBeside,
  isNamedSeveral,
  isOftenSeveral,
  spokenName,
  thingsSaid,
  widerThan,
  type Thing,
} from './trade-words';
import { wordsOf } from './words';

/** An account that may be another one once more. */
export interface Lookalike {
  /** Its name, perhaps with those above it: `Office:Telephone`. */
  readonly name: string;
  /** What must be the same in both: kind or element, as far as it is known. */
  readonly sort: string;
  /** What stands above it, where the name does not say it; empty for nothing. */
  readonly above?: string;
  /** What it holds or took, as a plain amount in whatever unit its list is in; left out where that is not known. */
  readonly amount?: number;
}

/** Words at least so alike are the same word, misspelt. */
const SAME_WORD = 0.92;
/** Shorter words than this are the same only letter by letter. */
const LONG_WORD = 5;
/** A word that is cut short lacks so many letters at least: “office” is no “officer”. */
const CUT_SHORT = 3;
/** How much of a topic a wider one says. */
const WIDER = 0.75;
/** The last part of a list, where what was added later stands. */
const TAIL = 0.88;
/** Further than this from the one before of its sort, an account stands apart. */
const APART = 4;
/** Parts of what another account holds, from 0 to 1. */
const SMALL_PART = 0.25;
const LARGE_PART = 0.5;
/** More of a thing than this makes no difference. */
const MOST = 3;

/** Parts in a hundred, which say how an account is taxed: “(50 %)”. */
const SHARES = /\(?\b\d+\s*%\)?/g;
/** Words that tell no account of a list from another. */
const IDLE = new Set(
  wordsOf(
    'expense cost charge fee bill account stuff other general misc sundry business company co the service svc item used running old new various usual etc paid total owing owed due payable payables receivable receivables premium premiums employer employers employee cogs received outstanding job work chg contract individual',
  ),
);

const isSameWord = (a: string, b: string): boolean => {
  if (a === b) return true;
  const [short, long] = a.length < b.length ? [a, b] : [b, a];
  if (short.length < LONG_WORD) return false;
  if (long.startsWith(short)) return long.length - short.length >= CUT_SHORT;
  return likeness(a, b) >= SAME_WORD;
};

/** How much of one thing another says, from 0 to 1. */
const matchOf = (a: Thing, b: Thing): number => {
  if (a.name === b.name) return 1;
  if (a.known && b.known)
    return widerThan(a.name).includes(b.name) || widerThan(b.name).includes(a.name) ? WIDER : 0;
  return !a.said.includes(' ') && !b.said.includes(' ') && isSameWord(a.said, b.said) ? 1 : 0;
};

/** Digits and single capitals, which tell partners, cards and vans apart. */
const marksOf = (name: string): string =>
  (name.match(/\d+|(?<![\p{L}&])\p{Lu}(?![\p{L}&'’])/gu) ?? []).join(' ');

const TIMES: ReadonlyMap<string, string> = new Map([
  ['monthly', 'month'],
  ['weekly', 'week'],
  ['daily', 'day'],
  ['annual', 'year'],
  ['annually', 'year'],
  ['yearly', 'year'],
  ['quarterly', 'quarter'],
]);

/** How often, in the words of a name: what is paid monthly is not what is paid by the year. */
const timesOf = (name: string): string =>
  (name.toLowerCase().match(/\p{L}+/gu) ?? []).flatMap((word) => TIMES.get(word) ?? []).join(' ');

/** What a name says by itself, and where it stands. */
interface Said {
  readonly at: number;
  /** What it holds; 0 also where that is not known. */
  readonly amount: number;
  /** Whether others stand between it and the one of its sort before it. */
  readonly strayed: boolean;
  readonly marks: string;
  readonly times: string;
  readonly path: string;
  readonly things: readonly Thing[];
}

const saidBy = ({ name, above = '', amount = 0 }: Lookalike, at: number): Omit<Said, 'strayed'> => {
  const cut = name.lastIndexOf(':') + 1;
  const path = cut === 0 ? above : name.slice(0, cut - 1);
  const all = thingsSaid(name.slice(cut).replace(SHARES, ''));
  const telling = all.filter(
    ({ known, name: word }) => known || !(IDLE.has(word) || TIMES.has(word)),
  );
  return {
    at,
    amount: Math.abs(amount),
    marks: marksOf(spokenName(name).replace(SHARES, '')),
    times: timesOf(name),
    path,
    things: telling.length > 0 ? telling : all,
  };
};

/** What is held against a pair of names, each a number. */
export interface PairFeatures {
  /** How much of what the two say is the same, by its weight, from 0 to 1: on average, and of either. */
  readonly overlap: number;
  readonly shorterCovered: number;
  readonly longerCovered: number;
  /** What one says and not the other: other things of the trade, where and how, their kin, words of its own. */
  readonly alienMore: number;
  readonly besideMore: number;
  readonly kinMore: number;
  readonly ownMore: number;
  /** Whether each says more than the other. */
  readonly bothSayMore: number;
  /** Which part of what they share is said in the same words. */
  readonly sameWords: number;
  /** How many others of the list speak of what they share, as a logarithm. */
  readonly othersAlike: number;
  /** Whether they stand below different accounts, or one alone below another. */
  readonly otherPlaces: number;
  readonly onePlaced: number;
  /** Whether one stands at the end of the list, where later ones are put. */
  readonly addedLater: number;
  /** Whether the later one stands apart from those of its sort. */
  readonly strayed: number;
  /** Whether one holds a small part of what the other holds, as much as it, or nothing where the other does. */
  readonly muchLess: number;
  readonly asMuch: number;
  readonly oneEmpty: number;
  /** Words of their own that they share. */
  readonly ownShared: number;
  /** Which part of what they share a business often has several accounts of, and the same where one says more. */
  readonly oftenSeveral: number;
  readonly severalAndMore: number;
  readonly onlySeveral: number;
  readonly allKnown: number;
  /** Whether one says all that the other says, and whether others of the list speak of it, too. */
  readonly contained: number;
  readonly sameThings: number;
  readonly containedOfSeveral: number;
}

type OfShared =
  | 'alienMore'
  | 'besideMore'
  | 'kinMore'
  | 'ownMore'
  | 'sameWords'
  | 'ownShared'
  | 'oftenSeveral'
  | 'severalAndMore'
  | 'onlySeveral'
  | 'allKnown';

const flag = (holds: boolean): 0 | 1 => (holds ? 1 : 0);

const capped = (count: number): number => Math.min(count, MOST) / MOST;

/** Whether a thing is part of a whole of which something shared is part, too: gas beside electricity. */
const isKin = ({ name }: Thing, shared: readonly Thing[]): boolean =>
  shared.some((two) => widerThan(name).some((wide) => widerThan(two.name).includes(wide)));

const sharedFeatures = (
  shared: readonly Thing[],
  other: Said,
  more: readonly Thing[],
): Pick<PairFeatures, OfShared> => {
  const inWords = shared.filter(({ said }) => other.things.some((two) => two.said === said));
  const kin = more.filter((thing) => isKin(thing, shared));
  const beside = more.filter(isBeside);
  const own = more.filter(({ known }) => !known);
  const alien = more.filter((thing) => thing.known && !kin.includes(thing) && !isBeside(thing));
  const ownShared = shared.filter(({ known }) => !known);
  const several = shared.filter(isOftenSeveral).length / Math.max(shared.length, 1);
  return {
    alienMore: capped(alien.length),
    besideMore: capped(beside.length),
    kinMore: capped(kin.length),
    ownMore: capped(own.length),
    sameWords: inWords.length / Math.max(shared.length, 1),
    ownShared: capped(ownShared.length),
    oftenSeveral: several,
    severalAndMore: several * capped(more.length),
    onlySeveral: flag(several === 1 && more.length > 0),
    allKnown: flag(ownShared.length === 0 && own.length === 0),
  };
};

/** Whether two say the same in the same words. */
const isSaidAlike = (one: Said, other: Said): boolean =>
  one.things.map(({ said }) => said).join() === other.things.map(({ said }) => said).join();

/** The same words below two different accounts: each of those has its own. */
const isRepeatedElsewhere = (one: Said, other: Said): boolean =>
  one.path !== '' && other.path !== '' && one.path !== other.path && isSaidAlike(one, other);

/** Who makes an account that was there already posts little to it. */
const amountFeatures = (
  one: Said,
  other: Said,
): Pick<PairFeatures, 'muchLess' | 'asMuch' | 'oneEmpty'> => {
  const [less, more] = [Math.min(one.amount, other.amount), Math.max(one.amount, other.amount)];
  return {
    muchLess: flag(less > 0 && less < more * SMALL_PART),
    asMuch: flag(less > more * LARGE_PART),
    oneEmpty: flag(less === 0 && more > 0),
  };
};

/** The names of a list, ready to be held against one another. */
export class NamePairs {
  private readonly said: readonly Said[];
  private readonly counts = new Map<string, number>();

  constructor(private readonly accounts: readonly Lookalike[]) {
    const last = new Map<string, number>();
    this.said = accounts.map((account, at) => {
      const strayed = at - (last.get(account.sort) ?? at) > APART;
      last.set(account.sort, at);
      return { ...saidBy(account, at), strayed };
    });
    for (const { things, at } of this.said) {
      const { sort = '' } = accounts[at] ?? {};
      for (const { name } of things) {
        const key = `${sort} ${name}`;
        this.counts.set(key, (this.counts.get(key) ?? 0) + 1);
      }
    }
  }

  /** Places of accounts that speak of one thing, of one that takes it in, or of words that begin alike. */
  together(): Iterable<readonly number[]> {
    const places = new Map<string, number[]>();
    for (const { at, things } of this.said) {
      const sort = this.accounts[at]?.sort ?? '';
      const keys = things.flatMap(({ name, known, said }) =>
        known
          ? [name, ...widerThan(name), said.slice(0, LONG_WORD - 1)]
          : name.slice(0, LONG_WORD - 1),
      );
      for (const key of new Set(keys)) {
        const known = places.get(`${sort} ${key}`) ?? [];
        known.push(at);
        places.set(`${sort} ${key}`, known);
      }
    }
    return places.values();
  }

  private countOf({ at }: Said, thing: Thing): number {
    return this.counts.get(`${this.accounts[at]?.sort ?? ''} ${thing.name}`) ?? 1;
  }

  /** What many names say tells little. */
  private weight(of: Said, thing: Thing): number {
    return 1 / (1 + Math.log(this.countOf(of, thing)));
  }

  /** How much of what one says the other says, too, from 0 to 1. */
  private covered(
    one: Said,
    other: Said,
  ): { readonly share: number; readonly more: readonly Thing[] } {
    let [all, same] = [0, 0];
    const more: Thing[] = [];
    for (const thing of one.things) {
      const weight = this.weight(one, thing);
      const match = other.things.reduce((so, two) => Math.max(so, matchOf(thing, two)), 0);
      all += weight;
      same += weight * match;
      const isPart = match === WIDER && [thing.name, ...widerThan(thing.name)].some(isNamedSeveral);
      if (match === 0 || isPart) more.push(thing);
    }
    return { share: all === 0 ? 0 : same / all, more };
  }

  /** What speaks for two accounts being one, or against it; `null` where nothing can. */
  features(at: number, of: number): PairFeatures | null {
    const [one, other] = [this.said[at], this.said[of]];
    if (one === undefined || other === undefined || one.marks !== other.marks) return null;
    if (one.times !== '' && other.times !== '' && one.times !== other.times) return null;
    const [ofOne, ofOther] = [this.covered(one, other), this.covered(other, one)];
    if (ofOne.share === 0 && ofOther.share === 0) return null;
    if (isRepeatedElsewhere(one, other)) return null;
    const shared = one.things.filter((thing) => !ofOne.more.includes(thing));
    const more = [...ofOne.more, ...ofOther.more];
    // A cover of its own is no insurance at large.
    const isPartOfSeveral = more.some(({ name }) => widerThan(name).some(isNamedSeveral));
    if (isPartOfSeveral && shared.every(isOftenSeveral)) return null;
    // A van is no tractor.
    if (shared.every(isBeside) && !isSaidAlike(one, other)) return null;
    const rarest = Math.min(...shared.map((thing) => this.countOf(one, thing)));
    const contained = ofOne.more.length === 0 || ofOther.more.length === 0;
    return {
      overlap: (ofOne.share + ofOther.share) / 2,
      shorterCovered: Math.max(ofOne.share, ofOther.share),
      longerCovered: Math.min(ofOne.share, ofOther.share),
      bothSayMore: flag(ofOne.more.length > 0 && ofOther.more.length > 0),
      othersAlike: Math.log(rarest),
      contained: flag(contained),
      sameThings: flag(ofOne.share === 1 && ofOther.share === 1),
      containedOfSeveral: flag(contained && rarest > 2),
      ...sharedFeatures(shared, other, more),
      ...this.placeFeatures(one, other),
      ...amountFeatures(one, other),
    };
  }

  private placeFeatures(
    one: Said,
    other: Said,
  ): Pick<PairFeatures, 'otherPlaces' | 'onePlaced' | 'addedLater' | 'strayed'> {
    const paths = [one.path, other.path].filter((path) => path !== '');
    const tail = this.said.length * TAIL;
    const [early, late] = [Math.min(one.at, other.at), Math.max(one.at, other.at)];
    return {
      otherPlaces: flag(paths.length === 2 && one.path !== other.path),
      onePlaced: flag(paths.length === 1),
      addedLater: flag(late >= tail && early < tail),
      strayed: flag((one.at === late ? one : other).strayed),
    };
  }
}
