import { around, endOf, monthsFrom, seeded, type DemoEntry } from './journal';

const random = seeded(20260101);

const opening: DemoEntry = {
  date: '2026-01-01',
  source: 'opening',
  comment: 'Opening balances',
  lines: [
    ['1000', 812_440], ['1001', 300_000], ['1005', 15_000], ['1100', 96_300], ['1200', 388_000],
    ['1210', 42_500], ['1310', 180_000], ['1400', 640_000], ['1401', 385_000], ['1402', 210_000],
    ['1490', -264_000], ['1495', -58_000], ['2000', -71_260], ['2200', -468_000], ['2210', -150_000],
    ['3000', -1_500_000], ['3001', -120_000], ['3100', -437_980],
  ],
}; // prettier-ignore

/** What the studio takes in a month, in dollars: account, expected amount, spread. */
const TAKINGS = [
  ['4000', 1450, 0.3], ['4001', 380, 0.4], ['4003', 620, 0.5], ['4004', 910, 0.3],
  ['4100', 840, 0.2], ['4101', 560, 0.2], ['4103', 480, 0.5], ['4110', 120, 0.6],
] as const; // prettier-ignore

/** What it spends, whichever of the like-named accounts came to hand. */
const SPENDING = [
  ['5000', 210, 0.3], ['5001', 95, 0.5], ['5002', 70, 0.4], ['5003', 85, 0.4], ['5020', 60, 0.4],
  ['5021', 35, 0.5], ['5031', 88, 0.3], ['5100', 110, 0.4], ['6001', 980, 0], ['6010', 240, 0.2],
  ['6011', 190, 0.3], ['6020', 64, 0], ['6041', 75, 0.5], ['6042', 60, 0.5], ['6050', 38, 0],
  ['6051', 45, 0], ['6060', 12, 0], ['6061', 66, 0.2], ['6080', 520, 0.1], ['6201', 44, 0.6],
  ['6500', 58, 0.7], ['6501', 41, 0.8], ['6502', 23, 0.8],
] as const; // prettier-ignore

/** What is said of a cost, month by month in turn; “Paid” where nothing is. */
const SAID: Readonly<Record<string, readonly string[]>> = {
  '5000': ['Harrow Pottery Supplies, stoneware'],
  '5001': ['Harrow Pottery Supplies, porcelain'],
  '5002': ['Glaze materials'],
  '5031': ['Parcels posted'],
  '5100': ['Saturday market'],
  '6001': ['Tern Street Estates, rent'],
  '6010': ['Harbour Light and Power'],
  '6020': ['Studio insurance, instalment'],
  '6050': ['Phone'],
  '6051': ['Internet'],
  '6080': ['Evening class, teacher'],
  '6500': ['Kiln repair', 'Kiln repair', 'Van hire for the fair'],
  '6501': ['Advert in the fair guide', 'Paid'],
  '6502': ['Tea and milk'],
};

const saidOf = (account: string, month: string): string => {
  const said = SAID[account] ?? ['Paid'];
  return said[Number(month.slice(5)) % said.length] ?? 'Paid';
};

const entry = (date: string, comment: string, lines: DemoEntry['lines']): DemoEntry => ({
  date,
  source: 'bank',
  comment,
  lines,
});

const monthOf = (month: string): DemoEntry[] => {
  const sales = TAKINGS.map(([account, dollars, spread]) => {
    const cents = around(random, dollars, spread, 50);
    return entry(`${month}-16`, 'Takings', [['1000', cents], [account, -cents]]);
  });
  const costs = SPENDING.map(([account, dollars, spread]) => {
    const cents = around(random, dollars, spread);
    return entry(`${month}-22`, saidOf(account, month), [[account, cents], ['1000', -cents]]);
  });
  const repair = month.endsWith('03') || month.endsWith('08') ? around(random, 640, 0.2) : 0;
  const interest = around(random, 23, 0.05);
  return [
    ...sales,
    ...costs,
    entry(`${month}-05`, 'Drawn by the owner', [['6600', 160_000], ['1000', -160_000]]),
    entry(`${month}-28`, 'Kiln loan', [['6700', interest], ['2200', 22_000 - interest], ['1000', -22_000]]),
    entry(endOf(month), 'Depreciation', [['6800', 14_500], ['1490', -14_500]]),
    ...(repair === 0 ? [] : [entry(`${month}-19`, 'New elements', [['1150', repair], ['1000', -repair]])]),
    
  ];
}; // prettier-ignore

/** What comes once in the year, and hardly counts. */
const ONCE: readonly DemoEntry[] = [
  entry('2026-03-11', 'Glaze handbook', [['6090', 2_450], ['1000', -2_450]]),
  entry('2026-05-20', 'Lunch at the fair', [['6110', 1_860], ['1000', -1_860]]),
  entry('2026-06-09', 'Gas bottle', [['6012', 3_100], ['1000', -3_100]]),
  entry('2026-09-02', 'Thermocouple', [['6031', 2_275], ['1000', -2_275]]),
]; // prettier-ignore

/** Ten months of a ceramics studio whose list of accounts grew without a plan, January to October 2026. */
export const ceramicsEntries = (): readonly DemoEntry[] => [
  opening,
  ...monthsFrom('2026-01', 10).flatMap(monthOf),
  ...ONCE,
];
