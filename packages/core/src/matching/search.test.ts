import { plainAccount } from '../chart/account';
import { chartFrom } from '../chart/build';
import { anAccount } from '../testing';
import { searchAccounts } from './search';

const CHART = chartFrom([
  anAccount('1050', 'Card takings in transit', { kind: 'clearing' }),
  anAccount('5010', 'Fruit and juice', { guidance: 'Apples and pears by the tonne' }),
  anAccount('6010', 'Wages'),
  anAccount('6050', 'Training', { notes: 'Forklift card, renewed in spring' }),
  anAccount('6105', 'Rent of the press house'),
]);
const ALSO = new Map([['6105', '6310 yard rent']]);

const found = (query: string, most = 9): readonly string[] =>
  searchAccounts(CHART, query, { also: ALSO, most }).map(({ id, foundIn }) => `${id} ${foundIn}`);

describe('finding accounts', () => {
  it('takes a number by its beginning before one that holds the digits elsewhere', () => {
    expect(found('10')).toEqual(['1050 number', '5010 number', '6010 number', '6105 number']);
    expect(found('50')[0]).toBe('5010 number');
  });

  it('takes a name before what is said about an account', () => {
    expect(found('card')).toEqual(['1050 name', '6050 notes']);
    expect(found('pear')).toEqual(['5010 guidance']);
  });

  it('wants every word, wherever each is found', () => {
    expect(found('juice apples')).toEqual(['5010 name']);
    expect(found('juice rent')).toEqual([]);
  });

  it('finds an account by what it was numbered and called', () => {
    expect(found('6310')).toEqual(['6105 former']);
  });

  it('does not mind case, and gives no more than asked', () => {
    expect(found('RENT')).toEqual(['6105 name']);
    expect(found('6', 2)).toHaveLength(2);
    expect(found('  ')).toEqual([]);
  });

  it('finds accented letters by plain ones, in any script that has them', () => {
    const chart = chartFrom([
      {
        ...plainAccount({ id: 'c', number: '1010', name: 'Café float', kind: 'bank' }),
        parentId: null,
      },
      {
        ...plainAccount({ id: 'd', number: '1020', name: 'Ταμείο', kind: 'bank' }),
        parentId: null,
      },
    ]);
    const found = (query: string) =>
      searchAccounts(chart, query, { also: new Map(), most: 5 }).map(({ id }) => id);
    expect(found('cafe')).toEqual(['c']);
    expect(found('CAFÉ')).toEqual(['c']);
    expect(found('ταμειο')).toEqual(['d']);
  });
});
