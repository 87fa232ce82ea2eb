import { createHash } from 'node:crypto';

const digestOf = (text: string): Buffer => createHash('sha256').update(text).digest();

/** A number from 0 to 1 that follows from a text, the same each time. */
export const drawn = (text: string): number => digestOf(text).readUInt32BE(0) / 0xffff_ffff;

/** A whole number from `least` to `most`, both inclusive, that follows from a text. */
export const drawnBetween = (text: string, least: number, most: number): number =>
  least + Math.floor(drawn(text) * (most - least + 1) * 0.999_999);

/** An id that follows from a text, in the form of a UUID of version 8. Source: RFC 9562 (from memory). */
export const drawnId = (text: string): string => {
  const bytes = digestOf(text).subarray(0, 16);
  bytes[6] = ((bytes[6] ?? 0) & 0x0f) | 0x80;
  bytes[8] = ((bytes[8] ?? 0) & 0x3f) | 0x80;
  const hex = bytes.toString('hex');
  return [0, 8, 12, 16, 20].map((at, part) => hex.slice(at, [8, 12, 16, 20, 32][part])).join('-');
};

/** One request in so many comes to nothing, as with real sources. */
const FAILS = 12;

/** Whether a simulated source does not answer this time; `chance` from 0 to 1. */
export const isSilent = (chance: number): boolean => chance * FAILS < 1;
