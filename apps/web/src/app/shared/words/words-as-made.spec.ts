import { aChart } from '@iunctus/core/testing';
import { wordsAsMade } from './words-as-made';

describe('a run of operations in words', () => {
  it('calls every account as it was called when the change was made', () => {
    const { words } = wordsAsMade(aChart('6010 Rent\n6020 Insurance'), [
      { type: 'renumber', id: '6010', number: '6015' },
      { type: 'editField', id: '6010', field: 'name', value: 'Rent of the barn' },
      { type: 'changeKind', id: '6010', kind: 'otherExpense' },
    ]);
    expect(words[0]).toBe('6010 Rent renumbered 6015');
    expect(words[1]).toBe('Rent renamed “Rent of the barn”');
    expect(words[2]).toContain('6015 Rent of the barn given the kind');
  });
});
