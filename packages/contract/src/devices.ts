import { z } from 'zod';
import { angleFileSchema } from './angleFile.ts';
import { wheelAnglesSchema, wheelSchema } from './caseFile.ts';

/** The simulated rig that ships with the product: what it stands for, and what it says. */

export const RIG_FAULTS = ['none', 'looseClamp', 'blockedTarget', 'runOut'] as const;
export type RigFault = (typeof RIG_FAULTS)[number];

/** The made-up car on the rig, and what is wrong with the rig itself. */
export const rigStateSchema = z
  .strictObject({
    isOn: z.boolean(),
    /** How the wheels really stand, degrees. */
    wheels: z.record(wheelSchema, wheelAnglesSchema),
    /** mm, right front further back positive. */
    setback: z.number().min(-300).max(300),
    fault: z.enum(RIG_FAULTS),
    faultAt: wheelSchema,
  })
  .meta({ id: 'RigState' });
export type RigState = z.infer<typeof rigStateSchema>;

export const DEFAULT_RIG: RigState = {
  isOn: true,
  wheels: {
    lf: { camber: -0.55, caster: 4.2, sai: 13.1, toe: 0.31 },
    rf: { camber: -0.4, caster: 4.05, sai: 12.9, toe: 0.27 },
    lr: { camber: -1.1, toe: 0.16 },
    rr: { camber: -1.05, toe: 0.12 },
  },
  setback: 2,
  fault: 'none',
  faultAt: 'lf',
};

/** One look of the rig: the angles it sees now, or why it sees none. */
export const rigReadingSchema = z
  .strictObject({
    status: z.enum(['ready', 'off', 'partly']),
    /** Wheels whose target it does not see. */
    unseen: z.array(wheelSchema),
    angles: angleFileSchema,
  })
  .meta({ id: 'RigReading' });
export type RigReading = z.infer<typeof rigReadingSchema>;

/** What is wrong with the simulated depth gauge. */
export const GAUGE_FAULTS = ['none', 'dropsOut', 'repeats', 'outOfRange'] as const;
export type GaugeFault = (typeof GAUGE_FAULTS)[number];

/** How a gauge hands its readings over: by radio, typed like a keyboard, or as lines on a serial port. */
export const GAUGE_SPEECHES = ['radio', 'keys', 'serial'] as const;
export type GaugeSpeech = (typeof GAUGE_SPEECHES)[number];
/** What a typed reading or a line carries after its number. */
export const GAUGE_UNITS = ['none', 'mm', 'in'] as const;
export type GaugeUnit = (typeof GAUGE_UNITS)[number];

export const gaugeStateSchema = z
  .strictObject({
    isOn: z.boolean(),
    speaks: z.enum(GAUGE_SPEECHES),
    writes: z.enum(GAUGE_UNITS),
    /** 0 to 1. */
    battery: z.number().min(0).max(1),
    fault: z.enum(GAUGE_FAULTS),
    /** Number of its last reading. */
    n: z.int().min(0),
  })
  .meta({ id: 'GaugeState' });
export type GaugeState = z.infer<typeof gaugeStateSchema>;
export const DEFAULT_GAUGE: GaugeState = {
  isOn: true,
  speaks: 'radio',
  writes: 'none',
  battery: 0.8,
  fault: 'none',
  n: 0,
};
/** Below this the gauge says that its battery is low. */
export const GAUGE_LOW_BATTERY = 0.15;

export const playGaugeSchema = gaugeStateSchema
  .omit({ n: true })
  .extend({
    speaks: z.enum(GAUGE_SPEECHES).default('radio'),
    writes: z.enum(GAUGE_UNITS).default('none'),
  })
  .meta({ id: 'PlayGauge' });
/** The gauge is set down on a rib and its trigger pressed. */
export const pressGaugeSchema = z
  .strictObject({ mm: z.number().min(0).max(60) })
  .meta({ id: 'PressGauge' });

/** What a depth gauge says over its WebSocket: the open format, version 1. */
export const gaugeMessageSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('hello'),
    device: z.string().max(80),
    battery: z.number().min(0).max(1),
  }),
  /** Readings are numbered: one that comes twice counts once. */
  z.strictObject({
    kind: z.literal('reading'),
    n: z.int().min(1),
    mm: z.number().min(0).max(60),
    battery: z.number().min(0).max(1),
  }),
  /** The trigger was pressed off the tread. */
  z.strictObject({ kind: z.literal('outOfRange'), n: z.int().min(1) }),
  /** What the stand-in types, or puts on its serial line: one reading as such gauges write it. */
  z.strictObject({
    kind: z.literal('text'),
    n: z.int().min(1),
    by: z.enum(['keys', 'serial']),
    text: z.string().max(40),
  }),
]);
export type GaugeMessage = z.infer<typeof gaugeMessageSchema>;
