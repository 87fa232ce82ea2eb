import { around, endOf, monthsFrom, seeded, shareOf, type DemoEntry } from './journal';

// Share of an average month's sales, January first: a quiet winter, a busy summer and autumn.
const TAPROOM_SEASON = [0.6, 0.6, 0.75, 0.9, 1.1, 1.3, 1.45, 1.45, 1.25, 1.2, 0.8, 0.9];
const WHOLESALE_SEASON = [0.7, 0.75, 0.85, 1, 1.1, 1.15, 1.15, 1.1, 1, 1.05, 1.05, 1.3];
const SALES_TAX = 0.0725;
const CARD_FEE = 0.0175;
const LOAN_RATE = 0.0595;
const LOAN_PAYMENT = 91_240;

const random = seeded(20250701);
const day = (month: string, number: number): string =>
  `${month}-${String(number).padStart(2, '0')}`;
const seasonOf = (month: string, season: readonly number[]): number =>
  season[Number(month.slice(5)) - 1] ?? 1;

const opening: DemoEntry = {
  date: '2025-07-01',
  source: 'opening',
  comment: 'Opening balances',
  lines: [
    ['1010', 3_184_215], ['1020', 940_000], ['1050', 81_630], ['1060', 40_000], ['1200', 1_466_520],
    ['1310', 212_400], ['1320', 2_380_000], ['1330', 1_918_650], ['1340', 486_320], ['1400', 96_000],
    ['1510', 9_640_000], ['1520', 2_215_000], ['1530', 1_890_000], ['1590', -2_880_000],
    ['2000', -814_370], ['2110', -118_240], ['2120', -402_600], ['2200', -168_450], ['2400', -61_500],
    ['2700', -5_126_080], ['3010', -7_000_000], ['3020', -6_500_000], ['3050', -1_479_495],
  ],
}; // prettier-ignore

const taproom = (month: string): DemoEntry[] =>
  [5, 12, 19, 26].map((date) => {
    const net = around(random, 3050 * seasonOf(month, TAPROOM_SEASON), 0.12);
    const tax = shareOf(net, SALES_TAX);
    const cash = shareOf(net + tax, 0.14);
    return {
      date: day(month, date),
      source: 'sales',
      comment: 'Taproom takings of the week',
      lines: [['1060', cash], ['1050', net + tax - cash], ['4010', -net], ['2110', -tax]],
    };
  }); // prettier-ignore

const payouts = (month: string, sales: readonly DemoEntry[]): DemoEntry[] =>
  sales.map((sale, index) => {
    const gross = sale.lines[1]?.[1] ?? 0;
    const fee = shareOf(gross, CARD_FEE);
    return {
      date: index === 3 ? endOf(month) : day(month, [8, 15, 22][index] ?? 28),
      source: 'bank',
      comment: 'Card payout',
      lines: [['1010', gross - fee], ['6360', fee], ['1050', -gross]],
    };
  }); // prettier-ignore

const CUSTOMERS = [
  ['The Copper Heron', 'Town'],
  ['Millbrook Larder', 'Valley'],
  ['Oast & Apple', 'Town'],
  ['Harbour Stores', 'Coast'],
] as const;

const wholesale = (month: string): DemoEntry[] =>
  CUSTOMERS.flatMap(([customer, market], index): DemoEntry[] => {
    const amount = around(random, 2870 * seasonOf(month, WHOLESALE_SEASON), 0.25, 100);
    return [
      { date: day(month, 4 + 6 * index), source: 'sales', comment: `Invoice to ${customer}`, market, lines: [['1200', amount], ['4020', -amount]] },
      { date: day(month, 9 + 5 * index), source: 'bank', comment: `Paid by ${customer}`, lines: [['1010', shareOf(amount, 0.97)], ['1200', -shareOf(amount, 0.97)]] },
    ];
  }); // prettier-ignore

