import {
  knownAccount,
  KINDS,
  statementOf,
  type Chart,
  type KindCode,
  type Operation,
} from '@iunctus/core';
import { choiceWords } from './choice-words';
import { dateWords } from './period-words';
import { SETTING_WORDS, settingValueWords } from './setting-words';
import { namesLine } from './short-list';
import { terms } from './terms';

/** The charts in which an operation's accounts are looked up: before it, and after. */
export interface Around {
  readonly before: Chart;
  readonly after: Chart;
}

const called = (id: string | null, { before, after }: Around): string => {
  const account = id === null ? undefined : (knownAccount(before, id) ?? knownAccount(after, id));
  return `“${account?.name ?? $localize`an account that is gone`}”`;
};

const under = (parentId: string | null, around: Around): string =>
  parentId === null ? $localize`as a line of its own` : `under ${called(parentId, around)}`;

const counts = (kind: KindCode): string => {
  const [statement, { caption }] = [statementOf(kind), KINDS[kind]];
  if (statement === null || caption === null) return $localize`on no statement`;
  return $localize`under ${terms().captions[caption]} on the ${terms().sheets[statement].toLowerCase()}`;
};

const textWords = (
  { id, field, value }: Extract<Operation, { type: 'editField' }>,
  around: Around,
): string => {
  const name = called(id, around);
  if (field === 'name') return $localize`${name} is called “${value}” from now on.`;
  if (value === '') return $localize`What was written beside ${name} is taken away.`;
  if (field === 'guidance') return $localize`Beside ${name} it says what belongs there: ${value}`;
  if (field === 'shortLabel') return $localize`On documents ${name} is called “${value}”.`;
  return $localize`A note is kept with ${name}:name:: ${value}`;
};

const formerNumber = (id: string, { before }: Around): string => {
  const number = knownAccount(before, id)?.number ?? null;
  return number === null ? '' : $localize`, instead of ${number}`;
};

const dimensionWords = (
  { id, dimension }: Extract<Operation, { type: 'setDimension' }>,
  { before }: Around,
): string => {
  const former = before.settings.dimensions.find((one) => one.id === id)?.name ?? '';
  if (dimension === null)
    return $localize`What is booked is no longer told apart by ${former.toLowerCase()}.`;
  const values = dimension.values.map(({ name }) => name);
  const which = values.length === 0 ? '' : `: ${namesLine(values, 6)}`;
  return $localize`What is booked can be told apart by ${dimension.name.toLowerCase()}${which}.`;
};

/** One operation for somebody who does not know the ledger's words: a whole sentence, without numbers unless it is about one. */
export const plainWords = (operation: Operation, around: Around): string => {
  switch (operation.type) {
    case 'addAccount':
      return $localize`A new line “${operation.account.name}”, ${under(operation.parentId, around)}. It counts ${counts(operation.account.kind)}.`;
    case 'deleteAccount':
      return $localize`${called(operation.id, around)} goes. Nothing was ever booked on it.`;
    case 'editField':
      return textWords(operation, around);
    case 'renumber':
      return $localize`${called(operation.id, around)} gets the number ${operation.number ?? '(none)'}${formerNumber(operation.id, around)}.`;
    case 'renumberMany':
      return operation.numbers.length === 1
        ? $localize`One line gets another number; it is listed below.`
        : $localize`${operation.numbers.length} lines get other numbers; they are listed below.`;
    case 'setPlan':
      return $localize`Numbers have ${operation.plan.digits} digits from now on.`;
    case 'moveNode':
      return $localize`${called(operation.id, around)} is shown ${under(operation.parentId, around)}.`;
    case 'changeKind':
      return $localize`${called(operation.id, around)} counts ${counts(operation.kind)} from now on, with all that was booked on it before.`;
    case 'changeRole':
      return operation.role === 'heading'
        ? $localize`${called(operation.id, around)} only groups the lines below it.`
        : $localize`${called(operation.id, around)} can be booked on.`;
    case 'merge':
      return $localize`${called(operation.id, around)} becomes part of ${called(operation.into, around)}. All that was booked on it counts there.`;
    case 'unmerge':
      return $localize`“${operation.account.name}” is a line of its own again, apart from ${called(operation.into, around)}.`;
    case 'split':
      return $localize`Part of ${called(operation.split.from, around)} is shown as ${called(operation.split.into, around)}:around:: ${choiceWords(operation.split.choice, around.after)}.`;
    case 'unsplit':
      return $localize`What was shown as ${called(operation.split.into, around)} counts with ${called(operation.split.from, around)} again.`;
    case 'changeSetting':
      return `${called(operation.id, around)}: ${SETTING_WORDS[operation.setting].toLowerCase()} ${settingValueWords(operation, [around.after, around.before])}.`;
    case 'setDimension':
      return dimensionWords(operation, around);
    case 'retire':
      return $localize`${called(operation.id, around)} is closed from ${dateWords(operation.on)} on. What was booked stays in sight.`;
    case 'restore':
      return $localize`${called(operation.id, around)} is open again.`;
    default:
      return operation satisfies never;
  }
};
