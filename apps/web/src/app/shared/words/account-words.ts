import { knownAccount, titleOf, type AccountId, type Chart } from '@iunctus/core';

/** Number and name of an account in the first chart that has it. */
export const accountWords = (
  id: AccountId | null | undefined,
  ...charts: readonly Chart[]
): string => {
  for (const chart of charts) {
    const account = id === null || id === undefined ? undefined : knownAccount(chart, id);
    if (account !== undefined) return titleOf(account);
  }
  return $localize`an account that is gone`;
};
