import type { AccountId } from '../chart/account';
import type { Chart, ChartNode } from '../chart/chart';
import { findKey } from '../text/find-key';
import { eachNode } from '../chart/queries';

/** Where in an account something was found. */
export type FoundIn = 'number' | 'name' | 'former' | 'guidance' | 'notes';

/** An account that a search found. */
export interface Found {
  readonly id: AccountId;
  readonly foundIn: FoundIn;
}

interface Field {
  readonly foundIn: FoundIn;
  readonly text: string;
}

const fieldsOf = (
  { account }: ChartNode,
  also: ReadonlyMap<AccountId, string>,
): readonly Field[] => [
  { foundIn: 'number', text: account.number ?? '' },
  { foundIn: 'name', text: findKey(account.name) },
  { foundIn: 'former', text: also.get(account.id) ?? '' },
  { foundIn: 'guidance', text: findKey(account.guidance) },
  { foundIn: 'notes', text: findKey(account.notes) },
];

/** How well a word fits a text: at its beginning best, at the beginning of a word well, within a word still. */
const fit = (text: string, word: string): number => {
  if (text.startsWith(word)) return 3;
  if (text.includes(` ${word}`)) return 2;
  return text.includes(word) ? 1 : 0;
};

/** A number counts more than a name, a name more than what is said about the account. */
const VOICE: Readonly<Record<FoundIn, number>> = {
  number: 50,
  name: 40,
  former: 20,
  guidance: 10,
  notes: 10,
};

interface Scored extends Found {
  readonly score: number;
}

const scoreOf = (fields: readonly Field[], words: readonly string[]): Omit<Scored, 'id'> | null => {
  let total = 0;
  let best: { foundIn: FoundIn; points: number } | null = null;
  for (const word of words) {
    const points = fields.map(({ foundIn, text }) => {
      const how = fit(text, word);
      return { foundIn, points: how === 0 ? 0 : VOICE[foundIn] + how * 5 };
    });
    const most = points.reduce((a, b) => (b.points > a.points ? b : a));
    if (most.points === 0) return null;
    total += most.points;
    if (best === null || most.points > best.points) best = most;
  }
  return best === null ? null : { foundIn: best.foundIn, score: total };
};

/**
 * The accounts that hold every word of a query in number, name, former titles (`also`), guidance
 * or notes, the best first, in chart order among equals; at most `most`.
 */
export const searchAccounts = (
  chart: Chart,
  query: string,
  { also, most }: { readonly also: ReadonlyMap<AccountId, string>; readonly most: number },
): readonly Found[] => {
  const words = findKey(query)
    .split(' ')
    .filter((word) => word !== '');
  if (words.length === 0) return [];
  const scored = [...eachNode(chart.roots)].flatMap((node): Scored[] => {
    const score = scoreOf(fieldsOf(node, also), words);
    return score === null ? [] : [{ id: node.account.id, ...score }];
  });
  return scored
    .sort((a, b) => b.score - a.score)
    .slice(0, most)
    .map(({ id, foundIn }) => ({ id, foundIn }));
};
