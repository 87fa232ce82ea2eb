import { aChart } from '../testing/a-chart';
import { registerAccounts } from './register-accounts';

const CHART = aChart(`
1000 Cash and bank:
  1010 Bank
  1020 Till [cashOnHand]
4000 Lessons [services]
6000 Running costs:
  6010 Rent
  6020 Interest [financeCost]`);

describe('the accounts of a register', () => {
  it('are an account and all below it', () => {
    expect(registerAccounts(CHART, '1000')).toMatchObject({
      accounts: ['1000', '1010', '1020'],
      title: '1000 Cash and bank',
      isOfYear: false,
      isMany: true,
    });
    expect(registerAccounts(CHART, '1010')).toMatchObject({ accounts: ['1010'], isMany: false });
  });

  it('of a statement’s line are those that lead to its section', () => {
    expect(registerAccounts(CHART, 'operatingExpenses/6000')?.accounts).toEqual(['6000', '6010']);
    expect(registerAccounts(CHART, 'revenue/4000')).toMatchObject({
      accounts: ['4000'],
      isOfYear: true,
    });
    expect(registerAccounts(CHART, 'sum/revenue')?.accounts).toEqual(['4000']);
  });

  it('are none where nothing of the chart is meant', () => {
    expect(registerAccounts(CHART, 'total/netProfit')).toBeNull();
    expect(registerAccounts(CHART, 'nowhere')).toBeNull();
  });
});
