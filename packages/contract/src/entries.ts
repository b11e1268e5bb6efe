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
import { estimateSchema } from './prices.ts';
import { refusalsOf } from './refusal.ts';
import { usedSheetSchema } from './specSheet.ts';
import {
  ADJUSTERS,
  ANGLE_KINDS,
  CLOSING_POINTS,
  COMPLAINTS,
  CROOKED_WHEELS,
  CUPPINGS,
  DAMAGES,
  DEPTH_UNITS,
  DISTANCE_UNITS,
  DRIVES,
  FEATHERS,
  MAX_STATIONS,
  METHODS,
  PLAYS,
  PRESSURE_UNITS,
  REPEATS,
  RIBS,
  SETUP_POINTS,
  SETUP_STATES,
  SET_STEPS,
  USES,
  DRIVERS,
  EVENTS,
  KNOWN,
  LAMPS,
  LOADS,
  OCCASIONS,
  PARTS,
  PUNCTURE_PLACES,
  SUSPENSIONS,
  THREADS,
  WHEELS,
} from './words.ts';

/**
 * A visit is what has been entered about it: an append-only list of entries, each setting one field
 * of the draft by its path. Values are in mm, km and kPa; `null` clears a field. Folding the
 * entries in order gives the draft; nothing is ever overwritten, so undo is one more entry.
 */

/** Where the customer is while the car is looked at. */
export const WAITS = ['counter', 'phone', 'later'] as const;
export type Waits = (typeof WAITS)[number];

/** A reading in mm, or that the rib cannot be read. */
export const readingSchema = z.union([z.number().min(0).max(60), z.literal('unreadable')]);
export type Reading = z.infer<typeof readingSchema>;

const text = (max: number) => z.string().trim().min(1).max(max);

/** Two readings of one angle, before and after turning lock to lock, degrees. */
const repeatReadingsSchema = z.tuple([angleSchema, angleSchema]);
/** Readings of one angle taken again and again, degrees; the angle itself is their mean. */
const readingsSchema = z.array(angleSchema).min(2).max(12);
/** The smallest step that the gauge shows, degrees. */
const resolutionSchema = z.number().gt(0).max(5);
/** How far the adjuster moves the angle from where it stands, degrees: most down, most up. */
const reachSchema = z.tuple([angleSchema, angleSchema]);
const RACKS = ['ahead', 'behind'] as const;
/** Quarters of a tank. */
const fuelSchema = z.int().min(0).max(4);
/** The most that depths may differ across an all-wheel-drive car, mm. */
const awdMatchSchema = z.number().gt(0).max(10);
const warmBySchema = z.number().gt(0).max(60);
const lastAlignmentSchema = z.strictObject({
  date: z.iso.date().optional(),
  reason: text(200).optional(),
});
/** Cold cranking amps, as rated on the case and as the tester says. */
const batterySchema = z.strictObject({
  rated: z.number().gt(0).max(3_000),
  measured: z.number().min(0).max(3_000),
});
/** N·m. */
const nutTorqueSchema = z.number().gt(0).max(1_000);
const ADJUSTABLE = ['camber', 'caster', 'toe'] as const;
/** Hub centre to arch, mm. */
const heightSchema = z.number().gt(0).max(1_500);
const recheckKmSchema = z.number().gt(0).max(100_000);

const wheelFields = {
  size: text(40),
  newDepth: z.number().gt(0).max(60),
  distance: z.number().min(0).max(1_000_000),
  'pressure.measured': z.number().min(0).max(1_500),
  'pressure.target': z.number().gt(0).max(1_500),
  feather: z.enum(FEATHERS),
  cupping: z.enum(CUPPINGS),
  damage: z.array(z.enum(DAMAGES)).max(DAMAGES.length),
} as const;

