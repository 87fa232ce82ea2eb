import fc from 'fast-check';
import { readFile } from './read-file';

const reading = (text: string) => readFile(new TextEncoder().encode(text));

const linesOf = async (text: string): Promise<readonly string[]> => {
  const read = await reading(text.replace(/^\n/, ''));
  if (!read.ok) throw new Error(read.problem.code);
  return (read.file.sheets[0]?.rows ?? []).map(({ cells }) => cells.join('|'));
};

const formatOf = async (text: string): Promise<string> => {
  const read = await reading(text);
  return read.ok ? read.file.format : read.problem.code;
};

describe('lines copied out of a printed statement', () => {
  it('are names with amounts behind them, one blank between', async () => {
    expect(await linesOf('Rent 12,000 11,500\nWages 35,000 33,500\nLight and heat 900 -')).toEqual([
      'Rent|12,000|11,500',
      'Wages|35,000|33,500',
      'Light and heat|900|-',
    ]);
  });

  it('have their columns where the blanks put them, titles and headings between, the foot of the page left out', async () => {
    const lines = await linesOf(`
Profit and loss account for the year ended 31 March 2026
                            Note        2026        2025
                                           £           £
Turnover
  Pots sold .............. 2          61,500      58,200
Cost of sales
  Clay                              (18,220)    (17,004)
Gross profit                          43,280      41,196
Sundries                               (450)           -
Page 1 of 2`);
    expect(lines).toEqual([
      'Profit and loss account for the year ended 31 March 2026',
      '|Note|2026|2025',
      '||£|£',
      'Turnover',
      '  Pots sold|2|61,500|58,200',
      'Cost of sales',
      '  Clay||(18,220)|(17,004)',
      'Gross profit||43,280|41,196',
      'Sundries||(450)|-',
    ]);
  });

  it('have an inner and an outer column apart', async () => {
    expect(
      await linesOf(`
Overheads
Rent                 9,000
Sundries               450    9,450
Net profit                   16,450`),
    ).toEqual(['Overheads', 'Rent|9,000', 'Sundries|450|9,450', 'Net profit||16,450']);
  });

  it('have an inner and an outer column for each of two years, and rules above sums left out', async () => {
    expect(
      await linesOf(`
                              2026                  2025
Fees                         142,900               131,450
Funded places                 38,640                35,020
                             -------               -------
                             181,540               166,470
Staff              98,412                92,130
Food                9,204                 8,870
                  -------               -------
                             107,616               101,000
                             =======               =======`),
    ).toEqual([
      '||2026||2025',
      'Fees||142,900||131,450',
      'Funded places||38,640||35,020',
      '||181,540||166,470',
      'Staff|98,412||92,130',
      'Food|9,204||8,870',
      '||107,616||101,000',
    ]);
  });

  it('have debits and credits apart, below their headings, with numbers before the names', async () => {
    expect(
      await linesOf(`
Code  Account             Dr          Cr
1000  Petty cash       85.00
1010  Bank          4,310.55
3000  Capital                   4,395.55
                    4,395.55    4,395.55`),
    ).toEqual([
      'Code  Account|Dr|Cr',
      '1000  Petty cash|85.00',
      '1010  Bank|4,310.55',
      '3000  Capital||4,395.55',
      '|4,395.55|4,395.55',
    ]);
  });

  it('have what is lacking before the amounts where a note is headed', async () => {
    expect(
      await linesOf(
        'Note 2026 2025\nStocks 6,100 5,900\nDebtors 5 14,250 13,020\nBank 2,480 1,760',
      ),
    ).toEqual([
      '|Note|2026|2025',
      'Stocks||6,100|5,900',
      'Debtors|5|14,250|13,020',
      'Bank||2,480|1,760',
    ]);
  });

  it.each([
    ['Unit 101 rent 9,000.00', 'Unit 101 rent|9,000.00'],
    ['Rent of unit 12 10,000.00', 'Rent of unit 12|10,000.00'],
    ['Loan 2 (500.00)', 'Loan 2|(500.00)'],
    ['Fees £ 1,200.00', 'Fees|1,200.00'],
    ['Fees ( 1,200.00 )', 'Fees|(1,200.00)'],
    ['Creditors, accruals 300.00 Cr', 'Creditors, accruals|300.00Cr'],
    ['Sales 8,000.00 45.5 %', 'Sales|8,000.00'],
    ['Sales 8,000.00 45.5%', 'Sales|8,000.00'],
  ])('leave digits in names, and take signs to their amounts: %s', async (line, cells) => {
    const [first] = await linesOf(`${line}\nRent 12.00\nWages 14.00\nLight 1.00`);
    expect(first?.replace(/ {2,}/g, ' ')).toBe(cells);
  });

  it('leave years in names below the headings of years', async () => {
    expect(
      await linesOf('Name 2026 2025\nPrepayment 2025 1,200 1,100\nRent 9,100 8,800\nWages 10 20'),
    ).toEqual(['Name|2026|2025', 'Prepayment 2025|1,200|1,100', 'Rent|9,100|8,800', 'Wages|10|20']);
  });

  it('have thousands apart by blanks where they are written so', async () => {
    expect(
      await linesOf('Loyer 12 000,00\nSalaires 35 400,50\nAchats 5 200,00\nDivers 12,30'),
    ).toEqual(["Loyer|12'000,00", "Salaires|35'400,50", "Achats|5'200,00", 'Divers|12,30']);
  });

  it('have headings that blanks set apart, shares of turnover passed over', async () => {
    expect(
      await linesOf(`
                     Actual     Budget   % of income
Fence posts       61,400.00  58,000.00         30.7%
Crews             38,250.00  40,000.00         19.1%
Yard rent         18,000.00  18,000.00          9.0%`),
    ).toEqual([
      '|Actual|Budget',
      'Fence posts|61,400.00|58,000.00',
      'Crews|38,250.00|40,000.00',
      'Yard rent|18,000.00|18,000.00',
    ]);
  });

  it('have any words over their amounts as headings, in any language', async () => {
    expect(
      await linesOf(`
Konto  Bezeichnung        Soll        Haben
1000   Kasse            412,50
1200   Bank          18.940,12
4000   Erloese                    19.352,62`),
    ).toEqual([
      'Konto  Bezeichnung|Soll|Haben',
      '1000   Kasse|412,50',
      '1200   Bank|18.940,12',
      '4000   Erloese||19.352,62',
    ]);
  });

  it('may have small amounts alone: digits that nobody gave', async () => {
    expect(await linesOf('Raffle 612\nHall hire 940\nTea 38')).toEqual([
      'Raffle|612',
      'Hall hire|940',
      'Tea|38',
    ]);
  });

  it('are whole where a name goes on in the next line', async () => {
    expect(
      await linesOf(`
Creditors: amounts falling due
within one year               (61,447)
Debtors                        31,870
Cash                           58,103`),
    ).toEqual([
      'Creditors: amounts falling due within one year|(61,447)',
      'Debtors|31,870',
      'Cash|58,103',
    ]);
  });

  it('are no part of the title before them where all are written small', async () => {
    expect(await linesOf('overheads\nrent 12.00\nwages 14.50\nlight 1.20')).toEqual([
      'overheads',
      'rent|12.00',
      'wages|14.50',
      'light|1.20',
    ]);
  });

  it('have years and pages in their titles, above the first amounts', async () => {
    const lines = await linesOf(
      'Farm income summary 2025\nLedger  Page 1\n31 March 2026\nWool 2,915\nHay 11,400\nPostage 1998\nFeed 9,640\nFuel 4,415',
    );
    expect(lines).toEqual([
      'Farm income summary 2025',
      'Ledger  Page 1',
      '31 March 2026',
      'Wool|2,915',
      'Hay|11,400',
      'Postage|1998',
      'Feed|9,640',
      'Fuel|4,415',
    ]);
  });

  it('keep an account that is called as headings are', async () => {
    expect(await linesOf('Rent 12.00\nWages 14.00\nTotal 26.00\nBalance\nCash 5.00')).toContain(
      'Balance',
    );
  });
});

