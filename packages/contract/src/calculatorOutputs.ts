import { z } from 'zod';
import type { CalculatorName } from './calculators.ts';

const SIDES = ['left', 'right'] as const;
const frontRear = (value: z.ZodNumber) => z.strictObject({ front: value, rear: value });
const leftRight = (value: z.ZodNumber) => z.strictObject({ left: value, right: value });
const camber = z.number().describe('Degrees, positive with the top out.');
const wheelsToe = z
  .strictObject({ lf: z.number(), rf: z.number(), lr: z.number(), rr: z.number() })
  .describe('Of each wheel, degrees, positive is toe-in.');
const thrustAngle = z.number().describe('Degrees, positive to the right.');
const rodTurn = {
  lengthChange: z.number().describe('Of the tie rod, mm, positive is longer.'),
  turns: z.number().describe('Of its adjuster, not negative.'),
  action: z.enum(['lengthen', 'shorten', 'none']),
};
const rodAndToe = z.strictObject({
  toeChange: z.number().describe('That this rod makes, degrees, positive is more toe-in.'),
  ...rodTurn,
});
const cam = z.strictObject({
  turn: z.number().describe('Degrees of bolt from mid travel, positive moves its end out.'),
  moves: z.number().describe('Of its end of the arm, mm, outward positive.'),
  reachable: z.boolean(),
});

/** What each calculator answers with, by name. */
export const calculatorOutputs = {
  tireSize: z.strictObject({
    sectionWidth: z.number().describe('mm.'),
    sidewall: z.number().describe('Height of one sidewall, mm.'),
    diameter: z.number().describe('Unloaded, mm.'),
    circumference: z.number().describe('Unloaded, mm.'),
    revsPerKm: z.number().describe('Turns a kilometre, unloaded.'),
    rimDiameter: z.number().describe('mm.'),
  }),
  toeConvert: z.strictObject({ value: z.number().describe('The same toe in the unit wanted.') }),
  toeFromTape: z.strictObject({
    totalToe: z.number().describe('Degrees, positive is toe-in.'),
    totalToeLength: z.number().describe('mm, positive is toe-in.'),
    direction: z.enum(['in', 'out', 'none']),
  }),
  toeFromStrings: z.strictObject({
    parallelError: z
      .number()
      .describe('Angle between the strings, degrees, positive when wider at the front.'),
    parallel: z.boolean().describe('Whether the strings stand as parallel as they must.'),
    toe: wheelsToe,
    totalToe: frontRear(z.number()).describe('Degrees, positive is toe-in.'),
    thrustAngle,
  }),
  toeFromGauges: z.strictObject({
    toe: wheelsToe,
    totalToe: frontRear(z.number()).describe('Degrees, positive is toe-in.'),
    thrustAngle,
  }),
  toeFromFlags: z.strictObject({
    toe: leftRight(z.number()).describe('Of each front wheel, degrees, positive is toe-in.'),
    totalToe: z.number().describe('Degrees, positive is toe-in.'),
  }),
  camberFromSquare: z.strictObject({ camber }),
  camberFromLevel: z.strictObject({ camber }),
  casterFromSwing: z.strictObject({
    caster: z.number().describe('Degrees, positive with the steering axis leaning back.'),
  }),
  floorSlope: z.strictObject({
    degrees: z.number().describe('Slope across the car, not negative.'),
    high: z.enum(SIDES).describe('Side that is higher.'),
    levelError: z
      .number()
      .nullable()
      .describe('Of the level, degrees; null where it was not turned.'),
    tile: z.number().describe('What to put under the low wheels, in the unit.'),
  }),
  axleSquare: z.strictObject({
    angle: z.number().describe('Between the axles, degrees, positive heading to the right.'),
    difference: z.number().describe('By how much one side is longer, in the unit.'),
  }),
  camberInTurns: z.strictObject({
    camber: leftRight(z.number()).describe(
      'Of each front wheel, degrees, positive with the top out.',
    ),
    steeringWheelTurns: z
      .number()
      .nullable()
      .describe('Turns of the steering wheel; null without its ratio.'),
    rise: z
      .strictObject({ inside: z.number(), outside: z.number() })
      .nullable()
      .describe('Of the body at each corner, mm; null without radius and scrub radius.'),
  }),
  camberInTurn: z.strictObject({ camber }),
  thrust: z.strictObject({
    thrustAngle,
    totalToe: z.number().describe('Of the rear axle, degrees, positive is toe-in.'),
    steeringWheelOffset: z
      .number()
      .optional()
      .describe('Of the steering wheel, degrees, positive turned right; absent without its ratio.'),
  }),
  slip: z.strictObject({
    metresPerKm: z.number().describe('Sideways metres a kilometre, with the sign of the toe.'),
    feetPerMile: z.number().describe('Sideways feet a mile.'),
  }),
  tieRod: z.strictObject(rodTurn),
  steeringWheelCentre: z.strictObject({ lf: rodAndToe, rf: rodAndToe }),
  rearShim: z.strictObject({
    angle: z.number().describe('Taper of the shim, degrees; 0 for none.'),
    clock: z
      .number()
      .describe('Where its thickest point stands, degrees clockwise from 12, seen from outside.'),
    camberAchieved: z.number().describe('Degrees.'),
    toeAchieved: z.number().describe('Degrees.'),
  }),
  wheelFit: z.strictObject({
    outerMoves: z.number().describe('Rim’s outer edge, mm further out.'),
    innerMoves: z.number().describe('Rim’s inner edge, mm further in.'),
    trackChange: z.number().describe('Of the pair, mm.'),
    scrubChange: z.number().describe('mm by which the scrub radius grows.'),
    diameterChange: z.number().nullable().describe('Of the tire, mm; null unless both are known.'),
    heightChange: z.number().nullable().describe('Of the axle, mm; null unless both are known.'),
    tireWidths: z
      .tuple([z.number(), z.number()])
      .describe('Nominal widths that the new rim usually takes, mm: least, most.'),
    speedShownPercent: z
      .number()
      .nullable()
      .describe(
        'What the speedometer shows against the true speed, percent; null unless both are known.',
      ),
  }),
  eccentric: z.strictObject({
    turn: z
      .number()
      .describe('Of the bolt from mid travel, degrees; at its stop when out of reach.'),
    reachable: z.boolean(),
    range: z.tuple([z.number(), z.number()]).describe('Changes within reach, degrees.'),
  }),
  wishboneShims: z.strictObject({
    front: z.number().describe('To add at the front bolt, mm; negative is to take away.'),
    rear: z.number().describe('The same at the rear bolt.'),
  }),
  casterWithHeight: z.strictObject({
    caster: z.number().describe('After, degrees.'),
    casterChange: z.number().describe('Degrees.'),
  }),
  twoCams: z.strictObject({ front: cam, rear: cam }),
  rideHeight: z.strictObject({
    camberChange: z.number().describe('Degrees, positive with the top further out.'),
    toeChange: z.number().describe('Of this wheel, degrees, positive is more toe-in.'),
  }),
} as const satisfies Record<CalculatorName, z.ZodObject>;

export type CalculatorOutput<N extends CalculatorName> = z.infer<(typeof calculatorOutputs)[N]>;
