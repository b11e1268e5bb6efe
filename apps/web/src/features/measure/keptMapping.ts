import type { AngleMapping } from '@keen/core';
import { z } from 'zod';

/** How the shop's own rig writes its table is said once on each tablet, and remembered by its heading. */
const KEY = 'keen.angleMappings';
const MOST_KEPT = 20;

const column = z.int().min(0).nullable();
const perAngle = <T extends z.ZodType>(schema: T) =>
  z.strictObject({ camber: schema, caster: schema, sai: schema, toe: schema });
const keptSchema = z.record(
  z.string(),
  z.strictObject({
    wheel: column,
    columns: perAngle(column),
    flipped: perAngle(z.boolean()),
    angleUnit: z.enum(['deg', 'min']),
    toeUnit: z.enum(['deg', 'min', 'mm', 'in']),
    diameter: z.number().nullable(),
  }),
);

export function keptMapping(header: readonly string[]): AngleMapping | null {
  return readKept()[header.join('|')] ?? null;
}

export function keepMapping(header: readonly string[], mapping: AngleMapping): void {
  const others = Object.entries(readKept()).filter(([key]) => key !== header.join('|'));
  const kept = [...others.slice(-MOST_KEPT + 1), [header.join('|'), mapping] as const];
  try {
    localStorage.setItem(KEY, JSON.stringify(Object.fromEntries(kept)));
  } catch {
    // A full or forbidden storage only means that it is asked again.
  }
}

function readKept(): z.infer<typeof keptSchema> {
  try {
    const kept = keptSchema.safeParse(JSON.parse(localStorage.getItem(KEY) ?? '{}'));
    return kept.success ? kept.data : {};
  } catch {
    return {};
  }
}
