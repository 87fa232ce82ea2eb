import * as v from 'valibot';
import { Id, textUpTo, wordsUpTo } from './text';

export const SignInRequest = v.strictObject({
  email: wordsUpTo(200),
  password: v.pipe(textUpTo(200), v.minLength(1)),
});
export type SignInRequest = v.InferOutput<typeof SignInRequest>;

/** Who is signed in, and to which practice. */
export const SessionAnswer = v.strictObject({
  user: v.strictObject({ id: Id, name: v.string(), email: v.string() }),
  practice: v.strictObject({ id: Id, name: v.string() }),
});
export type SessionAnswer = v.InferOutput<typeof SessionAnswer>;

/** The same, or `null` when nobody is: an ordinary answer to a first visit. */
export const WhoAnswer = v.nullable(SessionAnswer);
export type WhoAnswer = v.InferOutput<typeof WhoAnswer>;
