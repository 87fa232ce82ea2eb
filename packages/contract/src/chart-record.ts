import type { BookedChartRecord, ChartRecord } from '@iunctus/core';
import * as v from 'valibot';
import { AccountRecordSchema, ChartSettingsSchema, MergedAccountSchema } from './account';
import { mirrors } from './mirrors';
import { SplitSchema } from './settings';
import { Id } from './text';

/** A chart as it is stored and sent. */
export const ChartRecordSchema = v.strictObject({
  settings: ChartSettingsSchema,
  accounts: v.array(AccountRecordSchema),
  merged: v.array(MergedAccountSchema),
  splits: v.array(SplitSchema),
});

/** The same with the ids of accounts that have postings and of values that postings carry. */
export const BookedChartSchema = v.strictObject({
  ...ChartRecordSchema.entries,
  posted: v.array(Id),
  usedValues: v.array(Id),
});

mirrors<ChartRecord>()(ChartRecordSchema);
mirrors<BookedChartRecord>()(BookedChartSchema);
