import type { OutlineProblem, Reason } from '@iunctus/core';
import { aChart } from '@iunctus/core/testing';
import { outlineProblemWords, reasonWords } from './outline-words';
import { shortList } from './short-list';

const CHART = aChart('5010 Fruit\n6010 Rent');

describe('what is wrong with a line of an outline', () => {
  it.each<[OutlineProblem, string]>([
    [
      { code: 'unknownKind', words: 'coaching' },
      'No kind is called “coaching”. Leave the brackets out, and one is inferred.',
    ],
    [{ code: 'parentWrong', line: 4 }, 'Waits for line 4, under which it stands.'],
    [{ code: 'repeatsLine', field: 'number', line: 2 }, 'Line 2 has this number already.'],
    [
      { code: 'noNumber', why: 'tooDeep' },
      'No number: the number plan has no digits for this level. Type one, or change the plan under Numbers.',
    ],
    [
      {
        code: 'refused',
        refusal: {
          code: 'nameTaken',
          accountId: 'x',
          field: 'name',
          value: 'Rent',
          otherId: '6010',
        },
      },
      'The name “Rent” is borne by 6010 Rent. Add a word that tells them apart.',
    ],
  ])('is said in words: %j', (problem, words) => {
    expect(outlineProblemWords(problem, CHART)).toBe(words);
  });
});

describe('from what a kind was inferred', () => {
  it.each<[Reason, string]>([
    [{ type: 'words', words: 'rent' }, 'from “rent”'],
    [{ type: 'parent' }, 'as the account above'],
    [{ type: 'range', range: 'Cost of sales' }, 'from its number, among cost of sales'],
    [{ type: 'none' }, 'for want of anything better'],
  ])('is said in words: %j', (reason, words) => expect(reasonWords(reason)).toBe(words));
});

describe('a list of effects', () => {
  it('shows all of a few, and how many more there are of many', () => {
    const lines = Array.from({ length: 12 }, (_, index) => String(index));
    expect(shortList(lines.slice(0, 9))).toHaveLength(9);
    expect(shortList(lines)).toEqual([
      '0',
      '1',
      '2',
      '3',
      '4',
      '5',
      '6',
      '7',
      'and 4 changes more',
    ]);
  });
});
