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
  'chartReport',
] as const;
export type SheetCode = (typeof SHEET_CODES)[number] | StatementCode;

/** What the parts of any sheet are called by. */
export interface SheetCodes extends Codes {
  readonly section: StandardCodes['section'] | CashFlowCodes['section'];
  readonly total: StandardCodes['total'] | CashFlowCodes['total'] | 'allBalances';
  readonly group: StandardCodes['group'] | CashFlowCodes['group'];
}

/** A row of any sheet; `account` is one of a list of accounts: a trial balance, or the chart with its headings. */
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
      /** How deep it stands below the main accounts; 0 where a list has no levels. */
      readonly level: number;
      readonly heading: boolean;
    };
