import { emptyChart } from '../chart/build';
import { aList, importOf } from '../testing/a-list';

const planOf = (text: string) => importOf(emptyChart(), aList(text));
const balancesOf = (text: string) =>
  Object.fromEntries(planOf(text).rows.map(({ entry }) => [entry.name, entry.balance]));

describe('amounts without one below zero', () => {
  it('stand each on the side of its account, though no name is plainly of one in credit', () => {
    expect(
      balancesOf('|2026\nCalves and culls|9,455\nfeed|27,610\nvet|5,944\ndrawings|16,000'),
    ).toMatchObject({ 'Calves and culls': -945500, feed: 2761000, drawings: 1600000 });
  });

  it('say nothing of a kind: what is sold is not spent because its amount has no minus', () => {
    const { rows } = planOf('|2026\nMilk sold|88,210\nfeed|27,610\ndiesel|5,016');
    expect(rows[0]?.kind?.kind).toBe('saleOfGoods');
  });

  it('have debits positive where one stands below zero, and all come to nothing', () => {
    expect(planOf('|2026\nBank|100.00\nSales|-100.00').sides).toBe('debit');
  });
});

describe('a line over liabilities and net assets', () => {
  const POSITION = `
|2025
ASSETS|
Cash|18,204
Risers and stands, net of accumulated depreciation|3,150
LIABILITIES AND NET ASSETS|
Accounts payable|612
Net assets without donor restrictions|20,742`;

  it('is no account, and leads both', () => {
    const plan = planOf(POSITION);
    expect(plan.rows.filter(({ status }) => status === 'wrong')).toEqual([]);
    expect(plan.balances.reduce((all, { amount }) => all + amount, 0)).toBe(0);
  });

  it('stands beside assets of which something is taken off, which stay assets', () => {
    const stands = planOf(POSITION).rows.find(({ entry }) => entry.name.startsWith('Risers'));
    expect(stands?.kind?.kind).toBe('propertyAndEquipment');
  });
});
