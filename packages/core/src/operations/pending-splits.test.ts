import type { Split } from '../chart/chart';
import { pendingSplits } from './pending-splits';
import type { ProposalStep } from './proposal';

describe('the splits of a proposal', () => {
  const split = (id: string): Split => ({
    id,
    from: 'a',
    into: 'b',
    choice: { first: null, last: null, sources: [], words: '', value: null, upTo: 1 },
  });
  const step = (...operations: ProposalStep['operations']): ProposalStep => ({
    id: 's',
    operations,
  });

  it('are those that it makes and does not take back itself', () => {
    const steps = [
      step({ type: 'split', split: split('1') }, { type: 'split', split: split('2') }),
      step({ type: 'unsplit', split: split('1') }),
    ];
    expect(pendingSplits(steps)).toEqual({ splits: [split('2')], without: [] });
  });

  it('leave out the adopted ones that it takes back', () => {
    const steps = [
      step({ type: 'unsplit', split: split('old') }),
      step({ type: 'split', split: split('1') }),
    ];
    expect(pendingSplits(steps)).toEqual({ splits: [split('1')], without: ['old'] });
  });
});
