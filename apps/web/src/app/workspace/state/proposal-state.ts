import type { Person, ProposalAnswer, Remark } from '@iunctus/contract';
import type { Conflict, ProposalStep } from '@iunctus/core';
import type { ApiProblem } from '../../shared/api/problem';

/** What one edit replaces and undo brings back, whole. */
export interface ProposalContent {
  readonly steps: readonly ProposalStep[];
  readonly conflicts: readonly Conflict[];
  /** What its author calls it, and says of it. */
  readonly name: string;
  readonly comment: string;
}

/** What undo and redo put back: steps and what was set aside, and the name only where the edit was about it. */
export type Moment = Pick<ProposalContent, 'steps' | 'conflicts'> & Partial<ProposalContent>;

/** The proposal as it stands in this window. */
export interface ProposalState extends ProposalContent {
  readonly version: number;
  /** What was there before each edit of this window, the newest last. */
  readonly past: readonly Moment[];
  /** What was undone, the next to be done again last. */
  readonly future: readonly Moment[];
  readonly state: ProposalAnswer['state'];
  readonly reviewer: Person | null;
  readonly remarks: readonly Remark[];
  /** The steps as the server keeps them under `version`. */
  readonly savedSteps: readonly ProposalStep[];
  /** Counts edits, to tell whether the last save was of the newest state. */
  readonly edits: number;
  readonly savedEdits: number;
  readonly saveProblem: ApiProblem | null;
}

/** So many edits can be undone whole; older ones step by step. */
const REMEMBERED = 200;

export const NO_PROPOSAL: ProposalState = {
  version: 0,
  steps: [],
  past: [],
  future: [],
  conflicts: [],
  name: '',
  comment: '',
  state: 'draft',
  reviewer: null,
  remarks: [],
  savedSteps: [],
  edits: 0,
  savedEdits: 0,
  saveProblem: null,
};

/** The proposal as it is, as far as another moment would change it. */
const momentBefore = (
  { steps, conflicts, name, comment }: ProposalContent,
  next: Partial<ProposalContent>,
): Moment => ({ steps, conflicts, ...(next.name === undefined ? {} : { name, comment }) });

/** With other steps it is a draft again, whoever had it for review. */
const edited = (proposal: ProposalState, change: Partial<ProposalState>): ProposalState => ({
  ...proposal,
  ...(change.steps === undefined ? {} : { state: 'draft', reviewer: null }),
  ...change,
  edits: proposal.edits + 1,
  saveProblem: null,
});

/** Content replaced by an edit that undo takes back in one step. */
export const changed = (proposal: ProposalState, change: Partial<ProposalContent>): ProposalState =>
  edited(proposal, {
    ...change,
    past: [...proposal.past, momentBefore(proposal, change)].slice(-REMEMBERED),
    future: [],
  });

/** Name and comment are no step of their own. */
export const described = (
  proposal: ProposalState,
  details: Pick<ProposalContent, 'name' | 'comment'>,
): ProposalState => edited(proposal, details);

const formerOf = ({ past, steps, conflicts }: ProposalState): Moment | undefined => {
  const remembered = past.at(-1);
  if (remembered !== undefined || steps.length === 0) return remembered;
  return { steps: steps.slice(0, -1), conflicts };
};

/** What the last edit replaced is there again; steps from an earlier visit go one by one. */
export const undone = (proposal: ProposalState): ProposalState => {
  const former = formerOf(proposal);
  if (former === undefined) return proposal;
  const future = [...proposal.future, momentBefore(proposal, former)];
  return edited(proposal, { ...former, past: proposal.past.slice(0, -1), future });
};

/** What was undone last is done again. */
export const redone = (proposal: ProposalState): ProposalState => {
  const next = proposal.future.at(-1);
  if (next === undefined) return proposal;
  const past = [...proposal.past, momentBefore(proposal, next)];
  return edited(proposal, { ...next, past, future: proposal.future.slice(0, -1) });
};

/** A proposal as it came from the server. What was brought to a newer chart is to be kept anew. */
export const received = (answer: ProposalAnswer): ProposalState => ({
  ...NO_PROPOSAL,
  version: answer.version,
  steps: answer.steps,
  conflicts: answer.conflicts,
  name: answer.name,
  comment: answer.comment,
  state: answer.state,
  reviewer: answer.reviewer,
  remarks: answer.remarks,
  savedSteps: answer.asKept ? answer.steps : [],
  edits: answer.asKept ? 0 : 1,
});

/** Content that another window, or this one before it was closed, brings on top of what the server keeps. */
export const joined = (proposal: ProposalState, content: ProposalContent): ProposalState =>
  edited(proposal, { ...content, past: [], future: [] });

/** The server keeps what was sent as the newest version. */
export const saved = (
  proposal: ProposalState,
  {
    version,
    edits,
    steps,
  }: { readonly version: number; readonly edits: number; readonly steps: readonly ProposalStep[] },
): ProposalState => ({
  ...proposal,
  version,
  savedEdits: edits,
  savedSteps: steps,
  saveProblem: null,
});

/** How many steps, from the first on, are as the server keeps them. */
export const stepsKept = ({
  steps,
  savedSteps,
}: Pick<ProposalState, 'steps' | 'savedSteps'>): number => {
  const first = steps.findIndex((step, at) => step !== savedSteps[at]);
  return first === -1 ? steps.length : first;
};

/** Whether the server keeps all of it. */
export const isSaved = ({ edits, savedEdits }: ProposalState): boolean => edits === savedEdits;
