import { XMLParser } from 'fast-xml-parser';
import { unreadable } from './file-problem';
import { sheetOf, type Sheet } from './sheet';

const HEADINGS = ['Number', 'Name', 'Parent', 'Kind', 'Role', 'Debit', 'Credit'];

type Parsed = Readonly<Record<string, unknown>>;

const under = (parent: unknown, name: string): unknown =>
  typeof parent === 'object' && parent !== null ? (parent as Parsed)[name] : undefined;

const textIn = (parent: unknown, name: string): string => {
  const value = under(parent, name);
  return typeof value === 'string' ? value : '';
};

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
 * Reads the accounts of a standard audit file as a sheet. Source: OECD SAF-T 2.0,
 * GeneralLedgerAccounts (from memory). Entities are refused, not resolved. Refuses xmlEntities, damaged,
 * unknownXml.
 */
export const readAuditXml = (text: string): readonly Sheet[] => {
  if (/<!(DOCTYPE|ENTITY)/i.test(text)) return unreadable({ code: 'xmlEntities' });
  const parser = new XMLParser({
    ignoreAttributes: true,
    parseTagValue: false,
    // Also “&#233;” and “&#xe9;”; entities that a file defines itself are refused above.
    htmlEntities: true,
    removeNSPrefix: true,
    isArray: (name) => name === 'Account',
  });
  let document: unknown;
  try {
    document = parser.parse(text, true);
  } catch {
    return unreadable({ code: 'damaged' });
  }
  const ledger = under(under(under(document, 'AuditFile'), 'MasterFiles'), 'GeneralLedgerAccounts');
  const accounts = under(ledger, 'Account');
  if (!Array.isArray(accounts)) return unreadable({ code: 'unknownXml' });
  return [sheetOf('General ledger accounts', [HEADINGS, ...accounts.map(rowOf)])];
};
