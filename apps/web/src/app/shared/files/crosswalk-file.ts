import { accountOf, harmless, type Chart, type CrosswalkRow } from '@iunctus/core';
import { WHY_WORDS } from '../words/number-words';

const field = (text: string): string => {
  const safe = harmless(text);
  return /[",\r\n]/.test(safe) ? `"${safe.replaceAll('"', '""')}"` : safe;
};

/** A crosswalk as CSV (RFC 4180), for a spreadsheet: old number, new number, name, why. */
export const crosswalkFile = (
  rows: readonly Pick<CrosswalkRow, 'id' | 'from' | 'to'>[],
  chart: Chart,
  why: (id: string) => CrosswalkRow['why'] | null,
): string => {
  const lines = rows.map(({ id, from, to }) => {
    const reason = why(id);
    const name = accountOf(chart, id)?.name ?? '';
    return [from ?? '', to ?? '', name, reason === null ? '' : WHY_WORDS[reason]];
  });
  return [[$localize`Old number`, $localize`New number`, $localize`Name`, $localize`Why`], ...lines]
    .map((line) => line.map(field).join(','))
    .map((line) => `${line}\r\n`)
    .join('');
};

/** Hands a text to the person at the screen as a file. */
export const saveAs = (name: string, text: string): void => {
  const url = URL.createObjectURL(new Blob(['\ufeff', text], { type: 'text/csv;charset=utf-8' }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  URL.revokeObjectURL(url);
};
