import { z } from 'zod';
import { when } from '@/contracts/basics';
import { hookWordSchema, OPERATIONS, type Operation } from '@/contracts/program';
import { SCOPES } from '@/contracts/programScopes';

/** A schema as the document tells it. Times are read from whatever the database gives and said as texts. */
const told = (schema: z.ZodType, io: 'input' | 'output') => {
  const { $schema: _, ...rest } = z.toJSONSchema(schema, {
    io,
    unrepresentable: 'any',
    override: ({ zodSchema, jsonSchema }) => {
      if (zodSchema === when) Object.assign(jsonSchema, { type: 'string', format: 'date-time' });
    },
  });
  return rest;
};

const PROBLEM = {
  type: 'object',
  required: ['code', 'message'],
  properties: {
    code: { type: 'string' },
    message: { type: 'string', description: 'in words a person can act on' },
    field: { type: 'string', description: 'what it is about' },
  },
};

function operationOf({ method, path, scope, says, query, body, answer }: Operation) {
  const json = (schema: object) => ({ 'application/json': { schema } });
  const problem = (description: string) => ({ description, content: json({ $ref: '#/components/schemas/Problem' }) });
  const asked = query ? (told(query, 'input') as { properties?: Record<string, object>; required?: string[] }) : {};
  const parameters = [
    ...(path.includes('{id}')
      ? [{ name: 'id', in: 'path', required: true, schema: { type: 'string', format: 'uuid' } }]
      : []),
    ...Object.entries(asked.properties ?? {}).map(([name, schema]) => ({
      ...{ name, in: 'query', required: asked.required?.includes(name) ?? false, schema },
    })),
  ];
  return {
    summary: says,
    security: [{ token: [] }],
    'x-scope': scope,
    ...(parameters.length > 0 && { parameters }),
    ...(body && { requestBody: { required: true, content: json(told(body, 'input')) } }),
    responses: {
      200: { description: 'done', content: json(told(answer, 'output')) },
      400: problem('what was sent cannot be'),
      401: problem('no token, or one that opens nothing'),
      403: problem(`the token lacks “${scope}”`),
      ...(path.includes('{id}') && { 404: problem('not there') }),
      ...(method === 'POST' && { 409: problem('that id says something else already') }),
    },
  };
}

/** The whole document, made of the list that the routes are made of. */
export function openApi() {
  const paths: Record<string, Record<string, object>> = {};
  for (const operation of Object.values<Operation>(OPERATIONS))
    (paths[operation.path] ??= {})[operation.method.toLowerCase()] = operationOf(operation);
  return {
    openapi: '3.1.0',
    info: {
      title: 'Gravelwort',
      version: '1',
      description: `For programs of a shop. A token is made by an owner on the shop’s page and may: ${Object.entries(
        SCOPES,
      )
        .map(([scope, says]) => `${scope} (${says})`)
        .join(', ')}. Lengths are mm, masses kg, times UTC.`,
    },
    servers: [{ url: '/api/v1' }],
    paths,
    webhooks: {
      'check.due': {
        post: {
          summary: 'A check has fallen due.',
          requestBody: { content: { 'application/json': { schema: told(hookWordSchema, 'output') } } },
          responses: { '2XX': { description: 'heard' } },
        },
      },
    },
    components: {
      schemas: { Problem: PROBLEM },
      securitySchemes: { token: { type: 'http', scheme: 'bearer' } },
    },
  };
}
