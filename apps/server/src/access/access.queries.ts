import { change, maybeOne } from '../database/query';
import type { Reader, Transaction } from '../database/transaction';

interface UserRow {
  readonly id: string;
  readonly name: string;
  readonly email: string;
  readonly password_hash: string;
}

/** The user with that e-mail address. */
export const maybeUserByEmail = (on: Reader, email: string): Promise<UserRow | undefined> =>
  maybeOne(on, {
    text: 'SELECT id, name, email, password_hash FROM app_user WHERE email = lower($1)',
    values: [email],
  });

/** A signed-in user with the practice. */
export interface ViewerRow {
  readonly user_id: string;
  readonly user_name: string;
  readonly email: string;
  readonly practice_id: string;
  readonly practice_name: string;
}

/** Who holds the token, while the session lasts. */
export const maybeViewerByToken = (on: Reader, tokenHash: Buffer): Promise<ViewerRow | undefined> =>
  maybeOne(on, {
    text: `
      SELECT app_user.id AS user_id, app_user.name AS user_name, app_user.email,
             practice.id AS practice_id, practice.name AS practice_name
      FROM session
      JOIN app_user ON app_user.id = session.user_id
      JOIN practice ON practice.id = app_user.practice_id
      WHERE session.token_hash = $1 AND session.expires_at > now()`,
    values: [tokenHash],
  });

/** Opens a session of that many hours, and drops the ones that have ended. */
export const openSession = async (
  on: Transaction,
  session: { tokenHash: Buffer; userId: string; hours: number },
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
