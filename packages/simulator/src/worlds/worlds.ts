import { contactPatch } from './contactPatch.ts';
import { otherFormula } from './otherFormula.ts';
import { ownFormula } from './ownFormula.ts';
import type { World } from './world.ts';

/** The worlds by name: our own formula, another one, and one from first principles. */
export const WORLDS = {
  own: ownFormula,
  other: otherFormula,
  patch: contactPatch,
} as const satisfies Record<string, World>;
export type WorldName = keyof typeof WORLDS;
export const WORLD_NAMES = Object.keys(WORLDS) as WorldName[];
