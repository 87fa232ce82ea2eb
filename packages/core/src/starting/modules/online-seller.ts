import type { StartingModule } from '../../countries/starting-account';
import type { Industry } from '../starting-chart';
import { CARD_TAKINGS, RETURNS } from './selling';

const ONLINE: StartingModule = {
  name: 'Selling goods online',
  accounts: [
    { slot: 'cash', name: 'Marketplace balance', kind: 'clearing', guidance: 'Held by the marketplace until it pays out. Sales and fees pass through here; it is not revenue.' },
    { slot: 'stock', name: 'Goods for resale', kind: 'inventory', guidance: 'Bought and not yet sold, at cost with freight and duty.' },
    { slot: 'stock', name: 'Goods on the way', kind: 'inventory', guidance: 'Paid for or shipped by the supplier and not yet in the store.' },
    { slot: 'prepaid', name: 'Supplier deposits', kind: 'prepaidExpense', guidance: 'Paid to suppliers before they deliver.' },
    { slot: 'accrued', name: 'Customer prepayments', kind: 'deferredRevenue', guidance: 'Orders paid for and not yet shipped.' },
    { slot: 'sales', name: 'Own shop sales', kind: 'saleOfGoods', guidance: 'Through the business’s own website, before fees.' },
    { slot: 'sales', name: 'Marketplace sales', kind: 'saleOfGoods', guidance: 'Through marketplaces, before their fees: book the whole sale, then the fee.' },
    { slot: 'sales', name: 'Shipping charged', kind: 'services', guidance: 'Charged to buyers for sending their parcels.' },
    { slot: 'cost', name: 'Goods sold', kind: 'costOfSales', guidance: 'The cost of goods that left the store.' },
    { slot: 'cost', name: 'Freight in and import duty', kind: 'costOfSales', use: 'otherDirect', guidance: 'Of goods sold; of goods in store it belongs to their cost.' },
    { slot: 'cost', name: 'Shipping to customers', kind: 'costOfSales', use: 'otherDirect', guidance: 'Paid to carriers for parcels sent.' },
    { slot: 'cost', name: 'Packaging', kind: 'costOfSales', use: 'otherDirect', guidance: 'Boxes, tape and filling.' },
    { slot: 'cost', name: 'Stock lost or written down', kind: 'costOfSales', use: 'otherDirect', guidance: 'Missing at the count, damaged, unsaleable.' },
    { slot: 'marketing', name: 'Marketplace fees', kind: 'operatingExpense', use: 'commissions', guidance: 'Commission, listing and storage fees kept by marketplaces.' },
    { slot: 'marketing', name: 'Website and shop software', kind: 'operatingExpense', use: 'office', guidance: 'Hosting, themes, plug-ins.' },
    { slot: 'premises', name: 'Storage', kind: 'operatingExpense', use: 'rent', guidance: 'Rented shelves, pallets or units.' },
  ],
}; // prettier-ignore

/** A seller of goods through a website and marketplaces. */
export const ONLINE_SELLER: Industry = {
  name: 'Online seller of goods',
  sentence: 'Buys goods and sells them through its own website and marketplaces.',
  naics: ['4541'],
  words: 'e-commerce webshop marketplace mail order internet',
  modules: [CARD_TAKINGS, ONLINE, RETURNS],
};
