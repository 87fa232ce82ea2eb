import type { StartingModule } from '../../countries/starting-account';
import type { Industry } from '../starting-chart';

const SERVICES: StartingModule = {
  name: 'Professional work',
  accounts: [
    { slot: 'receivables', name: 'Unbilled work', kind: 'otherReceivable', guidance: 'Hours done and not yet invoiced, at year end.' },
    { slot: 'accrued', name: 'Fees received in advance', kind: 'deferredRevenue', guidance: 'Retainers and stage payments for work to come.' },
    { slot: 'sales', name: 'Fees', kind: 'services', guidance: 'Work billed by the hour, day or at a price agreed.' },
    { slot: 'sales', name: 'Retainers', kind: 'services', guidance: 'Fixed monthly fees, once the month has passed.' },
    { slot: 'sales', name: 'Expenses billed to clients', kind: 'otherOperatingRevenue', guidance: 'Travel and other outlays passed on.' },
    { slot: 'sales', name: 'Discounts given', kind: 'returnsAndDiscounts', guidance: 'Fees waived after billing. It reduces fees.' },
    { slot: 'cost', name: 'Subcontracted work', kind: 'costOfSales', use: 'directContractors', guidance: 'Freelancers and other firms on client work.' },
    { slot: 'cost', name: 'Outlays for clients', kind: 'costOfSales', use: 'otherDirect', guidance: 'To be billed on: travel, searches, print.' },
    { slot: 'people', name: 'Training and memberships', kind: 'operatingExpense', guidance: 'Courses, professional bodies, books.' },
    { slot: 'office', name: 'Professional liability insurance', kind: 'operatingExpense', use: 'insurance', guidance: 'Cover for errors in the work.' },
  ],
}; // prettier-ignore

/** A firm that sells its people’s knowledge and time. */
export const PROFESSIONAL_SERVICES: Industry = {
  name: 'Professional services',
  sentence: 'Sells knowledge and time: consultants, designers, engineers, advisers.',
  naics: ['54', '56'],
  words: 'consultant engineer architect accountant bookkeeper adviser translator surveyor staffing',
  modules: [SERVICES],
};
