import type { AccountId } from '../chart/account';
import type { DimensionProblem } from '../dimensions/dimension';
import type { KindCode } from '../kinds/kinds';
import type { ChoiceProblem } from '../postings/choice';
import type { SettingName } from '../settings/account-settings';
import type { SettingProblem } from '../settings/check';
import type { TextField } from './operation';

/** Refusals that need no more than the accounts that they name. */
export const PLAIN_REFUSALS = [
  'accountMissing',
  'accountExists',
  'parentMissing',
  'parentRetired',
  'neighbourMissing',
  'moveIntoOwnSubtree',
  'numberMissing',
  'nameEmpty',
  'tooManyAccounts',
  'tooDeep',
  'hasPostings',
  'hasChildren',
  'hasOpenChildren',
  'headingTakesNoPostings',
  'systemAccount',
  'memorandumWithPostings',
  'alreadyRetired',
  'notRetired',
  'planWrong',
  'mergeIntoItself',
  'mergeIntoRetired',
  'kindsDiffer',
  'notMerged',
  'hasMerged',
  'hasSplits',
  'splitExists',
  'splitIntoItself',
  'splitFurther',
  'notSplit',
  'dimensionMissing',
  'dimensionInUse',
  'restrictedAccount',
] as const;

/** Refusals over a value that is named as it stands. */
export const VALUE_REFUSALS = [
  'numberMalformed',
  'numberTaken',
  'nameTaken',
  'dateMalformed',
  'valueInUse',
] as const;

/** The fields that a refusal can point at. */
export const REFUSED_FIELDS = [
  'number',
  'name',
  'shortLabel',
  'guidance',
  'notes',
  'kind',
  'parent',
  'role',
  'retiredOn',
  'setting',
] as const;
export type RefusedField = (typeof REFUSED_FIELDS)[number];

/** What any refusal may name: the account, the field and its value, and the account in the way. */
interface Named {
  readonly accountId: AccountId;
  readonly field?: RefusedField;
  readonly setting?: SettingName;
  readonly value?: string;
  readonly otherId?: AccountId;
}

/** Why an operation is refused, with what belongs to the reason; the words are added at the screen. */
export type Refusal =
  | (Named & { readonly code: (typeof PLAIN_REFUSALS)[number] })
  | (Named & { readonly code: (typeof VALUE_REFUSALS)[number]; readonly value: string })
  | (Named & {
      readonly code: 'textTooLong';
      readonly field: TextField;
      /** The characters that it has. */
      readonly value: string;
    })
  | (Named & { readonly code: 'elementDiffers'; readonly value: KindCode })
  | (Named & { readonly code: 'settingNotOffered'; readonly setting: SettingName })
  | (Named & {
      readonly code: 'settingWrong';
      readonly setting: SettingName;
      readonly value: SettingProblem;
    })
  | (Named & { readonly code: 'dimensionWrong'; readonly value: DimensionProblem })
  | (Named & { readonly code: 'choiceWrong'; readonly value: ChoiceProblem });
export type RefusalCode = Refusal['code'];
