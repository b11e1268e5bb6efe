import { z } from 'zod';
import { angleFileSchema } from './angleFile.ts';
import { calculatorOutputs } from './calculatorOutputs.ts';
import type { CalculatorName } from './calculators.ts';
import { calculatorInputs } from './calculators.ts';
import { caseFileSchema } from './caseFile.ts';
import { diagnosisSchema } from './diagnosis.ts';
import { specSheetSchema } from './specSheet.ts';
import { treadPassSchema } from './treadPass.ts';

/** The open formats as JSON Schema (draft 2020-12), generated from the schemas that check them. */
export function publishedJsonSchemas() {
  return {
    case: z.toJSONSchema(caseFileSchema, { io: 'input' }),
    specification: z.toJSONSchema(specSheetSchema, { io: 'input' }),
    angles: z.toJSONSchema(angleFileSchema, { io: 'input' }),
    'tread-pass': z.toJSONSchema(treadPassSchema, { io: 'input' }),
    diagnosis: z.toJSONSchema(diagnosisSchema, { io: 'input' }),
  };
}

/** What a calculator takes and answers, as JSON Schema (draft 2020-12). */
export function calculatorJsonSchemas(name: CalculatorName) {
  return {
    in: z.toJSONSchema(calculatorInputs[name], { io: 'input' }),
    out: z.toJSONSchema(calculatorOutputs[name]),
  };
}
