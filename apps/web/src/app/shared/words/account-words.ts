import { knownAccount, titleOf, type AccountId, type Chart, type OddBalance } from '@iunctus/core';

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

/** What is odd about a balance, said beside it. */
export const ODD_BALANCE_WORDS: Readonly<Record<OddBalance, string>> = {
  overdrawn: $localize`overdrawn`,
  owedBySupplier: $localize`owed by suppliers`,
  owedToCustomer: $localize`owed to customers`,
  toBeCleared: $localize`to be cleared`,
};
