import { isCalendarDate, isMonth } from '@iunctus/core';
import * as v from 'valibot';

/** The identity of a thing, a UUID. */
export const Id = v.pipe(v.string(), v.uuid());

/** Text within a length, without characters that cannot be stored. */
export const textUpTo = (limit: number) =>
  v.pipe(
    v.string(),
    v.maxLength(limit),
    v.check((text) => !text.includes('\u0000'), 'holds a null character'),
  );

/** Text that says something, within a length. */
export const wordsUpTo = (limit: number) => v.pipe(textUpTo(limit), v.trim(), v.minLength(1));

/** A calendar date, `YYYY-MM-DD`. */
export const DateText = v.pipe(v.string(), v.check(isCalendarDate, 'is no calendar date'));

/** A month, `YYYY-MM`. */
export const MonthText = v.pipe(v.string(), v.check(isMonth, 'is no month'));

/** A moment in time, ISO 8601 in UTC. */
export const Moment = v.pipe(v.string(), v.isoTimestamp());
