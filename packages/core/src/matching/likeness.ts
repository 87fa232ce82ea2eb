/** Characters of a common beginning that raise the likeness, and by how much each. */
const PREFIX = { most: 4, weight: 0.1 } as const;

const matchesOf = (a: string, b: string): readonly [string, string] => {
  const reach = Math.max(0, Math.floor(Math.max(a.length, b.length) / 2) - 1);
  const taken = new Array<boolean>(b.length).fill(false);
  let [ofA, ofB] = ['', ''];
  for (let at = 0; at < a.length; at += 1) {
    const last = Math.min(b.length - 1, at + reach);
    for (let other = Math.max(0, at - reach); other <= last; other += 1) {
      if (taken[other] === true || a[at] !== b[other]) continue;
      taken[other] = true;
      ofA += a[at] ?? '';
      break;
    }
  }
  for (let at = 0; at < b.length; at += 1) if (taken[at] === true) ofB += b[at] ?? '';
  return [ofA, ofB];
};

/**
 * How alike two texts are, from 0 to 1. Source: Jaro–Winkler, W. E. Winkler, 1990: the share of
 * common characters, less half the transposed ones, raised for a common beginning.
 */
export const likeness = (a: string, b: string): number => {
  if (a === b) return 1;
  const [ofA, ofB] = matchesOf(a, b);
  const common = ofA.length;
  if (common === 0) return 0;
  const transposed = [...ofA].filter((character, at) => character !== ofB[at]).length / 2;
  const jaro = (common / a.length + common / b.length + (common - transposed) / common) / 3;
  let prefix = 0;
  while (prefix < PREFIX.most && prefix < common && a[prefix] === b[prefix]) prefix += 1;
  return jaro + prefix * PREFIX.weight * (1 - jaro);
};
