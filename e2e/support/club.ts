import type { Bookkeeper } from './bookkeeper';

/** The outline of a rowing club's chart: how deep each line stands, and what it says. 30 accounts. */
export const CLUB: readonly (readonly [depth: number, text: string])[] = [
  [0, 'Assets'],
  [1, 'Bank'],
  [2, 'Current account'],
  [2, 'Regatta account'],
  [1, 'Boathouse till'],
  [1, 'Subscriptions owed by members'],
  [1, 'Boats [land, property and equipment]'],
  [2, 'Eights'],
  [2, 'Fours and pairs'],
  [2, 'Accumulated depreciation on boats'],
  [0, 'Liabilities'],
  [1, 'Trade creditors'],
  [1, 'Subscriptions paid in advance'],
  [1, 'Loan for the boathouse'],
  [0, 'Equity'],
  [1, 'Accumulated fund'],
  [0, 'Income'],
  [1, 'Membership subscriptions'],
  [1, 'Regatta entry fees'],
  [1, 'Donations received'],
  [1, 'Bar sales'],
  [1, 'Bank interest'],
  [0, 'Expenses'],
  [1, 'Bar purchases'],
  [1, 'Boathouse [operating expense]'],
  [2, 'Rent of the landing'],
  [2, 'Light and power'],
  [2, 'Insurance'],
  [1, 'Rowing [operating expense]'],
  [2, 'Boat repairs'],
  [2, 'Coaches’ fees'],
  [2, 'Regatta travel'],
  [2, 'Junior squad'],
  [1, 'Depreciation of boats'],
  [1, 'Bank charges'],
];

/** Types an outline line by line; a new line begins as deep as the one before, Tab and Shift Tab lead on from there. */
export const typeOutline = async (
  bookkeeper: Bookkeeper,
  outline: readonly (readonly [depth: number, text: string])[],
): Promise<void> => {
  let before = 0;
  for (const [index, [depth, text]] of outline.entries()) {
    if (index > 0) await bookkeeper.press('Enter');
    for (; before < depth; before += 1) await bookkeeper.press('Tab');
    for (; before > depth; before -= 1) await bookkeeper.press('Shift+Tab');
    await bookkeeper.type(text);
  }
};
