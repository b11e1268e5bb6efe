import { z } from 'zod';
import { rememberedMapping } from '../../shared/rememberedMapping.ts';

const column = z.int().min(0).nullable();
const perAngle = <T extends z.ZodType>(schema: T) =>
  z.strictObject({ camber: schema, caster: schema, sai: schema, toe: schema });

/** How the shop's own rig writes its table. */
export const angleMappings = rememberedMapping(
  'angleMappings',
  z.record(
    z.string(),
    z.strictObject({
      wheel: column,
      columns: perAngle(column),
      flipped: perAngle(z.boolean()),
      angleUnit: z.enum(['deg', 'min']),
      toeUnit: z.enum(['deg', 'min', 'mm', 'in']),
      diameter: z.number().nullable(),
    }),
  ),
);
