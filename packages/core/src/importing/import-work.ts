import type { Account, AccountId } from '../chart/account';
import type { Chart } from '../chart/chart';
import { accountCount, accountOf, accountsById, idByNumber, parentIdOf } from '../chart/queries';
import { elementOf } from '../kinds/kinds';
import type { Operation } from '../operations/operation';
import type { Refusal } from '../operations/refusal';
import { displacedBy } from './displaced';
import type { ImportProblem } from './import-plan';
import { missingFrom } from './missing';
import { numberNew } from './new-numbers';
import { placeFor } from './new-places';
import { possibleRenumberings } from './renumberings';
import { ChartInWork } from './chart-in-work';
import { disposeMissing, retiredInstead } from './dispose-missing';
import type { Outcome, PlacedRow, WorkDone, WorkRequest } from './work-request';
import { budgetChange, changesWished, type WishedChange } from './row-changes';

/** So many rows are worked between two words on how far it is. */
const TOLD_EVERY = 500;

type Excluded = ReadonlyMap<number, readonly ImportProblem[]>;

const DONE: Outcome = { type: 'done', changes: [] };

class ImportWork {
  private readonly work: ChartInWork;
  private readonly ids = new Map<number, AccountId>();
  private readonly outcomes = new Map<number, Outcome>();
  /** Where in the operations each new account is added. */
  private readonly added = new Map<AccountId, number>();
  private readonly lasts = new Map<string, AccountId>();
  private readonly renumbered = new Set<AccountId>();
  private readonly aside = new Set<AccountId>();
  private readonly refusedNumbers = new Map<AccountId, Refusal>();
  private readonly fresh: boolean;
  private readonly before: ReadonlyMap<AccountId, Account>;
  private system: boolean;

  constructor(
    private readonly start: Chart,
    private readonly request: WorkRequest,
    private readonly excluded: Excluded,
  ) {
    this.fresh = accountCount(start) === 0;
    this.before = accountsById(start);
    this.system = [...this.before.values()].some(({ systemUse }) => systemUse !== null);
    this.work = new ChartInWork(start);
  }

  run(): { readonly done: WorkDone; readonly exclude: Excluded } {
    const listed = missingFrom(this.start, this.request);
    const { today } = this.request;
    const deleted = disposeMissing(this.work, listed, { fate: 'delete', today });
    const missing = retiredInstead(listed, deleted, this.request);
    this.renumber();
    this.takeRows();
    const { numbers, problems } = this.giveNumbers();
    const retired = disposeMissing(this.work, missing, { fate: 'retire', today });
    const done: WorkDone = {
      chart: this.work.chart,
      operations: this.work.operations,
      outcomes: this.outcomes,
      ids: this.ids,
      numbers,
      missing: missing.map((one) => {
        const refused = one.fate === 'delete' ? deleted : retired;
        return { ...one, refusal: refused.get(one.account.id) ?? null };
      }),
    };
    return { done, exclude: this.turnedWrong(problems) };
  }

  /** New numbers for accounts that are there, all in one step, so that they may swap. */
  private renumber(): void {
    const wished = new Map<AccountId, string>();
    for (const { at, row, match } of this.request.placed) {
      const { number, problems } = row.entry;
      if (match.type !== 'account' || number === null || problems.length > 0) continue;
      if (!this.excluded.has(at) && this.before.get(match.id)?.number !== number)
        wished.set(match.id, number);
    }
    const { clashes, placed } = this.request;
    if (clashes === 'list' || clashes === 'replace')
      for (const [id, number] of displacedBy(this.work.chart, placed))
        if (!wished.has(id)) wished.set(id, number);
    const { given, refused } = possibleRenumberings(this.work.chart, wished);
    if (given.length > 0) this.work.try([{ type: 'renumberMany', numbers: given }]);
    for (const { id } of given) this.renumbered.add(id);
    for (const [id, refusal] of refused) this.refusedNumbers.set(id, refusal);
  }

