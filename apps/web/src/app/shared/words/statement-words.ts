import {
  CAPTIONS,
  KINDS,
  SHOWN_SHEETS,
  statementOf,
  type CaptionCode,
  type Element,
  type KindCode,
  type ShownCode,
  type StatementCode,
} from '@iunctus/core';
import { terms } from './terms';

/** The statements that are chosen between, in their usual order. */
export const statementChoices = (): readonly { value: StatementCode; words: string }[] =>
  (['profitAndLoss', 'balanceSheet'] as const).map((value) => ({
    value,
    words: terms().sheets[value],
  }));

/** The other sheets that can stand beside the chart. */
export const otherSheets = (): readonly { value: ShownCode; words: string }[] =>
  SHOWN_SHEETS.filter((code) => code !== 'profitAndLoss' && code !== 'balanceSheet').map(
    (value) => ({ value, words: terms().sheets[value] }),
  );

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
  const { sheets, sections, captions } = terms();
  const section = sections[CAPTIONS[caption].section];
  const name = captions[caption];
  return [sheets[statement], section, ...(name === section ? [] : [name])].join(' › ');
};
