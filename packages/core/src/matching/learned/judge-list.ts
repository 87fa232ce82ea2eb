import { ELEMENTS, type Element } from '../../kinds/element';
import { elementOf, KIND_CODES, type KindCode } from '../../kinds/kinds';
import type { Guess, Reason } from '../infer-kind';
import { nameKey } from '../../text/name-key';
import { plainKind } from '../plain-names';
import { LINKS, wordsOf } from '../words';
import { thinkAgain } from './joint';
import { addSays, hashOf, readLearned, type Learned, type Says } from './model';
import { kindsRuledOut } from './ruled-out';
import { featureReader, type Feature } from './row-features';
import { softmax } from './softmax';
import { lookAround } from './surroundings';
import type { Shares } from './parts';
import { keysOfList, type PlacedSaid } from './voices';
import { LEARNED } from './weights';

const K = KIND_CODES.length;
const KIND_AT = new Map(KIND_CODES.map((kind, at) => [kind, at]));
const ELEMENT_OF = KIND_CODES.map(elementOf);

let read: Learned | null = null;
const shipped = (): Learned => (read ??= readLearned(LEARNED));

/** What is known for certain, and what else speaks for a row. */
export interface JudgeRequest {
  /** Kinds of rows that need no judgement, by place. */
  readonly settled: ReadonlyMap<number, KindCode>;
  /** What was learned; what ships where nothing else is given. */
  readonly learned?: Learned;
  /** The kinds for which the chart's plan keeps the range in which a row's number lies; `null` for none. */
  readonly ranged?: (number: string) => readonly KindCode[] | null;
  /**
   * Whether the rows are names and little else, as somebody types them. What stands around a row was learned from lists,
   * whose rows say more of themselves; it would say too much here, and is not heard.
   */
  readonly bare?: boolean;
}

/** How many kinds are offered for a row. */
const OFFERED = 3;

/** How much the range of a number says. */
const RANGED = 1.2;

/** A word must say so much more for the kind than for others to be given as the reason. */
const TELLING = 0.6;

/** Shorter words than this are no reason that anybody would give. */
const SPOKEN = 3;

/** Where neither the name nor the list's own type speaks for a kind, what stands around leaves it in doubt. */
const UNSPOKEN = 0.9;

/** So much is left of what the list's own word for a row rules out. */
const RULED_OUT = 0.0005;

/** What is settled speaks for its neighbours no louder than what is as good as sure. */
const SETTLED = 0.9;

/** So little speaks for a kind of which nothing was learned. */
const UNHEARD = -30;

/** So much is left for an element for which nothing speaks, so that one row alone rules none out. */
const LEFT = 0.01;

const settledAs = (kind: KindCode): Float64Array => {
  const shares = new Float64Array(K).fill((1 - SETTLED) / (K - 1));
  shares[KIND_AT.get(kind) ?? 0] = SETTLED;
  return shares;
};

/** What was learned of one feature of a row. */
interface Voice {
  readonly says: Says;
  readonly value: number;
  readonly word: string | null;
}

/** A list judged as a whole: each row by its own words, by what belongs with it, and by what stands around it. */
export class ListJudge {
  private readonly shares: Shares;
  /** What speaks for each row; nothing for those that are settled. */
  private readonly voices: readonly (readonly (readonly Voice[])[])[];
  private readonly unheard: readonly number[];

  constructor(
    private readonly rows: readonly PlacedSaid[],
    private readonly request: JudgeRequest,
  ) {
    const learned = request.learned ?? shipped();
    this.unheard = KIND_CODES.map((kind) => (learned.kinds.has(kind) ? 0 : UNHEARD));
    const settled = new Set(request.settled.keys());
    const [features, voices] = [featureReader(), voiceReader(learned)];
    this.voices = rows.map(({ said }, at) =>
      settled.has(at)
        ? []
        : features(said)
            .map(voices)
            .filter(({ length }) => length > 0),
    );
    const first = rows.map((_row, at) => this.alone(at));
    this.shares =
      settled.size === rows.length
        ? first
        : this.possible(this.together(first, { settled, learned }), settled);
  }

  /** The kinds that a row may be, the likeliest first, with the reason for that one; only those of an element where one is given. */
  guesses(at: number, element: Element | null): readonly Guess[] {
    const shares = this.shares[at] ?? new Float64Array(K);
    const { best, sum } = likeliest(shares, element);
    const guesses = best.map((k, place): Guess => {
      const reason: Reason = place === 0 ? this.reasonFor(at, k) : { type: 'none' };
      const share = (shares[k] ?? 0) / (sum || 1);
      const spoken = reason.type !== 'around' && reason.type !== 'parent';
      return {
        kind: plainKind(KIND_CODES[k] ?? KIND_CODES[0], this.rows[at]?.said.name ?? ''),
        confidence: spoken ? share : Math.min(share, UNSPOKEN),
        reason,
      };
    });
    return guesses.filter(
      ({ kind }, place) => guesses.findIndex((other) => other.kind === kind) === place,
    );
  }

