import type { StartingModule } from '../../countries/starting-account';
import type { Industry } from '../starting-chart';
import { CARD_TAKINGS, COUNTER, RETURNS } from './selling';
import { STOCK } from './shared';

const SHOP: StartingModule = {
  name: 'Shop',
  accounts: [
    { slot: 'equipment', name: 'Shop fittings', kind: 'propertyAndEquipment', guidance: 'Shelves, counter, lighting, sign.' },
    { slot: 'cost', name: 'Bags and wrapping', kind: 'costOfSales', use: 'otherDirect', guidance: 'Given to customers with what they buy.' },
  ],
}; // prettier-ignore

const MARKET: StartingModule = {
  name: 'Selling without a store of goods',
  accounts: [
    { slot: 'sales', name: 'Sales on order', kind: 'saleOfGoods', guidance: 'Sold on order and delivered by the supplier, without sales tax.' },
    { slot: 'otherSales', name: 'Commissions earned', kind: 'services', guidance: 'Earned on goods that stay the supplier’s until sold.' },
    { slot: 'cost', name: 'Goods bought on order', kind: 'costOfSales', guidance: 'Bought for a sale that was made.' },
    { slot: 'payables', name: 'Owed to consignors', kind: 'tradePayable', guidance: 'What is due to the owners of goods sold for them.' },
  ],
}; // prettier-ignore

const KITCHEN: StartingModule = {
  name: 'Kitchen and bar',
  accounts: [
    { slot: 'stock', name: 'Food in store', kind: 'inventory', guidance: 'In cold rooms and pantry, counted at month end.' },
    { slot: 'stock', name: 'Drinks in store', kind: 'inventory', guidance: 'Cellar and bar, counted at month end.' },
    { slot: 'equipment', name: 'Kitchen equipment', kind: 'propertyAndEquipment', guidance: 'Ranges, ovens, refrigerators.' },
    { slot: 'equipment', name: 'Furniture and tableware', kind: 'propertyAndEquipment', guidance: 'First equipment; what is replaced goes to expense.' },
    { slot: 'sales', name: 'Food sales', kind: 'saleOfGoods', guidance: 'Meals, without sales tax and tips.' },
    { slot: 'sales', name: 'Drink sales', kind: 'saleOfGoods', guidance: 'Drinks, without sales tax and tips.' },
    { slot: 'otherSales', name: 'Catering and events', kind: 'services', guidance: 'Functions on or off the premises.' },
    { slot: 'cost', name: 'Food', kind: 'costOfSales', guidance: 'Used in meals sold. Staff meals are under People.' },
    { slot: 'cost', name: 'Drinks', kind: 'costOfSales', guidance: 'Used in drinks sold.' },
    { slot: 'cost', name: 'Kitchen wages', kind: 'costOfSales', use: 'directWages', guidance: 'Pay of those who cook. Service and office are under People.' },
    { slot: 'cost', name: 'Delivery commissions', kind: 'costOfSales', use: 'otherDirect', guidance: 'Kept by delivery services. Book the meal before it.' },
    { slot: 'people', name: 'Staff meals', kind: 'operatingExpense', use: 'benefits', guidance: 'Food and drink for employees.' },
    { slot: 'premises', name: 'Laundry and cleaning supplies', kind: 'operatingExpense', use: 'supplies', guidance: 'Linen, uniforms, detergents.' },
    { slot: 'office', name: 'Licences and permits', kind: 'operatingExpense', use: 'licences', guidance: 'Health, alcohol, music.' },
  ],
}; // prettier-ignore

/** A shop that keeps a store of goods. */
export const RETAIL: Industry = {
  name: 'Shop with stock',
  sentence: 'Buys goods, keeps them in store and sells them over the counter.',
  naics: ['44', '45'],
  words: 'retail store shop boutique grocer hardware bookshop clothing furniture florist',
  modules: [COUNTER, CARD_TAKINGS, STOCK, RETURNS, SHOP],
};

/** A seller who keeps no goods. */
export const RETAIL_WITHOUT_STOCK: Industry = {
  name: 'Shop without stock',
  sentence: 'Sells on order or on commission, and owns no goods until they are sold.',
  naics: ['4539', '425'],
  words: 'consignment dropship order commission antiques gallery agent broker',
  modules: [COUNTER, CARD_TAKINGS, MARKET, RETURNS],
};

/** A place where people eat and drink. */
export const RESTAURANT: Industry = {
  name: 'Restaurant, café or bar',
  sentence: 'Cooks and serves, with tips, a till and card takings.',
  naics: ['722'],
  words: 'restaurant cafe bar pub diner bakery coffee food truck catering takeaway',
  modules: [COUNTER, CARD_TAKINGS, KITCHEN],
};
