import type { Account, AccountId } from '../chart/account';
import type { Chart, ChartNode } from '../chart/chart';
import type { Place } from '../chart/edit';
import {
  accountCount,
  accountOf,
  CHART_LIMITS,
  childrenOf,
  idByClashingName,
  idByNumber,
  levelOf,
  nodeOf,
  placeAmong,
} from '../chart/queries';
import { elementOf, type KindCode } from '../kinds/kinds';
import type { TextField } from './operation';
import type { Refusal } from './refusal';

/** Longest text that a field may hold, in characters. */
export const TEXT_LIMITS: Readonly<Record<TextField, number>> = {
  name: 120,
  shortLabel: 40,
  guidance: 1000,
  notes: 4000,
};

/** Longest number, in characters. */
export const NUMBER_LIMIT = 20;

const NUMBER_SHAPE = /^[\p{L}\p{N}](?:[\p{L}\p{N}.\-/]*[\p{L}\p{N}])?$/u;

/** Brings a typed number to the form in which it is kept: plain digits, no white space around. */
export const cleanNumber = (typed: string): string => typed.normalize('NFKC').trim();

/** Brings a typed name to the form in which it is kept: single spaces, none around. */
export const cleanName = (typed: string): string =>
  typed.normalize('NFC').trim().replace(/\s+/g, ' ');

/** Refuses a number that is missing where accounts bear one, or malformed. */
export const checkNumberShape = (
  chart: Chart,
  id: AccountId,
  number: string | null,
): Refusal | null => {
  if (number === null)
    return chart.settings.numbered
      ? { code: 'numberMissing', accountId: id, field: 'number' }
      : null;
  const about = { accountId: id, field: 'number', value: number } as const;
  if (number.length > NUMBER_LIMIT || !NUMBER_SHAPE.test(number) || number !== cleanNumber(number))
    return { code: 'numberMalformed', ...about };
  return null;
};

/** Refuses a number that is missing where accounts bear one, malformed, or taken by another account. */
export const checkNumber = (chart: Chart, id: AccountId, number: string | null): Refusal | null => {
  const shape = checkNumberShape(chart, id, number);
  if (shape !== null || number === null) return shape;
  const about = { accountId: id, field: 'number', value: number } as const;
  const otherId = idByNumber(chart, number);
  return otherId === undefined || otherId === id
    ? null
    : { code: 'numberTaken', ...about, otherId };
};

/** Refuses a name that is empty or that another account bears where names must differ. */
export const checkName = (
  chart: Chart,
  account: Pick<Account, 'id' | 'name'>,
  parentId: AccountId | null,
): Refusal | null => {
  const about = { accountId: account.id, field: 'name', value: account.name } as const;
  if (account.name.trim() === '') return { code: 'nameEmpty', ...about };
  const otherId = idByClashingName(chart, account.name, { parentId, exceptId: account.id });
  return otherId === undefined ? null : { code: 'nameTaken', ...about, otherId };
};

/** Refuses a text that is longer than its field holds. */
export const checkLength = (id: AccountId, field: TextField, value: string): Refusal | null =>
  value.length > TEXT_LIMITS[field]
    ? { code: 'textTooLong', accountId: id, field, value: String(value.length) }
    : null;

/** Refuses a kind of another element than the parent's. */
export const checkKindUnder = (
  chart: Chart,
  account: Pick<Account, 'id' | 'kind'>,
  parentId: AccountId | null,
): Refusal | null => {
  const parent = parentId === null ? undefined : accountOf(chart, parentId);
  if (parent === undefined || elementOf(parent.kind) === elementOf(account.kind)) return null;
  return {
    code: 'elementDiffers',
    accountId: account.id,
    field: 'kind',
    value: account.kind,
    otherId: parent.id,
  };
};

/** Refuses a kind of another element than that of an account directly below. */
export const checkKindOver = (node: ChartNode, kind: KindCode): Refusal | null => {
  const child = node.children.find(({ account }) => elementOf(account.kind) !== elementOf(kind));
  if (child === undefined) return null;
  return {
    code: 'elementDiffers',
    accountId: node.account.id,
    field: 'kind',
    value: kind,
    otherId: child.account.id,
  };
};

/** Refuses a place that does not exist, or that lies under a retired account while `account` is open. */
export const checkPlace = (
  chart: Chart,
  account: Pick<Account, 'id' | 'retiredOn'>,
  place: Place,
): Refusal | null => {
  const about = { accountId: account.id, field: 'parent' } as const;
  if (place.parentId !== null) {
    const parent = nodeOf(chart, place.parentId)?.account;
    if (parent === undefined) return { code: 'parentMissing', ...about, otherId: place.parentId };
    if (parent.retiredOn !== null && account.retiredOn === null)
      return { code: 'parentRetired', ...about, otherId: parent.id };
  }
  const known =
    place.afterId === null ||
    (place.afterId !== account.id &&
      placeAmong(childrenOf(chart, place.parentId), place.afterId) >= 0);
  return known ? null : { code: 'neighbourMissing', ...about, otherId: place.afterId ?? '' };
};

/** Refuses one account more than a chart may have. */
export const checkCount = (chart: Chart, id: AccountId): Refusal | null =>
  accountCount(chart) < CHART_LIMITS.accounts
    ? null
    : { code: 'tooManyAccounts', accountId: id, value: String(CHART_LIMITS.accounts) };

/** Refuses a place at which `levels` levels of accounts would stand deeper than a chart may go. */
export const checkDepth = (
  chart: Chart,
  id: AccountId,
  { parentId, levels }: { readonly parentId: AccountId | null; readonly levels: number },
): Refusal | null => {
  const above = parentId === null ? 0 : levelOf(chart, parentId);
  if (above + levels <= CHART_LIMITS.depth) return null;
  return { code: 'tooDeep', accountId: id, field: 'parent', value: String(CHART_LIMITS.depth) };
};

/** The first of several checks that refuses, or `null`. */
export const firstRefusal = (...refusals: readonly (Refusal | null)[]): Refusal | null =>
  refusals.find((refusal) => refusal !== null) ?? null;
