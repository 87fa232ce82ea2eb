import type { StatementCode } from '../../kinds/caption';
import type { LayoutPart } from '../layout';
import { BALANCE_SHEET } from './balance-sheet';
import { PROFIT_AND_LOSS } from './profit-and-loss';

/** The standard layout of every statement: a file and a row each. */
export const STANDARD_LAYOUTS: Readonly<Record<StatementCode, readonly LayoutPart[]>> = {
  profitAndLoss: PROFIT_AND_LOSS,
  balanceSheet: BALANCE_SHEET,
};
