import type { AccountId } from '../chart/account';
import type { ChartNode } from '../chart/chart';
import { SECTION_CODES, type SectionCode } from '../kinds/caption';
import type { RollUp } from '../ledger/amounts';
import { lineKey, sectionTotalKey, type RowKey } from './statement';

/** The rows of a statement by account: on which rows an account and what is below it is shown. */
export type RowsByKey = ReadonlySet<RowKey>;

/** The keys of a statement's rows. */
export const rowKeys = (sheet: { readonly rows: readonly { readonly key: RowKey }[] }): RowsByKey =>
  new Set(sheet.rows.map((row) => row.key));

/**
 * The rows on which a branch lands: its own line in each section that it leads to or, where it
 * has none, the line of the nearest account above that has one, or the section's total.
 * `path` are the nodes from the main account down to the branch itself.
 */
export const landingRows = <S extends string>(
  path: readonly ChartNode[],
  keys: RowsByKey,
  rollUp: RollUp<S>,
): readonly RowKey[] => {
  const node = path.at(-1);
  if (node === undefined) return [];
  return [...rollUp.shares(node).keys()].flatMap((section) => {
    const line = path
      .map(({ account }) => lineKey(section, account.id))
      .findLast((key) => keys.has(key));
    if (line !== undefined) return line;
    const total = sectionTotalKey(section);
    return keys.has(total) ? total : [];
  });
};

/** What a row stands for: a section, and in it one account or all of them. */
export interface RowSubject {
  readonly section: SectionCode;
  readonly accountId: AccountId | null;
}

const isSection = (text: string | undefined): text is SectionCode =>
  (SECTION_CODES as readonly (string | undefined)[]).includes(text);

/** What a row stands for by its key; `null` for groups, results and computed totals. */
export const sectionAndAccountOf = (key: RowKey): RowSubject | null => {
  const [first, second] = key.split('/');
  if (isSection(first)) return { section: first, accountId: second ?? null };
  return (first === 'sum' || first === 'title') && isSection(second)
    ? { section: second, accountId: null }
    : null;
};
