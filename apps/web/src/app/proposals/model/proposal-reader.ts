import {
  apply,
  crosswalkOf,
  impactOf,
  invert,
  knownAccount,
  type Chart,
  type Impact,
  type Landed,
  type AmountsTuple,
  type PendingOpening,
  type Period,
  type PlannedOpening,
  type ProposalStep,
  ledgerOf,
  planOpenings,
  rollUpOver,
  rollUpWith,
} from '@iunctus/core';
import type { Remark } from '@iunctus/contract';
import { operationWords } from '../../shared/words/operation-words';
import { plainWords } from '../../shared/words/plain-words';

/** One operation of a proposal as it is read. */
export interface ProposalLine {
  readonly stepId: string;
  readonly index: number;
  /** For the client: a plain sentence. */
  readonly plain: string;
  /** For the bookkeeper: in the trade's words. */
  readonly exact: string;
  readonly remarks: readonly Remark[];
}

/** An account whose number changes. */
export interface NumberLine {
  readonly name: string;
  readonly from: string;
  readonly to: string;
}

/** A proposal as it is read: what changes line by line, what moves, which numbers change. */
export interface ReadProposal {
  readonly lines: readonly ProposalLine[];
  /** The chart as proposed. */
  readonly chart: Chart;
  readonly impact: Impact;
  readonly numbers: readonly NumberLine[];
  /** The entries that listed balances will be posted as. */
  readonly openings: readonly PlannedOpening[];
  /** Remarks whose operation is gone. */
  readonly loose: readonly Remark[];
}

const numberLines = (landed: readonly Landed[], chart: Chart): readonly NumberLine[] =>
  crosswalkOf(landed).map(({ id, from, to }) => ({
    name: knownAccount(chart, id)?.name ?? '',
    from: from ?? '–',
    to: to ?? '–',
  }));

/** The books and the remarks that a proposal is read with. */
export interface ReadWith {
  readonly amounts: readonly AmountsTuple[];
  /** The period of the amounts; `null` while there are none. */
  readonly period: Period | null;
  readonly fiscalYearStart: number;
  readonly pending: readonly PendingOpening[];
  readonly remarks: readonly Remark[];
}

/** Reads a proposal on the chart on which it stands. */
export const readProposal = (
  base: Chart,
  steps: readonly ProposalStep[],
  { amounts, period, fiscalYearStart, pending, remarks }: ReadWith,
): ReadProposal => {
  const lines: ProposalLine[] = [];
  const landed: Landed[] = [];
  let before = base;
  for (const { id: stepId, operations } of steps)
    for (const [index, operation] of operations.entries()) {
      const outcome = apply(before, operation);
      const after = outcome.ok ? outcome.chart : before;
      if (outcome.ok) landed.push({ operation, inverse: invert(operation, before) });
      lines.push({
        stepId,
        index,
        plain: plainWords(operation, { before, after }),
        exact: operationWords(operation, before, after),
        remarks: remarks.filter((one) => one.stepId === stepId && one.index === index),
      });
      before = after;
    }
  const known = new Set(lines.flatMap((line) => line.remarks.map(({ id }) => id)));
  const openings = planOpenings(before, pending, fiscalYearStart);
  const rollUp = rollUpOver(ledgerOf(amounts));
  const rollUpAfter =
    period === null ? rollUp : rollUpWith({ amounts, rollUp, period }, openings, fiscalYearStart);
  return {
    lines,
    chart: before,
    openings,
    impact: impactOf({ chart: base, rollUp }, { chart: before, rollUp: rollUpAfter }),
    numbers: numberLines(landed, before),
    loose: remarks.filter(({ id }) => !known.has(id)),
  };
};
