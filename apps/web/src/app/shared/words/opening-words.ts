import {
  accountOf,
  entryOf,
  formatAmount,
  isPostable,
  knownAccount,
  sidesOf,
  titleOf,
  type AccountId,
  type Chart,
  type OpeningPlan,
  type PlannedOpening,
} from '@iunctus/core';
import { longMonth } from './period-words';
import { counted } from './counted';

const WHY: Readonly<Record<OpeningPlan['refused'][number]['why'], string>> = {
  gone: $localize`is not in the chart as proposed`,
  heading: $localize`is a heading`,
  retired: $localize`is retired`,
  wantsDimension: $localize`demands a dimension value and has none by default`,
};

/** Refusals that are listed one by one. */
const LISTED = 12;

/** How an account of an opening is called. */
export type Caller = (id: AccountId) => string;

/** Calls accounts by number and name as the first chart that has them does. */
export const callerIn =
  (...charts: readonly Chart[]): Caller =>
  (id) => {
    const found = charts.map((chart) => accountOf(chart, id) ?? knownAccount(chart, id));
    const account = found.find((one) => one !== undefined);
    return account === undefined ? $localize`An account of the list` : titleOf(account);
  };

/** What listed balances will be posted as, in a sentence. */
export const openingWords = (
  { opening, plan }: Pick<PlannedOpening, 'opening' | 'plan'>,
  currency: string,
  called: Caller,
): string => {
  const when = $localize`at the end of ${longMonth(opening.last)}, from ${opening.list}`;
  const count = plan.lines.length;
  if (count === 0 && plan.refused.length === 0)
    return $localize`Opening balances ${when}:when:: the books have them already.`;
  const accounts = counted(count, { one: $localize`# account`, other: $localize`# accounts` });
  if (!isPostable(plan)) return $localize`Opening balances ${when}:when:: ${accounts}.`;
  const amount = formatAmount(sidesOf(entryOf(plan)).debit, { currency, zero: '0' });
  const open =
    plan.difference === 0 || plan.equityId === null
      ? ''
      : $localize`, of which ${formatAmount(Math.abs(plan.difference), { currency })} goes to ${called(plan.equityId)}`;
  return $localize`Opening balances ${when}:when:: ${accounts}, ${amount} on each side${open}.`;
};

/** Why listed balances cannot be posted; empty when they can. */
export const openingProblems = (
  { lines, refused, difference, equityId }: OpeningPlan,
  currency: string,
  called: Caller,
): readonly string[] => {
  const named = refused
    .slice(0, LISTED)
    .map(
      ({ accountId, why }) =>
        $localize`${called(accountId)} ${WHY[why]}, so nothing can be posted to it.`,
    );
  const more = refused.length - named.length;
  const unnamed = more > 0 ? [$localize`${more} more accounts take no postings.`] : [];
  const homeless =
    lines.length > 0 && difference !== 0 && equityId === null
      ? [
          $localize`The balances leave ${formatAmount(Math.abs(difference), { currency })} open, and no account is of the kind Opening balance equity to take it.`,
        ]
      : [];
  return [...named, ...unnamed, ...homeless];
};
