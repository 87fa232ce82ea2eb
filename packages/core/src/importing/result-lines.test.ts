import { emptyChart } from '../chart/build';
import { aList, importOf } from '../testing/a-list';

const totalsOf = (text: string): readonly string[] =>
  importOf(emptyChart(), aList(text))
    .rows.filter(({ status }) => status === 'total')
    .map(({ entry }) => entry.name);

const WITH_SALES = `
|2026
Sales|90,000
Purchases|31,000
Rent|12,000`;

describe('what a year comes to in a print', () => {
  it.each([
    'Net profit after tax',
    'NET PROFIT BEFORE TAX',
    'Profit (loss) for the period',
    'Surplus for the season',
    'Deficit for the half year',
    'Net loss after taxation for the financial year',
    'Excess of receipts over payments',
    'Excess (deficiency) of revenue over expenses for the year',
    'Net',
  ])('is no account, however it is called: %s', (name) => {
    expect(totalsOf(`${WITH_SALES}\n${name}|47,000`)).toEqual([name]);
  });

  it.each([
    'Income',
    'Earnings',
    'Profit share',
    'Net income from lettings',
    'Loss of rent',
    'Excess on claims',
  ])('is not meant by a name that only begins alike: %s', (name) => {
    expect(totalsOf(`${WITH_SALES}\n${name}|47,000`)).toEqual([]);
  });

  it('is worked out behind a gross profit, though no line before it is plainly income', () => {
    expect(
      totalsOf(`
|2026
Gubbins|48,310
Fabrics|13,931
Gross profit|34,379
Rent|6,600
Net profit|27,779`),
    ).toEqual(['Gross profit', 'Net profit']);
  });

  it.each(['Gross margin %', 'Gross profit percentage', 'Net profit (%)'])(
    'is no account in parts of a hundred: %s',
    (name) => {
      expect(totalsOf(`${WITH_SALES}\n${name}|`)).toEqual([name]);
    },
  );

  it.each(['Sales 20%', 'VAT 5 %', 'Commission 12.5%'])('is not meant by a rate: %s', (name) => {
    expect(totalsOf(`${WITH_SALES}\n${name}|47,000`)).toEqual([]);
  });

  it('takes the title with it that leads nothing but results', () => {
    expect(
      totalsOf(
        `${WITH_SALES}\nNet income|47,000\nReconciliation of funds|\nTotal funds brought forward|9,000`,
      ),
    ).toEqual(['Net income', 'Reconciliation of funds', 'Total funds brought forward']);
  });

  it('is what one sum is more than another, whatever is called as assets are between', () => {
    expect(
      totalsOf(`
|£|£
Service charges receivable||38,400
Interest||212
||38,612
Insurance|6,120|
Cleaning|4,940|
Transfer to reserve fund|9,000|
||20,060
Surplus for the year||18,552`),
    ).toContain('Surplus for the year');
  });

  it('is worked out where income stands first and nobody knows the names', () => {
    expect(
      totalsOf('|2026\nBrindle|12,755\nCrumhorn|4,850\nGubbins|3,505\nOdds|400\nNet profit|13,700'),
    ).toEqual(['Net profit']);
  });
});
