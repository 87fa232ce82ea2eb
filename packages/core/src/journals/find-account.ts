import type { AccountId } from '../chart/account';
import type { Chart } from '../chart/chart';
import { eachNode, mergedAccounts, standsFor } from '../chart/queries';
import { nameKey } from '../text/name-key';

const COMBINED = /^(\S*\d\S*?)(?:\s*[-–—·:|)]\s*|\s+)(?=\S)(.*)$/;

/**
 * Finds the account that a list names by its number, its name, or both in one text. A number and a name that speak for
 * two accounts find none; what was merged finds the account that stands for it.
 */
export const accountFinder = (chart: Chart): ((text: string, name: string) => AccountId | null) => {
  const [numbers, names] = [new Map<string, AccountId>(), new Map<string, AccountId | null>()];
  const know = (number: string | null, name: string, id: AccountId): void => {
    if (number !== null && !numbers.has(nameKey(number))) numbers.set(nameKey(number), id);
    const key = nameKey(name);
    names.set(key, names.has(key) && names.get(key) !== id ? null : id);
  };
  for (const { account } of eachNode(chart.roots)) know(account.number, account.name, account.id);
  for (const { account } of mergedAccounts(chart)) {
    const id = standsFor(chart, account.id);
    if (id !== null && !names.has(nameKey(account.name))) know(account.number, account.name, id);
  }
  const single = (text: string): AccountId | null =>
    numbers.get(nameKey(text)) ?? names.get(nameKey(text)) ?? null;
  const both = (number: string, name: string): AccountId | null => {
    const [byNumber, byName] = [numbers.get(nameKey(number)), names.get(nameKey(name))];
    if (byNumber !== undefined && byName != null && byNumber !== byName) return null;
    return byNumber ?? byName ?? null;
  };
  return (text, name) => {
    if (text !== '' && name !== '') return both(text, name);
    const whole = text === '' ? name : text;
    const match = COMBINED.exec(whole);
    return single(whole) ?? (match === null ? null : both(match[1] ?? '', match[2] ?? ''));
  };
};
