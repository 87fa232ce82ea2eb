import {
  accountOf,
  type Chart,
  KINDS,
  type NumberGiven,
  type Operation,
  titleOf,
} from '@iunctus/core';
import { accountWords } from './account-words';
import { choiceWords } from './choice-words';
import { dateWords } from './period-words';
import { SETTING_WORDS, settingValueWords } from './setting-words';
import { namesLine } from './short-list';

const FIELD_WORDS = {
  name: 'renamed',
  guidance: 'guidance',
  notes: 'notes',
  shortLabel: 'short label',
} as const;

const under = (parentId: string | null, charts: readonly Chart[]): string =>
  parentId === null ? 'as a main account' : `under ${accountWords(parentId, ...charts)}`;

const fieldWords = (
  operation: Extract<Operation, { type: 'editField' }>,
  own: string,
  charts: readonly Chart[],
): string => {
  if (operation.field === 'name') {
    const former = charts.map((chart) => accountOf(chart, operation.id)?.name);
    const was = former.find((name) => name !== undefined && name !== operation.value);
    return `${was ?? own} renamed “${operation.value}”`;
  }
  return `${own}: ${FIELD_WORDS[operation.field]} ${operation.value === '' ? 'emptied' : `set to “${operation.value}”`}`;
};

const renumberWords = (numbers: readonly NumberGiven[], charts: readonly Chart[]): string => {
  const [first] = numbers;
  const example =
    first === undefined
      ? ''
      : `: ${accountWords(first.id, ...charts)} becomes ${first.number ?? '(no number)'}`;
  if (numbers.length === 1) return `1 account renumbered${example}`;
  return `${numbers.length} accounts renumbered${example}, and so on`;
};

const dimensionWords = (
  { id, dimension }: Extract<Operation, { type: 'setDimension' }>,
  charts: readonly Chart[],
): string => {
  const known = charts.flatMap(({ settings }) => settings.dimensions).find((one) => one.id === id);
  if (dimension === null) return `Dimension ${known?.name ?? ''} removed`;
  const values = dimension.values.map(({ name }) => name);
  const words = values.length === 0 ? 'no values yet' : namesLine(values, 4);
  return `Dimension ${dimension.name} with ${words}`;
};

const splitWords = (
  { type, split }: Extract<Operation, { type: 'split' | 'unsplit' }>,
  charts: readonly Chart[],
): string => {
  const [from, into] = [split.from, split.into].map((id) => accountWords(id, ...charts));
  const what = choiceWords(split.choice, ...charts);
  return type === 'split'
    ? `${from} split: ${what} count with ${into}`
    : `Split of ${from} into ${into} taken back`;
};

/** One operation in words; `charts` are searched in order for the accounts that it names. */
export const operationWords = (operation: Operation, ...charts: readonly Chart[]): string => {
  if (operation.type === 'addAccount') {
    const { number, name, kind } = operation.account;
    const title = number === null ? name : `${number} ${name}`;
    return `${title} added ${under(operation.parentId, charts)}, kind ${KINDS[kind].name}`;
  }
  if (operation.type === 'renumberMany') return renumberWords(operation.numbers, charts);
  if (operation.type === 'setPlan')
    return `Number plan of ${operation.plan.digits} digits${operation.numbered ? '' : ', numbers not required'}`;
  if (operation.type === 'unmerge')
    return `${titleOf(operation.account)} taken out of ${accountWords(operation.into, ...charts)} again`;
  if (operation.type === 'setDimension') return dimensionWords(operation, charts);
  if (operation.type === 'split' || operation.type === 'unsplit')
    return splitWords(operation, charts);
  const own = accountWords(operation.id, ...charts);
  switch (operation.type) {
    case 'deleteAccount':
      return `${own} deleted`;
    case 'editField':
      return fieldWords(operation, own, charts);
    case 'renumber':
      return `${own} renumbered ${operation.number ?? '(no number)'}`;
    case 'moveNode':
      return `${own} moved ${under(operation.parentId, charts)}`;
    case 'changeKind':
      return `${own} given the kind ${KINDS[operation.kind].name}`;
    case 'changeRole':
      return `${own} made a ${operation.role === 'heading' ? 'heading' : 'posting account'}`;
    case 'merge':
      return `${own} merged into ${accountWords(operation.into, ...charts)}${operation.acrossKinds ? ', across kinds' : ''}`;
    case 'changeSetting':
      return `${own}: ${SETTING_WORDS[operation.setting].toLowerCase()} ${settingValueWords(operation, charts)}`;
    case 'retire':
      return `${own} retired from ${dateWords(operation.on)}`;
    case 'restore':
      return `${own} restored`;
    default:
      return operation satisfies never;
  }
};
