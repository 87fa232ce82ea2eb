import type { Operation } from '@iunctus/core';
import { wantedOf } from './wanted';

describe('what a set-aside step wanted of an account', () => {
  const operations: readonly Operation[] = [
    { type: 'moveNode', id: 'a', parentId: 'p', afterId: null },
    { type: 'renumber', id: 'a', number: '5012' },
    { type: 'editField', id: 'a', field: 'name', value: 'Clay' },
    { type: 'changeKind', id: 'b', kind: 'bank' },
  ];

  it('is what its row can hold', () => {
    expect(wantedOf(operations, 'a')).toEqual({ parentId: 'p', number: '5012', name: 'Clay' });
    expect(wantedOf(operations, 'b')).toEqual({ kind: 'bank' });
  });

  it('is nothing where no field of the row is concerned', () => {
    expect(wantedOf([{ type: 'retire', id: 'a', on: '2026-10-31' }], 'a')).toBeNull();
    expect(wantedOf(operations, 'c')).toBeNull();
  });
});
