import type { Account, AccountId } from '../chart/account';
import type { Chart } from '../chart/chart';
import { likestOf } from '../matching/duplicates';
import { openAccounts } from './accounts';

/** The account of the same kind that says what one would say that is only typed as yet; `null` for none. */
export const saidAlready = (
  chart: Chart,
  { id, name, kind }: Pick<Account, 'id' | 'name' | 'kind'>,
): AccountId | null => {
  if (name.trim() === '') return null;
  const others = openAccounts(chart).filter(
    ({ account }) => account.kind === kind && account.id !== id,
  );
  const at = likestOf(
    name,
    others.map(({ account }) => account.name),
  );
  return at === null ? null : (others[at]?.account.id ?? null);
};
