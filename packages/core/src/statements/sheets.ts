import type { StatementCode } from '../kinds/caption';
import type { CashFlowCodes } from './definitions/cash-flow';
import type { Codes, StandardCodes } from './layout';
import type { OwnSheetRow } from './own/own-rows';
import type { StatementRow } from './statement';

/** Everything that is laid out from a chart and its books, in the order in which it is handed over. */
export const SHEET_CODES = [
  'profitAndLoss',
  'balanceSheet',
  'cashFlow',
  'changesInEquity',
  'trialBalance',
] as const;
export type SheetCode = (typeof SHEET_CODES)[number] | StatementCode;

/** What the parts of any sheet are called by. */
export interface SheetCodes extends Codes {
  readonly section: StandardCodes['section'] | CashFlowCodes['section'];
  readonly total: StandardCodes['total'] | CashFlowCodes['total'] | 'allBalances';
  readonly group: StandardCodes['group'] | CashFlowCodes['group'];
}

/** A row of any sheet; `account` is one of a trial balance. */
export type SheetRow =
  | StatementRow<SheetCodes>
  | OwnSheetRow
  | {
      readonly type: 'account';
      readonly key: string;
      readonly accountId: string;
      readonly number: string | null;
      readonly name: string;
      readonly amount: number;
    };
