import { thingsSaid } from './trade-words';

const said = (name: string): string =>
  thingsSaid(name)
    .map(({ name: one, known }) => (known ? one : `“${one}”`))
    .join(' ');

describe('what a name speaks of', () => {
  it.each([
    ['Light & heat', 'power gasHeat'],
    ['Gas and oil - trucks', 'fuel vehicles'],
    ['Gas for vans', 'fuel'],
    ['Accts payable', 'creditors'],
    ['A/P', 'creditors'],
    ['Vendors payable', 'creditors'],
    ['E&O premium', 'liabilityCover “premium”'],
    ['Motor tax', 'vehicleTax'],
    ['Adv & promo', 'advertising'],
    ['Merchant fees', 'cardFees'],
    ['Staff uniforms', 'staff uniforms'],
    ['T&E', 'travel meals'],
    ['Haulier', 'freight'],
    ['Council rates', 'propertyTax'],
    ['R&M', 'repairs'],
  ])('“%s”: %s', (name, things) => {
    expect(said(name)).toBe(things);
  });

  it.each([
    ['Stationary', 'stationery'],
    ['Office suplies', 'stationery'],
    ['Electricty', 'power'],
    ['Advertisng', 'advertising'],
  ])('“%s” is misspelt, and %s all the same', (name, thing) => {
    expect(said(name)).toBe(thing);
  });

  it.each([
    ['Repaving', '“repaving”'],
    ['Officer', '“officer”'],
    ['Kiln shelves', '“kiln” “shelve”'],
  ])('“%s” is no topic that sounds like it', (name, things) => {
    expect(said(name)).toBe(things);
  });
});
