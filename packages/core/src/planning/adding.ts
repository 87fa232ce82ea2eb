import type { Account } from '../chart/account';
import type { Chart } from '../chart/chart';
import type { Place } from '../chart/edit';
import { numbersOf } from '../numbering/crosswalk';
import { makeRoom } from '../numbering/make-room';
import { suggestNumber } from '../numbering/suggest';
import type { Operation } from '../operations/operation';

const withNumber = (chart: Chart, account: Account, place: Place): Account => {
  if (account.number !== null || !chart.settings.numbered) return account;
  const suggestion = suggestNumber(chart, { ...place, kind: account.kind });
  return suggestion.ok ? { ...account, number: suggestion.number } : account;
};

/**
 * The operations that add an account in its place. Without a number, where the chart asks for
 * one, it gets the next there; where none is left, its neighbours give way with the fewest changes.
 */
export const planAdding = (chart: Chart, given: Account, place: Place): readonly Operation[] => {
  const account = withNumber(chart, given, place);
  const wants = account.number === null && chart.settings.numbered;
  const room = wants ? makeRoom(chart, account, place) : null;
  if (room === null) return [{ type: 'addAccount', account, ...place }];
  const yielding: Operation = { type: 'renumberMany', numbers: numbersOf(room.rows) };
  return [
    ...(room.rows.length === 0 ? [] : [yielding]),
    { type: 'addAccount', account: { ...account, number: room.number }, ...place },
  ];
};
