import { RevisionChartAnswer, RevisionsAnswer } from '@iunctus/contract';
import { JSON_VERSION } from '@iunctus/exchange';
import { toJsonSchema } from '@valibot/to-json-schema';
import * as v from 'valibot';

/** A whole chart as a file holds it. */
const ChartFile = v.strictObject({
  format: v.literal('iunctus-chart'),
  version: v.literal(JSON_VERSION),
  client: v.string(),
  ...RevisionChartAnswer.entries,
  history: RevisionsAnswer,
});

/** What a file of a whole chart must look like, as JSON Schema; published in `docs/`. */
export const chartFileSchema = (): object => ({
  ...toJsonSchema(ChartFile, { errorMode: 'ignore' }),
  title: 'A chart of accounts, whole',
  description:
    'Settings, accounts in order, merges, splits and history, as taken out under “JSON, everything”. Amounts are whole minor units, debit positive; days are calendar dates.',
});
