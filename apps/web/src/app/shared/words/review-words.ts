import type { Person, ProposalState } from '@iunctus/contract';

/** How far a proposal has come, for its author; empty while it is being made. */
export const proposalStateWords = ({
  state,
  reviewer,
}: {
  readonly state: ProposalState;
  readonly reviewer: Person | null;
}): string => {
  const name = reviewer?.name ?? $localize`a colleague`;
  switch (state) {
    case 'draft':
      return '';
    case 'handedOver':
      return $localize`With ${name} for review.`;
    case 'approved':
      return $localize`Approved by ${name}. Any further change makes it a draft again.`;
    case 'sentBack':
      return $localize`Sent back by ${name}. The remarks stand beside the changes.`;
  }
};
