import { z } from 'zod';
import { caseFileSchema } from './caseFile.ts';
import { diagnosisSchema } from './diagnosis.ts';

/** The open formats as JSON Schema (draft 2020-12), generated from the schemas that check them. */
export function publishedJsonSchemas() {
  return {
    case: z.toJSONSchema(caseFileSchema, { io: 'input' }),
    diagnosis: z.toJSONSchema(diagnosisSchema, { io: 'input' }),
  };
}
