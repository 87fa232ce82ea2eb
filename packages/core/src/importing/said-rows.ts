import type { Element } from '../kinds/element';
import type { RowSaid } from '../matching/learned/row-features';
import type { AmountSides } from './amount-sides';
import { balanceOrSide } from './sides-in-column';
import type { TreeRow } from './tree-row';

/** Names above a row are followed so far up. */
const FOLLOWED = 3;

/** What is taken off within a name is not what the account is: “Stands, net of depreciation”. */
const NET_OF = /(?<=\S),?\s*\b(?:less|net of)\s+(?:accum|depr|amort|allow)\S*.*$/i;

/** What a list says of each of its rows, with the names of what stands above it; amounts speak where debits are positive. */
export const saidRows = (
  rows: readonly TreeRow[],
  under: ReadonlyMap<number, Element>,
  sides: AmountSides = 'debit',
): readonly RowSaid[] => {
  const leads = new Set(rows.flatMap(({ parent }) => parent ?? []));
  return rows.map(({ entry, made, parent }, at) => {
    const above: string[] = [];
    let top = at;
    for (let up = parent; up !== null && above.length < FOLLOWED; up = rows[up]?.parent ?? null) {
      above.push(rows[up]?.entry.name ?? '');
      top = up;
    }
    const element = under.get(top);
    return {
      name: entry.name.replace(NET_OF, ''),
      above: element === undefined ? above : [...above, element],
      type: made ? '' : [entry.type, entry.finerType].filter((one) => one !== null).join(' / '),
      number: made ? null : entry.number,
      balance: made || sides !== 'debit' ? 0 : balanceOrSide(entry),
      leads: leads.has(at),
    };
  });
};
