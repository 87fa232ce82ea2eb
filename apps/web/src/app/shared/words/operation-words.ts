import {
  accountOf,
  type Chart,
  type NumberGiven,
  type Operation,
  type OperationOf,
  type OperationType,
  titleOf,
} from '@iunctus/core';
import { accountWords } from './account-words';
import { choiceWords } from './choice-words';
import { dateWords } from './period-words';
import { SETTING_WORDS, settingValueWords } from './setting-words';
import { namesLine } from './short-list';
import { terms } from './terms';

const FIELD_WORDS = {
  name: 'renamed',
  guidance: 'guidance',
  notes: 'notes',
  shortLabel: $localize`short label`,
} as const;

const under = (parentId: string | null, charts: readonly Chart[]): string =>
  parentId === null ? $localize`as a main account` : `under ${accountWords(parentId, ...charts)}`;

const fieldWords = (operation: OperationOf<'editField'>, charts: readonly Chart[]): string => {
  const own = accountWords(operation.id, ...charts);
  if (operation.field === 'name') {
    const former = charts.map((chart) => accountOf(chart, operation.id)?.name);
    const was = former.find((name) => name !== undefined && name !== operation.value);
    return $localize`${was ?? own} renamed “${operation.value}”`;
  }
  return `${own}: ${FIELD_WORDS[operation.field]} ${operation.value === '' ? 'emptied' : $localize`set to “${operation.value}”`}`;
};

const renumberWords = (numbers: readonly NumberGiven[], charts: readonly Chart[]): string => {
  const [first] = numbers;
  const example =
    first === undefined
      ? ''
      : `: ${$localize`${accountWords(first.id, ...charts)} becomes ${first.number ?? $localize`(no number)`}`}`;
  if (numbers.length === 1) return $localize`1 account renumbered${example}`;
  return $localize`${numbers.length} accounts renumbered${example}, and so on`;
};

const dimensionWords = (
  { id, dimension }: OperationOf<'setDimension'>,
  charts: readonly Chart[],
): string => {
  const known = charts.flatMap(({ settings }) => settings.dimensions).find((one) => one.id === id);
  if (dimension === null) return $localize`Dimension ${known?.name ?? ''} removed`;
  const values = dimension.values.map(({ name, restricted }) =>
    restricted === true ? $localize`${name}:value: (restricted)` : name,
  );
  const words = values.length === 0 ? $localize`no values yet` : namesLine(values, 4);
  return $localize`Dimension ${dimension.name} with ${words}`;
};

const splitWords = (
  { type, split }: OperationOf<'split' | 'unsplit'>,
  charts: readonly Chart[],
): string => {
  const [from, into] = [split.from, split.into].map((id) => accountWords(id, ...charts));
  const what = choiceWords(split.choice, ...charts);
  return type === 'split'
    ? $localize`${from} split: ${what} count with ${into}`
    : $localize`Split of ${from} into ${into} taken back`;
};

type Words<T extends OperationType> = (
  operation: OperationOf<T>,
  charts: readonly Chart[],
) => string;

/** Says something of the account that an operation is about. */
const ofAccount =
  <T extends OperationType>(
    words: (operation: OperationOf<T>, charts: readonly Chart[]) => string,
  ): ((operation: OperationOf<T> & { readonly id: string }, charts: readonly Chart[]) => string) =>
  (operation, charts) =>
    `${accountWords(operation.id, ...charts)}${words(operation, charts)}`;

const WORDS: { readonly [T in OperationType]: Words<T> } = {
  addAccount: ({ account, parentId }, charts) =>
    $localize`${titleOf(account)} added ${under(parentId, charts)}, kind ${terms().kinds[account.kind]}`,
  deleteAccount: ofAccount(() => $localize` deleted`),
  editField: fieldWords,
  renumber: ofAccount<'renumber'>(({ number }) => ` renumbered ${number ?? '(no number)'}`),
  renumberMany: ({ numbers }, charts) => renumberWords(numbers, charts),
  setPlan: ({ plan, numbered }) =>
    $localize`Number plan of ${plan.digits} digits${numbered ? '' : $localize`, numbers not required`}`,
  moveNode: ofAccount<'moveNode'>(({ parentId }, charts) => ` moved ${under(parentId, charts)}`),
  changeKind: ofAccount<'changeKind'>(
    ({ kind }) => $localize` given the kind ${terms().kinds[kind]}`,
  ),
  changeRole: ofAccount<'changeRole'>(
    ({ role }) => $localize` made a ${role === 'heading' ? 'heading' : $localize`posting account`}`,
  ),
  merge: ofAccount<'merge'>(
    ({ into, acrossKinds }, charts) =>
      $localize` merged into ${accountWords(into, ...charts)}${acrossKinds ? $localize`, across kinds` : ''}`,
  ),
  unmerge: ({ account, into }, charts) =>
    $localize`${titleOf(account)} taken out of ${accountWords(into, ...charts)} again`,
  split: splitWords,
  unsplit: splitWords,
  changeSetting: ofAccount<'changeSetting'>(
    (operation, charts) =>
      `: ${SETTING_WORDS[operation.setting].toLowerCase()} ${settingValueWords(operation, charts)}`,
  ),
  setDimension: dimensionWords,
  retire: ofAccount<'retire'>(({ on }) => $localize` retired from ${dateWords(on)}`),
  restore: ofAccount(() => $localize` restored`),
};

/** One operation in words; `charts` are searched in order for the accounts that it names. */
export const operationWords = (operation: Operation, ...charts: readonly Chart[]): string =>
  (WORDS[operation.type] as Words<OperationType>)(operation, charts);
