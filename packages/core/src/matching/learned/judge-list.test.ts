import { elementOf, KIND_CODES, type KindCode } from '../../kinds/kinds';
import { ListJudge } from './judge-list';
import { hashOf } from './model';
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

  it('is never sure of a name that says nothing, however clear all around it is', () => {
    const rows = ['Rent', 'Insurance', 'Office rates', 'Zzyzx', 'Advertising', 'Telephone'].map(
      (name, place) => said(name, { number: String(6010 + place) }),
    );
    const guess = best(rows, 3);
    expect(guess).toMatchObject({ kind: 'operatingExpense', reason: { type: 'around' } });
    expect(guess?.confidence).toBeLessThanOrEqual(0.9);
  });

  it('knows wear and tear, and where money lies', () => {
    expect(best([said('Wear and tear - van')], 0)?.kind).toBe('depreciation');
    expect(best([said('Building society')], 0)?.kind).toBe('bank');
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
    const goods = KIND_CODES.indexOf('saleOfGoods');
    const says = { kinds: Uint8Array.of(goods), weights: Float64Array.of(9), mean: 0 };
    const surroundings = new Map([[hashOf('many inventory'), says]]);
    const learned = {
      kinds: new Set(KIND_CODES),
      features: new Map(),
      rounds: [],
      orders: [],
      surroundings,
    };
    const settled = new Map<number, KindCode>([[1, 'inventory']]);
    const found = (bare: boolean) =>
      new ListJudge([said('Takings'), said('Stock')], { settled, learned, bare }).guesses(
        0,
        null,
      )[0];
    expect(found(false)?.kind).toBe('saleOfGoods');
    expect(found(true)?.confidence).toBeCloseTo(1 / KIND_CODES.length);
  });

  it('takes what is settled as it is', () => {
    const rows = [said('Zzyzx'), said('Rent')];
    const [guess] = judge(rows, new Map([[0, 'inventory']])).guesses(0, null);
    expect(guess?.kind).toBe('inventory');
  });
});
