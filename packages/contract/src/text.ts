import { AMOUNT_LIMIT, isCalendarDate, isMonth } from '@iunctus/core/edges';
import * as v from 'valibot';

/** The identity of a thing, a UUID; written small, as it is kept. */
export const Id = v.pipe(v.string(), v.uuid(), v.toLowerCase());

/** Text within a length, without characters that cannot be stored. */
export const textUpTo = (limit: number) =>
  v.pipe(
    v.string(),
    v.maxLength(limit),
    v.check((text) => !text.includes('\u0000'), 'holds a null character'),
    v.check((text) => !/\p{Surrogate}/u.test(text), 'holds half a character'),
  );

/** Text that says something, within a length. */
export const wordsUpTo = (limit: number) => v.pipe(textUpTo(limit), v.trim(), v.minLength(1));

/** A whole number that counts something, from 0; as far as the database counts. */
export const Count = v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(2_147_483_647));

/** Money in minor units, as far as it is counted exactly. */
export const Amount = v.pipe(
  v.number(),
  v.safeInteger(),
  v.minValue(-AMOUNT_LIMIT, `is less than −${AMOUNT_LIMIT}`),
  v.maxValue(AMOUNT_LIMIT, `is more than ${AMOUNT_LIMIT}`),
);

/** A calendar date, `YYYY-MM-DD`. */
export const DateText = v.pipe(v.string(), v.check(isCalendarDate, 'is no calendar date'));

/** A month, `YYYY-MM`. */
export const MonthText = v.pipe(v.string(), v.check(isMonth, 'is no month'));

/** A moment in time, ISO 8601 in UTC. */
export const Moment = v.pipe(v.string(), v.isoTimestamp());
