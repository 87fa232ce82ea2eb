import type { StartingModule } from '../../countries/starting-account';
import type { Industry } from '../starting-chart';
import { CARD_TAKINGS } from './selling';
import { GIFTS, MEMBERS, SIDE_GOODS } from './shared';

const LETTING: StartingModule = {
  name: 'Letting',
  accounts: [
    { slot: 'cash', name: 'Tenants’ deposits account', kind: 'restrictedCash', guidance: 'Deposits kept apart. It equals what is owed to tenants.' },
    { slot: 'equipment', name: 'Land', kind: 'propertyAndEquipment', use: 'land', guidance: 'The land below; it is not depreciated.' },
    { slot: 'equipment', name: 'Buildings let', kind: 'propertyAndEquipment', use: 'buildings', guidance: 'At cost with improvements.' },
    { slot: 'receivables', name: 'Rent owed by tenants', kind: 'tradeReceivable', guidance: 'Due and not yet paid.' },
    { slot: 'accrued', name: 'Rent paid in advance', kind: 'deferredRevenue', guidance: 'For months to come.' },
    { slot: 'payables', name: 'Tenants’ deposits held', kind: 'otherCurrentLiability', guidance: 'Owed back to tenants at the end, and equal to the deposits account.' },
    { slot: 'sales', name: 'Rents received', kind: 'services', guidance: 'The rent of this period.' },
    { slot: 'otherSales', name: 'Charges passed on', kind: 'otherOperatingRevenue', guidance: 'Power, parking, late fees.' },
    { slot: 'cost', name: 'Repairs to let property', kind: 'costOfSales', use: 'repairs', guidance: 'Keeping it as it is. Improvements are assets.' },
    { slot: 'cost', name: 'Property taxes', kind: 'costOfSales', use: 'propertyTaxes', guidance: 'Taxes of the town or county on what is let.' },
    { slot: 'cost', name: 'Property insurance', kind: 'costOfSales', use: 'insurance', guidance: 'Buildings and landlord’s cover on what is let.' },
    { slot: 'cost', name: 'Management fees', kind: 'costOfSales', use: 'management', guidance: 'Paid to whoever manages.' },
    { slot: 'otherCosts', name: 'Mortgage interest', kind: 'financeCost', use: 'mortgageInterest', guidance: 'The interest part of the payments.' },
  ],
}; // prettier-ignore

const MANAGING: StartingModule = {
  name: 'Managing property',
  accounts: [
    { slot: 'cash', name: 'Owners’ trust account', kind: 'restrictedCash', guidance: 'Rents and deposits held for owners and tenants. Never the firm’s own.' },
    { slot: 'payables', name: 'Owed to owners', kind: 'otherCurrentLiability', guidance: 'Rents collected for owners and not yet paid out.' },
    { slot: 'payables', name: 'Tenants’ deposits held for owners', kind: 'otherCurrentLiability', guidance: 'Owed back to tenants of managed property when they leave.' },
    { slot: 'receivables', name: 'Paid out for owners', kind: 'otherReceivable', guidance: 'Repairs and bills to be set off.' },
    { slot: 'sales', name: 'Management fees earned', kind: 'services', guidance: 'A share of rents, or a fixed fee.' },
    { slot: 'sales', name: 'Letting fees', kind: 'services', guidance: 'For finding tenants and for leases.' },
    { slot: 'cost', name: 'Caretakers and maintenance staff', kind: 'costOfSales', use: 'directWages', guidance: 'Pay of those who look after properties.' },
  ],
}; // prettier-ignore

const TRAINING: StartingModule = {
  name: 'Gym or club house',
  accounts: [
    { slot: 'equipment', name: 'Sports equipment', kind: 'propertyAndEquipment', guidance: 'Machines, boats, courts meant to last for years.' },
    { slot: 'sales', name: 'Courses and coaching', kind: 'services', guidance: 'Classes, personal training.' },
    { slot: 'sales', name: 'Day visits', kind: 'services', guidance: 'Paid by the visit.' },
    { slot: 'cost', name: 'Coaches and instructors', kind: 'costOfSales', use: 'directWages', guidance: 'Pay of those who teach.' },
    { slot: 'cost', name: 'Events and competitions', kind: 'costOfSales', use: 'otherDirect', guidance: 'Entry fees, travel, prizes.' },
  ],
}; // prettier-ignore

const SCHOOLING: StartingModule = {
  name: 'School or nursery',
  accounts: [
    { slot: 'receivables', name: 'Tuition owed', kind: 'tradeReceivable', guidance: 'Due from parents and not yet paid.' },
    { slot: 'accrued', name: 'Tuition paid in advance', kind: 'deferredRevenue', guidance: 'For terms to come.' },
    { slot: 'accrued', name: 'Enrolment deposits', kind: 'deferredRevenue', guidance: 'To come back, or to be set off.' },
    { slot: 'sales', name: 'Tuition', kind: 'services', guidance: 'The part of the fees that belongs to this term or month.' },
    { slot: 'sales', name: 'Meals and trips', kind: 'services', guidance: 'Billed beside tuition.' },
    { slot: 'sales', name: 'Scholarships and sibling discounts', kind: 'returnsAndDiscounts', guidance: 'Tuition forgiven. It reduces tuition.' },
    { slot: 'cost', name: 'Teachers’ wages', kind: 'costOfSales', use: 'directWages', guidance: 'Pay of those who teach and care.' },
    { slot: 'cost', name: 'Teaching materials', kind: 'costOfSales', use: 'materials', guidance: 'Books, toys, craft supplies.' },
    { slot: 'cost', name: 'Food', kind: 'costOfSales', guidance: 'Meals for children.' },
  ],
}; // prettier-ignore

