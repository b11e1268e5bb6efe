/**
 * The limits of what can be entered about a tire and a car, in mm, km and kPa: one set for what is typed,
 * for case files and for imports. They are wide: a tractor's tire fits; a slip of the finger by a power
 * of ten or two does not.
 */
export const FIELD_LIMITS = {
  newDepthMm: 60,
  readingSpreadMm: 2,
  distanceKm: 1_000_000,
  odometerKm: 3_000_000,
  pressureKpa: 1_500,
  rideHeightMm: { least: -300, most: 600 },
} as const;
