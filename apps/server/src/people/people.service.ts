import { randomUUID } from 'node:crypto';
import type {
  InvitationAnswer,
  InvitedAnswer,
  NewPersonRequest,
  StaffAnswer,
  StandingRequest,
  WelcomeRequest,
} from '@iunctus/contract';
import type pg from 'pg';
import { clearPassword, closeSessionsOf, setPassword } from '../access/access.queries';
import { beginSession, hashOf, newToken } from '../access/access.service';
import { hashPassword } from '../access/passwords';
import { countTry } from '../access/sign-in-tries';
import type { Viewer } from '../access/viewer';
import { clientOf } from '../clients/clients.service';
import { inTransactionOn, type Transaction } from '../database/transaction';
import { badRequest, problem } from '../problems/problem';
import {
  deleteInvitation,
  insertPerson,
  isThere,
  lockAdministrators,
  manyStaff,
  maybeInvited,
  removePerson,
  updateStanding,
  upsertInvitation,
} from './people.queries';

/** How long an invitation or a reset is open, in days. */
const INVITATION_DAYS = 7;

/** Everybody of the practice, with what they may. */
export const staffOf = async (pool: pg.Pool, viewer: Viewer): Promise<StaffAnswer> => {
  const rows = await manyStaff(pool, viewer);
  return rows.map(({ client_id: clientId, used_at, ...row }) => ({
    ...row,
    clientId,
    usedAt: used_at?.toISOString() ?? null,
  }));
};

/** Opens an invitation for somebody; its token is told once. */
export const openInvitation = async (on: Transaction, userId: string): Promise<InvitedAnswer> => {
  const token = newToken();
  const asked = { userId, tokenHash: hashOf(token), days: INVITATION_DAYS };
  const until = await upsertInvitation(on, asked);
  return { id: userId, token, until: until.toISOString() };
};

/** Invites somebody into the practice. Refuses an address that somebody has, here or elsewhere. */
export const invite = (
  pool: pg.Pool,
  viewer: Viewer,
  request: NewPersonRequest,
): Promise<InvitedAnswer> =>
  inTransactionOn(pool, async (on) => {
    if (request.clientId !== null) await clientOf(on, viewer, request.clientId);
    const id = randomUUID();
    await insertPerson(on, { ...request, id, practiceId: viewer.practiceId });
    return openInvitation(on, id);
  });

/** Somebody must be left who may keep the practice. */
const stillKept = async (on: Transaction, viewer: Viewer): Promise<void> => {
  if ((await lockAdministrators(on, viewer)) === 0) problem({ code: 'lastAdministrator' });
};

/** Changes somebody of the practice; the administrators are held meanwhile, so that two do not leave at once. */
const changing = (
  pool: pg.Pool,
  viewer: Viewer,
  work: (on: Transaction) => Promise<number>,
): Promise<object> =>
  inTransactionOn(pool, async (on) => {
    await lockAdministrators(on, viewer);
    if ((await work(on)) === 0) return problem({ code: 'notFound' });
    await stillKept(on, viewer);
    return {};
  });

/** Says anew what somebody may. Refuses to leave the practice without an administrator. */
export const changeStanding = (
  pool: pg.Pool,
  viewer: Viewer,
  asked: { readonly personId: string; readonly request: StandingRequest },
): Promise<object> =>
  changing(pool, viewer, async (on) => {
    const { personId, request } = asked;
    if (request.clientId !== null) await clientOf(on, viewer, request.clientId);
    return updateStanding(on, viewer, { personId, ...request });
  });

/** Lets somebody go: they sign in no more, and stay as the author of what they did. */
export const letGo = (pool: pg.Pool, viewer: Viewer, personId: string): Promise<object> =>
  changing(pool, viewer, async (on) => {
    const removed = await removePerson(on, viewer, personId);
    if (removed === 0) return 0;
    await deleteInvitation(on, personId);
    await closeSessionsOf(on, { userId: personId, except: null });
    return removed;
  });

/** Lets somebody else set a password anew. The former one fits no more, and every session ends. */
export const resetPassword = (
  pool: pg.Pool,
  viewer: Viewer,
  personId: string,
): Promise<InvitedAnswer> =>
  inTransactionOn(pool, async (on) => {
    if (personId === viewer.userId)
      return badRequest('personId', 'is your own: set another password for yourself instead');
    if (!(await isThere(on, viewer, personId))) return problem({ code: 'notFound' });
    await clearPassword(on, personId);
    await closeSessionsOf(on, { userId: personId, except: null });
    return openInvitation(on, personId);
  });

/** Ends all of somebody's sessions. */
export const endSessions = (pool: pg.Pool, viewer: Viewer, personId: string): Promise<object> =>
  inTransactionOn(pool, async (on) => {
    if (!(await isThere(on, viewer, personId))) return problem({ code: 'notFound' });
    await closeSessionsOf(on, { userId: personId, except: null });
    return {};
  });

/** Whom an invitation is for. Refuses one that is over, or was never made. */
export const lookAtInvitation = async (
  pool: pg.Pool,
  { token, address }: { readonly token: string; readonly address: string },
): Promise<InvitationAnswer> => {
  const invited = await maybeInvited(pool, hashOf(token));
  if (invited !== undefined)
    return { name: invited.name, email: invited.email, practice: invited.practice };
  const seconds = await inTransactionOn(pool, (on) => countTry(on, 'invitation', address));
  return problem(seconds > 0 ? { code: 'tooManyTries', seconds } : { code: 'notFound' });
};

/** Takes an invitation up: sets the password, ends every session there was, and begins one. */
export const takeUpInvitation = async (
  pool: pg.Pool,
  asked: { readonly request: WelcomeRequest; readonly address: string; readonly hours: number },
): Promise<{ readonly token: string; readonly userId: string }> => {
  const tokenHash = hashOf(asked.request.token);
  await lookAtInvitation(pool, { token: asked.request.token, address: asked.address });
  const passwordHash = await hashPassword(asked.request.wanted);
  return inTransactionOn(pool, async (on) => {
    const invited = (await maybeInvited(on, tokenHash)) ?? problem({ code: 'notFound' });
    const userId = invited.user_id;
    if ((await deleteInvitation(on, userId)) === 0) return problem({ code: 'notFound' });
    await setPassword(on, { userId, passwordHash });
    await closeSessionsOf(on, { userId, except: null });
    return { token: await beginSession(on, { userId, hours: asked.hours, former: '' }), userId };
  });
};
