import { emptyChart } from '../chart/build';
import { aList, importOf } from '../testing/a-list';
import { recognizeColumns } from './columns';

const amountsOf = (text: string) => {
  const plan = importOf(emptyChart(), aList(text));
  return plan.rows
    .filter(({ status }) => status !== 'total')
    .map(({ entry }) => [entry.name, (entry.balance ?? 0) / 100]);
};

const WRITTEN: readonly (readonly [heading: string, debit: string, credit: string])[] = [
  ['Dr/Cr', 'Dr', 'Cr'],
  ['D/C', 'D', 'C'],
  ['Side', 'Debit', 'Credit'],
  ['S/H', 'S', 'H'],
  ['', 'DR', 'CR'],
  ['Puoli', 'd', 'c'],
];

describe('a side beside each amount, in a column of its own', () => {
  it.each(WRITTEN)(
    'sets what stands in credit below zero: %s with %s and %s',
    (heading, debit, credit) => {
      expect(
        amountsOf(`
Account|Amount|${heading}
Bank|1,200.00|${debit}
Loan from bank|500.00|${credit}
Sales|2,400.00|${credit}
Wages|1,700.00|${debit}`),
      ).toEqual([
        ['Bank', 1200],
        ['Loan from bank', -500],
        ['Sales', -2400],
        ['Wages', 1700],
      ]);
    },
  );

  it('may stand before the amounts, and turns what is below zero', () => {
    expect(
      amountsOf(`
Account|Dr/Cr|Amount
Bank|Dr|1,200.00
Sales|Cr|2,400.00
Sales returns|Cr|-100.00`),
    ).toEqual([
      ['Bank', 1200],
      ['Sales', -2400],
      ['Sales returns', 100],
    ]);
  });

  it('says nothing where amounts have their sign already and come to nothing', () => {
    expect(
      amountsOf(`
Account|Normal balance|Balance
Bank|Debit|900.00
Sales|Credit|-2,400.00
Wages|Debit|1,500.00
Total|Debit|0.00`),
    ).toEqual([
      ['Bank', 900],
      ['Sales', -2400],
      ['Wages', 1500],
    ]);
  });

  it('tells of the kind where a list has no amounts', () => {
    const list = (side: string) =>
      aList(`
Account|Normal balance
Rent|${side}
Bank|Debit
Loan|Credit
Sales|Credit`);
    const kindOf = (side: string) => importOf(emptyChart(), list(side)).rows[0]?.kind?.confidence;
    expect(kindOf('Debit')).not.toBe(kindOf('Credit'));
  });

  it('is wrong at its row where a cell names neither', () => {
    const { rows } = importOf(
      emptyChart(),
      aList('Account|Amount|Dr/Cr\nBank|1,200.00|Dr\nSales|2,400.00|X\nWages|300.00|Dr'),
    );
    expect(rows[1]?.problems).toEqual([{ use: 'side', rule: 'sideMalformed', text: 'X' }]);
  });

  it('is not taken from headings and details, nor from kinds of costs', () => {
    const useOf = (a: string, b: string) =>
      recognizeColumns(aList(`Account|x|Amount\nBank|${a}|1.00\nRent|${b}|2.00\nPay|${b}|3.00`))
        .uses;
    expect(useOf('H', 'D')).not.toContain('side');
    expect(useOf('S', 'C')).not.toContain('side');
  });
});
