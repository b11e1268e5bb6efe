import { z } from 'zod';
import { setbackSchema, turnSchema } from './angleFile.ts';
import {
  angleSchema,
  limitsSchema,
  rotationSchema,
  tolerancesSchema,
  unitsSchema,
  wheelAnglesSchema,
  wheelSchema,
} from './caseFile.ts';
import { TOE_UNITS } from './calculators.ts';
import { FIELD_LIMITS } from './fieldLimits.ts';
import { draftHandOverSchema } from './handOver.ts';
import { estimateSchema } from './prices.ts';
import { learnedConstantsSchema } from './shopConstants.ts';
import { usedSheetSchema } from './specSheet.ts';
import { momentSchema } from './storable.ts';
import {
  ADJUSTERS,
  ANGLE_KINDS,
  CLOSING_POINTS,
  COMPLAINTS,
  CROOKED_WHEELS,
  CUPPINGS,
  DAMAGES,
  DAMAGE_ZONES,
  DRIVERS,
  DRIVES,
  EVENTS,
  FEATHERS,
  GAUGE_CALCULATORS,
  KNOWN,
  LAMPS,
  LOADS,
  MAX_STATIONS,
  METHODS,
  OCCASIONS,
  PARTS,
  PLAYS,
  PUNCTURE_PLACES,
  REPEATS,
  SEASONS,
  SETUP_POINTS,
  SETUP_STATES,
  SET_STEPS,
  STEERING_WHEEL,
  SUSPENSIONS,
  THREADS,
  TIRE_PAIRS,
  USES,
} from './words.ts';

/** No wheel is smaller or larger than this, mm. */
const MIN_TOE_DIAMETER_MM = 100;
const MAX_TOE_DIAMETER_MM = 1_500;

/** Where the customer is while the car is looked at. */
export const WAITS = ['counter', 'phone', 'later'] as const;
export type Waits = (typeof WAITS)[number];

/** A reading in mm, or that the rib cannot be read. */
export const readingSchema = z.union([z.number().min(0).max(60), z.literal('unreadable')]);
export type Reading = z.infer<typeof readingSchema>;

/** Standard deviation of one reading, mm. */
export const readingSpreadSchema = z.number().gt(0).max(FIELD_LIMITS.readingSpreadMm);

export const text = (max: number) => z.string().trim().min(1).max(max);

/** Two readings of one angle, before and after turning lock to lock, degrees. */
export const repeatReadingsSchema = z.tuple([angleSchema, angleSchema]);
/** Readings of one angle taken again and again, degrees; the angle itself is their mean. */
export const readingsSchema = z.array(angleSchema).min(2).max(12);
/** The smallest step that the gauge shows, degrees. */
export const resolutionSchema = z.number().gt(0).max(5);
/** How far the adjuster moves the angle from where it stands, degrees: most down, most up. */
export const reachSchema = z.tuple([angleSchema, angleSchema]);
export const RACKS = ['ahead', 'behind'] as const;
/** Quarters of a tank. */
export const fuelSchema = z.int().min(0).max(4);
/** The most that depths may differ across an all-wheel-drive car, mm. */
export const awdMatchSchema = z.number().gt(0).max(10);
export const warmBySchema = z.number().gt(0).max(60);
export const lastAlignmentSchema = z.strictObject({
  /** Distance run since, km. */
  agoKm: z.number().min(0).max(FIELD_LIMITS.distanceKm).optional(),
  date: z.iso.date().optional(),
  reason: text(200).optional(),
});
/** Cold cranking amps, as rated on the case and as the tester says. */
export const batterySchema = z.strictObject({
  rated: z.number().gt(0).max(3_000),
  measured: z.number().min(0).max(3_000),
});
/** N·m. */
export const nutTorqueSchema = z.number().gt(0).max(1_000);
export const ADJUSTABLE = ['camber', 'caster', 'toe'] as const;
/** Hub centre to arch, mm. */
export const heightSchema = z.number().gt(0).max(1_500);
export const recheckKmSchema = z.number().gt(0).max(100_000);

