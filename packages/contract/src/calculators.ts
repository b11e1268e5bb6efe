import { z } from 'zod';
import { angleSchema } from './caseFile.ts';
import type { ExpectedReason } from './expectedTexts.ts';
import { issue } from './validationIssue.ts';

const length = z.number().gt(0);
export const TOE_UNITS = ['deg', 'min', 'mm', 'in'] as const;
export type ToeUnit = (typeof TOE_UNITS)[number];
const isLength = (unit: ToeUnit) => unit === 'mm' || unit === 'in';

/** Arc minutes at which an angle reaches 90 degrees. */
const RIGHT_ANGLE_MIN = 5400;

export const toeConvertInputSchema = z
  .strictObject({
    value: z.number().describe('Toe of one wheel, positive is toe-in.'),
    from: z.enum(TOE_UNITS).describe('Unit of the value.'),
    to: z.enum(TOE_UNITS).describe('Unit wanted.'),
    diameter: length
      .optional()
      .describe('Where a length is taken, mm whatever the units; needed between angle and length.'),
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
    reading: z.number().min(0).max(180).describe('What the level shows, degrees, without sign.'),
    zeroIs: z
      .enum(['vertical', 'horizontal'])
      .describe('Whether an upright wheel shows 0 (vertical) or 90 (horizontal).'),
    leans: z.enum(['in', 'out']).describe('Where the top of the wheel leans.'),
    side: z.enum(SIDES).describe('Side of the car.'),
    floorSlope: z
      .strictObject({
        degrees: z.number().min(0).max(45).describe('Slope across the car, degrees.'),
        high: z.enum(SIDES).describe('Side that is higher.'),
      })
      .optional()
      .describe(
        'Of the floor, where the level shows true level; left out when it was zeroed there.',
      ),
  })
  .superRefine(({ reading, zeroIs }, ctx) => {
    if (zeroIs === 'vertical' && reading > UPRIGHT_DEG) {
      ctx.addIssue(issue(['reading'], 'atMost', { limit: UPRIGHT_DEG }));
    }
  });

const steeringArm = length.describe(
  'From the steering axis to the line of the tie rod, square to it, seen from above, mm.',
);
const rack = z.enum(['ahead', 'behind']).describe('Where the tie rods stand, seen from the axle.');
const tieRodSetup = {
  steeringArm,
  threadPitch: length.describe('Of the tie rod, mm a turn.'),
  rack,
  adjuster: z
    .enum(['single', 'turnbuckle'])
    .describe('One thread, or a left and a right one that both move.'),
};

