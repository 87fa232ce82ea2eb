import { computed, inject, Injectable, linkedSignal, signal } from '@angular/core';
import { Store } from '@ngrx/store';
import {
  accountCount,
  accountOf,
  advance,
  applyAll,
  changeOf,
  chartFrom,
  eachNode,
  emptyChart,
  hasAccount,
  leadsTo,
  matches,
  mergedAccounts,
  nameKey,
  nodeOf,
  nodesTo,
  parentIdOf,
  proposedChart,
  rollUpOver,
  rowKeys,
  sectionAndAccountOf,
  landingRows,
  shownAmount,
  standsFor,
  subjectsOf,
  titleOf,
  trackOf,
  visibleRows,
  type AccountChange,
  type AccountId,
  type Chart,
  type ChartNode,
  type Minor,
  type OpeningBalances,
  type Operation,
  type ProposalStep,
  type Refusal,
  type RowKey,
  type Track,
  type View,
  ledgerOf,
} from '@iunctus/core';
import { Rights } from '../../session/state/rights';
import { BenchPageActions } from '../state/bench.actions';
import { benchFeature } from '../state/bench.feature';
import { BenchEngine } from './bench-engine';

/** The structure alone decides where an account lands; amounts do not matter here. */
const STRUCTURE = rollUpOver(new Map());

const numbersIn = (operation: Operation): readonly (string | null)[] => {
  if (operation.type === 'addAccount') return [operation.account.number];
  if (operation.type === 'renumberMany') return operation.numbers.map(({ number }) => number);
  return operation.type === 'renumber' ? [operation.number] : [];
};

/** What a step has besides its operations. */
export interface StepMore {
  readonly id?: string;
  /** Balances that come along. */
  readonly opening?: OpeningBalances | null;
}

/** A step of operations, under a fresh id where none is given. */
export const stepOf = (
  operations: readonly Operation[],
  { id = crypto.randomUUID(), opening = null }: StepMore = {},
): ProposalStep => ({ id, operations, ...(opening === null ? {} : { opening }) });

/** The depth with which a bench opens. */
const FIRST_DEPTH = 3;

/**
 * What the bench shows: the chart as proposed, its visible rows, the account at the cursor, and
 * the one way to propose a change. Holds no rule: it asks the core.
 */
@Injectable()
export class BenchModel {
  private readonly store = inject(Store);
  private readonly rights = inject(Rights);
  readonly engine = inject(BenchEngine);
  private readonly adopted = this.store.selectSignal(benchFeature.selectAdopted);
  readonly steps = this.store.selectSignal(benchFeature.selectSteps);
  private readonly amounts = this.store.selectSignal(benchFeature.selectAmounts);
  readonly client = this.store.selectSignal(benchFeature.selectClient);

  /** Numbers and names of before, newest first. */
  readonly former = computed(() => this.adopted()?.former ?? []);

  /** The chart as last adopted. */
  readonly base = computed<Chart>(() => {
    const adopted = this.adopted();
    if (adopted === null) return emptyChart();
    return chartFrom(adopted.accounts, adopted);
  });

  private readonly track = linkedSignal<{ base: Chart; steps: readonly ProposalStep[] }, Track>({
    source: () => ({ base: this.base(), steps: this.steps() }),
    computation: ({ base, steps }, previous) => {
      const before = previous?.value;
      const from = before !== undefined && before.base === base ? before : trackOf(base);
      const outcome = advance(from, steps);
      return outcome.ok ? outcome.track : from;
    },
  });

  /** Characters of the longest number, pending ones included. */
  readonly longestNumber = computed(() => {
    const adopted = (this.adopted()?.accounts ?? []).map(({ number }) => number);
    const pending = this.steps().flatMap(({ operations }) => operations.flatMap(numbersIn));
    return [...adopted, ...pending].reduce(
      (most, number) => Math.max(most, number?.length ?? 0),
      0,
    );
  });

  /** The chart as proposed. */
  readonly chart = computed(() => proposedChart(this.track()));
  readonly count = computed(() => accountCount(this.chart()));

  readonly depth = signal(FIRST_DEPTH);
  readonly filter = signal('');
  private readonly opened = signal<ReadonlySet<AccountId>>(new Set());
  private readonly closed = signal<ReadonlySet<AccountId>>(new Set());
  /** Numbers and names of before, by the account that they find now. */
  private readonly also = computed(() => {
    const chart = this.chart();
    const texts = new Map<AccountId, string>();
    const note = (id: AccountId, title: string): void => {
      const now = standsFor(chart, id);
      if (now !== null) texts.set(now, `${texts.get(now) ?? ''} ${nameKey(title)}`);
    };
    for (const { accountId, number, name } of this.adopted()?.former ?? [])
      note(accountId, `${number ?? ''} ${name}`);
    for (const { account } of mergedAccounts(chart)) note(account.id, titleOf(account));
    return texts;
  });
  readonly view = computed<View>(() => ({
    depth: this.depth(),
    filter: this.filter(),
    opened: this.opened(),
    closed: this.closed(),
    also: this.also(),
  }));
  readonly rows = computed(() => visibleRows(this.chart(), this.view()));

