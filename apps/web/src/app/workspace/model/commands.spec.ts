import { commandsFor, COMMANDS } from './commands';

describe('the commands that words find', () => {
  const found = (query: string): readonly string[] => commandsFor(query).map(({ words }) => words);

  it('are those whose words begin so, in any order', () => {
    expect(found('merge')).toEqual(['Merge into another']);
    expect(found('acc new')).toEqual([
      'New account beside',
      'New account under',
      'New heading above the chosen accounts',
      'New main account',
    ]);
    expect(found('numb')).toEqual([
      'Edit number, name, kind and parent',
      'Swap the numbers of two chosen accounts',
      'Go to numbers: plan and renumbering',
    ]);
  });

  it.each(['keys', 'print', 'budget', 'heading', 'compare', 'settings'])(
    'are there for “%s”',
    (word) => {
      expect(found(word).length).toBeGreaterThan(0);
    },
  );

  it('are none for words that nothing is called by, and all for none', () => {
    expect(found('teapot')).toEqual([]);
    expect(found('')).toHaveLength(COMMANDS.length);
  });
});
