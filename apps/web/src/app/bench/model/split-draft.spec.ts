import type { PostingsAnswer } from '@iunctus/contract';
import { distinctionsOf, emptyPart, partOf } from './split-draft';

const FACTS: PostingsAnswer = {
  upTo: 40,
  postings: 6,
  first: '2026-01-04',
  last: '2026-06-30',
  sources: [
    { source: 'sales', postings: 4 },
    { source: 'bank', postings: 2 },
  ],
  values: [
    { dimensionId: 'm', valueId: 'town', postings: 3 },
    { dimensionId: 'm', valueId: 'coast', postings: 2 },
    { dimensionId: 'm', valueId: null, postings: 1 },
  ],
  years: [],
  comments: [
    { comment: 'Invoice', postings: 4 },
    { comment: 'Till', postings: 2 },
  ],
};
const MARKET = {
  id: 'm',
  name: 'Market',
  values: ['town', 'valley', 'coast'].map((id) => ({ id, name: id })),
};

describe('a part of a split while it is typed', () => {
  it('narrows nothing where nothing is typed', () => {
    expect(partOf(emptyPart(1, { name: 'Rest' }), 40)).toEqual({
      name: 'Rest',
      choice: { first: null, last: null, sources: [], words: '', value: null, upTo: 40 },
    });
  });

  it('reads what is typed, and tells a value from none', () => {
    const draft = emptyPart(1, {
      source: 'bank',
      words: ' till ',
      value: 'm/',
      first: '2026-02-01',
    });
    expect(partOf(draft, 40).choice).toMatchObject({
      first: '2026-02-01',
      sources: ['bank'],
      words: 'till',
      value: { dimensionId: 'm', valueId: null },
    });
    expect(partOf(emptyPart(1, { value: 'm/town' }), 40).choice.value).toEqual({
      dimensionId: 'm',
      valueId: 'town',
    });
  });
});

describe('by what postings can be told apart at once', () => {
  it('is each dimension they carry, the source and the comment', () => {
    const found = distinctionsOf(FACTS, [MARKET]);
    expect(found.map(({ words, parts }) => [words, parts.map(({ name }) => name)])).toEqual([
      ['market', ['town', 'coast']],
      ['source', ['Sales', 'Bank']],
      ['comment', ['Invoice', 'Till']],
    ]);
  });

  it('is nothing that all of them share', () => {
    const alike = {
      ...FACTS,
      sources: FACTS.sources.slice(0, 1),
      comments: FACTS.comments.slice(0, 1),
    };
    expect(distinctionsOf(alike, [])).toEqual([]);
  });

  it('is no comment when more of them come than can be listed', () => {
    expect(distinctionsOf({ ...FACTS, postings: 60 }, []).map(({ words }) => words)).toEqual([
      'source',
    ]);
  });
});
