import { CAPTIONS, type CaptionCode } from './caption';
import {
  KIND_CODES,
  KINDS,
  kindsOfElement,
  normalSideOfKind,
  sectionOf,
  statementOf,
} from './kinds';

const captionOf = (kind: (typeof KIND_CODES)[number]): CaptionCode | null => KINDS[kind].caption;

describe('kinds', () => {
  it.each(KIND_CODES.filter((kind) => kind !== 'memorandum'))(
    '%s leads to exactly one line of one statement',
    (kind) => {
      expect(captionOf(kind)).not.toBeNull();
      expect(['balanceSheet', 'profitAndLoss']).toContain(statementOf(kind));
    },
  );

  it('lead to the statement of their element', () => {
    const onBalanceSheet = KIND_CODES.filter((kind) => statementOf(kind) === 'balanceSheet');
    expect(onBalanceSheet).toEqual([
      ...kindsOfElement('asset'),
      ...kindsOfElement('liability'),
      ...kindsOfElement('equity'),
    ]);
  });

  it('leave no standard line unreached', () => {
    const reached = new Set(KIND_CODES.map(captionOf));
    expect(Object.keys(CAPTIONS).filter((code) => !reached.has(code as CaptionCode))).toEqual([]);
  });

  it('share a line only where one is the contra of the other, or both are money or pay', () => {
    const sharing = Object.keys(CAPTIONS)
      .map((code) => KIND_CODES.filter((kind) => captionOf(kind) === code))
      .filter((kinds) => kinds.filter((kind) => KINDS[kind].contra !== true).length > 1);
    // IAS 7.6: cash on hand and demand deposits are one line, cash and cash equivalents.
    expect(sharing).toEqual([['cashOnHand', 'bank', 'clearing']]);
  });

  it('say what belongs there', () => {
    expect(KIND_CODES.filter((kind) => !/\.$/.test(KINDS[kind].sentence))).toEqual([]);
  });

  it.each([
    ['bank', 'debit'],
    ['accumulatedDepreciation', 'credit'],
    ['tradePayable', 'credit'],
    ['drawings', 'debit'],
    ['saleOfGoods', 'credit'],
    ['returnsAndDiscounts', 'debit'],
    ['operatingExpense', 'debit'],
  ] as const)('%s usually stands on the %s side', (kind, side) => {
    expect(normalSideOfKind(kind)).toBe(side);
  });

  it('send memorandum accounts to no statement', () => {
    expect([sectionOf('memorandum'), statementOf('memorandum')]).toEqual([null, null]);
  });
});

describe('the captions that a balance sheet must have', () => {
  // Source, from memory: IAS 1.54 (a)–(r), as far as they can apply to a small business.
  it.each([
    ['property, plant and equipment', 'propertyAndEquipment'],
    ['intangible assets', 'intangibleAssets'],
    ['financial assets', 'longTermInvestments'],
    ['inventories', 'inventories'],
    ['trade and other receivables', 'tradeReceivables'],
    ['cash and cash equivalents', 'cashAndCashEquivalents'],
    ['trade and other payables', 'tradePayables'],
    ['provisions', 'accruedExpenses'],
    ['financial liabilities', 'longTermBorrowings'],
    ['liabilities for current tax', 'incomeTaxPayable'],
    ['deferred tax liabilities', 'deferredTax'],
    ['issued capital and reserves', 'shareCapital'],
  ] as const)('%s are reached by a kind', (_words, caption) => {
    expect(KIND_CODES.map(captionOf)).toContain(caption);
  });

  // Source, from memory: IAS 1.82 and US Regulation S-X 5-03.
  it.each([
    ['revenue', 'saleOfGoods'],
    ['revenue from services', 'saleOfServices'],
    ['cost of sales', 'costOfSales'],
    ['selling, general and administrative expenses', 'operatingExpenses'],
    ['finance costs', 'financeCosts'],
    ['tax expense', 'incomeTax'],
  ] as const)('%s is reached by a kind of the profit and loss', (_words, caption) => {
    expect(KIND_CODES.map(captionOf)).toContain(caption);
  });
});
