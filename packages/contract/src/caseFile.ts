import { z } from 'zod';
import type { ExpectedReason } from './expectedTexts.ts';
import {
  COMPLAINTS,
  CUPPINGS,
  DAMAGES,
  DEPTH_SLACK_MM,
  DEPTH_UNITS,
  DISTANCE_UNITS,
  DRIVERS,
  DRIVES,
  EVENTS,
  FEATHERS,
  MAX_STATIONS,
  MM_PER_IN32,
  PLAYS,
  KM_PER_MI,
  KPA_PER_PRESSURE,
  LOADS,
  OCCASIONS,
  PRESSURE_UNITS,
  PUT_RIGHT,
  RIBS,
  SUSPENSIONS,
  TIRE_PAIRS,
  USES,
  WHEELS,
} from './words.ts';
import type { Wheel } from './words.ts';
import { FIELD_LIMITS } from './fieldLimits.ts';
import { priceListSchema } from './prices.ts';
import { issue, validationIssueOf } from './validationIssue.ts';
import type { ValidationIssue } from './validationIssue.ts';
import { shopConstantsSchema } from './shopConstants.ts';
import { unstorable } from './storable.ts';

export const CASE_FORMAT = 'keen-groove/case';
export const CASE_VERSION = 1;

export const wheelSchema = z.enum(WHEELS);
/** An angle in degrees that a wheel can have. */
export const angleSchema = z.number().gt(-90).lt(90);
const rangeSchema = z
  .tuple([z.number(), z.number()])
  .refine(([low, high]) => low < high, { error: 'lowBelowHigh' satisfies ExpectedReason });
const axleRangesSchema = z.strictObject({
  front: rangeSchema.optional(),
  rear: rangeSchema.optional(),
});

export const unitsSchema = z.strictObject({
  depth: z.enum(DEPTH_UNITS),
  distance: z.enum(DISTANCE_UNITS),
  pressure: z.enum(PRESSURE_UNITS),
});
export type Units = z.infer<typeof unitsSchema>;

const depthSchema = z.number().min(0).nullable();
export const stationSchema = z.strictObject({
  inner: depthSchema,
  centre: depthSchema,
  outer: depthSchema,
});

export const tireSchema = z.strictObject({
  size: z.string().max(40).optional(),
  newDepth: z.number().gt(0).max(FIELD_LIMITS.newDepthMm),
  distance: z.number().min(0),
  pressure: z
    .strictObject({ measured: z.number().min(0).optional(), target: z.number().gt(0) })
    .optional(),
  stations: z.array(stationSchema).min(1).max(MAX_STATIONS),
  feather: z.enum(FEATHERS).optional(),
  cupping: z.enum(CUPPINGS).optional(),
  damage: z.array(z.enum(DAMAGES)).optional(),
});

export const wheelAnglesSchema = z.strictObject({
  camber: angleSchema.optional(),
  toe: angleSchema.optional(),
  caster: angleSchema.optional(),
  sai: angleSchema.optional(),
});

const movesSchema = z
  .partialRecord(wheelSchema, wheelSchema)
  .refine((moves) => isPermutation(moves), {
    error: 'permutation' satisfies ExpectedReason,
  });
export const rotationSchema = z.strictObject({ atDistance: z.number().min(0), moves: movesSchema });

export const tolerancesSchema = z.strictObject({
  camber: axleRangesSchema.optional(),
  totalToe: axleRangesSchema.optional(),
  pressure: z.number().gt(0).lt(1).optional(),
});
export const limitsSchema = z.strictObject({
  legal: z.number().min(0).optional(),
  advise: z.number().min(0).optional(),
});
const rideHeightMm = z
  .number()
  .min(FIELD_LIMITS.rideHeightMm.least)
  .max(FIELD_LIMITS.rideHeightMm.most);
export const rideHeightChangeSchema = z.strictObject({
  front: rideHeightMm.optional(),
  rear: rideHeightMm.optional(),
});

export const vehicleSchema = z.strictObject({
  label: z.string().max(200).optional(),
  drive: z.enum(DRIVES),
  use: z.enum(USES),
  rideHeightChange: rideHeightChangeSchema.optional(),
  rotatable: z.boolean().optional(),
});

