// Learns by what accounts that say the same are known, and writes the weights that ship: npm run learn:duplicates [-- --misses]
// Prints how well it does on lists left out while learning. The words of the trade are the same in all of them.
import { writeFile } from 'node:fs/promises';
import { pairsAmong, scoreOf } from '../packages/core/src/matching/duplicates';
import {
  NamePairs,
  type Lookalike,
  type PairFeatures,
} from '../packages/core/src/matching/pair-features';
import { labelledLists, type LabelledList } from './labelled-lists';

const FILE = 'packages/core/src/matching/duplicate-weights.ts';
const FOLDS = 5;
const STEPS = 6000;
/** How much a slip counts beside an account that truly repeats another, and how many are made. */
const SLIPS = 0.05;
const EVERY = 4;
const LONG = 6;
const RATE = 4;
const SLOWER = 2000;
const DECAY = 1e-3;

type Weights = Record<string, number>;

interface Pair {
  readonly list: number;
  readonly at: number;
  readonly of: number;
  readonly features: PairFeatures;
  readonly right: boolean;
  /** How much it counts. */
  readonly weight: number;
}

interface Named {
  readonly accounts: readonly Lookalike[];
  /** Places of accounts that are one, the later first. */
  readonly same: ReadonlySet<string>;
}

/** The accounts of a list that are posted to, and which repeat others. */
const namedIn = ({ rows, labels }: LabelledList): Named => {
  const head = rows[0]?.cells ?? [];
  const [name, parent] = [head.indexOf('name'), head.indexOf('parent')];
  const amountAt = (cells: readonly string[], column: string): number =>
    Number((cells[head.indexOf(column)] ?? '').replaceAll(',', ''));
  const posting = rows.slice(1).filter(({ line }) => labels.get(line)?.heading === false);
  const accounts = posting.map(({ line, cells }) => ({
    name: cells[name] ?? '',
    above: parent < 0 ? '' : (cells[parent] ?? ''),
    sort: labels.get(line)?.kinds[0] ?? '',
    amount: amountAt(cells, 'debit') - amountAt(cells, 'credit'),
  }));
  const same = posting.flatMap(({ line }, at) => {
    const of = accounts.findIndex((one) => one.name === labels.get(line)?.duplicateOf);
    return of < 0 ? [] : [`${Math.max(at, of)} ${Math.min(at, of)}`];
  });
  return { accounts, same: new Set(same) };
};

/** Logistic regression by plain descent: the same weights at each run. */
const learned = (pairs: readonly Pair[]): Weights => {
  const names = Object.keys(pairs[0]?.features ?? {}) as (keyof PairFeatures)[];
  const rows = pairs.map(({ features }) =>
    Float64Array.from([1, ...names.map((name) => features[name])]),
  );
  const weights = new Float64Array(names.length + 1);
  for (let step = 0; step < STEPS; step += 1) {
    const slope = new Float64Array(weights.length);
    rows.forEach((row, at) => {
      const score = row.reduce((so, value, index) => so + value * (weights[index] ?? 0), 0);
      const { right = false, weight = 0 } = pairs[at] ?? {};
      const off = weight * (1 / (1 + Math.exp(-score)) - (right ? 1 : 0));
      row.forEach((value, index) => (slope[index] = (slope[index] ?? 0) + off * value));
    });
    const rate = RATE / (1 + step / SLOWER);
    weights.forEach((weight, index) => {
      const pull = index === 0 ? 0 : DECAY * weight;
      weights[index] = weight - rate * ((slope[index] ?? 0) / pairs.length + pull);
    });
  }
  return Object.fromEntries(['bias', ...names].map((name, at) => [name, weights[at] ?? 0]));
};

/** The same name once more, misspelt or the other way round. */
const slipOf = (name: string, turned: boolean): string | null => {
  const words = name.split(/\s+/);
  if (turned)
    return words.length < 2 || /[^\p{L}\s]/u.test(name) ? null : words.reverse().join(' ');
  const longest = words.reduce((so, word) => (word.length > so.length ? word : so), '');
  if (longest.length < LONG) return null;
  return name.replace(longest, longest.slice(0, LONG - 3) + longest.slice(LONG - 2));
};

/** Slips of the pen, which the lists hold too few of: every few accounts once more at the end of their list. */
const slipsIn = ({ accounts }: Named, list: number): readonly Pair[] =>
  accounts.flatMap((account, of) => {
    const slip = of % EVERY === 0 ? slipOf(account.name, of % (2 * EVERY) === 0) : null;
    if (slip === null) return [];
    const more = [...accounts, { ...account, name: slip }];
    const features = new NamePairs(more).features(accounts.length, of);
    if (features === null) return [];
    // Where a slip stands was chosen here, and teaches nothing.
    const slipped = { ...features, addedLater: 0, strayed: 0, asMuch: 0 };
    return [{ list, at: accounts.length, of, features: slipped, right: true, weight: SLIPS }];
  });

const say = (text: string): void => void process.stdout.write(`${text}\n`);

const lists = (await labelledLists('learning/lists')).map(namedIn);
const pairs = lists.flatMap(({ accounts, same }, list) =>
  pairsAmong(accounts).map(({ at, of, features }): Pair => ({
    list,
    at,
    of,
    features,
    right: same.has(`${at} ${of}`),
    weight: 1,
  })),
);
const slips = lists.flatMap(slipsIn);
const all = lists.reduce((so, { same }) => so + same.size, 0);

const best = new Map<string, Pair & { readonly likeness: number }>();
for (let fold = 0; fold < FOLDS; fold += 1) {
  const weights = learned([...pairs, ...slips].filter(({ list }) => list % FOLDS !== fold));
  for (const pair of pairs.filter(({ list }) => list % FOLDS === fold)) {
    const [key, likeness] = [`${pair.list} ${pair.at}`, scoreOf(pair.features, weights)];
    if (likeness > (best.get(key)?.likeness ?? 0)) best.set(key, { ...pair, likeness });
  }
}
const nameAt = (list: number, at: number): string => lists[list]?.accounts[at]?.name ?? '';
if (process.argv.includes('--misses'))
  for (const { list, at, of, likeness, right } of best.values())
    if (!right && likeness > 0.5)
      say(`  ${nameAt(list, at)} = ${nameAt(list, of)}? ${likeness.toFixed(2)}`);
say(`${all} accounts that repeat others in ${lists.length} lists; left out while learning:`);
const isAmongRepeats = ({ list }: Pair): boolean => (lists[list]?.same.size ?? 0) > 0;
for (const limit of [0.4, 0.45, 0.5, 0.6, 0.7, 0.8, 0.9]) {
  const said = [...best.values()].filter(({ likeness }) => likeness >= limit);
  const among = said.filter(isAmongRepeats);
  const right = said.filter(({ right: one }) => one).length;
  const per = (whole: number): string => ((100 * right) / whole).toFixed(1);
  say(
    `from ${limit} on: recall ${per(all)} %, precision ${per(said.length)} %, on lists that hold any ${per(among.length)} %`,
  );
}

const weights = Object.entries(learned([...pairs, ...slips])).map(
  ([name, value]) => `  ${name}: ${Number(value.toFixed(3))},`,
);
await writeFile(
  FILE,
  `// Written by \`npm run learn:duplicates\` from learning/lists; not to be edited.

/** How much each clue speaks for two accounts being one. */
export const DUPLICATE_WEIGHTS: Readonly<Record<string, number>> = {
${weights.join('\n')}
};
`,
);
