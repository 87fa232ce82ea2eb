import type { Account, AccountId } from '../chart/account';
import type { Chart } from '../chart/chart';
import { insertNode, leaf, updateAccount } from '../chart/edit';
import type { KindCode } from '../kinds/kinds';
import { knownAccount } from '../chart/queries';
import { touchedBy, type Operation } from './operation';
import type { Landed } from './rules';

/** What an account was called when something was done to it. */
export interface Called {
  readonly id: AccountId;
  readonly number: string | null;
  readonly name: string;
  readonly kind: KindCode;
}

type Title = Pick<Account, 'number' | 'name' | 'kind'>;

/** What an operation calls accounts, where it gives them a number or name. */
const titlesIn = (operation: Operation): readonly (readonly [AccountId, Partial<Title>])[] => {
  switch (operation.type) {
    case 'editField':
      return operation.field === 'name' ? [[operation.id, { name: operation.value }]] : [];
    case 'renumber':
      return [[operation.id, { number: operation.number }]];
    case 'renumberMany':
      return operation.numbers.map(({ id, number }) => [id, { number }] as const);
    case 'addAccount':
    case 'unmerge': {
      const { id, number, name, kind } = operation.account;
      return [[id, { number, name, kind }]];
    }
    default:
      return [];
  }
};

/** What accounts were called before something landed, oldest first, where it called them otherwise. */
export const formerTitles = (landed: readonly Landed[]): ReadonlyMap<AccountId, Partial<Title>> => {
  const then = new Map<AccountId, Partial<Title>>();
  for (const { inverse } of [...landed].reverse())
    for (const [id, title] of titlesIn(inverse)) then.set(id, { ...then.get(id), ...title });
  return then;
};

/** What the accounts of some operations were called; only those that are called otherwise by now, or are gone. */
export const calledThen = (
  newest: Chart,
  then: ReadonlyMap<AccountId, Partial<Title>>,
  operations: readonly Operation[],
): readonly Called[] =>
  [...new Set(operations.flatMap(touchedBy))].flatMap((id) => {
    const title = then.get(id);
    if (title === undefined) return [];
    const now = knownAccount(newest, id);
    const { number, name, kind } = { number: null, ...now, ...title };
    if (name === undefined || kind === undefined) return [];
    return now?.number === number && now.name === name ? [] : [{ id, number, name, kind }];
  });

const NOTHING_ELSE = {
  role: 'posting',
  guidance: '',
  notes: '',
  shortLabel: '',
  retiredOn: null,
  systemUse: null,
  settings: {},
} as const;

/** The chart with accounts called as they were, those that are gone among them; for words only, as no rule is asked. */
export const calledAs = (chart: Chart, called: readonly Called[]): Chart =>
  called.reduce(
    (so, { id, ...title }) =>
      knownAccount(so, id) === undefined
        ? insertNode(so, leaf({ ...NOTHING_ELSE, ...title, id }), { parentId: null, afterId: null })
        : updateAccount(so, id, title),
    chart,
  );
