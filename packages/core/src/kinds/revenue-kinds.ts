import type { Kind } from './kind';

const revenue = <const T extends Omit<Kind, 'element'>>(kind: T) =>
  ({ ...kind, element: 'revenue' }) as const;

/** Kinds of revenue, operating ones first. */
export const REVENUE_KINDS = {
  saleOfGoods: revenue({
    name: 'Sale of goods',
    shortName: 'Sales',
    sentence: 'Things sold to customers, over the counter, online or wholesale.',
    caption: 'saleOfGoods',
    cashFlow: 'operating',
  }),
  services: revenue({
    name: 'Services',
    shortName: 'Services',
    sentence: 'Work done for customers: fees, tours, repairs, tuition, commissions.',
    caption: 'saleOfServices',
    cashFlow: 'operating',
  }),
  returnsAndDiscounts: revenue({
    name: 'Returns and discounts',
    shortName: 'Returns',
    sentence: 'Goods taken back, allowances and discounts given; it reduces sales.',
    caption: 'returnsAndDiscounts',
    cashFlow: 'operating',
    contra: true,
  }),
  grantsAndDonations: revenue({
    name: 'Grants and donations',
    shortName: 'Grants',
    sentence: 'Given without goods or services in return.',
    caption: 'grantsAndDonations',
    cashFlow: 'operating',
  }),
  otherOperatingRevenue: revenue({
    name: 'Other operating revenue',
    shortName: 'Other',
    sentence: 'From the trade, but not its main business: a room let, scrap sold.',
    caption: 'otherOperatingRevenue',
    cashFlow: 'operating',
  }),
  investmentIncome: revenue({
    name: 'Interest and investment income',
    shortName: 'Interest',
    sentence: 'Earned on money: bank interest, dividends received.',
    caption: 'investmentIncome',
    cashFlow: 'operating',
  }),
  gains: revenue({
    name: 'Gains',
    shortName: 'Gains',
    sentence: 'Outside the trade: equipment sold above its book value, exchange gains.',
    caption: 'gains',
    cashFlow: 'operating',
  }),
} as const;