  /** How much speaks for each element, that of a whole tree being the sum of it: logarithms of shares. */
  elements(at: number): ReadonlyMap<Element, number> {
    const sums = new Map<Element, number>(ELEMENTS.map((element) => [element, LEFT]));
    this.shares[at]?.forEach((share, k) => {
      const element = ELEMENT_OF[k] ?? 'memorandum';
      sums.set(element, (sums.get(element) ?? 0) + share);
    });
    return new Map([...sums].map(([element, share]) => [element, Math.log(share)]));
  }

  private alone(at: number): Float64Array {
    const settled = this.request.settled.get(at);
    if (settled !== undefined) return settledAs(settled);
    const scores = Float64Array.from(this.unheard);
    for (const group of this.voices[at] ?? [])
      for (const { says, value } of group) addSays(scores, says, value);
    const number = this.rows[at]?.said.number ?? null;
    for (const kind of (number === null ? null : this.request.ranged?.(number)) ?? []) {
      const k = KIND_AT.get(kind) ?? 0;
      scores[k] = (scores[k] ?? 0) + RANGED;
    }
    return softmax(scores);
  }

  private together(
    first: Shares,
    { settled, learned }: { readonly settled: ReadonlySet<number>; readonly learned: Learned },
  ): Shares {
    const { rounds, orders, surroundings } = learned;
    const keys = keysOfList(this.rows);
    const agreed = rounds.reduce<Shares>(
      (last, weights) => thinkAgain(keys, { first, last }, { weights, orders, settled }),
      first,
    );
    return this.request.bare === true
      ? agreed
      : lookAround(keys, agreed, { surroundings, settled });
  }

  /** Shares without what the list's own words rule out. */
  private possible(shares: Shares, settled: ReadonlySet<number>): Shares {
    const names = new Set(this.rows.map(({ said }) => nameKey(said.name)));
    return shares.map((own, at) => {
      const said = this.rows[at]?.said;
      const ruledOut = said === undefined || settled.has(at) ? [] : kindsRuledOut(said, names);
      if (ruledOut.length === 0) return own;
      const left = own.slice();
      for (const kind of ruledOut)
        left[KIND_AT.get(kind) ?? 0] = (own[KIND_AT.get(kind) ?? 0] ?? 0) * RULED_OUT;
      const sum = left.reduce((part, share) => part + share, 0) || 1;
      return left.map((share) => share / sum);
    });
  }

  /** The word that says most for a kind; without one what the list calls it, or what stands around it. */
  private reasonFor(at: number, k: number): Reason {
    const row = this.rows[at];
    const word = tellingWord(this.voices[at] ?? [], k);
    if (word !== null) return { type: 'words', words: asWritten(row?.said.name ?? '', word) };
    if (row !== undefined && row.said.type !== '') return { type: 'listed', text: row.said.type };
    return { type: row?.parent == null ? 'around' : 'parent' };
  }
}

/** The places of the likeliest kinds, and what all of the element have in common; of all kinds where none is given. */
const likeliest = (
  shares: Float64Array,
  element: Element | null,
): { readonly best: readonly number[]; readonly sum: number } => {
  let sum = 0;
  const best: number[] = [];
  for (let k = 0; k < K; k += 1) {
    if (element !== null && ELEMENT_OF[k] !== element) continue;
    const share = shares[k] ?? 0;
    sum += share;
    if (best.length === OFFERED && share <= (shares[best[OFFERED - 1] ?? 0] ?? 0)) continue;
    if (best.length < OFFERED) best.push(k);
    let place = best.length - 1;
    for (; place > 0 && (shares[best[place - 1] ?? 0] ?? 0) < share; place -= 1)
      best[place] = best[place - 1] ?? 0;
    best[place] = k;
  }
  return { best, sum };
};

/** A word as the name has it: “van” where rules know it as a vehicle. */
const asWritten = (name: string, word: string): string =>
  name
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .find((one) => wordsOf(one)[0] === word) ?? word;

/** Gives what was learned of a group of features, looked up once. */
const voiceReader = ({ features }: Learned): ((group: readonly Feature[]) => readonly Voice[]) => {
  const known = new Map<readonly Feature[], readonly Voice[]>();
  return (group) => {
    const found = known.get(group);
    if (found !== undefined) return found;
    const voices = group.flatMap(({ key, value, word }) => {
      const says = features.get(hashOf(key));
      return says === undefined ? [] : [{ says, value, word }];
    });
    known.set(group, voices);
    return voices;
  };
};

const tellingWord = (groups: readonly (readonly Voice[])[], k: number): string | null => {
  const points = new Map<string, number>();
  let [best, most] = [null as string | null, TELLING];
  for (const group of groups)
    for (const { says, value, word } of group) {
      if (word === null || word.length < SPOKEN || LINKS.has(word)) continue;
      const index = says.kinds.indexOf(k);
      const own = index < 0 ? 0 : (says.weights[index] ?? 0);
      points.set(word, (points.get(word) ?? 0) + value * (own - says.mean));
    }
  for (const [word, sum] of points) if (sum >= most) [best, most] = [word, sum];
  return best;
};
