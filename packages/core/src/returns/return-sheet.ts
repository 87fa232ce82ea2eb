import type { AccountId } from '../chart/account';
import type { Chart, ChartNode } from '../chart/chart';
import { eachNode, hasPostings } from '../chart/queries';
import { normalSideOfKind, statementOf, type KindCode } from '../kinds/kinds';
import type { RollUp } from '../ledger/amounts';
import { add, negate, subtract, type Minor } from '../money/minor';
import type { ReturnLine, ReturnLineChoice } from '../settings/return-form';
import {
  hasBalanceSheet,
  RETURN_FORMS,
  returnFormOf,
  usualReturnLine,
  type Filer,
} from '../settings/return-forms';
import { reckonedOf, type Reckoned } from './reckoned';

/** What an account brings to a line, on the side on which the line is read. */
export interface LineAccount {
  readonly id: AccountId;
  readonly amount: Minor;
  /** Whether the line is the account's own setting, and not only the usual one of its kind. */
  readonly own: boolean;
}

/** One line of one copy of the form: as the form reads it, for its side. */
export interface ReturnAmount {
  readonly line: ReturnLine;
  readonly copy: number;
  readonly amount: Minor;
  readonly accounts: readonly LineAccount[];
  /** What the form wants here beside the accounts; `null` for nothing. */
  readonly beside: {
    readonly what: 'openResults' | 'stockChange' | 'reckoned';
    readonly amount: Minor;
  } | null;
}

/** Why an account is not where the form wants it. */
export interface Misplaced {
  readonly id: AccountId;
  readonly why: 'noLine' | 'otherForm' | 'twice';
  readonly amount: Minor;
}

/** A client's return for a year: what must be looked at, and the amounts by line and copy. */
export interface ReturnSheet {
  readonly form: string;
  readonly misplaced: readonly Misplaced[];
  readonly amounts: readonly ReturnAmount[];
}

/** The side on which a line is read: that of the kinds that usually land there, else of the account's own. */
const isCreditLine = ({ kinds }: ReturnLine, fallback: KindCode): boolean =>
  normalSideOfKind(kinds?.[0] ?? fallback) === 'credit';

/** An account on a line, debit-positive. */
interface Placed {
  readonly id: AccountId;
  readonly kind: KindCode;
  readonly own: boolean;
  /** As its statement shows it: a balance or a change. */
  readonly amount: Minor;
  readonly yearChange: Minor;
}

/** Whether the form wants the account: the balance sheet only where it has one. */
const needsLine = ({ account }: ChartNode, form: string): boolean => {
  const statement = account.role === 'posting' ? statementOf(account.kind) : null;
  return statement === 'profitAndLoss' || (statement !== null && hasBalanceSheet(form));
};

/** Accounts of a line: by form line and copy. */
type Mapped = Map<string, { readonly choice: ReturnLineChoice; readonly accounts: Placed[] }>;

const keyOf = ({ line, copy }: ReturnLineChoice): string => `${line}\u0000${copy}`;

class Sheet {
  readonly mapped: Mapped = new Map();
  readonly misplaced: Misplaced[] = [];

  constructor(
    private readonly form: string,
    private readonly filer: Filer,
    private readonly rollUp: RollUp,
  ) {}

  take(node: ChartNode, above: ReturnLineChoice | null): void {
    const own = node.account.settings.returnLine ?? null;
    if (needsLine(node, this.form) || own?.form === this.form) this.place(node, own, above);
    for (const child of node.children) this.take(child, own ?? above);
  }

  private place(
    node: ChartNode,
    own: ReturnLineChoice | null,
    above: ReturnLineChoice | null,
  ): void {
    const { id, kind } = node.account;
    const amount = this.rollUp.own(node);
    const usual = usualReturnLine(kind, this.filer);
    const choice = own?.form === this.form ? own : own === null ? usual : null;
    if (choice === null) {
      this.misplaced.push({ id, why: own === null ? 'noLine' : 'otherForm', amount });
      return;
    }
    // The account above speaks for its own postings; that the two differ should be somebody's wish.
    if (above !== null && own !== null && keyOf(above) !== keyOf(own))
      this.misplaced.push({ id, why: 'twice', amount });
    const { yearChange } = this.rollUp.amounts(node);
    this.open(choice).push({ id, amount, yearChange, own: own !== null, kind });
  }

  /** The accounts of a line and copy, none at first. */
  open(choice: ReturnLineChoice): Placed[] {
    const entry = this.mapped.get(keyOf(choice)) ?? { choice, accounts: [] };
    this.mapped.set(keyOf(choice), entry);
    return entry.accounts;
  }
}

const isNoneAtAll = (node: ChartNode, chart: Chart, rollUp: RollUp): boolean =>
  rollUp.own(node) === 0 && !hasPostings(chart, node);

