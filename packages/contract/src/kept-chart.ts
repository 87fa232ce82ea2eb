import * as v from 'valibot';
import { AccountRecordSchema, ChartSettingsSchema } from './account';
import { Count, Id, Moment, textUpTo, wordsUpTo } from './text';

/** A chart that the practice keeps to begin others from. */
export const KeptChartSchema = v.strictObject({
  settings: ChartSettingsSchema,
  accounts: v.array(AccountRecordSchema),
});

/** Which of a kept chart's accounts, dimensions and values are which of a client's. */
const OriginIds = v.record(Id, Id);

/** Keeps a client's chart: as a new one of that name, or as the next version of one that there is. */
export const KeepChartRequest = v.strictObject({
  keptChartId: v.nullable(Id),
  name: v.nullable(wordsUpTo(80)),
  note: textUpTo(400),
});
export type KeepChartRequest = v.InferOutput<typeof KeepChartRequest>;

/** Another name for a kept chart. */
export const RenameKeptChartRequest = v.strictObject({ name: wordsUpTo(80) });
export type RenameKeptChartRequest = v.InferOutput<typeof RenameKeptChartRequest>;

/** Where a chart was kept. */
export const KeepChartAnswer = v.strictObject({ id: Id, version: v.number() });
export type KeepChartAnswer = v.InferOutput<typeof KeepChartAnswer>;

/** The practice's own starting charts, with their versions and the clients that began from them. */
export const KeptChartsAnswer = v.array(
  v.strictObject({
    id: Id,
    name: v.string(),
    versions: v.array(
      v.strictObject({
        number: v.number(),
        note: v.string(),
        madeAt: Moment,
        madeBy: v.string(),
        accounts: v.number(),
      }),
    ),
    clients: v.array(
      v.strictObject({
        id: Id,
        name: v.string(),
        version: v.number(),
        drift: v.strictObject({ added: v.number(), changed: v.number(), gone: v.number() }),
      }),
    ),
  }),
);
export type KeptChartsAnswer = v.InferOutput<typeof KeptChartsAnswer>;

/** From which version of which chart a client comes once the step that brings it there is adopted. */
export const OriginRequest = v.strictObject({
  stepId: Id,
  keptChartId: Id,
  version: Count,
  ids: v.pipe(OriginIds, v.maxEntries(60_000)),
});
export type OriginRequest = v.InferOutput<typeof OriginRequest>;

export const OriginAnswer = v.nullable(
  v.strictObject({
    keptChartId: Id,
    name: v.string(),
    version: v.number(),
    /** The newest version that there is. */
    latest: v.number(),
    ids: OriginIds,
  }),
);
export type OriginAnswer = v.InferOutput<typeof OriginAnswer>;
