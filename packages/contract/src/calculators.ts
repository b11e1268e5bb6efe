import { z } from 'zod';
import { angleSchema } from './caseFile.ts';

const length = z.number().gt(0);
export const TOE_UNITS = ['deg', 'min', 'mm', 'in'] as const;
export type ToeUnit = (typeof TOE_UNITS)[number];
const isLength = (unit: ToeUnit) => unit === 'mm' || unit === 'in';

/** Arc minutes at which an angle reaches 90 degrees. */
const RIGHT_ANGLE_MIN = 5400;

export const toeConvertInputSchema = z
  .strictObject({
    value: z.number(),
    from: z.enum(TOE_UNITS),
    to: z.enum(TOE_UNITS),
    diameter: length.optional(),
  })
  .superRefine((input, ctx) => {
    if (isLength(input.from) !== isLength(input.to) && input.diameter === undefined) {
      ctx.addIssue({
        code: 'custom',
        path: ['diameter'],
        message: 'a diameter in mm: it is needed between an angle and a length',
      });
    }
    const limit = input.from === 'deg' ? 90 : RIGHT_ANGLE_MIN;
    if (!isLength(input.from) && Math.abs(input.value) >= limit) {
      ctx.addIssue({
        code: 'custom',
        path: ['value'],
        message: 'an angle between -90 and 90 degrees',
      });
    }
  });

/** What each calculator takes, by name. */
export const calculatorInputs = {
  tireSize: z.strictObject({ size: z.string().min(1).max(60) }),
  toeConvert: toeConvertInputSchema,
  slip: z.strictObject({ toe: angleSchema }),
} as const;

export type CalculatorName = keyof typeof calculatorInputs;
export type CalculatorInput<N extends CalculatorName> = z.infer<(typeof calculatorInputs)[N]>;
export const CALCULATOR_NAMES = Object.keys(calculatorInputs) as CalculatorName[];

/** One line of a batch file: which calculator, and its input. */
export const calculatorCallSchema = z.strictObject({
  name: z.enum(CALCULATOR_NAMES as [CalculatorName, ...CalculatorName[]]),
  in: z.unknown(),
});
