import {
  accountOf,
  type AccountChange,
  type Chart,
  type Former,
  type SettingName,
} from '@iunctus/core';
import { SETTING_WORDS } from './setting-words';
import { namesLine } from './short-list';
import { terms } from './terms';

const parentWords = (parentId: string | null, before: Chart): string =>
  parentId === null
    ? $localize`a main account`
    : `under ${accountOf(before, parentId)?.name ?? $localize`another parent`}`;

const formerWords = (was: Former, before: Chart): readonly string[] => [
  ...(was.number === undefined ? [] : [was.number ?? 'unnumbered']),
  ...(was.name === undefined ? [] : [`“${was.name}”`]),
  ...(was.parentId === undefined ? [] : [parentWords(was.parentId, before)]),
  ...(was.kind === undefined || was.parentId !== undefined ? [] : [terms().kinds[was.kind]]),
  ...(was.role === undefined ? [] : [was.role === 'heading' ? $localize`a heading` : 'posting']),
];

const absorbedWords = (ids: readonly string[], before: Chart): string => {
  const [first] = ids.flatMap((id) => accountOf(before, id)?.name ?? []);
  const rest = ids.length - 1;
  return $localize`with ${first ?? 'others'}${rest > 0 ? $localize` and ${rest} more` : ''} merged in`;
};

const settingsWords = (names: readonly SettingName[]): string =>
  `${namesLine(
    names.map((name) => SETTING_WORDS[name].toLowerCase()),
    2,
  )} set`;

/** What a changed row says that it was: "was 6310, under Operating". */
export const changeWords = (change: AccountChange, before: Chart): string => {
  if (change.type === 'new') return 'new';
  const { was } = change;
  const former = formerWords(was, before);
  const notes = [
    ...(former.length === 0 ? [] : [`was ${former.join(', ')}`]),
    ...(was.retiredOn === undefined
      ? []
      : [was.retiredOn === null ? $localize`now retired` : 'restored']),
    ...(was.place === undefined ? [] : [$localize`moved among its siblings`]),
    ...(was.texts === undefined ? [] : [$localize`texts edited`]),
    ...(was.settings === undefined ? [] : [settingsWords(was.settings)]),
    ...(was.splits === undefined ? [] : [$localize`postings split`]),
    ...(was.absorbed === undefined ? [] : [absorbedWords(was.absorbed, before)]),
  ];
  return notes.join('; ');
};
