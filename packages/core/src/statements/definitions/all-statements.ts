import type { StatementCode } from '../../kinds/caption';
import type { LayoutPart } from '../layout';
import type { SheetCode, SheetCodes } from '../sheets';
import { BALANCE_SHEET } from './balance-sheet';
import { CASH_FLOW } from './cash-flow';
import { CHANGES_IN_EQUITY } from './changes-in-equity';
import { PROFIT_AND_LOSS } from './profit-and-loss';

/** The standard layout of every statement: a file and a row each. */
export const STANDARD_LAYOUTS: Readonly<Record<StatementCode, readonly LayoutPart[]>> = {
  profitAndLoss: PROFIT_AND_LOSS,
  balanceSheet: BALANCE_SHEET,
};

const LAYOUTS: Readonly<Record<SheetCode, readonly LayoutPart<SheetCodes>[]>> = {
  ...STANDARD_LAYOUTS,
  cashFlow: CASH_FLOW,
  changesInEquity: CHANGES_IN_EQUITY,
  trialBalance: [],
  chartReport: [],
};

/** The parts of any sheet, top to bottom; none of one that lists accounts. */
export const layoutOf = (sheet: SheetCode): readonly LayoutPart<SheetCodes>[] => LAYOUTS[sheet];
