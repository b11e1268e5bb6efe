import { writeFile } from 'node:fs/promises';
import { openApiDocument, publishedJsonSchemas } from '@keen/contract';

/** Writes docs/*.json from the schemas; a test holds them to what the code says. */
const docs = new URL('../../../docs/', import.meta.url);
const schemas = Object.entries(publishedJsonSchemas());
const documents: [string, object][] = [
  ...schemas.map(([name, schema]): [string, object] => [`${name}.schema.json`, schema]),
  ['openapi.json', openApiDocument()],
];
for (const [name, document] of documents) {
  await writeFile(new URL(name, docs), `${JSON.stringify(document, null, 2)}\n`);
}
