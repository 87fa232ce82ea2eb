import { unzipSync } from 'fflate';
import parsePdf from 'pdf-parse';

/** What only Maren may see: names and texts, numbers, and amounts in minor units as they are and as they are written. */
export const MARKS = [
  /zebra/i,
  /(?<!\d)77[67]\d(?!\d)/,
  /8675309|86[,.]?753\.09/,
  /4242171|42[,.]?421\.71/,
];
/** Where an account that everybody sees is read line by line, its own amounts stand: what was paid from it, never for what. */
const LINE_BY_LINE = /\/(journal|journal-closed|register)(\?|$)/;
export const NAMES = MARKS.slice(0, 2);
/** What simulated sources tell is drawn by client and day: any digits may stand in it, and no account does. */
const SIMULATED = /\/simulated\//;
const TEXTS = MARKS.slice(0, 1);
/** What is looked for at a path. */
export const marksAt = (path: string): readonly RegExp[] => {
  if (SIMULATED.test(path)) return TEXTS;
  return LINE_BY_LINE.test(path) ? NAMES : MARKS;
};
/** Ids are drawn at random, and now and then hold the digits of a mark. */
export const IDS = /[\da-f]{8}(?:-[\da-f]{4}){3}-[\da-f]{12}/gi;
/** All that a file or an answer says, in words. */
export const textsIn = async (bytes: Buffer): Promise<string> => {
  if (bytes.subarray(0, 4).toString() === '%PDF') return (await parsePdf(bytes)).text;
  if (bytes.subarray(0, 2).toString() !== 'PK') return bytes.toString();
  return Object.values(unzipSync(bytes))
    .map((part) => Buffer.from(part).toString())
    .join('\n');
};
