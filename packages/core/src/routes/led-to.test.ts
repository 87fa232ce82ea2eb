import { accountsLedTo } from './routes';

describe('the accounts to which something leads', () => {
  const line = (accountId: string | null) => ({
    ...{ accountId, debit: '', credit: '', comment: '', currency: '', rate: '' },
    values: {},
  });

  it('are those that routes and standing entries name, each once; what is still to be chosen is none', () => {
    const party = {
      ...{ type: 'party', name: 'Harbour Light', role: 'supplier', note: '' },
      ...{ saleId: null, purchaseId: '6100' },
    } as unknown as Parameters<typeof accountsLedTo>[0][number];
    const entries = [{ lines: [line('6100'), line('1010'), line(null)] }];
    expect([...accountsLedTo([party], entries)]).toEqual(['6100', '1010']);
  });

  it('are none where there is neither', () => {
    expect(accountsLedTo([], []).size).toBe(0);
  });
});
