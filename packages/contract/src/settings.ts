import type {
  AccountSettings,
  ChangeSetting,
  Dimension,
  PayeeBox,
  PostingChoice,
  Split,
} from '@iunctus/core';
import {
  CHOICE_WORDS_LIMIT,
  DIMENSION_NAME_LIMIT,
  DIMENSION_VALUES_LIMIT,
  ENTRY_SOURCES,
  OFFERED_IN,
  PAYEE_BOXES,
  SALES_TAX_CODES,
  SETTING_TEXT_LIMIT,
} from '@iunctus/core/edges';
import * as v from 'valibot';
import { mirrors } from './mirrors';
import { Amount, DateText, Id, textUpTo } from './text';

const Text = textUpTo(SETTING_TEXT_LIMIT);
const PAYEE_BOX_CODES = Object.keys(PAYEE_BOXES) as [PayeeBox, ...PayeeBox[]];

const ofYear = [
  v.strictObject({ per: v.literal('year'), amount: Amount }),
  v.strictObject({ per: v.literal('month'), amounts: v.pipe(v.array(Amount), v.length(12)) }),
] as const;
const YearBudget = v.variant('per', [...ofYear]);
const Budget = v.variant('per', [
  ...ofYear,
  v.strictObject({
    per: v.literal('years'),
    every: v.nullable(YearBudget),
    years: v.pipe(
      v.record(v.pipe(v.string(), v.regex(/^\d{4}$/)), YearBudget),
      v.check((years) => Object.keys(years).length <= 50, 'are more than fifty years'),
    ),
  }),
]);

/** A line of a return and its copy. */
export const ReturnLineSchema = v.strictObject({
  form: Text,
  line: Text,
  copy: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(99)),
});

const settings = {
  subtotal: v.boolean(),
  currency: v.pipe(v.string(), v.regex(/^[A-Z]{3}$/)),
  openItems: v.boolean(),
  controls: v.picklist(['receivables', 'payables', 'inventory', 'none']),
  systemPostedOnly: v.boolean(),
  restrictedTo: v.pipe(v.array(Id), v.maxLength(200)),
  offeredIn: v.pipe(v.array(v.picklist(OFFERED_IN)), v.maxLength(20)),
  salesTax: v.picklist(SALES_TAX_CODES),
  cashFlow: v.picklist(['cash', 'operating', 'investing', 'financing', 'none']),
  returnLine: ReturnLineSchema,
  payeeBox: v.picklist(PAYEE_BOX_CODES),
  dimensions: v.pipe(
    v.array(v.strictObject({ dimensionId: Id, valueId: v.nullable(Id), demanded: v.boolean() })),
    v.maxLength(50),
  ),
  bank: v.strictObject({
    institution: Text,
    routing: Text,
    accountNumber: Text,
    nextCheque: Text,
    nextDeposit: Text,
  }),
  security: v.strictObject({ symbol: Text, units: Text, quoteSource: Text }),
  budget: Budget,
  pinned: v.boolean(),
};

/** What an account is set to; what is not there is as usual for its kind. */
export const AccountSettingsSchema = mirrors<AccountSettings>()(
  v.strictObject({
    subtotal: v.optional(settings.subtotal),
    currency: v.optional(settings.currency),
    openItems: v.optional(settings.openItems),
    controls: v.optional(settings.controls),
    systemPostedOnly: v.optional(settings.systemPostedOnly),
    restrictedTo: v.optional(settings.restrictedTo),
    offeredIn: v.optional(settings.offeredIn),
    salesTax: v.optional(settings.salesTax),
    cashFlow: v.optional(settings.cashFlow),
    returnLine: v.optional(settings.returnLine),
    payeeBox: v.optional(settings.payeeBox),
    dimensions: v.optional(settings.dimensions),
    bank: v.optional(settings.bank),
    security: v.optional(settings.security),
    budget: v.optional(settings.budget),
    pinned: v.optional(settings.pinned),
  }),
);

const setting = <K extends keyof typeof settings>(name: K) =>
  v.strictObject({
    type: v.literal('changeSetting'),
    id: Id,
    setting: v.literal(name),
    value: v.nullable(settings[name]),
  });

/** The change of one setting; `null` leaves it to the kind again. */
export const ChangeSettingSchema = v.variant('setting', [
  setting('subtotal'),
  setting('currency'),
  setting('openItems'),
  setting('controls'),
  setting('systemPostedOnly'),
  setting('restrictedTo'),
  setting('offeredIn'),
  setting('salesTax'),
  setting('cashFlow'),
  setting('returnLine'),
  setting('payeeBox'),
  setting('dimensions'),
  setting('bank'),
  setting('security'),
  setting('budget'),
  setting('pinned'),
]);
/** Every setting can be changed, and nothing else. @public the compiler alone asks for it */
export const CHANGES_EVERY_SETTING = mirrors<ChangeSetting>()(ChangeSettingSchema);

const DimensionName = textUpTo(DIMENSION_NAME_LIMIT);

/** A dimension with its values. */
export const DimensionSchema = mirrors<Dimension>()(
  v.strictObject({
    id: Id,
    name: DimensionName,
    values: v.pipe(
      v.array(
        v.strictObject({ id: Id, name: DimensionName, restricted: v.optional(v.literal(true)) }),
      ),
      v.maxLength(DIMENSION_VALUES_LIMIT),
    ),
  }),
);

/** Which postings of an account are meant. */
const PostingChoiceSchema = mirrors<PostingChoice>()(
  v.strictObject({
    first: v.nullable(DateText),
    last: v.nullable(DateText),
    sources: v.pipe(v.array(v.picklist(ENTRY_SOURCES)), v.maxLength(20)),
    words: textUpTo(CHOICE_WORDS_LIMIT),
    value: v.nullable(v.strictObject({ dimensionId: Id, valueId: v.nullable(Id) })),
    upTo: v.pipe(v.number(), v.safeInteger(), v.minValue(0)),
  }),
);

/** Postings of one account that count with another. */
export const SplitSchema = mirrors<Split>()(
  v.strictObject({ id: Id, from: Id, into: Id, choice: PostingChoiceSchema }),
);
