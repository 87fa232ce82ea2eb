import { type ColumnSet, type ColumnSpec } from '@iunctus/core';

export {
  cellText as cellWords,
  columnName as columnHead,
  columnNote,
  shortMonths as headPeriod,
} from '@iunctus/core';

/** Sets of columns, as they are chosen between. */
export const COLUMN_SET_WORDS: Readonly<Record<ColumnSet, string>> = {
  plain: $localize`The period alone`,
  yearBefore: $localize`A year before`,
  periodBefore: $localize`The period before`,
  months: $localize`Month by month`,
  quarters: $localize`Quarter by quarter`,
  years: $localize`Four years`,
  shares: $localize`Share of the whole`,
  budget: $localize`Against the budget`,
  restrictions: $localize`With and without restrictions`,
};

/** What a column is, in a sentence: for its field and for who hears it. */
export const columnSentence = (spec: ColumnSpec): string => {
  switch (spec.is) {
    case 'amounts':
      return $localize`Amounts of “${spec.words}:words:”`;
    case 'budget':
      return $localize`Budget of “${spec.words}:words:”`;
    case 'restricted':
      return spec.restricted
        ? $localize`What is restricted of “${spec.words}:words:”`
        : $localize`What is not restricted of “${spec.words}:words:”`;
    case 'value':
      return $localize`One value of a dimension, “${spec.words}:words:”`;
    case 'difference':
      return $localize`Column ${spec.of + 1}:of: less column ${spec.from + 1}:from:`;
    case 'percent':
      return $localize`Column ${spec.of + 1}:of: less column ${spec.from + 1}:from:, in per cent of it`;
    case 'share':
      return $localize`Column ${spec.of + 1}:of: in per cent of the whole`;
  }
};
