import type { AccountId } from '../chart/account';
import type { Chart } from '../chart/chart';
import type { DimensionValues } from '../dimensions/dimension';
import type { CalendarDate } from '../dates/calendar-date';
import { COMMENT_LIMIT, type EntryLine, type NewEntry } from '../entries/entry';
import { add, negate, type Minor } from '../money/minor';
import { accountOf } from '../chart/queries';
import type { TaxCode } from './route-item';
import { defaultAccount, type RouteContext, type TakenLine } from './route-line';
import { netAndTax, type NetAndTax } from './sales-tax';

/** A line of a bank account or of a marketplace's statement on its day. */
export interface DatedLine extends TakenLine {
  /** By which it is known again, wherever it is read. */
  readonly id: string;
  readonly date: CalendarDate;
}

/** Where a line is posted. */
export interface LineTarget {
  /** The account that the line stands in: the bank's, or what a marketplace holds. */
  readonly atId: AccountId;
  /** The account on the other side. */
  readonly accountId: AccountId;
  readonly taxCode: TaxCode | null;
}

/** The values that postings on an account carry where nothing else is said. */
const usualValues = (chart: Chart, id: AccountId): DimensionValues =>
  Object.fromEntries(
    (accountOf(chart, id)?.settings.dimensions ?? []).flatMap(({ dimensionId, valueId }) =>
      valueId === null ? [] : [[dimensionId, valueId]],
    ),
  );

const lineOn =
  (chart: Chart) =>
  (accountId: AccountId, amount: Minor): EntryLine => ({
    accountId,
    amount,
    values: usualValues(chart, accountId),
    comment: '',
    foreign: null,
  });

/** The account for the tax within an amount; `null` where it is part of the cost, or no account is named for it. */
const taxAccount = (
  amount: Minor,
  { reclaims }: TaxCode,
  context: RouteContext,
): AccountId | null =>
  amount < 0 && !reclaims
    ? null
    : defaultAccount(amount > 0 ? 'salesTaxOwed' : 'salesTaxPaid', context);

/** A line's amount as net and tax, and where the tax goes: `null` where there is none to be told apart. */
const apart = (
  amount: Minor,
  taxCode: TaxCode | null,
  context: RouteContext,
): NetAndTax & { readonly taxId: AccountId | null } => {
  const taxId = taxCode === null ? null : taxAccount(amount, taxCode, context);
  return { taxId, ...netAndTax(amount, taxId === null ? '' : (taxCode?.rate ?? '')) };
};

/** The sales tax that is taken out of an amount, with the amount's sign. */
export const taxWithin = (amount: Minor, taxCode: TaxCode | null, context: RouteContext): Minor =>
  apart(amount, taxCode, context).tax;

/** The other side of a line: one account, or net and tax. Comes to the line's amount, always. */
export const otherSide = (
  amount: Minor,
  { accountId, taxCode }: LineTarget,
  context: RouteContext,
): readonly EntryLine[] => {
  const { taxId, net, tax } = apart(amount, taxCode, context);
  const entryLine = lineOn(context.chart);
  const lines = [entryLine(accountId, negate(net))];
  return taxId === null || tax === 0 ? lines : [...lines, entryLine(taxId, negate(tax))];
};

/** The entry as which a line is posted. */
export const entryOfLine = (
  line: DatedLine,
  target: LineTarget,
  context: RouteContext,
): NewEntry => ({
  date: line.date,
  source: 'bank',
  comment: line.text.slice(0, COMMENT_LIMIT),
  lines: [
    lineOn(context.chart)(target.atId, line.amount),
    ...otherSide(line.amount, target, context),
  ],
});

/** Several lines as one entry: what goes to one account is summed up. */
export const entryOfLines = (
  lines: readonly { readonly line: DatedLine; readonly target: LineTarget }[],
  head: { readonly date: CalendarDate; readonly comment: string },
  context: RouteContext,
): NewEntry => {
  const sums = new Map<AccountId, Minor>();
  const count = (id: AccountId, amount: Minor): unknown =>
    sums.set(id, add(sums.get(id) ?? 0, amount));
  for (const { line, target } of lines) {
    count(target.atId, line.amount);
    for (const { accountId, amount } of otherSide(line.amount, target, context))
      count(accountId, amount);
  }
  return {
    ...head,
    source: 'sales',
    lines: [...sums]
      .filter(([, amount]) => amount !== 0)
      .map(([id, amount]) => lineOn(context.chart)(id, amount)),
  };
};