/** What the car has run in all, km, by its odometer today. */
export const odometerSchema = z.number().min(0).max(FIELD_LIMITS.odometerKm);
export const tiresDifferSchema = z.array(z.enum(TIRE_PAIRS)).max(TIRE_PAIRS.length);

/** What is known of a tire beyond the case file. */
export const tireExtras = {
  /** The last four characters of its identification number. */
  dateCode: z.string().regex(/^\d{4}$/, 'four digits: week and year, such as 2319'),
  /** Maker's line, so that its depth when new is asked once. */
  line: text(60),
  leak: z.boolean(),
  heelToe: z.boolean(),
  puncturePlace: z.enum(PUNCTURE_PLACES),
  season: z.enum(SEASONS),
} as const;

/** Where each damage is seen. */
export const damageZoneSchema = z.enum(DAMAGE_ZONES);

export const draftStationSchema = z.strictObject({
  inner: readingSchema.optional(),
  centre: readingSchema.optional(),
  outer: readingSchema.optional(),
});

export const draftTireSchema = z.strictObject({
  size: z.string().optional(),
  newDepth: z.number().optional(),
  distance: z.number().optional(),
  pressure: z
    .strictObject({ measured: z.number().optional(), target: z.number().optional() })
    .optional(),
  stations: z.array(draftStationSchema).max(MAX_STATIONS).optional(),
  feather: z.enum(FEATHERS).optional(),
  cupping: z.enum(CUPPINGS).optional(),
  damage: z.array(z.enum(DAMAGES)).optional(),
});
export type DraftTire = z.infer<typeof draftTireSchema>;

/** What toe is typed and shown in, with the diameter that a length is taken at, mm. */
export const toeInSchema = z.strictObject({
  unit: z.enum(TOE_UNITS),
  diameter: z.number().min(MIN_TOE_DIAMETER_MM).max(MAX_TOE_DIAMETER_MM).optional(),
});
export type ToeIn = z.infer<typeof toeInSchema>;

/** One reading of an angle by one method, degrees, with how it was taken. */
export const takenSchema = z
  .strictObject({
    value: angleSchema,
    at: momentSchema,
    resolution: resolutionSchema.optional(),
    repeats: readingsSchema.optional(),
    /** What a toe was read in, where that was not degrees. */
    readIn: toeInSchema.optional(),
  })
  .meta({ id: 'Taken' });
export type Taken = z.infer<typeof takenSchema>;

/** An angle that is left as it is, with the value that was left: another value is judged anew. */
export const leftSchema = z
  .array(z.strictObject({ key: z.string().max(40), value: z.number() }))
  .max(40);

/** What stands in the fields of a gauge's form, so that it is asked once: sign, unit, distances, readings. */
export const gaugeTextsSchema = z.record(z.string().max(60), z.string().max(200));
/** The inside wheel at full lock, turned left and turned right, degrees. */
export const lockSchema = z.strictObject({
  left: z.number().min(0).max(60),
  right: z.number().min(0).max(60),
});

/** A turn of the hand: what was turned by how much, and what it did; `to` once it was read again. */
export const turnMadeSchema = z
  .strictObject({
    at: momentSchema,
    /** What was turned: notches of a cam say nothing of turns of a rod. */
    adjuster: z.enum(ADJUSTERS),
    /** Turns, notches or holes; positive the way the step's own words say. */
    amount: z.number().min(-100).max(100),
    from: z.number(),
    to: z.number().optional(),
  })
  .meta({ id: 'TurnMade' });
export type TurnMade = z.infer<typeof turnMadeSchema>;
export const turnsSchema = z.array(turnMadeSchema).max(20);

export const steeringWheelSchema = z.strictObject({
  state: z.enum(STEERING_WHEEL),
  at: momentSchema,
});

/** What is measured today: which angles, on which axles. */
export const measuredTodaySchema = z.strictObject({
  axles: z
    .array(z.enum(['front', 'rear']))
    .min(1)
    .max(2),
  kinds: z.array(z.enum(ANGLE_KINDS)).min(1).max(ANGLE_KINDS.length),
});

