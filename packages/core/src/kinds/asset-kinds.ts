import type { Kind } from './kind';

const asset = <const T extends Omit<Kind, 'element'>>(kind: T) =>
  ({ ...kind, element: 'asset' }) as const;

/** Kinds of assets, current ones first. */
export const ASSET_KINDS = {
  cashOnHand: asset({
    name: 'Cash on hand',
    shortName: 'Cash',
    sentence: 'Notes and coins: the till, petty cash, a float at a market stall.',
    caption: 'cashAndCashEquivalents',
    cashFlow: 'cash',
  }),
  bank: asset({
    name: 'Bank',
    shortName: 'Bank',
    sentence: 'An account at a bank: current, savings, a reserve set aside for tax.',
    caption: 'cashAndCashEquivalents',
    cashFlow: 'cash',
  }),
  clearing: asset({
    name: 'Clearing',
    shortName: 'Clearing',
    sentence:
      'Money on its way, or held for the client: card takings in transit, a marketplace’s balance before it pays out.',
    caption: 'cashAndCashEquivalents',
    cashFlow: 'cash',
  }),
  restrictedCash: asset({
    name: 'Restricted cash',
    shortName: 'Held',
    sentence:
      'Money that is not to be spent at will: a client trust account, tenants’ deposits, a reserve that a lender asks for.',
    caption: 'restrictedCash',
    cashFlow: 'operating',
  }),
  shortTermInvestment: asset({
    name: 'Short-term investment',
    shortName: 'Investment',
    sentence: 'Money put away for less than a year: a fixed deposit, a treasury bill.',
    caption: 'shortTermInvestments',
    cashFlow: 'investing',
  }),
  tradeReceivable: asset({
    name: 'Trade receivables',
    shortName: 'Receivable',
    sentence: 'What customers owe on invoices; each invoice and payment is matched.',
    caption: 'tradeReceivables',
    cashFlow: 'operating',
    usual: { openItems: true, controls: 'receivables' },
  }),
  receivableAllowance: asset({
    name: 'Allowance for doubtful receivables',
    shortName: 'Allowance',
    sentence: 'The part of the receivables that will likely never be paid; it reduces them.',
    caption: 'tradeReceivables',
    cashFlow: 'operating',
    contra: true,
  }),
  otherReceivable: asset({
    name: 'Other receivables',
    shortName: 'Receivable',
    sentence: 'Owed by others than customers: an advance to an employee, an insurance claim.',
    caption: 'otherReceivables',
    cashFlow: 'operating',
    usual: { openItems: true },
  }),
  inventory: asset({
    name: 'Inventory',
    shortName: 'Inventory',
    sentence: 'Goods for sale and what they are made of: finished goods, materials, packaging.',
    caption: 'inventories',
    cashFlow: 'operating',
    usual: { controls: 'inventory', systemPostedOnly: true },
  }),
  prepaidExpense: asset({
    name: 'Prepaid expenses',
    shortName: 'Prepaid',
    sentence: 'Paid now for later months: insurance, rent, a yearly licence.',
    caption: 'prepaidExpenses',
    cashFlow: 'operating',
  }),
  salesTaxRecoverable: asset({
    name: 'Sales tax recoverable',
    shortName: 'Tax',
    sentence: 'Tax on purchases that the tax office gives back or sets off.',
    caption: 'taxRecoverable',
    cashFlow: 'operating',
  }),
  incomeTaxRecoverable: asset({
    name: 'Income tax recoverable',
    shortName: 'Tax',
    sentence: 'Tax on profit that was paid ahead or too much, and comes back or is set off.',
    caption: 'incomeTaxRecoverable',
    cashFlow: 'operating',
  }),
  otherCurrentAsset: asset({
    name: 'Other current asset',
    shortName: 'Other asset',
    sentence: 'Turns into cash within a year and fits nothing above.',
    caption: 'otherCurrentAssets',
    cashFlow: 'operating',
  }),
  propertyAndEquipment: asset({
    name: 'Land, property and equipment',
    shortName: 'Equipment',
    sentence: 'Used for years, at cost: land, buildings, machines, vehicles, furniture.',
    caption: 'propertyAndEquipment',
    cashFlow: 'investing',
  }),
  accumulatedDepreciation: asset({
    name: 'Accumulated depreciation',
    shortName: 'Depreciated',
    sentence: 'The cost of property and equipment used up so far; it reduces them.',
    caption: 'propertyAndEquipment',
    cashFlow: 'operating',
    contra: true,
  }),
  leaseAsset: asset({
    name: 'Right to use what is leased',
    shortName: 'Leased',
    sentence:
      'The right to use premises, vehicles or machines under a lease that the balance sheet has to show.',
    caption: 'leaseAssets',
    cashFlow: 'investing',
  }),
  intangibleAsset: asset({
    name: 'Intangible asset',
    shortName: 'Intangible',
    sentence: 'Of value without substance: software bought, a trade mark, goodwill.',
    caption: 'intangibleAssets',
    cashFlow: 'investing',
  }),
  accumulatedAmortisation: asset({
    name: 'Accumulated amortisation',
    shortName: 'Amortised',
    sentence: 'The cost of intangible assets used up so far; it reduces them.',
    caption: 'intangibleAssets',
    cashFlow: 'operating',
    contra: true,
  }),
  longTermInvestment: asset({
    name: 'Long-term investment',
    shortName: 'Investment',
    sentence: 'Held for longer than a year: shares in another firm, bonds.',
    caption: 'longTermInvestments',
    cashFlow: 'investing',
  }),
  loanGiven: asset({
    name: 'Loans and deposits given',
    shortName: 'Loan given',
    sentence: 'To come back after more than a year: a rent deposit, a loan to an owner.',
    caption: 'loansGiven',
    cashFlow: 'investing',
  }),
  otherNonCurrentAsset: asset({
    name: 'Other non-current asset',
    shortName: 'Other asset',
    sentence: 'Kept for longer than a year and fits nothing above.',
    caption: 'otherNonCurrentAssets',
    cashFlow: 'investing',
  }),
} as const;
