import type { EntryLine, ForeignAmount, PlacedFault, Recurrence, TypedEntry } from '@iunctus/core';
import {
  BANK_USES,
  COMMENT_LIMIT,
  ENTRY_SOURCES,
  FREQUENCIES,
  JOURNAL_USES,
  LINES_LIMIT,
  TYPED_SOURCES,
} from '@iunctus/core/edges';
import * as v from 'valibot';
import { mirrors } from './mirrors';
import { OpeningBalancesSchema } from './opening';
import { Amount, Count, DateText, Id, Moment, textUpTo, wordsUpTo } from './text';

const CurrencyCode = v.pipe(v.string(), v.regex(/^[A-Z]{3}$/, 'is no currency code of ISO 4217'));
const Values = v.pipe(
  v.record(Id, Id),
  v.check((values) => Object.keys(values).length <= 50, 'names more than 50 dimensions'),
);

const ForeignAmountSchema = mirrors<ForeignAmount>()(
  v.strictObject({
    currency: CurrencyCode,
    amount: Amount,
    rate: v.pipe(v.string(), v.regex(/^\d{1,9}(\.\d{1,10})?$/, 'is no rate')),
  }),
);

/** One line of an entry; debit-positive minor units of the books' currency. */
export const EntryLineSchema = mirrors<EntryLine>()(
  v.strictObject({
    accountId: Id,
    amount: Amount,
    values: Values,
    comment: textUpTo(COMMENT_LIMIT),
    foreign: v.nullable(ForeignAmountSchema),
  }),
);

/** A day of a standing entry for which something is posted. */
const StandingDay = v.strictObject({ standingId: Id, due: DateText });

/** An entry to be posted, under an id of the caller's own, so that asking twice posts once. */
export const PostEntryRequest = v.strictObject({
  id: Id,
  date: DateText,
  source: v.picklist(TYPED_SOURCES),
  comment: textUpTo(COMMENT_LIMIT),
  lines: v.pipe(v.array(EntryLineSchema), v.maxLength(LINES_LIMIT + 1)),
  /** The entry in whose stead it is posted; that one is taken back already. */
  corrects: v.nullable(Id),
  standing: v.nullable(StandingDay),
  /** The draft that ends with it. */
  draftId: v.nullable(Id),
});
export type PostEntryRequest = v.InferOutput<typeof PostEntryRequest>;
/** The number under which it stands in the books. */
export const PostedAnswer = v.strictObject({ id: Id, number: v.number() });
export type PostedAnswer = v.InferOutput<typeof PostedAnswer>;

/** What keeps an entry from being posted, by line. */
export const PlacedFaultSchema = mirrors<PlacedFault>()(
  v.union([
    v.strictObject({
      line: v.null(),
      fault: v.variant('code', [
        v.strictObject({ code: v.literal('locked'), through: DateText }),
        v.strictObject({ code: v.literal('afterOpenYears'), last: DateText }),
        v.strictObject({ code: v.literal('tooFewLines') }),
        v.strictObject({ code: v.literal('tooManyLines'), most: v.number() }),
        v.strictObject({ code: v.literal('unbalanced'), difference: v.number() }),
        v.strictObject({ code: v.literal('memorandumUnbalanced'), difference: v.number() }),
      ]),
    }),
    v.strictObject({
      line: v.number(),
      fault: v.variant('code', [
        v.strictObject({
          code: v.picklist(['gone', 'heading', 'systemOnly', 'noAmount', 'tooMuch']),
        }),
        v.strictObject({ code: v.literal('retired'), from: DateText }),
        v.strictObject({ code: v.literal('wantsValue'), dimensionId: v.string() }),
        v.strictObject({ code: v.literal('unknownValue'), dimensionId: v.string() }),
        v.strictObject({ code: v.literal('onlyIn'), currency: v.string() }),
        v.strictObject({ code: v.literal('wrongRate') }),
        v.strictObject({ code: v.literal('wrongConversion'), amount: v.number() }),
      ]),
    }),
  ]),
);

const Source = v.picklist(ENTRY_SOURCES);
/** An entry that another is tied to. */
const Tied = v.nullable(v.strictObject({ id: Id, number: v.number() }));

/** A posted entry. */
export const EntryAnswer = v.strictObject({
  id: Id,
  number: v.number(),
  date: DateText,
  source: Source,
  comment: v.string(),
  lines: v.array(EntryLineSchema),
  /** Who typed it; `null` for what came from elsewhere. */
  author: v.nullable(v.string()),
  postedAt: v.nullable(Moment),
  /** Its place among all entries, whatever their dates. */
  sequence: v.number(),
  reverses: Tied,
  reversedBy: Tied,
  corrects: Tied,
  correctedBy: Tied,
});
export type EntryAnswer = v.InferOutput<typeof EntryAnswer>;

/** Behind which entry a list goes on. */
const EntryPlace = v.strictObject({ date: DateText, sequence: Count });

