import type { StartingModule } from '../../countries/starting-account';
import type { Industry } from '../starting-chart';
import { CARD_TAKINGS, COUNTER, RETURNS, VEHICLES } from './selling';

const MAKING: StartingModule = {
  name: 'Making drinks',
  accounts: [
    { slot: 'stock', name: 'Fruit and ingredients', kind: 'inventory', guidance: 'Bought and not yet pressed, mashed or mixed.' },
    { slot: 'stock', name: 'Drinks maturing', kind: 'inventory', guidance: 'In tanks and barrels: materials and duty-free cost so far.' },
    { slot: 'stock', name: 'Finished drinks', kind: 'inventory', guidance: 'Bottled, canned or kegged and ready for sale.' },
    { slot: 'stock', name: 'Bottles, cans and labels', kind: 'inventory', guidance: 'Packaging not yet filled.' },
    { slot: 'equipment', name: 'Tanks and press', kind: 'propertyAndEquipment', guidance: 'Vessels, press, bottling line, cooling.' },
    { slot: 'accrued', name: 'Excise duty payable', kind: 'accruedExpense', guidance: 'Duty on drinks released for sale and not yet paid over.' },
    { slot: 'cost', name: 'Fruit and ingredients used', kind: 'costOfSales', use: 'materials', guidance: 'What went into the drinks sold.' },
    { slot: 'cost', name: 'Bottles and packaging used', kind: 'costOfSales', use: 'materials', guidance: 'Bottles, cans, labels and cartons of the drinks sold.' },
    { slot: 'cost', name: 'Excise duty', kind: 'costOfSales', use: 'otherDirect', guidance: 'Duty on drinks sold. It rises with every sale, so it is no overhead.' },
    { slot: 'cost', name: 'Carriage to customers', kind: 'costOfSales', use: 'otherDirect', guidance: 'Delivery of wholesale orders.' },
    { slot: 'office', name: 'Licences', kind: 'operatingExpense', use: 'licences', guidance: 'Premises, brewing and alcohol licences.' },
  ],
}; // prettier-ignore

const TAPROOM: StartingModule = {
  name: 'Taproom and wholesale',
  accounts: [
    { slot: 'sales', name: 'Taproom sales', kind: 'saleOfGoods', guidance: 'Drinks served or sold over the counter, without sales tax.' },
    { slot: 'sales', name: 'Wholesale sales', kind: 'saleOfGoods', guidance: 'To pubs, shops and distributors, on invoice.' },
    { slot: 'otherSales', name: 'Tours and tastings', kind: 'services', guidance: 'Fees for guided visits; drinks sold on the way are taproom sales.' },
    { slot: 'equipment', name: 'Bar fittings', kind: 'propertyAndEquipment', guidance: 'Counter, taps, cooling, seating.' },
    { slot: 'cost', name: 'Food and snacks bought', kind: 'costOfSales', guidance: 'Bought ready for sale in the taproom.' },
    { slot: 'marketing', name: 'Events and music', kind: 'operatingExpense', guidance: 'Bands, quiz nights, festival fees.' },
  ],
}; // prettier-ignore

/** A maker of cider, beer, spirits or soft drinks who also serves them. */
export const DRINKS_MAKER: Industry = {
  name: 'Drinks maker with a taproom',
  sentence: 'Makes cider, beer, spirits or soft drinks, serves them on the spot and sells to the trade.',
  naics: ['3121'],
  words: 'brewery winery cider distillery beer wine spirits soft drinks',
  modules: [CARD_TAKINGS, COUNTER, MAKING, TAPROOM, RETURNS, VEHICLES],
};
