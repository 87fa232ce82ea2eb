import { plainAccount } from '../chart/account';
import { NO_VEIL, veilFor } from '../chart/veil';
import { anAccount } from '../testing';
import type { Operation } from './operation';
import { hasHidden, veiledConflict, veiledOperations, veiledRefusal } from './veiled';

const RECORDS = [
  anAccount('6010', 'Wages'),
  { ...anAccount('6020', 'Pay of the manager'), settings: { restrictedTo: ['maren'] } },
];
const veil = veilFor('tobias', { records: RECORDS, merged: [], gone: [] });
const personal = { veil, userId: 'tobias' };
const rename = (id: string): Operation => ({ type: 'editField', id, field: 'name', value: 'Pay' });

describe('operations seen by somebody from whom accounts are hidden', () => {
  it('are those about what they see', () => {
    expect(veiledOperations([rename('6010'), rename('6020')], personal)).toEqual([rename('6010')]);
  });

  it('give numbers only to what they see', () => {
    const numbers = [
      { id: '6010', number: '1' },
      { id: '6020', number: '2' },
    ];
    const seen = veiledOperations([{ type: 'renumberMany', numbers }], personal);
    expect(seen).toEqual([{ type: 'renumberMany', numbers: [numbers[0]] }]);
  });

  it('leave out an account that they themselves restrict, and all that is done to it', () => {
    const account = plainAccount(
      { id: 'n', number: '6030', name: 'Bonus', kind: 'operatingExpense' },
      { settings: { restrictedTo: ['maren'] } },
    );
    const add: Operation = { type: 'addAccount', account, parentId: null, afterId: null };
    const own = { veil: NO_VEIL, userId: 'tobias' };
    expect(veiledOperations([add, rename('n')], own)).toEqual([]);
    expect(hasHidden({ id: 's', operations: [add] }, own)).toBe(true);
    expect(hasHidden({ id: 's', operations: [add] }, { ...own, userId: 'maren' })).toBe(false);
  });

  it('are refused without a name to what is in the way', () => {
    const refusal = {
      code: 'numberTaken',
      accountId: '6010',
      value: '6020',
      otherId: '6020',
    } as const;
    expect(veiledRefusal(refusal, veil)).toEqual({
      code: 'numberTaken',
      accountId: '6010',
      value: '6020',
    });
    expect(
      veiledRefusal({ code: 'hasPostings', accountId: '6020', value: 'Pay' }, veil),
    ).toMatchObject({ code: 'restrictedAccount' });
  });

  it('meet what they do not see as something restricted', () => {
    const step = { id: 's', operations: [rename('6010')] };
    const conflict = { step, landed: rename('6020'), refusal: null };
    expect(veiledConflict(conflict, personal)).toMatchObject({
      step,
      landed: null,
      refusal: { code: 'restrictedAccount' },
    });
  });

  it('bring no balance to what is hidden', () => {
    const opening = { last: '2026-10', list: 'x', balances: [{ accountId: '6020', amount: 1 }] };
    expect(hasHidden({ id: 's', operations: [], opening }, personal)).toBe(true);
  });
});