const extras = (month: string, counter: readonly DemoEntry[]): DemoEntry[] => {
  const banked = counter.reduce((sum, { lines }) => sum + (lines[0]?.[1] ?? 0), 0);
  const tours = around(random, 1250 * seasonOf(month, TAPROOM_SEASON), 0.15, 500);
  const returned = around(random, 230, 0.5, 50);
  return [
    { date: day(month, 17), source: 'sales', comment: 'Orchard tours', lines: [['1010', tours], ['4030', -tours]] },
    { date: day(month, 23), source: 'sales', comment: 'Corked bottles taken back', lines: [['4090', returned], ['1200', -returned]] },
    { date: day(month, 27), source: 'bank', comment: 'Till banked', lines: [['1010', banked], ['1060', -banked]] },
  ];
}; // prettier-ignore

const salesOf = (entries: readonly DemoEntry[]): number =>
  -entries
    .flatMap(({ lines }) => lines)
    .filter(([account]) => account === '4010' || account === '4020')
    .reduce((sum, [, cents]) => sum + cents, 0);

const costs = (month: string, sold: number): DemoEntry[] => {
  const fruit = shareOf(sold, 0.195 + 0.01 * random());
  const packaging = shareOf(sold, 0.098 + 0.006 * random());
  const duty = shareOf(sold, 0.0775);
  const carriage = around(random, 310 * seasonOf(month, WHOLESALE_SEASON), 0.2);
  const harvest = ['09', '10', '11'].includes(month.slice(5)) ? around(random, 14_200, 0.1, 100) : 0;
  const bottles = around(random, 2450, 0.1, 100);
  return [
    { date: endOf(month), source: 'adjustment', comment: 'Cost of cider sold', lines: [['5010', fruit], ['1330', -fruit]] },
    { date: endOf(month), source: 'adjustment', comment: 'Packaging of cider sold', lines: [['5020', packaging], ['1340', -packaging]] },
    { date: endOf(month), source: 'adjustment', comment: 'Duty on cider released', lines: [['6310', duty], ['2120', -duty]] },
    { date: day(month, 14), source: 'purchases', comment: 'Bottles and labels', lines: [['1340', bottles], ['2000', -bottles]] },
    { date: day(month, 20), source: 'purchases', comment: 'Van repairs', lines: [['6220', carriage], ['2000', -carriage]] },
    { date: day(month, 28), source: 'adjustment', comment: 'Racked and bottled', lines: [['1330', fruit], ['1320', -fruit]] },
    ...(harvest === 0 ? [] : [
      { date: day(month, 21), source: 'purchases', comment: 'Apples from the growers', lines: [['1310', harvest], ['2000', -harvest]] },
      { date: day(month, 27), source: 'adjustment', comment: 'Pressed into the tanks', lines: [['1320', shareOf(harvest, 0.92)], ['1310', -shareOf(harvest, 0.92)]] },
    ] satisfies DemoEntry[]),
  ];
}; // prettier-ignore

const people = (month: string): DemoEntry[] => {
  const wages = around(random, 6350 * (0.8 + 0.2 * seasonOf(month, TAPROOM_SEASON)), 0.03);
  const employer = shareOf(wages, 0.0765);
  const withheld = shareOf(wages, 0.1865);
  return [
    { date: endOf(month), source: 'payroll', comment: 'Wages of the month', lines: [['6010', wages], ['6020', employer], ['1010', -(wages - withheld)], ['2200', -(withheld + employer)]] },
    { date: day(month, 15), source: 'bank', comment: 'Payroll taxes paid over', lines: [['2200', 168_450], ['1010', -168_450]] },
    { date: day(month, 3), source: 'bank', comment: 'Partners’ drawings', lines: [['3080', 180_000], ['3090', 150_000], ['1010', -330_000]] },
  ];
}; // prettier-ignore

