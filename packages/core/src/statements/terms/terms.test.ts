import { SECTION_CODES } from '../../kinds/caption';
import { SHEET_CODES } from '../sheets';
import { STANDARD_TERMS, termsFor } from './terms';

const ofTrade = (country: string) => termsFor({ country, legalForm: 'soleOwner' });

describe('what is said to a client', () => {
  it('is in the words of the country: debtors, stock, VAT', () => {
    const { kinds, captions, sections, sheets } = ofTrade('GB');
    expect([
      kinds.tradeReceivable,
      kinds.inventory,
      kinds.salesTaxPayable,
      kinds.salesTaxRecoverable,
    ]).toEqual(['Trade debtors', 'Stock', 'VAT payable', 'VAT recoverable']);
    expect(captions.tradePayables).toBe('Trade creditors');
    expect([sections.revenue, sections.nonCurrentAssets, sheets.profitAndLoss]).toEqual([
      'Turnover',
      'Fixed assets',
      'Profit and loss account',
    ]);
    expect(ofTrade('NZ').kinds.salesTaxPayable).toBe('GST payable');
    expect(ofTrade('CA').kinds.salesTaxRecoverable).toBe('GST/HST recoverable');
  });

  it('is spelled as the country spells', () => {
    expect(ofTrade('US').kinds.accumulatedAmortisation).toBe('Accumulated amortization');
    expect(ofTrade('GB').kinds.accumulatedAmortisation).toBe('Accumulated amortisation');
  });

  it('tells those who make no profit of activities and net assets, or of funds', () => {
    const club = termsFor({ country: 'US', legalForm: 'nonProfit' });
    expect([club.sheets.profitAndLoss, club.sheets.balanceSheet, club.totals.netProfit]).toEqual([
      'Statement of activities',
      'Statement of financial position',
      'Change in net assets',
    ]);
    const charity = termsFor({ country: 'GB', legalForm: 'nonProfit' });
    expect([charity.sections.equity, charity.sections.nonCurrentAssets]).toEqual([
      'Funds',
      'Fixed assets',
    ]);
    for (const terms of [club, charity])
      expect(
        [terms.sections, terms.totals, terms.sheets].flatMap(Object.values).join(),
      ).not.toMatch(/profit/i);
  });

  it('uses none of the ledger’s words where plain ones are wanted', () => {
    const { sections, totals, sheets, sectionTotals } = termsFor({
      country: 'GB',
      legalForm: 'soleOwner',
      plain: true,
    });
    const all = [
      ...SECTION_CODES.flatMap((code) => [sections[code], sectionTotals[code]]),
      ...Object.values(totals),
      ...SHEET_CODES.map((code) => sheets[code]),
    ];
    expect(
      all.filter((words) =>
        /equity|liabilit|creditor|turnover|asset|revenue|gross|operating/i.test(words),
      ),
    ).toEqual([]);
  });

  it('is complete whoever it is said to', () => {
    for (const country of ['US', 'GB', 'IE', 'CA', 'AU', 'NZ', 'DE'])
      for (const legalForm of ['soleOwner', 'nonProfit'] as const)
        for (const plain of [true, false]) {
          const terms = termsFor({ country, legalForm, plain });
          for (const part of Object.keys(STANDARD_TERMS) as (keyof typeof STANDARD_TERMS)[])
            expect(Object.keys(terms[part]).sort()).toEqual(
              Object.keys(STANDARD_TERMS[part]).sort(),
            );
        }
  });
});
