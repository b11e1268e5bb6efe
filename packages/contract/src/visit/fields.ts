import { z } from 'zod';
import type { ExpectedReason } from '../expectedTexts.ts';
import { setbackSchema, turnSchema } from '../angleFile.ts';
import {
  limitsSchema,
  rotationSchema,
  tolerancesSchema,
  unitsSchema,
  wheelAnglesSchema,
} from '../caseFile.ts';
import { FIELD_LIMITS } from '../fieldLimits.ts';
import { dueReminderSchema, GIVEN, storedTiresSchema } from '../handOver.ts';
import { estimateSchema } from '../prices.ts';
import { learnedConstantsSchema } from '../shopConstants.ts';
import { usedSheetSchema } from '../specSheet.ts';
import { momentSchema } from '../storable.ts';
import {
  ADJUSTERS,
  ANGLE_KINDS,
  AXLES,
  CLOSING_POINTS,
  COMPLAINTS,
  CROOKED_WHEELS,
  CUPPINGS,
  DAMAGES,
  DAMAGE_ZONES,
  DEPTH_UNITS,
  DISTANCE_UNITS,
  DRIVERS,
  DRIVES,
  EVENTS,
  FEATHERS,
  GAUGE_CALCULATORS,
  KNOWN,
  LAMPS,
  LANGUAGES,
  LOADS,
  MAX_STATIONS,
  METHODS,
  OCCASIONS,
  PARTS,
  PLAYS,
  PRESSURE_UNITS,
  PUNCTURE_PLACES,
  RACKS,
  REPEATS,
  RIBS,
  SEASONS,
  SETUP_POINTS,
  SETUP_STATES,
  SET_STEPS,
  SUSPENSIONS,
  THREADS,
  TIRE_PAIRS,
  USES,
  WAITS,
  WHEELS,
} from '../words.ts';
import { each, field, fieldsBelow, group, list } from './fieldTree.ts';
import type { PatternOf, PlacedField } from './fieldTree.ts';
import {
  batterySchema,
  gaugeTextsSchema,
  lastAlignmentSchema,
  learnedListSchema,
  leftSchema,
  lockSchema,
  measuredTodaySchema,
  otherWheelsSchema,
  reachSchema,
  readingSchema,
  readingSpreadSchema,
  readingsSchema,
  repeatReadingsSchema,
  resolutionSchema,
  steeringWheelSchema,
  angleReadingSchema,
  text,
  toeInSchema,
  turnsSchema,
  usedInstrumentsSchema,
} from './values.ts';

/**
 * The fields of a visit, as a tree: what each takes, who may write it and whether the car's next visit
 * starts with it. The draft, the paths of its entries, what is carried over and what is erased with a
 * customer all follow from it. Values are in mm, km, kPa and degrees.
 *
 * How a field goes into and out of a case file is a line in `core/src/visit/caseFields.ts`, which the
 * browser loads without this file and its validator; what people call it is a line in
 * `core/src/words/fieldLabels.ts`. A test there holds both to this tree.
 */

const CARRIES = { carries: true } as const;
const PERSONAL = { personal: true } as const;
const SETS_ANGLES = { right: 'setAngles' } as const;

const some = <T extends string>(words: readonly T[]) => z.array(z.enum(words)).max(words.length);
const oneOf = <T extends string>(words: readonly T[]) => z.enum(words);

const rideHeightChange = z
  .number()
  .min(FIELD_LIMITS.rideHeightMm.least)
  .max(FIELD_LIMITS.rideHeightMm.most);

const tire = group({
  size: field(text(40), CARRIES),
  newDepth: field(z.number().gt(0).max(FIELD_LIMITS.newDepthMm), CARRIES),
  distance: field(z.number().min(0).max(FIELD_LIMITS.distanceKm)),
  pressure: group({
    measured: field(z.number().min(0).max(FIELD_LIMITS.pressureKpa)),
    target: field(z.number().gt(0).max(FIELD_LIMITS.pressureKpa), CARRIES),
  }),
  stations: list('place', MAX_STATIONS, each('rib', RIBS, field(readingSchema))),
  feather: field(oneOf(FEATHERS)),
  cupping: field(oneOf(CUPPINGS)),
  damage: field(some(DAMAGES)),
});

