import type { ENDPOINTS, EndpointName } from '@iunctus/contract';
import type pg from 'pg';
import type * as v from 'valibot';
import type { Viewer } from '../access/viewer';
import type { Veiled } from '../charts/veiled';

/** Endpoints that deal with sessions and cookies, and those whose answer is sent as it is read. */
export type AccessEndpoint =
  | 'signIn'
  | 'signOut'
  | 'session'
  | 'entrance'
  | 'lookAtInvitation'
  | 'takeUpInvitation'
  | 'openApi'
  | 'sessions'
  | 'endSession'
  | 'changePassword';
export type StreamedEndpoint = 'backUpPractice' | 'backUpClient';

/** Endpoints that are answered by work on the database alone, in this thread or another. */
export type WorkEndpoint = Exclude<EndpointName, AccessEndpoint | StreamedEndpoint>;

type Entry<N extends EndpointName> = (typeof ENDPOINTS)[N];
type Read<E, K extends string> = E extends { readonly [key in K]: infer S }
  ? S extends v.GenericSchema
    ? v.InferOutput<S>
    : undefined
  : undefined;

/** A file to hand out. */
export interface HandedOut {
  readonly name: string;
  readonly type: string;
  readonly content: string | Uint8Array;
}

type Answer<E> = E extends { readonly answer: 'file' }
  ? HandedOut
  : E extends { readonly answer: infer S extends v.GenericSchema }
    ? v.InferOutput<S>
    : object;

/** Whatever is asked below a client must have passed the veil; `null` bears nothing. */
type Sendable<E, T> = E extends { readonly path: `/clients/:clientId/${string}` }
  ? Veiled<NonNullable<T>> | (null extends T ? null : never)
  : T;

/** What is asked, read by the contract. */
export interface Call<N extends EndpointName> {
  readonly viewer: Viewer;
  readonly params: Readonly<Record<string, string | undefined>>;
  readonly query: Read<Entry<N>, 'query'>;
  readonly body: Read<Entry<N>, 'request'>;
}

/** What work on the database needs besides what is asked. */
export interface Tools {
  readonly pool: pg.Pool;
}

/** What is answered with the client itself: nothing of its chart is in it. */
type AboutClient = 'changeNature' | 'putClientAway' | 'bringClientBack';

/** How each endpoint is answered. What is asked below a client is answered with what has passed the veil. */
export type Handlers = {
  readonly [N in WorkEndpoint]: (
    tools: Tools,
    call: Call<N>,
  ) => Promise<N extends AboutClient ? Answer<Entry<N>> : Sendable<Entry<N>, Answer<Entry<N>>>>;
};
