import type { Chart, ChartNode } from '../chart/chart';
import { splitsOf } from '../chart/queries';
import { add } from '../money/minor';
import { nameKey } from '../text/name-key';
import type { PostedWords, WordsPosted } from '../postings/posted-words';

const isTaken = ({ words }: WordsPosted, choice: string): boolean =>
  choice !== '' &&
  nameKey(choice)
    .split(' ')
    .every((word) => words.includes(word));

const kept = new WeakMap<PostedWords, ReadonlyMap<string, readonly WordsPosted[]>>();

const byAccount = (posted: PostedWords): ReadonlyMap<string, readonly WordsPosted[]> => {
  const known = kept.get(posted) ?? new Map(posted.accounts.map(({ id, said }) => [id, said]));
  kept.set(posted, known);
  return known;
};

/** What was said of the postings that count with an account, but for what splits of the chart take by their words; most of amounts first. */
export const saidOf = (
  chart: Chart,
  posted: PostedWords,
  { account: { id }, absorbed }: ChartNode,
): readonly WordsPosted[] => {
  const ids = [id, ...absorbed];
  const choices = splitsOf(chart)
    .filter(({ from }) => ids.includes(from))
    .map(({ choice }) => choice.words);
  const sums = new Map<string, WordsPosted>();
  for (const said of ids.flatMap((one) => byAccount(posted).get(one) ?? [])) {
    if (choices.some((choice) => isTaken(said, choice))) continue;
    const before = sums.get(said.words) ?? { words: said.words, count: 0, amount: 0 };
    sums.set(said.words, {
      words: said.words,
      count: before.count + said.count,
      amount: add(before.amount, said.amount),
    });
  }
  return [...sums.values()].sort((a, b) => Math.abs(b.amount) - Math.abs(a.amount));
};

/** A word that is to name an account has so many letters. */
const LETTERS = 4;

/** Words that tell nothing of what was bought. Common practice, no source. */
const EMPTY = new Set(
  'paid payment payments pay purchase purchases bought sale sales takings invoice invoices bill bills cost costs expense expenses transfer card bank cash cheque check direct debit credit standing order various sundry sundries misc miscellaneous other general the and for of in to a from by drawn owner'.split(
    ' ',
  ),
);

/** Whether what was said tells what something was. */
export const saysSomething = (words: string): boolean =>
  words.split(' ').some((word) => word.length >= LETTERS && !EMPTY.has(word));
