import type { StartingModule } from '../../countries/starting-account';

/** Takings by card that reach the bank some days later. */
export const CARD_TAKINGS: StartingModule = {
  name: 'Card takings',
  accounts: [
    { slot: 'cash', name: 'Card takings in transit', kind: 'clearing', guidance: 'Sold by card and not yet paid out by the processor. Empty again after each payout.' },
    { slot: 'marketing', name: 'Card processing fees', kind: 'operatingExpense', use: 'commissions', guidance: 'What the processor keeps of each payout. Book the sale before the fee.' },
  ],
}; // prettier-ignore

/** A counter where customers pay. */
export const COUNTER: StartingModule = {
  name: 'Counter and till',
  accounts: [
    { slot: 'cash', name: 'Till and petty cash', kind: 'cashOnHand', guidance: 'Notes and coins on the premises, counted every day.' },
    { slot: 'office', name: 'Cash over and short', kind: 'operatingExpense', guidance: 'What the till held more or less than was rung up, day by day.' },
    { slot: 'payrollDue', name: 'Tips payable', kind: 'payrollPayable', guidance: 'Tips collected for employees until paid to them. Not revenue.' },
    { slot: 'accrued', name: 'Gift vouchers sold', kind: 'deferredRevenue', guidance: 'Sold and not yet redeemed; revenue when redeemed.' },
  ],
}; // prettier-ignore

/** Vehicles that the business owns. */
export const VEHICLES: StartingModule = {
  name: 'Vehicles',
  accounts: [
    { slot: 'equipment', name: 'Vehicles', kind: 'propertyAndEquipment', guidance: 'Vans and cars at cost. Fuel and repairs are expenses.' },
    { slot: 'vehicles', name: 'Fuel', kind: 'operatingExpense', use: 'vehicles', guidance: 'Fuel for the business’s vehicles.' },
    { slot: 'vehicles', name: 'Vehicle repairs and insurance', kind: 'operatingExpense', use: 'vehicles', guidance: 'Service, tyres, insurance, road tax.' },
  ],
}; // prettier-ignore

/** Goods come back, or are sold for less. */
export const RETURNS: StartingModule = {
  name: 'Returns',
  accounts: [
    { slot: 'sales', name: 'Returns and allowances', kind: 'returnsAndDiscounts', guidance: 'Refunds, damaged goods, discounts after the sale. It reduces sales.' },
  ],
}; // prettier-ignore
