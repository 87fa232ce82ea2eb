import { aChart } from '@iunctus/core/testing';
import type { ChangeSetting, Chart, Operation, PostingChoice } from '@iunctus/core';
import { choiceWords } from './choice-words';
import { operationWords } from './operation-words';
import { refusalWords } from './refusal-words';
import { budgetWords, settingValueWords } from './setting-words';

const CHART: Chart = aChart('4020 Wholesale\n4030 Tours', {
  settings: {
    dimensions: [{ id: 'm', name: 'Market', values: [{ id: 'town', name: 'Town' }] }],
  },
});
const ALL: PostingChoice = {
  first: null,
  last: null,
  sources: [],
  words: '',
  value: null,
  upTo: 9,
};
const words = (choice: Partial<PostingChoice>): string => choiceWords({ ...ALL, ...choice }, CHART);

describe('which postings are chosen, in words', () => {
  it('are all of them when nothing narrows the choice', () => {
    expect(words({})).toBe('all postings');
  });

  it('says source, words, value and days', () => {
    expect(words({ sources: ['sales', 'bank'] })).toBe('postings from sales and bank');
    expect(words({ words: ' labels ' })).toBe('postings with “labels”');
    expect(words({ value: { dimensionId: 'm', valueId: 'town' } })).toBe('postings of market Town');
    expect(words({ value: { dimensionId: 'm', valueId: null } })).toBe('postings without market');
    expect(words({ first: '2026-07-01', last: '2026-09-30', words: 'tin' })).toBe(
      'postings with “tin”, 1 Jul 2026 to 30 Sep 2026',
    );
    expect(words({ last: '2026-09-30' })).toBe('postings up to 30 Sep 2026');
  });
});

describe('a setting in words', () => {
  const said = (change: Partial<ChangeSetting>): string =>
    settingValueWords({ type: 'changeSetting', id: '4020', ...change } as ChangeSetting, [CHART]);

  it('is the usual of its kind when it is taken back', () => {
    expect(said({ setting: 'openItems', value: null })).toBe('as usual for its kind');
  });

  it('names the value as the sheet does', () => {
    expect(said({ setting: 'openItems', value: true })).toBe('yes');
    expect(said({ setting: 'offeredIn', value: ['sales', 'journals'] })).toBe('sales, journals');
    expect(said({ setting: 'offeredIn', value: [] })).toBe('nothing');
    expect(said({ setting: 'payeeBox', value: 'misc1' })).toBe('1099-MISC box 1, rents');
    expect(said({ setting: 'returnLine', value: { form: 'scheduleC', line: '8', copy: 2 } })).toBe(
      'Schedule C line 8, Advertising, copy 2',
    );
    expect(said({ setting: 'dimensions', value: [{ dimensionId: 'm', valueId: 'town', demanded: true }] })).toBe('Market Town, demanded'); // prettier-ignore
  });

  it('never says a number at a bank', () => {
    const bank = { institution: 'Quay Bank', routing: '021', accountNumber: '4711', nextCheque: '', nextDeposit: '' }; // prettier-ignore
    expect(said({ setting: 'bank', value: bank })).toBe('Quay Bank');
    expect(said({ setting: 'bank', value: { ...bank, institution: '' } })).toBe('changed');
  });

  it('sums a budget by month up to its year', () => {
    const amounts = Array.from({ length: 12 }, () => 10_050);
    expect(budgetWords({ per: 'month', amounts }, 'USD')).toBe('1,206.00 a year, by month');
    expect(budgetWords({ per: 'year', amount: 5000 }, 'JPY')).toBe('5,000 a year');
  });
});

describe('splits and dimensions in words', () => {
  const split = { id: 's', from: '4020', into: '4030', choice: { ...ALL, words: 'tour' } };
  const said = (operation: Operation): string => operationWords(operation, CHART);

  it('name both accounts and the choice', () => {
    expect(said({ type: 'split', split })).toBe(
      '4020 Wholesale split: postings with “tour” count with 4030 Tours',
    );
    expect(said({ type: 'unsplit', split })).toBe(
      'Split of 4020 Wholesale into 4030 Tours taken back',
    );
  });

  it('name a dimension with its first values', () => {
    const values = ['A', 'B', 'C', 'D', 'E', 'F'].map((name) => ({ id: name, name }));
    const set = (dimension: { id: string; name: string; values: typeof values } | null): Operation => ({
      type: 'setDimension', id: 'm', dimension, afterId: null,
    }); // prettier-ignore
    expect(said(set({ id: 'm', name: 'Fund', values }))).toBe(
      'Dimension Fund with A, B, C, D and 2 more',
    );
    expect(said(set({ id: 'm', name: 'Fund', values: [] }))).toBe(
      'Dimension Fund with no values yet',
    );
    expect(said(set(null))).toBe('Dimension Market removed');
  });
});

describe('why a setting or a split is refused', () => {
  it('names the setting and the rule', () => {
    expect(refusalWords({ code: 'settingNotOffered', accountId: '4020', field: 'setting', setting: 'bank' }, CHART)).toBe('Bank details makes no sense for 4020 Wholesale: its kind or role does not have it.'); // prettier-ignore
    expect(refusalWords({ code: 'settingWrong', accountId: '4020', field: 'setting', setting: 'currency', value: 'currencyMalformed' }, CHART)).toBe('Currency: a currency has three capital letters, such as USD.'); // prettier-ignore
  });

  it('says what can be done instead', () => {
    expect(refusalWords({ code: 'valueInUse', accountId: '', value: 'Town' }, CHART)).toBe('Postings carry “Town”, so it stays. It can be renamed.'); // prettier-ignore
    expect(refusalWords({ code: 'splitFurther', accountId: '4030' }, CHART)).toBe('4030 Tours was split in its turn. Take that split back first.'); // prettier-ignore
    expect(refusalWords({ code: 'choiceWrong', accountId: '4020', value: 'endsBeforeItBegins' }, CHART)).toBe('The span ends before it begins.'); // prettier-ignore
  });
});
