import fc from 'fast-check';
import {
  emptyMap,
  getIn,
  hasIn,
  mapOf,
  removeIn,
  setIn,
  type PersistentMap,
} from './persistent-map';

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

  it('holds the same when it is made at once as when it is made one by one, and grows on alike', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.string({ maxLength: 3 }), fc.integer())),
        commands,
        (pairs, more) => {
          const model = new Map(pairs);
          let map = mapOf(pairs);
          expect(map.size).toBe(model.size);
          for (const [key, value] of more) {
            map = value === null ? removeIn(map, key) : setIn(map, key, value);
            if (value === null) model.delete(key);
            else model.set(key, value);
          }
          expect(map.size).toBe(model.size);
          for (const [key] of [...pairs, ...more]) expect(getIn(map, key)).toBe(model.get(key));
        },
      ),
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
    const atOnce = mapOf([
      ['costarring', 1],
      ['liquid', 2],
    ] as const);
    expect([getIn(atOnce, 'costarring'), getIn(atOnce, 'liquid'), atOnce.size]).toEqual([1, 2, 2]);
  });
});
