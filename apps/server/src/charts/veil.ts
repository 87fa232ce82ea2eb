import type {
  BalancesAnswer,
  MonthlyAnswer,
  MonthlyByValueAnswer,
  BenchChart,
  EntryAnswer,
  Problem,
  ProposalAnswer,
  RegisterAnswer,
  RevisionAnswer,
  RevisionChartAnswer,
  UndoAnswer,
} from '@iunctus/contract';
import {
  add,
  hasHidden,
  NO_VEIL,
  touchedBy,
  veiledAmounts,
  veiledConflict,
  veiledMerged,
  veiledOperations,
  veiledRecords,
  veiledRefusal,
  veiledSplits,
  veilFor,
  type Conflict,
  type EntryLine,
  type Operation,
  type PersonalVeil,
  type ProposalStep,
  type Split,
} from '@iunctus/core';
import type { Viewer } from '../access/viewer';
import { many, maybeOne } from '../database/query';
import type { Reader } from '../database/transaction';
import { badRequest, problem } from '../problems/problem';
import { manyAccounts, manyMerged, type ChartHead } from './charts.queries';
import type { Veiled } from './veiled';

interface Restricted {
  readonly restricted: boolean;
  readonly gone: boolean;
}

const restrictedIn = (on: Reader, head: ChartHead): Promise<Restricted | undefined> =>
  maybeOne<Restricted>(on, {
    text: `
      SELECT EXISTS (SELECT 1 FROM account
                     WHERE practice_id = $1 AND chart_id = $2 AND settings ? 'restrictedTo') AS restricted,
             EXISTS (SELECT 1 FROM account_veil WHERE practice_id = $1 AND chart_id = $2) AS gone`,
    values: [head.practiceId, head.id],
  });

const manyGone = (on: Reader, head: ChartHead): Promise<{ id: string; seenBy: string[][] }[]> =>
  many(on, {
    text: `
      SELECT account_id AS id, seen_by AS "seenBy" FROM account_veil
      WHERE practice_id = $1 AND chart_id = $2`,
    values: [head.practiceId, head.id],
  });

/** What of a chart is hidden from the viewer. */
export const veilOf = async (
  on: Reader,
  head: ChartHead,
  { userId }: Viewer,
): Promise<PersonalVeil> => {
  const found = await restrictedIn(on, head);
  if (found === undefined || (!found.restricted && !found.gone)) return { veil: NO_VEIL, userId };
  const source = {
    records: await manyAccounts(on, head),
    merged: await manyMerged(on, head),
    gone: await manyGone(on, head),
  };
  return { veil: veilFor(userId, source), userId };
};

/** The accounts of a chart that are hidden from the viewer, by their ids. */
export const hiddenIds = async (
  on: Reader,
  head: ChartHead,
  { veil }: PersonalVeil,
): Promise<readonly string[]> => {
  if (!veil.isDrawn) return [];
  const rows = await many<{ id: string }>(on, {
    text: 'SELECT id FROM account WHERE practice_id = $1 AND chart_id = $2',
    values: [head.practiceId, head.id],
  });
  return rows.map(({ id }) => id).filter(veil.hides);
};

// What follows is the one place at which answers about a chart pass the veil: nothing else makes a `Veiled`.
const seen = <T>(value: T): Veiled<T> => value as Veiled<T>;

/** An answer that bears nothing of a chart's accounts: that something was done, or a count. */
export const bearsNoAccount = <T extends Readonly<Record<string, number | string | null>>>(
  value: T,
): Veiled<T> => seen(value);

/** What is made of veiled answers alone, such as a file. */
export const madeOfVeiled = <T>(value: T): Veiled<T> => seen(value);

/** A chart as it is seen. */
export const veiledChart = (
  chart: RevisionChartAnswer,
  { veil }: PersonalVeil,
): Veiled<RevisionChartAnswer> =>
  seen({
    ...chart,
    accounts: [...veiledRecords(chart.accounts, veil)],
    merged: [...veiledMerged(chart.merged, veil)],
    splits: [...veiledSplits(chart.splits, veil)],
  });

/** A proposal as it is seen by its author, or by a colleague who sees all that it does. */
export const veiledProposal = (
  proposal: ProposalAnswer,
  personal: PersonalVeil,
): Veiled<ProposalAnswer> =>
  seen({
    ...proposal,
    conflicts: proposal.conflicts.map((conflict) => veiledConflict(conflict, personal)),
  });

/** The bench as it is seen. */
export const veiledBench = (chart: BenchChart, personal: PersonalVeil): Veiled<BenchChart> => {
  const { veil } = personal;
  const { accounts, merged, splits } = veiledChart(chart, personal);
  return seen({
    ...chart,
    accounts,
    merged,
    splits,
    posted: [...new Set(chart.posted.map(veil.as))],
    former: chart.former.filter(({ accountId }) => !veil.hides(accountId)),
    proposal: veiledProposal(chart.proposal, personal),
  });
};

/** Amounts as they are seen; `splits` are all those of the chart. */
export const veiledBalances = (
  answer: BalancesAnswer,
  splits: readonly Split[],
  { veil }: PersonalVeil,
): Veiled<BalancesAnswer> => seen({ ...answer, ...veiledAmounts(answer, splits, veil) });

