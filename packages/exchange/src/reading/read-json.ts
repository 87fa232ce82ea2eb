import { KINDS, type KindCode } from '@iunctus/core';
import * as v from 'valibot';
import { unreadable } from './file-problem';
import { sheetOf, type Sheet } from './sheet';

const Listed = v.object({
  id: v.string(),
  parentId: v.nullable(v.string()),
  number: v.nullable(v.string()),
  name: v.string(),
  shortLabel: v.string(),
  guidance: v.string(),
  notes: v.string(),
  role: v.picklist(['heading', 'posting']),
  kind: v.pipe(
    v.string(),
    v.check((kind) => kind in KINDS),
  ),
  retiredOn: v.nullable(v.string()),
});

const ChartFile = v.object({
  format: v.literal('iunctus-chart'),
  client: v.string(),
  accounts: v.array(Listed),
});

const HEADINGS = [
  'Number',
  'Name',
  'Parent',
  'Role',
  'Kind',
  'Short label',
  'Guidance',
  'Notes',
  'Retired on',
];

/** Reads the accounts of a chart file of ours as a sheet, and the file whole. Refuses damaged, unknownJson. */
export const readChartJson = (text: string): { readonly sheet: Sheet; readonly whole: unknown } => {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch {
    return unreadable({ code: 'damaged' });
  }
  const parsed = v.safeParse(ChartFile, data);
  if (!parsed.success) return unreadable({ code: 'unknownJson' });
  const { accounts, client } = parsed.output;
  const titles = new Map(accounts.map(({ id, number, name }) => [id, number ?? name]));
  const rows = accounts.map((account) => [
    account.number ?? '',
    account.name,
    titles.get(account.parentId ?? '') ?? '',
    account.role,
    KINDS[account.kind as KindCode].name,
    account.shortLabel,
    account.guidance,
    account.notes,
    account.retiredOn ?? '',
  ]);
  return { sheet: sheetOf(client, [HEADINGS, ...rows]), whole: data };
};
