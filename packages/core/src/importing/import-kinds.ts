import type { Account } from '../chart/account';
import { childrenByPlace } from '../collections/children-by-place';
import type { Element } from '../kinds/element';
import { elementOf, KIND_CODES, type KindCode } from '../kinds/kinds';
import type { Guess, Reason } from '../matching/infer-kind';
import { ListJudge } from '../matching/learned/judge-list';
import type { Learned } from '../matching/learned/model';
import type { RowSaid } from '../matching/learned/row-features';
import { kindsOfNumber, type NumberPlan } from '../plan/number-plan';
import { nameKey } from '../text/name-key';
import type { AmountSides } from './amount-sides';
import type { Mended } from './entry';
import { saidRows } from './said-rows';
import type { TreeRow } from './tree-row';
import { meaningOfTypes, type TypeMeaning } from './type-words';

/** Why a row has its kind: the user's word, the account that is there, what amounts come to, or what it is judged by. */
export type KindReason =
  | Reason
  | { readonly type: 'chosen' }
  | { readonly type: 'account' }
  | { readonly type: 'taught' }
  | { readonly type: 'yearEnd' };

/** The kind of a row, how sure it is from 0 to 1, and why. */
export interface RowKind {
  readonly kind: KindCode;
  /** What else it may be, the likelier first. */
  readonly others: readonly KindCode[];
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
  /** What accounts of a name are, by what the practice was taught; by the names' keys. */
  readonly taught?: ReadonlyMap<string, KindCode>;
  /** The accounts of the chart that rows are, by place among the rows. */
  readonly accounts: ReadonlyMap<number, Account>;
  readonly plan: NumberPlan;
  /** Whether the plan is that of a chart that has accounts, so that its ranges say something. */
  readonly living: boolean;
  /** What was learned of kinds; what ships where nothing else is given. */
  readonly learned?: Learned;
  /** The element under whose name a main account stood in the list. */
  readonly under: ReadonlyMap<number, Element>;
  /** What money is that a year began or ended with, by the line of the file. */
  readonly yearEnds: ReadonlyMap<number, KindCode>;
  /** How its amounts are meant: where statements print them, a sign says nothing of a kind. */
  readonly sides: AmountSides;
}

/** With less than this share for the element of its tree a row is of the one that the list names for it. */
const CALLED_OTHERWISE = 0.9;
/** With less than this share for its element a kind that was taught is of something else of that name. */
const CONCEIVABLE = 0.1;
/** From this share on a row is of its own element, whatever stands above it. */
const CLEAR = 0.97;

/** Where a list says what its rows are, the finer first. */
const TYPE_COLUMNS = ['finerType', 'type'] as const;
type TypeColumn = (typeof TYPE_COLUMNS)[number];

/** From this share of its types on a column is in our words. */
const NEARLY_ALL = 0.9;

type Children = readonly (readonly number[])[];

class KindFinder {
  private readonly meanings: ReadonlyMap<string, TypeMeaning>;
  private readonly ours: ReadonlySet<TypeColumn>;
  private readonly judge: ListJudge;
  private readonly kinds: (RowKind | undefined)[];

  constructor(
    private readonly rows: readonly TreeRow[],
    private readonly children: Children,
    private readonly request: KindRequest,
  ) {
    this.meanings = meaningOfTypes(
      rows.flatMap(({ entry }) => [entry.type ?? [], entry.finerType ?? []].flat()),
    );
    this.ours = this.columnsOfOurs();
    this.kinds = rows.map(() => undefined);
    this.judge = this.judged();
  }

  /** The list as a whole, with what its rows are for certain: by the user's word, or as accounts of the chart. */
  private judged(): ListJudge {
    const { accounts, under, plan, living, learned, sides } = this.request;
    const said = saidRows(this.rows, under, sides);
    const settled = new Map<number, KindCode>();
    this.rows.forEach((_row, at) => {
      const kind = this.said(at)?.kind ?? accounts.get(at)?.kind;
      if (kind !== undefined) settled.set(at, kind);
    });
    return new ListJudge(
      this.rows.map(({ parent }, at) => ({ said: said[at] ?? NOTHING_SAID, parent })),
      {
        settled,
        ...(learned === undefined ? {} : { learned }),
        ...(living ? { ranged: (number) => kindsOfNumber(plan, number) } : {}),
      },
    );
  }

  find(): readonly RowKind[] {
    this.rows.forEach(({ parent }, at) => {
      if (parent === null) this.settle(at, this.elementOfTree(at));
    });
    return this.rows.map((_row, at) => this.kinds[at] ?? this.alone(at));
  }

  /** What a row says of itself without a guess. */
  private said(at: number): RowKind | null {
    const row = this.rows[at];
    if (row === undefined) return null;
    const chosen = row.made ? undefined : this.request.mended.get(row.entry.line)?.kind;
    if (chosen !== undefined) return sure(chosen, { type: 'chosen' });
    const text = row.entry.type ?? '';
    const meant = row.made ? undefined : this.request.types.get(text);
    if (meant !== undefined) return sure(meant, { type: 'listed', text });
    const ofYear = row.made ? undefined : this.request.yearEnds.get(row.entry.line);
    if (ofYear !== undefined) return sure(ofYear, { type: 'yearEnd' });
    return row.made ? null : this.named(row);
  }

