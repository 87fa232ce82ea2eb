import fc from 'fast-check';
import { aChart } from '../testing/a-chart';
import { balancingFor } from './balancing';
import { toldAccounts } from './bank-accounts';
import { offeredProofs } from './offered-proofs';
import type { Purpose } from './purpose';
import type { RouteContent, RouteItem } from './route-item';
import { lastPlace, movedRule, newRule } from './rule-places';
import { routesOf } from './routes';

const CHART = aChart(
  `
1010 Bank [bank]
1020 Card [cardPayable]
1050 Held [clearing]
1060 Till [cashOnHand]
4000 Income:
  4010 Sales
6000 Costs:
  6010 Rent
  6390 Sundries
  6400 Old card [bank]`,
  { retired: ['6400'] },
);
const FILER = { legalForm: 'soleOwner', country: 'US' } as const;
const aDefault = (purpose: Purpose, accountId: string): RouteContent => ({
  type: 'default',
  purpose,
  accountId,
});
const itemsOf = (...contents: readonly RouteContent[]): readonly RouteItem[] =>
  contents.map((content, at) => ({ id: `item-${at}`, content }));

describe('rules in their order', () => {
  const rulesAt = (places: readonly number[]) =>
    routesOf(places.map((place, at) => ({ id: String(at), content: newRule(place) }))).rules;
  const idsAfter = (places: readonly number[], at: number, by: -1 | 1): string[] => {
    const rules = rulesAt(places);
    const moved = movedRule(rules, at, by);
    const items = rules.map(({ id, content }, index) => ({
      id,
      content: index === at && moved !== null ? moved : content,
    }));
    return routesOf(items).rules.map(({ id }) => id);
  };

  it('take a new one behind all others', () => {
    expect([lastPlace([]), lastPlace(rulesAt([1, 7]))]).toEqual([1, 8]);
  });

  it('change places with the neighbour, wherever they stand, and only with it', () => {
    const places = fc.uniqueArray(fc.integer({ min: -50, max: 50 }), {
      minLength: 2,
      maxLength: 8,
    });
    fc.assert(
      fc.property(
        places,
        fc.nat(),
        fc.constantFrom(-1 as const, 1 as const),
        (unsorted, drawn, by) => {
          const sorted = unsorted.toSorted((a, b) => a - b);
          const at = drawn % sorted.length;
          const wanted = sorted.map((_place, index) => String(index));
          const other = at + by;
          if (other >= 0 && other < wanted.length)
            [wanted[at], wanted[other]] = [String(other), String(at)];
          expect(idsAfter(sorted, at, by)).toEqual(wanted);
        },
      ),
    );
  });
});

describe('accounts whose lines come from elsewhere', () => {
  it('are those of banks, of cards and of who holds money, as long as they are open', () => {
    expect(toldAccounts(CHART).map(({ id }) => id)).toEqual(['1010', '1020', '1050']);
  });
});

describe('the difference of an entry', () => {
  const context = {
    chart: CHART,
    routes: routesOf(itemsOf(aDefault('rounding', '6390'), aDefault('exchangeDifference', '6010'))),
  };
  const own = { accountId: '4010', amount: 5_00, values: {}, comment: '', foreign: null };
  const foreign = { ...own, foreign: { currency: 'EUR', amount: 5_00, rate: '1' } };
  const offered = (
    lines: readonly (typeof own | typeof foreign)[],
    difference: number,
    currency = 'USD',
  ) => balancingFor({ lines }, { difference, currency }, context)?.accountId ?? null;

  it('is offered to rounding when it is less than one whole unit of the currency', () => {
    expect([1, -99, 100, 0].map((difference) => offered([own], difference))).toEqual([
      '6390',
      '6390',
      null,
      null,
    ]);
    expect(offered([own], 1, 'JPY')).toBeNull();
  });

  it('is offered to exchange differences when a line is in another currency', () => {
    expect(offered([own, foreign], 250_00)).toBe('6010');
  });

  it('is offered nowhere without such a default', () => {
    const bare = { chart: CHART, routes: routesOf([]) };
    expect(balancingFor({ lines: [own] }, { difference: 1, currency: 'USD' }, bare)).toBeNull();
  });
});

describe('proofs that are offered', () => {
  const party: RouteContent = {
    type: 'party',
    role: 'customer',
    name: 'Heron Inn',
    saleId: '4010',
    purchaseId: null,
  };
  const offered = (...contents: readonly RouteContent[]) =>
    offeredProofs({ chart: CHART, routes: routesOf(itemsOf(...contents)), filer: FILER });

  it('are one for each default and each party, under the heading where it stands now', () => {
    expect(offered(aDefault('sale', '4010'), party)).toMatchObject([
      {
        sample: { purpose: 'sale', partyId: null },
        expected: { section: 'revenue', underId: '4000' },
      },
      { sample: { purpose: 'sale', partyId: 'item-1' }, expected: { section: 'revenue' } },
    ]);
  });

  it('want the section that is right for the purpose, wherever its account stands', () => {
    expect(offered(aDefault('sale', '6010'))).toMatchObject([
      { expected: { section: 'revenue', underId: null } },
    ]);
  });

  it('are left out once they are kept, in whatever order their parts come back', () => {
    const [first] = offered(aDefault('sale', '4010'));
    if (first === undefined) throw new Error('nothing is offered');
    const kept: RouteContent = {
      type: 'proof',
      name: 'Kept',
      sample: { partyId: null, purpose: 'sale', by: 'purpose' },
      expected: first.expected,
    };
    expect(offered(aDefault('sale', '4010'), kept)).toEqual([]);
  });
});
