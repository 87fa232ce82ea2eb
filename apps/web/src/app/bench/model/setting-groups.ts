import {
  isOffered,
  returnLineWords,
  usualReturnLine,
  type Account,
  type ChangeSetting,
  type Chart,
  type Filer,
  type SettingName,
} from '@iunctus/core';
import { SETTING_WORDS, settingValueWords } from '../../shared/words/setting-words';

/** Settings that are met together. */
export type GroupName =
  'posting' | 'statements' | 'returns' | 'dimensions' | 'bank' | 'security' | 'access';

const GROUPS: Readonly<Record<GroupName, readonly SettingName[]>> = {
  posting: ['openItems', 'controls', 'systemPostedOnly', 'offeredIn', 'currency', 'salesTax'],
  statements: ['subtotal', 'cashFlow', 'budget', 'pinned'],
  returns: ['returnLine', 'payeeBox'],
  dimensions: ['dimensions'],
  bank: ['bank'],
  security: ['security'],
  access: ['restrictedTo'],
};

const GROUP_WORDS: Readonly<Record<GroupName, string>> = {
  posting: $localize`Posting to it`,
  statements: $localize`Statements and budget`,
  returns: $localize`Tax return`,
  dimensions: $localize`Dimensions`,
  bank: $localize`At the bank`,
  security: $localize`Security held`,
  access: $localize`Who sees it`,
};

/** A group of settings of one account: those that its kind has, and what is said of it while it is closed. */
export interface SettingGroup {
  readonly name: GroupName;
  readonly words: string;
  readonly settings: readonly SettingName[];
  readonly summary: string;
}

const ownValue = (
  account: Account,
  setting: SettingName,
  { chart, currency }: { chart: Chart; currency: string },
): string => {
  const value = account.settings[setting] ?? null;
  // The value was read by the name that stands beside it.
  const change = { type: 'changeSetting', id: account.id, setting, value } as ChangeSetting;
  return `${SETTING_WORDS[setting].toLowerCase()} ${settingValueWords(change, [chart], currency)}`;
};

/** What each group of an account's settings comes to; groups without a setting that its kind has are left out. */
export const settingGroups = (
  account: Account,
  context: { readonly chart: Chart; readonly currency: string },
): readonly SettingGroup[] =>
  (Object.keys(GROUPS) as GroupName[]).flatMap((name) => {
    const settings = GROUPS[name].filter((setting) => isOffered(account, setting));
    if (settings.length === 0) return [];
    const own = settings.filter((setting) => account.settings[setting] !== undefined);
    const summary =
      own.length === 0
        ? $localize`as usual for its kind`
        : own.map((setting) => ownValue(account, setting, context)).join('; ');
    return [{ name, words: GROUP_WORDS[name], settings, summary }];
  });

/** The return line that an account feeds: its own, or the usual one of its kind; empty where there is none. */
export const returnLineOf = (account: Account, filer: Filer): string => {
  const usual = usualReturnLine(account.kind, filer);
  const line = account.settings.returnLine ?? usual;
  if (line !== null) return returnLineWords(line);
  return $localize`none on the client’s return`;
};
