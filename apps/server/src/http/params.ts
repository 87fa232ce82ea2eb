import type { Request } from 'express';

/** The parts of the path that vary, each one text. */
export const paramsOf = (request: Request): Readonly<Record<string, string>> =>
  Object.fromEntries(Object.entries(request.params).map(([name, value]) => [name, String(value)]));
