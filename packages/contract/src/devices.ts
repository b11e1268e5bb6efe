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
