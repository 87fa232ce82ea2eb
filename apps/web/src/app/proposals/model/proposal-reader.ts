import {
  apply,
  crosswalkOf,
  impactOf,
  invert,
  knownAccount,
  type Chart,
  type Impact,
  type Landed,
  type Ledger,
  type ProposalStep,
  rollUpOver,
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
  readonly impact: Impact;
  readonly numbers: readonly NumberLine[];
  /** Remarks whose operation is gone. */
  readonly loose: readonly Remark[];
}

const numberLines = (landed: readonly Landed[], chart: Chart): readonly NumberLine[] =>
  crosswalkOf(landed).map(({ id, from, to }) => ({
    name: knownAccount(chart, id)?.name ?? '',
    from: from ?? '–',
    to: to ?? '–',
  }));

/** Reads a proposal on the chart on which it stands. */
export const readProposal = (
  base: Chart,
  steps: readonly ProposalStep[],
  { ledger, remarks }: { readonly ledger: Ledger; readonly remarks: readonly Remark[] },
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
  return {
    lines,
    impact: impactOf(base, before, rollUpOver(ledger)),
    numbers: numberLines(landed, before),
    loose: remarks.filter(({ id }) => !known.has(id)),
  };
};
