import { KIND_CODES } from '@iunctus/core';
import fc from 'fast-check';
import { fromBase64, hashOf, readLearned } from '../packages/core/src/matching/learned/model';
import { packFeatures } from './pack-features';

const NOTHING = packFeatures(new Map(), { step: 1, least: 1 });
const EMPTY = { rounds: [], orders: [], surroundings: NOTHING };

describe('what was learned, in its file', () => {
  it('is read from text as another reader of base 64 has it', () => {
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 200 }), (bytes) => {
        expect([...fromBase64(Buffer.from(bytes).toString('base64'))]).toEqual([...bytes]);
      }),
    );
  });

  it('gives back what a feature says of each kind more than of most, and leaves out what is too little', () => {
    const step = 1 / 16;
    const weight = fc.integer({ min: -63, max: 63 }).map((steps) => steps * step);
    const row = fc.array(weight, { minLength: KIND_CODES.length, maxLength: KIND_CODES.length });
    fc.assert(
      fc.property(fc.dictionary(fc.string(), row, { maxKeys: 6 }), (rows) => {
        const features = packFeatures(new Map(Object.entries(rows)), { step, least: 0.15 });
        const learned = readLearned({ ...EMPTY, kinds: KIND_CODES, features });
        for (const [key, weights] of Object.entries(rows)) {
          const says = learned.features.get(hashOf(key));
          const back = weights.map((_one, kind) => {
            const index = says?.kinds.indexOf(kind) ?? -1;
            return index < 0 ? 0 : (says?.weights[index] ?? 0);
          });
          const middle = [...weights].sort((a, b) => a - b)[weights.length >> 1] ?? 0;
          const left = weights.map((one) => one - middle);
          expect(back).toEqual(left.map((one) => (Math.abs(one) < 0.15 ? 0 : one)));
        }
      }),
    );
  });

  it('names kinds by their codes, so that a kind that is added later changes nothing', () => {
    const features = packFeatures(new Map([['w rent', [0, 1, 0]]]), { step: 1 / 16, least: 0.1 });
    const kinds = ['operatingExpense', 'bank'];
    const learned = readLearned({ ...EMPTY, kinds, features });
    expect([...(learned.features.get(hashOf('w rent'))?.kinds ?? [])]).toEqual([
      KIND_CODES.indexOf('bank'),
    ]);
  });
});
