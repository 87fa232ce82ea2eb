import type { Conflict, Operation, OperationType, ProposalStep, Refusal } from '@iunctus/core';
import {
  CHOICE_PROBLEMS,
  DIMENSION_PROBLEMS,
  KIND_CODES,
  NUMBER_LIMIT,
  PLAIN_REFUSALS,
  REFUSED_FIELDS,
  SETTING_NAMES,
  SETTING_PROBLEMS,
  TEXT_FIELDS,
  TEXT_LIMITS,
  VALUE_REFUSALS,
} from '@iunctus/core/edges';
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

/** The schema of each operation: a row each. */
const OPERATION_SCHEMAS = {
  addAccount: v.strictObject({ type: v.literal('addAccount'), account: AccountSchema, ...place }),
  deleteAccount: v.strictObject({ type: v.literal('deleteAccount'), id: Id }),
  editField: v.strictObject({
    type: v.literal('editField'),
    id: Id,
    field: v.picklist(TEXT_FIELDS),
    value: textUpTo(TEXT_LIMITS.notes),
  }),
  renumber: v.strictObject({
    type: v.literal('renumber'),
    id: Id,
    number: v.nullable(textUpTo(NUMBER_LIMIT)),
  }),
  renumberMany: v.strictObject({
    type: v.literal('renumberMany'),
    numbers: v.pipe(
      v.array(v.strictObject({ id: Id, number: v.nullable(textUpTo(NUMBER_LIMIT)) })),
      v.minLength(1),
      v.maxLength(OPERATIONS_LIMIT),
    ),
  }),
  setPlan: v.strictObject({
    type: v.literal('setPlan'),
    plan: NumberPlanSchema,
    numbered: v.boolean(),
  }),
  moveNode: v.strictObject({ type: v.literal('moveNode'), id: Id, ...place }),
  changeKind: v.strictObject({
    type: v.literal('changeKind'),
    id: Id,
    kind: v.picklist(KIND_CODES),
  }),
  changeRole: v.strictObject({
    type: v.literal('changeRole'),
    id: Id,
    role: v.picklist(['heading', 'posting']),
  }),
  merge: v.strictObject({
    type: v.literal('merge'),
    id: Id,
    into: Id,
    acrossKinds: v.boolean(),
    again: v.exactOptional(v.literal(true)),
    formerNumber: v.exactOptional(v.nullable(textUpTo(NUMBER_LIMIT))),
  }),
  unmerge: v.strictObject({
    type: v.literal('unmerge'),
    account: AccountSchema,
    into: Id,
    ...place,
  }),
  split: v.strictObject({ type: v.literal('split'), split: SplitSchema }),
  unsplit: v.strictObject({ type: v.literal('unsplit'), split: SplitSchema }),
  changeSetting: ChangeSettingSchema,
  setDimension: v.strictObject({
    type: v.literal('setDimension'),
    id: Id,
    dimension: v.nullable(DimensionSchema),
    afterId: v.nullable(Id),
  }),
  retire: v.strictObject({ type: v.literal('retire'), id: Id, on: DateText }),
  restore: v.strictObject({ type: v.literal('restore'), id: Id }),
} satisfies Readonly<Record<OperationType, unknown>>;

/** Any operation. Longer texts than a field holds pass here and are refused by the core, which says so. */
export const OperationSchema = mirrors<Operation>()(
  v.variant('type', Object.values(OPERATION_SCHEMAS)),
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

const named = {
  // Empty where the refusal is about the chart itself.
  accountId: v.union([Id, v.literal('')]),
  field: v.exactOptional(v.picklist(REFUSED_FIELDS)),
  setting: v.exactOptional(v.picklist(SETTING_NAMES)),
  value: v.exactOptional(textUpTo(TEXT_LIMITS.notes)),
  otherId: v.exactOptional(v.string()),
};

/** A refused operation. */
export const RefusalSchema = mirrors<Refusal>()(
  v.variant('code', [
    v.strictObject({ ...named, code: v.picklist(PLAIN_REFUSALS) }),
    v.strictObject({
      ...named,
      code: v.picklist(VALUE_REFUSALS),
      value: textUpTo(TEXT_LIMITS.notes),
    }),
    v.strictObject({
      ...named,
      code: v.literal('textTooLong'),
      field: v.picklist(TEXT_FIELDS),
      value: v.string(),
    }),
    v.strictObject({ ...named, code: v.literal('elementDiffers'), value: v.picklist(KIND_CODES) }),
    v.strictObject({
      ...named,
      code: v.literal('settingNotOffered'),
      setting: v.picklist(SETTING_NAMES),
    }),
    v.strictObject({
      ...named,
      code: v.literal('settingWrong'),
      setting: v.picklist(SETTING_NAMES),
      value: v.picklist(SETTING_PROBLEMS),
    }),
    v.strictObject({
      ...named,
      code: v.literal('dimensionWrong'),
      value: v.picklist(DIMENSION_PROBLEMS),
    }),
    v.strictObject({
      ...named,
      code: v.literal('choiceWrong'),
      value: v.picklist(CHOICE_PROBLEMS),
    }),
  ]),
);

/** A pending step that no longer fits. */
export const ConflictSchema = mirrors<Conflict>()(
  v.strictObject({
    step: ProposalStepSchema,
    landed: v.nullable(OperationSchema),
    refusal: v.nullable(RefusalSchema),
    called: v.optional(
      v.array(
        v.strictObject({
          id: Id,
          number: v.nullable(textUpTo(NUMBER_LIMIT)),
          name: textUpTo(TEXT_LIMITS.name),
          kind: v.picklist(KIND_CODES),
        }),
      ),
    ),
  }),
);
