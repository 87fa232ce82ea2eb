import { nameKey } from './name-key';

const ASCII = /^[\t -~]*$/;

/** How texts compare while something is looked for: as names do, and without regard to accents (“caf” is in “Café”). */
export const findKey = (text: string): string => {
  const key = nameKey(text);
  return ASCII.test(key) ? key : key.normalize('NFD').replace(/\p{M}/gu, '').normalize('NFC');
};

/** Whether the key of a text holds every word that is looked for, each anywhere in it; any text holds none. */
export const holder = (sought: string): ((key: string) => boolean) => {
  const words = findKey(sought).split(' ');
  return (key) => words.every((word) => key.includes(word));
};

/** Whether a text holds every word that is looked for. */
export const holdsWords = (text: string, sought: string): boolean => holder(sought)(findKey(text));
