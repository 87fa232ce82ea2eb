import { createHash, randomBytes } from 'node:crypto';
import type {
  PasswordRequest,
  SessionAnswer,
  SessionsAnswer,
  SignInRequest,
} from '@iunctus/contract';
import type pg from 'pg';
import { inTransactionOn, type Transaction } from '../database/transaction';
import { badRequest, problem } from '../problems/problem';
import {
  closeSession,
  closeSessionById,
  closeSessionsOf,
  manySessions,
  maybePasswordOf,
  maybeUserByEmail,
  maybeViewerByToken,
  noteUse,
  openSession,
  setPassword,
  type ViewerRow,
} from './access.queries';
import { hashPassword, NOBODYS_HASH, passwordFits } from './passwords';
import { countTry, forgiveTry } from './sign-in-tries';
import type { Viewer } from './viewer';

/** How long sign-ins last: at most so many hours, and so many minutes without use. */
export interface SessionLimits {
  readonly hours: number;
  readonly idleMinutes: number;
}

/** What stands for a token where it is kept. */
export const hashOf = (token: string): Buffer => createHash('sha256').update(token).digest();

/** A token that nobody guesses. */
export const newToken = (): string => randomBytes(32).toString('base64url');

/** Opens a session for somebody who has proved who they are. The one that they came with ends. Gives its token. */
export const beginSession = async (
  on: Transaction,
  {
    userId,
    hours,
    former,
  }: { readonly userId: string; readonly hours: number; readonly former: string },
): Promise<string> => {
  const token = newToken();
  await closeSession(on, hashOf(former));
  await openSession(on, { tokenHash: hashOf(token), userId, hours });
  return token;
};

/** A try to sign in: from which address, with which session before, if any. */
export interface SignInTry {
  readonly request: SignInRequest;
  readonly address: string;
  readonly former: string;
  readonly hours: number;
}

/** Checks a sign-in and opens a session. Refuses with `wrongSignIn`, or `tooManyTries` with the wait before the next. */
export const signIn = async (
  pool: pg.Pool,
  { request, address, former, hours }: SignInTry,
): Promise<{ readonly token: string; readonly userId: string }> => {
  const email = request.email.toLowerCase();
  const seconds = await inTransactionOn(pool, (on) => countTry(on, email, address));
  if (seconds > 0) return problem({ code: 'tooManyTries', seconds });
  const user = await maybeUserByEmail(pool, email);
  const fits = await passwordFits(request.password, user?.password_hash ?? NOBODYS_HASH);
  if (user === undefined || user.password_hash === null || !fits)
    return problem({ code: 'wrongSignIn' });
  return inTransactionOn(pool, async (on) => {
    await forgiveTry(on, email, address);
    return {
      token: await beginSession(on, { userId: user.id, hours, former }),
      userId: user.id,
    };
  });
};

/** Ends the session of a token. */
export const signOut = (pool: pg.Pool, token: string): Promise<number> =>
  inTransactionOn(pool, (transaction) => closeSession(transaction, hashOf(token)));

const answerOf = (row: ViewerRow): SessionAnswer => ({
  user: {
    id: row.user_id,
    name: row.user_name,
    email: row.email,
    role: row.role,
    clientId: row.client_id,
  },
  practice: { id: row.practice_id, name: row.practice_name },
});

/** A session that lasts: who asks, and which one it is. */
export interface Session {
  readonly viewer: Viewer;
  readonly answer: SessionAnswer;
  readonly id: string;
}

/** Who holds a token, or `undefined`. Notes that the session is in use. */
export const sessionOf = async (
  pool: pg.Pool,
  token: string,
  { idleMinutes }: SessionLimits,
): Promise<Session | undefined> => {
  if (token === '') return undefined;
  const tokenHash = hashOf(token);
  const row = await maybeViewerByToken(pool, { tokenHash, idleMinutes });
  if (row === undefined) return undefined;
  if (row.unnoted) await inTransactionOn(pool, (on) => noteUse(on, tokenHash));
  return {
    id: row.session_id,
    viewer: {
      userId: row.user_id,
      practiceId: row.practice_id,
      role: row.role,
      clientId: row.client_id,
    },
    answer: answerOf(row),
  };
};

/** One's own sessions. */
export const ownSessions = async (
  pool: pg.Pool,
  viewer: Viewer,
  here: string,
): Promise<SessionsAnswer> => {
  const rows = await manySessions(pool, viewer.userId);
  return rows.map(({ id, started_at, used_at }) => ({
    id,
    startedAt: started_at.toISOString(),
    usedAt: used_at.toISOString(),
    here: id === here,
  }));
};

/** Ends one of one's own sessions. */
export const endOwnSession = (
  pool: pg.Pool,
  { userId }: Viewer,
  sessionId: string,
): Promise<object> =>
  inTransactionOn(pool, async (on) => {
    const ended = await closeSessionById(on, { userId, sessionId });
    return ended === 0 ? problem({ code: 'notFound' }) : {};
  });

/** Sets another password for oneself, by the one that there is; every other session ends. */
export const changePassword = async (
  pool: pg.Pool,
  { userId }: Viewer,
  asked: { readonly request: PasswordRequest; readonly token: string; readonly address: string },
): Promise<object> => {
  const { request, token, address } = asked;
  const seconds = await inTransactionOn(pool, (on) => countTry(on, userId, address));
  if (seconds > 0) return problem({ code: 'tooManyTries', seconds });
  const kept = await maybePasswordOf(pool, userId);
  if (!(await passwordFits(request.current, kept ?? NOBODYS_HASH)))
    return badRequest('current', 'is not your password');
  const passwordHash = await hashPassword(request.wanted);
  return inTransactionOn(pool, async (on) => {
    await forgiveTry(on, userId, address);
    await setPassword(on, { userId, passwordHash });
    await closeSessionsOf(on, { userId, except: hashOf(token) });
    return {};
  });
};
