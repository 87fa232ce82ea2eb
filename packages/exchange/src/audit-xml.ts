import { negate, writable, type Minor } from '@iunctus/core';
import { XMLBuilder } from 'fast-xml-parser';
import { plainAmount } from './csv';
import type { ChartRow } from './chart-table';

/** What a standard audit file says of itself. Days are calendar dates, both ends inside. */
export interface AuditHead {
  readonly client: string;
  readonly currency: string;
  readonly country: string;
  readonly created: string;
  readonly first: string;
  readonly last: string;
}

/** A row with what was posted to the account itself; debit positive. */
export interface AuditRow {
  readonly row: ChartRow;
  readonly opening: Minor;
  readonly closing: Minor;
}

/** A balance stands on one side: as a debit, or as a credit. */
const balances = (name: string, amount: Minor, currency: string): object =>
  amount < 0
    ? { [`${name}CreditBalance`]: plainAmount(negate(amount), currency) }
    : { [`${name}DebitBalance`]: plainAmount(amount, currency) };

const accountOf = ({ row, opening, closing }: AuditRow, currency: string): object => ({
  AccountID: writable(row.number === '' ? row.name : row.number),
  AccountDescription: writable(row.name),
  AccountType: row.kind,
  GroupingCategory: row.role,
  ...(row.parent === '' ? {} : { GroupingCode: writable(row.parent) }),
  ...balances('Opening', opening, currency),
  ...balances('Closing', closing, currency),
});

/**
 * The accounts of a chart as a standard audit file with their opening and closing balances. Source: OECD
 * SAF-T 2.0, GeneralLedgerAccounts (from memory); the kind is the account type, the parent the grouping code.
 */
export const writeAuditXml = (rows: readonly AuditRow[], head: AuditHead): string => {
  const { client, currency, country, created, first, last } = head;
  const builder = new XMLBuilder({ format: true, ignoreAttributes: false });
  return builder.build({
    '?xml': { '@_version': '1.0', '@_encoding': 'UTF-8' },
    AuditFile: {
      '@_xmlns': 'urn:OECD:StandardAuditFile-Taxation/2.00',
      Header: {
        AuditFileVersion: '2.00',
        AuditFileCountry: country,
        AuditFileDateCreated: created,
        Company: { Name: writable(client) },
        DefaultCurrencyCode: currency,
        SelectionCriteria: { SelectionStartDate: first, SelectionEndDate: last },
      },
      MasterFiles: {
        GeneralLedgerAccounts: { Account: rows.map((row) => accountOf(row, currency)) },
      },
    },
  });
};