  /** Takes rows in order, and those that wait again, until nothing more can be done. */
  private takeRows(): void {
    let waiting = this.request.placed;
    for (let stuck = false; waiting.length > 0 && !stuck;) {
      const before = waiting.length;
      waiting = waiting.filter((one, index) => {
        if (index % TOLD_EVERY === 0) this.request.tell(index / before);
        const outcome = this.take(one);
        this.outcomes.set(one.at, outcome);
        return outcome.type === 'waits';
      });
      stuck = waiting.length === before && !this.letStandAside(waiting);
    }
  }

  /** Accounts that swap their names wait for one another: one of them is called otherwise for a moment. */
  private letStandAside(waiting: readonly PlacedRow[]): boolean {
    const ids = new Set(waiting.flatMap(({ match }) => (match.type === 'account' ? match.id : [])));
    for (const { at } of waiting) {
      const outcome = this.outcomes.get(at) ?? DONE;
      const [problem] = outcome.type === 'waits' ? outcome.problems : [];
      const holder = problem?.rule === 'refused' ? problem.refusal.otherId : undefined;
      if (holder === undefined || !ids.has(holder) || this.aside.has(holder)) continue;
      const value = `${accountOf(this.work.chart, holder)?.name ?? ''} (${holder.slice(0, 8)})`;
      this.aside.add(holder);
      if (this.work.try([{ type: 'editField', id: holder, field: 'name', value }]) === null)
        return true;
    }
    return false;
  }

  private take(placed: PlacedRow): Outcome {
    const { at, row, match } = placed;
    const known = this.excluded.get(at) ?? row.entry.problems;
    if (this.request.bands.has(at)) return DONE;
    if (known.length > 0) return { type: 'wrong', problems: known };
    if (match.type === 'question') return DONE;
    if (match.type === 'merged') {
      this.ids.set(at, match.into);
      return DONE;
    }
    if (row.problem !== null) return { type: 'wrong', problems: [row.problem] };
    return match.type === 'account' ? this.change(placed, match.id) : this.add(placed);
  }

  /** The account above a row, or the line of the row that should be it and is none as yet. */
  private parentOf({
    row,
  }: PlacedRow): { readonly id: AccountId | null } | { readonly line: number } {
    if (row.parent === null) return { id: null };
    const id = this.ids.get(row.parent);
    return id === undefined ? { line: this.request.rows[row.parent]?.entry.line ?? 0 } : { id };
  }

  private add(placed: PlacedRow): Outcome {
    const parent = this.parentOf(placed);
    if ('line' in parent)
      return { type: 'waits', problems: [{ rule: 'parentWrong', line: parent.line }] };
    const account = this.withSystemUse(this.withFreeNumber(placed.account));
    const { lasts } = this;
    const asListed = this.fresh || this.request.clashes === 'replace';
    const place = placeFor(this.work.chart, account, { parentId: parent.id, lasts, asListed });
    const budget = budgetChange(account, placed.row.entry.budget);
    const refusal = this.work.try([
      { type: 'addAccount', account, ...place },
      ...budget.flatMap(({ operation }) => operation ?? []),
    ]);
    if (refusal !== null) return this.refusedAs(refusal);
    if (account.systemUse !== null) this.system = true;
    this.added.set(account.id, this.work.operations.length - 1 - budget.length);
    this.settle(placed.at, account.id, place.parentId);
    return DONE;
  }

  /** A number that another account keeps is not this one's: it gets the next there is. */
  private withFreeNumber(account: Account): Account {
    const { number } = account;
    const taken = number !== null && idByNumber(this.work.chart, number) !== undefined;
    return taken && this.start.settings.numbered ? { ...account, number: null } : account;
  }

  private withSystemUse(account: Account): Account {
    return account.kind === 'retainedEarnings' && !this.system && account.retiredOn === null
      ? { ...account, role: 'posting', systemUse: 'retainedEarnings' }
      : account;
  }

  private settle(at: number, id: AccountId, parentId: AccountId | null): void {
    this.ids.set(at, id);
    this.lasts.set(parentId ?? '', id);
  }

