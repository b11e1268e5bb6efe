import { describe, expect, it } from 'vitest';
import anglesSchema from '../../../docs/angles.schema.json' with { type: 'json' };
import caseSchema from '../../../docs/case.schema.json' with { type: 'json' };
import diagnosisSchema from '../../../docs/diagnosis.schema.json' with { type: 'json' };
import specificationSchema from '../../../docs/specification.schema.json' with { type: 'json' };
import treadPassSchema from '../../../docs/tread-pass.schema.json' with { type: 'json' };
import openApi from '../../../docs/openapi.json' with { type: 'json' };
import { openApiDocument, publishedJsonSchemas } from '../src/index.ts';

const plain = (value: unknown): unknown => JSON.parse(JSON.stringify(value));

describe('docs', () => {
  it('hold just the schemas that check the data; `npm run docs` writes them anew', () => {
    expect(caseSchema).toEqual(plain(publishedJsonSchemas().case));
    expect(diagnosisSchema).toEqual(plain(publishedJsonSchemas().diagnosis));
    expect(specificationSchema).toEqual(plain(publishedJsonSchemas().specification));
    expect(anglesSchema).toEqual(plain(publishedJsonSchemas().angles));
    expect(treadPassSchema).toEqual(plain(publishedJsonSchemas()['tread-pass']));
    expect(openApi).toEqual(plain(openApiDocument()));
  });

  it('describe every path with its body, its answer and the problem document', () => {
    const document = openApiDocument();
    const paths = Object.values(document.paths ?? {}) as Record<string, { responses: object }>[];
    const operations = paths.flatMap((path) => Object.values(path));
    expect(operations.length).toBeGreaterThan(15);
    for (const operation of operations) {
      expect(operation.responses).toHaveProperty('default');
    }
  });
});
