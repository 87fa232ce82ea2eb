import { ENTRY_SOURCES } from '@iunctus/core/edges';
import * as v from 'valibot';
import { BookedChartSchema, ChartRecordSchema } from './chart-record';
import { ClientAnswer } from './client';
import { ConflictSchema, OPERATIONS_LIMIT, OperationSchema, ProposalStepSchema } from './operation';
import { Person, proposalDetails, ProposalState, Remark, Waiting } from './review';
import { SplitSchema } from './settings';
import { Count, DateText, Id, Moment, MonthText } from './text';

const Revision = Count;

/** A user's pending steps on a chart. `version` counts its savings, so that none is overwritten unseen. */
export const ProposalAnswer = v.strictObject({
  version: v.number(),
  baseRevision: Revision,
  steps: v.array(ProposalStepSchema),
  conflicts: v.array(ConflictSchema),
  /** Whether steps and conflicts are kept just so; not where the chart went on and they were brought to it. */
  asKept: v.boolean(),
  ...proposalDetails,
  state: ProposalState,
  reviewer: v.nullable(Person),
  remarks: v.array(Remark),
});
export type ProposalAnswer = v.InferOutput<typeof ProposalAnswer>;

/** What an account was numbered and called until a revision. */
export const FormerTitle = v.strictObject({
  accountId: Id,
  number: v.nullable(v.string()),
  name: v.string(),
  untilRevision: Revision,
});
export type FormerTitle = v.InferOutput<typeof FormerTitle>;

/** A chart as last adopted, and the viewer's proposal on it. Siblings come in order. */
export const BenchChart = v.strictObject({
  revision: Revision,
  ...BookedChartSchema.entries,
  /** Numbers and names that accounts bore before, newest first. */
  former: v.array(FormerTitle),
  proposal: ProposalAnswer,
  /** Colleagues' proposals that wait for the viewer's word. */
  waiting: v.array(Waiting),
});
export type BenchChart = v.InferOutput<typeof BenchChart>;

/** A colleague's proposal, to be read and judged. */
export const ReviewAnswer = v.strictObject({
  author: Person,
  proposal: ProposalAnswer,
  /** Whether the viewer is the one who was asked. */
  asked: v.boolean(),
});
export type ReviewAnswer = v.InferOutput<typeof ReviewAnswer>;

/** All that the bench opens with; `chart` is `null` for a client without one. */
export const BenchAnswer = v.strictObject({
  client: ClientAnswer,
  chart: v.nullable(BenchChart),
});
export type BenchAnswer = v.InferOutput<typeof BenchAnswer>;

export const BalancesQuery = v.pipe(
  v.strictObject({ first: MonthText, last: MonthText }),
  v.check(({ first, last }) => first <= last, 'ends before it begins'),
);
export type BalancesQuery = v.InferOutput<typeof BalancesQuery>;

/** Account id; then balance, change and change since the fiscal year began, debit-positive minor units. */
export const AmountsRow = v.tuple([Id, v.number(), v.number(), v.number()]);
export const BalancesAnswer = v.strictObject({
  first: MonthText,
  last: MonthText,
  amounts: v.array(AmountsRow),
  /** The same for the postings of each adopted split, by the split's id. */
  splits: v.array(AmountsRow),
});
export type BalancesAnswer = v.InferOutput<typeof BalancesAnswer>;

/**
 * What was posted month by month: an id, then an amount for each month from `first` on, debit-positive minor units.
 * Where books go back further than `first`, its column holds everything before too; the last one everything after.
 */
export const MonthlyRow = v.tupleWithRest([Id], v.number());
export const MonthlyAnswer = v.strictObject({
  first: MonthText,
  amounts: v.array(MonthlyRow),
  /** The same for the postings of each adopted split, by the split's id. */
  splits: v.array(MonthlyRow),
});
export type MonthlyAnswer = v.InferOutput<typeof MonthlyAnswer>;

/** What was posted with each value of a dimension. */
export const MonthlyByValueQuery = v.strictObject({ dimension: Id });
export const MonthlyByValueAnswer = v.strictObject({
  values: v.array(v.strictObject({ valueId: Id, ...MonthlyAnswer.entries })),
});
export type MonthlyByValueAnswer = v.InferOutput<typeof MonthlyByValueAnswer>;

/** Splits that are looked at before they are adopted, each after the ones before it. */
export const SplitsRequest = v.pipe(
  v.strictObject({
    first: MonthText,
    last: MonthText,
    splits: v.pipe(v.array(SplitSchema), v.maxLength(200)),
    /** Adopted splits that are taken back before. */
    without: v.pipe(v.array(Id), v.maxLength(2000)),
  }),
  v.check(({ first, last }) => first <= last, 'ends before it begins'),
);
export type SplitsRequest = v.InferOutput<typeof SplitsRequest>;

/** A posting that a split would move. */
export const PostingRow = v.strictObject({
  date: DateText,
  source: v.picklist(ENTRY_SOURCES),
  comment: v.string(),
  amount: v.number(),
});
export type PostingRow = v.InferOutput<typeof PostingRow>;

