import type { ColumnReading } from '@iunctus/core';
import { knownFrom, typesAsKnown, usesAsKnown } from './known-lists';

const READING: ColumnReading = {
  headingLine: 1,
  headings: ['Code', 'Text', 'Art'],
  uses: ['number', 'name', null],
};
const TYPES = new Map([['Kasse', 'cashOnHand' as const]]);

const CLIENT = 'client';
const known = () => {
  const list = knownFrom({ ...READING, uses: ['number', 'name', 'type'] }, TYPES, CLIENT);
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
    expect(typesAsKnown(READING, known(), CLIENT)).toEqual(TYPES);
    expect(typesAsKnown(READING, [], CLIENT)).toEqual(new Map());
  });

  it('of another client has the same columns, while its words may mean something else', () => {
    expect(usesAsKnown(READING, known()).uses[2]).toBe('type');
    expect(typesAsKnown(READING, known(), 'another')).toEqual(new Map());
  });

  it('is not known without headings', () => {
    const bare = { ...READING, headingLine: null };
    expect(knownFrom(bare, TYPES, CLIENT)).toBeNull();
    expect(usesAsKnown(bare, known())).toEqual(bare);
  });
});