const narrowed = {
  /** First and last day, both inclusive. */
  first: v.nullable(DateText),
  last: v.nullable(DateText),
  source: v.nullable(Source),
  /** Part of a comment, an amount as it is written, or a number of an entry. */
  text: textUpTo(120),
};

/** Asks for entries, newest first. */
export const JournalRequest = v.strictObject({ ...narrowed, before: v.nullable(EntryPlace) });
export type JournalRequest = v.InferOutput<typeof JournalRequest>;
export const JournalAnswer = v.strictObject({
  entries: v.array(EntryAnswer),
  /** Whether there are older ones. */
  more: v.boolean(),
});
export type JournalAnswer = v.InferOutput<typeof JournalAnswer>;

/** Takes an entry back by its opposite. */
export const ReverseRequest = v.strictObject({
  id: Id,
  date: DateText,
  comment: textUpTo(COMMENT_LIMIT),
});
export type ReverseRequest = v.InferOutput<typeof ReverseRequest>;

/** Behind which line a register goes on, and what the accounts came to before that line. */
const LinePlace = v.strictObject({
  date: DateText,
  sequence: Count,
  lineNumber: Count,
  balance: v.pipe(v.number(), v.safeInteger()),
});

/** Asks for the lines of accounts, newest first. */
export const RegisterRequest = v.strictObject({
  accounts: v.pipe(v.array(Id), v.minLength(1), v.maxLength(25_000)),
  ...narrowed,
  /** Whether balances begin at nothing on the first day, as those of income and expense do. */
  fresh: v.boolean(),
  before: v.nullable(LinePlace),
});
export type RegisterRequest = v.InferOutput<typeof RegisterRequest>;

/** One line in a register. */
export const RegisterLine = v.strictObject({
  entryId: Id,
  number: v.number(),
  lineNumber: v.number(),
  date: DateText,
  sequence: v.number(),
  source: Source,
  /** The line's own comment, or else its entry's. */
  comment: v.string(),
  /** The account with which it counts now. */
  accountId: Id,
  amount: v.number(),
  /** What the accounts come to with this line. */
  balance: v.number(),
  /** The accounts of the other lines, the first few; none for what is not to be seen. */
  against: v.array(Id),
  isReversed: v.boolean(),
});
export type RegisterLine = v.InferOutput<typeof RegisterLine>;
export const RegisterAnswer = v.strictObject({
  lines: v.array(RegisterLine),
  more: v.boolean(),
  /** What the accounts had before the first day asked for, and have at the end of the last. */
  before: v.number(),
  after: v.number(),
});
export type RegisterAnswer = v.InferOutput<typeof RegisterAnswer>;

const TypedText = textUpTo(COMMENT_LIMIT);
/** An entry as it is typed. */
export const TypedEntrySchema = mirrors<TypedEntry>()(
  v.strictObject({
    date: v.union([DateText, v.literal('')]),
    source: Source,
    comment: TypedText,
    lines: v.pipe(
      v.array(
        v.strictObject({
          accountId: v.nullable(Id),
          debit: textUpTo(60),
          credit: textUpTo(60),
          comment: TypedText,
          values: Values,
          currency: v.union([CurrencyCode, v.literal('')]),
          rate: textUpTo(30),
        }),
      ),
      v.maxLength(LINES_LIMIT + 1),
    ),
  }),
);

/** What somebody is typing, and what it is for. */
const draftParts = {
  entry: TypedEntrySchema,
  corrects: v.nullable(Id),
  standing: v.nullable(StandingDay),
};
export const DraftAnswer = v.strictObject({
  id: Id,
  version: v.number(),
  ...draftParts,
  changedAt: Moment,
});
export type DraftAnswer = v.InferOutput<typeof DraftAnswer>;
/** One's own drafts, the one changed last first. */
export const DraftsAnswer = v.array(DraftAnswer);
export type DraftsAnswer = v.InferOutput<typeof DraftsAnswer>;
/** Keeps a draft that was read under `version`; 0 for a new one. */
export const DraftRequest = v.strictObject({ version: Count, ...draftParts });
export type DraftRequest = v.InferOutput<typeof DraftRequest>;
export const DraftKept = v.strictObject({ version: v.number() });

const RecurrenceSchema = mirrors<Recurrence>()(
  v.strictObject({
    frequency: v.picklist(FREQUENCIES),
    first: DateText,
    last: v.nullable(DateText),
    times: v.nullable(v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(10_000))),
  }),
);

