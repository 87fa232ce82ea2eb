import type { AccountId } from '../chart/account';
import type { Chart } from '../chart/chart';
import { fiscalYearStart, type Month } from '../dates/month';
import { chartUse } from '../ledger/chart-use';
import type { MonthlyAmounts } from '../ledger/monthly';
import type { OpenItemSum } from '../ledger/open-items';
import type { PlacedJudge } from '../matching/learned/judge-placed';
import { returnSheet } from '../returns/return-sheet';
import type { PostedWords } from '../postings/posted-words';
import type { Filer } from '../settings/return-forms';
import type { Spelling } from '../spelling/spelling';
import type { OwnLayout } from '../statements/own/own-layout';
import { tableBooks } from '../statements/table-books';
import { lookAt } from './all-rules';
import type { LookedAt } from './finding';
import { rulesBy, type RuleWishes } from './rule-wishes';

/** What is known of a client besides its chart, by which the chart is looked through. */
export interface KnownBooks {
  readonly filer: Filer;
  /** The month (1–12) with which the fiscal year begins. */
  readonly startsIn: number;
  readonly monthly: MonthlyAmounts;
  readonly layouts: readonly OwnLayout[];
  /** What the open items of accounts come to, by the lists that were brought. */
  readonly openItems: readonly OpenItemSum[];
  /** The accounts to which routes and standing entries post. */
  readonly routed: ReadonlySet<AccountId>;
  readonly practice: RuleWishes;
  readonly client: RuleWishes;
  /** What was said of postings; `null` for nothing. */
  readonly posted: PostedWords | null;
  /** By what names are spelled, without the words that the two say are right; `null` for nothing. */
  readonly spelling: Spelling | null;
  readonly judge: PlacedJudge | null;
  /** Makes the identity of something that a fix adds. */
  newId(): string;
}

/** A chart with its books, to be looked at as they stood at the end of a month. */
export const lookAtBooks = (chart: Chart, books: KnownBooks, through: Month): LookedAt => {
  const { filer, startsIn, monthly, layouts, routed, judge, spelling, newId, posted } = books;
  const { openItems } = books;
  const { words, limits, severities } = rulesBy(books.practice, books.client);
  const first = fiscalYearStart(through, startsIn);
  const rollUp = tableBooks(monthly, startsIn).rollUp({ first, last: through });
  return lookAt(chart, {
    use: chartUse(monthly, through),
    returned: { sheet: returnSheet(chart, rollUp, filer), filer },
    ...{ layouts, openItems, routed, startsIn, judge, limits, severities, newId, posted },
    country: filer.country,
    spelling: spelling === null ? null : { ...spelling, own: new Set(words) },
  });
};
