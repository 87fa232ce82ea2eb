import type { AccountId } from '../chart/account';
import type { Chart } from '../chart/chart';
import { eachNode, idByNumber } from '../chart/queries';
import type { RowMatch } from './match-rows';
import type { TreeRow } from './tree-row';

/** How far from its own a number is looked for. */
const REACH = 2000;

/** The next free number after, else before, of as many digits; `null` where there is none near. */
const numberNear = (number: string, taken: ReadonlySet<string>): string | null => {
  const [, before = '', digits = ''] = /^(.*?)(\d+)$/.exec(number) ?? [];
  if (digits === '') return null;
  const free = (value: number): string | null => {
    const text = `${before}${String(value).padStart(digits.length, '0')}`;
    return value < 0 || text.length !== number.length || taken.has(text) ? null : text;
  };
  for (const step of [1, -1])
    for (let away = 1; away <= REACH; away += 1) {
      const found = free(Number(digits) + step * away);
      if (found !== null) return found;
    }
  return null;
};

/**
 * Other numbers for the chart's accounts whose numbers new rows of a list take: each the nearest that
 * neither the chart nor the list uses.
 */
export const displacedBy = (
  chart: Chart,
  placed: readonly { readonly row: TreeRow; readonly match: RowMatch }[],
): ReadonlyMap<AccountId, string> => {
  const taken = new Set([...eachNode(chart.roots)].flatMap(({ account }) => account.number ?? []));
  for (const { row } of placed) if (row.entry.number !== null) taken.add(row.entry.number);
  const stays = new Set(placed.flatMap(({ match }) => (match.type === 'account' ? match.id : [])));
  const displaced = new Map<AccountId, string>();
  for (const { row, match } of placed) {
    const { number, problems } = row.entry;
    if (match.type !== 'new' || number === null || problems.length > 0) continue;
    const holder = idByNumber(chart, number);
    const near = holder === undefined || stays.has(holder) ? null : numberNear(number, taken);
    if (holder === undefined || near === null) continue;
    taken.add(near);
    displaced.set(holder, near);
  }
  return displaced;
};
