import type { StartingModule } from '../../countries/starting-account';
import type { Industry } from '../starting-chart';
import { VEHICLES } from './selling';

const BUILDING: StartingModule = {
  name: 'Building work',
  accounts: [
    { slot: 'receivables', name: 'Retentions receivable', kind: 'tradeReceivable', guidance: 'Held back by customers until defects are made good.' },
    { slot: 'stock', name: 'Work in progress', kind: 'inventory', guidance: 'Cost of jobs not yet billed.' },
    { slot: 'stock', name: 'Materials in store', kind: 'inventory', guidance: 'In the yard and not yet used on a job.' },
    { slot: 'equipment', name: 'Plant and machinery', kind: 'propertyAndEquipment', guidance: 'Mixers, diggers, scaffolding meant to last for years.' },
    { slot: 'accrued', name: 'Customer deposits', kind: 'deferredRevenue', guidance: 'Paid by customers before the work is done.' },
    { slot: 'accrued', name: 'Warranty work expected', kind: 'provision', guidance: 'Likely cost of putting right finished jobs.' },
    { slot: 'payables', name: 'Retentions payable', kind: 'tradePayable', guidance: 'Held back from subcontractors until their work is accepted.' },
    { slot: 'sales', name: 'Contract work', kind: 'services', guidance: 'Jobs at an agreed price, by stage or on completion.' },
    { slot: 'sales', name: 'Day work and repairs', kind: 'services', guidance: 'By the hour or call-out.' },
    { slot: 'sales', name: 'Materials resold', kind: 'saleOfGoods', guidance: 'Billed apart from the work.' },
    { slot: 'cost', name: 'Materials', kind: 'costOfSales', use: 'materials', guidance: 'Used on jobs. For the own yard it is an overhead.' },
    { slot: 'cost', name: 'Subcontractors', kind: 'costOfSales', use: 'directContractors', guidance: 'Paid to other firms and the self-employed for work on jobs.' },
    { slot: 'cost', name: 'Site wages', kind: 'costOfSales', use: 'directWages', guidance: 'Pay of those who work on jobs. Office wages are under People.' },
    { slot: 'cost', name: 'Plant hire', kind: 'costOfSales', use: 'hire', guidance: 'Hired for a job.' },
    { slot: 'cost', name: 'Permits and inspections', kind: 'costOfSales', use: 'otherDirect', guidance: 'Fees of the authorities for one building job.' },
    { slot: 'cost', name: 'Waste removal', kind: 'costOfSales', use: 'otherDirect', guidance: 'Skips and tipping fees.' },
    { slot: 'people', name: 'Training and safety', kind: 'operatingExpense', guidance: 'Courses, cards, protective clothing.' },
    { slot: 'office', name: 'Small tools', kind: 'operatingExpense', use: 'supplies', guidance: 'Used up or lost within a year or so.' },
  ],
}; // prettier-ignore

/** A builder or contractor who works on customers’ sites. */
export const BUILDING_TRADE: Industry = {
  name: 'Building trade',
  sentence: 'Builds, fits or repairs on customers’ sites, with materials and subcontractors.',
  naics: ['23'],
  words: 'builder construction contractor remodeler house general',
  modules: [BUILDING, VEHICLES],
};
