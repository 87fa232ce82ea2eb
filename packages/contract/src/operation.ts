import {
  KIND_CODES,
  NUMBER_LIMIT,
  SETTING_NAMES,
  TEXT_LIMITS,
  type Conflict,
  type Operation,
  type ProposalStep,
  type Refusal,
} from '@iunctus/core';
import * as v from 'valibot';
import { AccountSchema } from './account';
import { mirrors } from './mirrors';
import { OpeningBalancesSchema } from './opening';
import { NumberPlanSchema } from './number-plan';
import { ChangeSettingSchema, DimensionSchema, SplitSchema } from './settings';
import { DateText, Id, textUpTo } from './text';

/** Most operations that one request may carry. */
export const OPERATIONS_LIMIT = 30_000;

const place = { parentId: v.nullable(Id), afterId: v.nullable(Id) };

/** Any operation. Longer texts than a field holds pass here and are refused by the core, which says so. */
export const OperationSchema = mirrors<Operation>()(
  v.variant('type', [
    v.strictObject({ type: v.literal('addAccount'), account: AccountSchema, ...place }),
    v.strictObject({ type: v.literal('deleteAccount'), id: Id }),
    v.strictObject({
      type: v.literal('editField'),
      id: Id,
      field: v.picklist(['name', 'shortLabel', 'guidance', 'notes']),
      value: textUpTo(TEXT_LIMITS.notes),
    }),
    v.strictObject({
      type: v.literal('renumber'),
      id: Id,
      number: v.nullable(textUpTo(NUMBER_LIMIT)),
    }),
    v.strictObject({
      type: v.literal('renumberMany'),
      numbers: v.pipe(
        v.array(v.strictObject({ id: Id, number: v.nullable(textUpTo(NUMBER_LIMIT)) })),
        v.minLength(1),
        v.maxLength(OPERATIONS_LIMIT),
      ),
    }),
    v.strictObject({ type: v.literal('setPlan'), plan: NumberPlanSchema, numbered: v.boolean() }),
    v.strictObject({ type: v.literal('moveNode'), id: Id, ...place }),
    v.strictObject({ type: v.literal('changeKind'), id: Id, kind: v.picklist(KIND_CODES) }),
    v.strictObject({
      type: v.literal('changeRole'),
      id: Id,
      role: v.picklist(['heading', 'posting']),
    }),
    v.strictObject({ type: v.literal('merge'), id: Id, into: Id, acrossKinds: v.boolean() }),
    v.strictObject({ type: v.literal('unmerge'), account: AccountSchema, into: Id, ...place }),
    v.strictObject({ type: v.literal('split'), split: SplitSchema }),
    v.strictObject({ type: v.literal('unsplit'), split: SplitSchema }),
    ChangeSettingSchema,
    v.strictObject({
      type: v.literal('setDimension'),
      id: Id,
      dimension: v.nullable(DimensionSchema),
      afterId: v.nullable(Id),
    }),
    v.strictObject({ type: v.literal('retire'), id: Id, on: DateText }),
    v.strictObject({ type: v.literal('restore'), id: Id }),
  ]),
);

/** One gesture's operations, and the balances that come along with them. */
export const ProposalStepSchema = mirrors<ProposalStep>()(
  v.pipe(
    v.strictObject({
      id: Id,
      operations: v.pipe(v.array(OperationSchema), v.maxLength(OPERATIONS_LIMIT)),
      opening: v.exactOptional(OpeningBalancesSchema),
    }),
    v.check(
      ({ operations, opening }) => operations.length > 0 || opening !== undefined,
      'has neither operations nor balances',
    ),
  ),
);

const FIELDS = [
  'number', 'name', 'shortLabel', 'guidance', 'notes', 'kind', 'parent', 'role', 'retiredOn', 'setting',
] as const; // prettier-ignore

const CODES = [
  'accountMissing', 'accountExists', 'parentMissing', 'parentRetired', 'neighbourMissing',
  'moveIntoOwnSubtree', 'elementDiffers', 'numberMissing', 'numberTaken', 'numberMalformed', 'nameEmpty', 'nameTaken',
  'textTooLong', 'tooManyAccounts', 'tooDeep', 'hasPostings', 'hasChildren', 'hasOpenChildren', 'headingTakesNoPostings',
  'systemAccount', 'memorandumWithPostings', 'alreadyRetired', 'notRetired', 'dateMalformed', 'planWrong', 'mergeIntoItself',
  'mergeIntoRetired', 'kindsDiffer', 'notMerged', 'hasMerged',
  'hasSplits', 'splitExists', 'splitIntoItself', 'splitFurther', 'notSplit', 'choiceWrong', 'settingNotOffered',
  'settingWrong', 'dimensionMissing', 'dimensionWrong', 'dimensionInUse', 'valueInUse',
  'restrictedAccount',
] as const; // prettier-ignore

/** A refused operation. */
export const RefusalSchema = mirrors<Refusal>()(
  v.strictObject({
    code: v.picklist(CODES),
    // Empty where the refusal is about the chart itself.
    accountId: v.union([Id, v.literal('')]),
    field: v.optional(v.picklist(FIELDS)),
    setting: v.optional(v.picklist(SETTING_NAMES)),
    value: v.optional(textUpTo(TEXT_LIMITS.notes)),
    otherId: v.optional(v.string()),
  }),
);

/** A pending step that no longer fits. */
export const ConflictSchema = mirrors<Conflict>()(
  v.strictObject({
    step: ProposalStepSchema,
    landed: v.nullable(OperationSchema),
    refusal: v.nullable(RefusalSchema),
  }),
);
