import { childrenOf, textIn, under } from './parsed-xml';
import { sheetOf, type Sheet } from './sheet';

const HEADINGS = ['Number', 'Name', 'Parent', 'Kind', 'Role', 'Debit', 'Credit'];

const rowOf = (account: unknown): readonly string[] => [
  textIn(account, 'AccountID'),
  textIn(account, 'AccountDescription'),
  textIn(account, 'GroupingCode'),
  textIn(account, 'StandardAccountID') || textIn(account, 'AccountType'),
  textIn(account, 'GroupingCategory'),
  textIn(account, 'ClosingDebitBalance'),
  textIn(account, 'ClosingCreditBalance'),
];

/**
 * The accounts of a standard audit file as a sheet; none for any other document. Source: OECD SAF-T 2.0,
 * GeneralLedgerAccounts (from memory).
 */
export const auditSheets = (document: unknown): readonly Sheet[] => {
  const ledger = under(under(under(document, 'AuditFile'), 'MasterFiles'), 'GeneralLedgerAccounts');
  const accounts = childrenOf(ledger, 'Account');
  if (accounts.length === 0) return [];
  return [sheetOf('General ledger accounts', [HEADINGS, ...accounts.map(rowOf)])];
};
