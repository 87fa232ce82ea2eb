import type { Request, Response } from 'express';

const COOKIE = 'iunctus_session';

/** The token of the session that a request comes with; empty for none. */
export const tokenIn = (request: Request): string => {
  const cookies = (request.headers.cookie ?? '').split(/;\s*/);
  const own = cookies.find((cookie) => cookie.startsWith(`${COOKIE}=`));
  const token = own?.slice(COOKIE.length + 1) ?? '';
  return /^[\w-]{20,100}$/.test(token) ? token : '';
};

const kept = (request: Request) =>
  ({ httpOnly: true, sameSite: 'strict', secure: request.secure, path: '/api' }) as const;

/** Gives the browser a session to keep, out of reach of scripts and other sites. */
export const setCookie = (
  request: Request,
  response: Response,
  session: { readonly token: string; readonly hours: number },
): void => {
  response.cookie(COOKIE, session.token, { ...kept(request), maxAge: session.hours * 3_600_000 });
};

/** Takes it from the browser. */
export const clearCookie = (request: Request, response: Response): void => {
  response.clearCookie(COOKIE, kept(request));
};
