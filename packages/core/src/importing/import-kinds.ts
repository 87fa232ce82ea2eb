import type { Account } from '../chart/account';
import type { Element } from '../kinds/element';
import { elementOf, isContra, KIND_CODES, normalSideOfKind, type KindCode } from '../kinds/kinds';
import { inferKinds, type Guess, type Reason } from '../matching/infer-kind';
import type { NumberPlan } from '../plan/number-plan';
import type { Mended } from './entry';
import type { TreeRow } from './tree-row';
import { meaningOfTypes, type TypeMeaning } from './type-words';

/** Why a row has its kind: the user's word, the account that is there, the list's type, or a guess. */
export type KindReason =
  | Reason
  | { readonly type: 'chosen' }
  | { readonly type: 'account' }
  | { readonly type: 'listed'; readonly text: string };

/** The kind of a row, how sure it is from 0 to 1, and why. */
export interface RowKind {
  readonly kind: KindCode;
  readonly confidence: number;
  readonly reason: KindReason;
  /** The list itself says it, so that an account of the chart takes it over. */
  readonly stated: boolean;
}

/** What kinds are found from besides the rows themselves. */
export interface KindRequest {
  readonly mended: ReadonlyMap<number, Mended>;
  /** What the user says that a type of the list means. */
  readonly types: ReadonlyMap<string, KindCode>;
  /** The accounts of the chart that rows are, by place among the rows. */
  readonly accounts: ReadonlyMap<number, Account>;
  readonly plan: NumberPlan;
  /** The element under whose name a main account stood in the list. */
  readonly under: ReadonlyMap<number, Element>;
}

/** Below this confidence a kind is doubtful and shown first. */
export const DOUBTFUL = 0.5;

/** From this confidence on, a name that speaks for a contra says more than the type of its group. */
const CONTRA = 0.6;

type Children = readonly (readonly number[])[];

class KindFinder {
  private readonly meanings: ReadonlyMap<string, TypeMeaning>;
  private readonly details: ReadonlyMap<string, TypeMeaning>;
  private readonly kinds: (RowKind | undefined)[];

  constructor(
    private readonly rows: readonly TreeRow[],
    private readonly children: Children,
    private readonly request: KindRequest,
  ) {
    this.meanings = meaningOfTypes(rows.flatMap(({ entry }) => entry.type ?? []));
    this.details = meaningOfTypes(rows.flatMap(({ entry }) => entry.finerType ?? []));
    this.kinds = rows.map(() => undefined);
  }

  find(): readonly RowKind[] {
    this.rows.forEach(({ parent }, at) => {
      if (parent === null) this.settle(at, null, this.elementOfTree(at));
    });
    return this.rows.map((_row, at) => this.kinds[at] ?? this.alone(at));
  }

  /** What a row says of itself without a guess. */
  private said(at: number): RowKind | null {
    const row = this.rows[at];
    if (row === undefined) return null;
    const chosen = row.made ? undefined : this.request.mended.get(row.entry.line)?.kind;
    if (chosen !== undefined)
      return { kind: chosen, confidence: 1, reason: { type: 'chosen' }, stated: true };
    const text = row.entry.type ?? '';
    const meant = row.made ? undefined : this.request.types.get(text);
    if (meant !== undefined)
      return { kind: meant, confidence: 1, reason: { type: 'listed', text }, stated: true };
    return row.made ? null : this.listed(row);
  }

  private listed({ entry }: TreeRow): RowKind | null {
    const whole = this.meanings.get(entry.type ?? '');
    const detail = this.details.get(entry.finerType ?? '');
    const fits = detail != null && (whole === undefined || whole.element === detail.element);
    const meaning = fits && detail.kind !== null ? detail : whole;
    if (meaning?.kind == null) return null;
    const text = (meaning === detail ? entry.finerType : entry.type) ?? '';
    const { kind, confidence } = meaning;
    return { kind, confidence, reason: { type: 'listed', text }, stated: confidence >= 0.9 };
  }

  private listedElement(at: number): Element | null {
    const entry = this.rows[at]?.entry;
    if (entry === undefined || this.rows[at]?.made === true) return null;
    return this.meanings.get(entry.type ?? '')?.element ?? null;
  }

  /** The element that all below a main account share: its own word, else that of most below. */
  private elementOfTree(root: number): Element | null {
    const account = this.request.accounts.get(root);
    const own = this.said(root)?.kind ?? account?.kind;
    if (own !== undefined) return elementOf(own);
    const listed = this.listedElement(root) ?? this.request.under.get(root) ?? null;
    if (listed !== null || this.children[root]?.length === 0) return listed;
    const votes = new Map<Element, number>();
    this.vote(root, votes);
    return [...votes].sort(([, a], [, b]) => b - a)[0]?.[0] ?? null;
  }

