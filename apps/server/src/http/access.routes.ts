import {
  InvitationRequest,
  PasswordRequest,
  SignInRequest,
  WelcomeRequest,
  type EntranceAnswer,
  type SessionAnswer,
} from '@iunctus/contract';
import type { Request, Response } from 'express';
import type pg from 'pg';
import type { AccessEndpoint } from '../endpoints/call';
import { idIn, read, readJson } from '../problems/read-request';
import { paramsOf } from './params';
import { requestIdOf, type Log } from './logging';
import { openApi } from './open-api';
import { ProblemError } from '../problems/problem';
import { lookAtInvitation, takeUpInvitation } from '../people/people.service';
import {
  changePassword,
  endOwnSession,
  ownSessions,
  sessionOf,
  signIn,
  signOut,
  type Session,
  type SessionLimits,
} from '../access/access.service';
import { clearCookie, setCookie, tokenIn } from '../access/cookies';
import type { Viewer } from '../access/viewer';

/** A request that deals with sessions; whoever is signed in comes with theirs. */
export interface AccessCall {
  readonly request: Request;
  readonly response: Response;
  readonly body: Uint8Array;
  readonly session: Session | undefined;
}

/** What dealing with sessions takes. */
export interface AccessTools {
  readonly pool: pg.Pool;
  readonly limits: SessionLimits;
  readonly log: Log;
  /** Who may sign in to the demo practice; `null` where it is not there. */
  readonly demo: EntranceAnswer['demo'];
}

type Answer = (tools: AccessTools, call: AccessCall) => Promise<unknown>;

const addressOf = ({ request }: AccessCall): string => request.ip ?? '';

const viewerOf = ({ session }: AccessCall): Viewer => {
  if (session === undefined) throw new ProblemError({ code: 'notSignedIn' });
  return session.viewer;
};

/** Gives the browser the session that was begun, and says whose it is. */
const begun = async (
  { pool, limits }: AccessTools,
  { request, response }: AccessCall,
  token: string,
): Promise<SessionAnswer | undefined> => {
  setCookie(request, response, { token, hours: limits.hours });
  return (await sessionOf(pool, token, limits))?.answer;
};

const noted = async <T>(
  { log }: AccessTools,
  { request }: AccessCall,
  work: () => Promise<T>,
): Promise<T> => {
  try {
    return await work();
  } catch (error) {
    const why = error instanceof ProblemError ? error.problem.code : 'failed';
    log.info({ event: 'signInRefused', why, requestId: requestIdOf(request) });
    throw error;
  }
};

/** Signing in and out, one's own sessions and password, and invitations. */
export const ACCESS_ANSWERS: Readonly<Record<AccessEndpoint, Answer>> = {
  signIn: (tools, call) =>
    noted(tools, call, async () => {
      const { token, userId } = await signIn(tools.pool, {
        request: read(SignInRequest, readJson(call.body)),
        address: addressOf(call),
        former: tokenIn(call.request),
        hours: tools.limits.hours,
      });
      tools.log.info({ event: 'signedIn', userId, requestId: requestIdOf(call.request) });
      return begun(tools, call, token);
    }),
  async signOut({ pool }, { request, response }) {
    await signOut(pool, tokenIn(request));
    clearCookie(request, response);
    return {};
  },
  entrance: ({ demo }) => Promise.resolve({ demo } satisfies EntranceAnswer),
  session: (_tools, { session }) => Promise.resolve(session?.answer ?? null),
  lookAtInvitation: ({ pool }, call) =>
    lookAtInvitation(pool, {
      token: read(InvitationRequest, readJson(call.body)).token,
      address: addressOf(call),
    }),
  takeUpInvitation: (tools, call) =>
    noted(tools, call, async () => {
      const { token, userId } = await takeUpInvitation(tools.pool, {
        request: read(WelcomeRequest, readJson(call.body)),
        address: addressOf(call),
        hours: tools.limits.hours,
      });
      tools.log.info({ event: 'passwordSet', userId, requestId: requestIdOf(call.request) });
      return begun(tools, call, token);
    }),
  openApi(_tools, { response }) {
    response.type('application/json').send(openApi());
    return Promise.resolve(undefined);
  },
  sessions: ({ pool }, call) => ownSessions(pool, viewerOf(call), call.session?.id ?? ''),
  endSession: ({ pool }, call) =>
    endOwnSession(pool, viewerOf(call), idIn(paramsOf(call.request), 'sessionId')),
  changePassword: ({ pool }, call) =>
    changePassword(pool, viewerOf(call), {
      request: read(PasswordRequest, readJson(call.body)),
      token: tokenIn(call.request),
      address: addressOf(call),
    }),
};
