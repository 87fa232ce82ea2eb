import { plainAccount, type Account, type AccountId } from '../chart/account';
import type { Chart } from '../chart/chart';
import type { Place } from '../chart/edit';
import { accountOf, childrenOf, recordsOf } from '../chart/queries';
import type { Element } from '../kinds/element';
import { elementOf, type KindCode } from '../kinds/kinds';
import { inferKinds, type Guess } from '../matching/infer-kind';
import { linesLeading } from '../matching/learned/judge-account';
import { judgeLines, type NamedLine } from '../matching/learned/judge-lines';
import { kindsOfNumber, type NumberPlan } from '../plan/number-plan';
import { fitNumbers } from '../numbering/fit';
import type { Unplaced } from '../numbering/place-tree';
import { apply } from '../operations/apply';
import { cleanNumber } from '../operations/checks';
import type { AddAccount } from '../operations/operation';
import type { Refusal } from '../operations/refusal';
import { lastBeforeContra } from '../planning/plan-add';
import { readOutline, type OutlineEntry } from './read-outline';

/** Why a line cannot become an account. */
export type OutlineProblem =
  | { readonly code: 'unknownKind'; readonly words: string }
  | { readonly code: 'parentWrong'; readonly line: number }
  | { readonly code: 'repeatsLine'; readonly field: 'number' | 'name'; readonly line: number }
  | { readonly code: 'noNumber'; readonly why: Unplaced['why'] }
  | { readonly code: 'refused'; readonly refusal: Refusal };

/** What was understood of a line. */
export interface OutlineLine {
  readonly entry: OutlineEntry;
  /** 1 for a main account; 0 for the band of an element. */
  readonly level: number;
  readonly account: Account | null;
  /** The guess from which the kind comes; `null` where it was typed. */
  readonly guess: Guess | null;
  /** What else it may be, the likelier first. */
  readonly others: readonly KindCode[];
  readonly problem: OutlineProblem | null;
}

/** An outline understood: line by line, and as operations for the lines that can be. */
export interface OutlinePlan {
  readonly lines: readonly OutlineLine[];
  readonly operations: readonly AddAccount[];
}

/** Where an outline goes, and whence ids come: the n-th new account gets `newId(n)`. */
export interface OutlineRequest {
  /** The account below which its main lines stand; `null` for main accounts. */
  readonly under: AccountId | null;
  newId(index: number): AccountId;
}

interface Above {
  readonly indent: number;
  readonly level: number;
  readonly id: AccountId | null;
  readonly kind: KindCode | null;
  readonly name: string;
  readonly element: Element | null;
  /** The line that went wrong, of this or one above. */
  readonly wrong: number | null;
}

interface Draft {
  readonly line: OutlineLine;
  readonly place: Place | null;
}

/** How many kinds are offered for a line. */
const OFFERED = 3;

const hasChildren = (entries: readonly OutlineEntry[], index: number): boolean =>
  (entries[index + 1]?.indent ?? -1) > (entries[index]?.indent ?? 0);

/** The kinds that the line at a place may be, the likeliest first, by what is known of what stands above it. */
type Guesser = (index: number, above: Above) => readonly Guess[];

/** Longer outlines are read line by line, as each key typed has them read anew. */
const JUDGED_TOGETHER = 600;

const lineByLine =
  (entries: readonly OutlineEntry[], plan: NumberPlan): Guesser =>
  (index, { element, kind, name }) =>
    inferKinds({
      name: entries[index]?.name ?? '',
      number: entries[index]?.number ?? null,
      plan,
      element,
      ...(kind === null ? {} : { parentKind: kind, parentName: name }),
    });

/** The place of the line above each: the nearest earlier one that stands less far in. */
const placesAbove = (entries: readonly OutlineEntry[]): readonly (number | null)[] => {
  const path: number[] = [];
  return entries.map(({ indent }, at) => {
    while ((entries[path.at(-1) ?? -1]?.indent ?? -1) >= indent) path.pop();
    const parent = path.at(-1) ?? null;
    path.push(at);
    return parent;
  });
};

/** Judges all lines at once, below what stands in the chart where they go. */
const together = (
  entries: readonly OutlineEntry[],
  chart: Chart,
  under: AccountId | null,
): Guesser => {
  const { plan } = chart.settings;
  const leading = linesLeading(chart, under);
  const parents = placesAbove(entries);
  const lines = entries.map(({ name, number, kind }, at): NamedLine => {
    const above = parents[at] ?? null;
    const parent = above === null ? leading.parent : leading.lines.length + above;
    return { name, number, kind, parent };
  });
  const guesses = judgeLines([...leading.lines, ...lines], {
    ranged: (number) => kindsOfNumber(plan, number),
  });
  return (index, { element }) => guesses(leading.lines.length + index, element);
};