/** An earlier reading of tires that are on the car today. */
export const earlierReadingSchema = z.strictObject({
  /** Distance run since, in the file's unit. */
  ago: z.number().gt(0),
  /** By where each tire is mounted today; tires that were not read, or are newer, are left out. */
  tires: z.partialRecord(
    wheelSchema,
    z.strictObject({ stations: z.array(stationSchema).min(1).max(MAX_STATIONS) }),
  ),
  /** What was put right at that visit. */
  putRight: z.array(z.enum(PUT_RIGHT)).max(PUT_RIGHT.length).optional(),
  /** Angles as they stood when the car left. */
  angles: z.partialRecord(wheelSchema, wheelAnglesSchema).optional(),
});
export type EarlierReading = z.infer<typeof earlierReadingSchema>;

/** What happened to the car and how it is used, where that changes what the tread can mean. */
export const historySchema = z.strictObject({
  /** Since the last alignment; what the trouble started after. */
  startedAfter: z.array(z.enum(EVENTS)).max(EVENTS.length).optional(),
  /** When the complaint shows. */
  occasions: z.array(z.enum(OCCASIONS)).max(OCCASIONS.length).optional(),
  /** Distance run since the last alignment, in the file's unit. */
  alignedAgo: z.number().min(0).optional(),
  driver: z.enum(DRIVERS).optional(),
  /** Heavy load that the car usually carries. */
  load: z.enum(LOADS).optional(),
  suspension: z
    .strictObject({
      front: z.enum(SUSPENSIONS).optional(),
      rear: z.enum(SUSPENSIONS).optional(),
    })
    .optional(),
  /** Pairs of tires that are known to be of different line, age or season. */
  tiresDiffer: z.array(z.enum(TIRE_PAIRS)).max(TIRE_PAIRS.length).optional(),
  /** Earlier readings of these tires, oldest first. */
  earlier: z.array(earlierReadingSchema).max(20).optional(),
});
export type CaseHistory = z.infer<typeof historySchema>;

/** One car at one visit, in the units the file names: the open format, version 1. */
export const caseFileSchema = z
  .strictObject({
    format: z.literal(CASE_FORMAT),
    version: z.literal(CASE_VERSION),
    units: unitsSchema,
    vehicle: vehicleSchema,
    tolerances: tolerancesSchema.optional(),
    limits: limitsSchema.optional(),
    tires: z.strictObject({ lf: tireSchema, rf: tireSchema, lr: tireSchema, rr: tireSchema }),
    rotations: z.array(rotationSchema).max(50).optional(),
    complaints: z.array(z.enum(COMPLAINTS)).optional(),
    angles: z.partialRecord(wheelSchema, wheelAnglesSchema).optional(),
    play: z.partialRecord(wheelSchema, z.enum(PLAYS)).optional(),
    history: historySchema.optional(),
    /** Standard deviation of one reading before rounding, as the shop's gauge study found it, in the file's depth unit. */
    readingSpread: z.number().gt(0).optional(),
    /** What the shop learned of its own cars, where that is to stand in for the usual. */
    constants: shopConstantsSchema.optional(),
    /** What work and tires cost, so that the advice can be weighed in money. */
    prices: priceListSchema.optional(),
    visit: z.record(z.string(), z.unknown()).optional(),
  })
  .superRefine((file, ctx) => {
    checkLimits(file, ctx);
    checkDepths(file, ctx);
    checkRotations(file, ctx);
    checkEarlier(file, ctx);
  })
  .meta({ id: 'CaseFile', title: 'Keen Groove case file, version 1' });
export type CaseFile = z.infer<typeof caseFileSchema>;
export type CaseTire = CaseFile['tires'][Wheel];

export type Parsed<T> = { ok: true; value: T } | { ok: false; error: ValidationIssue };

/** Checks unknown data against the case file; the first fault comes back as a path. */
export function parseCaseFile(data: unknown): Parsed<CaseFile> {
  const never = unstorable(data);
  if (never) return { ok: false, error: never };
  const result = caseFileSchema.safeParse(data);
  return result.success
    ? { ok: true, value: result.data }
    : { ok: false, error: validationIssueOf(result.error) };
}

function isPermutation(moves: Partial<Record<Wheel, Wheel>>): boolean {
  const from = Object.keys(moves).toSorted();
  const to = Object.values(moves).toSorted();
  return from.length > 0 && from.every((wheel, i) => wheel === to[i]);
}

