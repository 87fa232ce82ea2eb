import { duplicatesAmong } from '../matching/duplicates';
import type { AlikeLine, Mended } from './entry';
import type { ImportRow } from './import-plan';

/** Lines that bring a new account to be posted to; only those can be one account too many. */
const isNew = ({ status, role, made }: ImportRow): boolean =>
  status === 'new' && role === 'posting' && !made;

/** Whether a row takes part: new, or already an account of the chart that a new one may repeat. */
const isPosted = ({ role, kind, made }: ImportRow): boolean =>
  role === 'posting' && kind !== null && !made;

/**
 * Points out new rows that likely repeat an earlier one of the list. Two are alike only where they are of one
 * kind; those that the user called two accounts are passed over.
 */
export const withAlike = (
  rows: readonly ImportRow[],
  mended: ReadonlyMap<number, Mended>,
): readonly ImportRow[] => {
  const asked = rows.filter(isPosted);
  const found = new Map<number, AlikeLine>();
  const accounts = asked.map(({ entry, kind }) => ({
    name: entry.name,
    sort: kind?.kind ?? '',
    above: entry.parent ?? '',
    amount: entry.balance ?? 0,
  }));
  for (const { at, of } of duplicatesAmong(accounts)) {
    const [row, other] = [asked[at], asked[of]];
    if (row === undefined || other === undefined || !(isNew(row) || isNew(other))) continue;
    const { line } = row.entry;
    if (mended.get(line)?.apart !== true)
      found.set(line, { line: other.entry.line, name: other.entry.name });
  }
  return rows.map((row) => {
    const alike = row.made ? undefined : found.get(row.entry.line);
    return alike === undefined ? row : { ...row, alike };
  });
};
