import {
  accountOf,
  cleanName,
  cleanNumber,
  idByClashingName,
  idByNumber,
  KINDS,
  nodeOf,
  titleOf,
  type Chart,
  type Operation,
} from '@iunctus/core';
import { landingWords } from '../../shared/words/statement-words';
import { roomFor, type Draft } from './draft';
import { terms } from '../../shared/words/terms';

/** Which accounts cross into another element, and where they land then. */
export const crossingWords = (chart: Chart, operations: readonly Operation[]): string =>
  operations
    .flatMap((operation): string[] => {
      if (operation.type !== 'changeKind') return [];
      const was = nodeOf(chart, operation.id)?.account;
      if (was === undefined || KINDS[was.kind].element === KINDS[operation.kind].element) return [];
      return [
        $localize`${titleOf(was)} takes the kind ${terms().kinds[operation.kind]}:name:: it moves from ${landingWords(was.kind)} to ${landingWords(operation.kind)}.`,
      ];
    })
    .join(' ');

/** That the number or the name that is being typed is another account's; said before Enter is refused. */
export const clashWords = ({ id, number, name, parentId }: Draft, chart: Chart): string => {
  const holder = idByNumber(chart, cleanNumber(number));
  const taken = holder === id ? undefined : accountOf(chart, holder ?? '');
  const twin = idByClashingName(chart, cleanName(name), { parentId, exceptId: id });
  const namesake = cleanName(name) === '' ? undefined : accountOf(chart, twin ?? '');
  return [
    ...(taken === undefined
      ? []
      : [$localize`Number ${cleanNumber(number)} is ${taken.name} already. `]),
    ...(namesake === undefined ? [] : [$localize`${titleOf(namesake)} has this name already. `]),
  ].join('');
};

/** What is said where the plan has no number between two neighbours. */
export const roomWords = (draft: Draft, chart: Chart): string => {
  const { adding } = draft;
  if (adding === null || adding.number.ok) return '';
  if (adding.number.reason === 'notDigits')
    return $localize`The neighbours’ numbers are not plain digits: type a number.`;
  if (cleanNumber(draft.number) !== '') return '';
  const room = roomFor(chart, draft);
  const [first] = room?.rows ?? [];
  if (room === null || first === undefined)
    return $localize`No free number is left here in the plan: type one, or give the plan more digits under Numbers.`;
  const others =
    room.rows.length === 1 ? '' : $localize` and ${room.rows.length - 1} more give way`;
  return $localize`No free number is left between its neighbours. Left empty, it gets ${room.number}:number:: ${first.from} becomes ${first.to}${others}.`;
};

/** What a row’s triangle does. */
export const FOLD_WORDS = { open: $localize`Open`, close: $localize`Close` } as const;
