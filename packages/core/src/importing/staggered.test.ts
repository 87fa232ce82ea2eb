import fc from 'fast-check';
import { emptyChart } from '../chart/build';
import { importOf } from '../testing/a-list';
import type { SourceRow } from './source';
import { joinStaggered } from './staggered';

const numbered = (cells: readonly (readonly string[])[]): readonly SourceRow[] =>
  cells.map((row, at) => ({ line: at + 1, cells: row }));

/** Depths of a tree in list order: each at most one deeper than the one before. */
const depths = fc.array(fc.nat({ max: 3 }), { minLength: 4, maxLength: 30 }).map((drawn) => {
  let before = -1;
  return [0, 1, 0, ...drawn].map((depth) => (before = Math.min(depth, before + 1)));
});

describe('any tree whose names stand in steps', () => {
  it('is the tree of the same names indented', () => {
    fc.assert(
      fc.property(depths, (drawn) => {
        const width = Math.max(...drawn) + 1;
        const steps = drawn.map((depth, at) => {
          const cells = Array.from({ length: width }, () => '');
          cells[depth] = `Account ${String.fromCharCode(65 + at)}`;
          return [...cells, 'Asset'];
        });
        const headings = ['Account', ...Array.from({ length: width - 1 }, () => ''), 'Type'];
        const joined = joinStaggered(numbered([headings, ...steps]));
        const levels = importOf(emptyChart(), joined).rows.map(({ level }) => level);
        expect(levels).toEqual(drawn.map((depth) => depth + 1));
      }),
    );
  });

  it('keeps the lines of its rows, and every other cell', () => {
    const rows = numbered([
      ['No', 'Account', '', 'Balance'],
      ['10', 'Cash', '', ''],
      ['11', '', 'Till', '5.00'],
      ['12', '', 'Bank', '6.00'],
      ['40', 'Sales', '', '-11.00'],
    ]);
    const joined = joinStaggered(rows);
    expect(joined.map(({ line }) => line)).toEqual([1, 2, 3, 4, 5]);
    expect(joined.map(({ cells }) => cells.length)).toEqual([3, 3, 3, 3, 3]);
    expect(joined[2]?.cells).toEqual(['11', '    Till', '5.00']);
  });
});
