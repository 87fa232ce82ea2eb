import type { Chart } from '../chart/chart';
import { nodeOf, splitsOf } from '../chart/queries';
import { chartUse } from '../ledger/chart-use';
import { applyAll } from '../operations/apply';
import type { PostedWords } from '../postings/posted-words';
import { aChart } from '../testing/a-chart';
import { findingsOf, lookAt } from './all-rules';
import type { Finding, FindingCode, LookedAt } from './finding';
import { findingKey, findingPrint, NOTE_LIMITS } from './finding-notes';
import { findingWords, fixWords } from './finding-words';

const STUDIO = aChart(
  [
    '6000 Rent',
    '6030 Repairs',
    '6100 Electricity',
    '6110 Office costs',
    '6500 Sundries',
    '6800 Kiln rent',
  ].join('\n'),
);
/** A year of costs; the sums of twelve months, by account. */
const sums: Readonly<Record<string, number>> = {
  '6000': 1200_00,
  '6030': 60_00,
  '6100': 240_00,
  '6110': 600_00,
  '6500': 480_00,
  '6800': 120_00,
};
const use = chartUse(
  {
    first: '2026-01',
    rows: Object.entries(sums).map(([id, sum]) => [
      id,
      ...Array.from({ length: 12 }, () => sum / 12),
    ]),
  },
  '2026-12',
);
type Said = Readonly<
  Record<string, readonly (readonly [words: string, count: number, amount: number])[]>
>;
const posted = (said: Said): PostedWords => ({
  upTo: 77,
  accounts: Object.entries(said).map(([id, rows]) => ({
    id,
    said: rows.map(([words, count, amount]) => ({ words, count, amount })),
  })),
});
const looking = (said: Said, chart: Chart = STUDIO): LookedAt =>
  lookAt(chart, { use, posted: posted(said) });
const found = (code: FindingCode, lookedAt: LookedAt): readonly Finding[] =>
  findingsOf(code, lookedAt) as readonly Finding[];
const fixed = (chart: Chart, finding: Finding | undefined): Chart => {
  const outcome = applyAll(chart, finding?.fixes[0]?.operations ?? []);
  if (!outcome.ok) throw new Error(outcome.refusal.code);
  return outcome.chart;
};

describe('postings of one sort in an account for something else', () => {
  const KILN: Said = {
    '6500': [
      ['kiln repair', 5, 200_00],
      ['tea and milk', 6, 90_00],
    ],
  };

  it('count with the account that is for them, if that is wished; the entries stay', () => {
    const [kiln] = found('sortApart', looking(KILN));
    expect(kiln).toMatchObject({
      accountIds: ['6500'],
      amount: 200_00,
      facts: { words: 'kiln repair', count: 5, into: '6030' },
      fixes: [
        {
          operations: [
            {
              type: 'split',
              split: { from: '6500', into: '6030', choice: { words: 'kiln repair', upTo: 77 } },
            },
          ],
        },
      ],
    });
    const telling = { chart: STUDIO };
    expect(kiln === undefined ? '' : findingWords(kiln, telling).says).toBe(
      '5 postings in “6500 Sundries” are “kiln repair”, which “6030 Repairs” is for.',
    );
  });

  it('get an account of their own where there is none, beside the one they are in', () => {
    const [, tea] = found('sortApart', looking(KILN));
    const [fix] = tea?.fixes ?? [];
    expect(fix === undefined ? '' : fixWords(fix, { chart: STUDIO })).toBe(
      'Give it an account of its own, “Tea and milk”; the entries stay as they are',
    );
    const now = fixed(STUDIO, tea);
    const [split] = splitsOf(now);
    expect(nodeOf(now, split?.into ?? '')?.account).toMatchObject({
      name: 'Tea and milk',
      kind: 'operatingExpense',
    });
  });

  it('are no longer told once a split takes them', () => {
    const [kiln] = found('sortApart', looking(KILN));
    const now = found('sortApart', looking(KILN, fixed(STUDIO, kiln)));
    expect(now.map(({ facts }) => facts)).toMatchObject([{ words: 'tea and milk' }]);
  });

  it('are told one by one, though they are in one account', () => {
    expect(new Set(found('sortApart', looking(KILN)).map(findingKey)).size).toBe(2);
  });

  it.each<[string, Said]>([
    ['what the account is for', { '6100': [['electricity bill', 12, 240_00]] }],
    ['what shares a word with its name', { '6110': [['office chairs', 4, 300_00]] }],
    ['what came once or twice', { '6500': [['kiln repair', 2, 200_00]] }],
    ['what is a small part of it', { '6500': [['kiln repair', 4, 20_00]] }],
    [
      'what says nothing of the trade, in an account that says what it is for',
      { '6110': [['paid', 12, 600_00]] },
    ],
    ['all of the account', { '6110': [['electricity', 12, 590_00]] }],
    ['what is said of anything, even in sundries', { '6500': [['paid by card', 12, 240_00]] }],
    ['what is in a small account', { '6030': [['electricity', 4, 30_00]] }],
  ])('are not found in %s', (_what, said) => {
    expect(found('sortApart', looking(said))).toEqual([]);
  });

  it('go to no account that is for something narrower, or for another of several things', () => {
    const chart = aChart('6000 Studio rent\n6500 Sundries');
    const hire = { '6500': [['van hire', 4, 200_00]] } as const;
    expect(found('sortApart', looking(hire, chart))).toMatchObject([{ facts: { into: null } }]);
    const rent = { '6500': [['rent of a tent', 4, 200_00]] } as const;
    expect(found('sortApart', looking(rent, chart))).toMatchObject([{ facts: { into: null } }]);
    expect(found('sortApart', looking(rent))).toMatchObject([{ facts: { into: '6000' } }]);
  });

  it('are not looked for where nothing is known of what was said', () => {
    expect(found('sortApart', lookAt(STUDIO, { use }))).toEqual([]);
  });
});

