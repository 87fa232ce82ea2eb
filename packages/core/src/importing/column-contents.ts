import { nameKey } from '../text/name-key';
import { readListedAmount } from './amounts';
import { areSides } from './sides-in-column';
import type { ColumnUse } from './source';
import { meaningOfTypes } from './type-words';

const NUMBER = /^[A-Z]{0,3}\d[\d.\-/]*$/i;
const NUMBER_AND_NAME = /^\d[\d.\-/]{1,}\s*[-–·:|]?\s+\p{L}/u;
const ROLES = /^(heading|header|group|title|total|summary|posting|detail|post|h|d|p|t)$/i;
const STATUSES = /^(active|inactive|closed|open|retired|archived|yes|no|true|false)$/i;

/** How many of the texts pass, from 0 to 1; none of none. */
export const share = (texts: readonly string[], test: (text: string) => boolean): number =>
  texts.length === 0 ? 0 : texts.filter(test).length / texts.length;

/** Whether a text is an amount, whatever sign its decimals have. */
export const isAmount = (text: string): boolean =>
  ['.', ','].some(
    (decimal) =>
      readListedAmount(text, { currency: 'BHD', decimal: decimal as '.' | ',' }) !== null,
  );

/** What a column holds. */
export interface Seen {
  readonly texts: readonly string[];
  readonly distinct: number;
}

/** What a content speaks for, and how much from 0 to 1. */
type Likely = readonly (readonly [ColumnUse, number])[];

/** How many of the texts are types; where nearly all differ, only plain names of elements are. */
const saysType = (texts: readonly string[], few: boolean): number => {
  const meanings = meaningOfTypes(texts);
  return share(texts, (text) => (few ? meanings.has(text) : meanings.get(text)?.kind === null));
};

/** How much digits look like numbers that somebody gave, from 0 to 1: as long as one another, or in order. */
export const looksGiven = (texts: readonly string[]): number => {
  const lengths = new Map<number, number>();
  for (const { length } of texts) lengths.set(length, (lengths.get(length) ?? 0) + 1);
  const alike = Math.max(...lengths.values()) / texts.length;
  const rising = texts.filter((text, at) => at === 0 || Number(text) >= Number(texts[at - 1]));
  return Math.max(alike, rising.length / texts.length);
};

/** Thousands that are set apart, and brackets: nothing but amounts is written so. */
const WRITTEN_AS_AMOUNT = /^[-−]?\p{Sc}?[-−]?\d{1,3}(?:,\d{3})+$|^\(\p{Sc}?\d[\d,.]*\)$/u;

/** Where so many are written as amounts are, all are. */
const WRITTEN = 0.3;

/** Below this share digits are amounts. */
const GIVEN = 0.7;

/** Whether texts are amounts that cannot be numbers of accounts: they have decimals. */
export const areAmounts = (texts: readonly string[]): boolean =>
  share(texts, (text) => isAmount(text) && /[.,]\d{2}\D*$/.test(text)) > GIVEN;

/** Whether a column holds amounts, whatever it is used for; a currency may stand over them, and a dash for none. */
export const holdsAmounts = (texts: readonly string[]): boolean =>
  share(
    texts.map((text) => text.trim()).filter((text) => text !== '' && !/^[-–—]$/.test(text)),
    isAmount,
  ) > 0.5;

/** What a column's content speaks for, each from 0 to 1. */
export const likelyUses = ({ texts, distinct }: Seen, numbers: ReadonlySet<string>): Likely => {
  if (texts.length === 0) return [];
  const spread = distinct / texts.length;
  const few = distinct <= 60 && spread < 0.6;
  const decimals = share(texts, (text) => /[.,]\d{2}\D*$/.test(text));
  const levels = few && distinct <= 12 && share(texts, (text) => /^\d$/.test(text)) === 1;
  const named = share(texts, (text) => /\p{L}{2}/u.test(text) && !isAmount(text));
  const whole = share(texts, (text) => /^\d+$/.test(text)) === 1;
  const written = share(texts, (text) => WRITTEN_AS_AMOUNT.test(text)) >= WRITTEN;
  const amounts = written || (whole && !levels && looksGiven(texts) < GIVEN);
  return [
    [
      'number',
      levels || amounts
        ? 0.2
        : 0.8 * share(texts, (text) => NUMBER.test(text)) * spread ** 2 * (1 - decimals),
    ],
    [
      'numberAndName',
      Math.max(0.9 * share(texts, (text) => NUMBER_AND_NAME.test(text)), saysNumbered(texts)),
    ],
    ['name', 0.7 * named * spread],
    [
      'parent',
      spread < 0.8 && !areAmounts(texts)
        ? 0.75 * share(texts, (text) => numbers.has(nameKey(text)))
        : 0,
    ],
    ['level', levels ? 0.7 : 0],
    ['role', 0.8 * share(texts, (text) => ROLES.test(text))],
    ['retired', few ? 0.6 * share(texts, (text) => STATUSES.test(text)) : 0],
    ['type', 0.75 * saysType(texts, few)],
    ['side', areSides(texts) ? 0.85 : 0],
    ['balance', 0.6 * share(texts, isAmount) * Math.max(decimals, amounts ? 0.8 : 0.3)],
  ];
};

const LEADING_NUMBER = /^(\d{3,})\s*[-–·:|]?\s+\p{L}/u;
const IS_YEAR = /^(?:19|20)\d\d$/;
const NUMBERED = 0.75;
const SOME = 0.2;
const FEWEST_NUMBERS = 3;

/** In a print titles and totals have no number; those of its accounts are as long as one another, and in order. */
const saysNumbered = (texts: readonly string[]): number => {
  const numbers = texts.flatMap((text) => LEADING_NUMBER.exec(text)?.[1] ?? []);
  const [first = ''] = numbers;
  const inOrder = numbers.every(
    (own, at) => own.length === first.length && (at === 0 || own > (numbers[at - 1] ?? '')),
  );
  const enough = numbers.length >= Math.max(FEWEST_NUMBERS, SOME * texts.length);
  return enough && inOrder && !numbers.every((own) => IS_YEAR.test(own)) ? NUMBERED : 0;
};
