import { KIND_CODES } from '@iunctus/core';
import { commonNames, readCommonNames } from './common-names';

describe('names that are common in the trade', () => {
  it('stand below their kind, on as many lines as they need', () => {
    expect(
      commonNames('bank\n  Current account; Savings;\n  Chq a/c\n\ndrawings\n  Draws\n'),
    ).toEqual([
      { name: 'Current account', kind: 'bank' },
      { name: 'Savings', kind: 'bank' },
      { name: 'Chq a/c', kind: 'bank' },
      { name: 'Draws', kind: 'drawings' },
    ]);
  });

  it('are refused below what is no kind, and before any, by the line', () => {
    expect(() => commonNames('bank\n  Savings\nbanks\n')).toThrow('line 3: “banks” is no kind');
    expect(() => commonNames('\n  Savings\n')).toThrow('line 2: names stand before any kind');
  });

  it('are there for every kind, and none stands twice below one', () => {
    const names = readCommonNames();
    expect(new Set(names.map(({ kind }) => kind))).toEqual(new Set(KIND_CODES));
    const twice = names.map(({ name, kind }) => `${kind} ${name.toLowerCase()}`);
    expect(twice.filter((one, at) => twice.indexOf(one) !== at)).toEqual([]);
  });
});
