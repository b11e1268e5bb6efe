import type { Cupping, Damage, DamageZone, Feather, Play } from '@keen/contract/words';

/** What the hand and the eye find, as the screens name it. */
export const FEATHER_WORDS: Record<Exclude<Feather, 'unknown'>, string> = {
  none: 'smooth',
  catchesOutward: 'catches out',
  catchesInward: 'catches in',
};
export const WAVE_WORDS: Record<Exclude<Cupping, 'unknown'>, string> = {
  none: 'no waves',
  some: 'some waves',
  heavy: 'heavy waves',
};
export const DAMAGE_WORDS: Record<Damage, string> = {
  cords: 'cords',
  bulge: 'bulge',
  cut: 'cut',
  puncture: 'puncture',
  sidewallCrack: 'cracks',
  flatSpot: 'flat spot',
};
export const ZONE_WORDS: Record<DamageZone, string> = {
  outerSidewall: 'outer sidewall',
  outer: 'outer rib',
  centre: 'centre',
  inner: 'inner rib',
  innerSidewall: 'inner sidewall',
};
export const PLAY_WORDS: Record<Exclude<Play, 'unknown'>, string> = {
  none: 'none',
  some: 'some',
  excessive: 'too much',
};
