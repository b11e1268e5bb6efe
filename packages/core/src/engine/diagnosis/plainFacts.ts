import type { Complaint, Wheel } from '@keen/contract/words';
import type { ResolvedCase } from '../case/resolveCase.ts';
import { WHEEL_ORDER } from '../case/wheels.ts';
import { historyFacts } from './historyFacts.ts';
import { pulls, rigReadings } from './rigReadings.ts';
import type { Pull } from './rigReadings.ts';
import { treadSeen, unreadEdges } from './treadSeen.ts';
import type { Doubted, SeenWear } from './treadSeen.ts';

/** How a car handles that angles in order do not explain. */
export type Unexplained = 'pull' | 'wheelOff' | 'wander' | 'noReturn';

/** What speaks for work whatever the chances are. */
export interface PlainFacts {
  /** Wear that anyone can see or feel. */
  seen: readonly SeenWear[];
  /** Ribs that must be read again before anything is decided by them. */
  doubted: readonly Doubted[];
  /** Edges not read on tires that are uneven as far as they were. */
  unread: readonly Doubted[];
  /**
   * What has moved the angles since the car was last aligned, where no rig has found them in tolerance since.
   */
  moved: 'height' | 'parts' | null;
  /** What a rig has found today: all in tolerance or within its own error, any of them out, or not all read. */
  measured: 'inOrder' | 'out' | null;
  /** Wheels where excessive play was found by hand. */
  playFound: readonly Wheel[];
  /** Wheels with play short of excessive. */
  somePlay: readonly Wheel[];
  /** Tires with waves under the hand, short of heavy ones. */
  lightWaves: readonly Wheel[];
  /** Wheels whose pressure is off the placard today, beyond the gauge's error. */
  pressureFound: readonly Wheel[];
  /** The driver reports a pull, a crooked wheel or wander, and no rig has looked at the angles. */
  isHandlingOff: boolean;
  /** The driver reports a vibration, and no tire is low enough to come off for a new, balanced one. */
  isShaking: boolean;
  /** The angles were set, or parts put in, late in the tires' life: today's are not those that wore them. */
  isSetSince: boolean;
  /** Aligned after most of the wear, neither moved nor measured since: the angles may be in order again. */
  isAlignedLately: boolean;
  /** The trouble began with a kerb or a pothole. */
  isKnocked: boolean;
  /** What a rig has found today that explains a pull that the driver reports. */
  pull: Pull | null;
  /** What the driver reports though a rig has found every angle in order today. */
  unexplained: Unexplained | null;
  /** Every wheel was shaken, and none has play. */
  areJointsTight: boolean;
  /** No rib has lost so much that the tread could tell. */
  isHardlyWorn: boolean;
}

/** Takes the plain facts out of a case. */
export function plainFacts(resolved: ResolvedCase): PlainFacts {
  const history = historyFacts(resolved);
  const { isHeightChanged, hasNewParts, isOnlyBraking } = history;
  const handling = isOnlyBraking ? [] : resolved.complaints.filter(isOfHandling);
  const pull =
    pulls(resolved).find(({ to }) =>
      handling.includes(to === 'left' ? 'pullsLeft' : 'pullsRight'),
    ) ?? null;
  const measured = pull ? 'out' : measuredAngles(resolved);
  const moved = isHeightChanged ? 'height' : hasNewParts ? 'parts' : null;
  return {
    seen: treadSeen(resolved),
    doubted: [],
    unread: unreadEdges(resolved),
    moved: measured === null ? moved : null,
    measured,
    pressureFound: pressuresOff(resolved),
    isHandlingOff: measured === null && handling.length > 0,
    pull,
    unexplained: measured === 'inOrder' && handling[0] ? UNEXPLAINED[handling[0]] : null,
    areJointsTight: WHEEL_ORDER.every((wheel) => resolved.play[wheel] === 'none'),
    isHardlyWorn: isHardlyWorn(resolved),
    isShaking:
      !isOnlyBraking && resolved.complaints.includes('vibration') && doAllTiresStay(resolved),
    playFound: WHEEL_ORDER.filter((wheel) => resolved.play[wheel] === 'excessive'),
    somePlay: WHEEL_ORDER.filter((wheel) => resolved.play[wheel] === 'some'),
    lightWaves: WHEEL_ORDER.filter((wheel) => resolved.tires[wheel].cupping === 'some'),
    isSetSince: history.areAnglesRecent,
    isAlignedLately: measured === null && history.isAlignedLately,
    isKnocked: history.isKnocked,
  };
}

/** What the angles are asked for when the driver reports it; a pull under the brakes alone is the brakes'. */
const UNEXPLAINED = {
  pullsLeft: 'pull',
  pullsRight: 'pull',
  wheelOffLeft: 'wheelOff',
  wheelOffRight: 'wheelOff',
  wander: 'wander',
  noReturn: 'noReturn',
} as const satisfies Partial<Record<Complaint, Unexplained>>;

function isOfHandling(complaint: Complaint): complaint is keyof typeof UNEXPLAINED {
  return complaint in UNEXPLAINED;
}

/** Less than this is lost in what new depth and a reading may be off by: a 32nd of an inch, mm. */
const TELLING_LOSS_MM = 25.4 / 32;

function isHardlyWorn({ tires, since }: ResolvedCase): boolean {
  const losses = WHEEL_ORDER.flatMap((wheel) =>
    Object.values(tires[wheel].readMm)
      .flat()
      .map((mm) => tires[wheel].newDepthMm - mm),
  );
  return since === null && losses.length > 0 && Math.max(...losses) < TELLING_LOSS_MM;
}

/** New tires are balanced when they are fitted; these stay on. */
function doAllTiresStay({ tires, limitsMm }: ResolvedCase): boolean {
  return WHEEL_ORDER.every((wheel) =>
    Object.values(tires[wheel].readMm)
      .flat()
      .every((mm) => mm > limitsMm.advise),
  );
}

/** Part of the placard that a gauge may be off by. */
const GAUGE_ERROR = 0.02;

function pressuresOff({ tires, tolerances }: ResolvedCase): Wheel[] {
  return WHEEL_ORDER.filter((wheel) => {
    const ratio = tires[wheel].pressureRatio;
    return ratio !== null && Math.abs(ratio - 1) > tolerances.pressure + GAUGE_ERROR;
  });
}

function measuredAngles(resolved: ResolvedCase): PlainFacts['measured'] {
  const read = rigReadings(resolved);
  const isOut = read.some(
    ({ degrees, limits: [low, high], error }) =>
      degrees !== null && (degrees < low - error || degrees > high + error),
  );
  if (isOut) return 'out';
  return read.some(({ degrees }) => degrees === null) ? null : 'inOrder';
}