  private change(placed: PlacedRow, id: AccountId): Outcome {
    const was = this.before.get(id);
    if (was === undefined) return { type: 'wrong', problems: [] };
    const parent = this.parentOf(placed);
    const parentId = parentIdOf(this.work.chart, id);
    const { row, kind } = placed;
    const stated = row.stated && 'id' in parent && parent.id !== id ? parent.id : undefined;
    const wished = changesWished(was, parentId, { entry: row.entry, kind, parentId: stated });
    this.settle(placed.at, id, stated ?? parentId);
    if (wished.length === 0) return DONE;
    const number = this.refusedNumbers.get(id);
    const refusal =
      number ??
      this.work.try(
        this.operationsFor({ ...was, number: row.entry.number ?? was.number }, parentId, wished),
      );
    return refusal === null ? { type: 'done', changes: wished } : this.refusedAs(refusal);
  }

  /** Across elements an account first stands for itself: neither its old nor its new parent would bear it. */
  private operationsFor(
    account: Account,
    parentId: AccountId | null,
    wished: readonly WishedChange[],
  ): readonly Operation[] {
    const others = wished.flatMap(({ operation }) => operation ?? []);
    const moved = wished.find(({ field }) => field === 'parent');
    if (moved === undefined) return others;
    const kind = others.find((operation) => operation.type === 'changeKind')?.kind ?? account.kind;
    const to = moved.to === '' ? null : moved.to;
    const { lasts } = this;
    const moveTo = (target: AccountId | null): Operation => ({
      type: 'moveNode',
      id: account.id,
      ...placeFor(
        this.work.chart,
        { ...account, kind },
        { parentId: target, lasts, asListed: false },
      ),
    });
    if (elementOf(kind) === elementOf(account.kind)) return [moveTo(to), ...others];
    const alone = parentId === null ? [] : [moveTo(null)];
    return [...alone, ...others, ...(to === null ? [] : [moveTo(to)])];
  }

  private refusedAs(refusal: Refusal): Outcome {
    const { code, otherId } = refusal;
    if (code === 'elementDiffers' && otherId !== undefined) {
      const parent = accountOf(this.work.chart, otherId)?.name ?? '';
      return { type: 'wrong', problems: [{ rule: 'elementDiffers', parent }] };
    }
    const type = code === 'nameTaken' ? 'waits' : 'wrong';
    return { type, problems: [{ rule: 'refused', refusal }] };
  }

  /** Gives new accounts their numbers, and the chart a plan where it had no accounts. */
  private giveNumbers(): ReturnType<typeof numberNew> {
    const { settings } = this.start;
    const none = { plan: settings.plan, numbers: new Map(), problems: new Map() };
    if (!settings.numbered || this.added.size === 0) return none;
    const given = numberNew(this.work.chart, [...this.added.keys()], this.fresh);
    for (const [id, at] of this.added) {
      const number = given.numbers.get(id);
      const operation = this.work.operations[at];
      if (number !== undefined && operation?.type === 'addAccount')
        this.work.operations[at] = { ...operation, account: { ...operation.account, number } };
    }
    if (this.fresh)
      this.work.operations.unshift({ type: 'setPlan', plan: given.plan, numbered: true });
    return given;
  }

  private wasTouched(id: AccountId): boolean {
    return this.renumbered.has(id) || this.aside.has(id);
  }

  /** Rows that turned out wrong after something was done for them: nothing is done by halves. */
  private turnedWrong(unnumbered: ReadonlyMap<AccountId, ImportProblem>): Excluded {
    const exclude = new Map<number, readonly ImportProblem[]>();
    for (const { at, match } of this.request.placed) {
      const id = this.ids.get(at);
      const problem = id === undefined ? undefined : unnumbered.get(id);
      const outcome = this.outcomes.get(at) ?? DONE;
      if (problem !== undefined && match.type === 'new') exclude.set(at, [problem]);
      else if (outcome.type !== 'done' && match.type === 'account' && this.wasTouched(match.id))
        exclude.set(at, outcome.problems);
    }
    return exclude;
  }
}

/** Works a list into a chart. A row that turns out wrong is taken out, and the work is done again without it. */
export const workUntilSettled = (chart: Chart, request: WorkRequest): WorkDone => {
  const excluded = new Map<number, readonly ImportProblem[]>();
  for (;;) {
    const { done, exclude } = new ImportWork(chart, request, excluded).run();
    if (exclude.size === 0) return done;
    for (const [at, problems] of exclude) excluded.set(at, problems);
  }
};
