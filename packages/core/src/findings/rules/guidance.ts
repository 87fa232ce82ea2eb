import { openAccounts } from '../accounts';
import type { FindingRule } from '../finding';

/** So many accounts without guidance are worth a word. */
const WORTH = 5;

/** Accounts that do not say what belongs in them, all as one finding. */
export const noGuidance: FindingRule<'noGuidance'> = ({ chart }) => {
  const silent = openAccounts(chart).filter(({ account }) => account.guidance.trim() === '');
  if (silent.length < WORTH) return [];
  return [
    {
      code: 'noGuidance',
      severity: 'couldBeNeater',
      accountIds: silent.map(({ account }) => account.id),
      amount: 0,
      facts: { count: silent.length },
      fixes: [],
    },
  ];
};