/** What stands on a line beside its accounts, as the line is read. */
const besideOf = (
  line: ReturnLine,
  reckoned: Reckoned,
  isClosing: boolean,
): ReturnAmount['beside'] => {
  if (isClosing) return { what: 'openResults', amount: reckoned.openResults };
  switch (line.computed) {
    case undefined:
    case 'costOfSales':
      return null;
    case 'purchases':
      return {
        what: 'stockChange',
        amount: subtract(reckoned.stockAtEnd, reckoned.stockAtStart),
      };
    default:
      return { what: 'reckoned', amount: reckoned[line.computed] };
  }
};

/** The lines of one return, from the accounts that lead to each and what is reckoned from the whole chart. */
class Lines {
  constructor(
    private readonly known: readonly ReturnLine[],
    private readonly sheet: Sheet,
    private readonly reckoned: Reckoned,
    private readonly closing: ReturnLineChoice | null,
  ) {}

  amounts(): readonly ReturnAmount[] {
    return this.known.flatMap((line) => {
      const copies = new Set(this.copiesOf(line));
      if (this.wantsFirst(line)) copies.add(1);
      return [...copies].sort((a, b) => a - b).map((copy) => this.amount(line, copy));
    });
  }

  /** The lines that make up the cost of sales. */
  private parts(): readonly ReturnLine[] {
    return this.known.filter(
      ({ part, computed }) => part === 'costOfSales' || computed === 'purchases',
    );
  }

  private copiesOf(line: ReturnLine): readonly number[] {
    const lines = line.computed === 'costOfSales' ? [line, ...this.parts()] : [line];
    return [...this.sheet.mapped.values()]
      .filter(({ choice }) => lines.some((one) => one.line === choice.line))
      .map(({ choice }) => choice.copy);
  }

  /** Whether the line stands on the form for what is reckoned, accounts or none. */
  private wantsFirst(line: ReturnLine): boolean {
    const isCapital = ['capitalAtStart', 'resultOfYear', 'capitalAtEnd'].includes(
      line.computed ?? '',
    );
    return isCapital || (besideOf(line, this.reckoned, false)?.amount ?? 0) !== 0;
  }

  private accountsOn(line: ReturnLine, copy: number): readonly Placed[] {
    return [...this.sheet.mapped.values()]
      .filter(({ choice }) => choice.line === line.line && choice.copy === copy)
      .flatMap(({ accounts }) => accounts);
  }

  private amount(line: ReturnLine, copy: number): ReturnAmount {
    const accounts = this.accountsOn(line, copy);
    const credit = isCreditLine(line, accounts[0]?.kind ?? 'costOfSales');
    const asRead = (amount: Minor): Minor => (credit ? negate(amount) : amount);
    const measured = (one: Placed): Minor =>
      line.measure === 'yearChange' ? one.yearChange : one.amount;
    const isClosing = this.closing?.line === line.line && this.closing.copy === copy;
    const beside = copy === 1 ? besideOf(line, this.reckoned, isClosing) : null;
    const summed =
      line.computed === 'costOfSales'
        ? [...accounts, ...this.parts().flatMap((part) => this.accountsOn(part, copy))]
        : accounts;
    const own = summed.reduce((sum, one) => add(sum, measured(one)), 0);
    return {
      line,
      copy,
      amount: add(asRead(own), beside?.amount ?? 0),
      accounts: accounts.map((one) => ({
        id: one.id,
        own: one.own,
        amount: asRead(measured(one)),
      })),
      beside,
    };
  }
}

/**
 * The amounts that a client's return wants: for each line and copy of its form the sum of its accounts, on
 * the side on which the line is read. Profit and loss lines are changes of the year, balance sheet lines
 * balances at its end; `rollUp` is over the fiscal year. Retained earnings hold all results that no entry
 * has closed, as the form's balance sheet wants it; where the form follows the owners' capital from the
 * start of the year to its end, that is reckoned instead. Accounts without a line, of another form, or below
 * one that goes elsewhere come first.
 */
export const returnSheet = (chart: Chart, rollUp: RollUp, filer: Filer): ReturnSheet => {
  const form = returnFormOf(filer);
  const known = RETURN_FORMS[form]?.lines ?? [];
  const sheet = new Sheet(form, filer, rollUp);
  for (const root of chart.roots) sheet.take(root, null);
  const followsCapital = known.some(({ computed }) => computed === 'capitalAtEnd');
  const closing = followsCapital ? null : usualReturnLine('retainedEarnings', filer);
  if (closing !== null) sheet.open(closing);
  const amounts = new Lines(known, sheet, reckonedOf(chart, rollUp), closing).amounts();
  const idle = new Set(
    [...eachNode(chart.roots)]
      .filter((node) => isNoneAtAll(node, chart, rollUp))
      .map(({ account }) => account.id),
  );
  return { form, amounts, misplaced: sheet.misplaced.filter(({ id }) => !idle.has(id)) };
};