describe('a print with notes and tables', () => {
  it('has no column for a note within a name', async () => {
    expect(
      await linesOf(`
Cash                                    41,207      28,650
PROPERTY AND EQUIPMENT (Note 3)         84,560      92,310
DUE FROM SHAREHOLDER (see notes 4, 5)   12,000           -`),
    ).toEqual([
      'Cash|41,207|28,650',
      'PROPERTY AND EQUIPMENT|84,560|92,310',
      'DUE FROM SHAREHOLDER|12,000|-',
    ]);
  });

  it('has names with a remark that ends in an amount, and titles with a currency over their column', async () => {
    expect(
      await linesOf(`
RECEIPTS                                   £
Senior subscriptions (84 @ £45)        3,780
Day tickets                            1,128
Match entry fees (2 at £6.50)            642`),
    ).toEqual([
      'RECEIPTS',
      'Senior subscriptions (84 @ £45)|3,780',
      'Day tickets|1,128',
      'Match entry fees (2 at £6.50)|642',
    ]);
  });

  it('has the side of its amounts behind them where a letter stands before', async () => {
    expect(
      await linesOf(`
0010  Freehold property              D      120,000.00
2100  Creditors control              C        9,874.32
4000  Joinery sales                  C      142,880.00
9998  Drawings                       D       13,150.00`),
    ).toEqual([
      '0010  Freehold property|120,000.00Dr',
      '2100  Creditors control|9,874.32Cr',
      '4000  Joinery sales|142,880.00Cr',
      '9998  Drawings|13,150.00Dr',
    ]);
  });

  it('has what is left of assets, without what they cost and what was written off', async () => {
    expect(
      await linesOf(`
Fixed assets              Cost     Depreciation       Net
Land                   310,000                -   310,000
Farm vehicle            18,900           12,600     6,300
                       -------          -------   -------
                       328,900           12,600   316,300
Current assets
Cattle and sheep                                   74,800`),
    ).toEqual([
      'Fixed assets',
      'Land|310,000',
      'Farm vehicle|6,300',
      '|316,300',
      'Current assets',
      'Cattle and sheep|74,800',
    ]);
  });
});

