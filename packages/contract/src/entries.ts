import { z } from 'zod';
import { setbackSchema, turnSchema } from './angleFile.ts';
import {
  limitsSchema,
  rotationSchema,
  tolerancesSchema,
  wheelAnglesSchema,
  wheelSchema,
} from './caseFile.ts';
import {
  WAITS,
  readingSchema,
  readingSpreadSchema,
  text,
  repeatReadingsSchema,
  readingsSchema,
  resolutionSchema,
  reachSchema,
  RACKS,
  fuelSchema,
  awdMatchSchema,
  warmBySchema,
  lastAlignmentSchema,
  odometerSchema,
  tiresDifferSchema,
  batterySchema,
  damageZoneSchema,
  nutTorqueSchema,
  ADJUSTABLE,
  heightSchema,
  recheckKmSchema,
  leftSchema,
  steeringWheelSchema,
  gaugeTextsSchema,
  learnedListSchema,
  otherWheelsSchema,
  lockSchema,
  measuredTodaySchema,
  toeInSchema,
  usedInstrumentsSchema,
  takenSchema,
  turnsSchema,
  tireExtras,
} from './draft.ts';
import { FIELD_LIMITS } from './fieldLimits.ts';
import { handOverFields } from './handOver.ts';
import { estimateSchema } from './prices.ts';
import { refusalsOf } from './refusal.ts';
import { learnedConstantsSchema } from './shopConstants.ts';
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
  PRESSURE_UNITS,
  REPEATS,
  RIBS,
  SETUP_POINTS,
  SETUP_STATES,
  SET_STEPS,
  SUSPENSIONS,
  THREADS,
  USES,
  WHEELS,
} from './words.ts';
import { momentSchema, rowNumberSchema, unstorable } from './storable.ts';

/**
 * A visit is what has been entered about it: an append-only list of entries, each setting one field
 * of the draft by its path. Values are in mm, km and kPa; `null` clears a field. Folding the
 * entries in order gives the draft; nothing is ever overwritten, so undo is one more entry.
 */

const wheelFields = {
  size: text(40),
  newDepth: z.number().gt(0).max(FIELD_LIMITS.newDepthMm),
  distance: z.number().min(0).max(FIELD_LIMITS.distanceKm),
  'pressure.measured': z.number().min(0).max(FIELD_LIMITS.pressureKpa),
  'pressure.target': z.number().gt(0).max(FIELD_LIMITS.pressureKpa),
  feather: z.enum(FEATHERS),
  cupping: z.enum(CUPPINGS),
  damage: z.array(z.enum(DAMAGES)).max(DAMAGES.length),
} as const;

const rideHeightChange = z
  .number()
  .min(FIELD_LIMITS.rideHeightMm.least)
  .max(FIELD_LIMITS.rideHeightMm.most);

