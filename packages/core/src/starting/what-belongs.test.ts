import { COUNTRIES, legalFormsIn } from '../countries/countries';
import type { LegalForm } from '../countries/legal-form';
import { composeStartingChart, type StartingChoice } from './compose';
import { answersAll } from '../testing/answers';
import { INDUSTRY_CODES, type IndustryCode } from './industries';

describe('what belongs in every chart of its sort', () => {
  const linesOf = (choice: StartingChoice) =>
    composeStartingChart(choice).flatMap(({ accounts }) => accounts);
  const namesOf = (choice: StartingChoice) => linesOf(choice).map(({ name }) => name);

  // Common practice, no source.
  it.each([
    ['shop', { industry: 'retail', legalForm: 'soleOwner' }, ['Bad debts', 'Gains on equipment sold', 'Losses on equipment sold', 'Leasehold improvements', 'Rent deposit', 'Cash over and short', 'Employee benefits', 'Retirement plan contributions', 'Workers’ compensation', 'Contract labor', 'Meals and entertainment', 'Travel', 'Loan repayments due within a year']],
    ['US corporation', { industry: 'agency', legalForm: 'corporation' }, ['Officers’ compensation', 'Estimated tax paid', 'Income tax payable']],
    ['UK company', { industry: 'agency', legalForm: 'limitedCompany', country: 'GB' }, ['Directors’ pay', 'Director’s loan account', 'Corporation tax recoverable', 'Business rates', 'Pension contributions payable']],
    ['Canadian corporation', { industry: 'retail', legalForm: 'corporation', country: 'CA' }, ['Due to shareholder', 'Provincial sales tax payable', 'QST payable', 'QST recoverable', 'Workers’ compensation', 'Income tax instalments']],
    ['Irish company', { industry: 'retail', legalForm: 'limitedCompany', country: 'IE' }, ['VAT payable', 'VAT recoverable', 'PAYE, PRSI and USC payable', 'Employer’s PRSI', 'Preliminary tax paid', 'Commercial rates']],
    ['Australian company', { industry: 'retail', legalForm: 'limitedCompany', country: 'AU' }, ['GST collected', 'GST paid', 'PAYG withholding payable', 'Superannuation', 'Superannuation payable', 'PAYG instalments']],
    ['New Zealand company', { industry: 'retail', legalForm: 'limitedCompany', country: 'NZ' }, ['GST payable', 'GST recoverable', 'PAYE and KiwiSaver payable', 'ACC levies', 'Provisional tax', 'Shareholder’s current account']],
    ['software maker', { industry: 'softwareMaker', legalForm: 'corporation' }, ['Software developed', 'Accumulated amortization', 'Amortization of software']],
    ['charity', { industry: 'charity', legalForm: 'nonProfit' }, ['Released from restriction', 'Net assets with donor restrictions']],
  ] as const)('a %s has them', (_words, choice, names) => {
    expect(namesOf(choice)).toEqual(expect.arrayContaining([...names]));
  }); // prettier-ignore

  it('is said of each account alone: no sentence stands with two names', () => {
    const said = new Map<string, string>();
    const twice = COUNTRIES.flatMap((country) =>
      INDUSTRY_CODES.flatMap((industry) =>
        legalFormsIn(country).flatMap((legalForm) =>
          linesOf({ industry, legalForm, country, answers: answersAll(true) }).flatMap((line) => {
            const key = `${country} ${legalForm === 'nonProfit'} ${line.guidance}`;
            const other = said.get(key) ?? line.name;
            said.set(key, line.name);
            return other === line.name ? [] : [`${country}: ${other} and ${line.name}`];
          }),
        ),
      ),
    );
    expect([...new Set(twice)]).toEqual([]);
  });

  it('has one account for work by the self-employed, under whatever name', () => {
    expect(namesOf({ industry: 'retail', legalForm: 'soleOwner' })).toContain('Contract labor');
    for (const industry of ['buildingTrade', 'trucking', 'professionalServices'] as const)
      expect(namesOf({ industry, legalForm: 'soleOwner' })).not.toContain('Contract labor');
  });

  it('of a Canadian corporation gives shares no nominal value, and nothing above it', () => {
    const lines = linesOf({ industry: 'retail', legalForm: 'corporation', country: 'CA' });
    expect(lines.filter(({ kind }) => kind === 'additionalPaidInCapital')).toEqual([]);
    expect(lines.find(({ kind }) => kind === 'shareCapital')?.guidance).toMatch(/no nominal/);
  });

  it('keeps clients’ money off the line of cash, and the same amount owed', () => {
    for (const country of COUNTRIES) {
      const lines = linesOf({ industry: 'lawyer', legalForm: 'partnership', country });
      expect(lines.filter(({ kind }) => kind === 'restrictedCash')).toHaveLength(1);
      expect(lines.filter(({ kind }) => kind === 'otherCurrentLiability')).toHaveLength(1);
    }
  });
});

