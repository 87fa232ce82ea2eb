import { aChart } from '@iunctus/core/testing';
import { apply, plainAccount, type Chart, type Operation } from '@iunctus/core';
import { plainWords } from './plain-words';
import { proposalStateWords } from './review-words';

const CHART = aChart('5000 Cost of sales:\n  5010 Fruit\n6310 Excise duty\n6390 Sundries', {
  settings: { dimensions: [{ id: 'm', name: 'Market', values: [{ id: 't', name: 'Town' }] }] },
});

const plain = (operation: Operation, chart: Chart = CHART): string => {
  const outcome = apply(chart, operation);
  return plainWords(operation, { before: chart, after: outcome.ok ? outcome.chart : chart });
};

describe('a change for somebody who does not know the ledger’s words', () => {
  it('says where a new line is shown and where it counts', () => {
    const account = plainAccount({ id: 'n', number: '5020', name: 'Bottles', kind: 'costOfSales' });
    expect(plain({ type: 'addAccount', account, parentId: '5000', afterId: '5010' })).toBe(
      'A new line “Bottles”, under “Cost of sales”. It counts under Cost of sales on the profit and loss.',
    );
  });

  it.each<readonly [Operation, string]>([
    [{ type: 'editField', id: '6390', field: 'name', value: 'Odds' }, '“Sundries” is called “Odds” from now on.'],
    [{ type: 'editField', id: '6390', field: 'guidance', value: 'Seldom.' }, 'Beside “Sundries” it says what belongs there: Seldom.'],
    [{ type: 'editField', id: '6390', field: 'notes', value: '' }, 'What was written beside “Sundries” is taken away.'],
    [{ type: 'renumber', id: '6310', number: '5030' }, '“Excise duty” gets the number 5030, instead of 6310.'],
    [{ type: 'moveNode', id: '6310', parentId: '5000', afterId: '5010' }, '“Excise duty” is shown under “Cost of sales”.'],
    [{ type: 'moveNode', id: '5010', parentId: null, afterId: null }, '“Fruit” is shown as a line of its own.'],
    [{ type: 'changeKind', id: '6310', kind: 'costOfSales' }, '“Excise duty” counts under Cost of sales on the profit and loss from now on, with all that was booked on it before.'],
    [{ type: 'merge', id: '6390', into: '6310', acrossKinds: false }, '“Sundries” becomes part of “Excise duty”. All that was booked on it counts there.'],
    [{ type: 'retire', id: '6390', on: '2026-11-01' }, '“Sundries” is closed from 1 Nov 2026 on. What was booked stays in sight.'],
    [{ type: 'deleteAccount', id: '6390' }, '“Sundries” goes. Nothing was ever booked on it.'],
    [{ type: 'changeRole', id: '6390', role: 'heading' }, '“Sundries” only groups the lines below it.'],
    [{ type: 'changeSetting', id: '6390', setting: 'pinned', value: true }, '“Sundries”: pin yes.'],
    [{ type: 'setDimension', id: 'm', dimension: null, afterId: null }, 'What is booked is no longer told apart by market.'],
  ])('says %j plainly', (operation, words) => {
    expect(plain(operation)).toBe(words);
  }); // prettier-ignore

  it('leaves many new numbers to the list', () => {
    const numbers = [{ id: '5010', number: '5011' }, { id: '6310', number: '6311' }]; // prettier-ignore
    expect(plain({ type: 'renumberMany', numbers })).toBe(
      '2 lines get other numbers; they are listed below.',
    );
  });
});

describe('how far a proposal has come', () => {
  const reviewer = { id: 't', name: 'Tobias Fenn' };
  it('is told its author with the colleague’s name', () => {
    expect(proposalStateWords({ state: 'draft', reviewer: null })).toBe('');
    expect(proposalStateWords({ state: 'handedOver', reviewer })).toBe(
      'With Tobias Fenn for review.',
    );
    expect(proposalStateWords({ state: 'approved', reviewer })).toContain(
      'Approved by Tobias Fenn',
    );
    expect(proposalStateWords({ state: 'sentBack', reviewer })).toContain('The remarks stand');
  });
});
