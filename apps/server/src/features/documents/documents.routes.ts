import { openApiDocument, publishedJsonSchemas } from '@keen/contract';
import { Router } from 'express';

/** The open formats and the API, described by the schemas that check them. */
export function documentRoutes(): Router {
  const router = Router();
  const schemas = publishedJsonSchemas();
  const openApi = openApiDocument();
  router.get('/openapi.json', (_req, res) => {
    res.json(openApi);
  });
  for (const [name, schema] of Object.entries(schemas)) {
    router.get(`/schema/${name}.json`, (_req, res) => {
      res.type('application/schema+json').send(JSON.stringify(schema));
    });
  }
  return router;
}
