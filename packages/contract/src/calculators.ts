import { z } from 'zod';
import { angleSchema } from './caseFile.ts';
import type { ExpectedReason } from './expectedTexts.ts';
import { issue } from './refusal.ts';

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
      ctx.addIssue(issue(['diameter'], 'diameterBetween'));
    }
    const limit = input.from === 'deg' ? 90 : RIGHT_ANGLE_MIN;
    if (!isLength(input.from) && Math.abs(input.value) >= limit) {
      ctx.addIssue(issue(['value'], 'rightAngle'));
    }
  });

const SIDES = ['left', 'right'] as const;
const lengthUnit = z.enum(['mm', 'in']);
/** A distance that may be nothing at all. */
const gap = z.number().min(0);
const frontRear = (value: z.ZodNumber) => z.strictObject({ front: value, rear: value });

const UPRIGHT_DEG = 90;
export const camberFromLevelInputSchema = z
  .strictObject({
    reading: z.number().min(0).max(180),
    zeroIs: z.enum(['vertical', 'horizontal']),
    leans: z.enum(['in', 'out']),
    side: z.enum(SIDES),
    floorSlope: z
      .strictObject({ degrees: z.number().min(0).max(45), high: z.enum(SIDES) })
      .optional(),
  })
  .superRefine(({ reading, zeroIs }, ctx) => {
    if (zeroIs === 'vertical' && reading > UPRIGHT_DEG) {
      ctx.addIssue(issue(['reading'], 'atMost', { limit: UPRIGHT_DEG }));
    }
  });

const tieRodSetup = {
  steeringArm: length,
  threadPitch: length,
  rack: z.enum(['ahead', 'behind']),
  adjuster: z.enum(['single', 'turnbuckle']),
};

const point = z.tuple([z.number(), z.number()]);
export const frontViewSchema = z
  .strictObject({
    lowerInner: point,
    lowerOuter: point,
    upperInner: point.optional(),
    upperOuter: point.optional(),
    strutTop: point.optional(),
    tieInner: point,
    tieOuter: point,
  })
  .superRefine(({ upperInner, upperOuter, strutTop }, ctx) => {
    const hasArm = upperInner !== undefined || upperOuter !== undefined;
    const refuse = (path: string, reason: ExpectedReason) => ctx.addIssue(issue([path], reason));
    if (strutTop !== undefined) {
      if (hasArm) refuse('strutTop', 'armOrStrut');
      return;
    }
    if (!hasArm) refuse('strutTop', 'strutOrArm');
    else if (upperInner === undefined) refuse('upperInner', 'bothEnds');
    else if (upperOuter === undefined) refuse('upperOuter', 'bothEnds');
  });

/** A floor across the car: its rise and high side, or one level read twice, turned end for end between. */
export const floorSlopeInputSchema = z
  .strictObject({
    over: length,
    unit: lengthUnit,
    rise: gap.optional(),
    high: z.enum(SIDES).optional(),
    first: angleSchema.optional(),
    turned: angleSchema.optional(),
  })
  .superRefine(({ rise, high, first, turned }, ctx) => {
    const refuse = (path: string, reason: ExpectedReason) => ctx.addIssue(issue([path], reason));
    if (rise !== undefined || high !== undefined) {
      if (rise === undefined) refuse('rise', 'riseOfSide');
      else if (high === undefined) refuse('high', 'higherSide');
      else if (first !== undefined) refuse('first', 'riseOrLevel');
      else if (turned !== undefined) refuse('turned', 'riseOrLevel');
    } else if (first === undefined) {
      refuse(turned === undefined ? 'rise' : 'first', 'riseOrBothWays');
    } else if (turned === undefined) refuse('turned', 'levelTurned');
  });

const frontWheel = z.strictObject({ camber: angleSchema, caster: angleSchema, sai: angleSchema });
export const camberInTurnsInputSchema = z
  .strictObject({
    left: frontWheel,
    right: frontWheel,
    turning: z.enum(SIDES),
    inside: angleSchema.gt(0),
    outside: angleSchema.gt(0),
    steeringRatio: length.optional(),
    radius: length.optional(),
    scrub: z.number().min(-200).max(200).optional(),
  })
  .superRefine(({ radius, scrub }, ctx) => {
    if ((radius === undefined) === (scrub === undefined)) return;
    ctx.addIssue(issue([radius === undefined ? 'radius' : 'scrub'], 'radiusAndScrub'));
  });

