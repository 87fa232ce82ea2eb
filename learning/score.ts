// How well lists are understood by the whole import, as a user would have it: npm run score -- FOLDER [--misses]
import {
  DOUBTFUL_IN_LIST,
  emptyChart,
  isOrWas,
  KINDS,
  PART_OF,
  elementOf,
  type ImportRow,
  type KindCode,
} from '@iunctus/core';
import { importOf } from '@iunctus/core/testing';
import { crossLearned } from './learn-lists';
import { labelledLists, type Label, type LabelledList } from './labelled-lists';

interface Tally {
  readonly accounts: number;
  readonly first: number;
  readonly three: number;
  readonly sure: number;
  readonly sureRight: number;
  readonly line: number;
  readonly element: number;
  readonly headings: number;
  readonly headingsRight: number;
  readonly repeats: number;
  readonly repeatsFound: number;
  readonly repeatsRight: number;
}

const NONE: Tally = {
  accounts: 0,
  first: 0,
  three: 0,
  sure: 0,
  sureRight: 0,
  line: 0,
  element: 0,
  headings: 0,
  headingsRight: 0,
  repeats: 0,
  repeatsFound: 0,
  repeatsRight: 0,
};
const SURE = DOUBTFUL_IN_LIST;
const FOLDS = 5;

const plus = (a: Tally, b: Tally): Tally =>
  Object.fromEntries(
    Object.entries(a).map(([key, value]) => [key, value + b[key as keyof Tally]]),
  ) as unknown as Tally;

const candidates = ({ kind }: ImportRow): readonly KindCode[] =>
  kind === null ? [] : [kind.kind, ...kind.others];

const tallyOf = (row: ImportRow | undefined, label: Label): Tally => {
  const one = (yes: boolean): number => (yes ? 1 : 0);
  if (label.heading) {
    const right = row !== undefined && (row.status === 'band' || row.role === 'heading');
    return { ...NONE, headings: 1, headingsRight: one(right) };
  }
  const kinds = row === undefined ? [] : candidates(row);
  const [first] = kinds;
  const right = first !== undefined && isOrWas(first, label.kinds);
  const sure = (row?.kind?.confidence ?? 0) >= SURE;
  const captions = label.kinds.map((kind) => KINDS[kind].caption);
  return {
    ...NONE,
    accounts: 1,
    first: one(right),
    three: one(kinds.slice(0, 3).some((kind) => isOrWas(kind, label.kinds))),
    sure: one(sure),
    sureRight: one(sure && right),
    line: one(
      first !== undefined &&
        [first, ...(PART_OF[first] ?? [])].some((kind) => captions.includes(KINDS[kind].caption)),
    ),
    element: one(
      first !== undefined && label.kinds.some((kind) => elementOf(kind) === elementOf(first)),
    ),
  };
};

/** How many lines repeat another one by the labels, how many were pointed out, and how many of those are true. */
const repeatsIn = (
  { labels, rows }: LabelledList,
  found: ReadonlyMap<number, ImportRow>,
): Pick<Tally, 'repeats' | 'repeatsFound' | 'repeatsRight'> => {
  const head = rows[0]?.cells.indexOf('name') ?? -1;
  const nameAt = new Map(rows.map(({ line, cells }) => [line, cells[head] ?? '']));
  const repeats = (line: number, other: number): boolean =>
    labels.get(line)?.duplicateOf === nameAt.get(other) && nameAt.get(other) !== '';
  const pointed = [...found].flatMap(([line, { alike }]) =>
    alike === undefined ? [] : [[line, alike.line] as const],
  );
  return {
    repeats: [...labels.values()].filter(({ duplicateOf }) => duplicateOf !== '').length,
    repeatsFound: pointed.length,
    repeatsRight: pointed.filter(([a, b]) => repeats(a, b) || repeats(b, a)).length,
  };
};

const say = (text: string): void => void process.stdout.write(`${text}\n`);
const share = (part: number, whole: number): string =>
  whole === 0 ? '   –  ' : `${((100 * part) / whole).toFixed(1).padStart(5)} %`;

const printed = (name: string, tally: Tally): string =>
  [
    name.padEnd(44),
    `first ${share(tally.first, tally.accounts)}`,
    `three ${share(tally.three, tally.accounts)}`,
    `sure ${share(tally.sure, tally.accounts)}`,
    `right ${share(tally.sureRight, tally.sure)}`,
    `line ${share(tally.line, tally.accounts)}`,
    `element ${share(tally.element, tally.accounts)}`,
    `headings ${share(tally.headingsRight, tally.headings)}`,
    `repeats ${share(tally.repeatsRight, tally.repeats)}`,
    `of those said ${share(tally.repeatsRight, tally.repeatsFound)}`,
  ].join('  ');

const missed = ({ rows, labels }: LabelledList, found: ReadonlyMap<number, ImportRow>): void => {
  for (const { line, cells } of rows) {
    const [label, row] = [labels.get(line), found.get(line)];
    if (label === undefined) continue;
    const tally = tallyOf(row, label);
    if (tally.first + tally.headingsRight > 0) continue;
    const took =
      row === undefined
        ? 'nothing'
        : `${row.role === 'heading' ? 'heading ' : ''}${row.kind?.kind ?? row.status} ${(row.kind?.confidence ?? 0).toFixed(2)}`;
    say(
      `    ${line}: ${cells.join(' | ')}  is ${label.heading ? 'heading ' : ''}${label.words.join('/')}, taken for ${took}`,
    );
  }
};

const flags = process.argv.slice(2).filter((one) => one.startsWith('--'));
const [folder = 'learning/lists'] = process.argv.slice(2).filter((one) => !one.startsWith('--'));
/** Lists that taught the weights that ship are judged by weights that never saw them. */
const cross = flags.includes('--cross');
const lists = await labelledLists(folder);
const learnedFor = cross ? crossLearned(lists, FOLDS) : () => undefined;
let all = NONE;
for (const [index, list] of lists.entries()) {
  const learned = learnedFor(index);
  const plan = importOf(emptyChart(), list.rows, learned === undefined ? {} : { learned });
  const found = new Map(plan.rows.filter(({ made }) => !made).map((row) => [row.entry.line, row]));
  let tally = NONE;
  for (const [line, label] of list.labels) tally = plus(tally, tallyOf(found.get(line), label));
  tally = plus(tally, { ...NONE, ...repeatsIn(list, found) });
  say(printed(list.name, tally));
  if (flags.includes('--misses')) missed(list, found);
  all = plus(all, tally);
}
say(printed('all', all));
