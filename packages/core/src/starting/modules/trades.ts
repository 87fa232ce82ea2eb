import type { StartingModule } from '../../countries/starting-account';
import type { Industry } from '../starting-chart';
import { CARD_TAKINGS, VEHICLES } from './selling';
import { DEPOSITS } from './shared';

const CONTRACTING: StartingModule = {
  name: 'Specialist contracting',
  accounts: [
    { slot: 'stock', name: 'Parts and materials', kind: 'inventory', guidance: 'On the van and in the store, not yet used on a job.' },
    { slot: 'equipment', name: 'Tools and test equipment', kind: 'propertyAndEquipment', guidance: 'Meant to last for years. Hand tools go to expense.' },
    { slot: 'sales', name: 'Installations', kind: 'services', guidance: 'Jobs at an agreed price.' },
    { slot: 'sales', name: 'Service calls', kind: 'services', guidance: 'Repairs by the hour or call-out.' },
    { slot: 'sales', name: 'Maintenance contracts', kind: 'services', guidance: 'The part of the contract that belongs to this period.' },
    { slot: 'cost', name: 'Materials used', kind: 'costOfSales', use: 'materials', guidance: 'Built in or used on jobs.' },
    { slot: 'cost', name: 'Subcontractors', kind: 'costOfSales', use: 'directContractors', guidance: 'Other firms and the self-employed, on jobs.' },
    { slot: 'cost', name: 'Technicians’ wages', kind: 'costOfSales', use: 'directWages', guidance: 'Pay of those who work on jobs.' },
    { slot: 'cost', name: 'Permits', kind: 'costOfSales', use: 'otherDirect', guidance: 'Fees of the authorities for one installation.' },
    { slot: 'accrued', name: 'Maintenance paid in advance', kind: 'deferredRevenue', guidance: 'Contracts for months to come.' },
    { slot: 'office', name: 'Small tools', kind: 'operatingExpense', use: 'supplies', guidance: 'Used up or lost within a year or so.' },
  ],
}; // prettier-ignore

const WORKSHOP: StartingModule = {
  name: 'Repair workshop',
  accounts: [
    { slot: 'stock', name: 'Parts in store', kind: 'inventory', guidance: 'Not yet fitted.' },
    { slot: 'equipment', name: 'Lifts and diagnostic equipment', kind: 'propertyAndEquipment', guidance: 'Lifts, testers and compressors meant to last for years.' },
    { slot: 'sales', name: 'Labour', kind: 'services', guidance: 'Hours billed for repairs.' },
    { slot: 'sales', name: 'Parts fitted', kind: 'saleOfGoods', guidance: 'Parts billed with repairs.' },
    { slot: 'cost', name: 'Parts', kind: 'costOfSales', guidance: 'The cost of parts fitted.' },
    { slot: 'cost', name: 'Mechanics’ wages', kind: 'costOfSales', use: 'directWages', guidance: 'Pay of those who repair.' },
    { slot: 'cost', name: 'Work sent out', kind: 'costOfSales', use: 'directContractors', guidance: 'Paint, glass, machining by others.' },
    { slot: 'premises', name: 'Waste oil and disposal', kind: 'operatingExpense', use: 'utilities', guidance: 'Oil, tyres, batteries taken away.' },
  ],
}; // prettier-ignore

const HAULAGE: StartingModule = {
  name: 'Haulage',
  accounts: [
    { slot: 'equipment', name: 'Trucks and trailers', kind: 'propertyAndEquipment', guidance: 'At cost. Tyres and repairs are expenses.' },
    { slot: 'receivables', name: 'Owed by brokers', kind: 'tradeReceivable', guidance: 'Loads delivered and not yet paid by the broker.' },
    { slot: 'sales', name: 'Freight', kind: 'services', guidance: 'Loads carried, before a broker’s part.' },
    { slot: 'sales', name: 'Fuel surcharges', kind: 'services', guidance: 'Billed on top of the freight.' },
    { slot: 'sales', name: 'Waiting and extra stops', kind: 'services', guidance: 'Billed by the hour or stop.' },
    { slot: 'cost', name: 'Drivers’ pay', kind: 'costOfSales', use: 'directWages', guidance: 'Pay of employed drivers.' },
    { slot: 'cost', name: 'Owner-operators', kind: 'costOfSales', use: 'directContractors', guidance: 'Paid to drivers with trucks of their own.' },
    { slot: 'cost', name: 'Diesel', kind: 'costOfSales', use: 'otherDirect', guidance: 'Fuel of trucks on the road.' },
    { slot: 'cost', name: 'Tolls and scales', kind: 'costOfSales', use: 'otherDirect', guidance: 'Of the journeys themselves.' },
    { slot: 'cost', name: 'Brokers’ commissions', kind: 'costOfSales', use: 'otherDirect', guidance: 'Kept by those who found the load.' },
    { slot: 'cost', name: 'Truck repairs and tyres', kind: 'costOfSales', use: 'otherDirect', guidance: 'What keeps trucks running.' },
    { slot: 'vehicles', name: 'Permits and road taxes', kind: 'operatingExpense', use: 'licences', guidance: 'Plates, fuel tax, heavy vehicle tax.' },
    { slot: 'vehicles', name: 'Truck insurance', kind: 'operatingExpense', use: 'insurance', guidance: 'Cargo, liability, physical damage.' },
  ],
}; // prettier-ignore