/** What is known of a tire beyond the case file. */
const tireExtras = group({
  /** The last four characters of its identification number. */
  dateCode: field(z.string().regex(/^\d{4}$/, 'dateCode' satisfies ExpectedReason), CARRIES),
  /** Maker's line, so that its depth when new is asked once. */
  line: field(text(60), CARRIES),
  leak: field(z.boolean()),
  heelToe: field(z.boolean()),
  puncturePlace: field(oneOf(PUNCTURE_PLACES)),
  season: field(oneOf(SEASONS), CARRIES),
  damageAt: each('damage', DAMAGES, field(oneOf(DAMAGE_ZONES))),
});

const car = group({
  rack: field(oneOf(RACKS), CARRIES),
  suspension: each('axle', AXLES, field(oneOf(SUSPENSIONS), CARRIES)),
  adjustable: each('axle', AXLES, each('angle', ANGLE_KINDS, field(oneOf(KNOWN), CARRIES))),
  load: field(oneOf(LOADS), CARRIES),
  /** Quarters of a tank. */
  fuel: field(z.int().min(0).max(4)),
  driver: field(oneOf(DRIVERS), CARRIES),
  /** The most that depths may differ across an all-wheel-drive car, mm. */
  awdMatch: field(z.number().gt(0).max(10), CARRIES),
  /** Tires that roll one way only. */
  directional: field(z.boolean(), CARRIES),
  /** What its adjusters did at earlier visits; the next one starts with this visit's added. */
  learned: field(learnedListSchema),
  wheels: field(otherWheelsSchema, CARRIES),
  placard: each('axle', AXLES, field(text(40), CARRIES)),
});

const inspect = group({
  crookedWheel: field(oneOf(CROOKED_WHEELS)),
  thread: field(oneOf(THREADS)),
  overTight: field(z.boolean()),
  parts: each('wheel', WHEELS, each('part', PARTS, field(oneOf(PLAYS)))),
});

const quick = group({
  warningLights: field(text(200), PERSONAL),
  codes: field(text(200), PERSONAL),
  battery: field(batterySchema),
  /** N·m. */
  nutTorque: field(z.number().gt(0).max(1_000)),
  lamps: field(oneOf(LAMPS)),
});

const measure = group({
  instruments: field(usedInstrumentsSchema),
  what: field(measuredTodaySchema),
  repeat: field(oneOf(REPEATS)),
  repeatReadings: field(repeatReadingsSchema),
  method: each('angle', ANGLE_KINDS, field(oneOf(METHODS))),
  resolution: each('angle', ANGLE_KINDS, field(resolutionSchema)),
  setup: each('point', SETUP_POINTS, field(oneOf(SETUP_STATES))),
  skipped: each('point', SETUP_POINTS, field(text(200))),
  readings: each('wheel', WHEELS, each('angle', ANGLE_KINDS, field(readingsSchema))),
  taken: each(
    'wheel',
    WHEELS,
    each('angle', ANGLE_KINDS, each('method', METHODS, field(angleReadingSchema))),
  ),
  gauge: each('gauge', GAUGE_CALCULATORS, field(gaugeTextsSchema)),
  toeIn: field(toeInSchema, CARRIES),
  lock: field(lockSchema),
  setback: field(setbackSchema),
  turning: group({ left: field(turnSchema), right: field(turnSchema) }),
});