const carFields = {
  'units.depth': z.enum(DEPTH_UNITS),
  'units.distance': z.enum(DISTANCE_UNITS),
  'units.pressure': z.enum(PRESSURE_UNITS),
  'vehicle.drive': z.enum(DRIVES),
  'vehicle.use': z.enum(USES),
  'vehicle.rotatable': z.boolean(),
  'vehicle.rideHeightChange.front': z.number().min(-300).max(600),
  'vehicle.rideHeightChange.rear': z.number().min(-300).max(600),
  complaints: z.array(z.enum(COMPLAINTS)).max(COMPLAINTS.length),
  rotations: z.array(rotationSchema).max(50),
  limits: limitsSchema,
  tolerances: tolerancesSchema,
  'visit.words': text(2_000),
  'visit.waits': z.enum(WAITS),
  'visit.measure.repeat': z.enum(REPEATS),
  'visit.measure.repeatReadings': repeatReadingsSchema,
  'visit.measure.setback': setbackSchema,
  'visit.measure.turning.left': turnSchema,
  'visit.measure.turning.right': turnSchema,
  /** The specification sheet that the visit goes by, as it was when it was chosen. */
  'visit.sheet': usedSheetSchema,
  'visit.inspect.crookedWheel': z.enum(CROOKED_WHEELS),
  'visit.inspect.thread': z.enum(THREADS),
  'visit.inspect.overTight': z.boolean(),
  'visit.events': z.array(z.enum(EVENTS)).max(EVENTS.length),
  'visit.occasions': z.array(z.enum(OCCASIONS)).max(OCCASIONS.length),
  'visit.car.rack': z.enum(RACKS),
  'visit.car.suspension.front': z.enum(SUSPENSIONS),
  'visit.car.suspension.rear': z.enum(SUSPENSIONS),
  'visit.car.load': z.enum(LOADS),
  'visit.car.fuel': fuelSchema,
  'visit.car.driver': z.enum(DRIVERS),
  'visit.car.awdMatch': awdMatchSchema,
  'visit.car.placard.front': text(40),
  'visit.car.placard.rear': text(40),
  /** How much warmer than the air the tires were when their pressure was read, K; absent when cold. */
  'visit.warmBy': warmBySchema,
  'visit.lastAlignment': lastAlignmentSchema,
  'visit.quick.warningLights': text(200),
  'visit.quick.codes': text(200),
  'visit.quick.battery': batterySchema,
  'visit.quick.nutTorque': nutTorqueSchema,
  'visit.quick.lamps': z.enum(LAMPS),
  'visit.estimate': estimateSchema,
  /** The angles as they were when setting right began. */
  'visit.setRight.before': z.partialRecord(wheelSchema, wheelAnglesSchema),
  'visit.setRight.recheckKm': recheckKmSchema,
  'visit.other': z.record(z.string(), z.unknown()),
} as const;

/** What is known of a tire beyond the case file. */
const tireExtras = {
  /** The last four characters of its identification number. */
  dateCode: z.string().regex(/^\d{4}$/, 'four digits: week and year, such as 2319'),
  /** Maker's line, so that its depth when new is asked once. */
  line: text(60),
  leak: z.boolean(),
  heelToe: z.boolean(),
  puncturePlace: z.enum(PUNCTURE_PLACES),
} as const;

const schemas = new Map<string, z.ZodType>(Object.entries(carFields));
for (const kind of ANGLE_KINDS) {
  schemas.set(`visit.measure.method.${kind}`, z.enum(METHODS));
  schemas.set(`visit.measure.resolution.${kind}`, resolutionSchema);
}
for (const step of SET_STEPS) {
  schemas.set(`visit.setRight.adjuster.${step}`, z.enum(ADJUSTERS));
  schemas.set(`visit.setRight.reach.${step}`, reachSchema);
}
for (const point of SETUP_POINTS) {
  schemas.set(`visit.measure.setup.${point}`, z.enum(SETUP_STATES));
  schemas.set(`visit.measure.skipped.${point}`, text(200));
}
for (const point of CLOSING_POINTS) {
  schemas.set(`visit.setRight.closing.${point}`, z.enum(SETUP_STATES));
}
for (const complaint of COMPLAINTS) {
  schemas.set(`visit.setRight.complaintGone.${complaint}`, z.boolean());
}
for (const axle of ['front', 'rear'] as const) {
  for (const kind of ADJUSTABLE) {
    schemas.set(`visit.car.adjustable.${axle}.${kind}`, z.enum(KNOWN));
  }
}
for (const wheel of WHEELS) {
  for (const [field, schema] of Object.entries(wheelFields)) {
    schemas.set(`tires.${wheel}.${field}`, schema);
  }
  for (let station = 0; station < MAX_STATIONS; station++) {
    for (const rib of RIBS) schemas.set(`tires.${wheel}.stations.${station}.${rib}`, readingSchema);
  }
  schemas.set(`play.${wheel}`, z.enum(PLAYS));
  schemas.set(`angles.${wheel}`, wheelAnglesSchema);
  for (const [field, schema] of Object.entries(tireExtras)) {
    schemas.set(`visit.tires.${wheel}.${field}`, schema);
  }
  for (const part of PARTS) {
    schemas.set(`visit.inspect.parts.${wheel}.${part}`, z.enum(PLAYS));
  }
  schemas.set(`visit.heights.${wheel}`, heightSchema);
  for (const kind of ANGLE_KINDS) {
    schemas.set(`visit.measure.readings.${wheel}.${kind}`, readingsSchema);
  }
}

