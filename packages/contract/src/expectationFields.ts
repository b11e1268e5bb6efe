import { z } from 'zod';

/** What was expected where an input is refused, as an answer has it: in English, and as a reason with its figures. */
export const expectationFields = {
  expected: z.string(),
  reason: z.string().optional(),
  values: z.record(z.string(), z.union([z.string(), z.number()])).optional(),
};
