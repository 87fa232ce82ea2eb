import type { Request, RequestHandler, Response } from 'express';
import * as v from 'valibot';
import type { Viewer } from '../access/access.service';
import { problem } from './problem';

/** Reads unknown data by a schema, or says which field broke which rule. */
export const read = <T>(schema: v.GenericSchema<unknown, T>, data: unknown): T => {
  const result = v.safeParse(schema, data);
  if (result.success) return result.output;
  const issues = result.issues.slice(0, 20).map((issue) => ({
    field: v.getDotPath(issue) ?? '',
    rule: issue.message,
  }));
  return problem({ code: 'badRequest', issues });
};

/** A part of the path that must be a UUID; anything else is nowhere to be found. */
export const idIn = (request: Request, name: string): string => {
  const result = v.safeParse(v.pipe(v.string(), v.uuid()), request.params[name]);
  return result.success ? result.output : problem({ code: 'notFound' });
};

/** A part of the path that must be a whole number. */
export const numberIn = (request: Request, name: string): number => {
  const text = String(request.params[name]);
  return /^\d{1,9}$/.test(text) ? Number(text) : problem({ code: 'notFound' });
};

/** Who asks. Only behind the gate that lets nobody pass who is not signed in. */
export const viewerOf = (response: Response): Viewer => response.locals['viewer'] as Viewer;

/** A handler that answers with what `work` gives. */
export const answers =
  (work: (request: Request, response: Response) => Promise<unknown>): RequestHandler =>
  async (request, response) => {
    response.json(await work(request, response));
  };
