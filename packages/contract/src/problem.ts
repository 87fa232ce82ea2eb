import * as v from 'valibot';
import { ConflictSchema, RefusalSchema } from './operation';

/** The one shape in which the server says no. `field` and `rule` name what a bad request broke. */
export const Problem = v.variant('code', [
  v.strictObject({
    code: v.literal('badRequest'),
    issues: v.array(v.strictObject({ field: v.string(), rule: v.string() })),
  }),
  v.strictObject({ code: v.literal('wrongSignIn') }),
  v.strictObject({ code: v.literal('notSignedIn') }),
  v.strictObject({ code: v.literal('notFound') }),
  v.strictObject({ code: v.literal('nameTaken') }),
  v.strictObject({ code: v.literal('tooLarge') }),
  v.strictObject({ code: v.literal('staleProposal') }),
  v.strictObject({
    code: v.literal('staleRevision'),
    revision: v.number(),
    conflicts: v.array(ConflictSchema),
  }),
  v.strictObject({ code: v.literal('refused'), refusal: RefusalSchema }),
  v.strictObject({ code: v.literal('failed'), id: v.string() }),
]);
export type Problem = v.InferOutput<typeof Problem>;
