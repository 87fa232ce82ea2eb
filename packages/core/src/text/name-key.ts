/** Plain letters with single spaces between: most names, which need no more than lower case. */
const PLAIN = /^[!-~]+(?: [!-~]+)*$/;

/** How names compare: without regard to case, width of characters, or white space. */
export const nameKey = (name: string): string =>
  PLAIN.test(name)
    ? name.toLowerCase()
    : name.normalize('NFKC').trim().replace(/\s+/g, ' ').toLowerCase();
