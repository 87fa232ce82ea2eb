import {
  SECTION_NAMES,
  STATEMENT_NAMES,
  CAPTIONS,
  type CaptionCode,
  type Element,
  KINDS,
  type KindCode,
  statementOf,
} from '@iunctus/core';

export {
  SECTION_NAMES as SECTION_WORDS,
  SHEET_NAMES as SHEET_WORDS,
  STATEMENT_NAMES as STATEMENT_WORDS,
  TOTAL_NAMES as TOTAL_WORDS,
} from '@iunctus/core';

/** The statements that are chosen between, in their usual order. */
export const STATEMENT_CHOICES = (['profitAndLoss', 'balanceSheet'] as const).map((value) => ({
  value,
  words: STATEMENT_NAMES[value],
}));

export const ELEMENT_WORDS: Readonly<Record<Element, string>> = {
  asset: $localize`Assets`,
  liability: $localize`Liabilities`,
  equity: $localize`Equity`,
  revenue: $localize`Revenue`,
  expense: $localize`Costs and expenses`,
  memorandum: $localize`Memorandum`,
};

/** Where a kind leads: "Profit and loss › Cost of sales". */
export const landingWords = (kind: KindCode): string => {
  const statement = statementOf(kind);
  const caption: CaptionCode | null = KINDS[kind].caption;
  if (statement === null || caption === null) return $localize`On no statement`;
  const { section, name } = CAPTIONS[caption];
  const parts = [STATEMENT_NAMES[statement], SECTION_NAMES[section]];
  return [...parts, ...(name === SECTION_NAMES[section] ? [] : [name])].join(' › ');
};
