import type { Chart, EntrySource, PostingChoice } from '@iunctus/core';
import { dateWords } from './period-words';

/** Where entries come from, in words. */
export const SOURCE_WORDS: Readonly<Record<EntrySource, string>> = {
  opening: $localize`opening balances`,
  sales: 'sales',
  purchases: 'purchases',
  bank: 'bank',
  payroll: 'payroll',
  adjustment: 'adjustments',
  journal: 'journal',
};

const spanWords = ({ first, last }: PostingChoice): string => {
  if (first === null) return last === null ? '' : $localize`up to ${dateWords(last)}`;
  return last === null ? `from ${dateWords(first)}` : `${dateWords(first)} to ${dateWords(last)}`;
};

const valueWords = ({ value }: PostingChoice, charts: readonly Chart[]): string => {
  if (value === null) return '';
  const dimension = charts
    .flatMap(({ settings }) => settings.dimensions)
    .find(({ id }) => id === value.dimensionId);
  const name = dimension?.values.find(({ id }) => id === value.valueId)?.name;
  if (value.valueId === null)
    return `without ${dimension?.name.toLowerCase() ?? $localize`a dimension`}`;
  return `of ${dimension?.name.toLowerCase() ?? $localize`a dimension`} ${name ?? $localize`that is gone`}`;
};

/** Which postings are chosen: “from sales, with “labels”, 1 July to 30 September 2026”. */
export const choiceWords = (choice: PostingChoice, ...charts: readonly Chart[]): string => {
  const parts = [
    choice.sources.length === 0
      ? ''
      : `from ${choice.sources.map((one) => SOURCE_WORDS[one]).join($localize` and `)}`,
    choice.words.trim() === '' ? '' : $localize`with “${choice.words.trim()}”`,
    valueWords(choice, charts),
    spanWords(choice),
  ].filter((part) => part !== '');
  return parts.length === 0 ? $localize`all postings` : `postings ${parts.join(', ')}`;
};
