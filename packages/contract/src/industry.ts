import { INDUSTRY_CODES } from '@iunctus/core/edges';
import * as v from 'valibot';
import { textUpTo } from './text';

/** Plain words or the leading digits of a NAICS code. */
export const IndustriesQuery = v.strictObject({ words: textUpTo(80) });
export type IndustriesQuery = v.InferOutput<typeof IndustriesQuery>;

/** Industries by NAICS code, with the trade whose starting chart suits each; `sector` is named where only its sector's does. */
export const IndustriesAnswer = v.array(
  v.strictObject({
    code: v.string(),
    title: v.string(),
    trade: v.picklist(INDUSTRY_CODES),
    sector: v.nullable(v.string()),
  }),
);
export type IndustriesAnswer = v.InferOutput<typeof IndustriesAnswer>;
