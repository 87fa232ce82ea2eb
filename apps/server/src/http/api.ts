import { ENDPOINTS, USUAL_MOST, type Endpoint, type EndpointName } from '@iunctus/contract';
import { may } from '@iunctus/core';
import { Router, type Request, type RequestHandler, type Response } from 'express';
import { ACCESS_ANSWERS, type AccessTools } from './access.routes';
import { sessionOf, type Session } from '../access/access.service';
import { tokenIn } from '../access/cookies';
import { sendBackup, type BackupTools } from './send-backup';
import type { AccessEndpoint, StreamedEndpoint } from '../endpoints/call';
import { isWork } from '../endpoints/handlers';
import type { Outcome } from '../endpoints/perform';
import type { Lanes } from '../lanes/lanes';
import { readBody } from './body';
import { paramsOf } from './params';
import { nameEndpoint, requestIdOf } from './logging';
import { problem } from '../problems/problem';

/** What answering takes. */
export interface ApiTools extends AccessTools {
  readonly lanes: Lanes;
  readonly backups: BackupTools;
}

const isAccess = (name: EndpointName): name is AccessEndpoint =>
  Object.hasOwn(ACCESS_ANSWERS, name);

/** Refuses whoever is not signed in, or may not do what the endpoint does. */
const admit = (endpoint: Endpoint, session: Session | undefined): void => {
  if (endpoint.may === 'anybody') return;
  if (session === undefined) return problem({ code: 'notSignedIn' });
  if (!may(session.viewer.role, endpoint.may)) return problem({ code: 'notAllowed' });
};

const send = (response: Response, { status, headers, body, fault }: Outcome): void => {
  if (fault !== null) response.log.error({ event: 'fault', fault });
  response.status(status).set(headers);
  response.end(
    typeof body === 'string' ? body : Buffer.from(body.buffer, body.byteOffset, body.byteLength),
  );
};

const answerAccess = async (
  tools: ApiTools,
  name: AccessEndpoint,
  call: {
    readonly request: Request;
    readonly response: Response;
    readonly session: Session | undefined;
  },
): Promise<void> => {
  const body = await readBody(
    call.request,
    call.response,
    (ENDPOINTS[name] as Endpoint).most ?? USUAL_MOST,
  );
  const answer = await ACCESS_ANSWERS[name](tools, { ...call, body });
  if (!call.response.headersSent) call.response.json(answer);
};

/** Answers one endpoint: who asks and whether they may is known before a byte of what they send is read. */
const answering =
  (tools: ApiTools, name: EndpointName): RequestHandler =>
  async (request, response) => {
    const endpoint: Endpoint = ENDPOINTS[name];
    nameEndpoint(response, name);
    const session = await sessionOf(tools.pool, tokenIn(request), tools.limits);
    admit(endpoint, session);
    if (isAccess(name)) return answerAccess(tools, name, { request, response, session });
    if (session === undefined) return problem({ code: 'notSignedIn' });
    const { viewer } = session;
    if (!isWork(name))
      return sendBackup(tools.backups, name satisfies StreamedEndpoint, {
        request,
        response,
        viewer,
      });
    const body =
      endpoint.request === undefined
        ? null
        : await readBody(request, response, endpoint.most ?? USUAL_MOST);
    send(
      response,
      await tools.lanes.run({
        name,
        requestId: requestIdOf(request),
        viewer,
        params: paramsOf(request),
        query: { ...request.query },
        body,
      }),
    );
  };

/** Everything below `/api`. What is answered is the asker's alone and stays in no cache. */
export const apiRoutes = (tools: ApiTools): Router => {
  const router = Router();
  router.use((_request, response, next) => {
    response.set('Cache-Control', 'no-store');
    next();
  });
  for (const [name, endpoint] of Object.entries(ENDPOINTS) as [EndpointName, Endpoint][])
    router[endpoint.method](endpoint.path, answering(tools, name));
  router.use(async (request) => {
    const session = await sessionOf(tools.pool, tokenIn(request), tools.limits);
    problem({ code: session === undefined ? 'notSignedIn' : 'notFound' });
  });
  return router;
};
