import type { AccountId } from '../chart/account';
import type { Chart, ChartNode } from '../chart/chart';
import { eachNode, hasPostings } from '../chart/queries';
import { normalSideOfKind, statementOf, type KindCode } from '../kinds/kinds';
import { add, negate, subtract, type Minor } from '../money/minor';
import type { ReturnLine, ReturnLineChoice } from '../settings/return-form';
import {
  hasBalanceSheet,
  RETURN_FORMS,
  returnFormOf,
  usualReturnLine,
  type Filer,
} from '../settings/return-forms';
import type { RollUp } from '../ledger/amounts';

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
  /** The results of all years that no entry has closed, which the form wants with retained earnings. */
  readonly results: Minor | null;
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

/** Whether the form wants the account: the balance sheet only where it has one. */
const needsLine = ({ account }: ChartNode, form: string): boolean => {
  const statement = account.role === 'posting' ? statementOf(account.kind) : null;
  return statement === 'profitAndLoss' || (statement !== null && hasBalanceSheet(form));
};

/** Accounts of a line: by form line and copy. */
type Mapped = Map<
  string,
  { readonly choice: ReturnLineChoice; readonly accounts: (LineAccount & { kind: KindCode })[] }
>;

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
    this.open(choice).push({ id, amount, own: own !== null, kind });
  }

  /** The accounts of a line, none at first. */
  open(choice: ReturnLineChoice): (LineAccount & { kind: KindCode })[] {
    const entry = this.mapped.get(keyOf(choice)) ?? { choice, accounts: [] };
    this.mapped.set(keyOf(choice), entry);
    return entry.accounts;
  }
}

const isNoneAtAll = (node: ChartNode, chart: Chart, rollUp: RollUp): boolean =>
  rollUp.own(node) === 0 && !hasPostings(chart, node);

/**
 * The amounts that a client's return wants: for each line and copy of its form the sum of its accounts, on
 * the side on which the line is read. Profit and loss lines are changes of the year, balance sheet lines
 * balances at its end; `rollUp` is over the fiscal year. Retained earnings hold all results that no entry
 * has closed, as the form's balance sheet wants it. Accounts without a line, of another form, or below one
 * that goes elsewhere come first. `null` where the client's country and legal form have no known form.
 */
export const returnSheet = (chart: Chart, rollUp: RollUp, filer: Filer): ReturnSheet | null => {
  const form = returnFormOf(filer);
  const known = form === null ? undefined : RETURN_FORMS[form];
  if (form === null || known === undefined) return null;
  const sheet = new Sheet(form, filer, rollUp);
  for (const root of chart.roots) sheet.take(root, null);
  const results = chart.roots.reduce((sum, root) => {
    const { earlierYears, thisYear } = rollUp.results(root);
    return add(sum, add(earlierYears, thisYear));
  }, 0);
  const closing = usualReturnLine('retainedEarnings', filer);
  if (closing !== null) sheet.open(closing);
  const amounts = known.lines.flatMap((line): ReturnAmount[] =>
    [...sheet.mapped.values()]
      .filter(({ choice }) => choice.line === line.line)
      .sort((a, b) => a.choice.copy - b.choice.copy)
      .map(({ choice, accounts }) => {
        const credit = isCreditLine(line, accounts[0]?.kind ?? 'bank');
        const own = accounts.reduce((sum, { amount }) => add(sum, amount), 0);
        const closes = line.line === closing?.line && choice.copy === closing.copy;
        const debit = closes ? subtract(own, results) : own;
        const listed = accounts.map(({ id, amount, own: isOwn }) => ({
          id,
          own: isOwn,
          amount: credit ? negate(amount) : amount,
        }));
        return {
          line,
          copy: choice.copy,
          amount: credit ? negate(debit) : debit,
          accounts: listed,
          results: closes ? results : null,
        };
      }),
  );
  const idle = new Set(
    [...eachNode(chart.roots)]
      .filter((node) => isNoneAtAll(node, chart, rollUp))
      .map(({ account }) => account.id),
  );
  return { form, amounts, misplaced: sheet.misplaced.filter(({ id }) => !idle.has(id)) };
};
