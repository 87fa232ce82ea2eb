import { accountOf } from '../chart/queries';
import type { Account, AccountId } from '../chart/account';
import type { Chart } from '../chart/chart';
import { updateAccount } from '../chart/edit';
import { settingProblem } from '../settings/check';
import type { DimensionUse } from '../dimensions/dimension';
import type { AccountSettings, SettingName } from '../settings/account-settings';
import { isOffered, SETTING_NAMES } from '../settings/rules';
import type { ChangeSetting } from './operation';
import { rebaseEdit } from './rebase-rules';
import type { Refusal } from './refusal';
import { accepted, refused, type Rules } from './rules';

const missingDimension = (chart: Chart, uses: readonly DimensionUse[]): string | undefined => {
  const known = new Map(
    chart.settings.dimensions.map(({ id, values }) => [id, new Set(values.map((one) => one.id))]),
  );
  const wrong = uses.find(({ dimensionId, valueId }) => {
    const values = known.get(dimensionId);
    return values === undefined || (valueId !== null && !values.has(valueId));
  });
  return wrong?.dimensionId;
};

const checkValue = <K extends SettingName>(
  chart: Chart,
  accountId: AccountId,
  { setting, value }: { readonly setting: K; readonly value: NonNullable<AccountSettings[K]> },
): Refusal | null => {
  const about = { accountId, field: 'setting', setting } as const;
  const problem = settingProblem(setting, value);
  if (problem !== null) return { code: 'settingWrong', ...about, value: problem };
  const missing =
    setting === 'dimensions'
      ? missingDimension(chart, value as readonly DimensionUse[])
      : undefined;
  return missing === undefined ? null : { code: 'dimensionMissing', ...about, value: missing };
};

/** Refuses settings that are not usable, whatever the account. */
export const checkSettings = (
  chart: Chart,
  { id, settings }: Pick<Account, 'id' | 'settings'>,
): Refusal | null => {
  for (const setting of SETTING_NAMES) {
    const value = settings[setting];
    const refusal = value === undefined ? null : checkValue(chart, id, { setting, value });
    if (refusal !== null) return refusal;
  }
  return null;
};

const checkChange = (chart: Chart, account: Account, operation: ChangeSetting): Refusal | null => {
  const { setting, value } = operation;
  if (value === null) return null;
  if (!isOffered(account, setting))
    return { code: 'settingNotOffered', accountId: account.id, field: 'setting', setting };
  return checkValue(chart, account.id, { setting, value });
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
    const refusal = checkChange(chart, account, operation);
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
