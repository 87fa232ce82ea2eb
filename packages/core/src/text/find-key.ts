import { nameKey } from './name-key';

const ASCII = /^[\t -~]*$/;

/** How texts compare while something is looked for: as names do, and without regard to accents (“caf” is in “Café”). */
export const findKey = (text: string): string => {
  const key = nameKey(text);
  return ASCII.test(key) ? key : key.normalize('NFD').replace(/\p{M}/gu, '').normalize('NFC');
};

/** Whether a text holds every word that is looked for, each anywhere in it; any text holds none. */
export const holdsWords = (text: string, sought: string): boolean => {
  const key = findKey(text);
  return findKey(sought)
    .split(' ')
    .every((word) => key.includes(word));
};
