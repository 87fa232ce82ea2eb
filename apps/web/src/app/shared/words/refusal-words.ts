import {
  accountOf,
  type AccountId,
  type ChoiceProblem,
  CHART_LIMITS,
  CHOICE_WORDS_LIMIT,
  DIMENSION_NAME_LIMIT,
  DIMENSION_VALUES_LIMIT,
  SETTING_TEXT_LIMIT,
  type Chart,
  type DimensionProblem,
  type SettingProblem,
  KINDS,
  type KindCode,
  NUMBER_LIMIT,
  type Refusal,
  TEXT_LIMITS,
} from '@iunctus/core';
import { accountWords } from './account-words';
import { SETTING_WORDS } from './setting-words';
import { ELEMENT_WORDS } from './statement-words';

const SETTING_PROBLEM_WORDS: Readonly<Record<SettingProblem, string>> = {
  currencyMalformed: 'a currency has three capital letters, such as USD.',
  lineUnknown: 'the form has no such line. Choose one of its lines.',
  copyNotPositive: 'copies are counted from 1.',
  textTooLong: `at most ${SETTING_TEXT_LIMIT} characters. Shorten it.`,
  routingMalformed: 'a routing number has digits and letters only.',
  documentNumberMalformed: 'the next number has digits only, at most 12.',
  unitsMalformed: 'units are a number, with a point before at most nine decimals.',
  monthsMissing: 'a budget by month has twelve amounts.',
  amountNotExact: 'an amount has no more decimals than the currency.',
  nobodySees: 'somebody must see the account. Name at least one person.',
  dimensionTwice: 'a dimension is named twice. Leave it once.',
};

const DIMENSION_WORDS: Readonly<Record<DimensionProblem, string>> = {
  dimensionUnnamed: 'The dimension has no name: market, department, fund …',
  dimensionNameTaken: 'Another dimension has this name already.',
  valueUnnamed: 'A value has no name.',
  valueNameTaken: 'Two values have the same name. Add a word that tells them apart.',
  tooManyValues: `A dimension has at most ${DIMENSION_VALUES_LIMIT} values.`,
  nameTooLong: `A name has at most ${DIMENSION_NAME_LIMIT} characters.`,
};

const CHOICE_WORDS: Readonly<Record<ChoiceProblem, string>> = {
  dateMalformed: 'One of the days is no date.',
  endsBeforeItBegins: 'The span ends before it begins.',
  wordsTooLong: `The words to look for have at most ${CHOICE_WORDS_LIMIT} characters.`,
  upToMalformed: 'The choice of postings is not usable.',
};

const elementWords = (kind: KindCode | undefined): string =>
  kind === undefined ? '' : ELEMENT_WORDS[KINDS[kind].element];

/**
 * A refusal in words: the account, the field and its value, the rule, and what would do.
 * `charts` are searched in order for the accounts that it names.
 */
