import { plainAccount, type Account, type AccountId, type Role } from '../chart/account';
import type { Chart } from '../chart/chart';
import { accountCount, accountsById } from '../chart/queries';
import { childrenByPlace } from '../collections/children-by-place';
import type { Element } from '../kinds/element';
import { KIND_CODES, type KindCode } from '../kinds/kinds';
import { usualPlan, type NumberPlan } from '../plan/number-plan';
import { withAlike } from './alike';
import { balanceAsPrinted, debitsPositive, type AmountSides, type Printed } from './amount-sides';
import type { ImportEntry } from './entry';
import { findKinds, type KindRequest, type RowKind } from './import-kinds';
import type { ImportPlan, ImportRow, ImportStatus, UnplacedBalance } from './import-plan';
import type { ImportRequest } from './import-request';
import { importRows } from './import-rows';
import { workUntilSettled } from './import-work';
import { listInPlaces, type ListInPlaces } from './list-in-places';
import { matchRows, type RowMatch } from './match-rows';
import { monthOfTitles } from './month-of-amounts';
import { toldByResults } from './told-by-results';
import type { TreeRow } from './tree-row';
import type { PlacedRow } from './work-request';

/** Shares of the work that are done after each of its parts. */
const DONE = { read: 0.1, matched: 0.3, kinds: 0.6 } as const;

/** The plan that numbers of a list without a chart are held against: the usual one with as many digits. */
const planFor = (chart: Chart, entries: readonly ImportEntry[]): NumberPlan => {
  if (accountCount(chart) > 0) return chart.settings.plan;
  const lengths = entries.flatMap(({ number }) =>
    /^\d{2,8}$/.test(number ?? '') ? [number?.length ?? 4] : [],
  );
  const digits = lengths.sort((a, b) => a - b)[Math.floor(lengths.length / 2)] ?? 4;
  return usualPlan(digits);
};

const accountsOf = (chart: Chart, matches: readonly RowMatch[]): ReadonlyMap<number, Account> => {
  const byId = accountsById(chart);
  return new Map(
    matches.flatMap((match, at): [number, Account][] => {
      const account = match.type === 'account' ? byId.get(match.id) : undefined;
      return account === undefined ? [] : [[at, account]];
    }),
  );
};

const aside = (entry: ImportEntry, status: ImportStatus): ImportRow => ({
  entry,
  made: false,
  level: 1,
  status,
  accountId: null,
  number: entry.number,
  role: entry.role ?? 'posting',
  kind: null,
  changes: [],
  problems: [],
  question: null,
});

const accountFor = (
  { entry }: TreeRow,
  more: { readonly id: AccountId; readonly kind: KindCode; readonly role: Role },
): Account =>
  plainAccount(
    { id: more.id, number: entry.number, name: entry.name, kind: more.kind },
    {
      role: more.role,
      shortLabel: entry.shortLabel ?? '',
      guidance: entry.guidance ?? '',
      notes: entry.notes ?? '',
      retiredOn: entry.retired === 'open' ? null : entry.retired,
    },
  );

/** A row with others below is a heading unless it has a balance of its own, or the list says otherwise. */
const roleOf = ({ entry, made }: TreeRow, hasChildren: boolean): Role => {
  if (entry.role !== null) return entry.role;
  return made || (hasChildren && (entry.balance ?? 0) === 0) ? 'heading' : 'posting';
};

const placedRows = (
  rows: readonly TreeRow[],
  kinds: readonly RowKind[],
  {
    matches,
    order,
    newId,
  }: Pick<ImportRequest, 'newId'> & {
    readonly matches: readonly RowMatch[];
    readonly order: readonly number[];
  },
): readonly PlacedRow[] => {
  const children = childrenByPlace(rows);
  return order.flatMap((at): PlacedRow[] => {
    const [row, kind, match] = [rows[at], kinds[at], matches[at]];
    if (row === undefined || kind === undefined || match === undefined) return [];
    const role = roleOf(row, (children[at]?.length ?? 0) > 0);
    const account = accountFor(row, { id: newId(at), kind: kind.kind, role });
    return [{ at, row, kind, match, account }];
  });
};

const unplacedOf = (leftOut: readonly ImportEntry[]): readonly UnplacedBalance[] =>
  leftOut.flatMap(({ line, name, balance }) =>
    balance === null || balance === 0 ? [] : [{ line, name, amount: balance, why: 'leftOut' }],
  );