const bills = (month: string): DemoEntry[] => {
  const winter = ['11', '12', '01', '02', '03'].includes(month.slice(5)) ? 1.5 : 1;
  const bill = (number: number, account: string, comment: string, cents: number): DemoEntry => ({
    date: day(month, number), source: 'purchases', comment, lines: [[account, cents], ['2000', -cents]],
  });
  const card = (number: number, account: string, comment: string, cents: number): DemoEntry => ({
    date: day(month, number), source: 'purchases', comment, lines: [[account, cents], ['2050', -cents]],
  });
  const list = [
    bill(1, '6110', 'Rent of barn and yard', 215_000),
    bill(11, '6120', 'Power and water', around(random, 640 * winter, 0.12)),
    bill(18, '6130', 'Cleaning', around(random, 260, 0.3)),
    bill(13, '6340', 'Posters, festival fee', around(random, 540, 0.4)),
    bill(25, '6350', 'Bookkeeping', 42_500),
    card(7, '6210', 'Diesel', around(random, 185, 0.15)),
    card(16, '6210', 'Diesel', around(random, 170, 0.2)),
    card(22, '6390', 'Sundries', around(random, 95, 0.7)),
  ];
  const licence = month.slice(5) === '01' ? [bill(9, '6320', 'Yearly licences', 118_000)] : [];
  const premium = month.slice(5) === '01' ? [bill(8, '1400', 'Insurance for the year', 576_000)] : [];
  return [...list, ...licence, ...premium];
}; // prettier-ignore

const payments = (month: string, posted: readonly DemoEntry[]): DemoEntry[] => {
  const owed = (account: string): number =>
    -posted.flatMap(({ lines }) => lines).filter(([a]) => a === account).reduce((sum, [, cents]) => sum + cents, 0);
  const suppliers = shareOf(owed('2000'), 0.96);
  const card = owed('2050');
  return [
    { date: endOf(month), source: 'bank', comment: 'Supplier bills paid', lines: [['2000', suppliers], ['1010', -suppliers]] },
    { date: endOf(month), source: 'bank', comment: 'Card paid off', lines: [['2050', card], ['1010', -card]] },
  ];
}; // prettier-ignore

const QUARTER_ENDS = ['01', '04', '07', '10'];

/** Sixteen months of a small cider works, July 2025 to October 2026. */
export const ciderEntries = (): readonly DemoEntry[] => {
  const all: DemoEntry[] = [opening];
  const balanceOf = (account: string): number =>
    all.flatMap(({ lines }) => lines).filter(([a]) => a === account).reduce((sum, [, cents]) => sum + cents, 0);
  for (const month of monthsFrom('2025-07', 16)) {
    const counter = taproom(month);
    const trade = wholesale(month);
    const running = [...counter, ...payouts(month, counter), ...trade, ...extras(month, counter), ...costs(month, salesOf([...counter, ...trade])), ...people(month), ...bills(month)];
    all.push(...running, ...payments(month, running));
    const interest = shareOf(-balanceOf('2700'), LOAN_RATE / 12);
    const premium = Math.min(48_000, balanceOf('1400'));
    all.push(
      { date: day(month, 28), source: 'bank', comment: 'Loan payment', lines: [['7510', interest], ['2700', LOAN_PAYMENT - interest], ['1010', -LOAN_PAYMENT]] },
      { date: endOf(month), source: 'adjustment', comment: 'Depreciation of the month', lines: [['6400', 120_000], ['1590', -120_000]] },
      { date: endOf(month), source: 'adjustment', comment: 'Insurance of the month', lines: [['6330', premium], ['1400', -premium]] },
    );
    if (QUARTER_ENDS.includes(month.slice(5))) {
      const [tax, duty] = [-balanceOf('2110'), -balanceOf('2120')];
      all.push(
        { date: day(month, 20), source: 'bank', comment: 'Sales tax and duty of the quarter', lines: [['2110', tax], ['2120', duty], ['1010', -(tax + duty)]] },
        { date: endOf(month), source: 'bank', comment: 'Interest on the reserve', lines: [['1020', 4_700], ['7010', -4_700]] },
      );
    }
  }
  return all;
}; // prettier-ignore
