// How well what is untidy is found in charts made of labelled lists: npm run score:findings -- FOLDER [--cross] [--misses]
import {
  applyAll,
  chartFrom,
  eachNode,
  elementOf,
  emptyChart,
  isOrWas,
  KIND_CODES,
  lookAt,
  findingsOf,
  recordsOf,
  sectionOf,
  statementOf,
  USUAL_LIMITS,
  type Chart,
  type KindCode,
} from '@iunctus/core';
import { placedJudge } from '@iunctus/core/learned';
import { importOf } from '@iunctus/core/testing';
import { labelledLists, type LabelledList } from './labelled-lists';
import { crossLearned } from './learn-lists';

const FOLDS = 5;
/** One account in so many gets another kind. */
const SWAPPED = 10;

interface Labelled {
  readonly chart: Chart;
  /** The kinds that are right, by account. */
  readonly right: ReadonlyMap<string, readonly KindCode[]>;
  /** What repeats what, by account. */
  readonly repeats: ReadonlyMap<string, string>;
}

/** A chart as the list would make it, each kind as it is labelled. */
const chartOfList = (list: LabelledList): Labelled => {
  const labels = [...list.labels];
  const mended = new Map(
    labels.flatMap(([line, { kinds, heading }]) =>
      heading || kinds[0] === undefined ? [] : [[line, { kind: kinds[0] }] as const],
    ),
  );
  const plan = importOf(emptyChart(), list.rows, { mended });
  const outcome = applyAll(emptyChart(), plan.operations);
  if (!outcome.ok) throw new Error(`${list.name}: ${outcome.refusal.code}`);
  const ids = new Map(
    plan.rows.flatMap(({ entry, accountId, made }) =>
      made || accountId === null ? [] : [[entry.line, accountId] as const],
    ),
  );
  const column = list.rows[0]?.cells.indexOf('name') ?? -1;
  const names = new Map(
    list.rows.map(({ line, cells }) => [cells[column] ?? '', ids.get(line)] as const),
  );
  const right = new Map<string, readonly KindCode[]>();
  const repeats = new Map<string, string>();
  for (const [line, label] of labels) {
    const id = ids.get(line);
    if (id === undefined || label.heading) continue;
    right.set(id, label.kinds);
    const of = names.get(label.duplicateOf);
    if (of != null) repeats.set(id, of);
  }
  return { chart: outcome.chart, right, repeats };
};

/** A number from 0 to 1 that follows from a text alone. */
const drawn = (text: string): number => {
  let hash = 2166136261;
  for (const char of text) hash = Math.imul(hash ^ (char.codePointAt(0) ?? 0), 16777619);
  return (hash >>> 0) / 2 ** 32;
};

/** Gives one account in ten a kind that leads to another section. */
const swapped = (
  { chart, right }: Labelled,
  seed: string,
): { chart: Chart; wrong: Set<string> } => {
  const wrong = new Set<string>();
  const records = recordsOf(chart).map((record) => {
    const kinds = right.get(record.id);
    if (record.role !== 'posting' || kinds === undefined) return record;
    if (drawn(`${seed} ${record.id} ${record.name}`) * SWAPPED >= 1) return record;
    const others = KIND_CODES.filter(
      (kind) =>
        statementOf(kind) !== null && kinds.every((one) => sectionOf(one) !== sectionOf(kind)),
    );
    const kind = others[Math.floor(drawn(`${record.id} ${seed}`) * others.length)] ?? record.kind;
    wrong.add(record.id);
    return { ...record, kind };
  });
  return { chart: chartFrom(records, { settings: chart.settings, posted: [] }), wrong };
};

const say = (text: string): void => void process.stdout.write(`${text}\n`);
const share = (part: number, whole: number): string =>
  whole === 0 ? '–' : `${((100 * part) / whole).toFixed(1)} %`;

const flags = process.argv.slice(2).filter((one) => one.startsWith('--'));
const [folder = 'learning/lists'] = process.argv.slice(2).filter((one) => !one.startsWith('--'));
const lists = await labelledLists(folder);
const byName = flags.includes('--name');
const learnedFor = flags.includes('--cross') ? crossLearned(lists, FOLDS) : () => undefined;

