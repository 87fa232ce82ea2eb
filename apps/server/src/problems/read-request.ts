import * as v from 'valibot';
import { badRequest, problem } from './problem';

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

/** JSON as it came over the wire, in UTF-8; refuses anything else. */
export const readJson = (bytes: Uint8Array): unknown => {
  try {
    return JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(bytes));
  } catch {
    return badRequest('', 'is no JSON in UTF-8');
  }
};

type Params = Readonly<Record<string, string | undefined>>;

const Uuid = v.pipe(v.string(), v.uuid());

/** A part of the path that must be a UUID; anything else is nowhere to be found. */
export const idIn = (params: Params, name: string): string => {
  const result = v.safeParse(Uuid, params[name]);
  return result.success ? result.output.toLowerCase() : problem({ code: 'notFound' });
};

/** A part of the path that must be a whole number. */
export const numberIn = (params: Params, name: string): number => {
  const text = params[name] ?? '';
  return /^\d{1,9}$/.test(text) ? Number(text) : problem({ code: 'notFound' });
};
