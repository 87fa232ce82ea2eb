import { createHash, randomBytes } from 'node:crypto';
import type { SessionAnswer, SignInRequest } from '@iunctus/contract';
import type pg from 'pg';
import { inTransactionOn } from '../database/transaction';
import { problem } from '../http/problem';
import {
  closeSession,
  maybeUserByEmail,
  maybeViewerByToken,
  openSession,
  type ViewerRow,
} from './access.queries';
import { hashPassword, passwordFits } from './passwords';

/** How long a sign-in lasts, in hours. */
export const SESSION_HOURS = 12;

/** The user who asks, and whose data may be seen. */
export interface Viewer {
  readonly userId: string;
  readonly practiceId: string;
}

const hashOf = (token: string): Buffer => createHash('sha256').update(token).digest();

/** Spent on unknown addresses, so that they take as long to refuse as known ones. */
const someHash = hashPassword(randomBytes(16).toString('hex'));

/** Checks a sign-in and opens a session. Gives its token; refuses with `wrongSignIn`. */
export const signIn = async (pool: pg.Pool, request: SignInRequest): Promise<string> => {
  const user = await maybeUserByEmail(pool, request.email);
  const fits = await passwordFits(request.password, user?.password_hash ?? (await someHash));
  if (user === undefined || !fits) return problem({ code: 'wrongSignIn' });
  const token = randomBytes(32).toString('base64url');
  const session = { tokenHash: hashOf(token), userId: user.id, hours: SESSION_HOURS };
  await inTransactionOn(pool, (transaction) => openSession(transaction, session));
  return token;
};

/** Ends the session of a token. */
export const signOut = (pool: pg.Pool, token: string): Promise<number> =>
  inTransactionOn(pool, (transaction) => closeSession(transaction, hashOf(token)));

const answerOf = (row: ViewerRow): SessionAnswer => ({
  user: { id: row.user_id, name: row.user_name, email: row.email },
  practice: { id: row.practice_id, name: row.practice_name },
});

/** Who holds a token, or `undefined`. */
export const sessionOf = async (
  pool: pg.Pool,
  token: string,
): Promise<{ viewer: Viewer; answer: SessionAnswer } | undefined> => {
  const row = await maybeViewerByToken(pool, hashOf(token));
  if (row === undefined) return undefined;
  return {
    viewer: { userId: row.user_id, practiceId: row.practice_id },
    answer: answerOf(row),
  };
};