describe('a text that is no print', () => {
  it.each([
    ['cells parted by commas', 'Rent,12000\nWages,35000\nLight,5200', 'csv'],
    [
      'cells parted by commas and blanks',
      'Name, Amount\nRent, 12000.00\nWages, 35000.00\nLight, 5200.00',
      'csv',
    ],
    ['cells parted by tabs', 'Rent\t12,000\nWages\t35,000\nLight\t5,200', 'csv'],
    ['names that end in digits', 'Rent unit 101\nRent unit 102\nRent unit 103', 'csv'],
    ['numbers and names', '1000 Cash\n1100 Bank 2\n1200 Stock', 'csv'],
    ['names alone', 'Cash\nBank\nStock', 'csv'],
    ['a line that no page holds', `Rent 1.00\n`.repeat(5) + '.'.repeat(7000) + 'x 5.00', 'csv'],
    ['two lines', 'Rent 12,000\nWages 35,000', 'csv'],
  ])('is read by its cells: %s', async (_what, text, format) => {
    expect(await formatOf(text)).toBe(format);
  });
});

describe('headings over the columns of a print', () => {
  it('have their currency beside them: a debit stays a debit', async () => {
    const lines = await linesOf(`
Trial balance as at 31 August 2026
                                     Dr £          Cr £
Fees from parents                                142,300.00
Staff costs                      139,118.33
Snacks and food                    3,181.67`);
    expect(lines.slice(1)).toEqual([
      '|Dr £|Cr £',
      'Fees from parents||142,300.00',
      'Staff costs|139,118.33',
      'Snacks and food|3,181.67',
    ]);
  });

  it('may name what a year is of: total of one year, total of the other', async () => {
    const lines = await linesOf(`
Parish accounts for the year ended 31 December 2025
                          Note   Unrestricted   Restricted    Total 2025   Total 2024
Income
Planned giving               2         41,206            -        41,206       39,880
Fabric appeal                               -        8,250         8,250            -
Hall lettings                           4,410            -         4,410        3,975`);
    expect(lines[1]).toBe('|Note|Unrestricted|Restricted|Total 2025|Total 2024');
  });
});