type Check = z.core.$RefinementCtx<{
  units: Units;
  tires: Record<Wheel, z.infer<typeof tireSchema>>;
  rotations?: z.infer<typeof rotationSchema>[] | undefined;
  history?: CaseHistory | undefined;
  readingSpread?: number | undefined;
}>;

/** The limits of what can be typed, in the file's own units. */
function checkLimits({ units, tires, history, readingSpread }: Check['value'], ctx: Check): void {
  const most = {
    distance: FIELD_LIMITS.distanceKm / (units.distance === 'km' ? 1 : KM_PER_MI),
    pressure: FIELD_LIMITS.pressureKpa / KPA_PER_PRESSURE[units.pressure],
    spread: FIELD_LIMITS.readingSpreadMm / (units.depth === 'mm' ? 1 : MM_PER_IN32),
  };
  const check = (path: string[], value: number | undefined, limit: number) => {
    if (value === undefined || value <= limit) return;
    ctx.addIssue(issue(path, 'atMost', { limit: trim(limit) }));
  };
  for (const wheel of WHEELS) {
    const { distance, pressure } = tires[wheel];
    const at = ['tires', wheel];
    check([...at, 'distance'], distance, most.distance);
    check([...at, 'pressure', 'measured'], pressure?.measured, most.pressure);
    check([...at, 'pressure', 'target'], pressure?.target, most.pressure);
  }
  check(['history', 'alignedAgo'], history?.alignedAgo, most.distance);
  check(['readingSpread'], readingSpread, most.spread);
}

function checkDepths(file: Check['value'], ctx: Check): void {
  const slack = file.units.depth === 'mm' ? DEPTH_SLACK_MM : DEPTH_SLACK_MM / MM_PER_IN32;
  for (const wheel of WHEELS) {
    const tire = file.tires[wheel];
    const limit = tire.newDepth + slack;
    tire.stations.forEach((station, index) => {
      for (const rib of RIBS) {
        const depth = station[rib];
        if (depth !== null && depth > limit) {
          const path = ['tires', wheel, 'stations', index, rib];
          ctx.addIssue(issue(path, 'depthUpToNew', depthLimit(limit, file.units)));
        }
      }
    });
  }
}

function checkRotations(file: Check['value'], ctx: Check): void {
  const run = Math.max(...WHEELS.map((wheel) => file.tires[wheel].distance));
  let last = 0;
  file.rotations?.forEach((rotation, index) => {
    const path = ['rotations', index, 'atDistance'];
    if (rotation.atDistance > run) {
      ctx.addIssue(issue(path, 'withinDistance', { run: trim(run) }));
    } else if (rotation.atDistance < last) {
      ctx.addIssue(issue(path, 'inOrder', { last: trim(last) }));
    }
    last = Math.max(last, rotation.atDistance);
  });
}

function checkEarlier({ units, tires, history }: Check['value'], ctx: Check): void {
  const slack = units.depth === 'mm' ? DEPTH_SLACK_MM : DEPTH_SLACK_MM / MM_PER_IN32;
  let last = Number.POSITIVE_INFINITY;
  history?.earlier?.forEach((reading, index) => {
    const at = ['history', 'earlier', index];
    if (reading.ago > last) {
      ctx.addIssue(issue([...at, 'ago'], 'oldestFirst', { last: trim(last) }));
    }
    last = Math.min(last, reading.ago);
    for (const wheel of WHEELS) {
      const earlier = reading.tires[wheel];
      if (!earlier) continue;
      const { distance, newDepth } = tires[wheel];
      if (reading.ago > distance) {
        ctx.addIssue(issue([...at, 'tires', wheel], 'tireWasFitted', { run: trim(distance) }));
      }
      earlier.stations.forEach((station, place) => {
        for (const rib of RIBS) {
          const depth = station[rib];
          if (depth !== null && depth > newDepth + slack) {
            const path = [...at, 'tires', wheel, 'stations', place, rib];
            ctx.addIssue(issue(path, 'depthUpToNew', depthLimit(newDepth + slack, units)));
          }
        }
      });
    }
  });
}

function depthLimit(limit: number, { depth: unit }: Units) {
  return { limit: trim(limit), unit, slack: DEPTH_SLACK_MM };
}

function trim(value: number): string {
  return String(Number(value.toFixed(3)));
}