/** What the splits would move: amounts for the period, how many postings, the newest of them. */
export const SplitsAnswer = v.array(
  v.strictObject({
    id: Id,
    amounts: AmountsRow,
    postings: v.number(),
    total: v.number(),
    newest: v.array(PostingRow),
  }),
);
export type SplitsAnswer = v.InferOutput<typeof SplitsAnswer>;

/** Accounts whose postings are to be chosen from. */
export const PostingsRequest = v.strictObject({
  accounts: v.pipe(v.array(Id), v.minLength(1), v.maxLength(200)),
});
export type PostingsRequest = v.InferOutput<typeof PostingsRequest>;

/** What an account's postings can be chosen by, and the newest entry there is. */
export const PostingsAnswer = v.strictObject({
  upTo: v.number(),
  postings: v.number(),
  first: v.nullable(DateText),
  last: v.nullable(DateText),
  sources: v.array(v.strictObject({ source: v.picklist(ENTRY_SOURCES), postings: v.number() })),
  /** Values that postings carry; `null` for those that carry none in the dimension. */
  values: v.array(
    v.strictObject({ dimensionId: Id, valueId: v.nullable(Id), postings: v.number() }),
  ),
  /** What was posted in each fiscal year, newest first: its first and last month, debit-positive. */
  years: v.array(v.strictObject({ first: MonthText, last: MonthText, amount: v.number() })),
  /** Comments that come often, most often first. */
  comments: v.array(v.strictObject({ comment: v.string(), postings: v.number() })),
});
export type PostingsAnswer = v.InferOutput<typeof PostingsAnswer>;

/** What was said of the postings of each account in the last year of the books, most of amounts first. */
export const PostedWordsAnswer = v.strictObject({
  /** The newest entry, so that a choice by these words means the same postings for good. */
  upTo: v.number(),
  accounts: v.array(
    v.strictObject({
      id: Id,
      /** In small letters, without digits and marks; how often, and what it comes to, debit-positive. */
      said: v.array(v.strictObject({ words: v.string(), count: v.number(), amount: v.number() })),
    }),
  ),
});
export type PostedWordsAnswer = v.InferOutput<typeof PostedWordsAnswer>;

const steps = v.pipe(v.array(ProposalStepSchema), v.maxLength(OPERATIONS_LIMIT));

/** Keeps a proposal: its first `keeps` steps as they are kept under `version`, then `steps`. */
export const SaveProposalRequest = v.strictObject({
  version: Count,
  baseRevision: Revision,
  keeps: v.optional(Count, 0),
  steps,
  conflicts: v.pipe(v.array(ConflictSchema), v.maxLength(OPERATIONS_LIMIT)),
  name: v.optional(proposalDetails.name, ''),
  comment: v.optional(proposalDetails.comment, ''),
});
export type SaveProposalRequest = v.InferOutput<typeof SaveProposalRequest>;
export const SaveProposalAnswer = v.strictObject({ version: v.number() });

/** Adopts the viewer's proposal as it is kept under `version`, whole, with its name and comment. */
export const AdoptRequest = v.strictObject({ version: Count });
export type AdoptRequest = v.InferOutput<typeof AdoptRequest>;
/** The revision that it became, `null` where nothing was left to adopt; and how many accounts got their listed balance. */
export const AdoptAnswer = v.strictObject({ revision: v.nullable(Revision), posted: v.number() });
export type AdoptAnswer = v.InferOutput<typeof AdoptAnswer>;

export const RevisionAnswer = v.strictObject({
  number: Revision,
  author: v.string(),
  adoptedAt: Moment,
  note: v.string(),
  comment: v.string(),
  /** Who approved it before it was adopted; `null` where nobody was asked. */
  approvedBy: v.nullable(v.string()),
  operations: v.array(OperationSchema),
  /** From which number to which, for every account that was renumbered. */
  crosswalk: v.array(
    v.strictObject({ id: Id, from: v.nullable(v.string()), to: v.nullable(v.string()) }),
  ),
});
export type RevisionAnswer = v.InferOutput<typeof RevisionAnswer>;
/** Revisions, newest first. */
export const RevisionsAnswer = v.array(RevisionAnswer);
export type RevisionsAnswer = v.InferOutput<typeof RevisionsAnswer>;

/** A chart as it was at a revision; 0 is before the first. */
export const RevisionChartAnswer = v.strictObject({
  revision: Revision,
  ...ChartRecordSchema.entries,
});
export type RevisionChartAnswer = v.InferOutput<typeof RevisionChartAnswer>;

/** A client's chart as last adopted, for somebody who looks on: no notes and no settings. `null` without a chart. */
export const OverviewAnswer = v.strictObject({
  client: ClientAnswer,
  chart: v.nullable(RevisionChartAnswer),
});
export type OverviewAnswer = v.InferOutput<typeof OverviewAnswer>;

/** What takes a revision back on the newest chart: operations that fit, and those that do not. */
export const UndoAnswer = v.strictObject({
  operations: v.array(OperationSchema),
  conflicts: v.array(ConflictSchema),
});
export type UndoAnswer = v.InferOutput<typeof UndoAnswer>;
