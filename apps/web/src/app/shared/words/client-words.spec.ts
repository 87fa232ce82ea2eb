import type { ClientAnswer } from '@iunctus/contract';
import { natureWords } from './client-words';

const CLUB: ClientAnswer = {
  id: 'c1',
  name: 'Heron Reach Rowing Club',
  legalForm: 'nonProfit',
  industry: null,
  country: 'US',
  currency: 'USD',
  fiscalYearStart: 4,
  chart: null,
  pending: 0,
  toReview: 0,
  latestMonth: null,
  putAwayAt: null,
};

describe('what is kept of a client besides its chart', () => {
  it('is only what is otherwise than it was', () => {
    expect(
      natureWords({ legalForm: 'nonProfit', industry: 'restaurant', country: 'US' }, CLUB),
    ).toBe('Also kept of Heron Reach Rowing Club: trade Restaurant, café or bar.');
  });

  it('names legal form and country, one that is not among the known by its code', () => {
    const nature = { legalForm: 'corporation', industry: null, country: 'CA' } as const;
    expect(natureWords(nature, CLUB)).toBe(
      'Also kept of Heron Reach Rowing Club: legal form Corporation, Canada.',
    );
    expect(natureWords({ ...nature, country: 'FR' }, CLUB)).toContain(', FR.');
  });
});
