import { elementOf, type KindCode } from '../../kinds/kinds';
import { ListJudge } from './judge-list';
import type { PlacedSaid } from './voices';

const said = (name: string, more: Partial<PlacedSaid['said']> = {}): PlacedSaid => ({
  said: { name, above: [], type: '', number: null, balance: 0, leads: false, ...more },
  parent: null,
});

const judge = (rows: readonly PlacedSaid[], settled: ReadonlyMap<number, KindCode> = new Map()) =>
  new ListJudge(rows, { settled });

describe('a list judged as a whole', () => {
  const best = (rows: readonly PlacedSaid[], at: number) => judge(rows).guesses(at, null)[0];

  it('lets rows of one type speak for one of them that says nothing itself', () => {
    const type = 'Grp 7';
    const rows = ['Rent', 'Insurance', 'Office supplies', 'Telephone', 'Zzyzx', 'Advertising'].map(
      (name) => said(name, { type }),
    );
    expect(best(rows, 4)?.kind).toBe('operatingExpense');
  });

  it('lets numbers that begin with the same letters speak for one another', () => {
    const rows = [
      ['F01', 'Delivery van'], ['F02', 'Office furniture'], ['F03', 'Zzyzx'], ['F04', 'Computers'],
      ['I01', 'Fees'], ['I02', 'Consulting'], ['X01', 'Rent'], ['X02', 'Insurance'],
    ].map(([number = '', name = '']) => said(name, { number })); // prettier-ignore
    expect(best(rows, 2)?.kind).toBe('propertyAndEquipment');
  });

  it('lets no coarse type overrule a clear name', () => {
    const rows = [
      said('Finished goods in store', { type: 'Current Assets' }),
      said('Prepaid insurance', { type: 'Current Assets' }),
      said('Loan interest paid', { type: 'Expense' }),
      said('Rent', { type: 'Expense' }),
    ];
    expect(rows.map((_row, at) => best(rows, at)?.kind)).toEqual([
      'inventory',
      'prepaidExpense',
      'financeCost',
      'operatingExpense',
    ]);
  });

  it.each([
    ['Bank', 'bank'], ['Petty cash', 'cashOnHand'], ['Debtors', 'tradeReceivable'], ['Stock', 'inventory'],
    ['Creditors', 'tradePayable'], ['Drawings', 'drawings'], ['Sales', 'saleOfGoods'], ['Rent', 'operatingExpense'],
    ['Wages', 'operatingExpense'], ['Depreciation', 'depreciation'],
  ] as const)('takes %s for what it mostly is where nothing stands around it', (name, kind) => {
    expect(best([said(name)], 0)?.kind).toBe(kind);
  }); // prettier-ignore

  it('is never sure of a name that says nothing, alone in its list', () => {
    expect(best([said('Zzyzx')], 0)?.confidence).toBeLessThan(0.6);
  });

  it('gives three candidates, only of the element where one is given', () => {
    const guesses = judge([said('Insurance')]).guesses(0, 'asset');
    expect(guesses.map(({ kind }) => elementOf(kind))).toEqual(['asset', 'asset', 'asset']);
    expect(guesses[0]?.kind).toBe('prepaidExpense');
  });

  it('says which word spoke', () => {
    const rows = [said('Accumulated depreciation of vans')];
    const [guess] = judge(rows).guesses(0, null);
    expect(guess).toMatchObject({ kind: 'accumulatedDepreciation', reason: { type: 'words' } });
  });

  it('hears what stands around a row in lists alone, not around names that somebody types', () => {
    const rows = ['Takings', 'Stock', 'Goods bought', 'Carriage in'].map((name) => said(name));
    const sureness = (bare: boolean): number | undefined =>
      new ListJudge(rows, { settled: new Map(), bare }).guesses(0, 'revenue')[0]?.confidence;
    expect(sureness(false)).not.toBe(sureness(true));
  });

  it('takes what is settled as it is', () => {
    const rows = [said('Zzyzx'), said('Rent')];
    const [guess] = judge(rows, new Map([[0, 'inventory']])).guesses(0, null);
    expect(guess?.kind).toBe('inventory');
  });
});
