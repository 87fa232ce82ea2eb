import { ELEMENTS, type Element } from '../../kinds/element';
import { elementOf, KIND_CODES, type KindCode } from '../../kinds/kinds';
import type { Guess, Reason } from '../infer-kind';
import { keysOfList, softmax, thinkAgain, type PlacedSaid, type Shares } from './joint';
import { hashOf, readLearned, type Learned } from './model';
import { featuresOf, type Feature, type RowSaid } from './row-features';
import { LEARNED } from './weights';

const K = KIND_CODES.length;
const KIND_AT = new Map(KIND_CODES.map((kind, at) => [kind, at]));

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
}

/** How much the range of a number says. */
const RANGED = 1.2;

/** A word must say so much more for the kind than for others to be given as the reason. */
const TELLING = 0.6;

/** What is settled speaks for its neighbours no louder than what is as good as sure. */
const SETTLED = 0.9;

const settledAs = (kind: KindCode): Float64Array => {
  const shares = new Float64Array(K).fill((1 - SETTLED) / (K - 1));
  shares[KIND_AT.get(kind) ?? 0] = SETTLED;
  return shares;
};

const scoresOf = (learned: Learned, features: readonly Feature[]): Float64Array => {
  const scores = new Float64Array(K);
  for (const { key, value } of features) {
    const says = learned.features.get(hashOf(key));
    says?.kinds.forEach((kind, index) => {
      scores[kind] = (scores[kind] ?? 0) + value * (says.weights[index] ?? 0);
    });
  }
  return scores;
};

/** A list judged as a whole: each row by its own words, by what belongs with it, and by what stands around it. */
export class ListJudge {
  private readonly shares: Shares;
  private readonly learned: Learned;

  constructor(
    private readonly rows: readonly PlacedSaid[],
    private readonly request: JudgeRequest,
  ) {
    this.learned = request.learned ?? shipped();
    const first = rows.map(({ said }, at) => this.alone(said, at));
    const settled = new Set(request.settled.keys());
    const keys = keysOfList(rows);
    this.shares = this.learned.rounds.reduce<Shares>(
      (last, weights) => thinkAgain(keys, { first, last }, { weights, settled }),
      first,
    );
  }

  /** The kinds that a row may be, the likeliest first, with the reason for that one; only those of an element where one is given. */
  guesses(at: number, element: Element | null): readonly Guess[] {
    const shares = this.shares[at] ?? new Float64Array(K);
    const fitting = KIND_CODES.flatMap((kind, k) =>
      element === null || elementOf(kind) === element ? [{ kind, share: shares[k] ?? 0 }] : [],
    );
    const sum = fitting.reduce((part, { share }) => part + share, 0) || 1;
    return fitting
      .sort((a, b) => b.share - a.share)
      .slice(0, 3)
      .map(({ kind, share }, place) => ({
        kind,
        confidence: share / sum,
        reason: place === 0 ? this.reasonFor(at, kind) : { type: 'none' },
      }));
  }

  /** How much speaks for each element, that of a whole tree being the sum of it: logarithms of shares. */
  elements(at: number): ReadonlyMap<Element, number> {
    const sums = new Map<Element, number>(ELEMENTS.map((element) => [element, 0.01]));
    this.shares[at]?.forEach((share, k) => {
      const element = elementOf(KIND_CODES[k] ?? 'memorandum');
      sums.set(element, (sums.get(element) ?? 0) + share);
    });
    return new Map([...sums].map(([element, share]) => [element, Math.log(share)]));
  }

  private alone(said: RowSaid, at: number): Float64Array {
    const settled = this.request.settled.get(at);
    if (settled !== undefined) return settledAs(settled);
    const scores = scoresOf(this.learned, featuresOf(said));
    const kinds = said.number === null ? null : (this.request.ranged?.(said.number) ?? null);
    for (const kind of kinds ?? []) {
      const k = KIND_AT.get(kind) ?? 0;
      scores[k] = (scores[k] ?? 0) + RANGED;
    }
    return softmax(scores);
  }

  /** The word that says most for a kind; without one what the list calls it, or what stands around it. */
  private reasonFor(at: number, kind: KindCode): Reason {
    const row = this.rows[at];
    if (row === undefined) return { type: 'none' };
    const word = tellingWord(this.learned, featuresOf(row.said), KIND_AT.get(kind) ?? 0);
    if (word !== null) return { type: 'words', words: word };
    if (row.said.type !== '') return { type: 'called', text: row.said.type };
    return { type: row.parent === null ? 'around' : 'parent' };
  }
}

const tellingWord = (learned: Learned, features: readonly Feature[], k: number): string | null => {
  const points = new Map<string, number>();
  for (const { key, value, word } of features) {
    const says = word === null ? undefined : learned.features.get(hashOf(key));
    if (word === null || says === undefined) continue;
    const index = says.kinds.indexOf(k);
    const mean = says.weights.reduce((sum, weight) => sum + weight, 0) / K;
    const own = index < 0 ? 0 : (says.weights[index] ?? 0);
    points.set(word, (points.get(word) ?? 0) + value * (own - mean));
  }
  const [best] = [...points].sort(([, a], [, b]) => b - a);
  return best !== undefined && best[1] >= TELLING ? best[0] : null;
};
