import type { SectionCode } from '../../kinds/caption';
import type { LayoutPart } from '../layout';

const PROFIT: readonly SectionCode[] = ['revenue', 'costOfSales'];
const OPERATING: readonly SectionCode[] = [...PROFIT, 'operatingExpenses'];
const BEFORE_TAX: readonly SectionCode[] = [...OPERATING, 'otherIncomeAndCosts'];

/** Profit and loss by steps. Order of the sections: common practice, within IAS 1.82 (from memory). */
export const PROFIT_AND_LOSS: readonly LayoutPart[] = [
  { type: 'section', code: 'revenue', shows: 'credit' },
  { type: 'section', code: 'costOfSales', shows: 'debit' },
  { type: 'total', code: 'grossProfit', of: PROFIT, shows: 'credit', optional: true },
  { type: 'section', code: 'operatingExpenses', shows: 'debit' },
  { type: 'total', code: 'operatingProfit', of: OPERATING, shows: 'credit', optional: true },
  { type: 'section', code: 'otherIncomeAndCosts', shows: 'credit' },
  { type: 'total', code: 'profitBeforeTax', of: BEFORE_TAX, shows: 'credit', optional: true },
  { type: 'section', code: 'incomeTax', shows: 'debit' },
  {
    type: 'total',
    code: 'netProfit',
    of: [...BEFORE_TAX, 'incomeTax'],
    shows: 'credit',
    final: true,
  },
];
