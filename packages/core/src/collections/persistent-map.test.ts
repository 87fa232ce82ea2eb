import fc from 'fast-check';
import { emptyMap, getIn, hasIn, removeIn, setIn, type PersistentMap } from './persistent-map';

type Command = readonly [key: string, value: number | null];

const run = (commands: readonly Command[]) => {
  let map: PersistentMap<number> = emptyMap();
  const model = new Map<string, number>();
  for (const [key, value] of commands) {
    if (value === null) {
      map = removeIn(map, key);
      model.delete(key);
    } else {
      map = setIn(map, key, value);
      model.set(key, value);
    }
  }
  return { map, model };
};

const commands = fc.array(
  fc.tuple(fc.string({ maxLength: 3 }), fc.oneof(fc.constant(null), fc.integer())),
  { maxLength: 400 },
);

describe('a persistent map', () => {
  it('holds what an ordinary map holds after the same changes', () => {
    fc.assert(
      fc.property(commands, (list) => {
        const { map, model } = run(list);
        expect(map.size).toBe(model.size);
        for (const [key] of list) expect(getIn(map, key)).toBe(model.get(key));
      }),
    );
  });

  it('leaves the map that it was made from as it was', () => {
    const before = setIn(emptyMap<number>(), 'a', 1);
    setIn(before, 'a', 2);
    removeIn(before, 'a');
    expect(getIn(before, 'a')).toBe(1);
  });

  it('keeps keys apart whose hashes are equal', () => {
    // FNV-1a gives these two the same 32-bit hash.
    const map = setIn(setIn(emptyMap<number>(), 'costarring', 1), 'liquid', 2);
    expect([getIn(map, 'costarring'), getIn(map, 'liquid')]).toEqual([1, 2]);
    expect(hasIn(removeIn(map, 'liquid'), 'costarring')).toBe(true);
  });
});
