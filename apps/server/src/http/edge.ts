import type { RequestHandler } from 'express';
import helmet from 'helmet';
import { problem } from '../problems/problem';

/** Under which names the application is reached. */
export interface Edge {
  /** The address that people type, where it is not loopback: its origin. */
  readonly publicAddress: string | null;
}

const LOOPBACK = /^(?:127\.0\.0\.1|localhost|\[::1\])(?::\d{1,5})?$/;

/** What browsers are told to hold pages to. */
export const securityHeaders = ({ publicAddress }: Edge): RequestHandler => {
  const secure = publicAddress?.startsWith('https:') === true;
  return helmet({
    contentSecurityPolicy: {
      directives: {
        // On plain HTTP there is nothing to upgrade. The control library styles inline.
        upgradeInsecureRequests: secure ? [] : null,
        styleSrc: ["'self'", "'unsafe-inline'"],
        workerSrc: ["'self'"],
      },
    },
    strictTransportSecurity: secure ? { maxAge: 31_536_000 } : false,
  });
};

const originOf = (host: string, secure: boolean): string =>
  `${secure ? 'https' : 'http'}://${host}`;

/** Lets only requests pass that name the application by a name of its own, so that no other site's name leads here. */
export const knownHost = ({ publicAddress }: Edge): RequestHandler => {
  const known = publicAddress === null ? null : new URL(publicAddress).host;
  return (request, _response, next) => {
    const host = request.headers.host ?? '';
    if (!LOOPBACK.test(host) && host !== known) problem({ code: 'foreignOrigin' });
    next();
  };
};

/**
 * Lets requests that may change something pass only when they come from a page of this application: what the browser
 * says of the page must not say otherwise. Cookies are kept from other sites besides.
 */
export const ownOrigin =
  ({ publicAddress }: Edge): RequestHandler =>
  (request, _response, next) => {
    if (request.method === 'GET' || request.method === 'HEAD') return next();
    const site = request.headers['sec-fetch-site'];
    const origin = request.headers.origin;
    const host = request.headers.host ?? '';
    const own = [
      originOf(host, request.secure),
      ...(publicAddress === null ? [] : [publicAddress]),
    ];
    if (site !== undefined && site !== 'same-origin' && site !== 'none')
      return problem({ code: 'foreignOrigin' });
    if (origin !== undefined && !own.includes(origin)) return problem({ code: 'foreignOrigin' });
    next();
  };