describe('what stands before the names of a print', () => {
  const BOTH_SIDES = `
2025                                       2026
  £                                          £
        INCOME
 1,840  Plot rents                      1,912.00
   212  Seed shop                         240.50
     -  Donations                         125.00
 -----                                  --------
 2,052                                  2,277.50
    94  Printing and post                  88.75`;

  it('is last year, and goes behind this one', async () => {
    expect(await linesOf(BOTH_SIDES)).toEqual([
      '|2026|2025',
      '|£|£',
      '        INCOME',
      '        Plot rents|1,912.00|1,840',
      '        Seed shop|240.50|212',
      '        Donations|125.00|-',
      '|2,277.50|2,052',
      '        Printing and post|88.75|94',
    ]);
  });

  it('is seen below a letter and between sums without a name, too', async () => {
    const text = `Good morning,

Receipts and payments 2025/26
2025                                           2026
        RECEIPTS
12,310  Subscriptions                     13,044.00
 2,118  Berths                             2,260.00
14,428                                    15,304.00
        PAYMENTS
 4,200  Slipway rent                       4,200.00
 3,011  Safety boat                        2,874.25
 7,211                                     7,074.25
 7,217  Surplus for the year               8,229.75

Regards`;
    expect(await formatOf(text)).toBe('text');
    expect(await linesOf(text)).toContain('        Berths|2,260.00|2,118');
  });

  it('is last year also where all are as long as one another', async () => {
    const lines = await linesOf(
      '4,200  Slipway rent  4,200.00\n3,011  Safety boat  2,874.25\n1,980  Insurance  2,066.00',
    );
    expect(lines.map((line) => line.trim())).toEqual([
      'Slipway rent|4,200.00|4,200',
      'Safety boat|2,874.25|3,011',
      'Insurance|2,066.00|1,980',
    ]);
  });

  it('is a number where it is as long as the others', async () => {
    const lines = await linesOf(
      '1001  Bank  22,410.07\n1100  Debtors  6,804.55\n1200  Stock  4,410.00',
    );
    expect(lines).toEqual([
      '1001  Bank|22,410.07',
      '1100  Debtors|6,804.55',
      '1200  Stock|4,410.00',
    ]);
  });

  it('may be creditors, of which the next line says when they are due', async () => {
    expect(
      await linesOf(`
Debtors                               3,406
Cash at bank                         12,771
CREDITORS
Amounts falling due within one year  (9,815)
Creditors:
Amounts falling due after one year  (15,000)`),
    ).toEqual([
      'Debtors|3,406',
      'Cash at bank|12,771',
      'Creditors: Amounts falling due within one year|(9,815)',
      'Creditors: Amounts falling due after one year|(15,000)',
    ]);
  });
});

describe('any print', () => {
  const amount = fc.integer({ min: 1, max: 9_999_999 }).map((cents) => {
    const [whole = '', fraction = ''] = (cents / 100).toFixed(2).split('.');
    return `${whole.replace(/\B(?=(\d{3})+$)/g, ',')}.${fraction}`;
  });
  const name = fc
    .stringMatching(/^[A-Z][a-z]{2,9}( [a-z]{2,9}){0,2}$/)
    .filter((text) => !/^(to|as|jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)/i.test(text));

  it('gives each name and each amount back, in its order', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.tuple(name, amount, amount), { minLength: 3, maxLength: 12 }),
        fc.boolean(),
        async (rows, wide) => {
          const text = rows
            .map(([own, first, second]) =>
              wide
                ? `${own.padEnd(40)}${first.padStart(14)}${second.padStart(14)}`
                : `${own} ${first} ${second}`,
            )
            .join('\n');
          expect(await linesOf(text)).toEqual(rows.map((row) => row.join('|')));
        },
      ),
    );
  });
});