const ASSOCIATION_WORK: StartingModule = {
  name: 'Association',
  accounts: [
    { slot: 'sales', name: 'Entry fees and events', kind: 'services', guidance: 'Paid by those who come.' },
    { slot: 'cost', name: 'Events', kind: 'costOfSales', guidance: 'What events cost.' },
    { slot: 'marketing', name: 'Newsletter and website', kind: 'operatingExpense', guidance: 'Keeping members informed.' },
  ],
}; // prettier-ignore

const CONGREGATION: StartingModule = {
  name: 'Charity or place of worship',
  accounts: [
    { slot: 'people', name: 'Clergy and leaders', kind: 'operatingExpense', guidance: 'Pay and housing allowance.' },
    { slot: 'cost', name: 'Help given', kind: 'costOfSales', guidance: 'Benevolence, missions, grants to others.' },
  ],
}; // prettier-ignore

const HOLDING: StartingModule = {
  name: 'Holding',
  accounts: [
    { slot: 'longTerm', name: 'Shares in subsidiaries', kind: 'longTermInvestment', guidance: 'At cost. Their own books stand apart.' },
    { slot: 'longTerm', name: 'Loans to subsidiaries', kind: 'loanGiven', guidance: 'To come back after more than a year.' },
    { slot: 'receivables', name: 'Due from subsidiaries', kind: 'otherReceivable', guidance: 'Owed by subsidiaries, to be settled within a year.' },
    { slot: 'accrued', name: 'Due to subsidiaries', kind: 'otherCurrentLiability', guidance: 'Owed to subsidiaries, to be settled within a year.' },
    { slot: 'sales', name: 'Management charges', kind: 'services', guidance: 'Billed to subsidiaries.' },
    { slot: 'otherIncome', name: 'Dividends received', kind: 'investmentIncome', use: 'dividends', guidance: 'From subsidiaries and other holdings.' },
    { slot: 'otherIncome', name: 'Interest from subsidiaries', kind: 'investmentIncome', guidance: 'On loans to them.' },
    { slot: 'otherIncome', name: 'Gains on investments', kind: 'gains', guidance: 'Sold above cost.' },
    { slot: 'otherCosts', name: 'Losses on investments', kind: 'otherExpense', guidance: 'Sold below cost, or written down.' },
  ],
}; // prettier-ignore

/** An owner of property that is let. */
export const LANDLORD: Industry = {
  name: 'Landlord',
  sentence: 'Owns houses, flats or premises and lets them.',
  naics: ['5311'],
  words: 'landlord rental property real estate lessor apartments storage',
  modules: [LETTING],
};

/** A manager of other people's property. */
export const PROPERTY_MANAGER: Industry = {
  name: 'Property manager',
  sentence: 'Collects rents and looks after property for its owners.',
  naics: ['5313', '5312'],
  words: 'property manager estate agent homeowners association realtor broker',
  modules: [MANAGING],
};

/** A gym or sports club run as a business. */
export const GYM: Industry = {
  name: 'Gym or sports club',
  sentence: 'Lives on memberships, courses and visits.',
  naics: ['713', '711', '712'],
  words: 'gym fitness yoga martial arts dance studio golf tennis swimming bowling museum theatre',
  modules: [MEMBERS, TRAINING, CARD_TAKINGS, SIDE_GOODS],
};

/** A school or nursery. */
export const SCHOOL: Industry = {
  name: 'School or nursery',
  sentence: 'Teaches or looks after children and bills by the term or month.',
  naics: ['61', '6244'],
  words: 'school nursery daycare kindergarten tutor music lessons driving college childcare',
  modules: [SCHOOLING],
};

/** An association with members. */
export const ASSOCIATION: Industry = {
  name: 'Association with members',
  sentence: 'Belongs to its members: a club, a society, a trade body.',
  naics: ['8139', '8134'],
  words: 'club association society union chamber members rowing sports community',
  modules: [MEMBERS, ASSOCIATION_WORK],
};

/** A charity or place of worship. */
export const CHARITY: Industry = {
  name: 'Charity or place of worship',
  sentence: 'Lives on gifts, some of them bound to a purpose.',
  naics: ['8131', '8132', '8133', '624'],
  words: 'charity church temple mosque synagogue foundation nonprofit food bank shelter relief',
  modules: [GIFTS, CONGREGATION],
};

/** A company that holds others. */
export const HOLDING_COMPANY: Industry = {
  name: 'Holding company',
  sentence: 'Owns other companies and lends to them.',
  naics: ['551', '523', '525'],
  words: 'holding company investment parent group family office trust',
  modules: [HOLDING],
};
