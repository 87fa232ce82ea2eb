import {
  scoreOfShare,
  SURROUNDINGS,
  surroundingsOf,
} from '../packages/core/src/matching/learned/surroundings';
import { regress, type Sample } from './regression';
import { pushToAny, type Thinking } from './train-joint';
import { KIND_AT, type Weights } from './train-rows';

const REGRESSION = {
  epochs: 12,
  rate: 0.08,
  decay: 2e-5,
  squares: 1e-2,
  kept: 4,
  seed: 7,
} as const;

const samplesIn = ({ keys, last, kinds }: Thinking): readonly Sample[] => {
  const { everywhere, look } = surroundingsOf(keys, last);
  return kinds.flatMap((own, at): Sample[] => {
    const right = (own ?? []).flatMap((kind) => KIND_AT.get(kind) ?? []);
    const shares = last[at];
    if (right.length === 0 || shares === undefined) return [];
    const seen = everywhere.slice();
    look(at, (place, more) => {
      seen[place] = (seen[place] ?? 0) + more;
    });
    const places = [...seen.keys()].filter((place) => seen[place] !== 0);
    return [
      {
        places,
        values: places.map((place) => seen[place] ?? 0),
        scores: shares.map(scoreOfShare),
        weight: 1,
        push: (found) => pushToAny(found, right),
      },
    ];
  });
};

/** What stands around a row says for each kind, beyond what the rows were thought to be last. */
export const trainSurroundings = (lists: readonly Thinking[]): Weights => {
  const weights = regress(lists.flatMap(samplesIn), SURROUNDINGS.length, REGRESSION);
  return new Map(
    SURROUNDINGS.map((name, place) => [name, weights[place] ?? new Float64Array(KIND_AT.size)]),
  );
};
