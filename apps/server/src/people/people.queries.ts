import type { PersonRole } from '@iunctus/core';
import type { Viewer } from '../access/viewer';
import { change, exactlyOne, many, maybeOne } from '../database/query';
import type { Reader, Transaction } from '../database/transaction';

/** Somebody of a practice with what they may, and whether they come. */
export interface StaffRow {
  readonly id: string;
  readonly name: string;
  readonly email: string;
  readonly role: PersonRole;
  readonly client_id: string | null;
  readonly joined: boolean;
  readonly invited: boolean;
  readonly sessions: number;
  readonly used_at: Date | null;
}

/** Everybody of the practice who has not left, by name. */
export const manyStaff = (on: Reader, viewer: Viewer): Promise<StaffRow[]> =>
  many(on, {
    text: `
      SELECT app_user.id, app_user.name, app_user.email, app_user.role, app_user.client_id,
             app_user.password_hash IS NOT NULL AS joined,
             EXISTS (SELECT 1 FROM invitation
                     WHERE invitation.user_id = app_user.id AND invitation.expires_at > now()) AS invited,
             (SELECT count(*)::int FROM session
              WHERE session.user_id = app_user.id AND session.expires_at > now()) AS sessions,
             (SELECT max(used_at) FROM session WHERE session.user_id = app_user.id) AS used_at
      FROM app_user
      WHERE app_user.practice_id = $1 AND app_user.removed_at IS NULL
      ORDER BY app_user.name, app_user.id`,
    values: [viewer.practiceId],
  });

/** Somebody new, without a password. The address must be free. */
export const insertPerson = (
  on: Transaction,
  person: {
    readonly id: string;
    readonly practiceId: string;
    readonly name: string;
    readonly email: string;
    readonly role: PersonRole;
    readonly clientId: string | null;
  },
): Promise<number> =>
  change(on, {
    text: `
      INSERT INTO app_user (id, practice_id, name, email, role, client_id)
      VALUES ($1, $2, $3, lower($4), $5, $6)`,
    values: [person.id, person.practiceId, person.name, person.email, person.role, person.clientId],
  });

/** Says anew what somebody may. Gives how many that changed: one, or none. */
export const updateStanding = (
  on: Transaction,
  viewer: Viewer,
  asked: { readonly personId: string; readonly role: PersonRole; readonly clientId: string | null },
): Promise<number> =>
  change(on, {
    text: `
      UPDATE app_user SET role = $3, client_id = $4
      WHERE practice_id = $1 AND id = $2 AND removed_at IS NULL`,
    values: [viewer.practiceId, asked.personId, asked.role, asked.clientId],
  });

/** Lets somebody go: no password, no client; their name stays with what they did. */
export const removePerson = (on: Transaction, viewer: Viewer, personId: string): Promise<number> =>
  change(on, {
    text: `
      UPDATE app_user SET removed_at = now(), password_hash = NULL
      WHERE practice_id = $1 AND id = $2 AND removed_at IS NULL`,
    values: [viewer.practiceId, personId],
  });

/** Locks the administrators of the practice until the transaction ends, and gives how many there are. */
export const lockAdministrators = async (on: Transaction, viewer: Viewer): Promise<number> => {
  const rows = await many(on, {
    text: `
      SELECT id FROM app_user
      WHERE practice_id = $1 AND role = 'administrator' AND removed_at IS NULL
      ORDER BY id FOR UPDATE`,
    values: [viewer.practiceId],
  });
  return rows.length;
};

/** Whether somebody of the practice is there to be changed. */
export const isThere = async (on: Reader, viewer: Viewer, personId: string): Promise<boolean> => {
  const { there } = await exactlyOne<{ there: boolean }>(on, {
    text: `
      SELECT EXISTS (SELECT 1 FROM app_user
                     WHERE practice_id = $1 AND id = $2 AND removed_at IS NULL) AS there`,
    values: [viewer.practiceId, personId],
  });
  return there;
};

/** Lets somebody set a password within so many days. A former invitation is worth nothing any more. */
export const upsertInvitation = async (
  on: Transaction,
  asked: { readonly userId: string; readonly tokenHash: Buffer; readonly days: number },
): Promise<Date> => {
  const row = await exactlyOne<{ expires_at: Date }>(on, {
    text: `
      INSERT INTO invitation (user_id, token_hash, expires_at)
      VALUES ($1, $2, now() + make_interval(days => $3))
      ON CONFLICT (user_id) DO UPDATE
        SET token_hash = excluded.token_hash, expires_at = excluded.expires_at
      RETURNING expires_at`,
    values: [asked.userId, asked.tokenHash, asked.days],
  });
  return row.expires_at;
};

/** Whom an invitation is for. */
export interface InvitedRow {
  readonly user_id: string;
  readonly name: string;
  readonly email: string;
  readonly practice: string;
}

/** Whom an invitation is for, while it is open. */
export const maybeInvited = (on: Reader, tokenHash: Buffer): Promise<InvitedRow | undefined> =>
  maybeOne(on, {
    text: `
      SELECT app_user.id AS user_id, app_user.name, app_user.email, practice.name AS practice
      FROM invitation
      JOIN app_user ON app_user.id = invitation.user_id
      JOIN practice ON practice.id = app_user.practice_id
      WHERE invitation.token_hash = $1 AND invitation.expires_at > now() AND app_user.removed_at IS NULL`,
    values: [tokenHash],
  });

/** Ends an invitation. Gives how many ended: one, or none when somebody was first. */
export const deleteInvitation = (on: Transaction, userId: string): Promise<number> =>
  change(on, { text: 'DELETE FROM invitation WHERE user_id = $1', values: [userId] });
