import { sheetOf, type Sheet } from './sheet';
import { childrenOf, textIn, under } from './parsed-xml';

const HEADINGS = ['Date', 'Description', 'Amount', 'Currency', 'Reference'];

const flat = (texts: readonly string[]): string =>
  [...new Set(texts.map((text) => text.trim().replace(/\s+/g, ' ')))]
    .filter((text) => text !== '')
    .join(' ');

/** A name stands below the party itself, or one level further down in newer versions. */
const nameOf = (party: unknown): string => textIn(party, 'Nm') || textIn(under(party, 'Pty'), 'Nm');

const wordsOf = (detail: unknown, isIn: boolean): readonly string[] => {
  const parties = under(detail, 'RltdPties');
  const remitted = under(detail, 'RmtInf');
  return [
    nameOf(under(parties, isIn ? 'Dbtr' : 'Cdtr')),
    ...childrenOf(remitted, 'Ustrd').map((text) => (typeof text === 'string' ? text : '')),
    textIn(under(under(remitted, 'Strd'), 'CdtrRefInf'), 'Ref'),
    textIn(detail, 'AddtlTxInf'),
  ];
};

const dayIn = (entry: unknown, name: string): string => {
  const day = under(entry, name);
  return textIn(day, 'Dt') || textIn(day, 'DtTm').slice(0, 10);
};

/** Booked, not only announced: a code by itself, or one level further down in newer versions. */
const isBooked = (entry: unknown): boolean => {
  const status = textIn(entry, 'Sts') || textIn(under(entry, 'Sts'), 'Cd');
  return status === '' || status === 'BOOK';
};

const amountOf = (entry: unknown): { readonly amount: string; readonly currency: string } => {
  const amount = under(entry, 'Amt');
  if (typeof amount === 'string') return { amount, currency: '' };
  return { amount: textIn(amount, '#text'), currency: textIn(amount, '@_Ccy') };
};

const rowOf = (entry: unknown): readonly string[] => {
  const isIn = textIn(entry, 'CdtDbtInd') === 'CRDT';
  const { amount, currency } = amountOf(entry);
  const details = childrenOf(under(entry, 'NtryDtls'), 'TxDtls');
  const told = details.flatMap((detail) => wordsOf(detail, isIn));
  const words = flat([...told, textIn(entry, 'AddtlNtryInf')]);
  return [
    dayIn(entry, 'BookgDt') || dayIn(entry, 'ValDt'),
    words,
    amount === '' || isIn ? amount : `-${amount}`,
    currency,
    textIn(entry, 'AcctSvcrRef') || textIn(entry, 'NtryRef'),
  ];
};

const nameOfAccount = (statement: unknown): string => {
  const id = under(under(statement, 'Acct'), 'Id');
  return textIn(id, 'IBAN') || textIn(under(id, 'Othr'), 'Id') || 'Statement';
};

/**
 * The statements of a bank in the message camt.053, a sheet each: its booked entries with date, words and signed amount,
 * money in positive. Source: ISO 20022, BankToCustomerStatement versions 02 to 08 (from memory). Empty for any other
 * document.
 */
export const bankSheets = (document: unknown): readonly Sheet[] => {
  const message = under(under(document, 'Document'), 'BkToCstmrStmt');
  return childrenOf(message, 'Stmt').map((statement) =>
    sheetOf(nameOfAccount(statement), [
      HEADINGS,
      ...childrenOf(statement, 'Ntry').filter(isBooked).map(rowOf),
    ]),
  );
};
