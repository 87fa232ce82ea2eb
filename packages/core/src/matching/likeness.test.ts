import { likeness } from './likeness';

describe('the likeness of two names', () => {
  // Source: W. E. Winkler, 1990, the table of worked examples (from memory).
  it.each([
    ['MARTHA', 'MARHTA', 0.961],
    ['DWAYNE', 'DUANE', 0.84],
    ['DIXON', 'DICKSONX', 0.813],
  ])('of %s and %s is %d', (a, b, value) => {
    expect(likeness(a, b)).toBeCloseTo(value, 3);
  });

  it('is 1 of the same, 0 of nothing in common, and the same both ways', () => {
    expect(likeness('rent', 'rent')).toBe(1);
    expect(likeness('rent', 'fuel'.replace('e', 'o'))).toBe(0);
    expect(likeness('wages', 'wage')).toBe(likeness('wage', 'wages'));
  });
});