/** Amounts by month as they are seen; `splits` are all those of the chart. */
export const veiledMonthly = (
  answer: MonthlyAnswer,
  splits: readonly Split[],
  { veil }: PersonalVeil,
): Veiled<MonthlyAnswer> => seen({ ...answer, ...veiledAmounts(answer, splits, veil) });

/** The same for each value of a dimension. */
export const veiledMonthlyByValue = (
  { values }: MonthlyByValueAnswer,
  splits: readonly Split[],
  { veil }: PersonalVeil,
): Veiled<MonthlyByValueAnswer> =>
  seen({ values: values.map((value) => ({ ...value, ...veiledAmounts(value, splits, veil) })) });

const merged = (lines: readonly EntryLine[]): EntryLine[] => {
  const sums = new Map<string, EntryLine>();
  for (const line of lines) {
    const known = sums.get(line.accountId);
    sums.set(line.accountId, {
      ...(known ?? { ...line, comment: '', values: {}, foreign: null }),
      amount: add(known?.amount ?? 0, line.amount),
    });
  }
  return [...sums.values()];
};

/** An entry as it is seen: lines of hidden accounts as one of the account that stands for them, without their words. */
export const veiledEntry = (entry: EntryAnswer, { veil }: PersonalVeil): Veiled<EntryAnswer> => {
  const hidden = entry.lines.filter(({ accountId }) => veil.hides(accountId));
  if (hidden.length === 0) return seen(entry);
  const open = entry.lines.filter(({ accountId }) => !veil.hides(accountId));
  const others = hidden.map((line) => ({ ...line, accountId: veil.as(line.accountId) }));
  return seen({ ...entry, comment: '', lines: [...open, ...merged(others)] });
};

/** Entries as they are seen. */
export const veiledEntries = (
  entries: readonly EntryAnswer[],
  personal: PersonalVeil,
): Veiled<EntryAnswer[]> => seen(entries.map((entry) => veiledEntry(entry, personal)));

/** A register of accounts that are all to be seen: of the other side, what is hidden is left out. */
export const veiledRegister = (
  register: RegisterAnswer,
  { veil }: PersonalVeil,
): Veiled<RegisterAnswer> =>
  seen({
    ...register,
    lines: register.lines.map((line) => {
      const against = line.against.filter((id) => !veil.hides(id));
      return against.length === line.against.length ? line : { ...line, against, comment: '' };
    }),
  });

/** Revisions as they are seen: without what was done to hidden accounts. */
export const veiledRevisions = (
  revisions: readonly RevisionAnswer[],
  personal: PersonalVeil,
): Veiled<RevisionAnswer[]> =>
  seen(
    revisions.map((revision) => ({
      ...revision,
      operations: [...veiledOperations(revision.operations, personal)],
      crosswalk: revision.crosswalk.filter(({ id }) => !personal.veil.hides(id)),
    })),
  );

const veiledConflicts = (conflicts: readonly Conflict[], personal: PersonalVeil): Conflict[] =>
  conflicts.map((conflict) => veiledConflict(conflict, personal));

/** What takes revisions back. Refused where it would do something that the viewer does not see. */
export const veiledBack = (back: UndoAnswer, personal: PersonalVeil): Veiled<UndoAnswer> => {
  refuseHidden(
    [{ operations: back.operations }, ...back.conflicts.map(({ step }) => step)],
    personal,
  );
  return seen({ ...back, conflicts: veiledConflicts(back.conflicts, personal) });
};

/** Why something was refused, as far as it is to be seen. */
export const veiledProblem = (found: Problem, personal: PersonalVeil): Problem => {
  if (found.code === 'refused')
    return { ...found, refusal: veiledRefusal(found.refusal, personal.veil) };
  if (found.code === 'staleRevision')
    return { ...found, conflicts: veiledConflicts(found.conflicts, personal) };
  return found;
};

const restrictsSelf = (operation: Operation, userId: string): boolean =>
  operation.type === 'changeSetting' &&
  operation.setting === 'restrictedTo' &&
  operation.value !== null &&
  !operation.value.includes(userId);

const hiddenIn = (step: Omit<ProposalStep, 'id'>, personal: PersonalVeil): string => {
  const seenBefore = new Set(veiledOperations(step.operations, personal));
  const operation = step.operations.find((one) => !seenBefore.has(one));
  const touched = operation === undefined ? [] : touchedBy(operation);
  const listed = (step.opening?.balances ?? []).map(({ accountId }) => accountId);
  return [...touched, ...listed].find((id) => personal.veil.hides(id)) ?? '';
};

/**
 * Refuses operations on accounts that are hidden from the viewer, balances of theirs, and a restriction that would
 * shut out the one who makes it.
 */
export const refuseHidden = (
  steps: readonly Omit<ProposalStep, 'id'>[],
  personal: PersonalVeil,
): void => {
  const hidden = steps.find((step) => hasHidden({ ...step, id: '' }, personal));
  if (hidden !== undefined)
    problem({
      code: 'refused',
      refusal: { code: 'restrictedAccount', accountId: hiddenIn(hidden, personal) },
    });
  const shutsOut = steps
    .flatMap(({ operations }) => operations)
    .some((operation) => restrictsSelf(operation, personal.userId));
  if (shutsOut) badRequest('restrictedTo', 'must name the one who restricts');
};
