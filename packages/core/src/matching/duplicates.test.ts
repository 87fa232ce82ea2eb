import { duplicatesAmong } from './duplicates';

const pairs = (...names: readonly string[]) =>
  duplicatesAmong(names.map((name) => ({ name, sort: 'operatingExpense' }))).map(
    ({ at, of }) => `${names[at]} = ${names[of]}`,
  );

describe('accounts that say the same twice', () => {
  it.each([
    ['Telephone', 'Phone & internet'],
    ['Gas & electric', 'Light & heat'],
    ['Repairs and maintenance', 'R&M'],
    ['Adv & promo', 'Advertising'],
    ['Subcontractors', 'Subcontracters'],
    ['Property taxes', 'Realty tax'],
    ['Travel:Airfare', 'Travel:Flights'],
    ['Rent of shop', 'Shop rent'],
    ['Office suplies', 'Office supplies'],
    ['Haulier', 'Carriage and freight'],
    ['Card machine fees', 'Merchant services'],
    ['Call-outs', 'Callout fees'],
    ['Laptops and PCs', 'Computer equipment'],
    ['Petrol (50%)', 'Fuel'],
    ['Tips', 'Gratuities'],
  ])('“%s” and “%s”: by meaning, spelling, short form or order of words', (one, other) => {
    expect(pairs(one, 'Insurance', other)).toEqual([`${other} = ${one}`]);
  });

  it.each([
    ['Visa 5520', 'Visa 0917'],
    ['Capital, partner A', 'Capital, partner B'],
    ['Rent', 'Insurance'],
    ['Office wages', 'Shop wages'],
    ['Depreciation of vans', 'Depreciation of machines'],
    ['Vehicle:Accumulated depreciation', 'Equipment:Accumulated depreciation'],
    ['Bank charges', 'Bank interest'],
    ['Office', 'Officer pay'],
    ['Van', 'Tractor'],
    ['Plans paid monthly', 'Plans paid annually'],
    ['Audit', 'Payroll service'],
    ['Conference', 'Training'],
    ['Legacies', 'Grants'],
  ])('“%s” and “%s” are two', (one, other) => {
    expect(pairs(one, other)).toEqual([]);
  });

  it('are of one sort: what is owed is not what is spent', () => {
    const found = duplicatesAmong([
      { name: 'Insurance', sort: 'operatingExpense' },
      { name: 'Insurance', sort: 'prepaidExpense' },
    ]);
    expect(found).toEqual([]);
  });

  it('are likelier where the one holds little beside the other than where both hold as much', () => {
    const likeness = (amount: number): number =>
      duplicatesAmong([
        { name: 'Telephone', sort: 'operatingExpense', amount: 1000_00 },
        { name: 'Phone & internet', sort: 'operatingExpense', amount },
      ])[0]?.likeness ?? 0;
    expect(likeness(100_00)).toBeGreaterThan(likeness(900_00));
  });

  it('are told with the one that is likest', () => {
    expect(pairs('Internet', 'Telephone - cell', 'Cell phone')).toContain(
      'Cell phone = Telephone - cell',
    );
  });
});