  private vote(at: number, votes: Map<Element, number>): void {
    const known = this.said(at)?.kind ?? this.request.accounts.get(at)?.kind;
    const element = known === undefined ? this.listedElement(at) : elementOf(known);
    const guess = element === null ? this.guess(at, { above: null, element: null }) : null;
    const voted = element ?? (guess === null ? null : elementOf(guess.kind));
    if (voted !== null)
      votes.set(voted, (votes.get(voted) ?? 0) + (element === null ? (guess?.confidence ?? 0) : 2));
    for (const child of this.children[at] ?? []) this.vote(child, votes);
  }

  private guess(
    at: number,
    { above, element }: { readonly above: number | null; readonly element: Element | null },
  ): Guess {
    const entry = this.rows[at]?.entry;
    const parent = above === null ? undefined : this.kinds[above]?.kind;
    const fits = parent !== undefined && (element === null || elementOf(parent) === element);
    const guesses = inferKinds({
      name: entry?.name ?? '',
      number: entry?.number ?? null,
      plan: this.request.plan,
      element,
      ...(fits ? { parentKind: parent, parentName: this.rows[above ?? -1]?.entry.name ?? '' } : {}),
    });
    return bySide(guesses, entry?.balance ?? 0);
  }

  private settle(at: number, above: number | null, treeElement: Element | null): void {
    const account = this.request.accounts.get(at);
    const said = this.said(at);
    const element = this.listedElement(at) ?? treeElement;
    this.kinds[at] =
      this.settledBefore(said, account) ??
      this.contraOf(at, said) ??
      said ??
      this.known(at, account) ??
      this.guessed(at, above, element);
    const below = elementOf(this.kinds[at]?.kind ?? 'memorandum');
    for (const child of this.children[at] ?? []) this.settle(child, at, below);
  }

  /**
   * A type in somebody else's words was understood when the account was made, and perhaps put right then: it
   * takes the account to no other kind of the same element. Our own names of kinds do.
   */
  private settledBefore(said: RowKind | null, account: Account | undefined): RowKind | null {
    const foreign = said?.reason.type === 'listed' && said.confidence < 1;
    if (account === undefined || !foreign || elementOf(said.kind) !== elementOf(account.kind))
      return null;
    return { kind: account.kind, confidence: 1, reason: { type: 'account' }, stated: false };
  }

  /** Lists rarely have a type for contras: “depreciation to date” among fixed assets is one all the same. */
  private contraOf(at: number, said: RowKind | null): RowKind | null {
    if (said?.reason.type !== 'listed' || said.confidence === 1) return null;
    if (isContra(said.kind) || this.rows[at]?.made === true) return null;
    const guess = this.guess(at, { above: null, element: elementOf(said.kind) });
    const sure = isContra(guess.kind) && guess.confidence >= CONTRA;
    return sure ? { ...guess, stated: false } : null;
  }

  /** An account of the chart keeps its kind, unless the list names another element for it. */
  private known(at: number, account: Account | undefined): RowKind | null {
    if (account === undefined) return null;
    const listed = this.listedElement(at);
    if (listed !== null && listed !== elementOf(account.kind)) return null;
    return { kind: account.kind, confidence: 1, reason: { type: 'account' }, stated: false };
  }

  private guessed(at: number, above: number | null, element: Element | null): RowKind {
    const guess = this.guess(at, { above, element });
    const listed = this.listedElement(at);
    const text = this.rows[at]?.entry.type ?? '';
    const sure = listed === null ? guess.confidence : Math.max(guess.confidence, 0.3);
    const why = guess.reason.type === 'none' && listed !== null ? ({ type: 'listed', text } as const) : guess.reason;
    return { kind: guess.kind, confidence: sure, reason: why, stated: listed !== null };
  } // prettier-ignore

  /** A row whose parents lead in a circle has no main account. */
  private alone(at: number): RowKind {
    return this.said(at) ?? this.guessed(at, null, this.listedElement(at));
  }
}

/** With a balance on one side, kinds that stand on it are likelier. */
const bySide = (guesses: readonly Guess[], balance: number): Guess => {
  const weight = ({ kind, confidence }: Guess): number => {
    const side = balance > 0 ? 'debit' : 'credit';
    return balance === 0 || normalSideOfKind(kind) === side ? confidence : confidence * 0.6;
  };
  const best = guesses.reduce<Guess | null>(
    (found, guess) => (found === null || weight(guess) > weight(found) ? guess : found),
    null,
  );
  const fallback: Guess = { kind: KIND_CODES[0], confidence: 0, reason: { type: 'none' } };
  return best === null ? fallback : { ...best, confidence: weight(best) };
};

/** The places of the rows below each row, in the order of the list. */
export const childrenOfRows = (rows: readonly TreeRow[]): Children => {
  const children: number[][] = rows.map(() => []);
  rows.forEach(({ parent }, at) => {
    if (parent !== null) children[parent]?.push(at);
  });
  return children;
};

/**
 * The kind of each row: what the user chose, what the list's type means, what the account of the chart
 * is, or what name, parent, number and the side of the balance speak for. All below a main account
 * share its element, but for what the list itself says otherwise.
 */
export const findKinds = (rows: readonly TreeRow[], request: KindRequest): readonly RowKind[] =>
  new KindFinder(rows, childrenOfRows(rows), request).find();
