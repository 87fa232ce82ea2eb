import { cellText } from './cell-text';
import type { AuditHead, AuditRow } from './audit-xml';
import { fieldBetween, plainAmount } from './csv';

const ACCOUNTS = [
  'GL_Account_Number',
  'GL_Account_Name',
  'Account_Type',
  'Account_Subtype',
  'FS_Caption',
  'Parent_GL_Account_Number',
  'Account_Role',
] as const;

const BALANCES = [
  'GL_Account_Number',
  'Fiscal_Year',
  'Period',
  'Period_From',
  'Period_To',
  'Beginning_Balance',
  'Period_Debit',
  'Period_Credit',
  'Ending_Balance',
  'Amount_Currency',
] as const;

/** The types of accounts as the standard calls them. */
const TYPES: Readonly<Record<string, string>> = {
  asset: 'Assets',
  liability: 'Liabilities',
  equity: 'Equity',
  revenue: 'Revenue',
  expense: 'Expenses',
};

const table = (headings: readonly string[], rows: readonly (readonly string[])[]): string =>
  [headings, ...rows].map((cells) => `${cells.join('|')}\r\n`).join('');

const text = (value: string): string => fieldBetween('|', cellText(value));

const titleOf = ({ row }: AuditRow): string => (row.number === '' ? row.name : row.number);

/**
 * The chart of accounts file of the audit data standards: one line an account, fields between bars. Sources:
 * AICPA Audit Data Standards, General Ledger; ISO 21378:2019 (both from memory).
 */
export const writeAuditAccounts = (rows: readonly AuditRow[]): string =>
  table(
    ACCOUNTS,
    rows.map((one) => {
      const { name, element, kind, landing, parent, role } = one.row;
      return [titleOf(one), name, TYPES[element] ?? '', kind, landing, parent, role].map(text);
    }),
  );

/** The trial balance file: the balances of every posting account at the ends of a period, debit positive. */
export const writeAuditBalances = (rows: readonly AuditRow[], head: AuditHead): string =>
  table(
    BALANCES,
    rows
      .filter(({ row }) => row.role === 'posting')
      .map((one) => [
        text(titleOf(one)),
        head.fiscal.year,
        String(head.fiscal.number),
        head.first,
        head.last,
        plainAmount(one.opening, head.currency),
        plainAmount(one.debit, head.currency),
        plainAmount(one.credit, head.currency),
        plainAmount(one.closing, head.currency),
        head.currency,
      ]),
  );