describe('a trade that is exempt from sales tax', () => {
  // Sources, from memory: VAT Act 1994 Schedule 9; Excise Tax Act Schedule V; in Australia only letting is input taxed.
  it.each([
    ['GB', 'dentist', true], ['GB', 'clinic', true], ['GB', 'school', true], ['GB', 'landlord', true],
    ['CA', 'dentist', true], ['CA', 'clinic', true], ['CA', 'school', true], ['CA', 'landlord', true],
    ['IE', 'dentist', true], ['IE', 'landlord', true], ['NZ', 'landlord', true], ['AU', 'landlord', true],
    ['AU', 'dentist', false], ['NZ', 'school', false], ['GB', 'vet', false], ['GB', 'retail', false],
  ] as const)('in %s: %s is %s', (country, industry, exempt) => {
    const usual = composeStartingChart({ industry, legalForm: 'soleOwner', country });
    const asked = composeStartingChart({
      ...{ industry, legalForm: 'soleOwner', country },
      answers: answersAll(true),
    });
    const kindsOf = (groups: typeof usual, kind: string) =>
      groups.flatMap(({ accounts }) => accounts.filter((one) => one.kind === kind));
    expect(kindsOf(usual, 'salesTaxRecoverable').length === 0).toBe(exempt);
    expect(kindsOf(asked, 'salesTaxRecoverable').length === 0).toBe(exempt);
    // Where it charges the tax all the same, the sentence says why none comes back.
    const said = kindsOf(asked, 'salesTaxPayable').map(({ guidance }) => guidance).join(' ');
    expect(/does not come back/.test(said)).toBe(exempt);
  }); // prettier-ignore
});

describe('the words of the United Kingdom', () => {
  const namesOf = (industry: IndustryCode, legalForm: LegalForm) =>
    composeStartingChart({ industry, legalForm, country: 'GB', answers: answersAll(true) }).flatMap(
      ({ name, accounts }) => [name, ...accounts.map((one) => one.name)],
    );

  it('are the trade’s own there, in every trade', () => {
    const foreign = INDUSTRY_CODES.flatMap((industry) =>
      namesOf(industry, 'limitedCompany').filter((name) =>
        /inventory|receivables?\b|payables$|trade payable|sales tax|common stock|truck|retained earnings|malpractice|checking/i.test(
          name,
        ),
      ),
    );
    expect([...new Set(foreign)]).toEqual([]);
  });

  it('give rates to every premises', () => {
    const without = INDUSTRY_CODES.filter(
      (industry) => !namesOf(industry, 'limitedCompany').includes('Business rates'),
    );
    expect(without).toEqual([]);
  });

  it('are a charity’s own for a charity: income, expenditure and funds, nothing sold for profit', () => {
    const names = namesOf('charity', 'nonProfit');
    expect(names).toEqual(
      expect.arrayContaining(['Income', 'Expenditure on activities', 'Funds', 'Restricted funds', 'General fund']),
    );
    expect(names.filter((name) => /^sales$|cost of sales|profit|retained|capital/i.test(name))).toEqual([]);
  }); // prettier-ignore
});