/** A standing entry: when it comes, and what is posted then; lines without an amount are asked for. */
export const StandingEntryRequest = v.pipe(
  v.strictObject({ name: wordsUpTo(120), recurrence: RecurrenceSchema, entry: TypedEntrySchema }),
  v.check(
    ({ recurrence: { first, last } }) => last === null || last >= first,
    'ends before it begins',
  ),
);
export type StandingEntryRequest = v.InferOutput<typeof StandingEntryRequest>;
export const StandingEntryAnswer = v.strictObject({
  id: Id,
  name: v.string(),
  recurrence: RecurrenceSchema,
  entry: TypedEntrySchema,
  author: v.string(),
  /** The days that are dealt with: posted, under which entry, or skipped. */
  days: v.array(v.strictObject({ due: DateText, entry: Tied })),
});
export type StandingEntryAnswer = v.InferOutput<typeof StandingEntryAnswer>;
export const StandingEntriesAnswer = v.array(StandingEntryAnswer);
/** Skips a day of a standing entry, or, with `skipped` false, offers it again. */
export const SkipRequest = v.strictObject({ due: DateText, skipped: v.boolean() });
export type SkipRequest = v.InferOutput<typeof SkipRequest>;

/** The books' locks, newest first. */
export const LocksAnswer = v.strictObject({
  lockedThrough: v.nullable(DateText),
  locks: v.array(
    v.strictObject({
      through: v.nullable(DateText),
      author: v.string(),
      at: Moment,
      note: v.string(),
    }),
  ),
});
export type LocksAnswer = v.InferOutput<typeof LocksAnswer>;
/** Locks the books through a day, or opens them with `null`; `was` is what the caller saw. */
export const LockRequest = v.strictObject({
  was: v.nullable(DateText),
  through: v.nullable(DateText),
  note: textUpTo(COMMENT_LIMIT),
});
export type LockRequest = v.InferOutput<typeof LockRequest>;

/** Brings accounts to their balances at the end of a month. */
export const PostOpeningRequest = OpeningBalancesSchema;
export const OpeningPosted = v.strictObject({ posted: v.number() });

/** Asks which entries are in the books already. */
export const KnownEntriesRequest = v.strictObject({
  ids: v.pipe(v.array(Id), v.maxLength(20_000)),
});
export const KnownEntriesAnswer = v.array(v.strictObject({ id: Id, number: v.number() }));

/** Entries of a list, under ids that follow from what stands in it, so that a list brought in again posts nothing. */
export const PostListRequest = v.strictObject({
  entries: v.pipe(
    v.array(
      v.strictObject({
        id: Id,
        date: DateText,
        source: v.picklist(TYPED_SOURCES),
        comment: textUpTo(COMMENT_LIMIT),
        lines: v.pipe(v.array(EntryLineSchema), v.maxLength(20_000)),
      }),
    ),
    v.maxLength(5_000),
  ),
});
export type PostListRequest = v.InferOutput<typeof PostListRequest>;
/** How many were posted, how many were there before, and which were refused. */
export const PostListAnswer = v.strictObject({
  posted: v.number(),
  known: v.number(),
  refused: v.array(v.strictObject({ id: Id, faults: v.array(PlacedFaultSchema) })),
});
export type PostListAnswer = v.InferOutput<typeof PostListAnswer>;

const Heading = textUpTo(200);
const Use = v.union([
  v.picklist(JOURNAL_USES),
  v.pipe(
    v.string(),
    v.regex(/^value\/[0-9a-f-]{36}$/, 'is no use of a column'),
  ) as unknown as v.GenericSchema<string, `value/${string}`>,
]);
/** What columns and names of accounts mean in lists of entries of a client. */
export const JournalMemory = v.strictObject({
  lists: v.pipe(
    v.array(
      v.strictObject({
        headings: v.pipe(v.array(Heading), v.maxLength(200)),
        uses: v.pipe(v.array(v.nullable(Use)), v.maxLength(200)),
      }),
    ),
    v.maxLength(60),
  ),
  /** The same of lists of banks. */
  bankLists: v.optional(
    v.pipe(
      v.array(
        v.strictObject({
          headings: v.pipe(v.array(Heading), v.maxLength(200)),
          uses: v.pipe(v.array(v.nullable(v.picklist(BANK_USES))), v.maxLength(200)),
        }),
      ),
      v.maxLength(60),
    ),
    [],
  ),
  /** By the key of a name, the account that it stands for. */
  accounts: v.pipe(v.record(textUpTo(300), Id), v.maxEntries(4000)),
});
export type JournalMemory = v.InferOutput<typeof JournalMemory>;

/** Asks what one unit of a security was worth on a day. */
export const QuoteQuery = v.strictObject({ date: DateText, currency: CurrencyCode });
export type QuoteQuery = v.InferOutput<typeof QuoteQuery>;
export const QuoteAnswer = v.variant('state', [
  v.strictObject({
    state: v.literal('quoted'),
    /** The day on which it was traded last. */
    day: DateText,
    /** In minor units of the currency. */
    price: v.number(),
    /** Whether the source had none of the day itself yet. */
    isDelayed: v.boolean(),
  }),
  v.strictObject({ state: v.literal('unlisted') }),
  /** The source did not answer; it may a moment later. */
  v.strictObject({ state: v.literal('silent') }),
]);
export type QuoteAnswer = v.InferOutput<typeof QuoteAnswer>;
