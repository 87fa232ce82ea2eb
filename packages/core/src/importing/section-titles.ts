import { bandOf, isMixedBand } from '../kinds/band';
import type { Element } from '../kinds/element';
import { nameKey } from '../text/name-key';
import type { ImportEntry } from './entry';

/** Lines that head a part of a statement and are hardly ever an account; common practice, no source. */
const TITLES: Readonly<Record<Exclude<Element, 'memorandum'>, readonly string[]>> = {
  asset: [
    'fixed assets',
    'tangible assets',
    'tangible fixed assets',
    'intangible assets',
    'intangible fixed assets',
    'current assets',
    'non-current assets',
    'noncurrent assets',
    'non current assets',
    'long-term assets',
    'long term assets',
    'property, plant and equipment',
  ],
  liability: [
    'current liabilities',
    'non-current liabilities',
    'noncurrent liabilities',
    'non current liabilities',
    'long-term liabilities',
    'long term liabilities',
    'creditors under one year',
    'creditors over one year',
    'creditors due within one year',
    'creditors due after one year',
    'creditors due within 1 year',
    'creditors due after 1 year',
    'creditors: amounts falling due within one year',
    'creditors: amounts falling due after one year',
    'creditors: amounts falling due after more than one year',
    'amounts falling due within one year',
    'amounts falling due after more than one year',
  ],
  equity: [
    'capital and reserves',
    "owner's equity",
    "owners' equity",
    "shareholder's equity",
    "shareholders' equity",
    "shareholders' funds",
    "stockholders' equity",
    "members' equity",
    "members' funds",
    "partners' capital",
    "partners' equity",
    'financed by',
    "proprietor's funds",
    "proprietor's interest",
    'net assets',
    'funds of the charity',
  ],
  revenue: ['operating revenue', 'operating revenues', 'incoming resources'],
  expense: [
    'overheads',
    'overhead expenses',
    'operating expenses',
    'administrative expenses',
    'administration expenses',
    'admin expenses',
    'general and administrative expenses',
    'selling expenses',
    'selling and distribution expenses',
    'establishment expenses',
    'direct expenses',
    'resources expended',
  ],
};

/** Lines that head a part of a statement in one list and are an account in another. */
const PERHAPS: typeof TITLES = {
  asset: [
    'other assets',
    'other current assets',
    'bank accounts',
    'cash and bank',
    'stock',
    'debtors',
    'receivables',
    'investments',
  ],
  liability: [
    'owing',
    'owed',
    'creditors',
    'payables',
    'other liabilities',
    'other current liabilities',
  ],
  equity: [
    'capital',
    'capital account',
    'capital accounts',
    "partners' accounts",
    "partners' capital accounts",
    "partners' current accounts",
    'accumulated funds',
    'reserves',
    'funds',
  ],
  revenue: ['sales', 'turnover', 'other income', 'other revenue', 'trading income'],
  expense: [
    'cost of sales',
    'cost of goods sold',
    'direct',
    'direct costs',
    'purchases',
    'other expenses',
    'finance costs',
    'staff costs',
    'premises costs',
    'establishment costs',
    'administration',
    'taxation',
  ],
};

const byName = (titles: typeof TITLES): ReadonlyMap<string, Element> =>
  new Map(
    Object.entries(titles).flatMap(([element, names]) =>
      names.map((name): [string, Element] => [name, element as Element]),
    ),
  );

const SURELY = byName(TITLES);
const AT_TIMES = byName(PERHAPS);

/** A line that heads what follows it. */
export interface SectionTitle {
  /** The element of what follows; `null` where the title does not say. */
  readonly element: Element | null;
  /** It names an element or a statement, and heads other titles as well. */
  readonly wide: boolean;
}

const titleKey = (name: string): string =>
  nameKey(name)
    .replaceAll('’', "'")
    .replaceAll('&', 'and')
    .replace(/\s*:$/, '')
    .replace(/^(?:less|add|plus)\b:?\s*/, '');

const holdsNothing = ({ balance, budget, role, type }: ImportEntry): boolean =>
  (balance ?? 0) === 0 && (budget ?? 0) === 0 && role !== 'posting' && type === null;

/** Words in capitals, at least two or one that heads in other lists; VAT and PAYE are abbreviations. */
const inCapitals = ({ name }: ImportEntry): boolean => {
  if (/[\p{Ll}\p{N}]/u.test(name)) return false;
  const words = name.split(/[^\p{L}]+/u).filter((word) => /^\p{Lu}{3}/u.test(word));
  return words.length > 1 || AT_TIMES.has(titleKey(name));
};

