import { ELEMENTS_FROM, PARTS, PartSum, SECTIONS_FROM, type Parts } from './parts';
import { groupsBy, type Group, type Voice } from './voices';

/** Adds what it has to say of a row: of its kind, its section and its element, each at its place. */
export type Speaker = (at: number, heard: Float64Array) => void;

/** How loud it is heard what others say of a row's kind itself, of its section and of its element. */
export type Loudness = readonly [kind: number, section: number, element: number];

/** A share below this is doubt, not knowledge. */
const LEAST = 0.004;
/** A part so small of the least share, which most are, needs no logarithm. */
const NOTHING = 0.05;

/** So little of a mean is not worth taking off. */
const LEAST_TAKEN_OFF = 1e-4;

/** How much more than nothing a share says. What all kinds have in common says nothing, and is left out. */
export const said = (share: number, least: number): number =>
  share < NOTHING * least ? 0 : Math.log(1 + share / least);

/** How loud each part is heard. */
const byPart = ([kind, section, element]: Loudness): Float64Array =>
  Float64Array.from({ length: PARTS }, (_one, part) =>
    part < SECTIONS_FROM ? kind : part < ELEMENTS_FROM ? section : element,
  );

/** Speaks as loud as given what a voice says of each row. */
export const speakerFor = (voice: Voice, loudness: Loudness): Speaker => {
  const loud = byPart(loudness);
  const sum = new PartSum();
  return (at, heard) => {
    sum.clear();
    if (!voice(at, sum)) return;
    for (let index = 0; index < sum.count; index += 1) {
      const part = sum.touched[index] ?? 0;
      heard[part] = (heard[part] ?? 0) + (loud[part] ?? 0) * said(sum.share[part] ?? 0, LEAST);
    }
  };
};

/** What a whole group says of each part. */
const chorusOf = ({ sum, count }: Group, loud: Float64Array): Float64Array =>
  loud.map((own, part) => own * said((sum.share[part] ?? 0) / (count - 1), LEAST));

/**
 * The rows that share a key, but for the row itself: what all say is worked out once for the group, and what a row says
 * itself is taken off at the few parts of which it says anything.
 */
export const othersSpeaking = (
  parts: Parts,
  keys: readonly (string | null)[],
  loudness: Loudness,
): Speaker => {
  const groups = groupsBy(parts, keys);
  const loud = byPart(loudness);
  const choruses = new Map<Group, Float64Array>();
  const chorusFor = (group: Group): Float64Array => {
    const chorus = choruses.get(group) ?? chorusOf(group, loud);
    choruses.set(group, chorus);
    return chorus;
  };
  return (at, heard) => {
    const group = groups[at] ?? null;
    if (group === null) return;
    const chorus = chorusFor(group);
    for (let part = 0; part < PARTS; part += 1)
      heard[part] = (heard[part] ?? 0) + (chorus[part] ?? 0);
    const end = parts.from[at + 1] ?? 0;
    for (let place = parts.from[at] ?? 0; place < end; place += 1) {
      // In a large group a row that doubts says too little of itself to be missed.
      if ((parts.share[place] ?? 0) < LEAST_TAKEN_OFF * (group.count - 1)) continue;
      const part = parts.part[place] ?? 0;
      const others = Math.max(0, (group.sum.share[part] ?? 0) - (parts.share[place] ?? 0));
      const more = (loud[part] ?? 0) * said(others / (group.count - 1), LEAST);
      heard[part] = (heard[part] ?? 0) + more - (chorus[part] ?? 0);
    }
  };
};
