import type { VisitDraft } from '@keen/contract';
import type { Part, Play, Wheel } from '@keen/contract/words';
import { PARTS, WHEELS } from '@keen/contract/words';

/** Where a part stands: at each wheel, each front or rear one, or once in front. */
type Place = 'every' | 'front' | 'rear' | 'once';

interface PartFacts {
  title: string;
  place: Place;
  /** Play in it lets the wheel wander. */
  isJoint: boolean;
  /** What it would do to an alignment, and to the tread. */
  then: string;
}

/** Parts looked at under the car (common practice, no source). */
export const PART_FACTS: Record<Part, PartFacts> = {
  outerTieRod: {
    title: 'Outer tie rod end',
    place: 'front',
    isJoint: true,
    then: 'toe wanders with every bump: feathered wear that comes back after a good alignment',
  },
  innerTieRod: {
    title: 'Inner tie rod end',
    place: 'front',
    isJoint: true,
    then: 'toe wanders with every bump: feathered wear that comes back after a good alignment',
  },
  rackMount: {
    title: 'Rack mounts',
    place: 'once',
    isJoint: true,
    then: 'the whole rack moves: it wanders, and the steering wheel does not stay where it was set',
  },
  ballJoint: {
    title: 'Ball joint',
    place: 'front',
    isJoint: true,
    then: 'camber and toe do not hold, and it can come apart',
  },
  armBushing: {
    title: 'Control arm bushing',
    place: 'every',
    isJoint: true,
    then: 'toe and caster change when it brakes and pulls',
  },
  wheelBearing: {
    title: 'Wheel bearing',
    place: 'every',
    isJoint: true,
    then: 'the wheel tilts in its bearing: camber and toe do not hold',
  },
  damper: {
    title: 'Strut or damper, bounced',
    place: 'every',
    isJoint: false,
    then: 'the tire hops: cups and waves, noise like a bearing',
  },
  spring: {
    title: 'Spring',
    place: 'every',
    isJoint: false,
    then: 'the corner hangs: camber and toe move with the height',
  },
  stabilizer: {
    title: 'Stabilizer and its links',
    place: 'front',
    isJoint: false,
    then: 'it knocks and leans; the alignment holds',
  },
  rearLink: {
    title: 'Rear link',
    place: 'rear',
    isJoint: true,
    then: 'rear camber and toe do not hold',
  },
  toeLink: {
    title: 'Rear toe link',
    place: 'rear',
    isJoint: true,
    then: 'rear toe wanders: both rear tires feather, and it can step out',
  },
  bentArm: {
    title: 'Arm, bent',
    place: 'every',
    isJoint: false,
    then: 'the wheel leans or steers by itself; no adjuster brings it back',
  },
  rim: {
    title: 'Rim, bent or cracked',
    place: 'every',
    isJoint: false,
    then: 'it shakes, and every reading at it is false',
  },
};

/** Wheels at which a part is looked at; what stands once is kept at the left front. */
export function wheelsOf(part: Part): readonly Wheel[] {
  switch (PART_FACTS[part].place) {
    case 'every':
      return WHEELS;
    case 'front':
      return ['lf', 'rf'];
    case 'rear':
      return ['lr', 'rr'];
    case 'once':
      return ['lf'];
  }
}

/** A finding that holds the alignment back. */
export interface WornPart {
  part: Part;
  title: string;
  /** Null for what stands once. */
  wheel: Wheel | null;
  finding: 'some' | 'excessive';
  then: string;
}

/** What was found worn, the worst first. */
export function wornParts(draft: VisitDraft): WornPart[] {
  const found: WornPart[] = [];
  for (const part of PARTS) {
    const { title, then, place } = PART_FACTS[part];
    for (const wheel of wheelsOf(part)) {
      const finding = draft.visit?.inspect?.parts?.[wheel]?.[part];
      if (finding !== 'some' && finding !== 'excessive') continue;
      found.push({ part, title, wheel: place === 'once' ? null : wheel, finding, then });
    }
  }
  return found.toSorted(
    (a, b) => Number(b.finding === 'excessive') - Number(a.finding === 'excessive'),
  );
}

const ORDER: readonly Play[] = ['unknown', 'none', 'some', 'excessive'];

/**
 * Play at a wheel: what was shaken there, or the worst joint found there, whichever is worse. Rack
 * mounts move both front wheels.
 */
export function playAt(draft: VisitDraft, wheel: Wheel): Play | undefined {
  const parts = draft.visit?.inspect?.parts ?? {};
  const findings = [
    draft.play?.[wheel],
    ...PARTS.filter((part) => PART_FACTS[part].isJoint && part !== 'rackMount').map(
      (part) => parts[wheel]?.[part],
    ),
    wheel === 'lf' || wheel === 'rf' ? parts.lf?.rackMount : undefined,
  ].filter((finding) => finding !== undefined);
  if (findings.length === 0) return undefined;
  return findings.reduce((worst, finding) =>
    ORDER.indexOf(finding) > ORDER.indexOf(worst) ? finding : worst,
  );
}