const guesserFor = (
  entries: readonly OutlineEntry[],
  chart: Chart,
  under: AccountId | null,
): Guesser =>
  entries.length > JUDGED_TOGETHER
    ? lineByLine(entries, chart.settings.plan)
    : together(entries, chart, under);

/** A chart like the given one in which accounts may wait for their numbers. */
const unnumbered = (chart: Chart): Chart => ({
  ...chart,
  settings: { ...chart.settings, numbered: false },
});

class Reader {
  private chart: Chart;
  private readonly drafts: Draft[] = [];
  private readonly numbers = new Map<string, number>();
  private readonly path: Above[] = [];
  private readonly lasts = new Map<string, AccountId>();
  private system: boolean;

  constructor(
    private readonly start: Chart,
    private readonly entries: readonly OutlineEntry[],
    private readonly request: OutlineRequest & {
      readonly wrong: ReadonlyMap<number, OutlineProblem>;
      readonly guesses: Guesser;
    },
  ) {
    this.chart = unnumbered(start);
    this.system = recordsOf(start).some(({ systemUse }) => systemUse !== null);
  }

  read(): { readonly chart: Chart; readonly drafts: readonly Draft[] } {
    for (const [index, entry] of this.entries.entries()) this.take(entry, index);
    return { chart: this.chart, drafts: this.drafts };
  }

  private above(entry: OutlineEntry): Above {
    while ((this.path.at(-1)?.indent ?? -1) >= entry.indent) this.path.pop();
    const top = this.path.at(-1);
    if (top !== undefined) return top;
    const under =
      this.request.under === null ? undefined : accountOf(this.start, this.request.under);
    const [id, kind, name] = [under?.id ?? null, under?.kind ?? null, under?.name ?? ''];
    const element = kind === null ? null : elementOf(kind);
    return { indent: -1, level: 0, id, kind, name, element, wrong: null };
  }

  private take(entry: OutlineEntry, index: number): void {
    const above = this.above(entry);
    if (entry.band !== null && this.request.under === null) return this.takeBand(entry, above);
    const guesses = entry.kind === null ? this.request.guesses(index, above) : [];
    const [guess = null] = guesses;
    const kind = entry.kind ?? guess?.kind ?? 'operatingExpense';
    const account = this.accountFrom(entry, { kind, index });
    const place = { parentId: above.id, afterId: this.afterId(above, account) };
    const problem = this.problemOf(entry, above) ?? this.add({ account, ...place }, entry);
    const wrong = problem === null ? null : (above.wrong ?? entry.line);
    const { indent, name } = entry;
    const element = elementOf(kind);
    this.path.push({ indent, level: above.level + 1, id: account.id, kind, name, element, wrong });
    const others = guesses.slice(1, OFFERED).map((one) => one.kind);
    const line = { entry, level: above.level + 1, account, guess, others, problem };
    this.drafts.push({ line, place: problem === null ? place : null });
  }

  private takeBand(entry: OutlineEntry, above: Above): void {
    this.path.push({ ...above, indent: entry.indent, element: entry.band });
    const line = { entry, level: 0, account: null, guess: null, others: [], problem: null };
    this.drafts.push({ line, place: null });
  }

  private accountFrom(
    entry: OutlineEntry,
    { kind, index }: { readonly kind: KindCode; readonly index: number },
  ): Account {
    const system = kind === 'retainedEarnings' && !this.system;
    if (system) this.system = true;
    const number = entry.number === null ? null : cleanNumber(entry.number);
    return plainAccount(
      { id: this.request.newId(index), number, name: entry.name, kind },
      {
        role:
          !system && (entry.heading || hasChildren(this.entries, index)) ? 'heading' : 'posting',
        systemUse: system ? 'retainedEarnings' : null,
      },
    );
  }

  /** After the last one that came to the same place; at first, last before any contra there. */
  private afterId(above: Above, account: Account): AccountId | null {
    const key = above.id ?? elementOf(account.kind);
    const last = this.lasts.get(key);
    if (last !== undefined) return last;
    const siblings = childrenOf(this.chart, above.id);
    if (above.id !== null) return lastBeforeContra(siblings);
    const own = siblings.filter((node) => elementOf(node.account.kind) === elementOf(account.kind));
    return own.at(-1)?.account.id ?? siblings.at(-1)?.account.id ?? null;
  }

