import type { ReturnForm } from '../return-form';
import { GIFI } from './gifi';

const isEquity = ({ line }: { readonly line: string }): boolean =>
  line.startsWith('35') || line.startsWith('36');

/** The financial statements of a Canadian partnership: the codes of corporations but for what belongs to the partners. */
export const T5013: ReturnForm = {
  name: 'T5013 GIFI',
  year: 2024,
  source: 'CRA guide RC4088, General Index of Financial Information, T5013 Schedules 100 and 125, 2024; from memory',
  lines: [
    ...GIFI.lines.filter((line) => !isEquity(line)),
    { line: '3575', words: 'Partners’ capital', kinds: ['ownersCapital', 'drawings', 'shareCapital', 'additionalPaidInCapital', 'treasuryShares', 'retainedEarnings', 'openingBalanceEquity', 'netAssetsWithoutRestrictions', 'netAssetsWithRestrictions'] },
  ],
}; // prettier-ignore
