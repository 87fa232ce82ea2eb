import { accountOf, emptyChart, recordsOf, applyAll, type Chart } from '@iunctus/core';
import { aChart, importOf, randomChart } from '@iunctus/core/testing';
import { parse } from 'csv-parse/sync';
import fc from 'fast-check';
import { SaxesParser } from 'saxes';
import { writeAuditAccounts, writeAuditBalances } from './audit-tables';
import { writeAuditXml, type AuditRow } from './audit-xml';
import { chartTable } from './chart-table';
import { readFile } from './reading/read-file';

const HEAD = {
  client: 'Cider works & sons',
  currency: 'USD',
  country: 'US',
  created: '2026-11-25',
  first: '2026-07-01',
  last: '2026-10-31',
  fiscal: { year: '2027', number: 4 },
  version: '0.2.0',
};

const rowsOf = (chart: Chart): readonly AuditRow[] =>
  chartTable(chart, null).map((row, at) => ({
    row,
    opening: 100 * at,
    closing: -250 * at,
    debit: 50 * at,
    credit: 400 * at,
  }));

const CHART = aChart('1000 Cash & bank:\n  1010 "Main" account\n5010 Fruit < 10 kg');

/** What the elements of a name hold, read by a parser that has nothing to do with the writer. */
const elements = (xml: string, name: string): readonly string[] => {
  const found: string[] = [];
  const path: string[] = [];
  const parser = new SaxesParser();
  parser.on('opentag', (tag) => void path.push(tag.name));
  parser.on('text', (text) => void (path.at(-1) === name && found.push(text)));
  parser.on('closetag', () => void path.pop());
  parser.write(xml).close();
  return found;
};

const readBack = async (text: string): Promise<Chart> => {
  const reading = await readFile(new TextEncoder().encode(text));
  if (!reading.ok) throw new Error(reading.problem.code);
  const plan = importOf(emptyChart(), reading.file.sheets[0]?.rows ?? []);
  const outcome = applyAll(emptyChart(), plan.operations);
  if (!outcome.ok) throw new Error(outcome.refusal.code);
  return outcome.chart;
};

/** What these formats can carry of a chart. */
const carried = (chart: Chart) =>
  recordsOf(chart).map(({ name, kind, role, parentId, number }) => ({
    number,
    name,
    kind,
    role: kind === 'retainedEarnings' ? '' : role,
    parent: parentId === null ? null : accountOf(chart, parentId)?.name,
  }));

describe('the standard audit file', () => {
  const xml = writeAuditXml(rowsOf(CHART), HEAD);

  // Source: OECD SAF-T 2.0, GeneralLedgerAccounts; from memory.
  it('is XML with an account element for each account, as another parser reads it', () => {
    expect(elements(xml, 'AccountID')).toEqual(['1000', '1010', '5010']);
    expect(elements(xml, 'AccountDescription')).toEqual([
      'Cash & bank',
      '"Main" account',
      'Fruit < 10 kg',
    ]);
    expect(elements(xml, 'GroupingCode')).toEqual(['1000']);
    expect(elements(xml, 'DefaultCurrencyCode')).toEqual(['USD']);
    expect(elements(xml, 'SelectionEndDate')).toEqual(['2026-10-31']);
  });

  it('puts each balance on the side on which it stands', () => {
    expect(elements(xml, 'OpeningDebitBalance')).toEqual(['1.00', '2.00']);
    expect(elements(xml, 'ClosingCreditBalance')).toEqual(['2.50', '5.00']);
  });

  it('lists no balance of a heading, and types in the words of the standard', () => {
    expect(elements(xml, 'AccountType')).toEqual(['Asset', 'Asset', 'Expense']);
    expect(elements(xml, 'GroupingCategory')).toEqual(['heading', 'posting', 'posting']);
  });

  it('names the fiscal year after the year in which it ends, and the period within it', () => {
    expect(elements(xml, 'PeriodEndYear')).toEqual(['2027']);
    expect(elements(xml, 'PeriodEnd')).toEqual(['4']);
  });

  it('is read with letters that are written as numbers', async () => {
    const names = recordsOf(await readBack(xml.replace('Fruit', 'Caf&#233; &#xe9;'))).map(
      (one) => one.name,
    );
    expect(names).toContain('Café é < 10 kg');
  });

  it('read back gives the same tree of accounts, whatever chart it is', async () => {
    await fc.assert(
      fc.asyncProperty(randomChart(25), async (chart) => {
        if (recordsOf(chart).length === 0) return;
        expect(carried(await readBack(writeAuditXml(rowsOf(chart), HEAD)))).toEqual(carried(chart));
      }),
      { numRuns: 40 },
    );
  });
});

describe('the tables of the audit data standards', () => {
  const read = (text: string): string[][] => parse(text, { delimiter: '|' });

  it('list accounts with type, statement line and parent between bars', () => {
    const [head, , account] = read(writeAuditAccounts(rowsOf(CHART)));
    expect(head?.slice(0, 3)).toEqual(['GL_Account_Number', 'GL_Account_Name', 'Account_Type']);
    expect(account).toEqual([
      '1010',
      '"Main" account',
      'Assets',
      'Bank',
      'Cash and cash equivalents',
      '1000',
      'posting',
    ]);
  });

  it('list the balances of posting accounts at both ends of the period', () => {
    const [, first] = read(writeAuditBalances(rowsOf(CHART), HEAD));
    expect(first).toEqual([
      '1010',
      '2027',
      '4',
      '2026-07-01',
      '2026-10-31',
      '1.00',
      '0.50',
      '4.00',
      '-2.50',
      'USD',
    ]);
  });

  it('read back give the same tree of accounts, whatever chart it is', async () => {
    await fc.assert(
      fc.asyncProperty(randomChart(25), async (chart) => {
        if (recordsOf(chart).length < 3) return;
        expect(carried(await readBack(writeAuditAccounts(rowsOf(chart))))).toEqual(carried(chart));
      }),
      { numRuns: 40 },
    );
  });

  it('run nothing in a spreadsheet', () => {
    const hostile = aChart('5010 =cmd()');
    expect(writeAuditAccounts(rowsOf(hostile))).toContain("'=cmd()");
  });
});