  /** A kind that the list calls as we do, in its finer type or its type. */
  private named({ entry }: TreeRow): RowKind | null {
    for (const column of TYPE_COLUMNS) {
      const text = entry[column] ?? '';
      const meaning = this.ours.has(column) ? this.meanings.get(text) : undefined;
      if (meaning?.confidence === 1 && meaning.kind !== null)
        return sure(meaning.kind, { type: 'listed', text });
    }
    return null;
  }

  /**
   * The columns that name kinds as we do, nearly all through. A list in which only some types are called so has
   * types of its own: its “other current asset” is a drawer for whatever else is current.
   */
  private columnsOfOurs(): ReadonlySet<TypeColumn> {
    return new Set(
      TYPE_COLUMNS.filter((column) => {
        const texts = this.rows.flatMap(({ entry }) => entry[column] || []);
        const exact = texts.filter((text) => this.meanings.get(text)?.confidence === 1);
        return exact.length >= NEARLY_ALL * texts.length;
      }),
    );
  }

  /** The element of which the list's own type is known to be. */
  private listedElement(at: number): Element | null {
    const row = this.rows[at];
    if (row === undefined || row.made) return null;
    return this.meanings.get(row.entry.type ?? '')?.element ?? null;
  }

  /** The element that all below a main account share: its own word, else what most speaks for. */
  private elementOfTree(root: number): Element | null {
    const own = this.said(root)?.kind ?? this.request.accounts.get(root)?.kind;
    if (own !== undefined) return elementOf(own);
    const under = this.request.under.get(root) ?? null;
    if (under !== null || this.children[root]?.length === 0) return under;
    const sums = new Map<Element, number>();
    this.vote(root, sums);
    return [...sums].sort(([, a], [, b]) => b - a)[0]?.[0] ?? null;
  }

  private vote(at: number, sums: Map<Element, number>): void {
    for (const [element, points] of this.judge.elements(at))
      sums.set(element, (sums.get(element) ?? 0) + points);
    for (const child of this.children[at] ?? []) this.vote(child, sums);
  }

  private settle(at: number, element: Element | null): void {
    const account = this.request.accounts.get(at);
    const own = this.said(at) ?? this.known(at, account, element) ?? this.guessed(at, element);
    this.kinds[at] = own;
    const below = elementOf(own.kind);
    for (const child of this.children[at] ?? []) this.settle(child, below);
  }

  /** An account of the chart keeps its kind, unless the list names another element for it. */
  private known(at: number, account: Account | undefined, element: Element | null): RowKind | null {
    if (account === undefined) return null;
    const listed = this.listedElement(at);
    const moved = listed !== null && listed !== elementOf(account.kind);
    if (moved && (element === null || element === listed)) return this.guessed(at, listed);
    const { kind } = account;
    return { kind, others: [], confidence: 1, reason: { type: 'account' }, stated: false };
  }

  /** A row that is called, or clearly is, of another element than its tree stays what it is: it is asked about. */
  private elementAmong(at: number, tree: Element | null): Element | null {
    const shares = this.judge.elements(at);
    const listed = this.listedElement(at);
    if (tree === null) {
      const other = [...shares].some(([one, share]) => one !== listed && Math.exp(share) >= CLEAR);
      return other ? null : listed;
    }
    if (listed !== null && Math.exp(shares.get(tree) ?? 0) < CALLED_OTHERWISE) return listed;
    const clear = [...shares].find(([, share]) => Math.exp(share) >= CLEAR);
    return clear?.[0] ?? tree;
  }

  private guessed(at: number, tree: Element | null): RowKind {
    const element = this.elementAmong(at, tree);
    const taught = this.taught(at, element);
    if (taught !== null) return taught;
    const [guess = NO_GUESS, ...others] = this.judge.guesses(at, element);
    const stated = this.listedElement(at) === elementOf(guess.kind);
    return { ...guess, others: others.map(({ kind }) => kind), stated };
  }

  /** What the practice was taught of the name, unless it is of an element that the row can hardly be of. */
  private taught(at: number, element: Element | null): RowKind | null {
    const name = this.rows[at]?.entry.name ?? '';
    const kind = this.request.taught?.get(nameKey(name));
    if (kind === undefined) return null;
    const own = elementOf(kind);
    const share = Math.exp(this.judge.elements(at).get(own) ?? -Infinity);
    const fits = element === null ? share >= CONCEIVABLE : own === element;
    return fits ? { ...sure(kind, { type: 'taught' }), stated: false } : null;
  }

  /** A row whose parents lead in a circle has no main account. */
  private alone(at: number): RowKind {
    return this.said(at) ?? this.guessed(at, this.listedElement(at));
  }
}

const NOTHING_SAID: RowSaid = {
  name: '',
  above: [],
  type: '',
  number: null,
  balance: 0,
  leads: false,
};

const NO_GUESS: Guess = { kind: KIND_CODES[0], confidence: 0, reason: { type: 'none' } };

const sure = (kind: KindCode, reason: KindReason): RowKind => ({
  kind,
  others: [],
  confidence: 1,
  reason,
  stated: true,
});

/**
 * The kind of each row: what the user chose, what the list calls as we do, what the account of the chart is,
 * or what the list judged as a whole speaks for: names, types, numbers, sides of balances and neighbours. All
 * below a main account share its element.
 */
export const findKinds = (rows: readonly TreeRow[], request: KindRequest): readonly RowKind[] =>
  new KindFinder(rows, childrenByPlace(rows), request).find();
