import { KIND_CODES, type KindCode } from '../../kinds/kinds';
import { learnOrders, orderVoice, SECTION_AT, SECTIONS } from './orders';

const sectionOf = (kind: KindCode): number => SECTION_AT[KIND_CODES.indexOf(kind)] ?? 0;
const listOf = (...kinds: readonly KindCode[]): readonly number[] => kinds.map(sectionOf);

/** Shares of sections of a row whose section is as good as known. */
const known = (kind: KindCode): Float64Array => {
  const shares = new Float64Array(SECTIONS.length);
  shares[sectionOf(kind)] = 1;
  return shares;
};
const UNKNOWN = new Float64Array(SECTIONS.length).fill(1 / SECTIONS.length);

/** The shares of one row after the other. */
const rowsOf = (...rows: readonly Float64Array[]): Float64Array =>
  Float64Array.from(rows.flatMap((row) => [...row]));

const STATEMENT_ORDER = listOf(
  'services', 'services', 'costOfSales', 'costOfSales', 'operatingExpense', 'operatingExpense', 'incomeTax',
); // prettier-ignore
const [BEFORE, AFTER] = [0, 1];

describe('the order in which sections follow one another', () => {
  const orders = learnOrders(Array.from({ length: 20 }, () => STATEMENT_ORDER));
  const said = new Float64Array(SECTIONS.length);
  const saysOf = (kind: KindCode): number => said[sectionOf(kind)] ?? 0;

  it('is learned from lists: what stands before what more often than by chance', () => {
    const cell = (earlier: KindCode, later: KindCode): number =>
      orders[0]?.[sectionOf(earlier) * SECTIONS.length + sectionOf(later)] ?? 0;
    expect(cell('services', 'costOfSales')).toBeGreaterThan(1);
    expect(cell('costOfSales', 'services')).toBeLessThan(1);
  });

  it('says nothing where no list was seen', () => {
    for (const table of learnOrders([]))
      expect(Array.from(table).every((ratio) => ratio === 1)).toBe(true);
  });

  it('skips rows of which nobody knows what they are', () => {
    const [table] = learnOrders([[null, null, null]]);
    expect(Array.from(table ?? []).every((ratio) => ratio === 1)).toBe(true);
  });

  it('speaks for cost of sales where a row follows sales, and for sales where it stands before cost of sales', () => {
    const after = orderVoice(rowsOf(known('services'), UNKNOWN), orders);
    expect(after(1, BEFORE, said)).toBe(true);
    expect(saysOf('costOfSales')).toBeGreaterThan(saysOf('incomeTax'));
    const before = orderVoice(rowsOf(UNKNOWN, known('costOfSales')), orders);
    expect(before(0, AFTER, said)).toBe(true);
    expect(saysOf('services')).toBeGreaterThan(saysOf('incomeTax'));
  });

  it('has nothing to say at the ends of a list', () => {
    const voice = orderVoice(rowsOf(known('services'), known('costOfSales')), orders);
    expect(voice(0, BEFORE, said)).toBe(false);
    expect(voice(1, AFTER, said)).toBe(false);
  });
});
