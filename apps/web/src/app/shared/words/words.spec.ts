import { applyAll, changeOf, planMoveUnder, type Operation } from '@iunctus/core';
import { aChart } from '@iunctus/core/testing';
import { changeWords } from './change-words';
import { operationWords } from './operation-words';
import { endOfPeriod, longPeriod, shortPeriod } from './period-words';
import { refusalWords } from './refusal-words';
import { landingWords } from './statement-words';

const CHART = aChart(`
1010 Operating account
5000 Cost of sales:
  5010 Fruit
6300 Operating:
  6310 Excise duty
`);

const ABOUT = { accountId: '6310' } as const;

describe('a refusal in words', () => {
  it('names the account, the field, the value, the rule, and what would do', () => {
    expect(
      refusalWords(
        { ...ABOUT, code: 'numberTaken', field: 'number', value: '5010', otherId: '5010' },
        CHART,
      ),
    ).toBe('Number 5010 is taken by 5010 Fruit. Choose a free number.');
    expect(
      refusalWords(
        {
          ...ABOUT,
          code: 'elementDiffers',
          field: 'kind',
          value: 'operatingExpense',
          otherId: '1010',
        },
        CHART,
      ),
    ).toBe(
      'The kind belongs to Costs and expenses, but 1010 Operating account belongs to Assets. Accounts under one another share their element: change the kind, or choose another parent.',
    );
    expect(
      refusalWords({ ...ABOUT, code: 'textTooLong', field: 'name', value: '130' }, CHART),
    ).toContain('130 characters; 120 are allowed');
  });

  it('finds the accounts that it names in any of the charts at hand', () => {
    expect(refusalWords({ ...ABOUT, code: 'hasPostings' }, aChart(''), CHART)).toMatch(
      /^6310 Excise duty has postings/,
    );
  });
});

describe('an operation in words', () => {
  it.each<[Operation, string]>([
    [
      { type: 'moveNode', id: '6310', parentId: '5000', afterId: null },
      '6310 Excise duty moved under 5000 Cost of sales',
    ],
    [
      { type: 'moveNode', id: '6310', parentId: null, afterId: null },
      '6310 Excise duty moved as a main account',
    ],
    [
      { type: 'changeKind', id: '6310', kind: 'costOfSales' },
      '6310 Excise duty given the kind Cost of sales',
    ],
    [{ type: 'renumber', id: '6310', number: '5030' }, '6310 Excise duty renumbered 5030'],
    [{ type: 'editField', id: '6310', field: 'name', value: 'Duty' }, 'Excise duty renamed “Duty”'],
    [
      { type: 'editField', id: '6310', field: 'notes', value: '' },
      '6310 Excise duty: notes emptied',
    ],
    [{ type: 'retire', id: '6310', on: '2026-10-31' }, '6310 Excise duty retired from 31 Oct 2026'],
    [{ type: 'deleteAccount', id: 'gone' }, 'an account that is gone deleted'],
  ])('%#: %p', (operation, words) => {
    expect(operationWords(operation, CHART)).toBe(words);
  });
});

describe('what a changed row says', () => {
  it('is what it was', () => {
    const outcome = applyAll(CHART, planMoveUnder(CHART, '6310', { parentId: '5000' }));
    const change = outcome.ok ? changeOf(CHART, outcome.chart, '6310') : null;
    expect(change === null ? '' : changeWords(change, CHART)).toBe('was 6310, under Operating');
  });

  it('joins several things', () => {
    expect(
      changeWords({ type: 'changed', was: { name: 'Fuel', retiredOn: null, texts: true } }, CHART),
    ).toBe('was “Fuel”; now retired; texts edited');
  });
});

describe('statements and periods in words', () => {
  it('say where a kind leads', () => {
    expect(landingWords('bank')).toBe('Balance sheet › Current assets › Cash and cash equivalents');
    expect(landingWords('costOfSales')).toBe('Profit and loss › Cost of sales');
    expect(landingWords('memorandum')).toBe('On no statement');
  });

  it('write a period short, long, and as its last day', () => {
    const period = { first: '2026-07', last: '2026-10' };
    expect([shortPeriod(period), longPeriod(period), endOfPeriod(period)]).toEqual([
      '1 Jul – 31 Oct 2026',
      '1 July – 31 October 2026',
      '31 October 2026',
    ]);
    expect(shortPeriod({ first: '2025-11', last: '2026-02' })).toBe('1 Nov 2025 – 28 Feb 2026');
  });
});
