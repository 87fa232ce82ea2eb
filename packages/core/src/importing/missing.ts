import type { AccountId } from '../chart/account';
import type { Chart } from '../chart/chart';
import { eachNode } from '../chart/queries';
import type { ClashRule } from './clashes';
import type { Fate, MissingAccount } from './import-plan';
import type { RowMatch } from './match-rows';

/** The accounts in use that a list does not have, in chart order, with what is to become of them. */
export const missingFrom = (
  chart: Chart,
  list: {
    readonly placed: readonly { readonly match: RowMatch }[];
    readonly fates: ReadonlyMap<AccountId, Fate>;
    readonly clashes: ClashRule | null;
  },
): readonly MissingAccount[] => {
  const found = new Set(
    list.placed.flatMap(({ match }) => {
      if (match.type === 'account') return [match.id];
      return match.type === 'question' ? [match.question.accountId] : [];
    }),
  );
  const usual = list.clashes === 'replace' ? 'delete' : 'leave';
  return [...eachNode(chart.roots)].flatMap(({ account }): MissingAccount[] => {
    if (found.has(account.id) || account.retiredOn !== null) return [];
    return [{ account, fate: list.fates.get(account.id) ?? usual, refusal: null }];
  });
};
