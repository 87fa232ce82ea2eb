import type { CashFlowSection } from '../../ledger/cash-flow';
import type { Codes, LayoutPart } from '../layout';

/** What the cash flow statement's parts are called by. */
export interface CashFlowCodes extends Codes {
  readonly section: CashFlowSection;
  readonly total: 'netProfitOfPeriod' | 'cashFromOperating' | 'netChangeInCash' | 'cashAtStart' | 'cashAtEnd';
  readonly group: 'operatingActivities';
} // prettier-ignore

const OPERATING = ['result', 'adjustments', 'workingCapital'] as const;
const ALL = [...OPERATING, 'investing', 'financing', 'withoutCash'] as const;

/** Cash flow by the indirect method. Order: IAS 7.10, 7.18(b) and 7.45 (from memory). */
export const CASH_FLOW: readonly LayoutPart<CashFlowCodes>[] = [
  { type: 'group', code: 'operatingActivities' },
  { type: 'total', code: 'netProfitOfPeriod', of: ['result'], shows: 'credit' },
  { type: 'section', code: 'adjustments', shows: 'credit' },
  { type: 'section', code: 'workingCapital', shows: 'credit' },
  { type: 'total', code: 'cashFromOperating', of: OPERATING, shows: 'credit' },
  { type: 'section', code: 'investing', shows: 'credit' },
  { type: 'section', code: 'financing', shows: 'credit' },
  { type: 'section', code: 'withoutCash', shows: 'credit' },
  { type: 'total', code: 'netChangeInCash', of: ALL, shows: 'credit' },
  { type: 'total', code: 'cashAtStart', of: ['cashAtStart'], shows: 'credit' },
  { type: 'total', code: 'cashAtEnd', of: [...ALL, 'cashAtStart'], shows: 'credit', final: true },
];
