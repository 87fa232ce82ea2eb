import { raw, type Request, type RequestHandler, type Response } from 'express';
import { badRequest } from '../problems/problem';

const JSON_TYPE = /^application\/json\s*(?:;\s*charset\s*=\s*"?utf-8"?\s*)?$/i;

/** Reads the bytes of a request up to a limit, packed ones never; JSON in UTF-8 is all that may come. */
const bodyUpTo = (most: number): RequestHandler => {
  const reader = raw({ limit: most, inflate: false, type: () => true });
  return (request, response, next) => {
    const type = request.headers['content-type'];
    const bears =
      'transfer-encoding' in request.headers || (request.headers['content-length'] ?? '0') !== '0';
    if (bears && (type === undefined || !JSON_TYPE.test(type)))
      return badRequest('content-type', 'is application/json, in UTF-8');
    reader(request, response, next);
  };
};

/** The bytes that were read. */
const bytesOf = (request: Request): Uint8Array =>
  Buffer.isBuffer(request.body) ? request.body : new Uint8Array();

/** Reads the body of a request, where one may come. */
export const readBody = (request: Request, response: Response, most: number): Promise<Uint8Array> =>
  new Promise((resolve, reject) => {
    void bodyUpTo(most)(request, response, (error?: unknown) => {
      if (error === undefined) resolve(bytesOf(request));
      else reject(error instanceof Error ? error : new Error('The body could not be read.'));
    });
  });