/** Rows with their amounts, debit positive, and how they were meant. */
interface Meant {
  readonly rows: readonly TreeRow[];
  readonly sides: AmountSides;
}

/** Rows whose amounts are as statements print them, debit positive now that kinds are known. */
const asPrinted = (rows: readonly TreeRow[], printed: readonly Printed[]): Meant => {
  const amounts = debitsPositive(printed);
  const meant = rows.map((row, at) => {
    const { balance } = row.entry;
    return balance === null ? row : { ...row, entry: { ...row.entry, balance: amounts[at] ?? 0 } };
  });
  return { rows: meant, sides: 'usual' };
};

const printedOf = (rows: readonly TreeRow[], kinds: readonly RowKind[]): readonly Printed[] =>
  rows.map(({ entry }, at) => ({
    amount: entry.balance ?? 0,
    kind: kinds[at]?.kind ?? KIND_CODES[0],
  }));

/**
 * The kinds of rows and their amounts; where printed results show that a line was taken for the wrong side, all are found
 * once more with that known. `said` is whether the user or the list says how amounts are meant.
 */
const kindsWithAmounts = (
  { rows: listed, read, heard }: ListInPlaces,
  request: KindRequest,
  said: boolean,
): Meant & { readonly kinds: readonly RowKind[] } => {
  const kinds = findKinds(listed, request);
  const printed = asPrinted(listed, printedOf(listed, kinds));
  const told =
    said && heard === 'debit'
      ? new Map<number, Element>()
      : toldByResults(printed.rows, kinds, read.totals);
  if (told.size > 0) {
    const under = new Map([...request.under, ...told]);
    const again = findKinds(listed, { ...request, under, sides: 'usual' });
    return { kinds: again, ...asPrinted(listed, printedOf(listed, again)) };
  }
  const isPrinted = heard === 'usual' || (!said && balanceAsPrinted(printedOf(listed, kinds)));
  return { kinds, ...(isPrinted ? printed : { rows: listed, sides: heard }) };
};

/**
 * Lines a list up with a chart. Each row is the same as an account, changes one, is new, waits for an
 * answer, or is wrong and says why; the operations make of the chart what the clear rows say. Nothing
 * that the list does not say is changed, and the same list again gives no operation.
 * `currency` is that of the amounts; `today` the day of retirement where the list names none.
 */
export const planImport = (chart: Chart, request: ImportRequest): ImportPlan => {
  const { fates, today, tell = () => undefined } = request;
  const inPlaces = listInPlaces(chart, request, () => tell(DONE.read));
  const { read, treeSource, heard, rows: listed, order, bands } = inPlaces;
  const plan = planFor(chart, read.entries);
  const children = childrenByPlace(listed);
  const leads = (at: number): boolean => (children[at]?.length ?? 0) > 0;
  const { matches, clashing } = matchRows(chart, listed, { ...request, leads });
  tell(DONE.matched);
  const accounts = accountsOf(chart, matches);
  const { kinds, rows, sides } = kindsWithAmounts(
    inPlaces,
    {
      ...request,
      accounts,
      plan,
      under: inPlaces.under,
      yearEnds: read.yearEnds.kinds,
      sides: heard,
      living: accountCount(chart) > 0,
    },
    request.sides != null || !read.columns.has('balance') || read.columns.has('side'),
  );
  const placed = placedRows(rows, kinds, { matches, order, newId: request.newId });
  tell(DONE.kinds);
  const asked = {
    rows,
    bands,
    fates,
    today,
    clashes: request.clashes,
    placed,
    tell: (share: number) => tell(DONE.kinds + share * (1 - DONE.kinds)),
  };
  const done = importRows(asked, workUntilSettled(chart, asked));
  return {
    treeSource,
    sides,
    dated: monthOfTitles(read.titles),
    rows: [
      ...withAlike(done.rows, request.mended),
      ...read.totals.map((entry) => aside(entry, 'total')),
      ...read.leftOut.map((entry) => aside(entry, 'leftOut')),
    ].sort((a, b) => a.entry.line - b.entry.line),
    missing: done.missing,
    operations: done.operations,
    balances: done.balances,
    unplaced: [...done.unplaced, ...unplacedOf(read.leftOut)],
    clashing,
  };
};
