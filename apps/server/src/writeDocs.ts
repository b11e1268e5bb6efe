import { writeFile } from 'node:fs/promises';
import { openApiDocument, publishedJsonSchemas } from '@keen/contract';

/** Writes docs/*.json from the schemas; a test holds them to what the code says. */
const docs = new URL('../../../docs/', import.meta.url);
const { case: caseFile, diagnosis } = publishedJsonSchemas();
for (const [name, document] of Object.entries({
  'case.schema.json': caseFile,
  'diagnosis.schema.json': diagnosis,
  'openapi.json': openApiDocument(),
})) {
  await writeFile(new URL(name, docs), `${JSON.stringify(document, null, 2)}\n`);
}
