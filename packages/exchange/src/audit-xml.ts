import { negate, writable, type FiscalPeriod, type Minor, type Movement } from '@iunctus/core';
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
  /** The fiscal period in which the last day lies. */
  readonly fiscal: FiscalPeriod;
  /** The version of the application. */
  readonly version: string;
}

/** A row with what was posted to the account itself: balances debit positive, what moved between them by side. */
export interface AuditRow extends Movement {
  readonly row: ChartRow;
  readonly opening: Minor;
  readonly closing: Minor;
}

/** A balance stands on one side: as a debit, or as a credit. */
const balances = (name: string, amount: Minor, currency: string): object =>
  amount < 0
    ? { [`${name}CreditBalance`]: plainAmount(negate(amount), currency) }
    : { [`${name}DebitBalance`]: plainAmount(amount, currency) };

/** The four types of the standard; equity stands with what is owed. */
const TYPES: Readonly<Record<string, string>> = {
  asset: 'Asset',
  liability: 'Liability',
  equity: 'Liability',
  revenue: 'Sale',
  expense: 'Expense',
};

const accountOf = ({ row, opening, closing }: AuditRow, currency: string): object => ({
  AccountID: writable(row.number === '' ? row.name : row.number),
  AccountDescription: writable(row.name),
  StandardAccountID: row.kind,
  GroupingCategory: row.role,
  ...(row.parent === '' ? {} : { GroupingCode: writable(row.parent) }),
  AccountType: TYPES[row.element] ?? 'Other',
  // A heading takes no postings and so has no balance, not even zero.
  ...(row.role === 'heading'
    ? {}
    : {
        ...balances('Opening', opening, currency),
        ...balances('Closing', closing, currency),
      }),
});

/**
 * The accounts of a chart as a standard audit file with their opening and closing balances. Source: OECD
 * SAF-T 2.0, Header and GeneralLedgerAccounts (from memory); the kind is the standard account, the parent the
 * grouping code. The address and number of registration that the standard asks of a company are not known here.
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
        SoftwareCompanyName: 'Iunctus',
        SoftwareID: 'Iunctus',
        SoftwareVersion: head.version,
        Company: { Name: writable(client), Address: { Country: country } },
        DefaultCurrencyCode: currency,
        SelectionCriteria: {
          SelectionStartDate: first,
          SelectionEndDate: last,
          PeriodEnd: head.fiscal.number,
          PeriodEndYear: head.fiscal.year,
        },
        TaxAccountingBasis: 'General ledger',
      },
      MasterFiles: {
        GeneralLedgerAccounts: { Account: rows.map((row) => accountOf(row, currency)) },
      },
    },
  });
};
