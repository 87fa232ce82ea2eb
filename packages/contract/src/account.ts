import type { Account, AccountRecord, ChartSettings, MergedAccount } from '@iunctus/core';
import { KIND_CODES, NUMBER_LIMIT, TEXT_LIMITS } from '@iunctus/core/edges';
import * as v from 'valibot';
import { NumberPlanSchema } from './number-plan';
import { AccountSettingsSchema, DimensionSchema } from './settings';
import { DateText, Id, textUpTo } from './text';
import { mirrors } from './mirrors';

const accountEntries = {
  id: Id,
  number: v.nullable(textUpTo(NUMBER_LIMIT)),
  name: textUpTo(TEXT_LIMITS.name),
  shortLabel: textUpTo(TEXT_LIMITS.shortLabel),
  guidance: textUpTo(TEXT_LIMITS.guidance),
  notes: textUpTo(TEXT_LIMITS.notes),
  role: v.picklist(['heading', 'posting']),
  kind: v.picklist(KIND_CODES),
  retiredOn: v.nullable(DateText),
  systemUse: v.nullable(v.picklist(['retainedEarnings'])),
  settings: AccountSettingsSchema,
};

/** An account without its place. */
export const AccountSchema = mirrors<Account>()(v.strictObject(accountEntries));

/** An account with its parent. */
export const AccountRecordSchema = mirrors<AccountRecord>()(
  v.strictObject({ ...accountEntries, parentId: v.nullable(Id) }),
);

/** A merged account, and what it was merged into. */
export const MergedAccountSchema = mirrors<MergedAccount>()(
  v.strictObject({ account: AccountSchema, into: Id }),
);

/** What a chart's numbers and names keep to. */
export const ChartSettingsSchema = mirrors<ChartSettings>()(
  v.strictObject({
    plan: NumberPlanSchema,
    numbered: v.boolean(),
    uniqueNames: v.picklist(['chart', 'siblings']),
    dimensions: v.array(DimensionSchema),
  }),
);
