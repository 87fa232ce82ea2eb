import fc from 'fast-check';
import type { PeriodContext } from '../dates/period-words';
import {
  COLUMN_SETS,
  columnsAsText,
  columnsFromText,
  columnsOfSet,
  withoutColumn,
  type ColumnSpec,
} from './columns';

const CONTEXT: PeriodContext = {
  main: { first: '2026-02', last: '2026-10' },
  startsIn: 7,
  now: '2026-11',
};

const wordsOf = (specs: readonly ColumnSpec[]): readonly string[] =>
  specs.flatMap((spec) => ('words' in spec ? spec.words : []));

describe('ready-made columns', () => {
  it('take a period apart by quarters of the fiscal year, the outer ones shorter', () => {
    expect(wordsOf(columnsOfSet('quarters', CONTEXT, 'profitAndLoss'))).toEqual([
      '2026-02 to 2026-03',
      '2026-04 to 2026-06',
      '2026-07 to 2026-09',
      '2026-10',
      'this period',
    ]);
  });

  it('show a balance once: the last part stands for the whole', () => {
    const words = wordsOf(columnsOfSet('quarters', CONTEXT, 'balanceSheet'));
    expect(words.at(-1)).toBe('2026-10');
  });

  it('give a month alone no parts', () => {
    const main = { first: '2026-03', last: '2026-03' };
    expect(wordsOf(columnsOfSet('months', { ...CONTEXT, main }, 'profitAndLoss'))).toEqual([
      'this period',
    ]);
  });

  it('never stand beside one another beyond what a sheet takes', () => {
    const main = { first: '2016-01', last: '2026-10' };
    expect(columnsOfSet('months', { ...CONTEXT, main }, 'profitAndLoss')).toHaveLength(40);
  });
});

describe('columns as text', () => {
  it('are read back as they were written', () => {
    for (const set of COLUMN_SETS) {
      expect(columnsFromText(columnsAsText(set))).toBe(set);
      const specs = columnsOfSet(set, CONTEXT, 'profitAndLoss');
      expect(columnsFromText(columnsAsText(specs))).toEqual(specs);
    }
  });

  it.each(['difference 1 2', 'this period; percent 1 2', 'share 1', 'this period; difference 0 1'])(
    'refuse a column that is reckoned from one that is not before it: %s',
    (text) => {
      expect(columnsFromText(text)).toBeNull();
    },
  );

  it('refuse more than a sheet takes', () => {
    expect(columnsFromText(Array.from({ length: 41 }, () => 'jan').join(';'))).toBeNull();
  });

  it('are read without failing, whatever they say', () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        const read = columnsFromText(text);
        if (read !== null) expect(columnsFromText(columnsAsText(read))).toEqual(read);
      }),
    );
  });
});

describe('a column that is taken out', () => {
  it('takes those along that are reckoned from it, and the others go on', () => {
    const specs = columnsFromText(
      'jan; feb; difference 1 2; mar; share 4; difference 4 1; percent 3 1',
    );
    if (specs === null || typeof specs === 'string' || 'by' in specs) throw new Error('no columns');
    expect(columnsAsText(withoutColumn(specs, 1))).toBe('jan; mar; share 2; difference 2 1');
  });
});
