import { elementOf, KIND_CODES, type KindCode } from '../../kinds/kinds';
import { nameKey } from '../../text/name-key';
import type { RowSaid } from './row-features';

const phrases = (text: string): ReadonlySet<string> => new Set(text.split(', '));

/** What lists call costs of what was sold, and all others. Usage of the trade: common practice, no source. */
const OF_SALES = phrases(
  'cost of sales, costs of sales, cost of goods, cost of goods sold, cogs, cos, cost of revenue, cost of services, ' +
    'direct cost, direct costs, direct expense, direct expenses',
);
const OVERHEADS = phrases(
  'overhead, overheads, overhead expenses, operating expenses, opex, administrative expenses, administration expenses, ' +
    'admin expenses, admin costs, general and administrative, general and administrative expenses, selling expenses, ' +
    'selling and distribution expenses, establishment expenses, indirect costs, indirect expenses',
);

const keyOf = (text: string): string =>
  nameKey(text)
    .replaceAll('&', 'and')
    .replace(/\s*:$/, '')
    .replace(/^(?:less|total)\b:?\s*/, '');

const EXPENSES: readonly KindCode[] = KIND_CODES.filter((kind) => elementOf(kind) === 'expense');
const NONE: readonly KindCode[] = [];

/**
 * The kinds of which a row is not, by the words of the list itself: what stands below “Cost of sales”, or has it as its
 * type, is no overhead, and what stands below “Overheads” no cost of sales; “Supplies” beside “Supplies expense” is none
 * that was used up. Common practice, no source.
 * @param names the keys of all names of the list
 */
export const kindsRuledOut = (
  { name, above, type }: RowSaid,
  names: ReadonlySet<string>,
): readonly KindCode[] => {
  const own = nameKey(name);
  if (names.has(`${own} expense`) || names.has(`${own} expenses`)) return EXPENSES;
  for (const text of [...type.split(' / '), ...above]) {
    const key = keyOf(text);
    if (OF_SALES.has(key)) return ['operatingExpense'];
    if (OVERHEADS.has(key)) return ['costOfSales'];
  }
  return NONE;
};
