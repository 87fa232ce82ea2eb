/** How names compare: without regard to case, width of characters, or white space. */
export const nameKey = (name: string): string =>
  name.normalize('NFKC').trim().replace(/\s+/g, ' ').toLowerCase();
