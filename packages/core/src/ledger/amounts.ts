import type { Account, AccountId } from '../chart/account';
import type { Chart, ChartNode, SplitId } from '../chart/chart';
import { KINDS, sectionOf, statementOf, type KindCode } from '../kinds/kinds';
import type { SectionCode } from '../kinds/caption';
import { add, negate, subtract, type Minor } from '../money/minor';

/**
 * What one account's postings come to, all debit-positive, in minor units of the client's currency.
 * `balance`: everything up to the period's end. `change`: within the period, both ends inside.
 * `yearChange`: from the start of the fiscal year in which the period ends, up to the period's end.
 */
export interface AccountAmounts {
  readonly balance: Minor;
  readonly change: Minor;
  readonly yearChange: Minor;
}

/** The amounts of what was posted to each account, and of the postings of each split, where there are any. */
export type Ledger = ReadonlyMap<AccountId | SplitId, AccountAmounts>;

/** Amounts as they are sent: id, balance, change, change of the year. */
export type AmountsTuple = readonly [
  id: AccountId | SplitId,
  balance: Minor,
  change: Minor,
  yearChange: Minor,
];

/** The ledger that rows of amounts make up; several rows of one account add up. */
export const ledgerOf = (rows: readonly AmountsTuple[]): Ledger => {
  const ledger = new Map<AccountId | SplitId, AccountAmounts>();
  for (const [id, balance, change, yearChange] of rows) {
    const known = ledger.get(id);
    ledger.set(id, {
      balance: add(known?.balance ?? 0, balance),
      change: add(known?.change ?? 0, change),
      yearChange: add(known?.yearChange ?? 0, yearChange),
    });
  }
  return ledger;
};

const NONE: AccountAmounts = { balance: 0, change: 0, yearChange: 0 };

/** Whether a kind's accounts are shown with their balance at a date, or with their change over a period. */
const showsBalance = (kind: KindCode): boolean => statementOf(kind) !== 'profitAndLoss';

/** What belongs to a section below and including a node. */
export interface Share {
  /** Debit-positive. */
  readonly amount: Minor;
  /** How many posting accounts, open or not, lead to the section. */
  readonly accounts: number;
}

/** The sections that a branch leads to, and how much of it belongs to each. */
export type Shares<S extends string = SectionCode> = ReadonlyMap<S, Share>;

/** In which sections an account stands, and what of its amounts belongs to each; debit-positive. */
export type Placing<S extends string> = (
  account: Account,
  amounts: AccountAmounts,
) => readonly (readonly [section: S, amount: Minor])[];

/** The results that a balance sheet adds to equity. Credit-positive: a profit is positive. */
export interface Results {
  /** Of the fiscal years before the one in which the period ends, as far as no entry has closed them. */
  readonly earlierYears: Minor;
  /** Of the fiscal year in which the period ends, up to the period's end. */
  readonly thisYear: Minor;
}

const NO_RESULTS: Results = { earlierYears: 0, thisYear: 0 };

const addResults = (a: Results, b: Results): Results => ({
  earlierYears: add(a.earlierYears, b.earlierYears),
  thisYear: add(a.thisYear, b.thisYear),
});

/**
 * Totals over one chart's branches. What is computed for a branch is kept for as long as the
 * branch keeps its identity: after an edit only the path to it is computed again.
 */
export interface RollUp<S extends string = SectionCode> {
  /** What counts with the account itself, debit-positive. */
  amounts(node: ChartNode): AccountAmounts;
  /** The account's own amount, debit-positive, as its statement shows it: a balance or a change. */
  own(node: ChartNode): Minor;
  /** The own amounts of the node and all below it, debit-positive. */
  total(node: ChartNode): Minor;
  /** In which sections the account itself stands, and what of it. */
  ownShares(node: ChartNode): Shares<S>;
  /** The same for the node and all below it. */
  shares(node: ChartNode): Shares<S>;
  /** What the profit and loss accounts of a branch bring to the results in equity. */
  results(node: ChartNode): Results;
}

const addShare = <S extends string>(shares: Map<S, Share>, section: S, share: Share): void => {
  const before = shares.get(section);
  shares.set(section, {
    amount: add(before?.amount ?? 0, share.amount),
    accounts: (before?.accounts ?? 0) + share.accounts,
  });
};

/** Keeps what was computed for a branch for as long as the branch lives. */
const keptByNode = <V>(compute: (node: ChartNode) => V): ((node: ChartNode) => V) => {
  const kept = new WeakMap<ChartNode, { readonly value: V }>();
  return (node) => {
    const known = kept.get(node);
    if (known !== undefined) return known.value;
    const value = compute(node);
    kept.set(node, { value });
    return value;
  };
};

