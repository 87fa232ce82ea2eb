import { ENDPOINTS, type Endpoint } from '@iunctus/contract';
import type { Viewer } from '../access/viewer';
import { problemOf, storyOf } from '../problems/errors';
import { read, readJson } from '../problems/read-request';
import { retryAfter, statusOf } from '../problems/problem';
import type { Call, HandedOut, Tools, WorkEndpoint } from './call';
import { HANDLERS } from './handlers';

/** What came over the wire, unread. It goes to another thread as it is. */
export interface Raw {
  readonly name: WorkEndpoint;
  readonly requestId: string;
  readonly viewer: Viewer;
  readonly params: Readonly<Record<string, string | undefined>>;
  readonly query: Readonly<Record<string, unknown>>;
  readonly body: Uint8Array | null;
}

/** What goes back over the wire. `fault` is what to log of something that is nobody's mistake but ours. */
export interface Outcome {
  readonly status: number;
  readonly headers: Readonly<Record<string, string>>;
  readonly body: Uint8Array | string;
  readonly fault: string | null;
}

const JSON_TYPE = 'application/json; charset=utf-8';

/** An answer as JSON. */
const jsonOutcome = (status: number, value: unknown): Outcome => ({
  status,
  headers: { 'content-type': JSON_TYPE },
  body: JSON.stringify(value),
  fault: null,
});

/** The answer to something that went wrong. */
export const failedOutcome = (error: unknown, requestId: string): Outcome => {
  const found = problemOf(error, requestId);
  const answer = jsonOutcome(statusOf(found), found);
  const seconds = retryAfter(found);
  return {
    ...answer,
    headers: { ...answer.headers, ...(seconds === null ? {} : { 'retry-after': String(seconds) }) },
    fault: found.code === 'failed' ? storyOf(error) : null,
  };
};

/** A name that any system takes for a file, in the header's own way. Source: RFC 6266 and RFC 8187 (from memory). */
const attached = (name: string): string => {
  const safe = name.replace(/[\p{Cc}\p{Cf}/\\:*?"<>|]+/gu, ' ').trim();
  const plain =
    safe
      .normalize('NFKD')
      .replace(/[^\x20-\x7e]/g, '')
      .replaceAll('%', '') || 'file';
  const whole = encodeURIComponent(safe.replace(/\p{Surrogate}/gu, '')).replace(
    /['()*]/g,
    (sign) => `%${sign.charCodeAt(0).toString(16)}`,
  );
  return `attachment; filename="${plain}"; filename*=UTF-8''${whole}`;
};

const fileOutcome = ({ name, type, content }: HandedOut): Outcome => ({
  status: 200,
  headers: { 'content-type': type, 'content-disposition': attached(name) },
  body: content,
  fault: null,
});

const callOf = (endpoint: Endpoint, { viewer, params, query, body }: Raw): Call<WorkEndpoint> =>
  ({
    viewer,
    params,
    query: endpoint.query === undefined ? undefined : read(endpoint.query, query),
    body:
      endpoint.request === undefined
        ? undefined
        : read(endpoint.request, readJson(body ?? new Uint8Array())),
  }) as unknown as Call<WorkEndpoint>;

/** Reads what is asked by the contract, answers it, and never throws. */
export const perform = async (tools: Tools, raw: Raw): Promise<Outcome> => {
  try {
    const endpoint: Endpoint = ENDPOINTS[raw.name];
    const handle = HANDLERS[raw.name] as (tools: Tools, call: unknown) => Promise<unknown>;
    const answer = await handle(tools, callOf(endpoint, raw));
    return endpoint.answer === 'file'
      ? fileOutcome(answer as HandedOut)
      : jsonOutcome(200, answer ?? null);
  } catch (error) {
    return failedOutcome(error, raw.requestId);
  }
};
