import type { ClientChange } from '@iunctus/contract';
import { clientChangeWords } from './client-change-words';

const CLIENT: ClientChange = {
  name: 'Larch Row Joinery',
  legalForm: 'soleOwner',
  industry: 'buildingTrade',
  country: 'US',
  fiscalYearStart: 1,
};
const said = (change: Partial<ClientChange>): string =>
  clientChangeWords(CLIENT, { ...CLIENT, ...change }).join(' ');

describe('what it does when a client becomes another', () => {
  it('is nothing for another name', () => {
    expect(said({ name: 'Larch Row' })).toBe('');
  });

  it('is another return for another legal form, and what becomes of chosen lines', () => {
    expect(said({ legalForm: 'partnership' })).toMatch(
      /Its return is Form 1065 .*Lines chosen for Schedule C .*equity accounts/,
    );
  });

  it('says so where no return form is known', () => {
    expect(said({ country: 'IE', legalForm: 'partnership' })).toMatch(/No return form is known/);
  });

  it('is other years for another month, and no other postings', () => {
    expect(said({ fiscalYearStart: 7 })).toMatch(
      /Years begin in July .*Nothing that was posted changes. .*the first is that of July/,
    );
  });

  it('is another offer for another trade', () => {
    expect(said({ industry: null })).toMatch(/nothing in the chart/);
  });
});
