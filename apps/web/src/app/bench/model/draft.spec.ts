import {
  applyAll,
  elementOf,
  KINDS,
  planChild,
  planSibling,
  recordsOf,
  USUAL_SETTINGS,
  type Guess,
  type KindCode,
} from '@iunctus/core';
import { judgeAccount } from '@iunctus/core/learned';
import { aChart } from '@iunctus/core/testing';
import { draftOperations, newDraft, roomFor, withInferredKind, type Draft } from './draft';
import { actionOfKey } from './tree-keys';
import { clashWords, crossingWords, roomWords } from './tree-words';

const CHART = aChart(`
5000 Cost of sales:
  5010 Fruit
6010 Wages
6011 Bonus
6050 Rent
`);

const drafted = (cursor: string, name: string): Draft => {
  const plan = planSibling(CHART, cursor);
  if (plan === null) throw new Error('there is a place');
  return { ...newDraft(plan, 'new'), name };
};

/** With its kind as the learned judgement has it. */
const judged = (draft: Draft, usual: KindCode): Draft => {
  const { name, parentId, adding } = draft;
  const { element } = KINDS[usual];
  const asked = { name, number: null, parentId, afterId: adding?.afterId ?? null, element };
  return withInferredKind(draft, usual, judgeAccount(CHART, asked));
};

describe('a new account’s kind', () => {
  it('comes from its name where the name is clear', () => {
    const draft = judged(drafted('6050', 'Loan interest'), 'operatingExpense');
    expect([draft.kind, draft.inferred]).toEqual([
      'financeCost',
      { type: 'words', words: 'interest' },
    ]);
  });

  it('in doubt offers what else it may be, and only then', () => {
    const guesses = (confidence: number): readonly Guess[] =>
      (['otherExpense', 'operatingExpense', 'financeCost'] as const).map((kind, at) => ({
        kind,
        confidence: at === 0 ? confidence : 0.1,
        reason: { type: 'around' },
      }));
    const offered = (confidence: number) =>
      withInferredKind(drafted('6050', 'Settlement'), 'operatingExpense', guesses(confidence));
    expect(offered(0.6)).toMatchObject({
      kind: 'otherExpense',
      others: ['operatingExpense', 'financeCost'],
    });
    expect(offered(0.3)).toMatchObject({
      kind: 'operatingExpense',
      others: ['otherExpense', 'financeCost'],
    });
    expect(offered(0.98).others).toEqual([]);
  });

  it('stays that of its neighbours where the name says little, or the same', () => {
    for (const name of ['Bramley', 'Office cleaning', ''])
      expect(judged(drafted('6050', name), 'operatingExpense')).toMatchObject({
        kind: 'operatingExpense',
        above: [],
        inferred: null,
      });
  });

  it('stays within the element in which the account is added', () => {
    const plan = planChild(CHART, '5000');
    if (plan === null) throw new Error('there is a place');
    const draft = { ...newDraft(plan, 'new'), name: 'Bank account' };
    expect(elementOf(judged(draft, 'costOfSales').kind)).toBe('expense');
  });
});

describe('a new account for which no number is left', () => {
  const tight = drafted('6010', 'Overtime');

  it('gets one when its number is left empty: the neighbours give way', () => {
    expect(tight.number).toBe('');
    const room = roomFor(CHART, tight);
    const outcome = applyAll(CHART, draftOperations(CHART, tight));
    if (!outcome.ok) throw new Error(outcome.refusal.code);
    expect(recordsOf(outcome.chart).find(({ id }) => id === 'new')?.number).toBe(room?.number);
  });

  it('says beforehand which number it gets, and whose changes', () => {
    const room = roomFor(CHART, tight);
    expect(roomWords(tight, CHART)).toBe(
      `No free number is left between its neighbours. Left empty, it gets ${room?.number}: 6011 becomes ${room?.rows[0]?.to}.`,
    );
  });

  it('says nothing of it once a number is typed, or where none is needed', () => {
    expect(roomWords({ ...tight, number: '6099' }, CHART)).toBe('');
    const settings = { ...USUAL_SETTINGS, numbered: false };
    expect(roomFor({ ...CHART, settings }, tight)).toBeNull();
  });
});

describe('what an account that crosses into another element does', () => {
  it('is said with the line that it leaves and the one where it lands', () => {
    expect(crossingWords(CHART, [{ type: 'changeKind', id: '6050', kind: 'prepaidExpense' }])).toBe(
      '6050 Rent takes the kind Prepaid expenses: it moves from Profit and loss › Operating expenses to Balance sheet › Current assets › Prepaid expenses.',
    );
  });

  it('is not worth a word within one element', () => {
    expect(crossingWords(CHART, [{ type: 'changeKind', id: '6050', kind: 'costOfSales' }])).toBe(
      '',
    );
  });
});

describe('the keys of the tree', () => {
  const key = (name: string, more: object = {}) =>
    actionOfKey(new KeyboardEvent('keydown', { key: name, ...more }));

  it('choose rows, duplicate, merge and let go', () => {
    expect(key('x')).toEqual({ type: 'mark', rows: 1 });
    expect(key('ArrowUp', { shiftKey: true })).toEqual({ type: 'mark', rows: -1 });
    expect(key('d')).toEqual({ type: 'duplicate' });
    expect(key('g')).toEqual({ type: 'sheet', sheet: 'merge' });
    expect(key('Escape')).toEqual({ type: 'letGo' });
    expect(key('o')).toEqual({ type: 'outline' });
  });

  it('leave everything with Ctrl to the page', () => {
    expect(key('d', { ctrlKey: true })).toBeNull();
    expect(key('k', { ctrlKey: true })).toBeNull();
  });
});

describe('a number or name that is another’s', () => {
  it('is said while it is typed', () => {
    const draft = { ...drafted('6050', 'Bonus'), number: '6050' };
    expect(clashWords(draft, CHART)).toBe(
      'Number 6050 is Rent already. 6011 Bonus has this name already. ',
    );
  });

  it('is not said of the account itself', () => {
    const draft = { ...drafted('6050', 'Rent'), id: '6050', number: '6050' };
    expect(clashWords(draft, CHART)).toBe('');
  });
});
