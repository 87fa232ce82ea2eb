import fc from 'fast-check';
import { sum } from '../money/minor';
import { aList } from '../testing/a-list';
import { recognizeColumns } from './columns';
import { findTree, treeSourceOf } from './find-tree';
import { readRows } from './read-rows';
import { withoutRolledUp } from './rolled-up';
import type { TreeRow } from './tree-row';

const placed = (text: string): readonly TreeRow[] => {
  const rows = aList(text);
  const columns = recognizeColumns(rows);
  const read = readRows(rows, {
    columns,
    currency: 'USD',
    today: '2026-11-25',
    mended: new Map(),
  });
  return findTree(read, treeSourceOf(read));
};

/** Rows in the order of the list, in which every parent comes first. */
const balancesOf = (rows: readonly TreeRow[]): readonly (number | null)[] =>
  withoutRolledUp(
    rows,
    rows.map((_row, at) => at),
  ).map(({ entry }) => entry.balance);

describe('amounts that repeat what stands below', () => {
  it('are totals at every level, also of headings of headings', () => {
    const rows = placed(`
Name|Balance
Assets|9.00
  Cash|5.00
    Till|2.00
    Bank|3.00
  Stock|4.00`);
    expect(balancesOf(rows)).toEqual([null, null, 200, 300, 400]);
  });

  it('are the account’s own where they are something else, and count above with what is below', () => {
    const rows = placed(`
Name|Balance
Assets|10.00
  Cash|6.00
    Till|2.00
  Stock|2.00`);
    expect(balancesOf(rows)).toEqual([null, 600, 200, 200]);
  });

  it('are the account’s own where the list calls it a posting account', () => {
    const rows = placed('Name|Role|Balance\nCash|Posting|5.00\n  Till|Posting|5.00');
    expect(balancesOf(rows)).toEqual([500, 500]);
  });

  it('are nothing to speak of where nothing stands below', () => {
    expect(balancesOf(placed('Name|Balance\nCash|5.00\nLoan|-5.00'))).toEqual([500, -500]);
  });

  it('of any list whose parents bear totals leave what was posted, to the last cent', () => {
    const leaf = fc.integer({ min: 1, max: 99_999 });
    const groups = fc.array(fc.array(leaf, { minLength: 1, maxLength: 5 }), {
      minLength: 1,
      maxLength: 5,
    });
    const written = (amount: number): string => (amount / 100).toFixed(2);
    fc.assert(
      fc.property(groups, (all) => {
        const lines = all.flatMap((leaves, group) => [
          `Group ${group}|${written(sum(leaves))}`,
          ...leaves.map((amount, at) => `  Part ${group}-${at}|${written(amount)}`),
        ]);
        const balances = balancesOf(placed(['Name|Balance', ...lines].join('\n')));
        expect(sum(balances.map((amount) => amount ?? 0))).toBe(sum(all.flat()));
      }),
    );
  });
});
