import { computed, inject, Injectable, linkedSignal, signal } from '@angular/core';
import {
  accountOf,
  eachNode,
  hasAccount,
  matcherOf,
  mergedAccounts,
  findKey,
  parentIdOf,
  standsFor,
  titleOf,
  visibleRows,
  type AccountId,
  type Chart,
  type View,
} from '@iunctus/core';
import { ProposedChart } from './proposed-chart';
import { StatementEngine } from './statement-engine';

/** The depth with which a chart opens. */
const FIRST_DEPTH = 3;

/** How the proposed chart is looked at: depth, filter, what is open, the account at the cursor, and those chosen. */
@Injectable()
export class ChartView {
  private readonly proposed = inject(ProposedChart);
  private readonly engine = inject(StatementEngine);

  readonly depth = signal(FIRST_DEPTH);
  readonly filter = signal('');
  private readonly opened = signal<ReadonlySet<AccountId>>(new Set());
  private readonly closed = signal<ReadonlySet<AccountId>>(new Set());
  /** Numbers and names of before, by the account that they find now. */
  private readonly also = computed(() => {
    const chart = this.proposed.chart();
    const texts = new Map<AccountId, string>();
    const note = (id: AccountId, title: string): void => {
      const now = standsFor(chart, id);
      if (now !== null) texts.set(now, `${texts.get(now) ?? ''} ${findKey(title)}`);
    };
    for (const { accountId, number, name } of this.proposed.former())
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
  readonly rows = computed(() => visibleRows(this.proposed.chart(), this.view()));

  /** The account at the cursor; `null` while there is none. */
  readonly cursor = linkedSignal<readonly unknown[], AccountId | null>({
    source: () => this.rows(),
    computation: (_rows, previous) => {
      const kept = previous?.value ?? this.firstTouched();
      const filter = this.filter();
      const nodes = this.rows().flatMap((row) => (row.type === 'account' ? row.node : []));
      const fitting = filter === '' ? nodes : nodes.filter(matcherOf(this.view()));
      const stays =
        kept !== null &&
        accountOf(this.proposed.chart(), kept) !== undefined &&
        (filter === '' || fitting.some(({ account }) => account.id === kept));
      return stays ? kept : ((fitting[0] ?? nodes[0])?.account.id ?? null);
    },
  });
  readonly selected = computed(() => {
    const id = this.cursor();
    return id === null ? undefined : accountOf(this.proposed.chart(), id);
  });

  /** Accounts that were chosen to be changed together; empty for the one at the cursor alone. */
  readonly marks = linkedSignal<Chart, ReadonlySet<AccountId>>({
    source: this.proposed.chart,
    computation: (chart, previous) =>
      new Set([...(previous?.value ?? [])].filter((id) => hasAccount(chart, id))),
  });
  /** The chosen accounts in chart order; without a choice the one at the cursor. */
  readonly chosen = computed<readonly AccountId[]>(() => {
    const marks = this.marks();
    if (marks.size === 0) return [this.cursor() ?? []].flat();
    return [...eachNode(this.proposed.chart().roots)]
      .map(({ account }) => account.id)
      .filter((id) => marks.has(id));
  });

  /** Where a chart with a proposal opens: at its first change. */
  private firstTouched(): AccountId | null {
    const [first] = this.proposed.touched();
    return first !== undefined && accountOf(this.proposed.chart(), first) !== undefined
      ? first
      : null;
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
    const chart = this.proposed.chart();
    for (let at = parentIdOf(chart, id); at !== null; at = parentIdOf(chart, at))
      this.setOpen(at, true);
    this.cursor.set(id);
  }
}
