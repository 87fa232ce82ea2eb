import type { ProposalStep } from '@iunctus/core';
import { subjectsBetween } from './undoing';

const step = (id: string, ...accounts: string[]): ProposalStep => ({
  id,
  operations: accounts.map((one) => ({ type: 'deleteAccount', id: one })),
});

describe('what an undo was about', () => {
  const [A, B, C] = [step('a', '10'), step('b', '20', '21'), step('c', '30')] as const;

  it('is the step that went', () => {
    expect(subjectsBetween([A, B], [A])).toEqual(['20', '21']);
  });

  it('is the step that came back, also from the middle', () => {
    expect(subjectsBetween([A, C], [A, B, C])).toEqual(['20', '21']);
  });

  it('is nothing where nothing differs', () => {
    expect(subjectsBetween([A, B], [A, B])).toEqual([]);
  });
});
