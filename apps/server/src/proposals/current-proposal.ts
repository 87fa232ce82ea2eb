import type { ProposalAnswer } from '@iunctus/contract';
import { replay } from '@iunctus/core';
import { loadChart } from '../charts/chart-store';
import type { ChartHead } from '../charts/charts.queries';
import type { Reader } from '../database/transaction';
import { manyLandedSince } from '../revisions/revisions.queries';
import { maybeProposal } from './proposals.queries';
import { manyRemarks } from './remarks.queries';

const NONE: ProposalAnswer = {
  version: 0,
  baseRevision: 0,
  steps: [],
  conflicts: [],
  asKept: true,
  name: '',
  comment: '',
  state: 'draft',
  reviewer: null,
  remarks: [],
};

/** The user's proposal, brought to the newest revision; what no longer fits is set aside as a conflict. */
export const currentProposal = async (
  on: Reader,
  head: ChartHead,
  userId: string,
): Promise<ProposalAnswer> => {
  const stored = await maybeProposal(on, head, userId);
  if (stored === undefined) return { ...NONE, baseRevision: head.revision };
  const remarks = await manyRemarks(on, head, userId);
  if (stored.baseRevision === head.revision) return { ...stored, remarks, asKept: true };
  const landed = await manyLandedSince(on, head, stored.baseRevision);
  const { steps, conflicts } = replay(await loadChart(on, head), stored.steps, landed);
  return {
    ...stored,
    remarks,
    asKept: false,
    baseRevision: head.revision,
    steps: [...steps],
    conflicts: [...stored.conflicts, ...conflicts],
  };
};
