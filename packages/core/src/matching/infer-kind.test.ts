import { elementOf, KIND_CODES, kindsOfElement } from '../kinds/kinds';
import { usualPlan } from '../plan/number-plan';
import { inferKinds, type Clues } from './infer-kind';
import { isOrWas, PART_OF } from '../kinds/part-of';
import { SIGNS, TOPICS } from './kind-words';
import { plainKind } from './plain-names';
import type { PublishedNames } from '../testing/named-source';
import { HELD_OUT, PUBLISHED_NAMES } from '../testing/published-names';
import { wordsOf } from './words';

const key = (name: string): string => wordsOf(name).join(' ');
const RULES = new Set([...SIGNS, ...TOPICS].flatMap(({ phrases }) => phrases.map(key)));
/** Published names, each once; without those that a rule holds word for word. */
const namesFrom = (sources: readonly PublishedNames[]) => [
  ...new Map(
    sources
      .flatMap(({ names }) => names)
      .filter(([name]) => !RULES.has(key(name)))
      .map((row) => [key(row[0]), row] as const),
  ).values(),
];
const NAMES = namesFrom(PUBLISHED_NAMES);
const HELD = namesFrom(PUBLISHED_NAMES.filter(({ source }) => source === HELD_OUT));

const shareOf = (names: typeof NAMES, within: number): number => {
  const right = names.filter(([name, ...kinds]) =>
    inferKinds({ name })
      .slice(0, within)
      .some(({ kind }) => isOrWas(kind, kinds)),
  );
  return right.length / names.length;
};

/** With an account above it whose element is that of the published kind, as in a chart. */
const shareUnderParent = (within: number): number => {
  const right = NAMES.filter(([name, first = 'memorandum', ...others]) => {
    const parentKind =
      kindsOfElement(elementOf(first)).find((kind) => kind.startsWith('other')) ?? first;
    const guesses = inferKinds({ name, parentKind }).slice(0, within);
    return guesses.some(({ kind }) => isOrWas(kind, [first, ...others]));
  });
  return right.length / NAMES.length;
};

// Measured when written, on 309 names that no rule holds: by the name alone the first guess right in
// 93 %, one of the first three in 98 %; by name and the element of the account above 96 % and 99 %
// (aim 95 and 99). The first measure of all, before any rule was mended by what it showed, was 83 %
// and 92 % of 246 by the name alone. The rules have since been mended by what every source showed,
// so a list from elsewhere will do somewhat worse: the 58 names of large utilities did 79 % and 86 %
// while nobody had looked at them. `npm run bench infer-kinds` prints the present shares.
describe('inferring kinds from published account names that no rule holds', () => {
  it('is measured on at least 300 of them', () => {
    expect(NAMES.length).toBeGreaterThanOrEqual(300);
  });

  it('is right at once in nine of ten, within three guesses in nineteen of twenty', () => {
    expect(shareOf(NAMES, 1)).toBeGreaterThan(0.9);
    expect(shareOf(NAMES, 3)).toBeGreaterThan(0.97);
  });

  it('is right in nineteen of twenty where the element is known from the account above', () => {
    expect(shareUnderParent(1)).toBeGreaterThan(0.95);
    expect(shareUnderParent(3)).toBeGreaterThan(0.98);
  });

  it('does without the names that it is measured on: no rule is made for one trade alone', () => {
    expect(shareOf(HELD, 1)).toBeGreaterThan(0.75);
  });
});

const first = (name: string, more: Partial<Clues> = {}) => inferKinds({ name, ...more })[0];

describe('inferring a kind', () => {
  it('says by which words', () => {
    expect(first('Orchard rent')).toMatchObject({ reason: { type: 'words', words: 'rent' } });
  });

  it('knows an account by what stands last, and by what turns it at the front', () => {
    expect(first('Van insurance')?.kind).toBe('operatingExpense');
    expect(first('Prepaid van insurance')?.kind).toBe('prepaidExpense');
    expect(first('Loan interest')?.kind).toBe('financeCost');
    expect(first('Interest on the bank loan')?.kind).toBe('financeCost');
  });

  it('knows to whom a loan goes', () => {
    expect(first('Loan to owner')?.kind).toBe('loanGiven');
    expect(first('Loan from owner')?.kind).toBe('dueToOwner');
  });

  it('reads either spelling, plurals and short forms', () => {
    expect(first('Accum. depn – kilns')?.kind).toBe('accumulatedDepreciation');
    expect(first('Licences')?.kind).toBe(first('License')?.kind);
  });

  it('stays within the element of the account above', () => {
    for (const { kind } of inferKinds({ name: 'Bank interest', parentKind: 'operatingExpense' }))
      expect(elementOf(kind)).toBe('expense');
  });

  it('follows the account above where the name says nothing', () => {
    expect(first('Bramley', { parentKind: 'costOfSales' })).toMatchObject({
      kind: 'costOfSales',
      reason: { type: 'parent' },
    });
  });

  it('follows the range of the number where the name says nothing', () => {
    expect(first('Bramley', { number: '5015', plan: usualPlan(4) })).toMatchObject({
      kind: 'costOfSales',
      reason: { type: 'range', range: 'Cost of sales' },
    });
  });

  it('has a guess for anything, without confidence where nothing speaks for it', () => {
    const guesses = inferKinds({ name: '???' });
    expect(guesses.map(({ kind }) => kind)).toEqual([
      'operatingExpense',
      'costOfSales',
      'otherExpense',
    ]);
    expect(guesses.map(({ confidence }) => confidence)).toEqual([0, 0, 0]);
  });

  it('is the surer the clearer the name is', () => {
    const sure = first('Accumulated depreciation')?.confidence ?? 0;
    const unsure = first('Deposits')?.confidence ?? 1;
    expect(sure).toBeGreaterThan(unsure);
  });

  it('has a rule for every kind', () => {
    const covered = new Set(
      [...SIGNS, ...TOPICS].flatMap((rule) => [
        rule.usual,
        ...('as' in rule ? Object.values(rule.as) : []),
      ]),
    );
    expect(KIND_CODES.filter((kind) => !covered.has(kind) && !(kind in PART_OF))).toEqual([]);
  });

  // Common practice, no source.
  it.each([
    ['bank', 'Client trust account', 'restrictedCash'],
    ['otherCurrentAsset', 'Restricted cash', 'restrictedCash'],
    ['longTermInvestment', 'Unit trusts', 'longTermInvestment'],
    ['otherReceivable', 'Income tax refund receivable', 'incomeTaxRecoverable'],
    ['otherReceivable', 'Corporation tax recoverable', 'incomeTaxRecoverable'],
    ['propertyAndEquipment', 'Right-of-use asset', 'leaseAsset'],
    ['otherNonCurrentLiability', 'Lease liability', 'leaseLiability'],
    ['shortTermBorrowing', 'Lease liability, current portion', 'shortTermBorrowing'],
    ['accruedExpense', 'Provision for warranty work', 'provision'],
    ['receivableAllowance', 'Provision for doubtful debts', 'receivableAllowance'],
    ['payrollPayable', 'Provision for annual leave', 'payrollPayable'],
  ] as const)('takes %s called “%s” for %s', (coarse, name, kind) => {
    expect(plainKind(coarse, name)).toBe(kind);
  });

  it('says outright what was a part of another kind before', () => {
    expect(first('Right-of-use asset')?.kind).toBe('leaseAsset');
    expect(first('Provision for warranty work')?.kind).toBe('provision');
  });
});
