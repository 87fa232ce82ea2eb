import { apply } from '../operations/apply';
import type { Operation } from '../operations/operation';
import { crosswalkTo } from '../numbering/crosswalk';
import { usualPlan } from '../plan/number-plan';
import { anAccount } from '../testing';
import { plainAccount, type AccountRecord } from './account';
import { chartFrom } from './build';
import type { Split } from './chart';
import { NO_VEIL, veiledAmounts, veiledMerged, veiledRecords, veiledSplits, veilFor } from './veil';

const restricted = (record: AccountRecord): AccountRecord => ({
  ...record,
  settings: { restrictedTo: ['maren'] },
});
const under = (parentId: string) => ({ parentId });

const RECORDS: readonly AccountRecord[] = [
  anAccount('1010', 'Bank'),
  anAccount('6000', 'People', { role: 'heading' }),
  anAccount('6010', 'Wages', under('6000')),
  restricted(anAccount('6020', 'Pay of the manager', under('6000'))),
  restricted(anAccount('6030', 'Pay of the owner’s son', under('6000'))),
  anAccount('6031', 'His car', under('6030')),
  restricted(anAccount('6040', 'Severance', { ...under('6000'), kind: 'otherExpense' })),
];
const veilOver = (userId: string) => veilFor(userId, { records: RECORDS, merged: [], gone: [] });
const seen = (userId: string) => veiledRecords(RECORDS, veilOver(userId));

describe('restricted accounts', () => {
  it('are seen whole by those who may', () => {
    expect(seen('maren')).toEqual(RECORDS);
  });

  it('stand together as one “other” account by parent and kind for those who may not', () => {
    expect(
      seen('tobias').map(({ number, name, kind, parentId }) => [number, name, kind, parentId]),
    ).toEqual([
      ['1010', 'Bank', 'bank', null],
      ['6000', 'People', 'operatingExpense', null],
      ['6010', 'Wages', 'operatingExpense', '6000'],
      [null, 'Other', 'operatingExpense', '6000'],
      [null, 'Other', 'otherExpense', '6000'],
    ]);
  });

  it('hide what stands below them, and count it with them', () => {
    const veil = veilOver('tobias');
    expect(['6020', '6030', '6031'].map(veil.as)).toEqual(['6020', '6020', '6020']);
    expect(veil.as('6010')).toBe('6010');
    expect(veil.hides('6031')).toBe(true);
  });

  it('keep their names out of what was merged', () => {
    const gone = plainAccount(
      { id: 'x', number: '6021', name: 'Bonus', kind: 'operatingExpense' },
      { settings: { restrictedTo: ['maren'] } },
    );
    const merged = [{ account: gone, into: '6030' }];
    const veil = veilFor('tobias', { records: RECORDS, merged, gone: [] });
    expect(veiledMerged(merged, veil)).toEqual([]);
    expect(veil.as('x')).toBe('6020');
    expect(veiledMerged(merged, NO_VEIL)).toEqual(merged);
  });

  const choice = { first: null, last: null, sources: [], words: '', value: null, upTo: 1 };
  const split = (from: string, into: string): Split => ({
    id: `${from}>${into}`,
    from,
    into,
    choice,
  });

  it('keep the splits that concern them to themselves', () => {
    const splits = [split('6010', '6030'), split('6020', '6030'), split('6010', '1010')];
    expect(veiledSplits(splits, veilOver('tobias'))).toEqual([splits[2]]);
  });

  it('count together with what splits bring them, and no amount is lost or told apart', () => {
    const splits = [split('6010', '6030'), split('6010', '1010')];
    const amounts: [string, number][] = [
      ['6010', 100],
      ['6020', 7],
      ['6031', 5],
    ];
    const moved: [string, number][] = [
      ['6010>6030', 30],
      ['6010>1010', 4],
    ];
    expect(veiledAmounts({ amounts, splits: moved }, splits, veilOver('tobias'))).toEqual({
      amounts: [
        ['6010', 70],
        ['6020', 42],
      ],
      splits: [['6010>1010', 4]],
    });
  });

  it('stay hidden when they are gone, from whoever did not see them and all above them', () => {
    const gone = [{ id: 'x', seenBy: [['maren', 'tobias'], ['maren']] }];
    const hides = (userId: string) =>
      veilFor(userId, { records: RECORDS, merged: [], gone }).hides('x');
    expect([hides('maren'), hides('tobias')]).toEqual([false, true]);
  });

  it('get no number from somebody who does not see them', () => {
    const { rows } = crosswalkTo(chartFrom(seen('tobias')), {
      plan: usualPlan(4),
      movable: null,
      keep: false,
    });
    expect(rows.map(({ id }) => id)).not.toContain('6020');
  });

  describe('for those who may not see them', () => {
    const chart = chartFrom(seen('tobias'));
    const codeOf = (operation: Operation) => {
      const outcome = apply(chart, operation);
      return outcome.ok ? undefined : outcome.refusal.code;
    };
    const account = plainAccount({
      id: 'n',
      number: '6050',
      name: 'Tips',
      kind: 'operatingExpense',
    });

    it('refuse to be renamed, moved, merged into or put under', () => {
      expect(codeOf({ type: 'editField', id: '6020', field: 'name', value: 'Pay' })).toBe(
        'restrictedAccount',
      );
      expect(codeOf({ type: 'moveNode', id: '6020', parentId: null, afterId: null })).toBe(
        'restrictedAccount',
      );
      expect(codeOf({ type: 'merge', id: '6010', into: '6020', acrossKinds: false })).toBe(
        'restrictedAccount',
      );
      expect(codeOf({ type: 'addAccount', account, parentId: '6020', afterId: null })).toBe(
        'restrictedAccount',
      );
    });

    it('let others stand beside them', () => {
      expect(
        codeOf({ type: 'addAccount', account, parentId: '6000', afterId: '6020' }),
      ).toBeUndefined();
    });

    it('keep the heading above them from going', () => {
      expect(codeOf({ type: 'deleteAccount', id: '6000' })).toBe('hasChildren');
    });
  });

  it('name somebody who sees them', () => {
    const outcome = apply(chartFrom(RECORDS), {
      type: 'changeSetting',
      id: '6010',
      setting: 'restrictedTo',
      value: [],
    });
    expect(outcome).toMatchObject({ ok: false, refusal: { value: 'nobodySees' } });
  });

  it('are not smuggled in as what nobody sees', () => {
    const veiled = plainAccount(
      { id: 'n', number: '6050', name: 'Tips', kind: 'operatingExpense' },
      { settings: { restrictedTo: [] } },
    );
    const outcome = apply(chartFrom(RECORDS), {
      type: 'addAccount',
      account: veiled,
      parentId: null,
      afterId: null,
    });
    expect(outcome).toMatchObject({ ok: false, refusal: { code: 'settingWrong' } });
  });
});
