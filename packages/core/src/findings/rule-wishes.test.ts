import fc from 'fast-check';
import { aChart } from '../testing/a-chart';
import { allFindings, findingsOf, lookAt } from './all-rules';
import { USUAL_LIMITS } from './limits';
import { lookAtBooks, type KnownBooks } from './look-at-books';
import { FINDING_CODES } from './rule-names';
import { LIMIT_NAMES, LIMIT_RANGES, NO_WISHES, rulesBy, type RuleWishes } from './rule-wishes';
import { changeBetween, checkChart, countFindings, sortFindings } from './check';
import { findingKey, findingPrint } from './finding-notes';

const wishes = (more: Partial<RuleWishes>): RuleWishes => ({ ...NO_WISHES, ...more });
const CHART = aChart('6000 Costs:\n  6110 Rent\n6200 TELEPHONE\n6210 Bank  fees\n6500 Sundries');
const books = (more: Partial<KnownBooks> = {}): KnownBooks => ({
  filer: { legalForm: 'soleOwner', country: 'US' },
  startsIn: 1,
  monthly: {
    first: '2026-01',
    rows: [
      ['6110', 90, 90, 90],
      ['6500', 1, 10, 50],
    ],
  },
  layouts: [],
  openItems: [],
  routed: new Set(),
  practice: NO_WISHES,
  client: NO_WISHES,
  posted: null,
  spelling: null,
  judge: null,
  newId: () => 'new',
  ...more,
});

describe('what practice and client want of the rules', () => {
  it('is as usual where neither says otherwise', () => {
    expect(rulesBy(NO_WISHES, NO_WISHES)).toEqual({
      limits: USUAL_LIMITS,
      severities: {},
      words: [],
    });
  });

  it('is the client’s before the practice’s, one by one', () => {
    const by = rulesBy(
      wishes({
        limits: { levels: 6, mainLines: 30 },
        severities: { nameCapitals: 'off', tooDeep: 'wrong' },
        words: ['bisque'],
      }),
      wishes({
        limits: { levels: 3 },
        severities: { nameCapitals: 'doubtful' },
        words: ['slip', 'bisque'],
      }),
    );
    expect(by.limits).toEqual({ ...USUAL_LIMITS, levels: 3, mainLines: 30 });
    expect(by.severities).toEqual({ nameCapitals: 'doubtful', tooDeep: 'wrong' });
    expect(by.words).toEqual(['bisque', 'slip']);
  });

  it('has bounds in which what is usual lies, for each limit of a rule that there is', () => {
    for (const name of LIMIT_NAMES) {
      const { rule, least, most } = LIMIT_RANGES[name];
      expect(FINDING_CODES).toContain(rule);
      expect(USUAL_LIMITS[name]).toBeGreaterThanOrEqual(least);
      expect(USUAL_LIMITS[name]).toBeLessThanOrEqual(most);
    }
  });

  it('makes what a rule finds matter as much as is said', () => {
    const found = findingsOf(
      'nameCapitals',
      lookAt(CHART, { severities: { nameCapitals: 'wrong' } }),
    );
    expect(found.map(({ severity }) => severity)).toEqual(['wrong']);
  });

  it('leaves out what is not to be looked for, and nothing else', () => {
    const all = allFindings(lookAt(CHART));
    fc.assert(
      fc.property(fc.subarray([...FINDING_CODES]), (off) => {
        const severities = Object.fromEntries(off.map((code) => [code, 'off' as const]));
        const left = allFindings(lookAt(CHART, { severities }));
        expect(left).toEqual(all.filter(({ code }) => !off.includes(code)));
      }),
    );
  });

  it('holds for a chart that is looked at with its books', () => {
    const strict = books({ practice: wishes({ limits: { catchAllMuch: 1 } }) });
    const [usual] = findingsOf('catchAll', lookAtBooks(CHART, books(), '2026-01'));
    const [wished] = findingsOf(
      'catchAll',
      lookAtBooks(CHART, { ...strict, client: wishes({ limits: { catchAllPart: 1 } }) }, '2026-01'),
    );
    expect(usual).toBeUndefined();
    expect(wished).toMatchObject({ severity: 'doubtful' });
  });
});

describe('a chart that is checked month by month', () => {
  const check = (month: string, of: KnownBooks = books()) =>
    checkChart(CHART, { books: of, notes: new Map(), today: '2026-04-01' }, month);

  it('is looked at with the books as they stood', () => {
    expect(check('2026-01').score).toMatchObject({ whole: 91, doubted: 0 });
    expect(check('2026-03').score).toMatchObject({ whole: 331, doubted: 61 });
  });

  it('tells what came and what went between two months', () => {
    const { came, went } = changeBetween(check('2026-01'), check('2026-02'));
    expect(came.map(({ code }) => code)).toEqual(['catchAll']);
    expect(went).toEqual([]);
    expect(changeBetween(check('2026-02'), check('2026-01')).went.map(({ code }) => code)).toEqual([
      'catchAll',
    ]);
  });

  it('counts what is open by how much it matters, and leaves out what was set aside', () => {
    const { findings, counts } = check('2026-03');
    expect(Object.values(counts).reduce((a, b) => a + b)).toBe(findings.length);
    const [first] = findings;
    if (first === undefined) throw new Error('nothing found');
    const note = { key: findingKey(first), print: findingPrint(first), until: null, reason: '' };
    const { open, noted } = sortFindings(findings, new Map([[note.key, note]]), '2026-04-01');
    expect(noted).toEqual([first]);
    expect(countFindings(open)[first.severity]).toBe(counts[first.severity] - 1);
  });
});
