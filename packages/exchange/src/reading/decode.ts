import { unreadable } from './file-problem';

/** A text with the encoding in which it was written. */
export interface Decoded {
  readonly text: string;
  readonly encoding: 'UTF-8' | 'UTF-16' | 'Windows-1252';
}

const startsWith = (bytes: Uint8Array, ...mark: readonly number[]): boolean =>
  mark.every((byte, index) => bytes[index] === byte);

/** UTF-16 without a mark shows in zeros on every other place. */
const utf16Without = (bytes: Uint8Array): 'utf-16le' | 'utf-16be' | null => {
  const sample = bytes.subarray(0, 400);
  const zeros = (from: number): number =>
    sample.filter((byte, index) => index % 2 === from && byte === 0).length;
  const most = sample.length / 2;
  if (most < 2) return null;
  if (zeros(1) > most * 0.6 && zeros(0) < most * 0.1) return 'utf-16le';
  return zeros(0) > most * 0.6 && zeros(1) < most * 0.1 ? 'utf-16be' : null;
};

/** Nothing that people write holds these. */

const BINARY = /[\u0000-\u0008\u000e-\u001a\u001c-\u001f]/;

const checked = (decoded: Decoded): Decoded =>
  BINARY.test(decoded.text.slice(0, 100_000)) ? unreadable({ code: 'notText' }) : decoded;

/** The bytes as UTF-8; `null` when they are not that throughout. */
const asUtf8 = (bytes: Uint8Array): string | null => {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return null;
  }
};

/**
 * Reads bytes as text: by the byte order mark, else UTF-16 if every other byte is zero, else UTF-8 if
 * they are that throughout, else Windows-1252. Refuses notText.
 */
export const decode = (bytes: Uint8Array): Decoded => {
  const wide = startsWith(bytes, 0xff, 0xfe)
    ? 'utf-16le'
    : startsWith(bytes, 0xfe, 0xff)
      ? 'utf-16be'
      : utf16Without(bytes);
  if (wide !== null)
    return checked({ text: new TextDecoder(wide).decode(bytes), encoding: 'UTF-16' });
  const text = asUtf8(bytes);
  return text === null
    ? checked({ text: new TextDecoder('windows-1252').decode(bytes), encoding: 'Windows-1252' })
    : checked({ text, encoding: 'UTF-8' });
};
