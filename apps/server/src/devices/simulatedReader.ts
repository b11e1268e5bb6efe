import type { ReaderState, TreadPass, TreadProfile, Wheel } from '@keen/contract';
import {
  DEFAULT_READER,
  TREAD_PASS_FORMAT,
  TREAD_PASS_VERSION,
  readerStateSchema,
} from '@keen/contract';
import { WHEEL_ORDER } from '@keen/core';
import type { Random } from '@keen/core';
import { eq } from 'drizzle-orm';
import type { Handle } from '../db/client.ts';
import { shops } from '../db/schema/index.ts';

/** How the reader of a shop stands, with the last pass it delivered. */
export interface Reader {
  state: ReaderState;
  n: number;
  pass: TreadPass | null;
}

/** The reader of a shop, as it was played last. */
export async function readerOf(db: Handle, shopId: string): Promise<Reader> {
  const [shop] = await db.select({ reader: shops.reader }).from(shops).where(eq(shops.id, shopId));
  const kept = readerStateSchema.safeParse(shop?.reader?.state);
  return kept.success && shop?.reader
    ? { ...shop.reader, state: kept.data }
    : { state: DEFAULT_READER, n: 0, pass: null };
}

const POINTS = 73;
const CUTS = 12;
const CUT_SPACING_MM = 55;
/** Grooves of the made-up tread: where, from -1 inner to +1 outer edge, and half their width. */
const GROOVES = [-0.68, -0.23, 0.23, 0.68];
const GROOVE_HALF = 0.055;
const NOISE_MM = 0.04;
/** What a dirty window adds to the noise of one tire. */
const DIRTY_MM = 3;
/** Beyond this a car smears its own profile, which is why such passes do not count. */
const CLEAN_KMH = 13;

/**
 * One car over the simulated reader: cuts across each tire with grooves in them, tilted and shifted as
 * a real tire stands over a plate, a little uneven round the tire. A car that is too fast, crooked or
 * turning smears its cuts, as it does over a real one.
 * @param at - when, UTC
 */
export function drivePast(state: ReaderState, random: Random, at: string): TreadPass {
  const tires: TreadPass['tires'] = {};
  for (const wheel of WHEEL_ORDER) {
    tires[wheel] = { profiles: cutsOf(state, wheel, random) };
  }
  const { speed, skew, steer } = state;
  return {
    format: TREAD_PASS_FORMAT,
    version: TREAD_PASS_VERSION,
    takenAt: at,
    source: 'Simulated reader',
    passing: { speed, skew, steer },
    tires,
  };
}

function cutsOf(state: ReaderState, wheel: Wheel, random: Random): TreadProfile[] {
  const ribs = state.tires[wheel];
  const tilt = 1.5 * random.normal();
  const zero = 20 + random.normal();
  const isDirty = state.fault === 'dirtyWindow' && state.faultAt === wheel;
  const smear = Math.max(0, state.speed - CLEAN_KMH) * 0.05;
  const noise = NOISE_MM + smear + (isDirty ? DIRTY_MM : 0);
  return Array.from({ length: CUTS }, (_cut, cut) => ({
    along: cut * CUT_SPACING_MM,
    heights: Array.from({ length: POINTS }, (_point, point) => {
      const y = (2 * point) / (POINTS - 1) - 1;
      const isGroove = GROOVES.some((groove) => Math.abs(y - groove) <= GROOVE_HALF);
      const height = isGroove ? 0 : surface(ribs, y);
      return Number((zero + tilt * y + height + noise * random.normal()).toFixed(3));
    }),
  }));
}

/** The worn surface over the grooves' floor: a parabola through the three ribs. */
function surface({ inner, centre, outer }: ReaderState['tires'][Wheel], y: number): number {
  const at = y / GROOVES[3]!;
  const worn = centre + ((outer - inner) / 2) * at + ((outer + inner) / 2 - centre) * at * at;
  return Math.max(0, worn);
}