export const refusalWords = (refusal: Refusal, ...charts: readonly Chart[]): string => {
  const own = accountWords(refusal.accountId, ...charts);
  const other = accountWords(refusal.otherId, ...charts);
  switch (refusal.code) {
    case 'accountMissing':
      return `${own} is not in this chart any more.`;
    case 'accountExists':
      return 'This account is in the chart already.';
    case 'parentMissing':
      return 'The parent is not in this chart any more. Choose another.';
    case 'parentRetired':
      return `${other} is retired and takes no open accounts below it. Restore it first, or choose another parent.`;
    case 'neighbourMissing':
      return 'The neighbour in the list has moved. Choose the place again.';
    case 'moveIntoOwnSubtree':
      return `${own} cannot stand under ${other}, which stands below it. Move ${other} out first.`;
    case 'elementDiffers':
      return elementClash(refusal.value, { other, otherId: refusal.otherId }, charts);
    case 'numberMissing':
      return 'The account has no number. Type a free one that fits between its neighbours.';
    case 'numberTaken':
      return `Number ${refusal.value} is taken by ${other}. Choose a free number.`;
    case 'numberMalformed':
      return `Number “${refusal.value}” is not usable: digits and letters, with . - / between them, ${NUMBER_LIMIT} at most.`;
    case 'nameEmpty':
      return 'The name is empty. Type what the account is for.';
    case 'nameTaken':
      return `The name “${refusal.value}” is borne by ${other}. Add a word that tells them apart.`;
    case 'textTooLong':
      return `The text has ${refusal.value} characters; ${TEXT_LIMITS[refusal.field]} are allowed. Shorten it.`;
    case 'tooManyAccounts':
      return `A chart has at most ${CHART_LIMITS.accounts.toLocaleString('en')} accounts. Use dimensions for what is told apart so often.`;
    case 'tooDeep':
      return `Accounts stand at most ${CHART_LIMITS.depth} levels deep. Put ${own} under one further up.`;
    case 'hasPostings':
      return `${own} has postings and cannot be deleted. Retire it: no new postings, and its history stays.`;
    case 'hasChildren':
      return `${own} has accounts below it. Move or remove those first.`;
    case 'hasOpenChildren':
      return `${other} below it is still open. Retire that first.`;
    case 'headingTakesNoPostings':
      return `${own} has postings, and a heading takes none. Keep it a posting account with sub-accounts.`;
    case 'systemAccount':
      return `${own} is where results of closed years go; the system needs it open and in its kind. It can be renamed and renumbered.`;
    case 'memorandumWithPostings':
      return `${own} has postings; moving it on or off the statements would unbalance them.`;
    case 'alreadyRetired':
      return `${own} is retired already.`;
    case 'notRetired':
      return `${own} is open already.`;
    case 'dateMalformed':
      return `“${refusal.value}” is no date.`;
    case 'planWrong':
      return 'The number plan contradicts itself. Mend it under Numbers.';
    case 'mergeIntoItself':
      return 'An account cannot be merged into itself. Choose another.';
    case 'mergeIntoRetired':
      return `${other} is retired and takes nothing new. Restore it first, or choose another account.`;
    case 'kindsDiffer':
      return `${own} is ${kindName(charts, refusal.accountId)}, ${other} is ${kindName(charts, refusal.otherId)}: its history would move to another statement line. Say that this is meant, or change the kind first.`;
    case 'notMerged':
      return 'This merge was taken back already.';
    case 'hasMerged':
      return `Other accounts were merged into ${own}, and their postings count here. Take those merges back first, or merge it in its turn.`;
    case 'hasSplits':
      return `Postings of ${own} were split. Take the split back first.`;
    case 'splitExists':
      return 'This split was made already.';
    case 'splitIntoItself':
      return 'An account cannot be split into itself.';
    case 'splitFurther':
      return `${own} was split in its turn. Take that split back first.`;
    case 'notSplit':
      return 'This split was taken back already.';
    case 'choiceWrong':
      return CHOICE_WORDS[refusal.value];
    case 'settingNotOffered':
      return `${SETTING_WORDS[refusal.setting]} makes no sense for ${own}: its kind or role does not have it.`;
    case 'settingWrong':
      return `${SETTING_WORDS[refusal.setting]}: ${SETTING_PROBLEM_WORDS[refusal.value]}`;
    case 'dimensionMissing':
      return 'This dimension, or the value, is not in the chart any more. Choose another.';
    case 'dimensionWrong':
      return DIMENSION_WORDS[refusal.value];
    case 'dimensionInUse':
      return `${own} asks for it. Change that account first.`;
    case 'valueInUse':
      return `Postings carry “${refusal.value}”, so it stays. It can be renamed.`;
    case 'restrictedAccount':
      return 'This stands for accounts that are not yours to see. Ask somebody who may.';
    default:
      return refusal satisfies never;
  }
};

const kindName = (charts: readonly Chart[], id: string | undefined): string => {
  const kind = charts.map((chart) => accountOf(chart, id ?? '')?.kind).find((one) => one);
  return kind === undefined ? 'of another kind' : KINDS[kind].name;
};

const elementClash = (
  kind: KindCode,
  { other, otherId }: { readonly other: string; readonly otherId: AccountId | undefined },
  charts: readonly Chart[],
): string => {
  const otherKind = charts
    .map((chart) => accountOf(chart, otherId ?? '')?.kind)
    .find((found) => found !== undefined);
  return `The kind belongs to ${elementWords(kind)}, but ${other} belongs to ${elementWords(otherKind)}. Accounts under one another share their element: change the kind, or choose another parent.`;
};
