import type { DateOrder } from '../dates/read-date';
import { endDay, shortMonths, startDay } from '../dates/month-names';
import { formatAmount, formatTenths } from '../money/format';
import type { SheetCode } from './sheets';
import type { TableColumn, TableRow } from './table';

const periodOn = (
  sheet: SheetCode,
  { period, is, wrong }: TableColumn,
  order: DateOrder,
): string => {
  if (wrong !== null) return `“${wrong}” is no period`;
  if (period === null) return '';
  if (is === 'start') return startDay(period, order);
  if (is === 'end') return endDay(period, order);
  return sheet === 'balanceSheet' || sheet === 'trialBalance'
    ? endDay(period, order)
    : shortMonths(period);
};

const WHOLES: Partial<Record<SheetCode, string>> = {
  profitAndLoss: '% of revenue',
  balanceSheet: '% of assets',
};

/** What stands at the head of a column; days in the order of the country. */
export const columnName = (
  sheet: SheetCode,
  column: TableColumn,
  order: DateOrder = 'dayFirst',
): string => {
  if (column.shows === 'debit') return 'Debit';
  if (column.shows === 'credit') return 'Credit';
  switch (column.is) {
    case 'amounts':
    case 'start':
    case 'end':
      return periodOn(sheet, column, order);
    case 'restricted':
    case 'value':
      return column.value === '' || column.value === null ? 'Unassigned' : column.value;
    case 'change':
      return 'Change';
    case 'budget':
      return 'Budget';
    case 'difference':
      return '±';
    case 'percent':
      return '± %';
    case 'share':
      return WHOLES[sheet] ?? '% of the whole';
  }
};

/** What stands small under it: of which period a budget or a side is. */
export const columnNote = (
  sheet: SheetCode,
  column: TableColumn,
  order: DateOrder = 'dayFirst',
): string => {
  const sided = column.shows === 'debit' || column.shows === 'credit';
  return sided || column.is === 'budget' || column.is === 'change'
    ? periodOn(sheet, column, order)
    : '';
};

/** A cell as it is read: amounts in the client's currency, parts in per cent, a dash for nothing. */
export const cellText = (
  { cells, parts }: TableRow,
  at: number,
  { column, currency }: { readonly column: TableColumn | undefined; readonly currency: string },
): string => {
  const cell = cells[at] ?? null;
  if (cell === null || column === undefined) return '';
  const { shows } = column;
  // No head says of such a row that it is in per cent.
  if (parts) return `${formatTenths(cell, 'sign')}%`;
  if (shows === 'parts') return cell === 0 ? '–' : formatTenths(cell, 'parentheses');
  const empty = (shows === 'debit' || shows === 'credit') && cell === 0;
  return empty ? '' : formatAmount(cell, { currency, zero: '–' });
};