  /** The account at the cursor; `null` while there is none. */
  readonly cursor = linkedSignal<readonly unknown[], AccountId | null>({
    source: () => this.rows(),
    computation: (_rows, previous) => {
      const kept = previous?.value ?? this.firstTouched();
      const filter = this.filter();
      const nodes = this.rows().flatMap((row) => (row.type === 'account' ? row.node : []));
      const fitting = filter === '' ? nodes : nodes.filter((node) => matches(node, this.view()));
      const stays =
        kept !== null &&
        accountOf(this.chart(), kept) !== undefined &&
        (filter === '' || fitting.some(({ account }) => account.id === kept));
      return stays ? kept : ((fitting[0] ?? nodes[0])?.account.id ?? null);
    },
  });
  readonly selected = computed(() => {
    const id = this.cursor();
    return id === null ? undefined : accountOf(this.chart(), id);
  });

  /** Accounts that were chosen to be changed together; empty for the one at the cursor alone. */
  readonly marks = linkedSignal<Chart, ReadonlySet<AccountId>>({
    source: this.chart,
    computation: (chart, previous) =>
      new Set([...(previous?.value ?? [])].filter((id) => hasAccount(chart, id))),
  });
  /** The chosen accounts in chart order; without a choice the one at the cursor. */
  readonly chosen = computed<readonly AccountId[]>(() => {
    const marks = this.marks();
    if (marks.size === 0) return [this.cursor() ?? []].flat();
    return [...eachNode(this.chart().roots)]
      .map(({ account }) => account.id)
      .filter((id) => marks.has(id));
  });

  /** The accounts that pending operations are about. */
  readonly touched = computed(
    () => new Set(this.steps().flatMap(({ operations }) => operations.flatMap(subjectsOf))),
  );

  /** What a person counts as changes: the accounts that are touched, the chart's own settings, and balances of lists. */
  readonly changes = computed(() => {
    const own = this.steps().some(({ operations }) =>
      operations.some((operation) => subjectsOf(operation).length === 0),
    );
    const openings = this.steps().filter(({ opening }) => opening !== undefined).length;
    return this.touched().size + (own ? 1 : 0) + openings;
  });

  /** The statement row that was selected; its accounts light up. */
  readonly litRow = signal<RowKey | null>(null);
  readonly lit = computed<ReadonlySet<AccountId>>(() => {
    const target = this.litRow() === null ? null : sectionAndAccountOf(this.litRow() ?? '');
    if (target === null) return new Set();
    const branch = target.accountId === null ? null : nodeOf(this.chart(), target.accountId);
    const nodes = branch === null ? this.chart().roots : branch === undefined ? [] : [branch];
    return new Set(
      [...eachNode(nodes)]
        .filter((node) => leadsTo(node, target.section, STRUCTURE))
        .map(({ account }) => account.id),
    );
  });

  private readonly rollUp = computed(() => rollUpOver(ledgerOf(this.amounts())));
  private readonly statementKeys = computed(() => rowKeys(this.engine.statement()));

  /** Where a bench with a proposal opens: at its first change. */
  private firstTouched(): AccountId | null {
    const [first] = this.touched();
    return first !== undefined && accountOf(this.chart(), first) !== undefined ? first : null;
  }

  /** How a row differs from the adopted chart; only accounts that were touched are compared. */
  changeOf(id: AccountId): AccountChange | null {
    return this.touched().has(id) ? changeOf(this.base(), this.chart(), id) : null;
  }

  /** The total of an account and all below it, as a person reads it for its kind. */
  amountOf({ account }: ChartNode): Minor {
    const moved = this.engine.impact().nodes[account.id];
    const total = moved ?? this.engine.totals()[account.id]?.[0] ?? 0;
    return shownAmount(account.kind, total);
  }

  /** What was posted to the account itself, as a person reads it for its kind. */
  ownAmountOf(node: ChartNode): Minor {
    return shownAmount(node.account.kind, this.rollUp().own(node));
  }

  /** The rows of the shown statement on which an account and what is below it land. */
  landingOf(id: AccountId): readonly RowKey[] {
    const path = nodesTo(this.chart(), id);
    return landingRows(path, this.statementKeys(), STRUCTURE);
  }

  /** Proposes operations as one step. Gives the refusal, and changes nothing, when a rule says no. */
  propose(operations: readonly Operation[], more: StepMore = {}): Refusal | null {
    if (operations.length === 0 && (more.opening ?? null) === null) return null;
    if (!this.rights.may('change')) {
      this.store.dispatch(BenchPageActions.changeRefused());
      return null;
    }
    const outcome = applyAll(this.chart(), operations);
    if (!outcome.ok) return outcome.refusal;
    this.store.dispatch(BenchPageActions.stepProposed({ step: stepOf(operations, more) }));
    return null;
  }

  /** Shows so many levels, and forgets what was opened or closed by hand. */
  showDepth(depth: number): void {
    this.depth.set(depth);
    this.opened.set(new Set());
    this.closed.set(new Set());
    this.engine.shown.update((shown) => ({ ...shown, depth }));
  }

  /** Chooses an account, or lets it go. */
  toggleMark(id: AccountId): void {
    const marks = new Set(this.marks());
    if (!marks.delete(id)) marks.add(id);
    this.marks.set(marks);
  }

  /** Opens or closes a row by hand. */
  setOpen(id: AccountId, open: boolean): void {
    const [into, from] = open ? [this.opened, this.closed] : [this.closed, this.opened];
    into.update((ids) => new Set(ids).add(id));
    from.update((ids) => new Set([...ids].filter((other) => other !== id)));
  }

  /** Puts the cursor on an account, opening whatever hides it. */
  goTo(id: AccountId): void {
    for (let at = parentIdOf(this.chart(), id); at !== null; at = parentIdOf(this.chart(), at))
      this.setOpen(at, true);
    this.cursor.set(id);
  }
}
