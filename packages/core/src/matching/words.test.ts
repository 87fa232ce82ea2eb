import { mainPart, placeOfPhrase, wordingOf, wordsOf } from './words';

describe('the words of an account’s name', () => {
  it.each<[string, readonly string[]]>([
    ['Repairs & Maintenance', ['repair', 'maintenance']],
    ['Owner’s Withdrawals', ['owner', 'withdrawal']],
    ['Licences', ['license']],
    ['Utilities', ['utility']],
    ['Accum. depn', ['accumulated', 'depreciation']],
    ['A/R', ['account', 'receivable']],
    ['Non-current assets', ['noncurrent', 'asset']],
    ['Café takings', ['cafe', 'takings']],
    ['Goods in transit', ['goods', 'in', 'transit']],
    ['Business', ['business']],
  ])('of %s are %j', (name, words) => expect(wordsOf(name)).toEqual(words));

  it('stand before and after the first link', () => {
    expect(wordingOf('Interest on bank loans')).toEqual({
      words: ['interest', 'bank', 'loan'],
      head: 1,
    });
    expect(wordingOf('Bank loan interest').head).toBe(3);
  });

  it('are those of the main part: what is left out or added in passing says nothing', () => {
    expect(mainPart('Sales, less returns').trim()).toBe('Sales,');
    expect(mainPart('Land (net of any amortization)').trim()).toBe('Land');
    expect(mainPart('Less accumulated depreciation')).toBe('Less accumulated depreciation');
    expect(mainPart('Payable in less than a year')).toBe('Payable in less than a year');
  });

  it('hold a phrase where its words follow one another', () => {
    expect(placeOfPhrase(['prepaid', 'van', 'insurance'], ['van', 'insurance'])).toBe(1);
    expect(placeOfPhrase(['van', 'hire', 'insurance'], ['van', 'insurance'])).toBe(-1);
  });
});