const point = z.tuple([z.number(), z.number()]);
export const frontViewSchema = z
  .strictObject({
    lowerInner: point.describe('Pivot of the lower arm: [outward, up], mm.'),
    lowerOuter: point.describe('Lower ball joint.'),
    upperInner: point.optional().describe('Pivot of the upper arm, or a strut top instead.'),
    upperOuter: point.optional().describe('Upper ball joint.'),
    strutTop: point.optional().describe('Top of the strut.'),
    tieInner: point.describe('Inner end of the tie rod.'),
    tieOuter: point.describe('Outer end of the tie rod.'),
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
    over: length.describe('Track that the rise belongs to, in the unit.'),
    unit: lengthUnit,
    rise: gap
      .optional()
      .describe('How much higher one side is, in the unit; or the level instead.'),
    high: z.enum(SIDES).optional().describe('Side that is higher.'),
    first: angleSchema
      .optional()
      .describe('What the level shows, degrees, positive when it shows its left end high.'),
    turned: angleSchema.optional().describe('The same with the level turned end for end.'),
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

const leaning = {
  camber: angleSchema.describe('Straight ahead, degrees, positive with the top out.'),
  caster: angleSchema.describe('Degrees, positive with the steering axis leaning back.'),
  sai: angleSchema.describe('Steering axis inclination (SAI, KPI), degrees, positive leaning in.'),
};
const steeringRatio = length.describe('Degrees of steering wheel a degree of road wheel.');
const frontWheel = z.strictObject(leaning);
export const camberInTurnsInputSchema = z
  .strictObject({
    left: frontWheel,
    right: frontWheel,
    turning: z.enum(SIDES).describe('Where the car turns.'),
    inside: angleSchema.gt(0).describe('Steering angle of the wheel inside the turn, degrees.'),
    outside: angleSchema.gt(0).describe('The same of the wheel outside.'),
    steeringRatio: steeringRatio.optional(),
    radius: length.optional().describe('Loaded radius of the tire, mm.'),
    scrub: z
      .number()
      .min(-200)
      .max(200)
      .optional()
      .describe('Scrub radius, mm, positive with the axis meeting the floor inside of the tire.'),
  })
  .superRefine(({ radius, scrub }, ctx) => {
    if ((radius === undefined) === (scrub === undefined)) return;
    ctx.addIssue(issue([radius === undefined ? 'radius' : 'scrub'], 'radiusAndScrub'));
  });

const fittedWheel = z.strictObject({
  width: z.number().min(3).max(20).describe('Of the rim between its bead seats, in.'),
  offset: z.number().min(-150).max(150).describe('Of the wheel, mm, positive sets it further in.'),
  size: z.string().min(1).max(60).optional().describe('Of the tire.'),
});

/** What each calculator takes, by name; lengths in mm and angles in degrees unless a unit is named. */
export const calculatorInputs = {
  tireSize: z.strictObject({
    size: z.string().min(1).max(60).describe('As it stands on the sidewall.'),
  }),
  toeConvert: toeConvertInputSchema,
  toeFromTape: z.strictObject({
    front: length.describe('Tape between the two marks ahead of the axle, in the unit.'),
    rear: length.describe('The same behind the axle.'),
    unit: lengthUnit,
    span: length.describe('Along the wheel between the two places, in the unit.'),
  }),
  toeFromStrings: z.strictObject({
    stringGap: frontRear(length).describe('Between the two strings, front and rear.'),
    wheelbase: length.describe('Between the two places where the gap was taken.'),
    wheels: z
      .strictObject({
        lf: frontRear(gap),
        rf: frontRear(gap),
        lr: frontRear(gap),
        rr: frontRear(gap),
      })
      .describe('String to rim edge ahead of the hub and behind it.'),
    rimDiameter: frontRear(length).describe('Between the two places on the rim, by axle.'),
    unit: lengthUnit.describe('Of all lengths.'),
  }),
  toeFromGauges: z.strictObject({
    wheels: z
      .strictObject({ lf: z.number(), rf: z.number(), lr: z.number(), rr: z.number() })
      .describe('What the gauge of each wheel shows.'),
    unit: z.enum(TOE_UNITS),
    diameter: length.optional().describe('Where the scale is read, mm; needed for lengths.'),
    toeInReads: z.enum(['plus', 'minus']).describe('Sign that the gauges show for toe-in.'),
    frontAgainst: z
      .enum(['centreLine', 'rearAxle'])
      .describe('What the front wheels were read against.'),
  }),
  toeFromFlags: z.strictObject({
    distance: length.describe('From beam to flag along the car; all lengths in one unit.'),
    beam: gap.describe('From the front wheel’s face out to the beam.'),
    flags: z
      .strictObject({ left: gap, right: gap })
      .describe('Where the beam meets each flag, out from the rear wheel’s face.'),
    track: frontRear(length).describe('Between the faces that were measured from.'),
  }),
  camberFromSquare: z.strictObject({
    top: gap.describe('From the square to the rim’s upper edge, in the unit.'),
    bottom: gap.describe('From the square to its lower edge.'),
    span: length.describe('Between the two places on the rim.'),
    unit: lengthUnit,
  }),
  camberFromLevel: camberFromLevelInputSchema,
  casterFromSwing: z.strictObject({
    camberTurnedOut: angleSchema.describe(
      'Camber with the wheel’s front turned away from the car, degrees.',
    ),
    camberTurnedIn: angleSchema.describe('The same turned toward the car.'),
    angle: angleSchema.gt(0).describe('Of each turn, degrees.'),
  }),
  floorSlope: floorSlopeInputSchema,
  axleSquare: z.strictObject({
    left: length.describe('Wheelbase on the left; all lengths in one unit.'),
    right: length.describe('Wheelbase on the right.'),
    track: length,
  }),
  camberInTurns: camberInTurnsInputSchema,
  camberInTurn: z.strictObject({
    ...leaning,
    steer: angleSchema.describe(
      'As a turn plate shows it, degrees, positive with the front toward the car.',
    ),
  }),
  thrust: z.strictObject({
    toeLr: angleSchema.describe('Toe of the left rear wheel, degrees, positive is toe-in.'),
    toeRr: angleSchema.describe('Toe of the right rear wheel.'),
    steeringRatio: steeringRatio.optional(),
  }),
  slip: z.strictObject({
    toe: angleSchema.describe('Of one wheel, degrees, positive is toe-in.'),
  }),
  tieRod: z.strictObject({
    toeChange: angleSchema.describe('Of this one wheel, degrees, positive is more toe-in.'),
    ...tieRodSetup,
  }),
  steeringWheelCentre: z.strictObject({
    offset: z
      .number()
      .describe('Of the steering wheel when driving straight, degrees, positive turned right.'),
    steeringRatio,
    ...tieRodSetup,
  }),
  rearShim: z.strictObject({
    camberChange: angleSchema.describe('Wanted, degrees, positive with the top out.'),
    toeChange: angleSchema.describe('Wanted, degrees, positive is more toe-in.'),
    side: z.enum(SIDES),
    stock: z.array(angleSchema.gt(0)).min(1).max(200).describe('Tapers at hand, degrees.'),
  }),
  wheelFit: z.strictObject({
    old: fittedWheel,
    new: fittedWheel,
    spacer: z.number().min(0).max(100).optional().describe('Between hub and new wheel, mm.'),
  }),
  eccentric: z.strictObject({
    change: angleSchema.describe('Of camber or toe, degrees.'),
    offset: length.describe('Bolt centre to cam centre, mm.'),
    leverArm: length.describe('From the cam to what the arm turns about, mm.'),
  }),
  wishboneShims: z.strictObject({
    camberChange: angleSchema.describe('Wanted, degrees.'),
    casterChange: angleSchema.describe('Wanted, degrees.'),
    boltSpacing: length.describe('Between the two bolts, mm.'),
    armLength: length.describe('From the bolts’ line to the ball joint, mm.'),
    armHeight: length.describe('Upper joint above the lower one, mm.'),
  }),
  casterWithHeight: z.strictObject({
    change: z.number().describe('Of the body, mm, up positive.'),
    caster: angleSchema.describe('Before, degrees.'),
    height: length.describe('Strut top or upper joint above the lower joint, mm.'),
    upper: z.enum(['strut', 'arm']),
    lowerAxis: angleSchema
      .optional()
      .describe('Rise of the lower arm’s axis toward the front, degrees.'),
    upperAxis: angleSchema.optional().describe('The same of an upper arm.'),
  }),
  twoCams: z.strictObject({
    camberChange: angleSchema.describe('Wanted, degrees.'),
    casterChange: angleSchema.describe('Wanted, degrees.'),
    camSpacing: length.describe('Between the two cams, mm.'),
    armLength: length.describe('From the cams’ line to the ball joint, mm.'),
    armHeight: length.describe('Upper joint above the lower one, mm.'),
    offset: length.describe('Bolt centre to cam centre, mm.'),
  }),
  rideHeight: z.strictObject({
    change: z.number().describe('Of the body, mm, up positive.'),
    points: frontViewSchema,
    steeringArm,
    rack,
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
