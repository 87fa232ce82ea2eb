import { aList } from '../testing/a-list';
import { decimalSignOf, readListedAmount } from './amounts';
import { recognizeColumns } from './columns';
import { meaningOfTypes } from './type-words';

const usesOf = (text: string) => recognizeColumns(aList(text)).uses;

describe('the columns of a list', () => {
  it('are known by their headings, below a title', () => {
    const reading = recognizeColumns(
      aList(`
Kestrel Lane Cider Works
Trial balance
Account no.|Account name|Account type|Debit|Credit
1000|Cash|Bank|100.00|
2000|Loan|Liability||100.00`),
    );
    expect(reading.headingLine).toBe(3);
    expect(reading.uses).toEqual(['number', 'name', 'type', 'debit', 'credit']);
  });

  it('are known by what they hold where there are no headings', () => {
    expect(
      usesOf(`
1000|Cash at bank|Asset|1,200.00
1100|Trade debtors|Asset|300.00
2000|Trade creditors|Liability|-500.00
3000|Share capital|Equity|-100.00
4000|Sales|Income|-900.00`),
    ).toEqual(['number', 'name', 'type', 'balance']);
  });

  it('have headings also in words that nobody knows, over a column of digits', () => {
    const rows = aList(
      'Konto|Bezeichnung|Saldo\n1000|Kasse|10,00\n1200|Bank|(20,00)\n4000|Umsatz|-30,00',
    );
    expect(recognizeColumns(rows)).toMatchObject({
      headingLine: 1,
      headings: ['Konto', 'Bezeichnung', 'Saldo'],
      uses: ['number', 'name', 'balance'],
    });
  });

  it('have none where the first row is a heading of accounts, or has a number itself', () => {
    for (const list of [
      '|Assets|\n1000|Cash|5.00\n1010|Bank|6.00',
      'Cash|5.00\nBank|6.00\nLoan|-11.00',
    ])
      expect(recognizeColumns(aList(list)).headingLine).toBeNull();
  });

  it('may hold number and name together', () => {
    expect(
      usesOf('Account|Type\n1000 · Cash|Bank\n1100 · Debtors|Asset\n1200 · Stock|Asset')[0],
    ).toBe('numberAndName');
  });

  it('are told from a parent column by what it refers to', () => {
    expect(
      usesOf(`
1000|Current assets|
1010|Cash|1000
1020|Bank|1000
1030|Savings|1000
1040|Till|1000`),
    ).toEqual(['number', 'name', 'parent']);
  });

  it('each have a use of their own: no use is given twice', () => {
    const uses = usesOf('Name|Account name|Description\nCash|Cash|Money\nBank|Bank|Account');
    expect(uses.filter((use) => use === 'name')).toHaveLength(1);
  });

  it('need no more than one: a bare list of names', () => {
    expect(usesOf('Cash\nBank\nSales\nRent')).toEqual(['name']);
  });
});

describe('an amount of a list', () => {
  const amount = (text: string, decimal: '.' | ',' = '.', currency = 'USD') =>
    readListedAmount(text, { currency, decimal });

  it.each([
    ['1,234.50', 123450],
    ['(1,234.50)', -123450],
    ['1234.5-', -123450],
    ['$ 1,234.50', 123450],
    ['1 234.50 Cr', -123450],
    ['1234 Dr', 123400],
    ['-0.00', 0],
    ['USD 12.00', 1200],
  ])('%s is so many cents', (text, cents) => {
    expect(amount(text)).toBe(cents);
  });

  it.each(['12.345', '1,23.00', 'twelve', '1.2.3', '(12', '', '1e5'])('%s is none', (text) => {
    expect(amount(text)).toBeNull();
  });

  it('may have a decimal comma, which the list as a whole decides', () => {
    expect(decimalSignOf(['1.234,50', '12,00', '1.000'], 'EUR')).toBe(',');
    expect(decimalSignOf(['1,234.50', '1,000'], 'EUR')).toBe('.');
    expect(amount('1.234,50', ',')).toBe(123450);
  });

  it('of three digits behind its only sign is read one way with all others of the list', () => {
    const read = (currency: string, ...texts: readonly string[]) =>
      texts.map((text) => amount(text, decimalSignOf(texts, currency), currency));
    expect(read('EUR', '1.234', '10.000', '250')).toEqual([1234_00, 10_000_00, 250_00]);
    expect(read('USD', '1,234', '10,000')).toEqual([1234_00, 10_000_00]);
    expect(read('BHD', '1.234', '10.000')).toEqual([1234, 10_000]);
    expect(read('USD', '1.234', '10.00')).toEqual([null, 10_00]);
  });

  it('has the minor units of its currency', () => {
    expect(amount('1,200', '.', 'JPY')).toBe(1200);
    expect(amount('1.250', '.', 'BHD')).toBe(1250);
  });
});

