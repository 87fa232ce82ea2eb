import { randomUUID } from 'node:crypto';
import type { IncomingMessage, ServerResponse } from 'node:http';
import { pino, type Logger } from 'pino';
import { pinoHttp, type HttpLogger } from 'pino-http';

/** The id by which a request is known in the log and to whoever asked. */
export const requestIdOf = ({ id }: { readonly id: unknown }): string => id as string;

/** What happens, a line of JSON each: no names, no addresses of people, nothing of what was asked or answered. */
export type Log = Logger;

/** A log at a level, to a file or to the standard output. */
export const createLog = ({
  level,
  file,
}: {
  readonly level: string;
  readonly file: string | null;
}): Log =>
  pino({ level, base: null }, pino.destination({ dest: file ?? 1, mkdir: true, sync: false }));

const given = (request: IncomingMessage): string | undefined => {
  const id = request.headers['x-request-id'];
  return typeof id === 'string' && /^[\w-]{8,64}$/.test(id) ? id : undefined;
};

const endpointIn = (response: ServerResponse): string =>
  Reflect.get(response, 'endpointName') as string;

/** Notes of which endpoint an answer is, for the log: its path alone would tell of whom it is. */
export const nameEndpoint = (response: ServerResponse, name: string): void => {
  Reflect.set(response, 'endpointName', name);
};

/** A line for each request: what was asked by kind, how it ended, and how long it took. Every answer bears the request's id. */
export const accessLog = (log: Log, trustIds: boolean): HttpLogger =>
  pinoHttp({
    logger: log,
    genReqId: (request, response) => {
      const id = (trustIds ? given(request) : undefined) ?? randomUUID();
      response.setHeader('X-Request-Id', id);
      return id;
    },
    serializers: {
      req: ({ id, method }: { id: string; method: string }) => ({ id, method }),
      res: ({ statusCode }: { statusCode: number }) => ({ status: statusCode }),
      err: ({ type, message }: { type: string; message: string }) => ({ type, message }),
    },
    customProps: (_request, response) => ({ endpoint: endpointIn(response) }),
    customLogLevel: (_request, response, error) =>
      error !== undefined || response.statusCode === 500 ? 'error' : 'info',
    wrapSerializers: true,
  });
