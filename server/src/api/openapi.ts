import {
  BACKUPS,
  BUILD,
  CROPS_OF_ONES_OWN,
  REMOTE_ACCESS,
  GARDEN,
  LOG,
  PHOTOS,
  PLANS,
  PLANTERS,
  PRICES,
  problemSchema,
  ROUND,
  SEASONS,
  VESSELS,
  WEATHER,
} from '@huerta/contract';
import type { ProblemKind, Route } from '@huerta/contract';
import { z } from 'zod';

/** A description of the API for other programs (OpenAPI 3.1), made from the very routes that are served. */

const TABLES = {
  PLANS,
  PLANTERS,
  GARDEN,
  BACKUPS,
  REMOTE_ACCESS,
  VESSELS,
  PRICES,
  WEATHER,
  CROPS_OF_ONES_OWN,
  SEASONS,
  ROUND,
  BUILD,
  LOG,
  PHOTOS,
} as const;

/** Under which status each problem is answered. */
const STATUS: Readonly<Record<ProblemKind, number>> = {
  invalid: 400,
  'not-json': 400,
  'foreign-host': 403,
  'foreign-page': 403,
  'not-let-in': 401,
  'garden-damaged': 503,
  'not-found': 404,
  conflict: 409,
  'too-large': 413,
  contradiction: 422,
  'too-much-work': 422,
  'too-many': 429,
  internal: 500,
};

/** What can go wrong with any request. */
const ALWAYS: readonly ProblemKind[] = ['foreign-host', 'not-let-in', 'too-many', 'internal'];

const schemaOf = (schema: z.ZodType, io: 'input' | 'output'): object => {
  const { $schema: _none, ...rest } = z.toJSONSchema(schema, { unrepresentable: 'any', io });
  return rest;
};

function parameters({ path, query }: Route): object[] {
  const inPath = [...path.matchAll(/:(\w+)/g)].map(([, name]) => ({
    name,
    in: 'path',
    required: true,
    schema: { type: 'string', ...(name === 'id' ? { format: 'uuid' } : {}) },
  }));
  if (!query) return inPath;
  const { properties = {}, required = [] } = schemaOf(query, 'input') as {
    properties?: Record<string, object>;
    required?: string[];
  };
  const inQuery = Object.entries(properties).map(([name, schema]) => ({
    name,
    in: 'query',
    required: required.includes(name),
    schema,
  }));
  return [...inPath, ...inQuery];
}

function answers(route: Route): Record<string, object> {
  const { answer, file, status = 200, problems = [] } = route;
  const content = answer
    ? { 'application/json': { schema: schemaOf(answer, 'output') } }
    : file
      ? { [file]: {} }
      : undefined;
  const kinds = [
    ...problems,
    ...(route.query || route.body ? (['invalid'] as const) : []),
    ...ALWAYS,
  ];
  const byStatus = new Map<number, ProblemKind[]>();
  for (const kind of new Set(kinds)) {
    byStatus.set(STATUS[kind], [...(byStatus.get(STATUS[kind]) ?? []), kind]);
  }
  return {
    [status]: { description: 'As asked.', ...(content ? { content } : {}) },
    ...Object.fromEntries(
      [...byStatus].map(([code, found]) => [
        code,
        {
          description: found.join(', '),
          content: {
            'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } },
          },
        },
      ]),
    ),
  };
}

/** The whole description. */
export function openApi(version: string): object {
  const paths: Record<string, Record<string, object>> = {};
  for (const [table, routes] of Object.entries(TABLES)) {
    for (const [name, route] of Object.entries(routes as Record<string, Route>)) {
      const path = `/api${route.path.replace(/:(\w+)/g, '{$1}')}`;
      paths[path] = {
        ...paths[path],
        [route.method]: {
          operationId: `${table.toLowerCase()}-${name}`,
          summary: route.about,
          parameters: parameters(route),
          ...(route.body
            ? {
                requestBody: {
                  required: true,
                  content: { 'application/json': { schema: schemaOf(route.body, 'input') } },
                },
              }
            : {}),
          ...(route.sends
            ? { requestBody: { required: true, content: { [route.sends]: {} } } }
            : {}),
          responses: answers(route),
        },
      };
    }
  }
  return {
    openapi: '3.1.0',
    info: {
      title: 'Huerta',
      version,
      description: 'One garden of wicking planters. Numbers are SI.',
    },
    paths,
    components: { schemas: { Problem: schemaOf(problemSchema, 'output') } },
  };
}
