import type { Chart } from '../../chart/chart';
import { eachNode } from '../../chart/queries';
import type { KindCode } from '../../kinds/kinds';
import { apply } from '../../operations/apply';
import { respelled } from '../../spelling/spelling';
import { saidAlready } from '../draft-finding';
import type { FindingOf, FindingRule, Fix } from '../finding';

/**
 * Words for one thing, with their plurals; the first is kept where each is used as often. Words that may mean two things
 * (fees and charges, staff and employees, customers and clients whose money is held) are not here. Common practice, no source.
 */
const SAME: readonly (readonly (readonly [one: string, several: string])[])[] = [
  [
    ['telephone', 'telephones'],
    ['phone', 'phones'],
  ],
  [
    ['supplier', 'suppliers'],
    ['vendor', 'vendors'],
  ],
  [
    ['advertising', 'advertising'],
    ['adverts', 'adverts'],
    ['ads', 'ads'],
  ],
];

interface Use {
  readonly id: string;
  readonly name: string;
  readonly kind: KindCode;
  /** As it is written. */
  readonly word: string;
  /** Which of the words for the thing, and whether of several. */
  readonly at: number;
  readonly form: 0 | 1;
}

const usesIn = (chart: Chart, words: (typeof SAME)[number]): readonly Use[] =>
  [...eachNode(chart.roots)].flatMap(({ account: { id, name, kind, retiredOn } }) => {
    if (retiredOn !== null) return [];
    for (const word of name.match(/\p{L}+/gu) ?? [])
      for (const [at, forms] of words.entries()) {
        const form = forms.indexOf(word.toLowerCase());
        if (form >= 0) return [{ id, name, kind, word, at, form: form === 0 ? 0 : 1 } as const];
      }
    return [];
  });

/** The place of the word that is used most; the first of several. */
const usedMost = (uses: readonly Use[]): number => {
  const counts = new Map<number, number>();
  for (const { at } of uses) counts.set(at, (counts.get(at) ?? 0) + 1);
  return [...counts].reduce((most, one) =>
    one[1] > most[1] || (one[1] === most[1] && one[0] < most[0]) ? one : most,
  )[0];
};

const cased = (to: string, word: string): string => {
  if (word === word.toUpperCase()) return to.toUpperCase();
  return word.charAt(0) === word.charAt(0).toUpperCase()
    ? to.charAt(0).toUpperCase() + to.slice(1)
    : to;
};

const renaming = (chart: Chart, { id, name, kind, word }: Use, to: string): readonly Fix[] => {
  const value = respelled(name, word, to);
  if (saidAlready(chart, { id, name: value, kind }) !== null) return [];
  const operation = { type: 'editField', id, field: 'name', value } as const;
  return apply(chart, operation).ok
    ? [{ says: { does: 'rename', to: value }, operations: [operation] }]
    : [];
};

/** Two words for one thing over a client's statements: what is called by the one seldom used can be called by the other. */
export const twoWords: FindingRule<'twoWords'> = ({ chart }) =>
  SAME.flatMap((words): readonly FindingOf<'twoWords'>[] => {
    const uses = usesIn(chart, words);
    if (new Set(uses.map(({ at }) => at)).size < 2) return [];
    const most = usedMost(uses);
    return uses
      .filter(({ at }) => at !== most)
      .flatMap((use) => {
        const to = cased(words[most]?.[use.form] ?? '', use.word);
        const fixes = renaming(chart, use, to);
        // Where another account says that already, the two are found for saying the same.
        if (fixes.length === 0) return [];
        return [
          {
            code: 'twoWords',
            severity: 'couldBeNeater',
            accountIds: [use.id],
            amount: 0,
            facts: { word: use.word, to },
            fixes,
          },
        ];
      });
  });
