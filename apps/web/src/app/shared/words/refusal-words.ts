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
import { terms } from './terms';

const SETTING_PROBLEM_WORDS: Readonly<Record<SettingProblem, string>> = {
  currencyMalformed: $localize`a currency has three capital letters, such as USD.`,
  lineUnknown: $localize`the form has no such line. Choose one of its lines.`,
  copyNotPositive: $localize`copies are counted from 1.`,
  textTooLong: $localize`at most ${SETTING_TEXT_LIMIT} characters. Shorten it.`,
  routingMalformed: $localize`a routing number has digits and letters only.`,
  documentNumberMalformed: $localize`the next number has digits only, at most 12.`,
  unitsMalformed: $localize`units are a number, with a point before at most nine decimals.`,
  monthsMissing: $localize`a budget by month has twelve amounts.`,
  amountNotExact: $localize`an amount has no more decimals than the currency.`,
  nobodySees: $localize`somebody must see the account. Name at least one person.`,
  dimensionTwice: $localize`a dimension is named twice. Leave it once.`,
};

const DIMENSION_WORDS: Readonly<Record<DimensionProblem, string>> = {
  dimensionUnnamed: $localize`The dimension has no name: market, department, fund …`,
  dimensionNameTaken: $localize`Another dimension has this name already.`,
  valueUnnamed: $localize`A value has no name.`,
  valueNameTaken: $localize`Two values have the same name. Add a word that tells them apart.`,
  tooManyValues: $localize`A dimension has at most ${DIMENSION_VALUES_LIMIT} values.`,
  nameTooLong: $localize`A name has at most ${DIMENSION_NAME_LIMIT} characters.`,
};

const CHOICE_WORDS: Readonly<Record<ChoiceProblem, string>> = {
  dateMalformed: $localize`One of the days is no date.`,
  endsBeforeItBegins: $localize`The span ends before it begins.`,
  wordsTooLong: $localize`The words to look for have at most ${CHOICE_WORDS_LIMIT} characters.`,
  upToMalformed: $localize`The choice of postings is not usable.`,
};

const elementWords = (kind: KindCode | undefined): string =>
  kind === undefined ? '' : ELEMENT_WORDS[KINDS[kind].element];

const kindName = (charts: readonly Chart[], id: string | undefined): string => {
  const kind = charts.map((chart) => accountOf(chart, id ?? '')?.kind).find((one) => one);
  return kind === undefined ? $localize`of another kind` : terms().kinds[kind];
};

const elementClash = (
  kind: KindCode,
  { other, otherId }: { readonly other: string; readonly otherId: AccountId | undefined },
  charts: readonly Chart[],
): string => {
  const otherKind = charts
    .map((chart) => accountOf(chart, otherId ?? '')?.kind)
    .find((found) => found !== undefined);
  return $localize`The kind belongs to ${elementWords(kind)}, but ${other} belongs to ${elementWords(otherKind)}. Accounts under one another share their element: change the kind, or choose another parent.`;
};

/** Who is meant: the account itself, the other one of which the rule speaks, and the charts that know them. */
interface Meant {
  readonly own: string;
  readonly other: string;
  readonly charts: readonly Chart[];
}

type Coded<C extends Refusal['code']> = Refusal & { readonly code: C };

