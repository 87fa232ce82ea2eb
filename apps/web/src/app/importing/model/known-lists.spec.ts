import type { ColumnReading } from '@iunctus/core';
import { knownFrom, typesAsKnown, usesAsKnown } from './known-lists';

const READING: ColumnReading = {
  headingLine: 1,
  headings: ['Code', 'Text', 'Art'],
  uses: ['number', 'name', null],
};
const TYPES = new Map([['Kasse', 'cashOnHand' as const]]);

const known = () => {
  const list = knownFrom({ ...READING, uses: ['number', 'name', 'type'] }, TYPES);
  return list === null ? [] : [list];
};

describe('a list with headings that are known', () => {
  it('has its columns used as they were chosen, whatever the case of the headings', () => {
    const loud = { ...READING, headings: ['CODE', 'Text', 'Art'] };
    expect(usesAsKnown(loud, known()).uses).toEqual(['number', 'name', 'type']);
    const other = { ...READING, headings: ['Code', 'Text', 'Kind'] };
    expect(usesAsKnown(other, known())).toEqual(other);
  });

  it('has its words for types mean what they meant', () => {
    expect(typesAsKnown(READING, known())).toEqual(TYPES);
    expect(typesAsKnown(READING, [])).toEqual(new Map());
  });

  it('is not known without headings', () => {
    const bare = { ...READING, headingLine: null };
    expect(knownFrom(bare, TYPES)).toBeNull();
    expect(usesAsKnown(bare, known())).toEqual(bare);
  });
});
