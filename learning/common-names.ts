import { readFileSync } from 'node:fs';
import { KIND_CODES, type KindCode } from '@iunctus/core';

/** A name that bookkeepers give accounts, and the kind that an account of this name mostly is. */
export interface CommonName {
  readonly name: string;
  readonly kind: KindCode;
}

const isKind = (word: string): word is KindCode => (KIND_CODES as readonly string[]).includes(word);

/**
 * Reads names by kind: a line with a kind, then indented lines with names that semicolons part. Common practice, no
 * source; all were written down from memory.
 * @throws where a line names no kind, or names stand before any
 */
export const commonNames = (text: string): readonly CommonName[] => {
  let kind: KindCode | null = null;
  return text.split('\n').flatMap((line, at): readonly CommonName[] => {
    const words = line.trim();
    if (words === '') return [];
    if (!line.startsWith(' ')) {
      if (!isKind(words)) throw new Error(`line ${at + 1}: “${words}” is no kind`);
      kind = words;
      return [];
    }
    const of = kind;
    if (of === null) throw new Error(`line ${at + 1}: names stand before any kind`);
    return words
      .split(';')
      .map((name) => name.trim())
      .filter((name) => name !== '')
      .map((name) => ({ name, kind: of }));
  });
};

/** The names of the repository. */
export const readCommonNames = (): readonly CommonName[] =>
  commonNames(readFileSync('learning/names.txt', 'utf8'));
