import { OpenApiGeneratorV31, OpenAPIRegistry } from '@asteasolutions/zod-to-openapi';
import { z } from 'zod';
import { problemSchema } from './api.ts';
import { API_PATHS } from './paths/index.ts';
import type { ApiPath } from './paths/apiPath.ts';

/** The API described as OpenAPI 3.1, made from the schemas that check it. */
export function openApiDocument() {
  const registry = new OpenAPIRegistry();
  registry.registerComponent('securitySchemes', 'session', {
    type: 'apiKey',
    in: 'cookie',
    name: 'keen.sid',
  });
  registry.registerComponent('securitySchemes', 'key', { type: 'http', scheme: 'bearer' });
  for (const path of API_PATHS) registry.registerPath(routeOf(path));
  return new OpenApiGeneratorV31(registry.definitions).generateDocument({
    openapi: '3.1.0',
    info: { title: 'Keen Groove', version: '1' },
  });
}

function routeOf(path: ApiPath): Parameters<OpenAPIRegistry['registerPath']>[0] {
  const params = [...path.path.matchAll(/\{(\w+)\}/g)].map(([, name]) => name!);
  const content = path.replyType
    ? { [path.replyType]: { schema: z.string() } }
    : path.reply && { 'application/json': { schema: path.reply } };
  return {
    method: path.method,
    path: path.path,
    summary: path.summary,
    operationId: operationId(path),
    ...(path.open ? {} : { security: [{ [path.scope ? 'key' : 'session']: [] }] }),
    request: {
      ...(params.length > 0 ? { params: paramsSchema(params) } : {}),
      ...(path.query ? { query: path.query } : {}),
      ...(path.body
        ? { body: { required: true, content: { 'application/json': { schema: path.body } } } }
        : {}),
      ...(path.bodyType
        ? {
            body: {
              required: true,
              content: { [path.bodyType]: { schema: z.string().meta({ format: 'binary' }) } },
            },
          }
        : {}),
    },
    responses: {
      ...(content ? { 200: { description: 'Done', content } } : { 204: { description: 'Done' } }),
      default: {
        description: 'A problem document (RFC 9457)',
        content: { 'application/problem+json': { schema: problemSchema } },
      },
    },
  };
}

function paramsSchema(names: readonly string[]) {
  return z.strictObject(
    Object.fromEntries(
      names.map((name) => [name, /^(id|.*Id)$/.test(name) ? z.uuid() : z.string()]),
    ),
  );
}

/** A name for generated clients: the method and the way, as in `postVisitsByIdEntries`. */
function operationId({ method, path }: ApiPath): string {
  const words = path
    .replace(/^\/api\//, '')
    .replace(/\{(\w+)\}/g, 'by-$1')
    .split(/[^A-Za-z0-9]+/)
    .filter((word) => word !== '');
  return method + words.map((word) => word[0]!.toUpperCase() + word.slice(1)).join('');
}
