import { isChosen, type PostingChoice } from './choice';
import type { Posting } from './posting';

const posting = (more: Partial<Posting> = {}): Posting => ({
  entryId: 'e1',
  lineNumber: 1,
  date: '2026-03-15',
  source: 'bank',
  comment: 'Orchard supplies, invoice 118',
  amount: 12_050,
  values: {},
  sequence: 40,
  ...more,
});

const ALL: PostingChoice = {
  first: null,
  last: null,
  sources: [],
  words: '',
  value: null,
  upTo: 99,
};
const chosen = (choice: Partial<PostingChoice>, more: Partial<Posting> = {}): boolean =>
  isChosen(posting(more), { ...ALL, ...choice });

describe('choosing postings', () => {
  it('takes all when nothing narrows the choice', () => {
    expect(chosen({})).toBe(true);
  });

  it('takes both days at the ends of a span, and none beyond', () => {
    const march = { first: '2026-03-01', last: '2026-03-31' };
    expect(chosen(march, { date: '2026-03-01' })).toBe(true);
    expect(chosen(march, { date: '2026-03-31' })).toBe(true);
    expect(chosen(march, { date: '2026-02-28' })).toBe(false);
    expect(chosen(march, { date: '2026-04-01' })).toBe(false);
  });

  it('takes a span that is open at one end', () => {
    expect(chosen({ first: '2026-03-16' })).toBe(false);
    expect(chosen({ last: '2026-03-16' })).toBe(true);
  });

  it('takes the sources that are named', () => {
    expect(chosen({ sources: ['sales', 'bank'] })).toBe(true);
    expect(chosen({ sources: ['sales'] })).toBe(false);
  });

  it('finds all words in a comment, in any order and whatever their case or width', () => {
    expect(chosen({ words: 'SUPPLIES orchard' })).toBe(true);
    expect(chosen({ words: '１１８' })).toBe(true);
    expect(chosen({ words: '  ' })).toBe(true);
    expect(chosen({ words: 'orchard cidery' })).toBe(false);
  });

  it('takes one value of a dimension, or those that carry none in it', () => {
    const values = { market: 'saturday' };
    expect(chosen({ value: { dimensionId: 'market', valueId: 'saturday' } }, { values })).toBe(
      true,
    );
    expect(chosen({ value: { dimensionId: 'market', valueId: 'sunday' } }, { values })).toBe(false);
    expect(chosen({ value: { dimensionId: 'market', valueId: null } }, { values })).toBe(false);
    expect(chosen({ value: { dimensionId: 'market', valueId: null } })).toBe(true);
  });

  it('leaves out what was posted after it was made, whatever its date', () => {
    expect(chosen({ upTo: 40 })).toBe(true);
    expect(chosen({ upTo: 39 })).toBe(false);
  });
});
