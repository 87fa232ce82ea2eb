import type { Account, AccountId } from '../chart/account';
import { accountsById } from '../chart/queries';
import type { ImportPlan, ImportRow, ListedBalance, UnplacedBalance } from './import-plan';
import type { Outcome, PlacedRow, WorkDone, WorkRequest } from './work-request';

/** How deep each row stands, by place: 1 for a main account. Parents come before what is below them. */
const levelsOf = ({ placed }: WorkRequest): ReadonlyMap<number, number> => {
  const levels = new Map<number, number>();
  for (const { at, row } of placed)
    levels.set(at, row.parent === null ? 1 : (levels.get(row.parent) ?? 0) + 1);
  return levels;
};

const waitsForAnother = ({ problems }: Exclude<Outcome, { type: 'done' }>): boolean =>
  problems.length > 0 && problems.every(({ rule }) => rule === 'parentWrong');

const statusOf = ({ match }: PlacedRow, outcome: Outcome, isBand: boolean): ImportRow['status'] => {
  if (isBand) return 'band';
  if (outcome.type !== 'done') return waitsForAnother(outcome) ? 'waiting' : 'wrong';
  if (match.type === 'question') return 'question';
  if (match.type !== 'account') return match.type;
  return outcome.changes.length > 0 ? 'changed' : 'same';
};

type Accounts = ReadonlyMap<AccountId, Account>;

const rowOf = (
  placed: PlacedRow,
  request: WorkRequest,
  done: WorkDone & { readonly accounts: Accounts; readonly levels: ReadonlyMap<number, number> },
): ImportRow => {
  const { at, row, match, kind } = placed;
  const outcome = done.outcomes.get(at) ?? { type: 'wrong', problems: [] };
  const id = done.ids.get(at) ?? null;
  const account = done.accounts.get(id ?? '');
  const status = statusOf(placed, outcome, request.bands.has(at));
  return {
    entry: row.entry,
    made: row.made,
    level: done.levels.get(at) ?? 1,
    status,
    accountId: id,
    number: done.numbers.get(id ?? '') ?? account?.number ?? row.entry.number,
    role: account?.role ?? placed.account.role,
    kind: status === 'band' || match.type === 'merged' ? null : kind,
    changes: outcome.type === 'done' ? outcome.changes : [],
    problems: outcome.type === 'done' ? [] : outcome.problems,
    question: match.type === 'question' ? match.question : null,
  };
};

const isTaken = (status: ImportRow['status']): boolean =>
  ['same', 'changed', 'new', 'merged'].includes(status);

const whyUnplaced = (status: ImportRow['status']): UnplacedBalance['why'] =>
  status === 'question' || status === 'waiting' || status === 'wrong' ? status : 'heading';

const balancesOf = (
  rows: readonly ImportRow[],
  accounts: Accounts,
): Pick<ImportPlan, 'balances' | 'unplaced'> => {
  const balances: ListedBalance[] = [];
  const unplaced: UnplacedBalance[] = [];
  for (const { accountId, status, entry } of rows) {
    const { balance: amount, line, name } = entry;
    if (amount === null || status === 'band') continue;
    const account = isTaken(status) ? accounts.get(accountId ?? '') : undefined;
    if (account?.role === 'posting')
      balances.push({ accountId: account.id, kind: account.kind, amount });
    else if (amount !== 0) unplaced.push({ line, name, amount, why: whyUnplaced(status) });
  }
  return { balances, unplaced };
};

/** The work as rows in the order of the list, what is missing, the operations and the balances. */
export const importRows = (
  request: WorkRequest,
  done: WorkDone,
): Omit<ImportPlan, 'treeSource' | 'dated' | 'sides' | 'clashing'> => {
  const accounts = accountsById(done.chart);
  const known = { ...done, accounts, levels: levelsOf(request) };
  const rows = request.placed.map((placed) => rowOf(placed, request, known));
  const { missing, operations } = done;
  return { rows, missing, operations, ...balancesOf(rows, accounts) };
};
