import { emptyChart } from '../../chart/build';
import { elementOf, KINDS, type KindCode } from '../../kinds/kinds';
import { aList, importOf } from '../../testing/a-list';
import { ListJudge } from './judge-list';
import type { PlacedSaid } from './joint';

const said = (name: string, more: Partial<PlacedSaid['said']> = {}): PlacedSaid => ({
  said: { name, above: [], type: '', number: null, balance: 0, leads: false, ...more },
  parent: null,
});

const judge = (rows: readonly PlacedSaid[], settled: ReadonlyMap<number, KindCode> = new Map()) =>
  new ListJudge(rows, { settled });

/** Name, debit, credit. Source: Weygandt, Kimmel, Kieso, Accounting Principles, the adjusted trial balance of its advertising agency (from memory). */
const AGENCY = `
Name|Debit|Credit
Cash|15,200|
Accounts Receivable|200|
Supplies|1,000|
Prepaid Insurance|550|
Equipment|5,000|
Accumulated Depreciation - Equipment||40
Notes Payable||5,000
Accounts Payable||2,500
Interest Payable||50
Unearned Service Revenue||800
Salaries and Wages Payable||1,200
Owner’s Capital||10,000
Owner’s Drawings|500|
Service Revenue||10,600
Salaries and Wages Expense|5,200|
Supplies Expense|1,500|
Rent Expense|900|
Insurance Expense|50|
Interest Expense|50|
Depreciation Expense|40|`;

describe('a textbook’s trial balance, brought in as a list without types', () => {
  const { balances } = importOf(emptyChart(), aList(AGENCY));
  const sum = (...elements: readonly string[]): number =>
    balances
      .filter(({ kind }) => elements.includes(elementOf(kind)))
      .reduce((total, { amount }) => total + amount, 0) / 100;

  it('gives the published net income and total assets', () => {
    expect(-sum('revenue', 'expense')).toBe(2860);
    expect(sum('asset')).toBe(21910);
  });

  it('puts interest among finance costs and drawings into equity', () => {
    const kinds = balances.map(({ kind }) => KINDS[kind].caption);
    expect(kinds.filter((caption) => caption === 'financeCosts')).toHaveLength(1);
    expect(-sum('equity')).toBe(9500);
  });
});

describe('a list judged as a whole', () => {
  const best = (rows: readonly PlacedSaid[], at: number) => judge(rows).guesses(at, null)[0];

  it('lets rows of one type speak for one of them that says nothing itself', () => {
    const type = 'Grp 7';
    const rows = ['Rent', 'Insurance', 'Office supplies', 'Telephone', 'Zzyzx', 'Advertising'].map(
      (name) => said(name, { type }),
    );
    expect(best(rows, 4)?.kind).toBe('operatingExpense');
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

  it('takes what is settled as it is', () => {
    const rows = [said('Zzyzx'), said('Rent')];
    const [guess] = judge(rows, new Map([[0, 'inventory']])).guesses(0, null);
    expect(guess?.kind).toBe('inventory');
  });
});
