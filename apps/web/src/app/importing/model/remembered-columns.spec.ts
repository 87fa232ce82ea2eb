import type { ColumnReading } from '@iunctus/core';
import { rememberColumns, withRemembered } from './remembered-columns';

const READING: ColumnReading = {
  headingLine: 1,
  headings: ['Code', 'Text', 'Art'],
  uses: ['number', 'name', null],
};

describe('the columns of a list that came before', () => {
  beforeEach(() => localStorage.clear());

  it('are used as they were chosen, for the same headings', () => {
    rememberColumns({ ...READING, uses: ['number', 'name', 'type'] });
    expect(withRemembered(READING).uses).toEqual(['number', 'name', 'type']);
    expect(withRemembered({ ...READING, headings: ['Code', 'Text', 'Kind'] }).uses).toEqual(
      READING.uses,
    );
  });

  it('are not remembered for lists without headings', () => {
    rememberColumns({ ...READING, headingLine: null, uses: [null, null, null] });
    expect(withRemembered(READING)).toEqual(READING);
  });

  it('are forgotten when what is kept is no such list', () => {
    localStorage.setItem(
      'iunctus.columns',
      '[["code\u001ftext\u001fart",["number","wings",null]]]',
    );
    expect(withRemembered(READING)).toEqual(READING);
  });
});