  private problemOf(entry: OutlineEntry, above: Above): OutlineProblem | null {
    if (above.wrong !== null) return { code: 'parentWrong', line: above.wrong };
    const known = this.request.wrong.get(entry.line);
    if (known !== undefined) return known;
    if (entry.unknownKind !== null) return { code: 'unknownKind', words: entry.unknownKind };
    const earlier = entry.number === null ? undefined : this.numbers.get(entry.number);
    return earlier === undefined ? null : { code: 'repeatsLine', field: 'number', line: earlier };
  }

  private add(placed: Omit<AddAccount, 'type'>, entry: OutlineEntry): OutlineProblem | null {
    const outcome = apply(this.chart, { type: 'addAccount', ...placed });
    if (!outcome.ok) return this.refusedAs(outcome.refusal);
    this.chart = outcome.chart;
    this.lasts.set(placed.parentId ?? elementOf(placed.account.kind), placed.account.id);
    if (entry.number !== null) this.numbers.set(entry.number, entry.line);
    return null;
  }

  private refusedAs(refusal: Refusal): OutlineProblem {
    const other = this.drafts.find(({ line }) => line.account?.id === refusal.otherId)?.line;
    const repeats = refusal.code === 'nameTaken' || refusal.code === 'numberTaken';
    if (!repeats || other === undefined) return { code: 'refused', refusal };
    const field = refusal.code === 'nameTaken' ? 'name' : 'number';
    return { code: 'repeatsLine', field, line: other.entry.line };
  }
}

type Numbers = ReturnType<typeof fitNumbers>;

const numbersFor = (chart: Chart, drafts: readonly Draft[]): Numbers => {
  const missing = new Set(
    drafts.flatMap(({ line: { account }, place }) =>
      account !== null && place !== null && account.number === null ? [account.id] : [],
    ),
  );
  return fitNumbers(chart, { plan: chart.settings.plan, movable: missing, keep: true });
};

/** Lines that ask for a number and get none, with the reason. */
const withoutNumber = (
  drafts: readonly Draft[],
  { numbers, unplaced }: Numbers,
): ReadonlyMap<number, OutlineProblem> => {
  const why = new Map(unplaced.map((one) => [one.id, one.why]));
  return new Map(
    drafts.flatMap(({ line: { account, entry }, place }): [number, OutlineProblem][] => {
      if (account === null || place === null || account.number !== null) return [];
      if (numbers.has(account.id)) return [];
      return [[entry.line, { code: 'noNumber', why: why.get(account.id) ?? 'noRoom' }]];
    }),
  );
};

const numbered = ({ line, place }: Draft, numbers: Numbers['numbers']): Draft => {
  const { account } = line;
  if (account === null || place === null || account.number !== null) return { line, place };
  return {
    line: { ...line, account: { ...account, number: numbers.get(account.id) ?? null } },
    place,
  };
};

/** Reads until every line that is left has its number. */
const settled = (
  chart: Chart,
  entries: readonly OutlineEntry[],
  request: OutlineRequest,
): readonly Draft[] => {
  const wrong = new Map<number, OutlineProblem>();
  const guesses = guesserFor(entries, chart, request.under);
  for (;;) {
    const { chart: grown, drafts } = new Reader(chart, entries, {
      ...request,
      wrong,
      guesses,
    }).read();
    if (!chart.settings.numbered) return drafts;
    const numbers = numbersFor(grown, drafts);
    const without = withoutNumber(drafts, numbers);
    if (without.size === 0) return drafts.map((draft) => numbered(draft, numbers.numbers));
    for (const [line, problem] of without) wrong.set(line, problem);
  }
};

/**
 * Understands an outline as new accounts of a chart. Kinds that are not typed are inferred from
 * the name, what stands above, and the number; numbers that are not typed are given by the plan. A
 * level that was skipped does no harm: the parent is the nearest shallower line above. A line that
 * cannot be, and what stands below it, says why; the others are operations all the same.
 */
export const planOutline = (chart: Chart, text: string, request: OutlineRequest): OutlinePlan => {
  const drafts = settled(chart, readOutline(text), request);
  const operations = drafts.flatMap(({ line, place }): AddAccount[] => {
    if (line.account === null || place === null || line.problem !== null) return [];
    return [{ type: 'addAccount', account: line.account, ...place }];
  });
  return { lines: drafts.map(({ line }) => line), operations };
};