const fittedWheel = z.strictObject({
  width: z.number().min(3).max(20),
  offset: z.number().min(-150).max(150),
  size: z.string().min(1).max(60).optional(),
});

/** What each calculator takes, by name; lengths in mm and angles in degrees unless a unit is named. */
export const calculatorInputs = {
  tireSize: z.strictObject({ size: z.string().min(1).max(60) }),
  toeConvert: toeConvertInputSchema,
  toeFromTape: z.strictObject({ front: length, rear: length, unit: lengthUnit, span: length }),
  toeFromStrings: z.strictObject({
    stringGap: frontRear(length),
    wheelbase: length,
    wheels: z.strictObject({
      lf: frontRear(gap),
      rf: frontRear(gap),
      lr: frontRear(gap),
      rr: frontRear(gap),
    }),
    rimDiameter: frontRear(length),
    unit: lengthUnit,
  }),
  toeFromGauges: z.strictObject({
    wheels: z.strictObject({
      lf: z.number(),
      rf: z.number(),
      lr: z.number(),
      rr: z.number(),
    }),
    unit: z.enum(TOE_UNITS),
    diameter: length.optional(),
    toeInReads: z.enum(['plus', 'minus']),
    frontAgainst: z.enum(['centreLine', 'rearAxle']),
  }),
  toeFromFlags: z.strictObject({
    distance: length,
    beam: gap,
    flags: z.strictObject({ left: gap, right: gap }),
    track: frontRear(length),
  }),
  camberFromSquare: z.strictObject({
    top: gap,
    bottom: gap,
    span: length,
    unit: lengthUnit,
  }),
  camberFromLevel: camberFromLevelInputSchema,
  casterFromSwing: z.strictObject({
    camberTurnedOut: angleSchema,
    camberTurnedIn: angleSchema,
    angle: angleSchema.gt(0),
  }),
  floorSlope: floorSlopeInputSchema,
  axleSquare: z.strictObject({ left: length, right: length, track: length }),
  camberInTurns: camberInTurnsInputSchema,
  camberInTurn: z.strictObject({
    camber: angleSchema,
    caster: angleSchema,
    sai: angleSchema,
    steer: angleSchema,
  }),
  thrust: z.strictObject({
    toeLr: angleSchema,
    toeRr: angleSchema,
    steeringRatio: length.optional(),
  }),
  slip: z.strictObject({ toe: angleSchema }),
  tieRod: z.strictObject({ toeChange: angleSchema, ...tieRodSetup }),
  steeringWheelCentre: z.strictObject({
    offset: z.number(),
    steeringRatio: length,
    ...tieRodSetup,
  }),
  rearShim: z.strictObject({
    camberChange: angleSchema,
    toeChange: angleSchema,
    side: z.enum(SIDES),
    stock: z.array(angleSchema.gt(0)).min(1).max(200),
  }),
  wheelFit: z.strictObject({
    old: fittedWheel,
    new: fittedWheel,
    spacer: z.number().min(0).max(100).optional(),
  }),
  eccentric: z.strictObject({ change: angleSchema, offset: length, leverArm: length }),
  wishboneShims: z.strictObject({
    camberChange: angleSchema,
    casterChange: angleSchema,
    boltSpacing: length,
    armLength: length,
    armHeight: length,
  }),
  casterWithHeight: z.strictObject({
    change: z.number(),
    caster: angleSchema,
    height: length,
    upper: z.enum(['strut', 'arm']),
    lowerAxis: angleSchema.optional(),
    upperAxis: angleSchema.optional(),
  }),
  twoCams: z.strictObject({
    camberChange: angleSchema,
    casterChange: angleSchema,
    camSpacing: length,
    armLength: length,
    armHeight: length,
    offset: length,
  }),
  rideHeight: z.strictObject({
    change: z.number(),
    points: frontViewSchema,
    steeringArm: length,
    rack: z.enum(['ahead', 'behind']),
  }),
} as const;

export type CalculatorName = keyof typeof calculatorInputs;
export type CalculatorInput<N extends CalculatorName> = z.infer<(typeof calculatorInputs)[N]>;
export const CALCULATOR_NAMES = Object.keys(calculatorInputs) as CalculatorName[];

/** One line of a batch file: which calculator, and its input. */
export const calculatorCallSchema = z.strictObject({
  name: z.enum(CALCULATOR_NAMES as [CalculatorName, ...CalculatorName[]]),
  in: z.unknown(),
});
