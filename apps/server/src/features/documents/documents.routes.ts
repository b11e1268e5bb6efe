import { openApiDocument, publishedJsonSchemas } from '@keen/contract';
import type { Routes } from '../../http/routes.ts';

/** The open formats and the API, described by the schemas that check them. */
export function mountDocuments(routes: Routes): void {
  const schemas = new Map<string, string>(
    Object.entries(publishedJsonSchemas()).map(([name, schema]) => [name, JSON.stringify(schema)]),
  );
  const openApi = openApiDocument();
  routes.open('get', '/openapi.json', (_req, res) => {
    res.json(openApi);
  });
  routes.open('get', '/schema/:name.json', (req, res, next) => {
    const schema = schemas.get(String(req.params.name));
    if (schema === undefined) next();
    else res.type('application/schema+json').send(schema);
  });
}
