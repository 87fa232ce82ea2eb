import { HttpClient } from '@angular/common/http';
import { inject, Injectable } from '@angular/core';
import { ENDPOINTS, type Endpoint, type EndpointName } from '@iunctus/contract';
import { map, switchMap, type Observable } from 'rxjs';
import * as v from 'valibot';

type Entry<N extends EndpointName> = (typeof ENDPOINTS)[N];

type Input<E, K extends 'request' | 'query', As extends string> = E extends {
  readonly [key in K]: infer S extends v.GenericSchema;
}
  ? { readonly [key in As]: v.InferInput<S> }
  : unknown;

type Varying<P> = P extends `${string}:${infer Name}/${infer Rest}`
  ? Name | Varying<`/${Rest}`>
  : P extends `${string}:${infer Name}`
    ? Name
    : never;

/** What an endpoint is asked with: the parts of its path that vary, the query, the body. */
export type Asked<N extends EndpointName> = {
  readonly [name in Varying<Entry<N>['path']>]: string | number;
} & Input<Entry<N>, 'query', 'query'> &
  Input<Entry<N>, 'request', 'body'>;

/** What an endpoint answers; an empty object where only that it was done. */
export type AnswerOf<N extends EndpointName> =
  Entry<N> extends {
    readonly answer: infer S extends v.GenericSchema;
  }
    ? v.InferOutput<S>
    : object;

interface Given {
  readonly query?: Readonly<Record<string, string>>;
  readonly body?: unknown;
  readonly [name: string]: unknown;
}

const pathOf = ({ path }: Endpoint, given: Given): string =>
  `/api${path.replace(/:(\w+)/g, (_part, name: string) => encodeURIComponent(String(given[name])))}`;

/** Where an endpoint stands, with what is asked of it: for links to files. */
export const addressOf = <N extends EndpointName>(name: N, asked: Asked<N>): string => {
  const given = asked as Given;
  const query = new URLSearchParams(given.query).toString();
  return pathOf(ENDPOINTS[name], given) + (query === '' ? '' : `?${query}`);
};

/** The server, by the contract's table of endpoints; every answer is checked by the contract. */
@Injectable({ providedIn: 'root' })
export class ApiService {
  private readonly http = inject(HttpClient);

  /** Asks one endpoint. Errors as `HttpErrorResponse`, or as a `ValiError` where the answer breaks the contract. */
  ask<N extends EndpointName>(name: N, asked: Asked<N>): Observable<AnswerOf<N>> {
    const endpoint: Endpoint = ENDPOINTS[name];
    const given = asked as Given;
    const answer$ = this.http.request(endpoint.method, pathOf(endpoint, given), {
      ...(endpoint.method === 'get' || endpoint.method === 'delete'
        ? {}
        : { body: given.body ?? {} }),
      ...(given.query === undefined ? {} : { params: given.query }),
    });
    const { answer } = endpoint;
    if (answer === undefined || answer === 'file') return answer$ as Observable<AnswerOf<N>>;
    return answer$.pipe(map((data) => v.parse(answer, data) as AnswerOf<N>));
  }

  /** Takes a return file from its address and hands it to the simulated tax software. */
  sendReturn(address: string): Observable<AnswerOf<'sendReturn'>> {
    return this.http
      .get(address)
      .pipe(
        switchMap((body) => this.ask('sendReturn', { body: body as Asked<'sendReturn'>['body'] })),
      );
  }
}