const doubts: { sure: number; otherElement: boolean; truly: boolean; swapped: boolean }[] = [];
const ruled = { found: 0, doubted: 0, calledWrong: 0 };
let [accounts, swaps, pairs, pairsFound, pairsRight] = [0, 0, 0, 0, 0];
for (const [index, list] of lists.entries()) {
  const labelled = chartOfList(list);
  const judge = placedJudge(learnedFor(index));
  const look = (chart: Chart, wrong: ReadonlySet<string> | null): void => {
    for (const node of eachNode(chart.roots)) {
      const { id, kind, role, name } = node.account;
      const kinds = labelled.right.get(id);
      if (role !== 'posting' || kinds === undefined || statementOf(kind) === null) continue;
      if (wrong === null) accounts += 1;
      else if (wrong.has(id)) swaps += 1;
      else continue;
      const [guess] = byName ? judge.named(name) : judge.placed(chart, node);
      if (guess === undefined || isOrWas(guess.kind, [kind]) || isOrWas(kind, [guess.kind]))
        continue;
      if (sectionOf(guess.kind) === sectionOf(kind)) continue;
      const sure = Math.floor(guess.confidence * 100);
      const otherElement = elementOf(guess.kind) !== elementOf(kind);
      doubts.push({
        sure,
        otherElement,
        truly: isOrWas(guess.kind, kinds),
        swapped: wrong !== null,
      });
      if (flags.includes('--misses') && wrong === null && sure >= USUAL_LIMITS.kindDoubtful)
        say(`    ${list.name}: ${name} is ${kind}, taken for ${guess.kind} ${sure}`);
    }
  };
  for (const { accountIds, severity } of findingsOf('kindDoubt', lookAt(labelled.chart, { judge })))
    if (labelled.right.has(accountIds[0] ?? '')) {
      ruled.doubted += 1;
      if (severity === 'wrong') ruled.calledWrong += 1;
    }
  look(labelled.chart, null);
  const { chart, wrong } = swapped(labelled, list.name);
  look(chart, wrong);
  const told = findingsOf('kindDoubt', lookAt(chart, { judge }));
  ruled.found += told.filter(({ accountIds }) => wrong.has(accountIds[0] ?? '')).length;
  pairs += labelled.repeats.size;
  const foundRepeats = new Set<string>();
  for (const {
    accountIds: [a = '', b = ''],
  } of findingsOf('duplicate', lookAt(labelled.chart))) {
    pairsFound += 1;
    const isRight = labelled.repeats.get(a) === b || labelled.repeats.get(b) === a;
    if (isRight) [a, b].forEach((id) => foundRepeats.add(id));
    if (isRight) pairsRight += 1;
    else if (flags.includes('--misses')) {
      const nameOf = (id: string) => recordsOf(labelled.chart).find((one) => one.id === id)?.name;
      say(`    ${list.name}: ${nameOf(a)} = ${nameOf(b)}?`);
    }
  }
  if (flags.includes('--misses'))
    for (const [a, b] of labelled.repeats)
      if (!foundRepeats.has(a)) {
        const of = (id: string) => recordsOf(labelled.chart).find((one) => one.id === id);
        say(
          `    ${list.name}: MISSED ${of(a)?.name} [${of(a)?.kind}] = ${of(b)?.name} [${of(b)?.kind}]`,
        );
      }
}
say(`${accounts} accounts with their right kinds, ${swaps} with another`);
for (const limit of [40, 50, 60, 70, 80, 85, 90, 93, 95, 97, 98, 99]) {
  const said = doubts.filter(({ sure }) => sure >= limit);
  const [found, false_] = [said.filter((one) => one.swapped), said.filter((one) => !one.swapped)];
  const wrong = false_.filter(({ otherElement }) => otherElement);
  say(
    `from ${limit} % on: found ${share(found.length, swaps)} of those with another kind; on right ones doubted ${share(false_.length, accounts)}, called wrong ${share(wrong.length, accounts)}`,
  );
}
say(
  `the rule: found ${share(ruled.found, swaps)} of those with another kind; on right ones doubted ${share(ruled.doubted, accounts)}, called wrong ${share(ruled.calledWrong, accounts)}`,
);
say(
  `duplicates: precision ${share(pairsRight, pairsFound)}, recall ${share(pairsRight, pairs)} of ${pairs}`,
);
