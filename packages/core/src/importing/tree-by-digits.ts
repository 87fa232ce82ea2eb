import type { ImportEntry } from './entry';
import { unplacedRow, type TreeRow } from './tree-row';

/** What of a number its sub-accounts share: 5000 lends them 5, where numbers are of one length. */
const lent = (number: string, oneLength: boolean): string =>
  oneLength ? number.replace(/0+$/, '') || number.slice(0, 1) : number;

const isOneLength = (numbers: readonly string[]): boolean =>
  new Set(numbers.map((number) => number.length)).size === 1;

/** For each number the longest other one whose leading digits it shares; `null` for none. */
export const parentsByDigits = (
  numbers: readonly (string | null)[],
  mayLead: (at: number) => boolean,
): readonly (number | null)[] => {
  const oneLength = isOneLength(numbers.filter((number) => number !== null));
  const leaders = new Map<string, number>();
  numbers.forEach((number, at) => {
    if (number === null || !mayLead(at)) return;
    const key = lent(number, oneLength);
    if (!leaders.has(key)) leaders.set(key, at);
  });
  return numbers.map((number, at) => {
    const own = number === null ? '' : lent(number, oneLength);
    const longest = number === null || oneLength ? own.length : own.length - 1;
    for (let length = longest; length > 0; length -= 1) {
      const found = leaders.get(own.slice(0, length));
      if (found !== undefined && found !== at) return found;
    }
    return null;
  });
};

/**
 * Places rows by leading digits: 512 below 51 below 5; where numbers are of one length, 5010 below
 * 5000. Of those only headings lead, if the list says which they are.
 */
export const treeByDigits = (entries: readonly ImportEntry[]): readonly TreeRow[] => {
  const headed = entries.some(({ role }) => role === 'heading');
  const parents = parentsByDigits(
    entries.map(({ number }) => number),
    (at) => !headed || entries[at]?.role === 'heading',
  );
  return entries.map((entry, at) => ({
    ...unplacedRow(entry),
    stated: false,
    parent: parents[at] ?? null,
  }));
};
