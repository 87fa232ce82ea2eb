import { SignInRequest } from '@iunctus/contract';
import { Router, type Request, type RequestHandler, type Response } from 'express';
import type pg from 'pg';
import { answers, read } from '../http/handle';
import { ProblemError } from '../http/problem';
import { SESSION_HOURS, sessionOf, signIn, signOut } from './access.service';

const COOKIE = 'iunctus_session';

const tokenIn = (request: Request): string => {
  const cookies = (request.headers.cookie ?? '').split(/;\s*/);
  const own = cookies.find((cookie) => cookie.startsWith(`${COOKIE}=`));
  return own?.slice(COOKIE.length + 1) ?? '';
};

const setCookie = (request: Request, response: Response, token: string): void => {
  response.cookie(COOKIE, token, {
    httpOnly: true,
    sameSite: 'strict',
    secure: request.secure,
    path: '/api',
    maxAge: SESSION_HOURS * 3_600_000,
  });
};

/** Lets nobody pass who is not signed in; leaves the viewer for the handlers behind. */
export const gate =
  (pool: pg.Pool): RequestHandler =>
  async (request, response, next) => {
    const session = await sessionOf(pool, tokenIn(request));
    if (session === undefined) throw new ProblemError({ code: 'notSignedIn' });
    response.locals['viewer'] = session.viewer;
    next();
  };

/** Sign-in and sign-out, open to all, and the answer to "who am I". */
export const accessRoutes = (pool: pg.Pool): Router => {
  const router = Router();
  router.post('/sign-in', async (request, response) => {
    const token = await signIn(pool, read(SignInRequest, request.body));
    setCookie(request, response, token);
    response.json((await sessionOf(pool, token))?.answer);
  });
  router.post('/sign-out', async (request, response) => {
    await signOut(pool, tokenIn(request));
    response.clearCookie(COOKIE, { path: '/api' });
    response.json({});
  });
  router.get(
    '/session',
    answers(async (request) => (await sessionOf(pool, tokenIn(request)))?.answer ?? null),
  );
  return router;
};
