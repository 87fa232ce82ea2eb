import type { Account } from '../chart/account';
import type { Chart } from '../chart/chart';
import { eachNode } from '../chart/queries';
import type { KindCode } from '../kinds/kinds';

/** What a client does that some purposes depend on; `always` for what everybody does. */
export type Want =
  'always' | 'sells' | 'stock' | 'credit' | 'salesTax' | 'payouts' | 'foreignCurrency' | 'wages';

/** What an amount is there for, and which accounts take it. */
export interface PurposeRule {
  /** The kinds that suit, the likeliest first. */
  readonly kinds: readonly [KindCode, ...KindCode[]];
  /** Words in a name that speak for an account among those. */
  readonly words: RegExp;
  readonly want: Want;
}

const rule = (kinds: PurposeRule['kinds'], words: RegExp, want: Want = 'always'): PurposeRule => ({
  kinds,
  words,
  want,
});

const COSTS: PurposeRule['kinds'] = ['operatingExpense', 'costOfSales', 'otherExpense'];

/** Every purpose that an account can be the default for, in the order in which they are shown. Common practice, no source. */
export const PURPOSES = {
  bank: rule(['bank', 'cashOnHand'], /\b(checking|current|operating|main|business|bank)\b/i),
  cash: rule(['cashOnHand'], /\b(till|cash|petty)\b/i, 'sells'),
  sale: rule(['saleOfGoods', 'services', 'grantsAndDonations', 'otherOperatingRevenue'], /\b(sales?|fees?|revenue|income|services?|subscriptions?|dues|donations?)\b/i),
  saleReturn: rule(['returnsAndDiscounts'], /\b(returns?|refunds?|allowances)\b/i, 'sells'),
  discountGiven: rule(['returnsAndDiscounts'], /\bdiscounts?\b/i, 'sells'),
  receivable: rule(['tradeReceivable'], /\b(receivables?|debtors|customers)\b/i, 'credit'),
  purchase: rule(['operatingExpense', 'costOfSales', 'otherExpense'], /\b(supplies|purchases|materials|general|office)\b/i),
  discountTaken: rule(['otherOperatingRevenue', 'costOfSales', 'operatingExpense', 'gains'], /\bdiscounts?\b/i, 'credit'),
  payable: rule(['tradePayable'], /\b(payables?|creditors|suppliers)\b/i, 'credit'),
  inventory: rule(['inventory'], /\b(goods|stock|inventory|merchandise|materials)\b/i, 'stock'),
  costOfSales: rule(['costOfSales'], /\b(cost|goods|materials|sold)\b/i, 'stock'),
  salesTaxOwed: rule(['salesTaxPayable'], /\b(sales tax|vat|gst|hst|output)\b/i, 'salesTax'),
  salesTaxPaid: rule(['salesTaxRecoverable', 'salesTaxPayable'], /\b(recoverable|input|paid|reclaim)\b/i, 'salesTax'),
  wages: rule(['operatingExpense', 'costOfSales'], /\b(wages|salar(y|ies)|payroll)\b/i, 'wages'),
  holding: rule(['clearing'], /\b(marketplace|processor|card|clearing|payouts?|takings)\b/i, 'payouts'),
  heldBack: rule(['otherReceivable', 'clearing', 'otherCurrentAsset'], /\b(reserve|held|retained by)\b/i, 'payouts'),
  sellingFee: rule(COSTS, /\b(fees?|commissions?)\b/i, 'payouts'),
  bankCharge: rule(['operatingExpense', 'financeCost', 'otherExpense'], /\b(bank(ing)?|account) (charges?|fees?)\b/i),
  interestPaid: rule(['financeCost', 'operatingExpense'], /\binterest\b/i),
  interestEarned: rule(['investmentIncome', 'otherOperatingRevenue'], /\binterest\b/i),
  rounding: rule(['otherExpense', 'operatingExpense'], /\b(rounding|sundry|over and short|miscellaneous)\b/i),
  exchangeDifference: rule(['gains', 'otherExpense', 'financeCost'], /\b(exchange|currency)\b/i, 'foreignCurrency'),
  drawings: rule(['drawings', 'dueToOwner'], /\b(drawings?|draws?|distributions?|dividends?|owner)\b/i),
  openingEquity: rule(['openingBalanceEquity'], /\bopening\b/i),
  retainedEarnings: rule(['retainedEarnings', 'netAssetsWithoutRestrictions'], /./),
} as const satisfies Record<string, PurposeRule>; // prettier-ignore

export type Purpose = keyof typeof PURPOSES;

/** Every purpose, in the order in which they are shown. */
export const PURPOSE_CODES = Object.keys(PURPOSES) as [Purpose, ...Purpose[]];

const HAS: Readonly<Partial<Record<KindCode, Want>>> = {
  saleOfGoods: 'sells',
  inventory: 'stock',
  tradeReceivable: 'credit',
  tradePayable: 'credit',
  salesTaxPayable: 'salesTax',
  salesTaxRecoverable: 'salesTax',
  clearing: 'payouts',
  payrollPayable: 'wages',
};

const isOpenPosting = ({ role, retiredOn }: Account): boolean =>
  role === 'posting' && retiredOn === null;

/** What a client does, as the accounts of its chart tell. `currency` is the books', ISO 4217. */
export const doneHere = (chart: Chart, currency: string): ReadonlySet<Want> => {
  const done = new Set<Want>(['always']);
  for (const { account } of eachNode(chart.roots)) {
    if (!isOpenPosting(account)) continue;
    const want = HAS[account.kind];
    if (want !== undefined) done.add(want);
    const own = account.settings.currency;
    if (own !== undefined && own !== currency) done.add('foreignCurrency');
  }
  return done;
};

/** Whether an account can be the default for a purpose: it takes postings, and is of a kind that suits. */
export const suits = (account: Account, purpose: Purpose): boolean =>
  isOpenPosting(account) && PURPOSES[purpose].kinds.includes(account.kind);

/** Kinds of which a chart has many accounts: there the kind alone says too little. */
const BROAD: readonly KindCode[] = [
  'operatingExpense',
  'costOfSales',
  'otherExpense',
  'financeCost',
  'otherOperatingRevenue',
  'gains',
];

/** The account that a chart itself offers for a purpose: by its words first, then by its kind; `undefined` for none. */
export const offeredFor = (chart: Chart, purpose: Purpose): Account | undefined => {
  const { kinds, words } = PURPOSES[purpose];
  const rank = ({ kind, name }: Account): number =>
    (kinds as readonly KindCode[]).indexOf(kind) + (words.test(name) ? 0 : kinds.length);
  const speaks = ({ kind, name }: Account): boolean =>
    words.test(name) || (kind === kinds[0] && !BROAD.includes(kind));
  return [...eachNode(chart.roots)]
    .map(({ account }) => account)
    .filter((account) => suits(account, purpose) && speaks(account))
    .reduce<Account | undefined>(
      (best, account) => (best === undefined || rank(account) < rank(best) ? account : best),
      undefined,
    );
};