const ownResults = (kind: KindCode, { balance, yearChange }: AccountAmounts): Results =>
  statementOf(kind) === 'profitAndLoss'
    ? { thisYear: negate(yearChange), earlierYears: subtract(yearChange, balance) }
    : NO_RESULTS;

const addAmounts = (a: AccountAmounts, b: AccountAmounts, sign: 1 | -1 = 1): AccountAmounts => ({
  balance: add(a.balance, sign * b.balance),
  change: add(a.change, sign * b.change),
  yearChange: add(a.yearChange, sign * b.yearChange),
});

/** What counts with an account: its own postings, those of what was merged into it, and what splits take or bring. */
export const amountsOf = (
  ledger: Ledger,
  { account, absorbed, splits }: ChartNode,
): AccountAmounts => {
  const posted = [account.id, ...absorbed].reduce(
    (so, id) => addAmounts(so, ledger.get(id) ?? NONE),
    NONE,
  );
  return splits.reduce((so, { id, sign }) => addAmounts(so, ledger.get(id) ?? NONE, sign), posted);
};

/** What an account's statement shows of its amounts: a balance, or a change over the period. */
const shownOf = (kind: KindCode, { balance, change }: AccountAmounts): Minor =>
  showsBalance(kind) ? balance : change;

/** Where accounts stand on the balance sheet and the profit and loss: in the section of their kind. */
const placedByKind: Placing<SectionCode> = ({ kind }, amounts) => {
  const section = sectionOf(kind);
  return section === null ? [] : [[section, shownOf(kind, amounts)]];
};

/** A roll-up over the amounts of one ledger, for statements whose sections are those of a placing. */
export const rollUpPlaced = <S extends string>(ledger: Ledger, placing: Placing<S>): RollUp<S> => {
  const amounts = (node: ChartNode): AccountAmounts => amountsOf(ledger, node);

  const own = (node: ChartNode): Minor => shownOf(node.account.kind, amounts(node));

  const total: RollUp['total'] = keptByNode((node) =>
    node.children.reduce((so, child) => add(so, total(child)), own(node)),
  );

  const results: RollUp['results'] = keptByNode((node) =>
    node.children.reduce(
      (so, child) => addResults(so, results(child)),
      ownResults(node.account.kind, amounts(node)),
    ),
  );

  const ownShares = (node: ChartNode): Map<S, Share> => {
    const computed = new Map<S, Share>();
    if (node.account.role === 'posting')
      for (const [section, amount] of placing(node.account, amounts(node)))
        addShare(computed, section, { amount, accounts: 1 });
    return computed;
  };

  const shares: RollUp<S>['shares'] = keptByNode((node) => {
    const computed = ownShares(node);
    for (const child of node.children)
      for (const [code, share] of shares(child)) addShare(computed, code, share);
    return computed;
  });

  return { amounts, own, total, ownShares, shares, results };
};

/** A roll-up over the amounts of one ledger. Law: a node's total is the sum of its shares, memorandum apart. */
export const rollUpOver = (ledger: Ledger): RollUp => rollUpPlaced(ledger, placedByKind);

/** The results that the whole chart's profit and loss accounts give. */
export const chartResults = (chart: Chart, rollUp: RollUp): Results =>
  chart.roots.reduce((so, root) => addResults(so, rollUp.results(root)), NO_RESULTS);

/** What each section comes to by the accounts that stand in it, debit-positive; those that nothing leads to are left out. */
export const placedAmounts = <S extends string>(chart: Chart, rollUp: RollUp<S>): Map<S, Minor> => {
  const amounts = new Map<S, Minor>();
  for (const root of chart.roots)
    for (const [section, share] of rollUp.shares(root))
      amounts.set(section, add(amounts.get(section) ?? 0, share.amount));
  return amounts;
};

/**
 * What each section comes to, debit-positive, the results standing in equity; sections that
 * nothing leads to are left out.
 */
export const sectionAmounts = (chart: Chart, rollUp: RollUp): ReadonlyMap<SectionCode, Minor> => {
  const amounts = placedAmounts(chart, rollUp);
  const { earlierYears, thisYear } = chartResults(chart, rollUp);
  amounts.set('equity', subtract(amounts.get('equity') ?? 0, add(earlierYears, thisYear)));
  return amounts;
};

/** Whether a kind is shown credit-positive: liabilities, equity and revenue are. */
export const isShownAsCredit = (kind: KindCode): boolean => {
  const { element } = KINDS[kind];
  return element === 'liability' || element === 'equity' || element === 'revenue';
};

/** An amount as a person expects to read it for a kind: positive on the usual side of its element. */
export const shownAmount = (kind: KindCode, debitPositive: Minor): Minor =>
  isShownAsCredit(kind) && debitPositive !== 0 ? -debitPositive : debitPositive;
