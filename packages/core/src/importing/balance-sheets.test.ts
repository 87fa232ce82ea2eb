import { emptyChart } from '../chart/build';
import { sum } from '../money/minor';
import { aList, importOf } from '../testing/a-list';

/** In capitals, with half a name over each part, and sums without a name. */
const BOATYARD = aList(`
|2026|2025
ASSETS||
CURRENT||
Cash|41,207|28,650
Accounts receivable|63,480|55,120
Inventory of parts|18,930|17,400
|123,617|101,170
PROPERTY, PLANT AND EQUIPMENT|84,560|92,310
DUE FROM SHAREHOLDER|12,000|–
|220,177|193,480
LIABILITIES||
CURRENT||
Accounts payable|38,215|36,940
HST payable|7,604|6,110
|45,819|43,050
LONG-TERM DEBT|42,500|52,500
|88,319|95,550
SHAREHOLDERS' EQUITY||
Share capital|100|100
Retained earnings|131,758|97,830
|131,858|97,930
|220,177|193,480`);

const FARM = aList(`
|2026
Fixed assets|
Land|310,000
Tractors|37,535
Current assets|
Hay and feed|9,350
Cash at bank|5,018
Current liabilities|
Creditors|21,340
HP due within one year|8,400
Net current liabilities|(15,372)
Total assets less current liabilities|332,163
HP due after one year|14,700
Mortgage|120,000
Net assets|197,463
Capital account|
Balance brought forward|197,463`);

describe('a balance sheet whose titles are half a name', () => {
  const { rows, balances } = importOf(emptyChart(), BOATYARD);
  const named = (status: string) =>
    rows.filter((row) => row.status === status).map(({ entry }) => entry.name);

  it('has the name of the element behind them: “CURRENT” stands there twice', () => {
    expect(rows.filter(({ role }) => role === 'heading').map(({ entry }) => entry.name)).toEqual([
      'CURRENT ASSETS',
      'CURRENT LIABILITIES',
      "SHAREHOLDERS' EQUITY",
    ]);
  });

  it('has elements that are no accounts, and what stands behind them without a title is of them', () => {
    expect(named('band')).toEqual(['ASSETS', 'LIABILITIES']);
    expect(rows.find(({ entry }) => entry.name === 'DUE FROM SHAREHOLDER')?.kind?.kind).toBe(
      'loanGiven',
    );
  });

  it('comes in balanced, with sums of sums as totals, though nothing is written beside them', () => {
    expect(named('total')).toHaveLength(6);
    expect(named('wrong')).toEqual([]);
    expect(sum(balances.map(({ amount }) => amount))).toBe(0);
  });
});

describe('lines behind what is worked out from several sections', () => {
  it('belong to none of these', () => {
    const { rows } = importOf(emptyChart(), FARM);
    const levelOf = (name: string) => rows.find(({ entry }) => entry.name === name)?.level;
    expect(levelOf('HP due within one year')).toBe(2);
    expect(levelOf('HP due after one year')).toBe(1);
    expect(levelOf('Mortgage')).toBe(1);
  });
});

describe('what is owed in brackets beside what is owed without', () => {
  it('is on its usual side where the whole then comes to nothing', () => {
    const { balances } = importOf(
      emptyChart(),
      aList(`
|2026
Fixed assets|
Tangible assets|18,240
Current assets|
Debtors|71,308
Cash at bank|63,592
Trade creditors|(36,452)
Net current assets|98,448
Bank loan|(15,000)
Net assets attributable to members|101,688
Represented by|
Loans due to members|41,688
Members' capital|60,000`),
    );
    expect(sum(balances.map(({ amount }) => amount))).toBe(0);
    expect(balances.map(({ amount }) => amount)).toContain(-4_168_800);
  });
});
