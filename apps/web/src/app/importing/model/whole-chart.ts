import { AccountRecordSchema, ChartSettingsSchema } from '@iunctus/contract';
import { chartFrom, type Chart } from '@iunctus/core';
import * as v from 'valibot';

const WholeChart = v.object({
  settings: ChartSettingsSchema,
  accounts: v.array(AccountRecordSchema),
});

/** The chart in a file that was taken out whole; `null` where it is none, or was written otherwise. */
export const wholeChartIn = (data: unknown): Chart | null => {
  const parsed = v.safeParse(WholeChart, data);
  if (!parsed.success) return null;
  return chartFrom(parsed.output.accounts, { settings: parsed.output.settings });
};
