import * as v from 'valibot';
import { Count, Id, Moment, textUpTo, wordsUpTo } from './text';

/** Somebody of the practice. */
export const Person = v.strictObject({ id: Id, name: v.string() });
export type Person = v.InferOutput<typeof Person>;
export const PeopleAnswer = v.array(Person);
export type PeopleAnswer = v.InferOutput<typeof PeopleAnswer>;

/** How far a proposal has come: being made, with a colleague, approved, or sent back. */
export const ProposalState = v.picklist(['draft', 'handedOver', 'approved', 'sentBack']);
export type ProposalState = v.InferOutput<typeof ProposalState>;

/** What its author calls a proposal, and says of it. */
export const proposalDetails = { name: textUpTo(120), comment: textUpTo(2000) };

/** A remark on one operation of a proposal. */
export const Remark = v.strictObject({
  id: Id,
  author: Person,
  stepId: Id,
  index: v.number(),
  words: v.string(),
  writtenAt: Moment,
});
export type Remark = v.InferOutput<typeof Remark>;

/** A colleague's proposal that waits for the viewer's word. */
export const Waiting = v.strictObject({ author: Person, name: v.string(), changes: v.number() });
export type Waiting = v.InferOutput<typeof Waiting>;

/** Hands a proposal, as it was saved under `version`, to a colleague. */
export const HandOverRequest = v.strictObject({ reviewerId: Id, version: Count });
export type HandOverRequest = v.InferOutput<typeof HandOverRequest>;

/** What the reviewer says of a proposal as it was saved under `version`. */
export const VerdictRequest = v.strictObject({
  verdict: v.picklist(['approved', 'sentBack']),
  version: Count,
});
export type VerdictRequest = v.InferOutput<typeof VerdictRequest>;

export const RemarkRequest = v.strictObject({
  stepId: Id,
  index: Count,
  words: wordsUpTo(1000),
});
export type RemarkRequest = v.InferOutput<typeof RemarkRequest>;