/** The element of which a line is that bears the name of a title, as far as names tell; `null` for any other. */
export const elementOfTitle = (name: string): Element | null => {
  const key = titleKey(name);
  return bandOf(key) ?? SURELY.get(key) ?? AT_TIMES.get(key) ?? null;
};

/** What leads equity in one statement, and the money in hand in another. */
const OF_EITHER = new Set(['represented by']);

const sureTitle = ({ name }: ImportEntry): SectionTitle | null => {
  const key = titleKey(name);
  if (OF_EITHER.has(key)) return { element: null, wide: false };
  const wide = isMixedBand(key) ? null : bandOf(key);
  if (isMixedBand(key) || wide !== null) return { element: wide, wide: true };
  const element = SURELY.get(key);
  return element === undefined ? null : { element, wide: false };
};

/** With more than this share of its lines written so, a list sets nothing apart by it. */
const FEW = 1 / 3;
const ENOUGH = 3;

const endsInColon = ({ name }: ImportEntry): boolean => name.endsWith(':');

/** A line with nothing beside its name, as a print has its titles. */
const standsAlone = ({ cells }: ImportEntry): boolean =>
  cells.filter((cell) => cell.trim() !== '').length === 1;

/** Accounts of which nothing is known stand alone, too, but few of them are called as titles are. */
const mostlyTitles = (entries: readonly ImportEntry[]): boolean =>
  entries.filter(({ name }) => elementOfTitle(name) !== null).length >= entries.length / 2;

/** How a list writes its titles, where it writes them in a way of their own: in capitals, with a colon behind, or with nothing beside them. */
const wayOfTitles = (entries: readonly ImportEntry[]): ((entry: ImportEntry) => boolean) | null => {
  const [first] = entries;
  const ways = [endsInColon, inCapitals].filter((way) => first !== undefined && way(first));
  const speaks = (way: (entry: ImportEntry) => boolean): boolean => {
    const those = entries.filter(way);
    const few = those.length >= ENOUGH && those.length <= entries.length * FEW;
    return (
      few && those.some((entry) => elementOfTitle(entry.name) !== null) && those.every(holdsNothing)
    );
  };
  const written = ways.find(speaks);
  if (written !== undefined) return written;
  return speaks(standsAlone) && mostlyTitles(entries.filter(standsAlone)) ? standsAlone : null;
};

/**
 * Which lines of a list head those behind them, by place: “Fixed assets”, “Overheads”; what is an account in another
 * list (“Sales”) heads where it is of another element than the lines before; and what is written as titles are. A line
 * with an amount or a type is an account.
 */
export const sectionTitles = (
  entries: readonly ImportEntry[],
): readonly (SectionTitle | null)[] => {
  const written = wayOfTitles(entries);
  let element: Element | null = null;
  const titleOf = (entry: ImportEntry, at: number): SectionTitle | null => {
    if (at === entries.length - 1 || !holdsNothing(entry)) return null;
    const sure = sureTitle(entry);
    if (sure !== null) return sure;
    const perhaps = AT_TIMES.get(titleKey(entry.name));
    if (written?.(entry) === true) return { element: perhaps ?? null, wide: false };
    return perhaps === undefined || perhaps === element ? null : { element: perhaps, wide: false };
  };
  return entries.map((entry, at) => {
    const title = titleOf(entry, at);
    if (title !== null) ({ element } = title);
    return title;
  });
};

/** Every other line is no title. */
const MOST = 1 / 2;

/** So many titles are enough for a print. */
const ENOUGH_IN_PRINT = 2;

/**
 * A list that begins with a title, has at least three that are no accounts or are written alike, and more accounts than
 * titles. A print whose details are set in may begin with an account, and two titles will do.
 */
export const sectionsSpeak = (
  entries: readonly ImportEntry[],
  { setIn }: { readonly setIn: boolean },
): boolean => {
  const titles = sectionTitles(entries);
  const count = titles.filter((title) => title !== null).length;
  const least = setIn ? ENOUGH_IN_PRINT : ENOUGH;
  if (count < least || count >= entries.length * MOST) return false;
  if (setIn) return true;
  const sure = entries.filter((entry, at) => titles[at] != null && sureTitle(entry) !== null);
  return titles[0] != null && (sure.length >= ENOUGH || wayOfTitles(entries) !== null);
};
