import type { Account, AccountId } from '../chart/account';
import type { Chart } from '../chart/chart';
import { updateAccounts } from '../chart/edit';
import { accountOf, idByNumber } from '../chart/queries';
import { checkNumberShape, firstRefusal } from './checks';
import type { NumberGiven, Operation, RenumberMany } from './operation';
import { keep, removes } from './rebase-rules';
import type { Refusal } from './refusal';
import { accepted, refused, type Rules } from './rules';

const checkFree = (
  chart: Chart,
  { id, number }: NumberGiven,
  moving: ReadonlySet<AccountId>,
  given: Map<string, AccountId>,
): Refusal | null => {
  if (number === null) return null;
  const holder = idByNumber(chart, number);
  const standing = holder !== undefined && holder !== id && !moving.has(holder);
  const otherId = given.get(number) ?? (standing ? holder : undefined);
  given.set(number, id);
  return otherId === undefined
    ? null
    : { code: 'numberTaken', accountId: id, field: 'number', value: number, otherId };
};

const checkAll = (chart: Chart, numbers: readonly NumberGiven[]): Refusal | null => {
  const moving = new Set(numbers.map(({ id }) => id));
  const given = new Map<string, AccountId>();
  for (const one of numbers) {
    const refusal = firstRefusal(
      accountOf(chart, one.id) === undefined ? { code: 'accountMissing', accountId: one.id } : null,
      checkNumberShape(chart, one.id, one.number),
      checkFree(chart, one, moving, given),
    );
    if (refusal !== null) return refusal;
  }
  return null;
};

/** The number that an operation gives an account; `undefined` when it gives it none. */
const givenBy = (operation: Operation, id: AccountId): string | null | undefined => {
  if (operation.type === 'renumber') return operation.id === id ? operation.number : undefined;
  if (operation.type !== 'renumberMany') return undefined;
  return operation.numbers.find((one) => one.id === id)?.number;
};

/** Gives many accounts other numbers at once, so that they may swap or pass numbers on.
 *  Refuses: accountMissing, numberMissing, numberMalformed, numberTaken. */
export const renumberMany: Rules<RenumberMany> = {
  apply(chart, { numbers }) {
    const refusal = checkAll(chart, numbers);
    if (refusal !== null) return refused(refusal);
    const changes = new Map<AccountId, Partial<Account>>(
      numbers.map(({ id, number }) => [id, { number }]),
    );
    return accepted(updateAccounts(chart, changes));
  },
  invert: ({ numbers }, before) => ({
    type: 'renumberMany',
    numbers: numbers.map(({ id }) => ({ id, number: accountOf(before, id)?.number ?? null })),
  }),
  rebase(operation, landed) {
    const open = operation.numbers.filter(
      ({ id, number }) => !removes(landed, id) && givenBy(landed.operation, id) !== number,
    );
    if (open.length === 0) return { type: 'done' };
    const contested = open.some(({ id }) => givenBy(landed.operation, id) !== undefined);
    return contested ? { type: 'conflict' } : keep({ ...operation, numbers: open });
  },
};
