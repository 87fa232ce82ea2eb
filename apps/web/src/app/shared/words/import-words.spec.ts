import { emptyChart } from '@iunctus/core';
import { aChart, aList, importOf } from '@iunctus/core/testing';
import { fileProblemWords, importProblemWords, rowWords } from './import-words';

const CHART = aChart('1000 Cash:\n  1010 Bank\n6000 Costs:\n  6010 Rent');
const wordsOf = (text: string, chart = CHART): readonly string[] => {
  const plan = importOf(chart, aList(text));
  const context = { chart, titles: new Map<string, string>(), currency: 'USD' };
  return plan.rows.map((row) => rowWords(row, context));
};

describe('what is said of a line that is brought in', () => {
  it('names every change with what it was', () => {
    expect(wordsOf('Number|Name|Budget\n6020|Rent|1,200.00')).toEqual([
      'number 6010 → 6020; budget none → 1,200.00',
    ]);
  });

  it('names the other line of the list where two come to one name', () => {
    const plan = importOf(emptyChart(), aList('Number|Name\n6010|Rent\n6020|rent'));
    const titles = new Map([[plan.rows[0]?.accountId ?? '', '6010 Rent']]);
    const [, second] = plan.rows;
    const context = { chart: emptyChart(), titles, currency: 'USD' };
    expect(second && rowWords(second, context)).toBe(
      'This list adds 6010 Rent as well, which has the same name. Add a word that tells them apart.',
    );
  });

  it('asks about a number that means something else', () => {
    expect(wordsOf('Number|Name\n6010|Motor insurance')).toEqual([
      'Number 6010 is 6010 Rent in the chart. Is this the same account?',
    ]);
  });

  it('says of a cell what it is, which rule it breaks, and what would do', () => {
    expect(wordsOf('Number|Name\n6010|Rent\n6010|Fuel\n60 !|Tea\n6030|', emptyChart())).toEqual([
      'New',
      'Line 2 has number 6010 already. Type another, or leave one of them out.',
      '“60 !” is no account number: letters, digits, and . - / between, at most 20.',
      'The name is empty. Type one, or leave the line out.',
    ]);
  });

  it('offers what would do where the tree does not hold', () => {
    expect(
      importProblemWords(
        { rule: 'parentUnknown', text: '99' },
        { chart: CHART, titles: new Map() },
      ),
    ).toBe('Its parent “99” is not in the list. Correct it, or let the account stand alone.');
  });
});

describe('what is said of a file that cannot be read', () => {
  it('names the limit in the units of a person', () => {
    expect(fileProblemWords({ code: 'tooLarge' })).toContain('25 MB');
    expect(fileProblemWords({ code: 'tooManyColumns', line: 3 })).toContain('Line 3');
  });
});
