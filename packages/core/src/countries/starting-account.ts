import type { KindCode } from '../kinds/kinds';

/** What a client may have, and with it the accounts that it needs. */
export const TOPICS = [
  'stock',
  'wages',
  'salesTax',
  'provincialTax',
  'tips',
  'deposits',
  'vehicles',
  'loans',
  'fixedAssets',
  'foreignCurrency',
  'donations',
] as const;
export type Topic = (typeof TOPICS)[number];

/**
 * The groups to which starting accounts belong, each a main account of the starting chart.
 * `range` is the leading number of the range in which the group is numbered.
 */
export interface Slot {
  readonly name: string;
  readonly kind: KindCode;
  readonly range: number;
  readonly guidance: string;
}

const slot = (range: number, name: string, kind: KindCode, guidance: string): Slot => ({
  range,
  name,
  kind,
  guidance,
});

/** The slots in chart order; the number of a slot comes from its range and its place there. */
export const SLOTS = {
  cash: slot(1000, 'Cash and bank', 'bank', 'Money at hand, at the bank and on its way.'),
  receivables: slot(1000, 'Receivables', 'tradeReceivable', 'What others owe.'),
  stock: slot(1000, 'Inventory', 'inventory', 'Goods and materials not yet sold.'),
  prepaid: slot(1000, 'Prepaid and recoverable', 'prepaidExpense', 'Paid ahead, or to come back.'),
  equipment: slot(1000, 'Property and equipment', 'propertyAndEquipment', 'Used for years.'),
  longTerm: slot(1000, 'Deposits and intangibles', 'loanGiven', 'Kept for more than a year.'),
  payables: slot(2000, 'Payables', 'tradePayable', 'Owed to suppliers and on cards.'),
  taxes: slot(2000, 'Taxes payable', 'salesTaxPayable', 'Owed to tax offices.'),
  payrollDue: slot(2000, 'Payroll payable', 'payrollPayable', 'Owed to and for employees.'),
  accrued: slot(2000, 'Accrued and deferred', 'accruedExpense', 'Used but unbilled; paid ahead.'),
  loans: slot(2000, 'Loans', 'longTermBorrowing', 'Borrowed money still to be repaid.'),
  equity: slot(3000, 'Equity', 'ownersCapital', 'What belongs to the owners.'),
  sales: slot(4000, 'Sales', 'saleOfGoods', 'What the business is there to earn.'),
  otherSales: slot(4000, 'Other revenue', 'otherOperatingRevenue', 'Earned beside the main trade.'),
  cost: slot(5000, 'Cost of sales', 'costOfSales', 'Rises and falls with sales.'),
  people: slot(6000, 'People', 'operatingExpense', 'Wages, and what comes with them.'),
  premises: slot(6000, 'Premises', 'operatingExpense', 'The place of business.'),
  vehicles: slot(6000, 'Vehicles and travel', 'operatingExpense', 'Getting about.'),
  marketing: slot(6000, 'Marketing and selling', 'operatingExpense', 'Finding customers.'),
  office: slot(6000, 'Office and administration', 'operatingExpense', 'Running the business.'),
  wear: slot(6000, 'Depreciation', 'depreciation', 'The using up of equipment.'),
  otherIncome: slot(8000, 'Other income', 'investmentIncome', 'Earned outside the trade.'),
  otherCosts: slot(8000, 'Finance and other costs', 'financeCost', 'Spent outside the trade.'),
  incomeTax: slot(8000, 'Income tax', 'incomeTax', 'Tax on the company’s profit.'),
} as const satisfies Record<string, Slot>;

export type SlotCode = keyof typeof SLOTS;

/** An account that a module brings along, under the heading of its slot. */
export interface StartingAccount {
  readonly slot: SlotCode;
  readonly name: string;
  readonly kind: KindCode;
  readonly guidance: string;
  readonly systemUse?: 'retainedEarnings';
  /** The answer on which it depends, where its kind and group do not say so. */
  readonly asked?: Topic;
  /** What it is on a return, more exactly than its kind says. */
  readonly use?: ReturnUse;
  /** Left out where another account of the chart has the same use. */
  readonly unlessUsed?: true;
}

/** A set of accounts that belong together: the base, a way of trading, a legal form. */
export interface StartingModule {
  readonly name: string;
  readonly accounts: readonly StartingAccount[];
}

/** What money is spent on or comes from, as returns tell it apart. */
export type ReturnUse =
  | 'advertising' | 'vehicles' | 'wages' | 'payrollTaxes' | 'benefits' | 'pension' | 'insurance' | 'professional'
  | 'office' | 'supplies' | 'telephone' | 'rent' | 'landRent' | 'hire' | 'utilities' | 'repairs' | 'travel' | 'meals'
  | 'commissions' | 'bank' | 'licences' | 'propertyTaxes' | 'contractors' | 'officers' | 'guaranteed' | 'badDebts'
  | 'management' | 'mortgageInterest' | 'land' | 'buildings' | 'softwareWear' | 'delivery' | 'dividends'
  | 'ownersLoan' | 'equipmentSold'
  | 'directWages' | 'directContractors' | 'materials' | 'otherDirect'
  | 'produce' | 'programmes' | 'customIncome' | 'seed' | 'fertiliser' | 'feed' | 'breeding'; // prettier-ignore
