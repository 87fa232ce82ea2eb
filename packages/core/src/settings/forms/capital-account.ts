import type { ReturnLine } from '../return-form';

/** The owners' capital from the start of the year to its end, as UK returns follow it, under the numbers of their boxes. */
export const capitalAccount = ({
  start,
  result,
  putIn,
  takenOut,
  end,
}: Readonly<
  Record<'start' | 'result' | 'putIn' | 'takenOut' | 'end', string>
>): readonly ReturnLine[] => [
  { line: start, words: 'Balance at start of period', computed: 'capitalAtStart' },
  { line: result, words: 'Net profit or loss', computed: 'resultOfYear' },
  { line: putIn, words: 'Capital introduced', kinds: ['ownersCapital', 'shareCapital', 'additionalPaidInCapital', 'treasuryShares', 'retainedEarnings', 'openingBalanceEquity', 'netAssetsWithoutRestrictions', 'netAssetsWithRestrictions'], measure: 'yearChange' },
  { line: takenOut, words: 'Drawings', kinds: ['drawings'], measure: 'yearChange' },
  { line: end, words: 'Balance at end of period', computed: 'capitalAtEnd' },
]; // prettier-ignore
