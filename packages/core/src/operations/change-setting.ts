import { accountOf } from '../chart/queries';
import type { Account } from '../chart/account';
import type { Chart } from '../chart/chart';
import { updateAccount } from '../chart/edit';
import { settingProblem } from '../settings/check';
import type { AccountSettings } from '../settings/account-settings';
import { isOffered } from '../settings/rules';
import type { ChangeSetting } from './operation';
import { rebaseEdit } from './rebase-rules';
import type { Refusal } from './refusal';
import { accepted, refused, type Rules } from './rules';

const missingDimension = (chart: Chart, operation: ChangeSetting): string | undefined => {
  if (operation.setting !== 'dimensions') return undefined;
  const known = new Map(
    chart.settings.dimensions.map(({ id, values }) => [id, new Set(values.map((one) => one.id))]),
  );
  const wrong = operation.value?.find(({ dimensionId, valueId }) => {
    const values = known.get(dimensionId);
    return values === undefined || (valueId !== null && !values.has(valueId));
  });
  return wrong?.dimensionId;
};

const checkSetting = (chart: Chart, account: Account, operation: ChangeSetting): Refusal | null => {
  const { setting, value } = operation;
  const about = { accountId: account.id, field: 'setting', setting } as const;
  if (value === null) return null;
  if (!isOffered(account, setting)) return { code: 'settingNotOffered', ...about };
  const problem = settingProblem(setting, value);
  if (problem !== null) return { code: 'settingWrong', ...about, value: problem };
  const dimensionId = missingDimension(chart, operation);
  return dimensionId === undefined
    ? null
    : { code: 'dimensionMissing', ...about, value: dimensionId };
};

const without = (settings: AccountSettings, name: keyof AccountSettings): AccountSettings => {
  const { [name]: _former, ...rest } = settings;
  return rest;
};

/** Sets one of an account's settings, or, with `null`, leaves it to its kind again.
 *  Refuses: accountMissing, settingNotOffered, settingWrong, dimensionMissing. */
export const changeSetting: Rules<ChangeSetting> = {
  apply(chart, operation) {
    const account = accountOf(chart, operation.id);
    if (account === undefined) return refused({ code: 'accountMissing', accountId: operation.id });
    const refusal = checkSetting(chart, account, operation);
    if (refusal !== null) return refused(refusal);
    const rest = without(account.settings, operation.setting);
    const settings =
      operation.value === null ? rest : { ...rest, [operation.setting]: operation.value };
    return accepted(updateAccount(chart, operation.id, { settings }));
  },
  invert({ id, setting }, before) {
    const value = accountOf(before, id)?.settings[setting] ?? null;
    // The value was read by the name that stands beside it.
    return { type: 'changeSetting', id, setting, value } as ChangeSetting;
  },
  rebase: (operation, landed) =>
    rebaseEdit(operation, landed, (other) =>
      other.type === 'changeSetting' && other.setting === operation.setting
        ? JSON.stringify(other.value) === JSON.stringify(operation.value)
        : null,
    ),
};
