import type { SettingName } from '../settings/account-settings';
import type { AccountId } from '../chart/account';

/** Why an operation is refused; the words are added at the screen. */
export type RefusalCode =
  | 'accountMissing'
  | 'accountExists'
  | 'parentMissing'
  | 'parentRetired'
  | 'neighbourMissing'
  | 'moveIntoOwnSubtree'
  | 'elementDiffers'
  | 'numberMissing'
  | 'numberTaken'
  | 'numberMalformed'
  | 'nameEmpty'
  | 'nameTaken'
  | 'textTooLong'
  | 'tooManyAccounts'
  | 'tooDeep'
  | 'hasPostings'
  | 'hasChildren'
  | 'hasOpenChildren'
  | 'headingTakesNoPostings'
  | 'systemAccount'
  | 'memorandumWithPostings'
  | 'alreadyRetired'
  | 'notRetired'
  | 'dateMalformed'
  | 'planWrong'
  | 'mergeIntoItself'
  | 'mergeIntoRetired'
  | 'kindsDiffer'
  | 'notMerged'
  | 'hasMerged'
  | 'hasSplits'
  | 'splitExists'
  | 'splitIntoItself'
  | 'splitFurther'
  | 'notSplit'
  | 'choiceWrong'
  | 'settingNotOffered'
  | 'settingWrong'
  | 'dimensionMissing'
  | 'dimensionWrong'
  | 'dimensionInUse'
  | 'valueInUse'
  | 'restrictedAccount';

/** The fields that a refusal can point at. */
export type RefusedField =
  | 'number'
  | 'name'
  | 'shortLabel'
  | 'guidance'
  | 'notes'
  | 'kind'
  | 'parent'
  | 'role'
  | 'retiredOn'
  | 'setting';

/** A refused operation: the rule, the account, the field and value, and the account in the way, if any. */
export interface Refusal {
  readonly code: RefusalCode;
  readonly accountId: AccountId;
  readonly field?: RefusedField;
  readonly setting?: SettingName;
  readonly value?: string;
  readonly otherId?: AccountId;
}
