import { aList } from '../testing/a-list';
import { recognizeColumns } from './columns';

const usesOf = (text: string) => recognizeColumns(aList(text)).uses;

describe('columns of parts beside a column of what they come to', () => {
  it('have the amounts in the last, of several years in the first such', () => {
    expect(
      usesOf(`
Income|Unrestricted|Restricted|Total|Last year
Donations|14,210|2,500|16,710|12,040
Grants|5,000|18,000|23,000|20,000
Plant sales|6,325|-|6,325|5,870
Wages|9,400|12,600|22,000|20,500`),
    ).toEqual(['name', null, null, 'balance', null]);
  });

  it('may be months, in words that nobody knows', () => {
    expect(
      usesOf(`
Tilinimi|Tammi|Helmi|Maalis|Yhteensä
Myynti|100.00|250.00|75.00|425.00
Vuokra|80.00|80.00|80.00|240.00
Palkat|300.00|310.00|290.00|900.00`),
    ).toEqual(['name', null, null, null, 'balance']);
  });

  it('are for nothing themselves, however much a month looks like numbers of accounts', () => {
    const uses = usesOf(`
Item|Apr|May|Jun|Quarter
Online shop|4120|3980|4655|12755
Craft fairs|900|2210|1740|4850
Refunds|-55|-20|-80|-155
Yarn|1310|990|1205|3505`);
    expect(uses).toEqual(['name', null, null, null, 'balance']);
  });

  it('may be places, with digits in their names', () => {
    const rows = aList(`
Rental summary 2025|14 Elm St|22 Oak Ave|Total
Rents|18,600|22,200|40,800
Late fees|150|80|230
Insurance|1,480|1,610|3,090`);
    expect(recognizeColumns(rows)).toMatchObject({
      headingLine: rows[0]?.line,
      uses: ['name', null, null, 'balance'],
    });
  });

  it('are no debits and credits beside a balance without a sign: each line has one of the two', () => {
    expect(
      usesOf(`
Account|Debit|Credit|Balance
Bank|500.00||500.00
Stock|250.00||250.00
Sales||600.00|600.00
Capital||150.00|150.00`),
    ).toEqual(expect.arrayContaining(['debit', 'credit']));
  });

  it('are not found in amounts of two years that add up once', () => {
    expect(
      usesOf(`
|2024|2025|2026
Bread|100|200|300
Cakes|150|180|190
Pies|60|75|90
Tea|20|31|44`),
    ).toEqual(['name', null, null, 'balance']);
  });
});
