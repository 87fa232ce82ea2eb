import type { PersonRole } from '@iunctus/core';
import { change, many, maybeOne } from '../database/query';
import type { Reader, Transaction } from '../database/transaction';
import type { Viewer } from './viewer';

interface UserRow {
  readonly id: string;
  readonly password_hash: string | null;
}

/** The user with that e-mail address who has not left. */
export const maybeUserByEmail = (on: Reader, email: string): Promise<UserRow | undefined> =>
  maybeOne(on, {
    text: `
      SELECT id, password_hash FROM app_user WHERE email = lower($1) AND removed_at IS NULL`,
    values: [email],
  });

/** The password of a user as it is kept. */
export const maybePasswordOf = async (on: Reader, userId: string): Promise<string | null> => {
  const row = await maybeOne<UserRow>(on, {
    text: 'SELECT id, password_hash FROM app_user WHERE id = $1',
    values: [userId],
  });
  return row?.password_hash ?? null;
};

/** A signed-in user with the practice. */
export interface ViewerRow {
  readonly session_id: string;
  readonly user_id: string;
  readonly user_name: string;
  readonly email: string;
  readonly role: PersonRole;
  readonly client_id: string | null;
  readonly practice_id: string;
  readonly practice_name: string;
  /** Whether its use was not noted for a minute. */
  readonly unnoted: boolean;
}

/** Who holds the token, while the session lasts and is in use. */
export const maybeViewerByToken = (
  on: Reader,
  { tokenHash, idleMinutes }: { readonly tokenHash: Buffer; readonly idleMinutes: number },
): Promise<ViewerRow | undefined> =>
  maybeOne(on, {
    text: `
      SELECT session.id AS session_id, app_user.id AS user_id, app_user.name AS user_name,
             app_user.email, app_user.role, app_user.client_id,
             practice.id AS practice_id, practice.name AS practice_name,
             session.used_at < now() - interval '1 minute' AS unnoted
      FROM session
      JOIN app_user ON app_user.id = session.user_id
      JOIN practice ON practice.id = app_user.practice_id
      WHERE session.token_hash = $1 AND session.expires_at > now()
        AND session.used_at > now() - make_interval(mins => $2) AND app_user.removed_at IS NULL`,
    values: [tokenHash, idleMinutes],
  });

/** Notes that a session is in use. */
export const noteUse = (on: Transaction, tokenHash: Buffer): Promise<number> =>
  change(on, {
    text: 'UPDATE session SET used_at = now() WHERE token_hash = $1',
    values: [tokenHash],
  });

/** Opens a session of that many hours, and drops the ones that have ended. */
export const openSession = async (
  on: Transaction,
  session: { readonly tokenHash: Buffer; readonly userId: string; readonly hours: number },
): Promise<void> => {
  await change(on, { text: 'DELETE FROM session WHERE expires_at <= now()' });
  await change(on, {
    text: `INSERT INTO session (token_hash, user_id, expires_at)
           VALUES ($1, $2, now() + make_interval(hours => $3))`,
    values: [session.tokenHash, session.userId, session.hours],
  });
};

/** Ends a session. */
export const closeSession = (on: Transaction, tokenHash: Buffer): Promise<number> =>
  change(on, { text: 'DELETE FROM session WHERE token_hash = $1', values: [tokenHash] });

/** Ends one of a user's sessions. Gives how many ended: one, or none. */
export const closeSessionById = (
  on: Transaction,
  asked: { readonly userId: string; readonly sessionId: string },
): Promise<number> =>
  change(on, {
    text: 'DELETE FROM session WHERE user_id = $1 AND id = $2',
    values: [asked.userId, asked.sessionId],
  });

/** Ends all of a user's sessions but the one of `except`. */
export const closeSessionsOf = (
  on: Transaction,
  asked: { readonly userId: string; readonly except: Buffer | null },
): Promise<number> =>
  change(on, {
    text: 'DELETE FROM session WHERE user_id = $1 AND token_hash IS DISTINCT FROM $2',
    values: [asked.userId, asked.except],
  });

/** A session of somebody's own. */
export interface SessionRow {
  readonly id: string;
  readonly started_at: Date;
  readonly used_at: Date;
}

/** A user's sessions that last, the newest first. */
export const manySessions = (on: Reader, userId: string): Promise<SessionRow[]> =>
  many(on, {
    text: `
      SELECT id, started_at, used_at FROM session
      WHERE user_id = $1 AND expires_at > now() ORDER BY started_at DESC, id`,
    values: [userId],
  });

/** Sets a password as it is kept. */
export const setPassword = (
  on: Transaction,
  asked: { readonly userId: string; readonly passwordHash: string },
): Promise<number> =>
  change(on, {
    text: 'UPDATE app_user SET password_hash = $2 WHERE id = $1',
    values: [asked.userId, asked.passwordHash],
  });

/** Takes a password away: nobody signs in with it any more. */
export const clearPassword = (on: Transaction, userId: string): Promise<number> =>
  change(on, {
    text: 'UPDATE app_user SET password_hash = NULL WHERE id = $1',
    values: [userId],
  });

/** What the viewer's practice is called. */
export const practiceName = async (on: Reader, { practiceId }: Viewer): Promise<string> => {
  const row = await maybeOne<{ name: string }>(on, {
    text: 'SELECT name FROM practice WHERE id = $1',
    values: [practiceId],
  });
  return row?.name ?? '';
};
