import { randomUUID } from 'node:crypto';
import type pg from 'pg';
import { exactlyOne, maybeOne, change } from '../database/query';
import { inTransactionOn, type Transaction } from '../database/transaction';
import { insertPerson } from './people.queries';
import { openInvitation } from './people.service';

/** Who is to keep a practice. */
export interface FirstAdministrator {
  readonly practice: string;
  readonly name: string;
  readonly email: string;
}

const practiceCalled = async (on: Transaction, name: string): Promise<string> => {
  const known = await maybeOne<{ id: string }>(on, {
    text: 'SELECT id FROM practice WHERE name = $1 ORDER BY id LIMIT 1',
    values: [name],
  });
  if (known !== undefined) return known.id;
  const made = await exactlyOne<{ id: string }>(on, {
    text: 'INSERT INTO practice (id, name) VALUES ($1, $2) RETURNING id',
    values: [randomUUID(), name],
  });
  return made.id;
};

/**
 * Makes somebody an administrator of a practice, which is made where there is none of that name; somebody who is
 * known by the e-mail address is let in anew. Gives the token by which they set a password. For the owner of the
 * database alone: no page does this.
 */
export const letAdministratorIn = (
  pool: pg.Pool,
  { practice, name, email }: FirstAdministrator,
): Promise<string> =>
  inTransactionOn(pool, async (on) => {
    const practiceId = await practiceCalled(on, practice);
    const known = await maybeOne<{ id: string }>(on, {
      text: `
        SELECT id FROM app_user WHERE email = lower($1) AND practice_id = $2 AND removed_at IS NULL`,
      values: [email, practiceId],
    });
    const id = known?.id ?? randomUUID();
    if (known === undefined)
      await insertPerson(on, {
        id,
        practiceId,
        name,
        email,
        role: 'administrator',
        clientId: null,
      });
    else
      await change(on, {
        text: `UPDATE app_user SET role = 'administrator', client_id = NULL WHERE id = $1`,
        values: [id],
      });
    return (await openInvitation(on, id)).token;
  });