const MAKING: StartingModule = {
  name: 'Making goods',
  accounts: [
    { slot: 'stock', name: 'Raw materials', kind: 'inventory', guidance: 'What goods are made of: bought and not yet used.' },
    { slot: 'stock', name: 'Work in progress', kind: 'inventory', guidance: 'Begun and not yet finished: materials, labour, overhead.' },
    { slot: 'stock', name: 'Finished goods', kind: 'inventory', guidance: 'Ready for sale, at cost.' },
    { slot: 'equipment', name: 'Machinery', kind: 'propertyAndEquipment', guidance: 'Machines that make goods, meant to last for years.' },
    { slot: 'sales', name: 'Sales of own products', kind: 'saleOfGoods', guidance: 'Without sales tax and freight billed.' },
    { slot: 'otherSales', name: 'Freight billed', kind: 'services', guidance: 'Charged to customers for delivery.' },
    { slot: 'cost', name: 'Materials used', kind: 'costOfSales', use: 'materials', guidance: 'In goods sold.' },
    { slot: 'cost', name: 'Production wages', kind: 'costOfSales', use: 'directWages', guidance: 'Pay of those who make.' },
    { slot: 'cost', name: 'Production overhead', kind: 'costOfSales', use: 'otherDirect', guidance: 'Power, repairs and supplies of the works.' },
    { slot: 'cost', name: 'Freight out', kind: 'costOfSales', use: 'otherDirect', guidance: 'Delivery to customers.' },
    { slot: 'cost', name: 'Scrap and rework', kind: 'costOfSales', use: 'otherDirect', guidance: 'What was spoiled or done twice.' },
    { slot: 'otherSales', name: 'Scrap sold', kind: 'otherOperatingRevenue', guidance: 'Offcuts and waste sold.' },
  ],
}; // prettier-ignore

const FARMING: StartingModule = {
  name: 'Farming',
  accounts: [
    { slot: 'stock', name: 'Crops in store', kind: 'inventory', guidance: 'Harvested and not yet sold.' },
    { slot: 'stock', name: 'Livestock for sale', kind: 'inventory', guidance: 'Raised or bought to be sold.' },
    { slot: 'stock', name: 'Feed, seed and fertiliser', kind: 'inventory', guidance: 'Bought and not yet used.' },
    { slot: 'equipment', name: 'Land', kind: 'propertyAndEquipment', use: 'land', guidance: 'At cost; it is not depreciated.' },
    { slot: 'equipment', name: 'Farm machinery', kind: 'propertyAndEquipment', guidance: 'Tractors, harvesters, implements.' },
    { slot: 'equipment', name: 'Breeding livestock', kind: 'propertyAndEquipment', guidance: 'Kept for years to breed or milk.' },
    { slot: 'sales', name: 'Crops sold', kind: 'saleOfGoods', use: 'produce', guidance: 'Grain, fruit, vegetables, hay.' },
    { slot: 'sales', name: 'Livestock and produce sold', kind: 'saleOfGoods', use: 'produce', guidance: 'Animals, milk, eggs, wool.' },
    { slot: 'otherSales', name: 'Agricultural programme payments', kind: 'grantsAndDonations', use: 'programmes', guidance: 'From public programmes.' },
    { slot: 'otherSales', name: 'Custom work', kind: 'services', use: 'customIncome', guidance: 'Work done for other farms.' },
    { slot: 'cost', name: 'Seed and plants', kind: 'costOfSales', use: 'seed', guidance: 'Sown and planted for this season.' },
    { slot: 'cost', name: 'Fertiliser and crop protection', kind: 'costOfSales', use: 'fertiliser', guidance: 'Spread and sprayed for this season.' },
    { slot: 'cost', name: 'Feed', kind: 'costOfSales', use: 'feed', guidance: 'For animals.' },
    { slot: 'cost', name: 'Veterinary and breeding', kind: 'costOfSales', use: 'breeding', guidance: 'Care of animals.' },
    { slot: 'cost', name: 'Seasonal labour', kind: 'costOfSales', use: 'directWages', guidance: 'Hired for planting and harvest.' },
    { slot: 'premises', name: 'Land rent', kind: 'operatingExpense', use: 'landRent', guidance: 'Fields and pasture rented.' },
  ],
}; // prettier-ignore

/** A specialist who installs and repairs. */
export const SPECIALIST_CONTRACTOR: Industry = {
  name: 'Specialist contractor',
  sentence: 'Installs and repairs one thing well: plumbing, electrics, heating, roofs.',
  naics: ['238'],
  words: 'plumber electrician heating cooling roofer painter landscaper tiler carpenter hvac',
  modules: [CONTRACTING, VEHICLES, DEPOSITS],
};

/** A workshop that repairs what customers bring. */
export const REPAIR_SHOP: Industry = {
  name: 'Repair shop',
  sentence: 'Repairs what customers bring: cars, bicycles, machines, devices.',
  naics: ['811'],
  words: 'garage mechanic auto car bicycle repair body shop appliance electronics',
  modules: [CARD_TAKINGS, WORKSHOP],
};

/** A carrier of goods by road. */
export const TRUCKING: Industry = {
  name: 'Trucking',
  sentence: 'Carries loads with its own trucks or owner-operators.',
  naics: ['484', '492', '485'],
  words: 'trucking haulage freight carrier courier delivery moving taxi',
  modules: [HAULAGE],
};

/** A maker of goods. */
export const MANUFACTURER: Industry = {
  name: 'Manufacturer',
  sentence: 'Makes goods from materials and sells them to shops or other firms.',
  naics: ['31', '32', '33'],
  words: 'manufacturer maker factory workshop fabrication woodwork metal furniture textile pottery',
  modules: [MAKING, VEHICLES],
};

/** A farm. */
export const FARM: Industry = {
  name: 'Farm',
  sentence: 'Grows crops or raises animals.',
  naics: ['11'],
  words: 'farm orchard vineyard dairy cattle crop vegetable poultry nursery forestry fishing',
  modules: [FARMING, VEHICLES],
};