/** What each rule says when it refuses: the field and its value, the rule, and what would do. */
const WORDS: {
  readonly [C in Refusal['code']]: string | ((meant: Meant, refusal: Coded<C>) => string);
} = {
  accountMissing: ({ own }) => $localize`${own} is not in this chart any more.`,
  accountExists: $localize`This account is in the chart already.`,
  parentMissing: $localize`The parent is not in this chart any more. Choose another.`,
  parentRetired: ({ other }) =>
    $localize`${other} is retired and takes no open accounts below it. Restore it first, or choose another parent.`,
  neighbourMissing: $localize`The neighbour in the list has moved. Choose the place again.`,
  moveIntoOwnSubtree: ({ own, other }) =>
    $localize`${own} cannot stand under ${other}, which stands below it. Move ${other} out first.`,
  elementDiffers: ({ other, charts }, refusal) =>
    elementClash(refusal.value, { other, otherId: refusal.otherId }, charts),
  numberMissing: $localize`The account has no number. Type a free one that fits between its neighbours.`,
  numberTaken: ({ other }, refusal) =>
    $localize`Number ${refusal.value} is taken by ${other}. Choose a free number.`,
  numberMalformed: (_meant, refusal) =>
    $localize`Number “${refusal.value}” is not usable: digits and letters, with . - / between them, ${NUMBER_LIMIT} at most.`,
  nameEmpty: $localize`The name is empty. Type what the account is for.`,
  nameTaken: ({ other }, refusal) =>
    $localize`The name “${refusal.value}” is borne by ${other}. Add a word that tells them apart.`,
  textTooLong: (_meant, refusal) =>
    $localize`The text has ${refusal.value} characters; ${TEXT_LIMITS[refusal.field]} are allowed. Shorten it.`,
  tooManyAccounts: () =>
    $localize`A chart has at most ${CHART_LIMITS.accounts.toLocaleString('en')} accounts. Use dimensions for what is told apart so often.`,
  tooDeep: ({ own }) =>
    $localize`Accounts stand at most ${CHART_LIMITS.depth} levels deep. Put ${own} under one further up.`,
  hasPostings: ({ own }) =>
    $localize`${own} has postings and cannot be deleted. Retire it: no new postings, and its history stays.`,
  hasChildren: ({ own }) => $localize`${own} has accounts below it. Move or remove those first.`,
  hasOpenChildren: ({ other }) => $localize`${other} below it is still open. Retire that first.`,
  headingTakesNoPostings: ({ own }) =>
    $localize`${own} has postings, and a heading takes none. Keep it a posting account with sub-accounts.`,
  systemAccount: ({ own }) =>
    $localize`${own} is where results of closed years go; the system needs it open and in its kind. It can be renamed and renumbered.`,
  memorandumWithPostings: ({ own }) =>
    $localize`${own} has postings; moving it on or off the statements would unbalance them.`,
  alreadyRetired: ({ own }) => $localize`${own} is retired already.`,
  notRetired: ({ own }) => $localize`${own} is open already.`,
  dateMalformed: (_meant, refusal) => $localize`“${refusal.value}” is no date.`,
  planWrong: $localize`The number plan contradicts itself. Mend it under Numbers.`,
  mergeIntoItself: $localize`An account cannot be merged into itself. Choose another.`,
  mergeIntoRetired: ({ other }) =>
    $localize`${other} is retired and takes nothing new. Restore it first, or choose another account.`,
  kindsDiffer: ({ own, other, charts }, refusal) =>
    $localize`${own} is ${kindName(charts, refusal.accountId)}, ${other} is ${kindName(charts, refusal.otherId)}:otherId:: its history would move to another statement line. Say that this is meant, or change the kind first.`,
  notMerged: $localize`This merge was taken back already.`,
  hasMerged: ({ own }) =>
    $localize`Other accounts were merged into ${own}, and their postings count here. Take those merges back first, or merge it in its turn.`,
  hasSplits: ({ own }) => $localize`Postings of ${own} were split. Take the split back first.`,
  splitExists: $localize`This split was made already.`,
  splitIntoItself: $localize`An account cannot be split into itself.`,
  splitFurther: ({ own }) => $localize`${own} was split in its turn. Take that split back first.`,
  notSplit: $localize`This split was taken back already.`,
  choiceWrong: (_meant, refusal) => CHOICE_WORDS[refusal.value],
  settingNotOffered: ({ own }, refusal) =>
    $localize`${SETTING_WORDS[refusal.setting]} makes no sense for ${own}:own:: its kind or role does not have it.`,
  settingWrong: (_meant, refusal) =>
    `${SETTING_WORDS[refusal.setting]}: ${SETTING_PROBLEM_WORDS[refusal.value]}`,
  dimensionMissing: $localize`This dimension, or the value, is not in the chart any more. Choose another.`,
  dimensionWrong: (_meant, refusal) => DIMENSION_WORDS[refusal.value],
  dimensionInUse: ({ own }) => $localize`${own} asks for it. Change that account first.`,
  valueInUse: (_meant, refusal) =>
    $localize`Postings carry “${refusal.value}”, so it stays. It can be renamed.`,
  restrictedAccount: $localize`This stands for accounts that are not yours to see. Ask somebody who may.`,
};

/**
 * A refusal in words: the account, the field and its value, the rule, and what would do.
 * `charts` are searched in order for the accounts that it names.
 */
export const refusalWords = (refusal: Refusal, ...charts: readonly Chart[]): string => {
  const words = WORDS[refusal.code] as string | ((meant: Meant, refusal: Refusal) => string);
  if (typeof words === 'string') return words;
  const own = accountWords(refusal.accountId, ...charts);
  const other = accountWords(refusal.otherId, ...charts);
  return words({ own, other, charts }, refusal);
};