/** The shop's own instruments as they stood when the car came in, by what is measured with them. */
export const usedInstrumentsSchema = z.partialRecord(
  z.enum(METHODS),
  z.strictObject({
    name: text(60),
    /** When it was last checked; null where it never was. */
    checkedAt: momentSchema.nullable(),
    /** What its error adds, degrees. */
    errorSd: z.number().min(0).max(90),
    /** Standard uncertainty by its certificate, degrees. */
    certified: z.number().gt(0).max(10).optional(),
  }),
);
export type UsedInstruments = z.infer<typeof usedInstrumentsSchema>;

export const draftMeasureSchema = z.strictObject({
  instruments: usedInstrumentsSchema.optional(),
  what: measuredTodaySchema.optional(),
  repeat: z.enum(REPEATS).optional(),
  method: z.partialRecord(z.enum(ANGLE_KINDS), z.enum(METHODS)).optional(),
  setup: z.partialRecord(z.enum(SETUP_POINTS), z.enum(SETUP_STATES)).optional(),
  skipped: z.partialRecord(z.enum(SETUP_POINTS), z.string()).optional(),
  repeatReadings: repeatReadingsSchema.optional(),
  resolution: z.partialRecord(z.enum(ANGLE_KINDS), resolutionSchema).optional(),
  readings: z
    .partialRecord(wheelSchema, z.partialRecord(z.enum(ANGLE_KINDS), readingsSchema))
    .optional(),
  taken: z
    .partialRecord(
      wheelSchema,
      z.partialRecord(z.enum(ANGLE_KINDS), z.partialRecord(z.enum(METHODS), takenSchema)),
    )
    .optional(),
  gauge: z.partialRecord(z.enum(GAUGE_CALCULATORS), gaugeTextsSchema).optional(),
  toeIn: toeInSchema.optional(),
  lock: lockSchema.optional(),
  setback: setbackSchema.optional(),
  turning: z.strictObject({ left: turnSchema.optional(), right: turnSchema.optional() }).optional(),
});
export type DraftMeasure = z.infer<typeof draftMeasureSchema>;

export const draftSetRightSchema = z.strictObject({
  before: z.partialRecord(wheelSchema, wheelAnglesSchema).optional(),
  adjuster: z.partialRecord(z.enum(SET_STEPS), z.enum(ADJUSTERS)).optional(),
  reach: z.partialRecord(z.enum(SET_STEPS), reachSchema).optional(),
  closing: z.partialRecord(z.enum(CLOSING_POINTS), z.enum(SETUP_STATES)).optional(),
  complaintGone: z.partialRecord(z.enum(COMPLAINTS), z.boolean()).optional(),
  recheckKm: recheckKmSchema.optional(),
  moved: z
    .partialRecord(wheelSchema, z.partialRecord(z.enum(ANGLE_KINDS), momentSchema))
    .optional(),
  turns: z.partialRecord(z.enum(SET_STEPS), turnsSchema).optional(),
  left: leftSchema.optional(),
  steeringWheel: steeringWheelSchema.optional(),
});
export type DraftSetRight = z.infer<typeof draftSetRightSchema>;

export const adjustableSchema = z.strictObject({
  camber: z.enum(KNOWN).optional(),
  caster: z.enum(KNOWN).optional(),
  toe: z.enum(KNOWN).optional(),
});
/** What one turn (notch, millimetre) of an adjuster did, learned by hand; which way is not kept. */
export const learnedSchema = z.strictObject({
  adjuster: z.enum(ADJUSTERS),
  kind: z.enum(ANGLE_KINDS),
  axle: z.enum(['front', 'rear']),
  /** Degrees, without a sign. */
  perUnit: z.number().gt(0).max(90),
  /** Standard uncertainty, degrees. */
  sd: z.number().min(0).max(90),
  at: momentSchema,
});
export type Learned = z.infer<typeof learnedSchema>;
export const learnedListSchema = z.array(learnedSchema).max(60);

/** Wheels other than the maker's: rims in inches, offsets and a spacer in mm. */
export const otherWheelsSchema = z.strictObject({
  makerWidth: z.number().min(3).max(20).optional(),
  makerOffset: z.number().min(-150).max(150).optional(),
  width: z.number().min(3).max(20).optional(),
  offset: z.number().min(-150).max(150).optional(),
  spacer: z.number().min(0).max(100).optional(),
});