describe('the same, posted now to one account and now to another', () => {
  const RENT: Said = {
    '6000': [['tern street estates', 8, 800_00]],
    '6800': [['tern street estates', 3, 300_00]],
  };

  it('is found by the words and the size of the amounts, and merged', () => {
    const [first, ...others] = found(
      'sameLines',
      looking({ ...RENT, '6110': [['stamps', 4, 40_00]] }),
    );
    expect(others).toEqual([]);
    expect(first).toMatchObject({
      severity: 'doubtful',
      accountIds: ['6800', '6000'],
      facts: { of: '6000' },
    });
    expect(found('sameLines', looking(RENT, fixed(STUDIO, first)))).toEqual([]);
  });

  it.each<[string, Said]>([
    [
      'amounts of another size: two things of one payee',
      { ...RENT, '6800': [['tern street estates', 3, 90_00]] },
    ],
    [
      'what is said in many accounts',
      {
        ...RENT,
        '6110': [['tern street estates', 3, 300_00]],
        '6500': [['tern street estates', 3, 300_00]],
      },
    ],
    ['what came twice', { ...RENT, '6800': [['tern street estates', 2, 200_00]] }],
  ])('is not found in %s', (_what, said) => {
    expect(found('sameLines', looking(said))).toEqual([]);
  });
});

describe('a finding with much to tell', () => {
  it('can be put off like any other: its print is as long as a note may be', () => {
    const names = Array.from(
      { length: 40 },
      (_, at) => `Station of the harbour ${'abcdefghij'[at % 10]}${at}`,
    );
    const lines = (from: number): string =>
      names.map((name, at) => `  ${from + 1 + at} ${name}`).join('\n');
    const chart = aChart(`6000 Repairs:\n${lines(6000)}\n6100 Cleaning:\n${lines(6100)}`);
    const [repeated] = findingsOf('repeatedBelow', lookAt(chart)) as readonly Finding[];
    if (repeated === undefined) throw new Error('nothing found');
    expect(findingPrint(repeated).length).toBe(NOTE_LIMITS.print);
    expect(findingKey(repeated).length).toBeLessThanOrEqual(NOTE_LIMITS.key);
  });
});

describe('what is in “miscellaneous”', () => {
  const misc = (words: string): Finding => {
    const [first] = found('catchAll', looking({ '6500': [[words, 2, 300_00]] }));
    if (first === undefined) throw new Error('nothing found');
    return first;
  };

  it('is said', () => {
    expect(findingWords(misc('van hire'), { chart: STUDIO }).why).toBe(
      'Nobody sees from the statement what it was spent on: “van hire”.',
    );
  });

  it('is what it can be called where all of it is one thing', () => {
    const [all] = found('catchAll', looking({ '6500': [['tea and milk', 12, 480_00]] }));
    expect(all?.fixes).toMatchObject([{ says: { does: 'rename', to: 'Tea and milk' } }]);
    expect(found('catchAll', looking({ '6500': [['paid', 12, 480_00]] }))[0]?.fixes).toEqual([]);
  });

  it('brings a finding that was set aside not back, whatever is posted next', () => {
    expect(findingPrint(misc('van hire'))).toBe(findingPrint(misc('petrol')));
  });
});
