import { VERSION } from '../config/version';
import { ENDPOINTS, Problem, type Endpoint, type EndpointName } from '@iunctus/contract';
import { PERMISSIONS } from '@iunctus/core';
import { toJsonSchema } from '@valibot/to-json-schema';
import type * as v from 'valibot';

const schemaOf = (schema: v.GenericSchema): object => {
  const { $schema: _dialect, ...rest } = toJsonSchema(schema, { errorMode: 'ignore' });
  return rest;
};

const json = (schema: object): object => ({ content: { 'application/json': { schema } } });

const FILE = { content: { 'application/octet-stream': {} } };

const named = (name: string): object => ({ $ref: `#/components/schemas/${name}` });

const queryParameters = ({ query }: Endpoint): readonly object[] => {
  if (query === undefined) return [];
  const { properties = {}, required = [] } = schemaOf(query) as {
    properties?: Record<string, object>;
    required?: string[];
  };
  return Object.entries(properties).map(([name, schema]) => ({
    name,
    in: 'query',
    required: required.includes(name),
    schema,
  }));
};

const pathParameters = ({ path }: Endpoint): readonly object[] =>
  [...path.matchAll(/:(\w+)/g)].map(([, name]) => ({
    name,
    in: 'path',
    required: true,
    schema: { type: 'string' },
  }));

const answerOf = (name: string, { answer }: Endpoint): object => {
  if (answer === undefined) return json({ type: 'object' });
  return answer === 'file' ? FILE : json(named(`${name}Answer`));
};

const operationOf = (name: string, endpoint: Endpoint): object => ({
  operationId: name,
  summary: endpoint.summary,
  ...(endpoint.may === 'anybody'
    ? { security: [] }
    : { description: `For: ${PERMISSIONS[endpoint.may].join(', ')}.` }),
  parameters: [...pathParameters(endpoint), ...queryParameters(endpoint)],
  ...(endpoint.request === undefined
    ? {}
    : { requestBody: { required: true, ...json(named(`${name}Request`)) } }),
  responses: {
    200: { description: 'Done', ...answerOf(name, endpoint) },
    default: { description: 'A problem', ...json(named('Problem')) },
  },
});

const ALL = Object.entries(ENDPOINTS) as [EndpointName, Endpoint][];

const components = (): Record<string, object> => {
  const schemas: Record<string, object> = { Problem: schemaOf(Problem) };
  for (const [name, { request, answer }] of ALL) {
    if (request !== undefined) schemas[`${name}Request`] = schemaOf(request);
    if (answer !== undefined && answer !== 'file') schemas[`${name}Answer`] = schemaOf(answer);
  }
  return schemas;
};

const describe = (): object => {
  const paths: Record<string, Record<string, object>> = {};
  for (const [name, endpoint] of ALL) {
    const path = `/api${endpoint.path.replace(/:(\w+)/g, '{$1}')}`;
    paths[path] = { ...paths[path], [endpoint.method]: operationOf(name, endpoint) };
  }
  return {
    openapi: '3.1.0',
    info: { title: 'Iunctus', version: VERSION },
    security: [{ session: [] }],
    paths,
    components: {
      schemas: components(),
      securitySchemes: { session: { type: 'apiKey', in: 'cookie', name: 'iunctus_session' } },
    },
  };
};

let description: string | undefined;

/** The OpenAPI description of this server as JSON, made once from the contract's table of endpoints. */
export const openApi = (): string => (description ??= JSON.stringify(describe()));