export const draftCarSchema = z.strictObject({
  rack: z.enum(RACKS).optional(),
  suspension: z
    .strictObject({
      front: z.enum(SUSPENSIONS).optional(),
      rear: z.enum(SUSPENSIONS).optional(),
    })
    .optional(),
  adjustable: z
    .strictObject({ front: adjustableSchema.optional(), rear: adjustableSchema.optional() })
    .optional(),
  load: z.enum(LOADS).optional(),
  fuel: fuelSchema.optional(),
  driver: z.enum(DRIVERS).optional(),
  awdMatch: awdMatchSchema.optional(),
  directional: z.boolean().optional(),
  wheels: otherWheelsSchema.optional(),
  /** What its adjusters did at earlier visits. */
  learned: learnedListSchema.optional(),
  placard: z.strictObject({ front: z.string().optional(), rear: z.string().optional() }).optional(),
});
export type DraftCar = z.infer<typeof draftCarSchema>;

export const draftInspectSchema = z.strictObject({
  crookedWheel: z.enum(CROOKED_WHEELS).optional(),
  thread: z.enum(THREADS).optional(),
  overTight: z.boolean().optional(),
  parts: z.partialRecord(wheelSchema, z.partialRecord(z.enum(PARTS), z.enum(PLAYS))).optional(),
});
export type DraftInspect = z.infer<typeof draftInspectSchema>;

/** What is known of a visit so far; everything may still be missing. */
export const visitDraftSchema = z
  .strictObject({
    units: unitsSchema.partial().optional(),
    vehicle: z
      .strictObject({
        drive: z.enum(DRIVES).optional(),
        use: z.enum(USES).optional(),
        rotatable: z.boolean().optional(),
        rideHeightChange: z
          .strictObject({ front: z.number().optional(), rear: z.number().optional() })
          .optional(),
      })
      .optional(),
    tires: z.partialRecord(wheelSchema, draftTireSchema).optional(),
    complaints: z.array(z.enum(COMPLAINTS)).optional(),
    rotations: z.array(rotationSchema).optional(),
    angles: z.partialRecord(wheelSchema, wheelAnglesSchema).optional(),
    play: z.partialRecord(wheelSchema, z.enum(PLAYS)).optional(),
    limits: limitsSchema.optional(),
    /** Of one reading, before rounding: standard deviation, mm. */
    readingSpread: readingSpreadSchema.optional(),
    /** What the shop had learned of its own cars when the visit began. */
    constants: learnedConstantsSchema.optional(),
    tolerances: tolerancesSchema.optional(),
    visit: z
      .strictObject({
        words: z.string().optional(),
        waits: z.enum(WAITS).optional(),
        inspect: draftInspectSchema.optional(),
        events: z.array(z.enum(EVENTS)).optional(),
        occasions: z.array(z.enum(OCCASIONS)).optional(),
        car: draftCarSchema.optional(),
        tires: z
          .partialRecord(
            wheelSchema,
            z
              .strictObject({
                ...tireExtras,
                damageAt: z.partialRecord(z.enum(DAMAGES), damageZoneSchema),
              })
              .partial(),
          )
          .optional(),
        heights: z.partialRecord(wheelSchema, heightSchema).optional(),
        warmBy: warmBySchema.optional(),
        lastAlignment: lastAlignmentSchema.optional(),
        odometer: odometerSchema.optional(),
        tiresDiffer: tiresDifferSchema.optional(),
        quick: z
          .strictObject({
            warningLights: z.string().optional(),
            codes: z.string().optional(),
            battery: batterySchema.optional(),
            nutTorque: nutTorqueSchema.optional(),
            lamps: z.enum(LAMPS).optional(),
          })
          .optional(),
        measure: draftMeasureSchema.optional(),
        setRight: draftSetRightSchema.optional(),
        sheet: usedSheetSchema.optional(),
        estimate: estimateSchema.optional(),
        handOver: draftHandOverSchema.optional(),
        other: z.record(z.string(), z.unknown()).optional(),
      })
      .optional(),
  })
  .meta({ id: 'VisitDraft' });
export type VisitDraft = z.infer<typeof visitDraftSchema>;
