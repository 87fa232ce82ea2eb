import * as v from 'valibot';
import { PlacedFaultSchema } from './ledger';
import { ConflictSchema, RefusalSchema } from './operation';

/** The one shape in which the server says no. `field` and `rule` name what a bad request broke. */
export const Problem = v.variant('code', [
  v.strictObject({
    code: v.literal('badRequest'),
    issues: v.array(v.strictObject({ field: v.string(), rule: v.string() })),
  }),
  v.strictObject({ code: v.literal('wrongSignIn') }),
  v.strictObject({ code: v.literal('notSignedIn') }),
  /** Known, but not for somebody of this role. */
  v.strictObject({ code: v.literal('notAllowed') }),
  /** The request did not come from a page of this application. */
  v.strictObject({ code: v.literal('foreignOrigin') }),
  v.strictObject({ code: v.literal('notFound') }),
  v.strictObject({ code: v.literal('emailTaken') }),
  v.strictObject({ code: v.literal('lastAdministrator') }),
  /** Too many tries; another one is looked at after so many seconds. */
  v.strictObject({ code: v.literal('tooManyTries'), seconds: v.number() }),
  /** The database cannot be reached. Nothing is known to have been done; asking again is safe. */
  v.strictObject({ code: v.literal('unavailable'), seconds: v.number() }),
  /** Others are served first, or it took longer than a request may; nothing was done. */
  v.strictObject({ code: v.literal('busy'), seconds: v.number() }),
  v.strictObject({ code: v.literal('tookTooLong') }),
  v.strictObject({ code: v.literal('nameTaken') }),
  v.strictObject({ code: v.literal('tooLarge') }),
  v.strictObject({ code: v.literal('staleProposal') }),
  v.strictObject({
    code: v.literal('staleRevision'),
    revision: v.number(),
    conflicts: v.array(ConflictSchema),
  }),
  v.strictObject({ code: v.literal('refused'), refusal: RefusalSchema }),
  /** An entry cannot be posted: why, by line. */
  v.strictObject({ code: v.literal('entryRefused'), faults: v.array(PlacedFaultSchema) }),
  /** Somebody did the same, or something that rules it out, meanwhile. */
  v.strictObject({
    code: v.literal('overtaken'),
    by: v.picklist([
      'reversal',
      'correction',
      'standing',
      'draft',
      'lock',
      'route',
      'layout',
      'rules',
      'openItems',
    ]),
  }),
  /** Proofs that the practice wishes to hold would be broken: by name. */
  v.strictObject({ code: v.literal('proofsBroken'), names: v.array(v.string()) }),
  v.strictObject({ code: v.literal('failed'), id: v.string() }),
]);
export type Problem = v.InferOutput<typeof Problem>;