/** The schema of the value that a path takes, or undefined for a path that does not exist. */
export function entryValueSchema(path: string): z.ZodType | undefined {
  return schemas.get(path);
}

/** Whether the visit has a field at that path which takes that value. */
export function visitTakes(path: string, value: unknown): boolean {
  return schemas.get(path)?.safeParse(value).success ?? false;
}

const overSchema = z.array(z.uuid()).max(20);

export const entrySchema = z
  .strictObject({
    /** Made by the client, so that an entry sent twice counts once. */
    id: z.uuid(),
    path: z.string().max(80),
    value: z.unknown(),
    /** When it was entered, by the client's clock, UTC. */
    at: z.iso.datetime(),
    /**
     * Entries of the same field that were seen when this one was made. One that was not seen stands
     * beside it, until somebody who has seen both chooses.
     */
    over: overSchema.optional(),
  })
  .superRefine((entry, ctx) => {
    const schema = entryValueSchema(entry.path);
    if (!schema) {
      ctx.addIssue({ code: 'custom', path: ['path'], message: 'a field of a visit' });
      return;
    }
    if (entry.value === null) return;
    const result = schema.safeParse(entry.value);
    if (!result.success) {
      for (const refusal of refusalsOf(result.error)) {
        const path = ['value', ...refusal.path.split('.').filter(Boolean)];
        ctx.addIssue({ code: 'custom', path, message: refusal.expected });
      }
    }
  })
  .meta({ id: 'Entry' });
export type Entry = z.infer<typeof entrySchema>;

/** An entry as the server keeps it: numbered in the order it arrived, with who entered it. */
export const storedEntrySchema = z
  .strictObject({
    id: z.uuid(),
    path: z.string(),
    value: z.unknown(),
    at: z.iso.datetime(),
    seq: z.int(),
    personId: z.uuid(),
    over: overSchema.optional(),
  })
  .meta({ id: 'StoredEntry' });
export type StoredEntry = z.infer<typeof storedEntrySchema>;

const draftStationSchema = z.strictObject({
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

export const draftMeasureSchema = z.strictObject({
  repeat: z.enum(REPEATS).optional(),
  method: z.partialRecord(z.enum(ANGLE_KINDS), z.enum(METHODS)).optional(),
  setup: z.partialRecord(z.enum(SETUP_POINTS), z.enum(SETUP_STATES)).optional(),
  skipped: z.partialRecord(z.enum(SETUP_POINTS), z.string()).optional(),
  repeatReadings: repeatReadingsSchema.optional(),
  resolution: z.partialRecord(z.enum(ANGLE_KINDS), resolutionSchema).optional(),
  readings: z
    .partialRecord(wheelSchema, z.partialRecord(z.enum(ANGLE_KINDS), readingsSchema))
    .optional(),
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
});
export type DraftSetRight = z.infer<typeof draftSetRightSchema>;

const adjustableSchema = z.strictObject({
  camber: z.enum(KNOWN).optional(),
  caster: z.enum(KNOWN).optional(),
  toe: z.enum(KNOWN).optional(),
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
    tolerances: tolerancesSchema.optional(),
    visit: z
      .strictObject({
        words: z.string().optional(),
        waits: z.enum(WAITS).optional(),
        inspect: draftInspectSchema.optional(),
        events: z.array(z.enum(EVENTS)).optional(),
        occasions: z.array(z.enum(OCCASIONS)).optional(),
        car: draftCarSchema.optional(),
        tires: z.partialRecord(wheelSchema, z.strictObject(tireExtras).partial()).optional(),
        heights: z.partialRecord(wheelSchema, heightSchema).optional(),
        warmBy: warmBySchema.optional(),
        lastAlignment: lastAlignmentSchema.optional(),
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
        other: z.record(z.string(), z.unknown()).optional(),
      })
      .optional(),
  })
  .meta({ id: 'VisitDraft' });
export type VisitDraft = z.infer<typeof visitDraftSchema>;
