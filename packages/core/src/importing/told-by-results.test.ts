import { emptyChart } from '../chart/build';
import { elementOf } from '../kinds/kinds';
import { aList, importOf } from '../testing/a-list';

const planOf = (text: string) => importOf(emptyChart(), aList(text));
const elementsOf = (text: string) =>
  Object.fromEntries(
    planOf(text).rows.flatMap(({ entry, kind, status }) =>
      status === 'new' && kind !== null ? [[entry.name, elementOf(kind.kind)]] : [],
    ),
  );

/** Names that say nothing, but for the one that is plainly a cost. */
const ODDS = `
|2026
Brindle|148,000
Materials|27,000
Gross profit|121,000
Rent|12,600
Insurance|48,400
Net profit|60,000`;

describe('lines that a result shows to be on the other side', () => {
  it('are income where only so the gross profit comes out', () => {
    expect(elementsOf(ODDS)).toMatchObject({ Brindle: 'revenue', Materials: 'expense' });
  });

  it('are expenses where only so the net profit comes out', () => {
    const elements = elementsOf(`
|2026
Sales|100,000
Purchases|40,000
Gross profit|60,000
Rent|10,000
Gubbins received|5,000
Net profit|45,000`);
    expect(elements['Gubbins received']).toBe('expense');
  });

  it('have a loss without a minus', () => {
    const elements = elementsOf(`
|2026
Sales|20,000
Brindle|5,000
Rent|17,000
Wages|18,000
Net loss for the year|10,000`);
    expect(elements['Brindle']).toBe('revenue');
  });

  it('bring the whole in so that it makes the printed profit', () => {
    const profit = planOf(ODDS).balances.reduce((all, { amount }) => all - amount, 0);
    expect(profit).toBe(6_000_000);
  });

  it('have what is taken off a sale beside it, however far it is set in', () => {
    const elements = elementsOf(`
|2026
Lessons|64,310
Shop sales|9,420
  less cost of shop goods|5,110
Instructors|38,200
Insurance|3,340
Profit for the season|27,080`);
    expect(elements).toMatchObject({
      'Shop sales': 'revenue',
      'less cost of shop goods': 'expense',
    });
  });

  it('may be two together', () => {
    const elements = elementsOf(`
|2026
Online shop|12,755
Craft fairs|4,850
Gubbins|3,505
Brindle|400
Packaging|1,005
Net profit|12,695`);
    expect(elements).toMatchObject({ Gubbins: 'expense', Brindle: 'expense' });
  });

  it('stay what they are where two would do, or where a name is plain', () => {
    const two = elementsOf(`
|2026
Brindle|30,000
Crumhorn|30,000
Rent|10,000
Net profit|20,000`);
    const other = elementsOf(`
|2026
Sales|100,000
Insurance|10,000
Wages|20,000
Net profit|90,000`);
    expect([two['Rent'], other['Insurance']]).toEqual(['expense', 'expense']);
  });

  it('are not asked of columns for debit and credit', () => {
    const { rows } = planOf(`
|Debit|Credit
Brindle||148,000
Rent|12,000|
Bank|136,000|`);
    expect(rows.map(({ entry }) => entry.balance)).toEqual([-14800000, 1200000, 13600000]);
  });
});

describe('a cost that is taken off its sale in an inner column', () => {
  it('stands on its own side, and the whole makes the printed profit', () => {
    const plan = planOf(`
|£|£
Lessons||64,310
Shop sales|9,420|
less cost of shop goods|5,110|4,310
||68,620
EXPENSES||
Instructors|38,200|
Insurance|3,340|41,540
PROFIT FOR THE SEASON||27,080`);
    const balances = new Map(plan.rows.map(({ entry }) => [entry.name, entry.balance]));
    expect(balances.get('less cost of shop goods')).toBe(511000);
    expect(plan.balances.reduce((all, { amount }) => all - amount, 0)).toBe(2708000);
  });
});