const carFields = {
  'units.depth': z.enum(DEPTH_UNITS),
  'units.distance': z.enum(DISTANCE_UNITS),
  'units.pressure': z.enum(PRESSURE_UNITS),
  'vehicle.drive': z.enum(DRIVES),
  'vehicle.use': z.enum(USES),
  'vehicle.rotatable': z.boolean(),
  'vehicle.rideHeightChange.front': rideHeightChange,
  'vehicle.rideHeightChange.rear': rideHeightChange,
  complaints: z.array(z.enum(COMPLAINTS)).max(COMPLAINTS.length),
  rotations: z.array(rotationSchema).max(50),
  limits: limitsSchema,
  readingSpread: readingSpreadSchema,
  constants: learnedConstantsSchema,
  tolerances: tolerancesSchema,
  'visit.words': text(2_000),
  'visit.waits': z.enum(WAITS),
  'visit.measure.repeat': z.enum(REPEATS),
  'visit.measure.repeatReadings': repeatReadingsSchema,
  'visit.measure.setback': setbackSchema,
  'visit.measure.toeIn': toeInSchema,
  'visit.measure.instruments': usedInstrumentsSchema,
  'visit.measure.lock': lockSchema,
  'visit.measure.what': measuredTodaySchema,
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
  /** Tires that roll one way only. */
  'visit.car.directional': z.boolean(),
  'visit.car.learned': learnedListSchema,
  'visit.car.wheels': otherWheelsSchema,
  'visit.car.placard.front': text(40),
  'visit.car.placard.rear': text(40),
  /** How much warmer than the air the tires were when their pressure was read, K; absent when cold. */
  'visit.warmBy': warmBySchema,
  'visit.lastAlignment': lastAlignmentSchema,
  'visit.odometer': odometerSchema,
  'visit.tiresDiffer': tiresDifferSchema,
  'visit.quick.warningLights': text(200),
  'visit.quick.codes': text(200),
  'visit.quick.battery': batterySchema,
  'visit.quick.nutTorque': nutTorqueSchema,
  'visit.quick.lamps': z.enum(LAMPS),
  'visit.estimate': estimateSchema,
  /** The angles as they were when setting right began. */
  'visit.setRight.before': z.partialRecord(wheelSchema, wheelAnglesSchema),
  'visit.setRight.recheckKm': recheckKmSchema,
  'visit.setRight.left': leftSchema,
  'visit.setRight.steeringWheel': steeringWheelSchema,
  'visit.other': z.record(z.string(), z.unknown()),
} as const;

const schemas = new Map<string, z.ZodType>(Object.entries(carFields));
for (const kind of ANGLE_KINDS) {
  schemas.set(`visit.measure.method.${kind}`, z.enum(METHODS));
  schemas.set(`visit.measure.resolution.${kind}`, resolutionSchema);
}
for (const gauge of GAUGE_CALCULATORS) {
  schemas.set(`visit.measure.gauge.${gauge}`, gaugeTextsSchema);
}
for (const step of SET_STEPS) {
  schemas.set(`visit.setRight.adjuster.${step}`, z.enum(ADJUSTERS));
  schemas.set(`visit.setRight.reach.${step}`, reachSchema);
  schemas.set(`visit.setRight.turns.${step}`, turnsSchema);
}
for (const point of SETUP_POINTS) {
  schemas.set(`visit.measure.setup.${point}`, z.enum(SETUP_STATES));
  schemas.set(`visit.measure.skipped.${point}`, text(200));
}
for (const point of CLOSING_POINTS) {
  schemas.set(`visit.setRight.closing.${point}`, z.enum(SETUP_STATES));
}
for (const [field, schema] of Object.entries(handOverFields)) {
  schemas.set(`visit.handOver.${field}`, schema);
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
  for (const damage of DAMAGES) {
    schemas.set(`visit.tires.${wheel}.damageAt.${damage}`, damageZoneSchema);
  }
  for (const part of PARTS) {
    schemas.set(`visit.inspect.parts.${wheel}.${part}`, z.enum(PLAYS));
  }
  schemas.set(`visit.heights.${wheel}`, heightSchema);
  for (const kind of ANGLE_KINDS) {
    schemas.set(`visit.measure.readings.${wheel}.${kind}`, readingsSchema);
    /** When an angle was last moved by hand. */
    schemas.set(`visit.setRight.moved.${wheel}.${kind}`, momentSchema);
    for (const method of METHODS) {
      schemas.set(`visit.measure.taken.${wheel}.${kind}.${method}`, takenSchema);
    }
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
    at: momentSchema,
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
    const never = unstorable(entry.value);
    if (never) {
      const path = ['value', ...never.path.split('.').filter(Boolean)];
      ctx.addIssue({ code: 'custom', path, message: never.expected });
      return;
    }
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
    at: momentSchema,
    seq: rowNumberSchema,
    personId: z.uuid(),
    over: overSchema.optional(),
  })
  .meta({ id: 'StoredEntry' });
export type StoredEntry = z.infer<typeof storedEntrySchema>;
