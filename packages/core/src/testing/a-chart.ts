import { plainAccount, type AccountId, type AccountRecord, type Role } from '../chart/account';
import { chartFrom } from '../chart/build';
import { recordsOf } from '../chart/queries';
import type { AccountSettings } from '../settings/account-settings';
import { USUAL_SETTINGS, type Chart, type ChartSettings } from '../chart/chart';
import { eachNode, levelOf } from '../chart/queries';
import { KINDS, type KindCode } from '../kinds/kinds';

const USUAL_KIND: Readonly<Record<string, KindCode>> = {
  '1': 'bank',
  '2': 'tradePayable',
  '3': 'ownersCapital',
  '4': 'saleOfGoods',
  '5': 'costOfSales',
  '6': 'operatingExpense',
};

const LINE = /^(\s*)(\S+) ([^:[]+?)(:)?(?: \[(\w+)\])?\s*$/;

const asKind = (text: string | undefined, number: string): KindCode => {
  if (text === undefined) return USUAL_KIND[number.charAt(0)] ?? 'memorandum';
  if (!(text in KINDS)) throw new Error(`no kind ${text}`);
  return text as KindCode;
};

/** An account record with the usual values; its id is its number. */
export const anAccount = (
  number: string,
  name: string,
  more: Partial<AccountRecord> = {},
): AccountRecord => ({
  ...plainAccount({ id: number, number, name, kind: asKind(undefined, number) }),
  parentId: null,
  ...more,
});

/** What a test chart may be given besides its accounts. */
export interface ChartOptions {
  readonly posted?: readonly AccountId[];
  readonly retired?: readonly AccountId[];
  readonly system?: readonly AccountId[];
  readonly settings?: Partial<ChartSettings>;
}

/**
 * A chart from lines like `5010 Fruit [costOfSales]`, two spaces of indent a level, a heading
 * marked by a colon after its name. Ids are the numbers; kinds come from the leading digit.
 */
export const aChart = (text: string, options: ChartOptions = {}): Chart => {
  const path: AccountId[] = [];
  const records = text.split('\n').flatMap((line) => {
    const match = LINE.exec(line);
    if (match === null) return [];
    const [, indent = '', number = '', name = '', colon, kind] = match;
    path.length = indent.length / 2;
    const parentId = path.at(-1) ?? null;
    path.push(number);
    const role: Role = colon === undefined ? 'posting' : 'heading';
    return anAccount(number, name, {
      parentId,
      role,
      kind: asKind(kind, number),
      retiredOn: options.retired?.includes(number) === true ? '2026-01-31' : null,
      systemUse: options.system?.includes(number) === true ? 'retainedEarnings' : null,
    });
  });
  return chartFrom(records, {
    settings: { ...USUAL_SETTINGS, ...options.settings },
    posted: options.posted ?? [],
  });
};

/** A chart written back as indented numbers and names, for reading in an expectation. */
export const outlineOf = (chart: Chart): readonly string[] =>
  [...eachNode(chart.roots)].map(
    ({ account }) =>
      `${'  '.repeat(levelOf(chart, account.id) - 1)}${account.number ?? ''} ${account.name}`,
  );

/** The chart with settings of some accounts, by their ids. */
export const withSettings = (
  chart: Chart,
  settings: Readonly<Record<AccountId, AccountSettings>>,
): Chart =>
  chartFrom(
    recordsOf(chart).map((record) => ({
      ...record,
      settings: { ...record.settings, ...settings[record.id] },
    })),
    { settings: chart.settings, posted: [...chart.posted] },
  );