describe('a list with what was, what moved and what is left', () => {
  it('has what is left as its balances', () => {
    const rows = aList(
      'Account|Opening balance|Debit|Credit|Closing balance\nBank|400.00|210.00|160.00|450.00\nFees|0.00|0.00|50.00|(50.00)',
    );
    expect(recognizeColumns(rows).uses).toEqual(['name', null, null, null, 'balance']);
  });

  it('has debits and credits where nothing says what is left', () => {
    const rows = aList('Account|Debit|Credit\nBank|210.00|\nFees||210.00');
    expect(recognizeColumns(rows).uses).toEqual(['name', 'debit', 'credit']);
  });
});

describe('columns that say less than their headings', () => {
  it('name groups where each name stands several times, and another column has it once', () => {
    const { uses } = recognizeColumns(
      aList(`
Type|Account|Detail|Balance
Asset|Cash|Operating account|18250.40
Asset|Cash|Savings|40000.00
Asset|Fixed|Museum cases|61000.00
Asset|Fixed|Less depreciation|-24400.00
Liability|Payables|Suppliers|-4120.75
Liability|Payables|Wages owing|-2310.00`),
    );
    expect(uses).toEqual(['type', 'finerType', 'name', 'balance']);
  });

  it('count lines through, and are no numbers of accounts', () => {
    const { uses } = recognizeColumns(
      aList(`
Line|Description|Amount
1|Room nights|212400
2|Weddings|64000
3|Total revenue|276400
4|Laundry|9720`),
    );
    expect(uses).toEqual([null, 'name', 'balance']);
  });
});

describe('columns of amounts that share amounts', () => {
  it('are no parents of one another: what was moved, and what is left of it', () => {
    const { uses } = recognizeColumns(
      aList(`
Acct|Description|Beginning|Movement|Ending
10100|Bank|400,00|102,55|502,55
15000|Kayaks|500,00|0,00|500,00
30000|Capital stock|-100,00|0,00|-100,00
40000|Rentals|0,00|-500,00|-500,00
60000|Lease|0,00|-402,55|-402,55`),
    );
    expect(uses).not.toContain('parent');
    expect(uses[4]).toBe('balance');
  });
});

describe('numbers before the names of a print', () => {
  it('are told where its accounts have them in order, though its titles and totals have none', () => {
    expect(
      usesOf(
        'Income|\n4000 Grooming|96.00\n4100 Shampoo|8.00\nTotal income|104.00\nExpense|\n6100 Wages|41.00\nTotal expense|41.00\nNet income|63.00',
      ),
    ).toEqual(['numberAndName', 'balance']);
  });

  it('are part of the names where they are years', () => {
    expect(
      usesOf('2024 levy|96.00\n2025 levy|8.00\n2026 levy|5.00\nRent|2.00\nWages|2.00'),
    ).toEqual(['name', 'balance']);
  });
});

describe('a type in other people’s words', () => {
  const meaning = (...types: string[]) => meaningOfTypes(types);

  it.each([
    ['Accounts receivable', 'tradeReceivable'],
    ['Fixed Assets', 'propertyAndEquipment'],
    ['Cost of goods sold', 'costOfSales'],
    ['Overheads', 'operatingExpense'],
    ['Credit card', 'cardPayable'],
    ['Land, property and equipment', 'propertyAndEquipment'],
  ])('%s means %s', (type, kind) => {
    expect(meaning(type).get(type)).toMatchObject({ kind });
  });

  it('that names only an element leaves the kind to the name', () => {
    expect(meaning('Expenses').get('Expenses')).toMatchObject({ element: 'expense', kind: null });
  });

  it('may be a letter; E is equity beside X, and expense without', () => {
    expect(meaning('A', 'L', 'E', 'X').get('E')).toMatchObject({ element: 'equity' });
    expect(meaning('A', 'L', 'C', 'E').get('E')).toMatchObject({ element: 'expense' });
  });

  it('that says nothing is not there', () => {
    expect(meaning('Zzz').size).toBe(0);
  });
});
