import type { FrontView } from './rideHeight.ts';

/** A front suspension as seen from the front, to start from where nobody measured the car's own. */
export interface FrontLayout {
  id: 'strut' | 'longArms' | 'truckArms';
  /** Joints [outward, up] of one side, mm. */
  points: FrontView;
  /** mm. */
  steeringArm: number;
  rack: 'ahead' | 'behind';
}

/** Typical layouts, made up to be ordinary (no source): the car’s own joints are better. */
export const FRONT_LAYOUTS: readonly FrontLayout[] = [
  {
    id: 'strut',
    points: {
      lowerInner: [350, 180],
      lowerOuter: [700, 170],
      strutTop: [580, 820],
      tieInner: [340, 235],
      tieOuter: [690, 230],
    },
    steeringArm: 140,
    rack: 'behind',
  },
  {
    id: 'longArms',
    points: {
      lowerInner: [330, 190],
      lowerOuter: [700, 180],
      upperInner: [430, 430],
      upperOuter: [670, 450],
      tieInner: [345, 250],
      tieOuter: [690, 243],
    },
    steeringArm: 150,
    rack: 'ahead',
  },
  {
    id: 'truckArms',
    points: {
      lowerInner: [380, 330],
      lowerOuter: [800, 270],
      upperInner: [470, 560],
      upperOuter: [760, 540],
      tieInner: [400, 400],
      tieOuter: [790, 350],
    },
    steeringArm: 170,
    rack: 'behind',
  },
];
