import type { StartingModule } from '../../countries/starting-account';

/** Goods bought and sold again. */
export const STOCK: StartingModule = {
  name: 'Goods for sale',
  accounts: [
    { slot: 'stock', name: 'Goods for resale', kind: 'inventory', guidance: 'Bought and not yet sold, at cost with freight.' },
    { slot: 'sales', name: 'Sales of goods', kind: 'saleOfGoods', guidance: 'Goods sold, without sales tax.' },
    { slot: 'cost', name: 'Goods sold', kind: 'costOfSales', guidance: 'The cost of goods that left the store.' },
    { slot: 'cost', name: 'Freight in', kind: 'costOfSales', use: 'otherDirect', guidance: 'Carriage of goods sold; of goods in store it belongs to their cost.' },
    { slot: 'cost', name: 'Stock lost or written down', kind: 'costOfSales', use: 'otherDirect', guidance: 'Missing at the count, damaged, unsaleable.' },
  ],
}; // prettier-ignore

/** Goods sold beside the main trade: products at a salon, parts at a workshop. */
export const SIDE_GOODS: StartingModule = {
  name: 'Goods sold beside',
  accounts: [
    { slot: 'stock', name: 'Products for sale', kind: 'inventory', guidance: 'Bought to be sold on, and not yet sold.' },
    { slot: 'otherSales', name: 'Product sales', kind: 'saleOfGoods', guidance: 'Products sold to customers, without sales tax.' },
    { slot: 'cost', name: 'Products sold', kind: 'costOfSales', guidance: 'The cost of products sold to customers.' },
  ],
}; // prettier-ignore

/** Work paid for before it is done. */
export const DEPOSITS: StartingModule = {
  name: 'Customer deposits',
  accounts: [
    { slot: 'accrued', name: 'Customer deposits', kind: 'deferredRevenue', guidance: 'Paid by customers before the work is done. Revenue only then.' },
  ],
}; // prettier-ignore

/** Patients and clients who are treated and billed, by themselves or by an insurer. */
export const PRACTICE: StartingModule = {
  name: 'Treatment',
  accounts: [
    { slot: 'receivables', name: 'Owed by insurers', kind: 'tradeReceivable', guidance: 'Claims sent to insurers and not yet paid.' },
    { slot: 'accrued', name: 'Patients’ credit balances', kind: 'deferredRevenue', guidance: 'Paid ahead, or too much; owed back or worked off.' },
    { slot: 'equipment', name: 'Treatment equipment', kind: 'propertyAndEquipment', guidance: 'Chairs, tables, instruments meant to last for years.' },
    { slot: 'sales', name: 'Insurers’ adjustments', kind: 'returnsAndDiscounts', guidance: 'What insurers do not allow of the fee. It reduces fees.' },
    { slot: 'cost', name: 'Treatment supplies', kind: 'costOfSales', use: 'materials', guidance: 'Used up in treatment: gloves, dressings, disposables.' },
    { slot: 'people', name: 'Licences and continuing education', kind: 'operatingExpense', guidance: 'Professional licences, courses, journals.' },
    { slot: 'office', name: 'Malpractice insurance', kind: 'operatingExpense', use: 'insurance', guidance: 'Cover for errors in treatment.' },
  ],
}; // prettier-ignore

/** People who pay to belong or to come for a term. */
export const MEMBERS: StartingModule = {
  name: 'Members',
  accounts: [
    { slot: 'receivables', name: 'Subscriptions owed', kind: 'tradeReceivable', guidance: 'Due from members and not yet paid.' },
    { slot: 'accrued', name: 'Subscriptions paid in advance', kind: 'deferredRevenue', guidance: 'Members’ money for months to come; revenue month by month.' },
    { slot: 'sales', name: 'Membership subscriptions', kind: 'services', guidance: 'What members owe for this period, and no later one.' },
  ],
}; // prettier-ignore

/** Gifts, free and bound. */
export const GIFTS: StartingModule = {
  name: 'Gifts and grants',
  accounts: [
    { slot: 'receivables', name: 'Pledges receivable', kind: 'otherReceivable', guidance: 'Promised in writing and not yet paid.' },
    { slot: 'equity', name: 'Net assets with donor restrictions', kind: 'netAssetsWithRestrictions', guidance: 'Given for one purpose or a later time, until it is used so.' },
    { slot: 'sales', name: 'Donations', kind: 'grantsAndDonations', guidance: 'Given without anything in return.' },
    { slot: 'sales', name: 'Released from restriction', kind: 'grantsAndDonations', guidance: 'Restricted gifts used for their purpose: to the credit here and to the debit of restricted donations, so that income as a whole stays the same.' },
    { slot: 'sales', name: 'Restricted donations', kind: 'grantsAndDonations', guidance: 'Given for a purpose that the donor named.' },
    { slot: 'sales', name: 'Grants', kind: 'grantsAndDonations', guidance: 'From foundations and public bodies.' },
    { slot: 'otherSales', name: 'Events and collections', kind: 'otherOperatingRevenue', guidance: 'Fairs, dinners, raffles, before their costs.' },
    { slot: 'cost', name: 'Programme costs', kind: 'costOfSales', guidance: 'Spent on the purpose itself.' },
    { slot: 'marketing', name: 'Fundraising', kind: 'operatingExpense', guidance: 'Spent to raise money: print, mailing, events.' },
  ],
}; // prettier-ignore
