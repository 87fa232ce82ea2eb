import type { AccountId } from '../chart/account';
import type { Chart } from '../chart/chart';
import { accountOf } from '../chart/queries';
import { copiedSettings } from '../settings/account-settings';
import { isOffered, SETTING_NAMES } from '../settings/rules';
import type { ChangeSetting, Operation } from '../operations/operation';

/**
 * The operations that set an account as another one is set, as far as its kind and role have the
 * settings; what is never copied (bank details, holdings, budget, pin) stays its own.
 */
export const planSettingsAs = (
  chart: Chart,
  id: AccountId,
  modelId: AccountId,
): readonly Operation[] => {
  const [account, model] = [accountOf(chart, id), accountOf(chart, modelId)];
  if (account === undefined || model === undefined || id === modelId) return [];
  const wanted = copiedSettings(model.settings);
  const own = copiedSettings(account.settings);
  return SETTING_NAMES.filter(
    (setting) =>
      isOffered(account, setting) &&
      JSON.stringify(wanted[setting]) !== JSON.stringify(own[setting]),
  ).map((setting) => {
    const value = wanted[setting] ?? null;
    // The value was read by the name that stands beside it.
    return { type: 'changeSetting', id, setting, value } as ChangeSetting;
  });
};