const setRight = group({
  /** The angles as they were when setting right began. */
  before: field(z.partialRecord(z.enum(WHEELS), wheelAnglesSchema), SETS_ANGLES),
  adjuster: each('step', SET_STEPS, field(oneOf(ADJUSTERS), SETS_ANGLES)),
  reach: each('step', SET_STEPS, field(reachSchema, SETS_ANGLES)),
  turns: each('step', SET_STEPS, field(turnsSchema, SETS_ANGLES)),
  /** When an angle was last moved by hand. */
  moved: each('wheel', WHEELS, each('angle', ANGLE_KINDS, field(momentSchema, SETS_ANGLES))),
  left: field(leftSchema, SETS_ANGLES),
  steeringWheel: field(steeringWheelSchema, SETS_ANGLES),
  closing: each('closing', CLOSING_POINTS, field(oneOf(SETUP_STATES), SETS_ANGLES)),
  complaintGone: each('complaint', COMPLAINTS, field(z.boolean(), SETS_ANGLES)),
  recheckKm: field(z.number().gt(0).max(100_000), SETS_ANGLES),
});

const handOver = group({
  // The customer reads what the customer read.
  language: field(oneOf(LANGUAGES), CARRIES),
  units: field(unitsSchema, CARRIES),
  kmPerYear: field(z.number().min(500).max(200_000)),
  given: field(oneOf(GIVEN)),
  /** What is due later, for the shop's list. */
  next: field(z.array(dueReminderSchema).max(12)),
  stored: field(storedTiresSchema, CARRIES),
});

export const VISIT_FIELDS = group({
  units: group({
    depth: field(oneOf(DEPTH_UNITS), CARRIES),
    distance: field(oneOf(DISTANCE_UNITS)),
    pressure: field(oneOf(PRESSURE_UNITS)),
  }),
  vehicle: group({
    drive: field(oneOf(DRIVES), CARRIES),
    use: field(oneOf(USES), CARRIES),
    rotatable: field(z.boolean(), CARRIES),
    rideHeightChange: each('axle', AXLES, field(rideHeightChange, CARRIES)),
  }),
  tires: each('wheel', WHEELS, tire),
  complaints: field(some(COMPLAINTS)),
  rotations: field(z.array(rotationSchema).max(50)),
  angles: each('wheel', WHEELS, field(wheelAnglesSchema)),
  play: each('wheel', WHEELS, field(oneOf(PLAYS))),
  limits: field(limitsSchema),
  readingSpread: field(readingSpreadSchema),
  /** What the shop had learned of its own cars when the visit began. */
  constants: field(learnedConstantsSchema),
  tolerances: field(tolerancesSchema, CARRIES),
  visit: group({
    words: field(text(2_000), PERSONAL),
    waits: field(oneOf(WAITS)),
    events: field(some(EVENTS)),
    occasions: field(some(OCCASIONS)),
    car,
    tires: each('wheel', WHEELS, tireExtras),
    tiresDiffer: field(some(TIRE_PAIRS), CARRIES),
    /** Hub centre to arch, mm. */
    heights: each('wheel', WHEELS, field(z.number().gt(0).max(1_500))),
    /** How much warmer than the air the tires were when their pressure was read, K; absent when cold. */
    warmBy: field(z.number().gt(0).max(60)),
    lastAlignment: field(lastAlignmentSchema),
    /** What the car has run in all, km, by its odometer today. */
    odometer: field(z.number().min(0).max(FIELD_LIMITS.odometerKm)),
    inspect,
    quick,
    measure,
    setRight,
    /** The specification sheet that the visit uses, in the revision it was chosen in. */
    sheet: field(usedSheetSchema, CARRIES),
    estimate: field(estimateSchema),
    handOver,
    /** What came with an imported case file that the app does not know. */
    other: field(z.record(z.string(), z.unknown()), PERSONAL),
  }),
});

/** A field's path with names for its keys: `tires.{wheel}.stations.{place}.{rib}`. */
export type FieldPattern = PatternOf<typeof VISIT_FIELDS>;

/** Every field at every place, in the order of the tree. */
export const PLACED_FIELDS: readonly PlacedField[] = fieldsBelow(VISIT_FIELDS);
